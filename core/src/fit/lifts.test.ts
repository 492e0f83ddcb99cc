import { describe, expect, it } from 'vitest';
import { bookFrom } from '../plan/testing.ts';
import { computePlan, emptyInput, planInputOf } from '../plan/index.ts';
import type { JobMaterial } from '../plan/index.ts';
import type { Recorded } from '../records/index.ts';
import {
  againstTacking,
  countLifts,
  isPlaceRead,
  judge,
  interfaceOf,
  lastOut,
  liftAt,
  liftNow,
  liftsInOrder,
  movedAt,
  movesWithEngine,
  offChosen,
  placeNotRead,
  sittingOf,
} from './index.ts';
import type { LiftRecord } from './index.ts';

/** What the rules ask for here is common practice, no source. */

const at = (day: number): string => `2026-03-0${day}T08:00:00.000Z`;
const one: LiftRecord = {
  reason: 'trial',
  why: 'sump over the crossmember',
  foreseen: true,
  unit: 'real',
  carries: 'truck sump',
  at: at(1),
};
const read = {
  alongMm: 42,
  sidewaysMm: 0,
  heightMm: -61,
  slopeDeg: 3,
  ownMounts: true,
  typed: {},
  at: at(2),
};
const out = { why: 'notch', at: at(3), hours: 4 };

describe('lifts of a job', () => {
  it('stand in the order they went in, whichever way they are kept', () => {
    const lifts = liftsInOrder({ b: { ...one, at: at(4), foreseen: false }, a: { ...one, out } });
    expect(lifts.map((l) => [l.key, l.number])).toEqual([
      ['a', 1],
      ['b', 2],
    ]);
    expect(liftNow(lifts)?.key).toBe('b');
    expect(lastOut(lifts)?.lift.key).toBe('a');
    expect(countLifts(lifts)).toEqual({
      lifts: 2,
      foreseen: 1,
      extraHours: 0,
      extraWithoutHours: 1,
    });
  });
  it('what was read belongs to the lift it was read under, and to none while it was out', () => {
    const lifts = liftsInOrder({ a: { ...one, out }, b: { ...one, at: at(5) } });
    expect(liftAt(lifts, at(2))?.number).toBe(1);
    expect(liftAt(lifts, at(4))).toBeUndefined();
    expect(liftAt(lifts, at(6))?.number).toBe(2);
  });
});

describe("the engine's place", () => {
  const open = (...lifts: LiftRecord[]) =>
    placeNotRead(liftsInOrder(Object.fromEntries(lifts.map((l, i) => [i, l]))));
  it('is read with all its numbers and on its own mounts, in the last lift', () => {
    expect(open({ ...one, read })).toBeUndefined();
    expect(open({ ...one, read, out })).toBeUndefined();
  });
  it.each([
    ['no lift', [], /no trial fit is written/],
    ['nothing read', [one], /not been read in lift 1/],
    [
      'on the hoist',
      [{ ...one, read: { ...read, ownMounts: false } }],
      /did not stand on its own mounts/,
    ],
    [
      'a number missing',
      [{ ...one, read: { ...read, slopeDeg: undefined } }],
      /Not read in lift 1: slope/,
    ],
    [
      'another lift after',
      [
        { ...one, read, out },
        { ...one, at: at(4) },
      ],
      /not been read in lift 2/,
    ],
  ] as const)('is not: %s', (_name, lifts, words) => expect(open(...lifts)).toMatch(words));
  it('a unit of which nobody said how it sits is offered up', () => {
    expect(sittingOf(one)).toBe('offered-up');
    expect(isPlaceRead(one)).toBe(false);
  });
  it('is told apart from the one that was chosen, with its direction', () => {
    const chosen = bookFrom({
      'cho-engine-place': {
        'bell-face-ahead-of-firewall-x': '40 mm',
        'sideways-from-centre-line-y': '0 mm',
        'crank-axis-above-body-datum-z': '-55 mm',
        'slope-tail-down': '3 deg',
      },
    });
    expect(offChosen(read, chosen).map((o) => o.words)).toEqual(['6 mm lower']);
    expect(
      offChosen({ ...read, heightMm: -52, slopeDeg: 2.4 }, chosen).map((o) => o.words),
    ).toEqual(['0.6 ° flatter']);
  });
});

