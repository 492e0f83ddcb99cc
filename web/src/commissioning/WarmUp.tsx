import { TextInput } from '@mantine/core';
import { lazy, Suspense } from 'react';
import { warmUpReadings, warmUpSummary } from '@bay/core/commissioning';
import type { WarmUpReading } from '@bay/core/commissioning';
import { rangeWords } from '@bay/core/rules';
import { formatMeasure } from '@bay/core/units';
import { useJob, useRecordForm, useRecords } from '../sheet/index.ts';
import { Form, measured, MeasuredInput, words } from '../ui/index.ts';

// The charts are fetched when there is something to draw.
const CurveChart = lazy(() => import('../ui/CurveChart.tsx'));

const tones = { 'goes-on': 'teal', look: 'ochre', stop: 'oxide' } as const;

function WarmUpForm() {
  const form = useRecordForm({
    kind: 'warm-up',
    initial: { minute: '', coolantC: '', oilBar: '', volts: '', rpm: '', note: '' },
    sent: (v) => ({
      minute: measured(v.minute, 'min'),
      coolantC: measured(v.coolantC, '°C'),
      oilBar: measured(v.oilBar, 'bar'),
      volts: measured(v.volts, 'V'),
      rpm: measured(v.rpm, 'rpm'),
      note: words(v.note),
    }),
  });
  return (
    <Form of={form} submit="Write the reading" variant="default" send={form.send} after={form.startAnew}>
      <div className="fields">
        <MeasuredInput label="After the start" unit="min" {...form.field('minute')} />
        <MeasuredInput label="Coolant" unit="°C" {...form.field('coolantC')} />
        <MeasuredInput label="Oil pressure" unit="bar" {...form.field('oilBar')} />
        <MeasuredInput label="Engine speed" unit="rpm" {...form.field('rpm')} />
        <MeasuredInput label="Battery" unit="V" {...form.field('volts')} />
        <TextInput label="Note" {...form.field('note')} />
      </div>
    </Form>
  );
}

const curve = (readings: readonly WarmUpReading[], name: string, of: (r: WarmUpReading) => number | undefined) => {
  const points = readings.flatMap((r) => {
    const y = of(r);
    return y === undefined ? [] : [{ x: r.minute, y }];
  });
  return points.length > 1 ? [{ name, points }] : [];
};

/** The first warm-up as curves, with the readings that want a look or a stop named. */
export function WarmUp() {
  const { mayWrite } = useJob();
  const readings = warmUpReadings(Object.values(useRecords('warm-up')));
  const coolant = curve(readings, 'coolant', (r) => r.coolantC);
  const oil = curve(readings, 'oil pressure', (r) => r.oilBar);
  const figure = (value: number | undefined, unit: string): string =>
    value === undefined ? '' : formatMeasure(value, unit);
  return (
    <section className="panel" aria-label="Warm-up readings">
      <h3>Read while it warmed up</h3>
      <p className="quiet">{warmUpSummary(readings)}</p>
      {coolant.length + oil.length > 0 && (
        <Suspense fallback={<div className="loading-figure" />}>
          <div className="grid-2">
            {coolant.length > 0 && <CurveChart curves={coolant} x="min" y="°C" />}
            {oil.length > 0 && <CurveChart curves={oil} x="min" y="bar" />}
          </div>
        </Suspense>
      )}
      {readings.length > 0 && (
        <div className="scroll-x">
          <table className="data">
            <thead>
              <tr>
                <th className="num">After</th>
                <th className="num">Coolant</th>
                <th className="num">Oil</th>
                <th className="num">Speed</th>
                <th className="num">Battery</th>
                <th>Word</th>
              </tr>
            </thead>
            <tbody>
              {readings.map((r, i) => (
                <tr key={i}>
                  <td className="num">{r.minute} min</td>
                  <td className="num">{figure(r.coolantC, '°C')}</td>
                  <td className="num">{figure(r.oilBar, 'bar')}</td>
                  <td className="num">{figure(r.rpm, 'rpm')}</td>
                  <td className="num">{figure(r.volts, 'V')}</td>
                  <td>
                    <span className={`tag ${tones[r.word]}`}>{rangeWords[r.word]}</span> {r.said.join('; ')}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
      {mayWrite && <WarmUpForm />}
    </section>
  );
}
