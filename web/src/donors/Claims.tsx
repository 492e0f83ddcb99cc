import { Button, Select, TextInput } from '@mantine/core';
import { useState } from 'react';
import { claimsOn } from '@bay/core/donors';
import type { ClaimOn, ClaimRecord } from '@bay/core/donors';
import { useJob, useRecordForm, useRecords } from '../sheet/index.ts';
import { dayWords, FormDialog } from '../ui/index.ts';

const onWords: Readonly<Record<ClaimOn, string>> = { engine: 'Engine', gearbox: 'Gearbox', car: 'Whole car' };

export function ClaimForm({ close }: { close: () => void }) {
  const claims = Object.values(useRecords('claim'));
  const form = useRecordForm({
    kind: 'claim',
    initial: { what: '', saidBy: claims.at(-1)?.saidBy ?? '', on: 'engine' as const },
    sent: (v) => v,
  });
  return (
    <FormDialog title="Somebody says of it" submit="Only said so far" of={form} send={form.send} close={close}>
      <TextInput
        label="What was done or is so, one thing alone"
        placeholder="timing belt was replaced"
        data-autofocus
        {...form.field('what')}
      />
      <div className="fields">
        <TextInput label="Who says it" {...form.field('saidBy')} />
        <Select
          label="Of what"
          data={claimsOn.map((value) => ({ value, label: onWords[value] }))}
          allowDeselect={false}
          {...form.field('on')}
        />
      </div>
    </FormDialog>
  );
}

export function LookedForm({ recordKey, claim, close }: { recordKey: string; claim: ClaimRecord; close: () => void }) {
  const form = useRecordForm({
    kind: 'claim',
    key: recordKey,
    about: `look ${recordKey}`,
    initial: { holds: null as string | null, how: '' },
    sent: (v) => ({ ...claim, looked: { holds: v.holds === null ? undefined : v.holds === 'yes', how: v.how } }),
    names: { 'looked.holds': 'holds', 'looked.how': 'how' },
    merges: true,
  });
  return (
    <FormDialog title={claim.what} submit="Looked at" of={form} send={form.send} close={close}>
      <Select
        label="Does it hold"
        data={[
          { value: 'yes', label: 'It holds' },
          { value: 'no', label: 'It does not' },
        ]}
        {...form.field('holds')}
      />
      <TextInput label="How it was looked at" placeholder="date on the belt read" {...form.field('how')} />
    </FormDialog>
  );
}

/** What a seller says, one thing a line: each is only said until somebody looked, and holds the engine open until then. */
export function Claims() {
  const { mayWrite } = useJob();
  const claims = Object.entries(useRecords('claim'));
  const [adding, setAdding] = useState(false);
  const [looking, setLooking] = useState<string>();
  const open = claims.filter(([, c]) => !c.looked).length;
  return (
    <section className="panel" aria-label="What the seller says">
      <div className="bench-head">
        <h3>What the seller says</h3>
        <span className={open > 0 ? 'ochre' : 'quiet'}>
          {claims.length === 0
            ? 'one thing a line; nothing rests on it before somebody looked'
            : open > 0
              ? `${open} of ${claims.length} only said: the engine is not closed up on it`
              : `all ${claims.length} looked at`}
        </span>
        {mayWrite && (
          <span className="right no-print">
            <Button variant="default" onClick={() => setAdding(true)}>
              Something is said
            </Button>
          </span>
        )}
      </div>
      <ul className="rows">
        {claims.map(([key, c]) => (
          <li key={key} className="row-actions">
            <span>
              <b>{c.what}</b>{' '}
              <span className="quiet">
                {onWords[c.on].toLowerCase()}, said by {c.saidBy}
              </span>{' '}
              {c.looked && (
                <span className={c.looked.holds ? 'teal' : 'oxide'}>
                  {c.looked.holds ? 'holds' : 'does not hold'}: {c.looked.how} ({c.looked.by},{' '}
                  {c.looked.at ? dayWords(c.looked.at) : ''})
                </span>
              )}
            </span>
            {!c.looked && mayWrite && (
              <button
                type="button"
                className="plain-button small"
                aria-label={`Looked: ${c.what}`}
                onClick={() => setLooking(key)}
              >
                Somebody looked
              </button>
            )}
          </li>
        ))}
      </ul>
      {adding && <ClaimForm close={() => setAdding(false)} />}
      {looking !== undefined && (
        <LookedForm
          recordKey={looking}
          claim={claims.find(([key]) => key === looking)![1]}
          close={() => setLooking(undefined)}
        />
      )}
    </section>
  );
}
