import { TextInput } from '@mantine/core';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { shortTitleOf, titleOf } from '@bay/core/plan';
import { markEntry, photoPath } from '@bay/contract/logbook';
import type { LogEntry } from '@bay/contract/logbook';
import { may } from '@bay/contract/rights';
import { command, keys, useMe } from '../api/index.ts';
import { exactWords, FormDialog, timeWords, useForm, withDayWords } from '../ui/index.ts';
import { faceOf } from './faces.ts';
import styles from './logbook.module.css';

/** The words that count now: the last correction, or what was written. */
export const wordingOf = (entry: LogEntry): string =>
  entry.marks.findLast((m) => m.kind === 'corrected')?.text ?? entry.text;
const isOut = (entry: LogEntry): boolean => entry.marks.some((m) => m.kind === 'struck' || m.kind === 'undone');

function MarkForm({
  jobId,
  entry,
  kind,
  close,
}: {
  jobId: string;
  entry: LogEntry;
  kind: 'corrected' | 'struck';
  close: () => void;
}) {
  const client = useQueryClient();
  const form = useForm({
    draft: `${jobId}:${kind}:${entry.id}`,
    initial: { text: kind === 'corrected' ? wordingOf(entry) : '' },
    command: markEntry,
    sent: ({ text }) => ({ kind, text }),
  });
  const mark = async (body: { kind: 'corrected' | 'struck'; text: string }): Promise<void> => {
    await command(
      markEntry,
      { params: { jobId, entryId: String(entry.id) as unknown as number }, body },
      { label: kind === 'corrected' ? 'line corrected' : 'line struck', jobId },
    );
    void client.invalidateQueries({ queryKey: keys.job(jobId) });
    void client.invalidateQueries({ queryKey: keys.book(jobId) });
  };
  return (
    <FormDialog
      title={kind === 'corrected' ? 'Correct this line' : 'Strike this line'}
      submit={kind === 'corrected' ? 'Correct it' : 'Strike it'}
      of={form}
      send={mark}
      close={close}
    >
      <p className="quiet">The earlier wording stays readable, with who changed it and when.</p>
      <TextInput label={kind === 'corrected' ? 'How it should read' : 'Why'} data-autofocus {...form.field('text')} />
    </FormDialog>
  );
}

/** Words with what was searched for marked. */
function Words({ text }: { text: string }) {
  // eslint-disable-next-line no-control-regex -- the server marks hits with these two characters, which no line holds
  const parts = withDayWords(text).split(/\u0001|\u0002/);
  return <>{parts.map((p, i) => (i % 2 === 1 ? <mark key={i}>{p}</mark> : p))}</>;
}

/** One line of the book with its own face; opened, it shows what it speaks of, how it read before, and what can be done. */
export function EntryLine({
  jobId,
  entry,
  hit,
  lead,
  showAbout,
}: {
  jobId: string;
  entry: LogEntry;
  hit?: string;
  lead?: React.ReactNode;
  showAbout?: (about: string) => void;
}) {
  const me = useMe().data?.person;
  const [open, setOpen] = useState(false);
  const [marking, setMarking] = useState<'corrected' | 'struck'>();
  const face = faceOf(entry.kind);
  const out = isOut(entry);
  const mine = me && me.role !== 'onlooker' && (entry.byId === me.id || may(me.role, 'correct-others'));
  const corrected = entry.marks.some((m) => m.kind === 'corrected');
  const photo = entry.kind === 'photo' && entry.data['record'] === 'photo' ? String(entry.data['key']) : undefined;
  return (
    <div className={`${styles['book-line']} kind-${entry.kind}${out ? ' out' : ''}`}>
      <time dateTime={entry.at} title={exactWords(entry.at)}>
        {timeWords(entry.at)}
      </time>
      <div>
        {lead}
        <button type="button" className={styles['entry']} aria-expanded={open} onClick={() => setOpen(!open)}>
          <span className={styles['face']} title={face.word} aria-hidden="true">
            <face.Icon size={15} />
          </span>
          <b title={entry.by}>{entry.initials}</b>{' '}
          {out ? <s>{withDayWords(wordingOf(entry))}</s> : <Words text={hit ?? wordingOf(entry)} />}
          {entry.data['pending'] === true && <span className="tag ochre">waits to be sent</span>}
          {entry.receivedAt && <span className="quiet"> sent {timeWords(entry.receivedAt)}</span>}
          {corrected && <span className="quiet"> corrected</span>}
        </button>
        {photo && !out && (
          <img className={styles['book-thumb']} src={photoPath(photo, 'thumb')} alt={entry.text} loading="lazy" />
        )}
        {open && (
          <div className={styles['entry-more']}>
            <p className="quiet">
              {face.word}, {entry.by}, {exactWords(entry.at)}
            </p>
            {entry.marks.length > 0 && <p className="quiet">Written: {entry.text}</p>}
            {entry.marks.map((m, i) => (
              <p key={i} className="quiet">
                {m.kind === 'corrected' ? `Corrected: ${m.text}` : m.kind === 'struck' ? `Struck: ${m.text}` : 'Undone'}{' '}
                ({m.by}, {exactWords(m.at)})
              </p>
            ))}
            <div className="row-actions">
              {entry.about && showAbout && titleOf(entry.about) !== entry.about && (
                <button type="button" className="plain-button small" onClick={() => showAbout(entry.about!)}>
                  All on: {shortTitleOf(entry.about)}
                </button>
              )}
              {mine && !out && entry.data['pending'] !== true && (
                <>
                  <button type="button" className="plain-button small bare" onClick={() => setMarking('corrected')}>
                    Correct
                  </button>
                  <button type="button" className="plain-button small bare" onClick={() => setMarking('struck')}>
                    Strike
                  </button>
                </>
              )}
            </div>
          </div>
        )}
      </div>
      {marking && <MarkForm jobId={jobId} entry={entry} kind={marking} close={() => setMarking(undefined)} />}
    </div>
  );
}
