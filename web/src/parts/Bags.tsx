import { Button, Select, TextInput } from '@mantine/core';
import { useState } from 'react';
import { bagReuses, bagReuseWords } from '@bay/core/parts';
import type { BagRecord } from '@bay/core/parts';
import { counted } from '@bay/core/units';
import { useJob, usePut, useRecordForm, useRecords } from '../sheet/index.ts';
import { Fold, FormDialog, measured, MeasuredInput, Trouble, useNarrow, FindIn, words } from '../ui/index.ts';

/** The next free number among bags of this job, as three figures. */
function nextBag(bags: readonly BagRecord[]): string {
  const used = bags.flatMap((b) => /^(\d+)$/.exec(b.label)?.[1] ?? []);
  return String(Math.max(0, ...used.map(Number)) + 1).padStart(3, '0');
}

/** A bag of bolts: what, how many, their thread and length, where it lies, and whether they go on again. */
export function BagForm({ recordKey, close }: { recordKey?: string; close: () => void }) {
  const bags = useRecords('bag');
  const now = recordKey === undefined ? undefined : bags[recordKey];
  const all = Object.values(bags);
  const form = useRecordForm({
    kind: 'bag',
    key: recordKey,
    about: recordKey ?? 'new bag',
    initial: {
      what: now?.what ?? '',
      label: now?.label ?? nextBag(all),
      place: now?.place ?? all.at(-1)?.place ?? '',
      count: now?.count === undefined ? '' : String(now.count),
      thread: now?.thread ?? '',
      length: now?.lengthMm === undefined ? '' : `${now.lengthMm} mm`,
      head: now?.head ?? '',
      reuse: now?.reuse ?? '',
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
      ...(now?.back ? { back: now.back } : {}),
    }),
    names: { lengthMm: 'length' },
  });
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
      </div>
    </FormDialog>
  );
}

/** What the bolts of a bag are, in one line. */
const sizeOf = (b: BagRecord): string =>
  [
    b.count === undefined ? '' : `${b.count} ×`,
    b.thread ?? '',
    b.lengthMm === undefined ? '' : `${b.lengthMm} mm`,
    b.head ?? '',
  ]
    .filter((w) => w !== '')
    .join(' ');

function Line({ recordKey, bag, edit }: { recordKey: string; bag: BagRecord; edit: () => void }) {
  const { mayWrite } = useJob();
  const put = usePut();
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
          {[sizeOf(bag), bag.place ?? 'no place', bag.reuse === 'while-missing' ? 'replaced while one is missing' : '']
            .filter((w) => w !== '')
            .join(', ')}
        </p>
        <Trouble of={put} />
      </div>
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
