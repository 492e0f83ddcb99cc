import { Button, Select, TextInput } from '@mantine/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { harvestParts } from '@bay/core/donors';
import { typedMoney } from '@bay/core/money';
import { partConditions, partFateWords, partSources, partSourceWords } from '@bay/core/parts';
import type { PartRecord } from '@bay/core/parts';
import { may } from '@bay/contract/rights';
import { useMe } from '../api/index.ts';
import { PhotoPicker } from '../logbook/index.ts';
import { useCurrency } from '../money/index.ts';
import { useJob, useRecordForm, useRecords } from '../sheet/index.ts';
import { Form, money, MoneyInput, words } from '../ui/index.ts';

/** Next free label: the letter of the job and a running number. */
function nextLabel(parts: readonly PartRecord[]): string {
  const used = parts.map((p) => /^([A-Z])-(\d+)$/.exec(p.label)).filter((m) => m !== null);
  const letter = used.at(-1)?.[1] ?? 'P';
  return `${letter}-${Math.max(100, ...used.map((m) => Number(m[2]))) + 1}`;
}

/** A part that came off: ticked off its line of the list, or something that stands on none. */
export function TickOff({
  takeId,
  title,
  recordKey,
  now,
  done,
}: {
  takeId: string;
  title: string;
  recordKey?: string;
  now?: PartRecord;
  done: () => void;
}) {
  const records = useRecords('part');
  const parts = Object.values(records);
  const currency = useCurrency();
  const sees = may(useMe().data?.person?.role, 'see-money');
  const form = useRecordForm({
    kind: 'part',
    key: recordKey,
    about: recordKey ?? (takeId === '' ? 'besides the list' : takeId),
    initial: {
      title: now?.title ?? title,
      condition: now?.condition ?? null,
      label: now?.label ?? nextLabel(parts),
      place: now?.place ?? parts.at(-1)?.place ?? '',
      variant: now?.variant ?? '',
      number: now?.number ?? '',
      cameFrom: now?.cameFrom ?? 'donor',
      cameOf: now?.cameOf ?? '',
      notOriginal: now?.notOriginal ?? '',
      value: now?.value === undefined ? '' : typedMoney(now.value, currency),
      note: now?.note ?? '',
      photos: now?.photoId ? [now.photoId] : ([] as string[]),
    },
    sent: (v) => ({
      takeId,
      title: v.title.trim(),
      condition: v.condition,
      label: v.label.toUpperCase(),
      place: v.place,
      variant: words(v.variant),
      number: words(v.number),
      cameFrom: v.cameFrom,
      cameOf: words(v.cameOf),
      notOriginal: words(v.notOriginal),
      value: money(v.value, currency),
      note: words(v.note),
      photoId: v.photos[0],
      ...(now?.fate ? { fate: now.fate } : {}),
      ...(now?.forJob ? { forJob: now.forJob } : {}),
      ...(now?.goneTo ? { goneTo: now.goneTo } : {}),
    }),
    names: { photoId: 'photos' },
  });
  const label = form.field('label');
  const wanted = form.values.label.toUpperCase();
  const taken = Object.entries(records).some(([key, p]) => key !== recordKey && p.label !== '' && p.label === wanted);
  return (
    <Form
      className="card-open"
      of={form}
      submit={now ? 'Keep' : 'Taken off'}
      disabled={taken}
      send={form.send}
      after={done}
      cancel={done}
    >
      <div className="fields">
        <TextInput label="What came off" data-autofocus autoFocus {...form.field('title')} />
        <Select label="Condition" data={[...partConditions]} {...form.field('condition')} />
        <TextInput
          label="Bag or label"
          {...label}
          error={taken ? `${wanted} is on another part of this job.` : label.error}
          classNames={{ input: 'mono' }}
        />
        <TextInput label="Storage place" placeholder="shelf C2" {...form.field('place')} />
        <TextInput label="Exact variant" {...form.field('variant')} />
        <TextInput label="Number on it" {...form.field('number')} classNames={{ input: 'mono' }} />
        <Select
          label="Where it came from"
          data={partSources.map((value) => ({ value, label: partSourceWords[value] }))}
          allowDeselect={false}
          {...form.field('cameFrom')}
        />
        {['supplier', 'breaker', 'customer'].includes(form.values.cameFrom) && (
          <TextInput label="Of whom, and how it was tested" {...form.field('cameOf')} />
        )}
        {sees && <MoneyInput label="Worth" currency={currency} {...form.field('value')} />}
        <TextInput
          label="Not original: what was altered"
          placeholder="shaft shortened by 40 mm"
          {...form.field('notOriginal')}
        />
        <TextInput label="Note" {...form.field('note')} />
      </div>
      <PhotoPicker
        about={recordKey ?? takeId}
        chosen={form.values.photos}
        set={(photos) => form.set({ photos: photos.slice(-1) })}
      />
    </Form>
  );
}

const onTheList: ReadonlySet<string> = new Set(harvestParts.map((p) => p.id));

/** What came off and stands on no list: seats, a battery, whatever somebody may want. */
export function Besides({ editing, edit }: { editing: string | undefined; edit: (key: string | undefined) => void }) {
  const { mayWrite } = useJob();
  const [adding, setAdding] = useState(false);
  const others = Object.entries(useRecords('part')).filter(([, p]) => !onTheList.has(p.takeId));
  return (
    <section aria-label="Besides the list">
      <div className="bench-head">
        <h3>Besides the list</h3>
        <span className="quiet">seats, wheels, a good battery: whatever somebody may want</span>
        {mayWrite && (
          <span className="right no-print">
            <Button variant="default" onClick={() => setAdding(true)}>
              Something else came off
            </Button>
          </span>
        )}
      </div>
      {adding && <TickOff takeId="" title="" done={() => setAdding(false)} />}
      <ul className="things">
        {others.map(([key, p]) => (
          <li key={key}>
            <span>
              <b>{p.title}</b>{' '}
              <span className="quiet">
                {p.condition}, {p.place || 'no place'}
                {p.fate && p.fate !== 'here' ? `, ${partFateWords[p.fate].toLowerCase()}` : ''}
              </span>
              {p.notOriginal && <span className="ochre"> not original: {p.notOriginal}</span>}
            </span>
            <span className="row-actions">
              <Link to={`/parts/${key}`}>Label and QR</Link>
              {mayWrite && (
                <button
                  type="button"
                  className="plain-button small bare"
                  aria-label={`Change the part: ${p.title}`}
                  onClick={() => edit(key)}
                >
                  Change
                </button>
              )}
            </span>
            {editing === key && (
              <TickOff takeId={p.takeId} title={p.title} recordKey={key} now={p} done={() => edit(undefined)} />
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
