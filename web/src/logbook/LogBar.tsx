import { Button } from '@mantine/core';
import { useHotkeys } from '@mantine/hooks';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useMemo, useRef, useState } from 'react';
import { lineContextOf, shortTitleOf, thingsOf } from '@bay/core/plan';
import { leastSure, readLogLine, suggestAbout, understoodWords } from '@bay/core/logbook';
import type { LineDraft, Thing } from '@bay/core/logbook';
import type { JobSheet } from '@bay/contract/jobs';
import { writeLog } from '@bay/contract/logbook';
import type { LogEntry } from '@bay/contract/logbook';
import { command, keys, newId, nowIso, sentenceOf, useCrew, useMe } from '../api/index.ts';
import { useJob } from '../sheet/index.ts';
import { today } from '../ui/index.ts';
import { PhotoButton } from './PhotoButton.tsx';
import styles from './logbook.module.css';

/** Kinds of line that do not name by themselves what they belong to. */
const belongsSomewhere = new Set<LineDraft['kind']>([
  'note',
  'finding',
  'hold',
  'provisional',
  'fluid',
  'tried',
  'decision',
  'ask',
  'bag',
]);

/** A line of the book as the device writes it, until the server's own stands there. */
function pendingEntry(line: string, person: { id: string; name: string; initials: string }): LogEntry {
  return {
    id: Number.MAX_SAFE_INTEGER - Math.floor(Math.random() * 1e6),
    kind: 'note',
    station: null,
    text: line,
    about: null,
    data: { pending: true },
    byId: person.id,
    by: person.name,
    initials: person.initials,
    at: nowIso(),
    receivedAt: null,
    commandId: null,
    marks: [],
  };
}

/** One line in plain words or shorthand; what it understood shows before Enter, and Tab goes from piece to piece. */
export function LogBar() {
  const { sheet, plan, mayWrite } = useJob();
  const jobId = sheet.job.id;
  const me = useMe().data?.person;
  const crew = useCrew().data?.crew;
  const [line, setLine] = useState('');
  const [about, setAbout] = useState<Thing | 'none'>();
  const field = useRef<HTMLInputElement>(null);
  const at = useRef(-1);
  // Kept until the line is written, so that a second Enter after a lost answer does not write twice.
  const commandId = useRef(newId());
  const client = useQueryClient();
  useHotkeys([['/', () => field.current?.focus()]]);
  const context = useMemo(() => lineContextOf(sheet, plan, crew ?? [], today()), [sheet, plan, crew]);
  const things = useMemo(() => thingsOf(context), [context]);
  const running = sheet.running.find((c) => c.personId === me?.id)?.about ?? undefined;
  const draft = line.trim() === '' ? undefined : readLogLine(line, context);
  const suggested = draft && belongsSomewhere.has(draft.kind) ? suggestAbout(line, things, running) : undefined;
  const sure = suggested && suggested.sure >= leastSure ? suggested.thing : undefined;
  const belongsTo = about === 'none' ? undefined : (about ?? sure);
  // Not sure enough to be kept with it unasked: offered.
  const offered = about === undefined && suggested && !sure ? suggested.thing : undefined;
  const writing = useMutation({
    mutationFn: (typed: string) => {
      const body = { line: typed, today: today(), ...(belongsTo ? { about: belongsTo.key } : {}) };
      const offline = (): { entry: LogEntry } => {
        const entry = pendingEntry(typed, me!);
        client.setQueryData<JobSheet>(keys.job(jobId), (old) => old && { ...old, log: [...old.log, entry] });
        return { entry };
      };
      const before = client.getQueryData(keys.job(jobId));
      const restore = (): unknown => client.setQueryData(keys.job(jobId), before);
      return command(
        writeLog,
        { params: { jobId }, body },
        { label: 'line written', jobId, commandId: commandId.current, offline, restore },
      );
    },
    onSuccess: () => {
      setLine('');
      setAbout(undefined);
      commandId.current = newId();
      return client.invalidateQueries({ queryKey: keys.job(jobId) });
    },
  });
  if (!mayWrite)
    return <div className={`${styles['log-bar']} quiet`}>Onlookers read the book; they do not write in it.</div>;
  const broken = draft?.kind === 'note' ? draft.at : undefined;
  const stops = draft ? (broken ? [broken] : draft.pieces) : [];
  /** Tab selects the next piece, so that typing corrects it; behind the last one Tab leaves the bar as everywhere. */
  const tab = (event: React.KeyboardEvent<HTMLInputElement>): void => {
    const next = at.current + (event.shiftKey ? -1 : 1);
    const stop = stops[next];
    at.current = stop ? next : -1;
    if (!stop) return;
    event.preventDefault();
    event.currentTarget.setSelectionRange(stop.from, stop.to);
  };
  const hint = draft?.kind === 'note' && draft.hint !== undefined;
  return (
    <div className={styles['log-bar']}>
      <span className={styles['key']} aria-hidden="true">
        /
      </span>
      <form
        onSubmit={(e) => {
          e.preventDefault();
          if (line.trim() !== '' && !writing.isPending) writing.mutate(line);
        }}
      >
        <div className={styles['log-field']}>
          <input
            ref={field}
            aria-label="Log bar: write a line, plain or in shorthand"
            aria-describedby="took"
            placeholder="Write a line: note, bore 3 86.02, found: …, held: …, @OT …"
            value={line}
            onChange={(e) => {
              setLine(e.target.value);
              at.current = -1;
              if (!writing.isPending) commandId.current = newId();
              if (writing.isError) writing.reset();
            }}
            onKeyDown={(e) => {
              if (e.key === 'Escape') field.current?.blur();
              if (e.key === 'Tab' && line !== '') tab(e);
            }}
            autoComplete="off"
          />
          <span id="took" role="status" className={draft ? `${styles['took']}${hint ? ' hint' : ''}` : ''}>
            {draft ? understoodWords(draft) : ''}
            {broken && <span className={`mono ${styles['broken-words']}`}> {line.slice(broken.from, broken.to)}</span>}
          </span>
          {draft && offered && (
            <button
              type="button"
              className={styles['about-chip']}
              title="Tap if the line belongs to this."
              onClick={() => setAbout(offered)}
            >
              belongs to {shortTitleOf(offered.key)}?
            </button>
          )}
          {draft && belongsTo && (
            <button
              type="button"
              className={styles['about-chip']}
              title="It belongs to this. Tap if it does not."
              onClick={() => setAbout('none')}
            >
              belongs to: {shortTitleOf(belongsTo.key)} ✕
            </button>
          )}
          {writing.isError && (
            <span role="alert" className={`${styles['took']} hint`}>
              {sentenceOf(writing.error)}
            </span>
          )}
        </div>
        <PhotoButton jobId={jobId} {...(belongsTo ? { about: belongsTo.key } : {})} />
        <Button type="submit" loading={writing.isPending} disabled={line.trim() === ''}>
          Log it
        </Button>
      </form>
    </div>
  );
}
