import { Button } from '@mantine/core';
import { useHotkeys } from '@mantine/hooks';
import { useMemo, useRef, useState } from 'react';
import { stationIds } from '@bay/core/jobs';
import type { StationId } from '@bay/core/jobs';
import { lineContextOf, shortTitleOf, thingsOf } from '@bay/core/plan';
import { keptUnasked, readLogLine, spokenOf, suggestAbout } from '@bay/core/logbook';
import type { LineDraft, Thing } from '@bay/core/logbook';
import { newId, sentenceOf, useCrew, useMe } from '../api/index.ts';
import { useJob } from '../sheet/index.ts';
import { today } from '../ui/index.ts';
import { examplesOf } from './examples.ts';
import { PhotoButton } from './PhotoButton.tsx';
import { Took } from './Took.tsx';
import { useLineDraft } from './useLineDraft.ts';
import { useWriteLine } from './useWriteLine.ts';
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

/** What a line belongs to: taken where that is sure or somebody said so, offered where it is not. */
function useAbout(line: string, draft: LineDraft | undefined, things: readonly Thing[], running: string | undefined) {
  const [said, setSaid] = useState<Thing | 'none'>();
  const suggested =
    draft && belongsSomewhere.has(draft.kind) ? suggestAbout(spokenOf(line, draft), things, running) : undefined;
  const sure = draft && suggested && keptUnasked(draft.kind, suggested) ? suggested.thing : undefined;
  return {
    taken: said === 'none' ? undefined : (said ?? sure),
    offered: said === undefined && suggested && !sure ? suggested.thing : undefined,
    say: setSaid,
  };
}

/**
 * The entry line of the job: plain words or shorthand. What it took shows above it as named pieces before Enter, and Tab goes
 * from piece to piece.
 */
export function LogBar({ view }: { view: string }) {
  const { sheet, plan, mayWrite } = useJob();
  const jobId = sheet.job.id;
  const me = useMe().data?.person;
  const crew = useCrew().data?.crew;
  const [line, setLine] = useLineDraft(jobId);
  const [at, setAt] = useState(-1);
  const [focused, setFocused] = useState(false);
  const field = useRef<HTMLInputElement>(null);
  // Kept until the line is written, so that a second Enter after a lost answer does not write twice.
  const commandId = useRef(newId());
  useHotkeys([['/', () => field.current?.focus()]]);
  const context = useMemo(() => lineContextOf(sheet, plan, crew ?? [], today()), [sheet, plan, crew]);
  const things = useMemo(() => thingsOf(context), [context]);
  const running = sheet.running.find((c) => c.personId === me?.id)?.about ?? undefined;
  const draft = line.trim() === '' ? undefined : readLogLine(line, context);
  const about = useAbout(line, draft, things, running);
  const writing = useWriteLine(jobId);
  if (!mayWrite)
    return <div className={`${styles['log-bar']} quiet`}>Onlookers read the book; they do not write in it.</div>;
  const type = (next: string): void => {
    setLine(next);
    setAt(-1);
    if (!writing.isPending) commandId.current = newId();
    if (writing.isError) writing.reset();
  };
  const write = (): void => {
    if (line.trim() === '' || writing.isPending) return;
    writing.mutate(
      { line, about: about.taken?.key, commandId: commandId.current },
      {
        onSuccess: () => {
          setLine('');
          about.say(undefined);
          commandId.current = newId();
        },
      },
    );
  };
  const broken = draft?.kind === 'note' ? draft.at : undefined;
  const stops = draft ? (broken ? [broken] : draft.pieces) : [];
  /** Tab selects the next piece, so that typing corrects it; behind the last one Tab leaves the bar as everywhere. */
  const tab = (event: React.KeyboardEvent<HTMLInputElement>): void => {
    const next = at + (event.shiftKey ? -1 : 1);
    const stop = stops[next];
    setAt(stop ? next : -1);
    if (!stop) return;
    event.preventDefault();
    event.currentTarget.setSelectionRange(stop.from, stop.to);
  };
  const station = (stationIds as readonly string[]).includes(view) ? (view as StationId) : sheet.job.station;
  return (
    <div
      className={styles['log-bar']}
      onFocus={() => setFocused(true)}
      onBlur={(e) => setFocused(e.currentTarget.contains(e.relatedTarget))}
    >
      <div className={styles['above']} role="status">
        {draft && <Took draft={draft} />}
        {draft && about.offered && (
          <button
            type="button"
            className={`${styles['about-chip']} offered`}
            title="Tap if the line belongs to this."
            onClick={() => about.say(about.offered)}
          >
            belongs to {shortTitleOf(about.offered.key)}?
          </button>
        )}
        {draft && about.taken && (
          <button
            type="button"
            className={styles['about-chip']}
            title="It belongs to this. Tap if it does not."
            onClick={() => about.say('none')}
          >
            belongs to: {shortTitleOf(about.taken.key)} ✕
          </button>
        )}
        {writing.isError && (
          <span role="alert" className={styles['hint']}>
            {sentenceOf(writing.error)}
          </span>
        )}
        {!draft && focused && (
          <span className={styles['examples']}>
            {examplesOf[station].map((example) => (
              <button
                key={example}
                type="button"
                onClick={() => {
                  type(example);
                  field.current?.focus();
                }}
              >
                {example}
              </button>
            ))}
          </span>
        )}
      </div>
      <form
        onSubmit={(e) => {
          e.preventDefault();
          write();
        }}
      >
        <span className={styles['prompt']} aria-hidden="true">
          ›
        </span>
        <input
          ref={field}
          className={styles['log-field']}
          aria-label="Log bar: write a line, plain or in shorthand"
          placeholder="bore 3 86.02, found: …, held: …, @OT …"
          value={line}
          onChange={(e) => type(e.target.value)}
          onKeyDown={(e) => {
            if (e.key === 'Escape') field.current?.blur();
            if (e.key === 'Tab' && line !== '') tab(e);
          }}
          autoComplete="off"
          enterKeyHint="done"
        />
        <PhotoButton jobId={jobId} {...(about.taken ? { about: about.taken.key } : {})} />
        <Button type="submit" loading={writing.isPending} disabled={line.trim() === ''}>
          Write
        </Button>
      </form>
    </div>
  );
}
