import { Checkbox, Select, TextInput } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { shortTitleOf } from '@bay/core/plan';
import { snagOpen, snagSorts, snagSortWords, snagWays, snagWayWords, soakedAt } from '@bay/core/pull';
import type { SnagRecord, SnagWay } from '@bay/core/pull';
import { counted } from '@bay/core/units';
import { readFoundBefore } from '@bay/contract/pull';
import { call, keys } from '../api/index.ts';
import { useJob, usePut, useRecordForm, useRecords } from '../sheet/index.ts';
import { dueWords, FormDialog, measured, MeasuredInput, Trouble } from '../ui/index.ts';
import styles from './pull.module.css';

const numberOf = (value: number | undefined, unit: string): string => (value === undefined ? '' : `${value} ${unit}`);

/** What was found at a step otherwise than planned: what it is, what is done about it, what that costs. */
export function SnagForm({ step, recordKey, close }: { step: string; recordKey?: string; close: () => void }) {
  const snags = useRecords('snag');
  const now = recordKey === undefined ? undefined : snags[recordKey];
  const form = useRecordForm({
    kind: 'snag',
    key: recordKey,
    about: recordKey ?? `found at ${step}`,
    initial: {
      what: now?.what ?? '',
      sort: now?.sort ?? 'stuck',
      ways: [...(now?.ways ?? [])] as string[],
      extra: numberOf(now?.extraMinutes, 'min'),
      soak: numberOf(now?.soakHours, 'h'),
      how: now?.ended?.how ?? '',
    },
    sent: (v) => ({
      step,
      sort: v.sort,
      what: v.what.trim(),
      ways: v.ways,
      extraMinutes: measured(v.extra, 'min'),
      soakHours: v.ways.includes('soak') ? measured(v.soak, 'h') : undefined,
      ...(v.how.trim() === '' ? {} : { ended: { how: v.how.trim() } }),
    }),
    names: { extraMinutes: 'extra', soakHours: 'soak', 'ended.how': 'how', ended: 'how' },
  });
  const { ways } = form.values;
  const turn = (way: SnagWay, on: boolean): void =>
    form.set({ ways: on ? [...ways, way] : ways.filter((w) => w !== way) });
  return (
    <FormDialog
      title={`Found at: ${shortTitleOf(step)}`}
      submit="Keep"
      size="lg"
      of={form}
      send={form.send}
      close={close}
    >
      <TextInput label="What was found" placeholder="two studs will not turn" data-autofocus {...form.field('what')} />
      <div className="fields">
        <Select
          label="Sort"
          data={snagSorts.map((value) => ({ value, label: snagSortWords[value] }))}
          allowDeselect={false}
          {...form.field('sort')}
        />
        <MeasuredInput label="Work besides what was planned" unit="min" {...form.field('extra')} />
      </div>
      <fieldset className={styles['ways']}>
        <legend>What is done about it</legend>
        {snagWays.map((way) => (
          <Checkbox
            key={way}
            label={snagWayWords[way]}
            checked={ways.includes(way)}
            onChange={(e) => turn(way, e.currentTarget.checked)}
          />
        ))}
      </fieldset>
      {ways.includes('soak') && <MeasuredInput label="It soaks for" unit="h" {...form.field('soak')} />}
      {(ways.includes('heat') || ways.includes('cut')) && (
        <p className="caution">
          Heat and sparks: no open fuel, no vapour, no soaked rag, extinguisher at hand, somebody watches for half an
          hour. Penetrant burns. The maker's manual and local rules go first.
        </p>
      )}
      {now && <TextInput label="Behind us: how it came off" {...form.field('how')} />}
    </FormDialog>
  );
}

const aboutSnag = (snag: SnagRecord): string => {
  const until = snagOpen(snag) ? soakedAt(snag) : undefined;
  return [
    ...snag.ways.map((w) => snagWayWords[w].toLowerCase()),
    until === undefined ? '' : `soaks until ${dueWords(until)}`,
    snag.extraMinutes === undefined ? '' : `${snag.extraMinutes} min more`,
    snag.ended ? `behind us: ${snag.ended.how}` : '',
  ]
    .filter((w) => w !== '')
    .join(', ');
};

