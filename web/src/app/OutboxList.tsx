import { Button, TextInput } from '@mantine/core';
import { useState } from 'react';
import { useQueryClient } from '@tanstack/react-query';
import { writeLog } from '@bay/contract/logbook';
import { change, command, drop, insist, keys, nowMs, tryAgain, useMe } from '../api/index.ts';
import type { Waiting } from '../api/index.ts';
import { dataWords, fieldWords, TwoVersions } from '../sheet/index.ts';
import { Dialog, today } from '../ui/index.ts';
import { useOutbox } from './Outbox.tsx';

function Decide({ w }: { w: Waiting }) {
  const client = useQueryClient();
  const current = w.problem?.current as
    | { data?: Record<string, unknown>; parts?: Record<string, unknown>; by?: string; revision?: number }
    | null
    | undefined;
  const mine = (w.body['data'] ?? w.body['typed']) as Record<string, unknown> | undefined;
  // What is not taken is kept too: as a line of the book.
  const theirs = async (): Promise<void> => {
    if (w.jobId)
      await command(
        writeLog,
        {
          params: { jobId: w.jobId },
          body: { line: `Not taken, written without a network: ${w.label}, ${dataWords(mine)}`, today: today() },
        },
        { label: 'kept beside', jobId: w.jobId },
      );
    await drop(w);
    if (w.jobId) void client.invalidateQueries({ queryKey: keys.job(w.jobId) });
  };
  return (
    <TwoVersions
      theirsBy={current?.by ?? 'Somebody'}
      theirs={current?.data ?? current?.parts}
      mine={mine}
      onMine={() => insist(w, current?.revision ?? 0)}
      onTheirs={theirs}
    />
  );
}

/** The words that somebody typed, by the path of where they stand: a line of the book, the values of a fact, the texts of a record. */
const wordsOf = (body: Waiting['body']): [path: readonly string[], words: string][] =>
  (['line', 'typed', 'data'] as const).flatMap((part): [readonly string[], string][] => {
    const value = body[part];
    if (typeof value === 'string') return [[[part], value]];
    if (typeof value !== 'object' || value === null) return [];
    return Object.entries(value)
      .filter((e): e is [string, string] => typeof e[1] === 'string')
      .map(([name, words]) => [[part, name], words]);
  });

const withWords = (body: Waiting['body'], typed: Readonly<Record<string, string>>): Waiting['body'] => {
  const next = structuredClone(body);
  for (const [[part, name]] of wordsOf(body)) {
    const words = typed[name ?? part!];
    if (words === undefined) continue;
    if (name === undefined) next[part!] = words;
    else (next[part!] as Record<string, unknown>)[name] = words;
  }
  return next;
};

/** What the server did not take, with its words and what can be done: nothing typed is lost, and nothing else waits for it. */
function SetAside({ w }: { w: Waiting }) {
  const [changing, setChanging] = useState<Record<string, string>>();
  const [copied, setCopied] = useState(false);
  const words = wordsOf(w.body);
  const copy = async (): Promise<void> => {
    await navigator.clipboard.writeText(words.map(([, text]) => text).join('\n'));
    setCopied(true);
  };
  return (
    <>
      <p className="oxide">{w.problem?.title}</p>
      {changing ? (
        <div className="fields">
          {words.map(([path]) => {
            const name = path.at(-1)!;
            return (
              <TextInput
                key={name}
                label={name === 'line' ? 'The line' : fieldWords(name)}
                value={changing[name] ?? ''}
                onChange={(e) => setChanging({ ...changing, [name]: e.currentTarget.value })}
              />
            );
          })}
        </div>
      ) : (
        w.body['line'] === undefined && (
          <p className="mono quiet">{dataWords((w.body['data'] ?? w.body) as Record<string, unknown>)}</p>
        )
      )}
      <div className="row-actions">
        {changing ? (
          <>
            <Button onClick={() => void change(w, withWords(w.body, changing))}>Send it so</Button>
            <Button variant="default" onClick={() => setChanging(undefined)}>
              Leave it
            </Button>
          </>
        ) : (
          <>
            <Button variant="default" onClick={() => void tryAgain(w)}>
              Try again
            </Button>
            {words.length > 0 && (
              <Button
                variant="default"
                onClick={() => setChanging(Object.fromEntries(words.map(([path, text]) => [path.at(-1)!, text])))}
              >
                Change it
              </Button>
            )}
            {words.length > 0 && 'clipboard' in navigator && (
              <Button variant="default" onClick={() => void copy()}>
                {copied ? 'Copied' : 'Copy the words'}
              </Button>
            )}
            <Button variant="subtle" onClick={() => void drop(w)}>
              Let it go
            </Button>
          </>
        )}
      </div>
    </>
  );
}

const ago = (w: Waiting): string => {
  const minutes = Math.round((nowMs() - w.doneAt) / 60_000);
  return minutes < 1 ? 'just now' : minutes < 120 ? `${minutes} min ago` : `${Math.round(minutes / 60)} h ago`;
};

/** The list of what waits on this device, in the order it was done, and what needs a decision. */
export default function OutboxList({ close }: { close: () => void }) {
  const all = useOutbox();
  const me = useMe().data?.person;
  return (
    <Dialog close={close} title="On this device only" size="xl">
      {all.length === 0 && <p>Everything is sent.</p>}
      <ul className="rows">
        {all.map((w) => (
          <li key={w.order} style={{ padding: '10px 0' }}>
            <p>
              <b>{w.label}</b> <span className="quiet">{`${w.by}, ${ago(w)}`}</span>{' '}
              <span className={`tag ${w.state === 'conflict' || w.state === 'refused' ? 'ochre' : ''}`}>
                {w.state === 'waiting' || w.state === 'sending'
                  ? 'Waits to be sent'
                  : w.state === 'conflict'
                    ? 'Changed by somebody meanwhile'
                    : 'Refused'}
              </span>
            </p>
            {typeof w.body['line'] === 'string' && <p className="mono">{w.body['line']}</p>}
            {w.state === 'waiting' && w.personId !== me?.id && (
              <p className="ochre">It is sent when {w.by} is at this device.</p>
            )}
            {w.state === 'conflict' && <Decide w={w} />}
            {w.state === 'refused' && <SetAside w={w} />}
          </li>
        ))}
      </ul>
    </Dialog>
  );
}
