import { cloudOf, reachOf, separate } from '../../solid/index.ts';
import type { Cloud, Separation, Vec } from '../../solid/index.ts';
import { placeAll } from './pose.ts';
import type { Pose } from './pose.ts';
import type { FitProblem, Placed } from './problem.ts';

/** One shape of the unit against one of the bay: what a pair is the smallest of. */
export interface Meeting {
  index: number;
  pair: number;
  unit: number;
  bay: number;
  needMm: number;
  /** Both radii, mm. */
  r: number;
  /** How far from the unit's datum its shape reaches, mm: what a turn of one radian moves it at the most. */
  reach: number;
}

/** A margin of one meeting at a pose, and how it was found. */
export interface Margin extends Separation {
  meeting: Meeting;
  /** Gap less the least gap, mm. */
  margin: number;
}

/** A problem made ready for being judged at many poses. */
export class Scene {
  readonly meetings: readonly Meeting[];
  private readonly unit: readonly Cloud[];
  private readonly bay: readonly Cloud[];
  private readonly posed: readonly Cloud[];
  /** For which judging each was placed last. */
  private readonly posedAt: Int32Array;
  private posedFor = 0;
  private readonly last: (Vec | undefined)[];
  /** Meetings that were judged so far: what the work is counted in. */
  judged = 0;

  readonly problem: FitProblem;

  constructor(problem: FitProblem) {
    this.problem = problem;
    const places = (shapes: readonly Placed[], ids: readonly string[]): number[] =>
      shapes.flatMap((s, i) => (ids.includes(s.id) ? [i] : []));
    this.meetings = problem.pairs
      .flatMap((pair, p) =>
        places(problem.unit, pair.unit).flatMap((u) =>
          places(problem.bay, pair.bay).map((b) => {
            const first = problem.unit[u]!;
            const second = problem.bay[b]!;
            return { pair: p, unit: u, bay: b, needMm: pair.needMm, r: first.r + second.r, reach: reachOf(first) };
          }),
        ),
      )
      .map((meeting, index) => ({ index, ...meeting }));
    this.unit = problem.unit.map((s) => cloudOf(s.points));
    this.bay = problem.bay.map((s) => cloudOf(s.points));
    this.posed = this.unit.map((cloud) => new Float64Array(cloud.length));
    this.posedAt = new Int32Array(this.unit.length);
    this.last = this.meetings.map(() => undefined);
  }

  /** Every meeting at a pose, or some of them. */
  at(pose: Pose, meetings: readonly Meeting[] = this.meetings, sweep?: (m: Meeting) => number): Margin[] {
    this.posedFor += 1;
    this.judged += meetings.length;
    return meetings.map((meeting) => {
      const { unit, bay, index, r, needMm } = meeting;
      if (this.posedAt[unit] !== this.posedFor) {
        placeAll(this.unit[unit]!, pose, this.posed[unit]!);
        this.posedAt[unit] = this.posedFor;
      }
      const found = separate(this.posed[unit]!, this.bay[bay]!, this.last[index], sweep?.(meeting));
      const { gap, normal, onFirst, onSecond, bend } = found;
      this.last[index] = normal;
      const margin = { meeting, margin: gap - r - needMm, gap: gap - r, normal, onFirst, onSecond };
      return bend === undefined ? margin : { ...margin, bend };
    });
  }

  /** The points of a unit's shape as they lay when the scene was judged last, and those of a bay's. */
  unitPoints = (shape: number): Cloud => this.posed[shape]!;
  bayPoints = (shape: number): Cloud => this.bay[shape]!;
}

/** The margin of each pair, mm: the smallest of its meetings; nothing where options took all its shapes away. */
export function byPair(problem: FitProblem, margins: readonly Margin[]): (number | undefined)[] {
  const smallest: (number | undefined)[] = problem.pairs.map(() => undefined);
  for (const { meeting, margin } of margins)
    smallest[meeting.pair] = Math.min(smallest[meeting.pair] ?? Infinity, margin);
  return smallest;
}

export const worstOf = (margins: readonly Margin[]): number =>
  margins.reduce((least, m) => Math.min(least, m.margin), Infinity);
