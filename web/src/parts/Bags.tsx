import { Button, Select, TextInput } from '@mantine/core';
import { useState } from 'react';
import { bagReuses, bagReuseWords, bagWantedAt, boltsOf, leftOverOf, refitsOf, returnDefs } from '@bay/core/parts';
import type { BagRecord } from '@bay/core/parts';
import { shortTitleOf } from '@bay/core/plan';
import { counted } from '@bay/core/units';
import { useJob, usePut, useRecordForm, useRecords } from '../sheet/index.ts';
import { Fold, FormDialog, measured, MeasuredInput, Trouble, useNarrow, FindIn, words } from '../ui/index.ts';

/** The next free number among bags of this job, as three figures. */
function nextBag(bags: readonly BagRecord[]): string {
  const used = bags.flatMap((b) => /^(\d+)$/.exec(b.label)?.[1] ?? []);
  return String(Math.max(0, ...used.map(Number)) + 1).padStart(3, '0');
}

/** A bag of bolts: what, how many, their thread and length, where it lies, and whether they go on again. */
export function BagForm({ recordKey, step, close }: { recordKey?: string; step?: string; close: () => void }) {
  const { plan } = useJob();
  const bags = useRecords('bag');
  const now = recordKey === undefined ? undefined : bags[recordKey];
  const all = Object.values(bags);
  const form = useRecordForm({
    kind: 'bag',
    key: recordKey,
    about: recordKey ?? `new bag ${step ?? ''}`,
    initial: {
      what: now?.what ?? '',
      label: now?.label ?? nextBag(all),
      place: now?.place ?? all.at(-1)?.place ?? '',
      count: now?.count === undefined ? '' : String(now.count),
      thread: now?.thread ?? '',
      length: now?.lengthMm === undefined ? '' : `${now.lengthMm} mm`,
      head: now?.head ?? '',
      reuse: now?.reuse ?? '',
      goesAt: now?.goesAt ?? '',
    },
    sent: (v) => ({
      what: v.what,
      label: v.label,
      place: words(v.place),
      count: v.count.trim() === '' ? undefined : Number(v.count),
      thread: words(v.thread),
      lengthMm: measured(v.length, 'mm'),
      head: words(v.head),
      reuse: words(v.reuse),
      step: now?.step ?? step,
      goesAt: words(v.goesAt),
      ...(now?.back ? { back: now.back } : {}),
      ...(now?.leftOver === undefined ? {} : { leftOver: now.leftOver, leftWhy: now.leftWhy }),
    }),
    names: { lengthMm: 'length' },
  });
  const by = refitsOf(now?.step ?? step ?? '');
  const refitting = [
    ...returnDefs.map((r) => r.id),
    ...[plan.goingIn, plan.build].flatMap((list) => list.lines.map((l) => l.def.id)),
  ].map((value) => ({ value, label: shortTitleOf(value) }));
  const label = form.field('label');
  const twice = Object.entries(bags).some(
    ([key, b]) => key !== recordKey && !b.back && b.label.toLowerCase() === form.values.label.trim().toLowerCase(),
  );
  return (
    <FormDialog
      title={now ? `Bag ${now.label}` : 'A bag of bolts'}
      submit={now ? 'Keep' : 'Bagged'}
      size="lg"
      of={form}
      send={form.send}
      close={close}
      disabled={twice}
    >
      <TextInput label="What is in it" placeholder="bell bolts, upper" data-autofocus {...form.field('what')} />
      <div className="fields">
        <TextInput
          label="Bag number"
          {...label}
          error={twice ? `Bag ${form.values.label} is not empty yet.` : label.error}
          classNames={{ input: 'mono' }}
        />
        <TextInput label="Lies at" placeholder="shelf C2" {...form.field('place')} />
        <TextInput label="How many" inputMode="numeric" {...form.field('count')} />
        <TextInput label="Thread" placeholder="M10 x 1.5" {...form.field('thread')} />
        <MeasuredInput label="Length" unit="mm" {...form.field('length')} />
        <TextInput label="Head and washer" placeholder="13 mm, washer" {...form.field('head')} />
        <Select
          label="When it goes back"
          data={[
            { value: '', label: 'Nobody said' },
            ...bagReuses.map((value) => ({ value, label: bagReuseWords[value] })),
          ]}
          allowDeselect={false}
          {...form.field('reuse')}
        />
        <Select
          label="The step at which they go back"
          searchable
          data={[
            { value: '', label: by.length > 0 ? `As usual: ${by.map(shortTitleOf).join(' or ')}` : 'Nobody said' },
            ...refitting,
          ]}
          allowDeselect={false}
          {...form.field('goesAt')}
        />
      </div>
    </FormDialog>
  );
}