describe('before it is tacked', () => {
  const plan = computePlan(emptyInput());
  const against = (lift: LiftRecord, facts = plan.facts, fits = plan.fits) =>
    againstTacking(liftsInOrder({ a: lift })[0]!, { facts, fits }, new Set(['p'])).join(' ');
  it('asks for place, mounts, what was chosen, a photo and the gaps', () => {
    const said = against(one);
    expect(said).toContain('Not read: bell face ahead of the firewall');
    expect(said).toContain('Nobody chose where it is to sit');
    expect(said).toContain('No photo');
    expect(said).toContain('Gap not read since it went in');
    expect(against({ ...one, read: { ...read, ownMounts: false } })).toContain('own mounts');
  });
  it('is content when all of that is there, and not with a clash that nobody resolved', () => {
    const chosen = bookFrom({
      'cho-engine-place': {
        'bell-face-ahead-of-firewall-x': '42 mm',
        'sideways-from-centre-line-y': '0 mm',
        'crank-axis-above-body-datum-z': '-61 mm',
        'slope-tail-down': '3 deg',
      },
    });
    const fits = plan.fits.map((f) => ({
      ...f,
      verdict: { ...f.verdict, word: 'bolts-up' as const, basis: 'trial' as const },
      readAt: at(2),
    }));
    const lift = { ...one, read, photos: ['p'] };
    expect(against(lift, chosen, fits)).toBe('');
    expect(against({ ...lift, photos: ['of another job'] }, chosen, fits)).toBe(
      'No photo shows it.',
    );
    const early = fits.map((f) =>
      f.def.id === 'fit-hood' ? { ...f, readAt: '2026-02-01T00:00:00.000Z' } : f,
    );
    expect(against(lift, chosen, early)).toMatch(/Gap not read since it went in/);
    const meets = fits.map((f) =>
      f.def.id === 'fit-hood' ? { ...f, verdict: { ...f.verdict, word: 'clash' as const } } : f,
    );
    expect(against(lift, chosen, meets)).toMatch(/^Clash: /);
  });
});

