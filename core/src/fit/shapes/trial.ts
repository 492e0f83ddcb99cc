import { adjustTo } from '../position/adjust.ts';
import type { Adjusted, GapReading } from '../position/adjust.ts';
import type { Pose } from '../position/pose.ts';
import { Scene } from '../position/scene.ts';
import type { TrialReading } from '../records.ts';
import type { JobScene } from './scene-of-job.ts';

/** What the readings of a trial fit say of the drawing. */
export interface TrialSaid extends Adjusted {
  /** Sentences: where it sits other than planned, and what is to be measured again. */
  sentences: string[];
}

/** Below this nobody would lift an engine again, mm and degrees. */
const worthSaying = { mm: 1, deg: 0.2, left: 3 };

/** The readings of places that speak of one pair, the narrowest of each: what the drawing can be held against. */
export function readingsFor(scene: JobScene, byPlace: ReadonlyMap<string, readonly TrialReading[]>): GapReading[] {
  return [...byPlace].flatMap(([interfaceId, trials]): GapReading[] => {
    const pairs = scene.pairs.filter((p) => p.interfaceId === interfaceId);
    const gaps = trials.flatMap((t) => (t.gapMm === undefined ? [] : [t.gapMm]));
    // A place that several pairs speak of does not say which of them was read.
    return pairs.length === 1 && gaps.length > 0 ? [{ pair: pairs[0]!.id, gapMm: Math.min(...gaps) }] : [];
  });
}

const off = (value: number, least: number, unit: string, more: string, less: string): string[] =>
  Math.abs(value) < least ? [] : [`${Math.abs(value).toFixed(1)}${unit} ${value > 0 ? more : less}`];

/** Holds the drawing against what was read: the pose first, then the shapes. Nothing where nothing was read or no place was chosen. */
export function trialSaid(
  scene: JobScene,
  chosen: Pose | undefined,
  readings: readonly GapReading[],
): TrialSaid | undefined {
  if (!chosen || readings.length === 0) return undefined;
  const adjusted = adjustTo(new Scene(scene.problem), chosen, readings);
  const { by } = adjusted;
  const ways = [
    ...off(by.z, worthSaying.mm, ' mm', 'higher', 'lower'),
    ...off(by.x, worthSaying.mm, ' mm', 'farther forward', 'farther back'),
    ...off(by.y, worthSaying.mm, ' mm', 'farther left', 'farther right'),
    ...off(by.slopeDeg, worthSaying.deg, '°', 'steeper', 'flatter'),
  ];
  const name = (id: string): string => scene.pairs.find((p) => p.id === id)?.name ?? id;
  const left = adjusted.readings.filter((r) => Math.abs(r.leftMm) >= worthSaying.left);
  const shapesOf = (id: string): string => {
    const pair = scene.pairs.find((p) => p.id === id)!;
    return scene.shapes
      .filter((s) => pair.unit.includes(s.id) || pair.bay.includes(s.id))
      .map((s) => s.name.toLowerCase())
      .filter((n, i, all) => all.indexOf(n) === i)
      .join(' or ');
  };
  return {
    ...adjusted,
    sentences: [
      ways.length > 0
        ? `By what was read it sits ${ways.join(', ')} than it is drawn.`
        : 'What was read agrees with the drawing.',
      ...left.map(
        (r) =>
          `Of ${name(r.pair)}, ${Math.abs(r.leftMm).toFixed(0)} mm ${r.leftMm > 0 ? 'more' : 'less'} was read than any place of the unit explains: measure ${shapesOf(r.pair)} again.`,
      ),
    ],
  };
}
