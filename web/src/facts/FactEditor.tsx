import { Button, Select, TextInput } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { readFact, factDef, optionWords, showFact, typedSources } from '@bay/core/facts';
import type { FactDef, FactSource } from '@bay/core/facts';
import { hasDifference, titleOf } from '@bay/core/plan';
import { counted } from '@bay/core/units';
import { factHistory } from '@bay/contract/facts';
import type { FactRow } from '@bay/contract/facts';
import { call, keys, Refused } from '../api/index.ts';
import { useJob } from '../sheet/index.ts';
import {
  dayWords,
  Dialog,
  Form,
  ItIsSo,
  MeasuredInput,
  timeWords,
  useForm,
  useItIsSo,
  verdictWords,
  words,
} from '../ui/index.ts';
import { DatumDrawing } from './DatumDrawing.tsx';
import { StationsInput } from './StationsInput.tsx';
import { useFactRow, usePutFact } from './useFact.ts';
import type { Bearer } from './useFact.ts';

export const sourceWords: Record<FactSource, string> = {
  measured: 'Measured',
  'looked-up': 'Looked up',
  inferred: 'Inferred',
  assumed: 'Assumed',
};

/** Where a fact comes from, in a word; a choice is chosen. */
export const sourceOf = (def: FactDef, source: FactSource): string =>
  def.subject === 'choice' && source === 'measured' ? 'Chosen' : sourceWords[source];

/** The field of a part: beside the source and the note, which are fields too. */
const partField = (key: string): string => `part-${key}`;

/** What a fact changed in the plan. */
export interface PlanChange {
  added: string[];
  dropped: string[];
  verdicts: { id: string; from: string; to: string }[];
}

export function Difference({ d, short = false }: { d: PlanChange; short?: boolean }) {
  if (!hasDifference(d)) return <span>Saved. Nothing in the plan changed.</span>;
  if (short) {
    const lines = d.added.length + d.dropped.length;
    const verdicts = d.verdicts.map((v) => `${titleOf(v.id)} is now ${verdictWords[v.to as 'clash'].toLowerCase()}`);
    return (
      <span>
        {[
          'saved',
          ...verdicts,
          ...(lines > 0 ? [counted(lines, 'line of the plan changed', 'lines of the plan changed')] : []),
        ].join('; ')}
        .
      </span>
    );
  }
  return (
    <div role="status">
      <p>
        <b>Saved. The plan changed:</b>
      </p>
      <ul style={{ marginTop: 6 }}>
        {d.verdicts.map((v) => (
          <li key={v.id}>
            {titleOf(v.id)}: {verdictWords[v.from as 'clash']} → <b>{verdictWords[v.to as 'clash']}</b>
          </li>
        ))}
        {d.added.map((id) => (
          <li key={id}>
            <span className="tag teal">added</span> {titleOf(id)}
          </li>
        ))}
        {d.dropped.map((id) => (
          <li key={id}>
            <span className="tag ochre">dropped</span> {titleOf(id)}
          </li>
        ))}
      </ul>
    </div>
  );
}