describe('what another lift undoes', () => {
  const material = (...records: unknown[]): JobMaterial => ({
    jobId: 'j',
    units: [],
    facts: [],
    records: records as Recorded[],
    shopSchools: {},
    shopRules: [],
  });
  const lift = (key: string, data: LiftRecord) => ({ kind: 'lift', key, data });
  const gap = {
    interfaceId: 'fit-hood',
    read: { word: 'bolts-up', gapMm: 60, place: 'brace', condition: 'cold', at: at(2) },
  };
  const planOf = (...records: unknown[]) => computePlan(planInputOf(material(...records)));
  const hood = (plan: ReturnType<typeof planOf>) => plan.fits.find((f) => f.def.id === 'fit-hood')!;

  it('gaps that were read stand until it goes in again or is moved; then they are to be read anew, and say why', () => {
    expect(hood(planOf(lift('a', one), { kind: 'gap', key: 'g', data: gap }))).toMatchObject({
      stale: false,
      verdict: { basis: 'trial' },
    });
    const again = planOf(lift('a', { ...one, out }), lift('b', { ...one, at: at(4) }), {
      kind: 'gap',
      key: 'g',
      data: gap,
    });
    expect(hood(again)).toMatchObject({ stale: true, moved: true });
    expect(hood(again).verdict.basis).not.toBe('trial');
    const moved = planOf(lift('a', { ...one, shifted: { why: 'mount', times: 1, at: at(3) } }), {
      kind: 'gap',
      key: 'g',
      data: gap,
    });
    expect(hood(moved)).toMatchObject({ stale: true, moved: true });
  });
  it('while it is only out, what was read there still says what was there', () => {
    expect(
      hood(planOf(lift('a', { ...one, out }), { kind: 'gap', key: 'g', data: gap })),
    ).toMatchObject({ stale: false });
  });
  it('what a person judged by eye is to be looked at again too', () => {
    const judged = { word: 'bolts-up' as const, why: 'a hand goes round it', at: at(2) };
    const service = (since?: string) =>
      judge(interfaceOf('fit-service-access'), { job: new Map() }, { judged }, [], since);
    expect(service().verdict.word).toBe('bolts-up');
    expect(service(at(4))).toMatchObject({
      stale: true,
      moved: true,
      verdict: { word: 'not-measured' },
    });
  });
  it('a place that is no gap does not move with the engine', () => {
    expect(movesWithEngine('fit-throttle')).toBe(false);
    const trial = {
      word: 'bolts-up' as const,
      place: 'pedal',
      condition: 'cold' as const,
      at: at(2),
    };
    expect(judge(interfaceOf('fit-throttle'), { job: new Map() }, { trial }, [], at(4)).stale).toBe(
      false,
    );
  });
  it('gate lines that a lift undoes are void after it, and others stand', () => {
    const proof = (key: string) => ({
      kind: 'gate',
      key,
      data: { text: 'caller and hoist by name, chocked', at: at(2) },
    });
    const lines = (plan: ReturnType<typeof planOf>) =>
      Object.fromEntries(plan.gates.flatMap((g) => g.lines).map((l) => [l.def.id, l.state]));
    const both = [proof('gate-ei-roles'), proof('gate-fs-gas')];
    const before = lines(planOf(...both, lift('a', one)));
    expect(before).toMatchObject({ 'gate-ei-roles': 'proved', 'gate-fs-gas': 'proved' });
    const after = lines(planOf(...both, lift('a', { ...one, out })));
    expect(after['gate-ei-roles']).not.toBe('proved');
    expect(after['gate-fs-gas']).toBe('proved');
    const proved = {
      kind: 'gate',
      key: 'gate-ei-roles',
      data: { text: 'caller and hoist by name again', at: at(4) },
    };
    expect(lines(planOf(proved, lift('a', { ...one, out })))['gate-ei-roles']).toBe('proved');
  });
  it('nothing that is offered up, loose, tacked or a stand-in passes the first crank, nor an engine that is out', () => {
    const kinds = (l: LiftRecord) => planOf(lift('a', l)).provisional.map((i) => i.kind);
    expect(kinds(one)).toEqual(['offered-up']);
    expect(kinds({ ...one, unit: 'stand-in', sits: { how: 'tacked' } })).toEqual([
      'tacked',
      'stand-in',
    ]);
    expect(kinds({ ...one, sits: { how: 'final' } })).toEqual([]);
    expect(kinds({ ...one, out })).toEqual([]);
    const loose = (plan: ReturnType<typeof planOf>) =>
      plan.gates
        .flatMap((g) => g.lines)
        .find((l) => l.def.id === 'gate-fc-loose')!
        .blockers.map((b) => b.sentence)
        .join(' ');
    expect(loose(planOf(lift('a', one)))).toContain('Engine offered up in the bay');
    expect(loose(planOf(lift('a', { ...one, out })))).toContain('the engine is out again, notch');
    expect(loose(planOf(lift('a', { ...one, sits: { how: 'final' } })))).not.toContain('ngine');
  });
  it('what is made to its place waits until that is read', () => {
    const waits = (plan: ReturnType<typeof planOf>) =>
      plan.kit.filter((l) => l.placeOpen).map((l) => l.def.id);
    expect(waits(planOf(lift('a', one)))).toContain('kit-exhaust-mid');
    expect(waits(planOf(lift('a', { ...one, read })))).toEqual([]);
    expect(movedAt(liftsInOrder({ a: one }))).toBeUndefined();
  });
});
