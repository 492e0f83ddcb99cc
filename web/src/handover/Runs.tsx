import { Button, Select, TextInput } from '@mantine/core';
import { lazy, Suspense, useState } from 'react';
import { basisWords, runFuels, runPlaces, runsBeforeAfter, runSorts } from '@bay/core/handover';
import type { RunRecord, RunResult } from '@bay/core/handover';
import { formatMeasure } from '@bay/core/units';
import { useJob, usePut, useRecordForm, useRecords } from '../sheet/index.ts';
import { DateField } from '../ui/DateField.tsx';
import { dayWords, FormDialog, measured, MeasuredInput, today, Trouble, words } from '../ui/index.ts';

const RunChart = lazy(() => import('./RunChart.tsx'));

const sortWords: Readonly<Record<(typeof runSorts)[number], string>> = {
  rollers: 'On rollers',
  timed: 'A length of road, by the clock',
};
const placeWords: Readonly<Record<(typeof runPlaces)[number], string>> = {
  crank: 'At the crank',
  wheels: 'At the wheels',
};
const fuelWords: Readonly<Record<(typeof runFuels)[number], string>> = {
  spark: 'Petrol or gas, spark',
  diesel: 'Diesel',
};

function RunForm({ when, close }: { when: RunRecord['when']; close: () => void }) {
  const { plan } = useJob();
  const burnt = when === 'before' ? plan.outgoing.get('eng-fuel') : plan.facts.get('eng-fuel');
  const form = useRecordForm({
    kind: 'run',
    about: `run ${when}`,
    initial: {
      sort: 'rollers',
      on: today(),
      taken: 'wheels',
      burns: burnt?.parts['value'] === 'diesel' ? 'diesel' : 'spark',
      power: '',
      torque: '',
      air: '',
      barometer: '',
      humidity: '',
      distance: '',
      seconds: '',
      end: '',
      note: '',
    },
    sent: (v) => ({
      when,
      sort: v.sort,
      on: words(v.on),
      note: v.note,
      ...(v.sort === 'rollers'
        ? {
            taken: v.taken,
            burns: v.burns,
            powerKw: measured(v.power, 'kW'),
            torqueNm: measured(v.torque, 'N·m'),
            airC: measured(v.air, '°C'),
            barometerHpa: measured(v.barometer, 'hPa'),
            humidity: measured(v.humidity, '%'),
          }
        : {
            distanceM: measured(v.distance, 'm'),
            seconds: measured(v.seconds, 's'),
            endKmh: measured(v.end, 'km/h'),
          }),
    }),
    names: {
      powerKw: 'power',
      torqueNm: 'torque',
      airC: 'air',
      barometerHpa: 'barometer',
      distanceM: 'distance',
      endKmh: 'end',
    },
  });
  const rollers = form.values.sort === 'rollers';
  return (
    <FormDialog
      title={when === 'before' ? 'A run before the work' : 'A run after the work'}
      submit="Write the run"
      of={form}
      send={form.send}
      close={close}
      size="lg"
    >
      <p className="caution">
        Strapped down, fan on, exhaust led out; on the road only where it is allowed, with tyres and brakes that were
        looked at.
      </p>
      <div className="fields">
        <Select
          label="What kind"
          data={runSorts.map((value) => ({ value, label: sortWords[value] }))}
          allowDeselect={false}
          {...form.field('sort')}
        />
        <DateField label="On" past {...form.field('on')} />
        {rollers ? (
          <>
            <Select
              label="Taken"
              data={runPlaces.map((value) => ({ value, label: placeWords[value] }))}
              allowDeselect={false}
              {...form.field('taken')}
            />
            <Select
              label="It burns"
              data={runFuels.map((value) => ({ value, label: fuelWords[value] }))}
              allowDeselect={false}
              {...form.field('burns')}
            />
            <MeasuredInput label="Power read" unit="kW" {...form.field('power')} />
            <MeasuredInput label="Torque read" unit="N·m" {...form.field('torque')} />
            <MeasuredInput label="Air" unit="°C" {...form.field('air')} />
            <MeasuredInput label="Barometer at the place" unit="hPa" {...form.field('barometer')} />
            <MeasuredInput label="Humidity" unit="%" {...form.field('humidity')} />
          </>
        ) : (
          <>
            <MeasuredInput label="Length" unit="m" {...form.field('distance')} />
            <MeasuredInput label="Time" unit="s" {...form.field('seconds')} />
            <MeasuredInput label="Speed at its end" unit="km/h" {...form.field('end')} />
          </>
        )}
        <TextInput label="Tyres, fuel, gear, who sat in it" {...form.field('note')} />
      </div>
    </FormDialog>
  );
}