/** Writes one fact: every part, where it comes from, what hangs on it, and what changed afterwards. */
export function FactEditor({
  factId,
  bearer,
  close,
  skip,
  saved,
  beside,
}: {
  factId: string;
  bearer: Bearer;
  close: () => void;
  /** Where one fact after the other is asked for: past this one. */
  skip?: () => void;
  /** What happens once it is saved, instead of showing what changed. */
  saved?: (change: PlanChange) => void;
  beside?: React.ReactNode;
}) {
  const { sheet, plan, mayWrite } = useJob();
  const def = factDef(factId);
  const row = useFactRow(factId, bearer);
  const form = useForm<Record<string, string>>({
    draft: `${sheet.job.id}:fact:${bearer}:${factId}`,
    initial: {
      ...Object.fromEntries(
        def.parts.map(({ key }) => [partField(key), row?.typed[key] ?? String(row?.parts[key] ?? '')]),
      ),
      source: row?.source ?? 'measured',
      note: row?.note ?? '',
    },
    names: Object.fromEntries(def.parts.map(({ key }) => [key, partField(key)])),
  });
  // The revision on screen when the form was opened: a change by somebody else meanwhile is shown, not overwritten.
  const [revision, setRevision] = useState(row?.revision ?? 0);
  const saving = usePutFact();
  const read = readFact(
    factId,
    Object.fromEntries(def.parts.map(({ key }) => [key, String(form.values[partField(key)] ?? '')])),
  );
  const asks = read.ok ? Object.values(read.asks) : [];
  // A value that hardly any car has is asked about before it is kept.
  const itIsSo = useItIsSo();
  const stale =
    saving.error instanceof Refused && saving.error.problem.status === 409
      ? (saving.error.problem.current as FactRow | null | undefined)
      : undefined;
  const history = useQuery({
    queryKey: keys.factHistory(sheet.job.id, bearer, factId, row?.revision),
    queryFn: () => call(factHistory, { params: { jobId: sheet.job.id, bearer, factId } }),
    enabled: row !== undefined,
  });
  const waiting = plan.waitingFor.get(factId) ?? [];
  const fields = useRef<HTMLDivElement>(null);
  const toSave = (): void =>
    fields.current?.closest('form')?.querySelector<HTMLElement>('button[type=submit]')?.focus();
  const save = (rev: number) => (v: Readonly<Record<string, string>>) =>
    saving
      .mutateAsync({
        bearer,
        factId,
        typed: Object.fromEntries(def.parts.map(({ key }) => [key, v[partField(key)] ?? ''])),
        source: v['source'] as FactSource,
        note: words(v['note'] ?? ''),
        ...(asks.length > 0 && itIsSo.said(asks) ? { certain: true } : {}),
        revision: rev,
      })
      .then(({ difference }) => saved?.(difference));
  return (
    <Dialog close={close} title={def.label} size="lg">
      {beside}
      <p className="quiet">{def.howTo}</p>
      {def.kindNote && <p className="quiet">Taken: {def.kindNote}.</p>}
      <DatumDrawing factId={factId} />
      {saving.isSuccess && !saved ? (
        <>
          <div className="notice" style={{ marginTop: 12 }}>
            <Difference d={saving.data.difference} />
          </div>
          <Button onClick={close} autoFocus>
            Close
          </Button>
        </>
      ) : (
        <Form
          className="inner-form"
          of={stale === undefined ? form : { ...form, error: undefined }}
          submit="Save"
          disabled={!mayWrite || !itIsSo.said(asks)}
          send={save(revision)}
          cancel={skip ?? close}
          cancelWord={skip ? 'Skip it' : 'Leave it'}
        >
          <div className="fields" ref={fields}>
            {def.parts.map((part, i) => {
              const label = part.label === '' ? def.label : part.label;
              const field = form.field(partField(part.key));
              if (part.options) {
                return (
                  <Select
                    key={part.key}
                    label={label}
                    allowDeselect
                    clearable
                    data={part.options.map((o) => ({ value: o, label: optionWords(o) }))}
                    {...field}
                    value={field.value || null}
                    onChange={(o) => {
                      field.onChange(o ?? '');
                      // The one choice is made: the next Enter saves it.
                      if (o !== null && def.parts.length === 1) setTimeout(toSave);
                    }}
                    {...(i === 0 ? { 'data-autofocus': true } : {})}
                  />
                );
              }
              if (part.columns) return <StationsInput key={part.key} label={label} columns={part.columns} {...field} />;
              if (part.text)
                return (
                  <TextInput key={part.key} label={label} {...field} {...(i === 0 ? { 'data-autofocus': true } : {})} />
                );
              return (
                <MeasuredInput
                  key={part.key}
                  label={label}
                  unit={part.unit ?? ''}
                  {...field}
                  {...(i === 0 ? { autoFocus: true } : {})}
                />
              );
            })}
          </div>
          <ItIsSo questions={asks} of={itIsSo} />
          <div className="fields">
            {/* A choice is nobody's measurement: somebody made it. */}
            {def.subject !== 'choice' && (
              <Select
                label="Where it comes from"
                data={typedSources.map((value) => ({ value, label: sourceWords[value] }))}
                {...form.field('source')}
              />
            )}
            <TextInput label="Note" {...form.field('note')} />
          </div>
          {waiting.length > 0 && (
            <p className="because">
              <b>Waits for this:</b> {waiting.map(titleOf).join(' · ')}
            </p>
          )}
          {stale !== undefined && (
            <div className="notice ochre-notice" role="alert">
              {stale ? (
                <>
                  {stale.by} wrote <b>{showFact(factId, stale)}</b> meanwhile. What you typed is still above.
                </>
              ) : (
                'It was cleared meanwhile.'
              )}
              <div className="row-actions">
                <Button
                  onClick={() => {
                    setRevision(stale?.revision ?? 0);
                    form.submit(save(stale?.revision ?? 0))();
                  }}
                >
                  Mine counts
                </Button>
                <Button variant="default" onClick={close}>
                  Theirs counts
                </Button>
              </div>
            </div>
          )}
        </Form>
      )}
      {!saving.isSuccess && (history.data?.versions.length ?? 0) > 0 && (
        <div style={{ marginTop: 14 }}>
          <h3>History</h3>
          <table className="data">
            <tbody>
              {history.data!.versions.map((v) => (
                <tr key={v.revision}>
                  <td className="mono">{Object.keys(v.parts).length > 0 ? showFact(factId, v) : 'not known'}</td>
                  <td>{sourceOf(def, v.source)}</td>
                  <td className="quiet">
                    {v.by}, {dayWords(v.at)} {timeWords(v.at)}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
    </Dialog>
  );
}
