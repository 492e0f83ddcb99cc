import { Button } from '@mantine/core';
import { useQueryClient } from '@tanstack/react-query';
import { writeLog } from '@bay/contract/logbook';
import { command, drop, insist, keys, tryAgain, useMe } from '../api/index.ts';
import type { Waiting } from '../api/index.ts';
import { dataWords, TwoVersions } from '../sheet/index.ts';
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

const ago = (w: Waiting): string => {
  const minutes = Math.round((Date.now() - w.doneAt) / 60_000);
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
              <span className={`tag ${w.state === 'waiting' ? '' : 'ochre'}`}>
                {w.state === 'waiting'
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
            {w.state === 'refused' && <p className="oxide">{w.problem?.title}</p>}
            {w.state === 'conflict' && <Decide w={w} />}
            {w.state === 'refused' && (
              <>
                {w.body['line'] === undefined && (
                  <p className="mono quiet">{dataWords((w.body['data'] ?? w.body) as Record<string, unknown>)}</p>
                )}
                <div className="row-actions">
                  <Button variant="default" onClick={() => void tryAgain(w)}>
                    Try again
                  </Button>
                  <Button variant="subtle" onClick={() => void drop(w)}>
                    Let it go
                  </Button>
                </div>
              </>
            )}
          </li>
        ))}
      </ul>
    </Dialog>
  );
}
