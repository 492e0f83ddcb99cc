import { Button, Select, TextInput } from '@mantine/core';
import { useState } from 'react';
import { harvestParts } from '@bay/core/donors';
import type { DonorWantRecord } from '@bay/core/donors';
import { useJob, useRecordForm, useRecords } from '../sheet/index.ts';
import { FormDialog } from '../ui/index.ts';

const titleOfTake = (id: string): string => harvestParts.find((p) => p.id === id)?.title ?? id;

export function WantForm({ recordKey, now, close }: { recordKey?: string; now?: DonorWantRecord; close: () => void }) {
  const form = useRecordForm({
    kind: 'donor-want',
    key: recordKey,
    about: recordKey ?? 'want',
    initial: { takeId: now?.takeId ?? null, what: now?.what ?? '', how: '' },
    sent: (v) => ({
      takeId: v.takeId,
      what: v.what.trim(),
      ...(v.how.trim() === '' ? {} : { ended: { how: v.how.trim() } }),
    }),
    names: { 'ended.how': 'how' },
  });
  return (
    <FormDialog title="Wanted from a donor" submit="Keep" of={form} send={form.send} close={close}>
      <p className="quiet">
        For what no line of the kit names. It stands on the harvest list of every other donor of the shop, and such a
        part does not leave without a word.
      </p>
      <TextInput label="What exactly" placeholder="cluster with a rev counter" data-autofocus {...form.field('what')} />
      <Select
        label="Which line of the harvest gives it"
        searchable
        data={harvestParts.map((p) => ({ value: p.id, label: p.title }))}
        {...form.field('takeId')}
      />
      {now && <TextInput label="No longer wanted, because" {...form.field('how')} />}
    </FormDialog>
  );
}

/** What this job wants from any donor of the shop and no line of its kit names. */
export function DonorWants() {
  const { mayWrite } = useJob();
  const wants = Object.entries(useRecords('donor-want')).filter(([, w]) => !w.ended);
  const [open, setOpen] = useState<string>();
  const [adding, setAdding] = useState(false);
  return (
    <section className="panel" aria-label="Wanted from a donor">
      <div className="bench-head">
        <h3>Wanted from any donor</h3>
        <span className="quiet">
          {wants.length === 0 ? 'nothing besides the kit' : 'stands on the harvest list of the others'}
        </span>
        {mayWrite && (
          <span className="right no-print">
            <Button variant="default" onClick={() => setAdding(true)}>
              Something is wanted
            </Button>
          </span>
        )}
      </div>
      {wants.length > 0 && (
        <ul className="things">
          {wants.map(([key, w]) => (
            <li key={key}>
              <span>
                <b>{w.what}</b> <span className="quiet">{titleOfTake(w.takeId).toLowerCase()}</span>
              </span>
              {mayWrite && (
                <button
                  type="button"
                  className="plain-button small bare"
                  aria-label={`Change what is wanted: ${w.what}`}
                  onClick={() => setOpen(key)}
                >
                  Change
                </button>
              )}
            </li>
          ))}
        </ul>
      )}
      {adding && <WantForm close={() => setAdding(false)} />}
      {open !== undefined && (
        <WantForm recordKey={open} now={wants.find(([key]) => key === open)![1]} close={() => setOpen(undefined)} />
      )}
    </section>
  );
}
