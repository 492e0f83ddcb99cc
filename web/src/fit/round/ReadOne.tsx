import { Button, TextInput } from '@mantine/core';
import { useState } from 'react';
import { factDef, factPart, optionWords, partName, readFact, readPart } from '@bay/core/facts';
import type { FactSource } from '@bay/core/facts';
import type { RoundReading } from '@bay/core/fit';
import { StationsInput, usePutFact, usualBearer, useFactRow } from '../../facts/index.ts';
import { ItIsSo, Trouble, useItIsSo } from '../../ui/index.ts';
import styles from '../fit.module.css';
import { HeldTape } from './HeldTape.tsx';
import { Keypad } from './Keypad.tsx';

/** One reading: where the tape is held, a field, big keys; what hardly can be is asked about at once. */
export function ReadOne({ reading, saved, skip }: { reading: RoundReading; saved: () => void; skip: () => void }) {
  const { factId, partKey } = reading;
  const def = factDef(factId);
  const part = factPart(factId, partKey);
  const bearer = usualBearer(factId);
  const row = useFactRow(factId, bearer);
  const [typed, setTyped] = useState('');
  const put = usePutFact();
  const itIsSo = useItIsSo();
  const own = typed.trim() === '' ? undefined : readPart(part, typed);
  const whole = { ...row?.typed, [partKey]: typed };
  const fact = own?.ok ? readFact(factId, whole) : undefined;
  const asks = fact?.ok ? Object.values(fact.asks) : [];
  // What stands beside it unread is not made surer by this one reading.
  const others = Object.keys(row?.parts ?? {}).some((key) => key !== partKey);
  const source: FactSource = others && row && row.source !== 'measured' ? row.source : 'measured';
  const ready = fact?.ok === true && itIsSo.said(asks);
  const save = (): void => {
    if (!ready) return;
    // What is read leaves the list as soon as it is known, and this form with it: what follows does not hang on it.
    put
      .mutateAsync({
        bearer,
        factId,
        typed: whole,
        source,
        ...(row?.note ? { note: row.note } : {}),
        ...(asks.length > 0 ? { certain: true } : {}),
        revision: row?.revision ?? 0,
      })
      .then(saved, () => undefined);
  };
  return (
    <form
      className={styles['read-one']}
      onSubmit={(e) => {
        e.preventDefault();
        save();
      }}
    >
      <p className="quiet">{def.howTo}</p>
      <HeldTape factId={factId} partKey={partKey} />
      {part.options ? (
        <div className="counts" role="group" aria-label={partName(factId, partKey)}>
          {part.options.map((o) => (
            <button key={o} type="button" aria-pressed={typed === o} onClick={() => setTyped(o)}>
              {optionWords(o)}
            </button>
          ))}
        </div>
      ) : part.columns ? (
        <StationsInput label={partName(factId, partKey)} columns={part.columns} value={typed} onChange={setTyped} />
      ) : (
        <>
          <TextInput
            label={`${partName(factId, partKey)}${part.unit ? `, ${part.unit}` : ''}`}
            value={typed}
            onChange={(e) => setTyped(e.currentTarget.value)}
            inputMode={part.text ? 'text' : 'none'}
            autoComplete="off"
            classNames={{ input: 'mono' }}
            data-autofocus
            error={own && !own.ok ? own.sentence : undefined}
          />
          <p className="understood" aria-live="polite">
            {own?.ok ? own.understood : ''}
          </p>
          {!part.text && <Keypad value={typed} set={setTyped} length={part.unit === 'mm'} />}
        </>
      )}
      <ItIsSo questions={asks} of={itIsSo} />
      {others && source !== 'measured' && (
        <p className="ochre">
          The other values of {def.label.toLowerCase()} are not read: the whole stays as sure as they are.
        </p>
      )}
      <Trouble of={put} />
      <div className="row-actions">
        <Button type="submit" size="lg" loading={put.isPending} disabled={!ready}>
          Next
        </Button>
        <Button variant="subtle" size="lg" onClick={skip}>
          Skip it
        </Button>
      </div>
    </form>
  );
}