/** The bolts of a bag went back: all of them, or some are left over and somebody says why. */
export function BackForm({ recordKey, bag, close }: { recordKey: string; bag: BagRecord; close: () => void }) {
  const form = useRecordForm({
    kind: 'bag',
    key: recordKey,
    about: `back ${recordKey}`,
    initial: { left: bag.leftOver === undefined ? '' : String(bag.leftOver), why: bag.leftWhy ?? '' },
    sent: (v) => ({
      ...bag,
      back: {},
      leftOver: v.left.trim() === '' ? undefined : Number(v.left),
      leftWhy: words(v.why),
    }),
    names: { leftOver: 'left', leftWhy: 'why' },
    merges: true,
  });
  return (
    <FormDialog title={`Bag ${bag.label} goes back`} submit="It is empty" of={form} send={form.send} close={close}>
      <p className="quiet">
        {bag.what} {boltsOf(bag)}
      </p>
      <div className="fields">
        <TextInput
          label="Left over"
          placeholder="0"
          inputMode="numeric"
          data-autofocus
          {...form.field('left')}
          classNames={{ input: 'mono' }}
        />
        <TextInput label="Why they are over" placeholder="the new bracket takes four of six" {...form.field('why')} />
      </div>
    </FormDialog>
  );
}

/** Bags that a step wants, with where each lies: put back whole, or with what is left over. */
export function BagsAt({ step }: { step: string }) {
  const { mayWrite } = useJob();
  const put = usePut();
  const [back, setBack] = useState<string>();
  const bags = useRecords('bag');
  const wanted = Object.entries(bags).filter(([, b]) => bagWantedAt(b).includes(step));
  const full = wanted.filter(([, b]) => !b.back);
  const over = wanted.flatMap(([, b]) => (b.back && b.leftOver ? [`${b.leftOver} of bag ${b.label}`] : []));
  if (wanted.length === 0) return null;
  return (
    <>
      {full.length > 0 && (
        <ul className="things" aria-label="Bags it wants">
          {full.map(([key, b]) => (
            <li key={key}>
              <span>
                <b>Bag {b.label}</b> {b.what}{' '}
                <span className="quiet">{[boltsOf(b), b.place ?? 'no place'].filter((w) => w !== '').join(', ')}</span>
                {b.reuse === 'replace' && <span className="ochre"> new ones go in</span>}
              </span>
              {mayWrite && (
                <span className="row-actions">
                  <button
                    type="button"
                    className="plain-button small"
                    aria-label={`All back: bag ${b.label}`}
                    disabled={put.isPending}
                    onClick={() => put.mutate({ kind: 'bag', key, data: { ...b, back: {} } })}
                  >
                    All back
                  </button>
                  <button
                    type="button"
                    className="plain-button small bare"
                    aria-label={`Some left over: bag ${b.label}`}
                    onClick={() => setBack(key)}
                  >
                    Some left over
                  </button>
                </span>
              )}
            </li>
          ))}
        </ul>
      )}
      {over.length > 0 && <p className="meta ochre">Left over here: {over.join(', ')}</p>}
      <Trouble of={put} />
      {back !== undefined && <BackForm recordKey={back} bag={bags[back]!} close={() => setBack(undefined)} />}
    </>
  );
}