/** One thing that was found, with what became of it. */
function Line({ recordKey, snag, titled }: { recordKey: string; snag: SnagRecord; titled: boolean }) {
  const { mayWrite } = useJob();
  const put = usePut();
  const [editing, setEditing] = useState(false);
  return (
    <li>
      <span>
        {titled && <b>{shortTitleOf(snag.step)}: </b>}
        <span className={snagOpen(snag) ? 'ochre' : ''}>{snag.what}</span>{' '}
        <span className="quiet">
          {snagSortWords[snag.sort].toLowerCase()}
          {aboutSnag(snag) === '' ? '' : `; ${aboutSnag(snag)}`}
        </span>
        <Trouble of={put} />
      </span>
      {mayWrite && (
        <span className="row-actions">
          <button
            type="button"
            className="plain-button small bare"
            aria-label={`${snag.ended ? 'Change' : 'Change, or behind us'}: ${snag.what}`}
            onClick={() => setEditing(true)}
          >
            {snag.ended ? 'Change' : 'Change, or behind us'}
          </button>
          <button
            type="button"
            className="plain-button small bare"
            aria-label={`Written in error: ${snag.what}`}
            disabled={put.isPending}
            onClick={() => put.mutate({ kind: 'snag', key: recordKey, data: { ...snag, removed: true } })}
          >
            Written in error
          </button>
        </span>
      )}
      {editing && <SnagForm step={snag.step} recordKey={recordKey} close={() => setEditing(false)} />}
    </li>
  );
}

/** What the same step brought on other jobs of the shop: time to allow, and what is at hand beforehand. */
export function FoundElsewhere({ step }: { step: string }) {
  const jobId = useJob().sheet.job.id;
  const before = useQuery({
    queryKey: keys.foundBefore(jobId),
    queryFn: () => call(readFoundBefore, { params: { jobId } }),
  });
  const here = before.data?.found.find((f) => f.step === step);
  if (!here) return null;
  return (
    <p className="meta ochre">
      On other jobs found otherwise here {here.times === 1 ? 'once' : `${here.times} times`}
      {here.minutes === null ? '' : `, ${Math.round(here.minutes)} min more (the middle of them)`}
      {here.ways.length > 0 ? `: ${here.ways.map((w) => snagWayWords[w].toLowerCase()).join(', ')}` : ''}
    </p>
  );
}

/** What was found at one step. */
export function SnagsAt({ step }: { step: string }) {
  const here = Object.entries(useRecords('snag')).filter(([, s]) => s.step === step && !s.removed);
  if (here.length === 0) return null;
  return (
    <ul className="things" aria-label="Found otherwise here">
      {here.map(([key, snag]) => (
        <Line key={key} recordKey={key} snag={snag} titled={false} />
      ))}
    </ul>
  );
}

/** Planned against found: what was otherwise, and what was done out of its order, of one list of steps. */
export function PlannedAgainstFound({ keys }: { keys: ReadonlySet<string> }) {
  const snags = Object.entries(useRecords('snag')).filter(([, s]) => keys.has(s.step) && !s.removed);
  const tasks = Object.entries(useRecords('task')).filter(([key, t]) => keys.has(key) && t.deviation);
  if (snags.length + tasks.length === 0) return null;
  const minutes = snags.reduce((sum, [, s]) => sum + (s.extraMinutes ?? 0), 0);
  const open = snags.filter(([, s]) => snagOpen(s)).length;
  return (
    <section className="panel no-print" aria-label="Planned against found">
      <div className="bench-head">
        <h3>Planned against found</h3>
        <span className="quiet">
          {counted(snags.length, 'thing')} otherwise, {open} open
          {minutes > 0 ? `, ${minutes} min more than planned` : ''}
          {tasks.length > 0 ? `; ${counted(tasks.length, 'step')} out of its order` : ''}
        </span>
      </div>
      <ul className="things">
        {snags.map(([key, snag]) => (
          <Line key={key} recordKey={key} snag={snag} titled />
        ))}
        {tasks.map(([key, t]) => (
          <li key={key}>
            <span>
              <b>{shortTitleOf(key)}:</b> out of its order, {t.deviation!.why}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Opens the form of what was found at a step. */
export function FoundOtherwise({ step }: { step: string }) {
  const [asking, ask] = useState(false);
  return (
    <>
      <button type="button" className="plain-button small" onClick={() => ask(true)}>
        Found otherwise
      </button>
      {asking && <SnagForm step={step} close={() => ask(false)} />}
    </>
  );
}