function Result({ result, best }: { result: RunResult; best: boolean }) {
  const { sheet, mayWrite } = useJob();
  const put = usePut();
  const { run, key, corrected, said } = result;
  const revision = sheet.records.find((r) => r.kind === 'run' && r.key === key)?.revision ?? 0;
  const read =
    run.sort === 'timed'
      ? `${run.seconds} s${run.endKmh === undefined ? '' : `, ${formatMeasure(run.endKmh, 'km/h')} at its end`}`
      : corrected === undefined
        ? formatMeasure(run.powerKw ?? 0, 'kW')
        : `${formatMeasure(corrected, 'kW')} from ${formatMeasure(run.powerKw ?? 0, 'kW')}`;
  return (
    <li>
      <span className="mono">{read}</span> {best && <span className="tag teal">best</span>}{' '}
      <span className="quiet">
        {run.when}, {dayWords(run.on)}, {run.by}
        {run.note ? `. ${run.note}` : ''}
      </span>
      {said && <p className="quiet">{said}</p>}
      <Trouble of={put} />
      {mayWrite && (
        <button
          type="button"
          className="plain-button small bare"
          aria-label={`Take back: ${read}`}
          onClick={() =>
            put.mutate({
              kind: 'run',
              key,
              data: { ...run, removed: true },
              revision,
            })
          }
        >
          Take back
        </button>
      )}
    </li>
  );
}

/** Runs before and after the work: the same sheet, like beside like. */
export function Runs() {
  const { mayWrite } = useJob();
  const bases = runsBeforeAfter(useRecords('run'));
  const [adding, setAdding] = useState<RunRecord['when']>();
  const both = bases.filter((b) => b.before && b.after);
  return (
    <section className="panel" aria-label="Runs">
      <h3>Runs before and after</h3>
      {bases.length === 0 && (
        <p className="quiet">
          No run yet. Best of three that agree within 2 %, on the same rollers or the same road, before the first bolt
          and after the last.
        </p>
      )}
      {both.length > 0 && (
        <Suspense fallback={<div className="loading-figure" />}>
          <RunChart bases={both} />
        </Suspense>
      )}
      {bases.map((b) => (
        <section key={b.id} aria-label={b.words}>
          <p className={b.before && b.after ? undefined : 'ochre'}>{basisWords(b)}</p>
          <ul className="rows">
            {[b.before, b.after].flatMap((side) =>
              (side?.results ?? []).map((r) => (
                <Result
                  key={r.key}
                  result={r}
                  best={
                    side!.count > 1 &&
                    (r.run.sort === 'timed' ? r.run.seconds : (r.corrected ?? r.run.powerKw)) === side!.best
                  }
                />
              )),
            )}
          </ul>
        </section>
      ))}
      {mayWrite && (
        <div className="row-actions">
          <Button variant="default" onClick={() => setAdding('before')}>
            A run before
          </Button>
          <Button variant="default" onClick={() => setAdding('after')}>
            A run after
          </Button>
        </div>
      )}
      {adding && <RunForm when={adding} close={() => setAdding(undefined)} />}
    </section>
  );
}
