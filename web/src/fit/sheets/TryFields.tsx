import { Button } from '@mantine/core';
import { useState } from 'react';
import { factDef, factPart } from '@bay/core/facts';
import type { FactId } from '@bay/core/facts';
import { tryKey } from '@bay/core/fit';
import { formatMeasure, parseMeasure } from '@bay/core/units';
import { FactEditor, usePutFact, useFactRow, usualBearer, sourceWords } from '../../facts/index.ts';
import { useJob } from '../../sheet/index.ts';
import { MeasuredInput, Trouble } from '../../ui/index.ts';
import styles from '../fit.module.css';
import type { TriesView } from './useTries.ts';

export interface TryField {
  factId: FactId;
  partKey: string;
  /** One press of − or +, in the unit of the part. */
  step: number;
}

/** One number that may be tried: what is known, and what it would be. */
function One({ field, tries, open }: { field: TryField; tries: TriesView; open: (factId: FactId) => void }) {
  const { factId, partKey, step } = field;
  const { plan, mayWrite } = useJob();
  // What was typed, with what it came to: it is shown as long as that is what is tried.
  const [draft, setDraft] = useState<{ text: string; value: number | undefined }>();
  const unit = factPart(factId, partKey).unit ?? '';
  const fact = plan.facts.get(factId);
  const known = fact?.parts[partKey];
  const tried = tries.tried[tryKey(factId, partKey)];
  const now = typeof known === 'number' ? known : undefined;
  const to = (value: number | undefined): void => {
    setDraft(undefined);
    tries.set(factId, partKey, value === undefined ? undefined : Number(value.toFixed(3)));
  };
  const read = (text: string): void => {
    const measure = parseMeasure(text, unit);
    // What cannot be read changes nothing, and stays at the field with its sentence.
    const value = text.trim() === '' ? undefined : measure.ok ? Number(measure.measure.value.toFixed(3)) : tried;
    setDraft({ text, value });
    tries.set(factId, partKey, value);
  };
  const typed = draft && draft.value === tried ? draft.text : undefined;
  const name = factPart(factId, partKey).label || factDef(factId).label;
  return (
    <li className={styles['try']}>
      <MeasuredInput
        label={name}
        unit={unit}
        value={typed ?? (tried === undefined ? '' : String(tried))}
        onChange={read}
        placeholder={now === undefined ? 'not known' : String(now)}
      />
      <span className={styles['stepper']}>
        <button type="button" aria-label={`${name}, less by ${step}`} onClick={() => to((tried ?? now ?? 0) - step)}>
          −
        </button>
        <button type="button" aria-label={`${name}, more by ${step}`} onClick={() => to((tried ?? now ?? 0) + step)}>
          +
        </button>
      </span>
      <span className="quiet">
        {now === undefined && tried === undefined ? (
          <button type="button" className="plain-button small" disabled={!mayWrite} onClick={() => open(factId)}>
            Measure it
          </button>
        ) : (
          now !== undefined && `${formatMeasure(now, unit)}, ${sourceWords[fact!.source].toLowerCase()} `
        )}
        {tried !== undefined && (
          <button type="button" className="plain-button small" onClick={() => to(undefined)}>
            As it is
          </button>
        )}
      </span>
    </li>
  );
}

const keepWords = (factId: FactId, parts: readonly string[]): string =>
  parts.length === 1
    ? `Keep ${factPart(factId, parts[0]).label.toLowerCase()}`
    : `Keep ${factDef(factId).label.toLowerCase()}`;

/** Keeps one choice of those that are tried: a choice may be changed by choosing, a reading only by reading. */
function Keep({ factId, tries }: { factId: FactId; tries: TriesView }) {
  const row = useFactRow(factId, 'job');
  const put = usePutFact();
  const own = Object.entries(tries.tried).filter(([key]) => key.startsWith(`${factId} `));
  if (own.length === 0) return null;
  const typed = Object.fromEntries(
    own.map(([key, value]) => {
      const partKey = key.slice(factId.length + 1);
      return [partKey, `${value} ${factPart(factId, partKey).unit ?? ''}`.trim()];
    }),
  );
  return (
    <>
      <Button
        loading={put.isPending}
        onClick={() =>
          put
            .mutateAsync({
              bearer: 'job',
              factId,
              typed: { ...row?.typed, ...typed },
              // It stands on a sheet, not in the car.
              source: 'assumed',
              note: 'tried on the sheet',
              revision: row?.revision ?? 0,
            })
            .then(
              () =>
                tries.setAll(
                  Object.fromEntries(Object.entries(tries.tried).filter(([k]) => !k.startsWith(`${factId} `))),
                ),
              () => undefined,
            )
        }
      >
        {keepWords(factId, Object.keys(typed))}
      </Button>
      <Trouble of={put} />
    </>
  );
}

/** What may be tried on a sheet: nothing of it is written until somebody keeps a choice. */
export function TryFields({ fields, tries }: { fields: readonly TryField[]; tries: TriesView }) {
  const { mayWrite } = useJob();
  const [fact, setFact] = useState<FactId>();
  const any = Object.keys(tries.tried).length > 0;
  const choices = [...new Set(fields.map((f) => f.factId))].filter((id) => usualBearer(id) === 'job');
  return (
    <section className={`panel ${styles['on-screen']}`} aria-label="What if">
      <div className="bench-head">
        <h3>What if</h3>
        <span className="quiet">
          {any ? 'Every sum here is as it would be.' : 'Change a number and see all of it change.'}
        </span>
      </div>
      <ul className={styles['tries']}>
        {fields.map((f) => (
          <One key={tryKey(f.factId, f.partKey)} field={f} tries={tries} open={setFact} />
        ))}
      </ul>
      {any && (
        <div className="row-actions">
          {mayWrite && choices.map((id) => <Keep key={id} factId={id} tries={tries} />)}
          <Button variant="default" onClick={tries.clear}>
            All as it is
          </Button>
        </div>
      )}
      {fact && <FactEditor factId={fact} bearer={usualBearer(fact)} close={() => setFact(undefined)} />}
    </section>
  );
}
