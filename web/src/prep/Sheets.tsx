import type { SheetDef, SheetLimits, SheetRecord, SheetWord } from '@bay/core/prep';
import { Button, TextInput } from '@mantine/core';
import { useState } from 'react';
import { doubtOf, judgeSheet, limitNames, measurementDefs, sheetDefs, sheetWords } from '@bay/core/prep';
import { counted, formatMeasure, parseMeasure } from '@bay/core/units';
import { useJob, useRecordForm, useRecords } from '../sheet/index.ts';
import { CylinderDial, dialReadings } from './CylinderDial.tsx';
import styles from './prep.module.css';
import { dayWords, FormDialog, ItIsSo, measured, MeasuredInput, RangeBand, useItIsSo } from '../ui/index.ts';

interface LimitsRecord {
  limits: SheetLimits;
  source: string;
}

const wordClass: Record<SheetWord, string> = {
  'in-limits': 'teal',
  doubtful: 'ochre',
  'out-of-limits': 'oxide',
  'no-limit': '',
  'not-read': '',
};

/** Fields of numbers as they are sent: those that were typed. */
const numbersOf = (typed: Readonly<Record<string, string>>, unit: string): Record<string, number> =>
  Object.fromEntries(
    Object.entries(typed).flatMap(([key, text]) => {
      const value = measured(text, unit);
      return value === undefined ? [] : [[key, value]];
    }),
  );

function PlaceForm({
  def,
  place,
  record,
  limits,
  close,
}: {
  def: SheetDef;
  place: string;
  record: SheetRecord | undefined;
  limits: SheetLimits;
  close: () => void;
}) {
  const { plan } = useJob();
  const itIsSo = useItIsSo();
  const doubts = (readings: Readonly<Record<string, number>>) => {
    const { refused, ask } = doubtOf({ sheet: def.id, place, readings }, plan.facts);
    return { refused, asks: ask === undefined ? [] : [ask] };
  };
  const key = `${def.id}:${place}`;
  const form = useRecordForm({
    kind: 'sheet',
    key,
    initial: Object.fromEntries(
      def.readings.map((r) => [r.key, record?.typed?.[r.key] ?? String(record?.readings[r.key] ?? '')]),
    ),
    sent: (typed) => {
      const readings = numbersOf(typed, def.unit);
      const { asks } = doubts(readings);
      return {
        ...(asks.length > 0 && itIsSo.said(asks) ? { certain: true } : {}),
        sheet: def.id,
        place,
        readings,
        typed: Object.fromEntries(Object.entries(typed).filter(([, text]) => text.trim() !== '')),
      };
    },
    names: Object.fromEntries(def.readings.map((r) => [`readings.${r.key}`, r.key])),
  });
  const read = def.readings.flatMap((r) => {
    const m = form.values[r.key]?.trim() ? parseMeasure(form.values[r.key]!, def.unit) : undefined;
    return m ? [[r.key, m] as const] : [];
  });
  const readings = Object.fromEntries(read.flatMap(([k, m]) => (m.ok ? [[k, m.measure.value]] : [])));
  const verdict = judgeSheet(def.id, readings, limits);
  const { refused, asks } = doubts(readings);
  return (
    <FormDialog
      title={`${def.title}, ${def.place} ${place}`}
      size="lg"
      submit="Save readings"
      of={form}
      disabled={read.length === 0 || read.some(([, m]) => !m.ok) || refused !== undefined || !itIsSo.said(asks)}
      send={form.send}
      cancel={close}
      cancelWord="Leave it"
      close={close}
    >
      <div className="fields">
        {def.readings.map((r, i) => (
          <MeasuredInput key={r.key} label={r.label} unit={def.unit} {...form.field(r.key)} autoFocus={i === 0} />
        ))}
      </div>
      <CylinderDial label={`${def.place} ${place}`} readings={dialReadings(def, readings)} />
      {refused && <p className="oxide">{refused}</p>}
      <ItIsSo questions={asks} of={itIsSo} />
      {verdict.findings.map((f) => (
        <div key={f.label} style={{ padding: '4px 0' }}>
          <b>{f.label}</b> <span className="mono">{formatMeasure(f.value, 'mm', 3)}</span>{' '}
          <span className={`tag ${wordClass[f.word]}`}>{sheetWords[f.word]}</span>
          <br />
          <span className="quiet">
            {f.sum}
            {f.limit ? `; ${f.limit} (${f.source})` : ''}
          </span>
          {f.range && <RangeBand label={f.label} range={f.range} value={f.value} />}
        </div>
      ))}
    </FormDialog>
  );
}

