import { Autocomplete, Button } from '@mantine/core';
import { useState } from 'react';
import { boltPlaces, fieldAspect } from '@bay/core/prep';
import type { JointRecord } from '@bay/core/prep';
import { useJob, usePut, useRecords } from '../sheet/index.ts';
import { Trouble } from '../ui/index.ts';
import { BoltField } from '../ui/BoltField.tsx';
import type { BoltMark } from '../ui/BoltField.tsx';

/** The bolts of a joint where they were, each with the bag it lies in: tap one, say the bag, and the next has the same offered. */
export function BagMap({ recordKey, record }: { recordKey: string; record: JointRecord }) {
  const { mayWrite } = useJob();
  const put = usePut();
  const labels = [...new Set(Object.values(useRecords('bag')).map((b) => b.label))];
  const bags = record.bags ?? {};
  const numbers = boltPlaces(record).map((p) => p.bolt);
  const [picked, pick] = useState<string>();
  const at = picked ?? numbers.find((n) => bags[n] === undefined);
  const last = Object.values(bags).at(-1) ?? '';
  const [typed, type] = useState<string>();
  const bag = typed ?? (at === undefined ? '' : (bags[at] ?? last));
  const marks = new Map<string, BoltMark>(
    Object.entries(bags).map(([bolt, label]) => [bolt, { state: 'tight', said: `bag ${label}` }]),
  );
  const write = (next: Record<string, string>): void =>
    put.mutate(
      { kind: 'joint', key: recordKey, data: { ...record, bags: next } },
      { onSuccess: () => pick(undefined) },
    );
  return (
    <>
      <BoltField
        label={`Bags of the bolts of ${record.name}`}
        places={boltPlaces(record)}
        aspect={fieldAspect(record)}
        order={numbers}
        marks={marks}
        at={at}
        pick={(bolt) => {
          pick(bolt);
          type(undefined);
        }}
      />
      {mayWrite && at !== undefined && (
        <form
          className="fields"
          onSubmit={(e) => {
            e.preventDefault();
            if (bag.trim() !== '') write({ ...bags, [at]: bag.trim() });
          }}
        >
          <Autocomplete label={`Bolt ${at} lies in bag`} data={labels} value={bag} onChange={type} maxLength={20} />
          <div className="row-actions">
            <Button type="submit" disabled={bag.trim() === ''} loading={put.isPending}>
              In this bag
            </Button>
            {bags[at] !== undefined && (
              <Button
                variant="default"
                onClick={() => write(Object.fromEntries(Object.entries(bags).filter(([bolt]) => bolt !== at)))}
              >
                Back in its hole
              </Button>
            )}
          </div>
        </form>
      )}
      <Trouble of={put} />
      <p className="quiet">
        {Object.keys(bags).length === 0
          ? 'No bolt has a bag yet.'
          : [...new Set(Object.values(bags))]
              .map(
                (label) =>
                  `bag ${label}: ${Object.keys(bags)
                    .filter((n) => bags[n] === label)
                    .join(', ')}`,
              )
              .join('; ')}
      </p>
    </>
  );
}
