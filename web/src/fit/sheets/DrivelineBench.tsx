import { lazy, Suspense, useMemo } from 'react';
import { drivelineSheet, gearsOf, standsSlope, tryKey } from '@bay/core/fit';
import type { Cure, Tries } from '@bay/core/fit';
import type { FactId } from '@bay/core/facts';
import { Board } from '../../ui/board/index.ts';
import styles from '../fit.module.css';
import { SheetBench } from './SheetBench.tsx';
import type { TryField } from './TryFields.tsx';
import { useTries } from './useTries.ts';
import type { TriesView } from './useTries.ts';

const CurveChart = lazy(() => import('../../ui/CurveChart.tsx'));

const common: readonly TryField[] = [
  { factId: 'cho-engine-place', partKey: 'slope-tail-down', step: 0.1 },
  { factId: 'cho-engine-place', partKey: 'crank-axis-above-body-datum-z', step: 1 },
  { factId: 'cho-wedge', partKey: 'value', step: 0.1 },
  { factId: 'rec-axle-ratio', partKey: 'value', step: 0.05 },
];
const atTheSides: readonly TryField[] = [
  { factId: 'cho-halfshafts', partKey: 'length-left', step: 1 },
  { factId: 'cho-halfshafts', partKey: 'length-right', step: 1 },
  { factId: 'cho-halfshafts', partKey: 'plunge', step: 1 },
  { factId: 'rec-axle-ratio', partKey: 'value', step: 0.05 },
];
const withCarrier: readonly TryField[] = [{ factId: 'cho-carrier', partKey: 'z', step: 1 }];

const signed = (n: number, unit: string): string => `${n > 0 ? '+' : '−'}${Math.abs(Number(n.toFixed(1)))}${unit}`;

function cureWords({ by, angles }: Cure): string {
  const turns = [
    ...(by.slopeDeg === 0 ? [] : [`slope of engine and gearbox ${signed(by.slopeDeg, '°')}`]),
    ...(by.wedgeDeg === 0 ? [] : [`wedge under the axle ${signed(by.wedgeDeg, '°')}`]),
    ...(by.carrierUpMm === 0 ? [] : [`centre bearing ${signed(by.carrierUpMm, ' mm')}`]),
  ];
  return `${turns.join(' and ')}: joints at ${angles.map((a) => `${a.toFixed(1)}°`).join(', ')}`;
}

/** What of the facts a cure changes. */
function triesOf({ by }: Cure, tries: TriesView): Tries {
  const known = (factId: FactId, key: string): number | undefined => {
    const value = tries.books.job.get(factId)?.parts[key];
    return typeof value === 'number' ? value : undefined;
  };
  const output = known('gbx-output', 'output-slope-tail-down');
  const slope = known('cho-engine-place', 'slope-tail-down') ?? output;
  return {
    ...tries.tried,
    ...(by.slopeDeg === 0 || slope === undefined
      ? {}
      : {
          [tryKey('cho-engine-place', 'slope-tail-down')]: slope + by.slopeDeg,
          ...(output === undefined ? {} : { [tryKey('gbx-output', 'output-slope-tail-down')]: output + by.slopeDeg }),
        }),
    ...(by.wedgeDeg === 0 ? {} : { [tryKey('cho-wedge', 'value')]: (known('cho-wedge', 'value') ?? 0) + by.wedgeDeg }),
    ...(by.carrierUpMm === 0
      ? {}
      : { [tryKey('cho-carrier', 'z')]: (known('cho-carrier', 'z') ?? 0) + by.carrierUpMm }),
  };
}

/** Joint angles with what cures them, lengths, gears and road speed, weight on the axles. */
export default function DrivelineBench() {
  const tries = useTries();
  const { books } = tries;
  const sheet = useMemo(() => drivelineSheet(books, { slopeDeg: standsSlope(books.job) }), [books]);
  const gears = useMemo(() => gearsOf(books), [books]);
  const spins = gears.filter((g) => g.overGrip !== undefined && g.overGrip > 1);
  const layout = books.job.get('rec-drive-layout')?.parts['value'];
  const sides = typeof layout === 'string' && !layout.startsWith('front-longitudinal');
  const carrier = books.job.get('cho-carrier')?.parts['value'] === 'one';
  return (
    <SheetBench
      sheet={sheet}
      tries={tries}
      places={[
        ...(sides ? ['fit-halfshafts'] : ['fit-driveline-angles', 'fit-propshaft-length']),
        'fit-torque-chain',
        'fit-gearing',
        'fit-speedo',
        'fit-axle-load',
      ]}
      fields={sides ? atTheSides : carrier ? [...common, ...withCarrier] : common}
      placed={!sides}
      caution="A shaft that comes loose kills. It is made, phased and balanced by whoever does that for a living; axle and steering geometry are a qualified person's, plates and papers are law."
      height={220}
    >
      {sheet.above && (
        <section aria-label={sheet.above.name}>
          <h4>{sheet.above.name}</h4>
          <Board drawing={sheet.above} height={150} margin={30} listed={false} />
        </section>
      )}
      {sheet.cures.length > 0 && (
        <section className="panel" aria-label="What cures it">
          <h3>What cures it</h3>
          <ul className="rows">
            {sheet.cures.map((cure) => (
              <li key={cureWords(cure)} className="row-actions">
                <span>{cureWords(cure)}</span>
                <button type="button" className="plain-button small" onClick={() => tries.setAll(triesOf(cure, tries))}>
                  Try it
                </button>
              </li>
            ))}
          </ul>
        </section>
      )}
      {gears.length > 0 && (
        <section className="panel" aria-label="Gears and road speed">
          <h3>Gears and road speed</h3>
          <Suspense fallback={<div style={{ height: 220 }} />}>
            <CurveChart
              x="km/h"
              y="rpm"
              curves={gears.map((g) => ({
                name: g.name,
                points: [
                  { x: 0, y: 0 },
                  { x: Math.round(g.topKmh), y: Math.round(g.rpm) },
                ],
              }))}
            />
          </Suspense>
          <table className={styles['gears']}>
            <thead>
              <tr>
                <th>Gear</th>
                <th>Ratio</th>
                <th>At the engine limit</th>
                <th>Engine at 100 km/h</th>
                <th>Pull over grip</th>
              </tr>
            </thead>
            <tbody>
              {gears.map((g) => (
                <tr key={g.name}>
                  <td>{g.name}</td>
                  <td className="mono">{g.ratio}</td>
                  <td className="mono">{Math.round(g.topKmh)} km/h</td>
                  <td className="mono">{g.rpmAt100 > g.rpm ? 'over its limit' : `${Math.round(g.rpmAt100)} rpm`}</td>
                  <td className={`mono ${g.overGrip !== undefined && g.overGrip > 1 ? 'ochre' : ''}`}>
                    {g.overGrip === undefined ? 'not known' : g.overGrip.toFixed(2)}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
          {gears.some((g) => g.overGrip !== undefined) && (
            <p className="quiet">
              {spins.length === 0
                ? 'The wheels hold the most torque in every gear on dry asphalt.'
                : `At the most torque the wheels spin on dry asphalt up to ${spins.at(-1)!.name.toLowerCase()}: what drives the other axle as well, or wider tyres, is worth a question.`}{' '}
              Friction 0.9, 85 % of the torque arrives (common practice); axle masses as weighed, at rest.
            </p>
          )}
        </section>
      )}
    </SheetBench>
  );
}
