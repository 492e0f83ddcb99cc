import { counted } from '../../units/index.ts';
import { partName } from '../../facts/index.ts';
import type { Pose } from '../position/pose.ts';
import type { Buy } from '../position/prices.ts';
import type { JobScene } from './scene-of-job.ts';

/** What a position comes to, for people. */
export interface PositionSaid {
  word: 'goes-on' | 'look' | 'stop' | 'not-known';
  /** The first sentence, whole by itself. */
  headline: string;
  /** What holds it, and what a millimetre buys. */
  details: string[];
  /** What it does not know. */
  doubts: string[];
}

const mm = (value: number): string =>
  `${Math.abs(value) < 10 ? Math.abs(value).toFixed(1) : Math.abs(value).toFixed(0)} mm`;

/** Words joined as people say them. */
const list = (words: readonly string[]): string =>
  words.length < 2 ? (words[0] ?? '') : `${words.slice(0, -1).join(', ')} and ${words.at(-1)}`;

/** A chance as people say one: never none and never all. */
export const chanceWords = (chance: number): string =>
  chance > 0.99 ? 'over 99 in 100' : chance < 0.01 ? 'under 1 in 100' : `about ${Math.round(chance * 100)} in 100`;

export interface PositionJudged {
  pose: Pose;
  worstMm: number;
  margins: Readonly<Record<string, number>>;
  binding: readonly string[];
  buys: readonly Buy[];
  chance: number;
}

/**
 * A position in words. It says "fits" without more only where every pair of the bay has both its shapes and none stands on something
 * taken; a pair that cannot be judged is never a good one.
 */
export function sayPosition(scene: JobScene, at: PositionJudged): PositionSaid {
  const { pairs, openPairs, shapes } = scene;
  const name = (id: string): string => pairs.find((p) => p.id === id)?.name ?? id;
  const shape = (id: string): string => (shapes.find((s) => s.id === id)?.name ?? id).toLowerCase();
  const fits = at.worstMm >= 0;
  const used = shapes.filter((s) => pairs.some((p) => p.unit.includes(s.id) || p.bay.includes(s.id)));
  // What was taken and decides nothing while the unit is level is a doubt once it slopes.
  const tilted = at.pose.slopeDeg === 0 ? [] : used.flatMap((s) => s.tilted);
  const assumed = [
    ...new Set([
      ...used.flatMap((s) => s.assumed),
      ...tilted.map(
        (t) => `${partName(t.factId, t.partKey)} taken as it usually is: nobody measured it, and the unit slopes`,
      ),
    ]),
  ];
  const soft = [...new Set(used.filter((s) => s.source === 'assumed' && s.assumed.length === 0).map((s) => s.name))];
  const doubts = [
    ...(openPairs.length > 0
      ? [`${counted(openPairs.length, 'gap')} cannot be judged yet: ${list(openPairs.map((o) => o.pair.name))}.`]
      : []),
    ...assumed.map((a) => `${a}.`),
    ...(soft.length > 0 ? [`Stands on assumed facts: ${list(soft)}.`] : []),
  ];
  if (pairs.length === 0) return { word: 'not-known', headline: 'No gap can be judged yet.', details: [], doubts };
  const sure = doubts.length === 0;
  const judged = pairs.filter((p) => !openPairs.some((o) => o.pair.id === p.id)).length;
  // Where most of the bay is not measured, what little is says nothing of whether it fits.
  const tooLittle = fits && judged < openPairs.length;
  const headline = tooLittle
    ? `Not known yet: ${judged} of ${counted(judged + openPairs.length, 'gap')} can be judged.`
    : fits
      ? `${sure ? 'It fits' : 'As far as it is known, it fits'} with ${mm(at.worstMm)} in hand.`
      : `It does not fit by ${mm(at.worstMm)}${sure ? '' : ', as far as it is known'}.`;
  const limits: Record<string, string> = { x: 'along', y: 'sideways', z: 'height', slopeDeg: 'slope', yawDeg: 'yaw' };
  const holders = at.binding.map(name);
  const bought = at.buys.filter((b) => b.kind === 'unit' || b.kind === 'bay').filter((b) => b.mmPerMm >= 0.05);
  const best = bought[0];
  const range = at.buys.filter((b) => b.kind === 'limit').map((b) => limits[b.of] ?? b.of);
  return {
    word: tooLittle ? 'not-known' : !fits ? 'stop' : sure && at.chance >= 0.95 ? 'goes-on' : 'look',
    headline,
    details: [
      ...(holders.length > 0
        ? [`Held by ${list(holders)}${range.length > 0 ? `, and by the range ${list(range)}` : ''}.`]
        : []),
      ...(best
        ? [`1 mm off the ${shape(best.of)} buys ${best.mmPerMm.toFixed(best.mmPerMm >= 0.995 ? 0 : 2)} mm.`]
        : []),
      `That every gap${openPairs.length > 0 ? ' that can be judged' : ''} is kept here, as sure as the measures are: ${chanceWords(at.chance)}.`,
    ],
    doubts,
  };
}
