import { describe, expect, it } from 'vitest';
import fc from 'fast-check';
import { factCatalogue } from '../../facts/index.ts';
import type { FactBook, FactSource, PartValue } from '../../rules/book.ts';
import { judgeAt, Scene } from '../position/index.ts';
import {
  learnt,
  measuringRound,
  placeOfReading,
  readingsByGain,
  roundPlaces,
  sceneOfJob,
} from './index.ts';

const bits = (p: number): number =>
  p <= 0 || p >= 1 ? 0 : -p * Math.log2(p) - (1 - p) * Math.log2(1 - p);

describe('what is learnt by one of several', () => {
  it('is the mutual information of the whole and the one, gone through outcome by outcome (Shannon 1948, from memory)', () => {
    const chance = fc.double({ min: 0.01, max: 0.99, noNaN: true });
    fc.assert(
      fc.property(fc.array(chance, { minLength: 1, maxLength: 6 }), (all) => {
        // Every way the gaps may turn out, with its chance: does the whole hold, and does the first?
        const joint = new Map<string, number>();
        for (let k = 0; k < 2 ** all.length; k += 1) {
          const kept = all.map((_, i) => ((k >> i) & 1) === 1);
          const p = all.reduce((sum, one, i) => sum * (kept[i] ? one : 1 - one), 1);
          const key = `${kept.every(Boolean)} ${kept[0]}`;
          joint.set(key, (joint.get(key) ?? 0) + p);
        }
        const whole = all.reduce((a, b) => a * b, 1);
        let information = 0;
        for (const [key, p] of joint) {
          const [w, f] = key.split(' ');
          const [pw, pf] = [w === 'true' ? whole : 1 - whole, f === 'true' ? all[0]! : 1 - all[0]!];
          if (p > 0) information += p * Math.log2(p / (pw * pf));
        }
        expect(learnt(whole, all[0]!)).toBeCloseTo(information, 9);
        expect(learnt(whole, all[0]!)).toBeLessThanOrEqual(bits(whole) + 1e-12);
      }),
    );
  });
});

type Facts = Record<string, Record<string, PartValue>>;
const bookOf = (facts: Facts, sources: Record<string, FactSource> = {}): FactBook =>
  new Map(
    Object.entries(facts).map(([id, parts]) => [
      id,
      { parts, typed: {}, source: sources[id] ?? 'measured' },
    ]),
  );
const facts: Facts = {
  'rec-drive-layout': { value: 'front-longitudinal-rear-drive' },
  'rec-hood-profile': { 'lowest-z-over-the-engine': 470 },
  'rec-crossmember-place': { 'rear-edge-x': 420, 'front-edge-x': 520, 'top-z': -95 },
  'rec-bay-length': { 'firewall-recess-depth': 30, 'to-core-rear-face': 940 },
  'eng-length': { value: 802 },
  'eng-height-up': { 'highest-point': 380, 'highest-point-x': 310, 'rear-cover': 352 },
  'eng-sump-depth': { 'at-bowl': 150, 'at-front': 130 },
  'eng-sump-bowl-place': { 'bowl-rear-x': 40, 'bowl-front-x': 330 },
  'cho-engine-place': { 'bell-face-ahead-of-firewall-x': 20, 'crank-axis-above-body-datum-z': 70 },
};
const roundOf = (of: Facts, sources?: Record<string, FactSource>) => {
  const book = bookOf(of, sources);
  const scene = sceneOfJob({ job: book });
  const { margins } = judgeAt(new Scene(scene.problem), scene.chosen!);
  return {
    readings: readingsByGain(scene, book, margins),
    stops: measuringRound(scene, book, margins),
  };
};

describe('the measuring round', () => {
  it('has somewhere to stand for every reading of the car and its units, and none for a choice', () => {
    for (const { id, subject } of factCatalogue)
      expect(placeOfReading(id) !== undefined, id).toBe(
        ['recipient', 'engine', 'gearbox'].includes(subject),
      );
  });
  it('visits each place once, going on round the car from where the most decisive reading is', () => {
    const { readings, stops } = roundOf(facts);
    expect(stops[0]!.place).toBe(readings[0]!.place);
    const visited = stops.map((s) => roundPlaces.indexOf(s.place));
    expect(new Set(visited).size).toBe(visited.length);
    const turned = visited.map((v) => (v - visited[0]! + roundPlaces.length) % roundPlaces.length);
    expect(turned).toEqual([...turned].sort((a, b) => a - b));
    for (const { readings: own } of stops) {
      const gains = own.map((r) => r.bits);
      expect(gains).toEqual([...gains].sort((a, b) => b - a));
    }
  });
  it('asks nothing of a unit that the job does not have, and begins elsewhere', () => {
    const book = bookOf(facts);
    const scene = sceneOfJob({ job: book });
    const stops = measuringRound(scene, book, [], (id) => id.startsWith('rec-'));
    expect(stops.length).toBeGreaterThan(0);
    expect(stops.flatMap((s) => s.readings).filter((r) => !r.factId.startsWith('rec-'))).toEqual(
      [],
    );
  });
  it('asks for what nobody knows, by the value, and not again once it is known', () => {
    const wanted = (of: Facts) => roundOf(of).readings.map((r) => `${r.factId} ${r.partKey}`);
    expect(wanted(facts)).toContain('rec-ground-at-crossmember ground-to-crossmember');
    const known = {
      ...facts,
      'rec-ground-at-crossmember': {
        'ground-to-crossmember': 400,
        'planned-ride-height-change': 0,
      },
    };
    expect(wanted(known).some((w) => w.startsWith('rec-ground'))).toBe(false);
    expect(wanted(facts).some((w) => w.startsWith('cho-'))).toBe(false);
  });
  it('puts a number that was only looked up before one of a gap with much room, and asks for nothing that a tape read', () => {
    const { readings } = roundOf(
      { ...facts, 'rec-hood-profile': { 'lowest-z-over-the-engine': 486 } },
      { 'rec-hood-profile': 'assumed', 'eng-sump-depth': 'assumed' },
    );
    const place = (id: string) => readings.findIndex((r) => r.factId === id);
    // Hood: 1 mm over its least gap, a coin to toss. Sump: far over the crossmember.
    expect(place('rec-hood-profile')).toBeGreaterThanOrEqual(0);
    expect(readings.find((r) => r.factId === 'rec-hood-profile')).toMatchObject({
      why: 'unsure',
      place: 'front',
    });
    expect(place('eng-sump-depth')).toBeGreaterThan(place('rec-hood-profile'));
    expect(place('eng-height-up')).toBe(-1);
  });
  it('lists what was taken for want of a reading', () => {
    const { 'eng-height-up': height, ...rest } = facts;
    const { readings } = roundOf({
      ...rest,
      'eng-height-up': { 'highest-point': height!['highest-point']!, 'rear-cover': 352 },
    });
    expect(readings.find((r) => r.partKey === 'highest-point-x')).toMatchObject({ why: 'taken' });
  });
});
