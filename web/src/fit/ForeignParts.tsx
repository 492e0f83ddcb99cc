import { Button, TextInput } from '@mantine/core';
import { useState } from 'react';
import { interfaceOf, interfaces } from '@bay/core/fit';
import { useJob, usePut, useRecordForm, useRecords } from '../sheet/index.ts';
import { FormDialog, Several, Trouble, words } from '../ui/index.ts';

const places = interfaces.map((i) => ({ value: i.id, label: i.title }));

/** A part on the car that is not its own, with the places it stands at. */
export function ForeignPartForm({ recordKey, close }: { recordKey?: string; close: () => void }) {
  const records = useRecords('foreign-part');
  const now = recordKey === undefined ? undefined : records[recordKey];
  const form = useRecordForm({
    kind: 'foreign-part',
    key: recordKey,
    about: recordKey ?? 'part of others',
    initial: { what: now?.what ?? '', places: [...(now?.places ?? [])], note: now?.note ?? '' },
    sent: (v) => ({
      what: v.what.trim(),
      places: v.places,
      note: words(v.note),
      ...(now?.held ? { held: now.held } : {}),
    }),
  });
  return (
    <FormDialog
      title={now ? now.what : 'On the car, and not its own'}
      submit="Keep"
      of={form}
      send={form.send}
      close={close}
    >
      <TextInput label="What it is" placeholder="tube header of an earlier owner" {...form.field('what')} />
      <Several label="Places it stands at" data={places} {...form.field('places')} />
      <TextInput label="Note" placeholder="maker, number, how it was fitted" {...form.field('note')} />
    </FormDialog>
  );
}

/** Parts on the car that are not its own: a bought part made for the car as it was built may not go beside them. */
export function ForeignParts() {
  const { mayWrite } = useJob();
  const put = usePut();
  const records = useRecords('foreign-part');
  const [open, setOpen] = useState<string>();
  const here = Object.entries(records).filter(([, r]) => !r.gone);
  return (
    <section style={{ marginTop: 18 }} aria-label="Not this car's own">
      <h3>Not this car's own</h3>
      <p className="quiet">
        {here.length === 0
          ? 'Nothing written. A part that another owner put on stands in the way of one made for the car as it was built.'
          : 'What is ordered for these places is held against them first.'}
      </p>
      <ul className="rows">
        {here.map(([key, r]) => (
          <li key={key} style={{ display: 'flex', flexWrap: 'wrap', justifyContent: 'space-between', gap: '4px 12px' }}>
            <span>
              <b>{r.what}</b>{' '}
              <span className="quiet">
                {r.places.map((id) => interfaceOf(id).title).join('; ')}
                {r.note ? `. ${r.note}` : ''}
              </span>
            </span>
            {mayWrite && (
              <span className="row-actions">
                <Button variant="subtle" aria-label={`Change: ${r.what}`} onClick={() => setOpen(key)}>
                  Change
                </Button>
                <Button
                  variant="subtle"
                  aria-label={`Off the car: ${r.what}`}
                  loading={put.isPending}
                  onClick={() => put.mutate({ kind: 'foreign-part', key, data: { ...r, gone: true } })}
                >
                  Off the car
                </Button>
              </span>
            )}
          </li>
        ))}
      </ul>
      <Trouble of={put} />
      {mayWrite && (
        <div className="row-actions">
          <Button variant="default" onClick={() => setOpen('new')}>
            Write one down
          </Button>
        </div>
      )}
      {open !== undefined && (
        <ForeignPartForm {...(open === 'new' ? {} : { recordKey: open })} close={() => setOpen(undefined)} />
      )}
    </section>
  );
}