function LimitsForm({ def, record, close }: { def: SheetDef; record: LimitsRecord | undefined; close: () => void }) {
  const names = limitNames[def.id];
  const form = useRecordForm<Record<string, string>>({
    kind: 'limits',
    key: def.id,
    initial: {
      ...Object.fromEntries(
        names.map((name) => [name, String((record?.limits as Record<string, number> | undefined)?.[name] ?? '')]),
      ),
      source: record?.source ?? '',
    },
    sent: ({ source, ...typed }) => ({ limits: numbersOf(typed, 'mm'), source }),
    names: Object.fromEntries(names.map((name) => [`limits.${name}`, name])),
  });
  return (
    <FormDialog
      title={`Limits for ${def.title.toLowerCase()}`}
      submit="Save limits"
      of={form}
      send={form.send}
      close={close}
    >
      <p className="quiet">
        From the maker's manual. Where none is entered, a rule of common practice is used and marked so.
      </p>
      {names.map((name) => (
        <MeasuredInput key={name} label={name.replaceAll('-', ' ')} unit="mm" {...form.field(name)} />
      ))}
      <TextInput label="Manual and page" {...form.field('source')} />
    </FormDialog>
  );
}

/** Measurement sheets: readings, what follows from them, and the verdict. */
export function Sheets() {
  const { mayWrite } = useJob();
  const sheets = useRecords('sheet');
  const limits = useRecords('limits');
  const [open, setOpen] = useState<{ def: SheetDef; place: string }>();
  const [limitsOf, setLimitsOf] = useState<SheetDef>();
  const [place, setPlace] = useState<Record<string, string>>({});
  return (
    <>
      {sheetDefs.map((def) => {
        const own = Object.values(sheets)
          .filter((s) => s.sheet === def.id)
          .sort((a, b) => a.place.localeCompare(b.place, 'en', { numeric: true }));
        const entered = limits[def.id];
        const words = measurementDefs.find((m) => m.id === def.measurement);
        return (
          <div className="panel" key={def.id}>
            <div className="bench-head">
              <h3>{def.title}</h3>
              <span className="quiet">
                {words?.instrument}; {words?.readings}
              </span>
              <span className="right">
                <button
                  type="button"
                  className="plain-button small bare"
                  disabled={!mayWrite}
                  onClick={() => setLimitsOf(def)}
                >
                  {entered ? 'Limits entered' : 'Enter limits'}
                </button>
              </span>
            </div>
            {own.length > 0 && (
              <div className={styles['dials']}>
                {own.map((s) => (
                  <CylinderDial
                    key={s.place}
                    label={`${def.place} ${s.place}`}
                    readings={dialReadings(def, s.readings)}
                  />
                ))}
              </div>
            )}
            {own.length > 0 && (
              <div className="scroll-x">
                <table className="data">
                  <thead>
                    <tr>
                      <th>{def.place}</th>
                      <th>Computed</th>
                      <th>Verdict</th>
                      <th>Read by</th>
                    </tr>
                  </thead>
                  <tbody>
                    {own.map((s) => {
                      const verdict = judgeSheet(def.id, s.readings, entered?.limits ?? {});
                      return (
                        <tr key={s.place}>
                          <td>
                            <button
                              type="button"
                              className="plain-button small bare mono"
                              onClick={() => setOpen({ def, place: s.place })}
                              aria-label={`${def.title}, ${def.place} ${s.place}`}
                            >
                              {s.place}
                            </button>
                          </td>
                          <td>
                            {verdict.findings.map((f) => (
                              <span
                                key={f.label}
                                title={`${f.sum}${f.limit ? `; ${f.limit}` : ''}`}
                                style={{ display: 'inline-block', marginRight: 14 }}
                              >
                                {f.label.toLowerCase()}{' '}
                                <span className={`mono ${wordClass[f.word]}`}>{formatMeasure(f.value, 'mm', 3)}</span>
                              </span>
                            ))}
                            {verdict.open.length > 0 && (
                              <span className="quiet">{counted(verdict.open.length, 'reading')} to take</span>
                            )}
                          </td>
                          <td>
                            <span className={`tag ${wordClass[verdict.word]}`}>{sheetWords[verdict.word]}</span>
                          </td>
                          <td className="quiet">
                            {s.by}, {s.at ? dayWords(s.at) : ''}
                          </td>
                        </tr>
                      );
                    })}
                  </tbody>
                </table>
              </div>
            )}
            {mayWrite && (
              <form
                className="row-actions"
                onSubmit={(e) => {
                  e.preventDefault();
                  const wanted = place[def.id]?.trim();
                  if (wanted) setOpen({ def, place: wanted });
                }}
              >
                <TextInput
                  aria-label={`${def.title}: which ${def.place}`}
                  placeholder={`${def.place} 1`}
                  value={place[def.id] ?? ''}
                  onChange={(e) => setPlace({ ...place, [def.id]: e.currentTarget.value })}
                  w={140}
                  maxLength={10}
                />
                <Button type="submit" variant="default" disabled={!place[def.id]?.trim()}>
                  Read {def.place}
                </Button>
              </form>
            )}
          </div>
        );
      })}
      {open && (
        <PlaceForm
          key={open.def.id + open.place}
          def={open.def}
          place={open.place}
          record={sheets[`${open.def.id}:${open.place}`]}
          limits={limits[open.def.id]?.limits ?? {}}
          close={() => setOpen(undefined)}
        />
      )}
      {limitsOf && <LimitsForm def={limitsOf} record={limits[limitsOf.id]} close={() => setLimitsOf(undefined)} />}
    </>
  );
}