function Line({ recordKey, bag, edit }: { recordKey: string; bag: BagRecord; edit: () => void }) {
  const { mayWrite } = useJob();
  const put = usePut();
  const [back, setBack] = useState(false);
  return (
    <li className={`step ${bag.back ? 'done' : 'free'}`}>
      <button
        type="button"
        className="tick"
        aria-label={`Went back on: bag ${bag.label}`}
        disabled={!mayWrite || bag.back !== undefined || put.isPending}
        onClick={() => put.mutate({ kind: 'bag', key: recordKey, data: { ...bag, back: {} } })}
      >
        <span className="mark" aria-hidden="true">
          {bag.back ? '✓' : ''}
        </span>
      </button>
      <div>
        <button type="button" className="title" onClick={edit}>
          <span className="mono">{bag.label} </span>
          {bag.what} {bag.reuse === 'replace' && <span className="tag ochre">always replaced</span>}
        </button>
        <p className="meta">
          {[boltsOf(bag), bag.place ?? 'no place', bag.reuse === 'while-missing' ? 'replaced while one is missing' : '']
            .filter((w) => w !== '')
            .join(', ')}
        </p>
        <Trouble of={put} />
      </div>
      {!bag.back && mayWrite && (
        <div className="actions">
          <button
            type="button"
            className="plain-button small bare"
            aria-label={`Some left over: bag ${bag.label}`}
            onClick={() => setBack(true)}
          >
            Some left over
          </button>
        </div>
      )}
      {back && <BackForm recordKey={recordKey} bag={bag} close={() => setBack(false)} />}
    </li>
  );
}

/** The bags of a job: those that are full first, ticked as their bolts go back; what is left over at the end is seen. */
export function Bags() {
  const { mayWrite } = useJob();
  const bags = Object.entries(useRecords('bag')).sort(([, a], [, b]) =>
    a.label.localeCompare(b.label, 'en', { numeric: true }),
  );
  const [adding, setAdding] = useState(false);
  const [editing, setEditing] = useState<string>();
  const [emptied, setEmptied] = useState(false);
  const list = useNarrow(bags, ([, b]) => `${b.label} ${b.what} ${b.place ?? ''} ${b.thread ?? ''}`);
  const over = leftOverOf(Object.fromEntries(bags));
  const full = list.shown.filter(([, b]) => !b.back);
  const empty = list.shown.filter(([, b]) => b.back);
  const row = ([key, bag]: [string, BagRecord]) => (
    <Line key={key} recordKey={key} bag={bag} edit={() => mayWrite && setEditing(key)} />
  );
  return (
    <section className="panel" aria-label="Bags of bolts">
      <div className="bench-head">
        <h3>Bags</h3>
        <span className="quiet" role="status">
          {bags.length === 0
            ? 'none yet'
            : `${counted(bags.filter(([, b]) => !b.back).length, 'bag')} to go back, of ${bags.length}`}
        </span>
        {mayWrite && (
          <span className="right no-print">
            <Button variant="default" onClick={() => setAdding(true)}>
              Bag some bolts
            </Button>
          </span>
        )}
      </div>
      {bags.length > 8 && <FindIn label="Find a bag" value={list.sought} set={list.set} groups={[]} />}
      {over.length > 0 && (
        <p className="ochre">
          Left over: {over.map((o) => `${o.left} of bag ${o.label} (${o.what}; ${o.why})`).join(' · ')}
        </p>
      )}
      <ul className="rows">{full.map(row)}</ul>
      {empty.length > 0 && (
        <Fold name="Went back on" count={empty.length} note="" open={emptied} toggle={() => setEmptied(!emptied)}>
          <ul className="rows">{empty.map(row)}</ul>
        </Fold>
      )}
      {adding && <BagForm close={() => setAdding(false)} />}
      {editing !== undefined && <BagForm recordKey={editing} close={() => setEditing(undefined)} />}
    </section>
  );
}
