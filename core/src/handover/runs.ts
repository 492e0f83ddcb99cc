import { correctionLimits, dryPressureHpa, powerCorrection } from '../sums/index.ts';
import { formatMeasure } from '../units/index.ts';
import type { RunRecord } from './records.ts';

/** Runs before and after: like beside like, corrected by the standard where the air was read, and never mixed. */

export interface RunResult {
  key: string;
  run: RunRecord;
  /** Power by the standard, kW; nothing where it cannot be corrected. */
  corrected?: number;
  factor?: number;
  /** The arithmetic with its numbers, or why there is none. */
  said: string;
}

const two = (n: number): string => n.toFixed(1);

/** A run on rollers with its correction. */
function resultOf(key: string, run: RunRecord): RunResult {
  const { powerKw, airC, barometerHpa, humidity, burns } = run;
  if (run.sort !== 'rollers' || powerKw === undefined) return { key, run, said: '' };
  if (burns === 'diesel')
    return { key, run, said: 'as read: the formula of the standard for diesels wants the fuel of each stroke' };
  if (airC === undefined || barometerHpa === undefined || humidity === undefined)
    return { key, run, said: 'as read: air, barometer or humidity was not written' };
  const dry = dryPressureHpa(barometerHpa, airC, humidity);
  const factor = powerCorrection(dry, airC);
  const sum = `1.180 (990 / ${two(dry)}) √((${two(airC)} + 273) / 298) − 0.18 = ${factor.toFixed(4)}`;
  const [least, most] = correctionLimits;
  if (factor < least || factor > most)
    return { key, run, said: `${sum}: beyond ${least} to ${most}, so it is not to be relied on` };
  return { key, run, factor, corrected: factor * powerKw, said: sum };
}

/** What a run may be held against: the same kind, at the same place of the drive, over the same length, corrected or not. */
function basisOf({ run, corrected }: RunResult): { id: string; words: string } {
  if (run.sort === 'timed')
    return { id: `timed ${run.distanceM}`, words: `over ${formatMeasure(run.distanceM ?? 0, 'm', 0)}` };
  const how = corrected === undefined ? 'as read' : 'corrected';
  return { id: `rollers ${run.taken} ${how}`, words: `at the ${run.taken}, ${how}` };
}

export interface Side {
  /** Best, mean and count; power in kW, or time in s. */
  best: number;
  mean: number;
  count: number;
  /** Share of the largest by which they differ. */
  spread: number;
  results: readonly RunResult[];
}

export interface RunBasis {
  id: string;
  words: string;
  unit: 'kW' | 's';
  before: Side | undefined;
  after: Side | undefined;
}

/** Three runs within so much are taken to agree. Common practice, no source. */
export const agreeing = { count: 3, within: 0.02 } as const;

const valueOf = ({ run, corrected }: RunResult): number =>
  run.sort === 'timed' ? (run.seconds ?? 0) : (corrected ?? run.powerKw ?? 0);

function sideOf(results: readonly RunResult[], lessIsBetter: boolean): Side | undefined {
  if (results.length === 0) return undefined;
  const values = results.map(valueOf);
  const [least, most] = [Math.min(...values), Math.max(...values)];
  return {
    best: lessIsBetter ? least : most,
    mean: values.reduce((a, b) => a + b, 0) / values.length,
    count: values.length,
    spread: most === 0 ? 0 : (most - least) / most,
    results,
  };
}

/** Runs by what they may be held against, those with both sides first. */
export function runsBeforeAfter(runs: Readonly<Record<string, RunRecord>>): RunBasis[] {
  const results = Object.entries(runs)
    .filter(([, run]) => !run.removed)
    .map(([key, run]) => resultOf(key, run));
  const bases = new Map<string, { words: string; results: RunResult[] }>();
  for (const result of results) {
    const { id, words } = basisOf(result);
    bases.set(id, { words, results: [...(bases.get(id)?.results ?? []), result] });
  }
  return [...bases]
    .map(([id, { words, results: own }]): RunBasis => {
      const timed = own[0]!.run.sort === 'timed';
      const side = (when: RunRecord['when']): Side | undefined =>
        sideOf(
          own.filter((r) => r.run.when === when),
          timed,
        );
      return { id, words, unit: timed ? 's' : 'kW', before: side('before'), after: side('after') };
    })
    .sort(
      (a, b) => Number(Boolean(b.before && b.after)) - Number(Boolean(a.before && a.after)) || (a.id < b.id ? -1 : 1),
    );
}

const doubt = (side: Side): string =>
  side.count < agreeing.count
    ? `${side.count} of ${agreeing.count} runs`
    : side.spread > agreeing.within
      ? `runs differ by ${(side.spread * 100).toFixed(1)} %`
      : '';

/** What a basis says in a sentence: the change of the mean, and how far it is to be trusted. */
export function basisWords({ words, unit, before, after }: RunBasis): string {
  if (!before) return `Run after ${words}, and none before.`;
  if (!after) return `Run before ${words}, and none after.`;
  const change = ((after.mean - before.mean) / before.mean) * 100;
  const doubts = [
    ...(doubt(before) ? [`before, ${doubt(before)}`] : []),
    ...(doubt(after) ? [`after, ${doubt(after)}`] : []),
  ];
  const figures = `${before.mean.toFixed(1)} to ${after.mean.toFixed(1)} ${unit}`;
  return `${words.charAt(0).toUpperCase()}${words.slice(1)}: ${figures}, ${change < 0 ? '−' : '+'}${Math.abs(change).toFixed(1)} %${doubts.length > 0 ? ` (${doubts.join('; ')})` : ''}.`;
}

/** Bases on which somebody ran before and nobody after: the gain is not shown. */
export const notRunAfter = (runs: Readonly<Record<string, RunRecord>>): string[] => {
  const bases = runsBeforeAfter(runs);
  return bases.some((b) => b.before && b.after)
    ? []
    : bases.flatMap((b) => (b.before && !b.after ? [basisWords(b)] : []));
};
