import { TextInput } from '@mantine/core';
import { useState } from 'react';
import { moneyFigures } from '@bay/core/money';
import { useCurrency } from '../money/index.ts';
import { useJob, usePut, useRecordForm, useRecords } from '../sheet/index.ts';
import { FormDialog, money, MoneyInput } from '../ui/index.ts';

/** A piece that is missing on a candidate. */
function PieceForm({ unitId, seesMoney, close }: { unitId: string; seesMoney: boolean; close: () => void }) {
  const currency = useCurrency();
  const form = useRecordForm({
    kind: 'candidate-piece',
    about: unitId,
    initial: { what: '', price: '' },
    sent: (v) => ({ unitId, what: v.what, ...(seesMoney ? { price: money(v.price, currency) } : {}) }),
  });
  return (
    <FormDialog title="Missing on it" submit="It is missing" of={form} send={form.send} close={close}>
      <TextInput label="What is missing" data-autofocus {...form.field('what')} />
      {seesMoney && <MoneyInput label="What it costs" currency={currency} {...form.field('price')} />}
    </FormDialog>
  );
}

/** What is missing on a candidate: a bare one is dearer than it looks. */
export function MissingPieces({
  unitId,
  name,
  seesMoney,
  adds,
}: {
  unitId: string;
  name: string;
  seesMoney: boolean;
  /** Something may be added: the card of the candidate is open. */
  adds: boolean;
}) {
  const { mayWrite, sheet } = useJob();
  const currency = useCurrency();
  const put = usePut();
  const [adding, setAdding] = useState(false);
  const pieces = Object.entries(useRecords('candidate-piece')).filter(([, p]) => p.unitId === unitId && !p.gone);
  return (
    <>
      {pieces.map(([key, p]) => (
        <p key={key}>
          without {p.what}
          {seesMoney && (
            <span className="mono"> {p.price === undefined ? 'no price' : moneyFigures(p.price, currency)}</span>
          )}{' '}
          {mayWrite && (
            <button
              type="button"
              className="plain-button small bare"
              aria-label={`Not missing after all: ${p.what}`}
              onClick={() =>
                put.mutate({
                  kind: 'candidate-piece',
                  key,
                  data: { unitId, what: p.what, gone: true, ...(p.price === undefined ? {} : { price: p.price }) },
                  revision: sheet.records.find((r) => r.kind === 'candidate-piece' && r.key === key)?.revision ?? 0,
                })
              }
            >
              it is there
            </button>
          )}
        </p>
      ))}
      {mayWrite && adds && (
        <button
          type="button"
          className="plain-button small bare"
          aria-label={`Something is missing on ${name}`}
          onClick={() => setAdding(true)}
        >
          Missing on it
        </button>
      )}
      {adding && <PieceForm unitId={unitId} seesMoney={seesMoney} close={() => setAdding(false)} />}
    </>
  );
}
