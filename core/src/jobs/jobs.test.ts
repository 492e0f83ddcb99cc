import { describe, expect, it } from 'vitest';
import { harvestPlan } from '../donors/index.ts';
import { orderStops } from '../kit/index.ts';
import { computePlan } from '../plan/index.ts';
import { bookFrom, emptyInput, truthsOf } from '../plan/testing.ts';
import { compareCandidates } from '../fit/index.ts';
import { lineContextOf, planInputOf, stepBasis, thingsOf, workSteps } from '../plan/index.ts';
import type { JobMaterial } from '../plan/index.ts';
import { recordsOf } from '../records/index.ts';
import type { Recorded } from '../records/index.ts';
import { stationIds, stationName, stations } from './index.ts';

const fact = (bearerId: string, factId: string, parts: Record<string, number | string>) => ({
  bearerId,
  factId,
  parts,
  typed: {},
  source: 'measured' as const,
});
/** Records with only what a test is about. */
const recorded = (rows: readonly { kind: string; key: string; data: object; on?: string }[]) =>
  rows as readonly Recorded[];

const material = (over: Partial<JobMaterial> = {}): JobMaterial => ({
  jobId: 'job',
  units: [
    { id: 'car', role: 'car' },
    { id: 'new', role: 'engine' },
    { id: 'old', role: 'own-engine' },
    { id: 'don', role: 'donor' },
  ],
  facts: [
    fact('car', 'rec-hv-system', { value: 'no' }),
    fact('don', 'rec-hv-system', { value: 'yes' }),
    fact('don', 'don-storage-months', { value: 14 }),
    fact('new', 'eng-mass', { value: 128 }),
    fact('old', 'eng-mass', { value: 98 }),
    fact('job', 'cho-goal', { value: 'road-going' }),
  ],
  records: [],
  shopSchools: {},
  shopRules: [],
  ...over,
});

describe('what a plan is computed from', () => {
  it('keeps the facts of one unit apart from those of another', () => {
    const input = planInputOf(material());
    expect(input.facts.get('eng-mass')!.parts['value']).toBe(128);
    expect(input.outgoing.get('eng-mass')!.parts['value']).toBe(98);
    expect(input.facts.get('rec-hv-system')!.parts['value']).toBe('no');
    expect(input.donor.get('rec-hv-system')!.parts['value']).toBe('yes');
    expect(input.facts.get('don-storage-months')!.parts['value']).toBe(14);
  });
  it('a hybrid donor brings the high-voltage steps to the harvest, not to the car', () => {
    const plan = computePlan(planInputOf(material()));
    expect(plan.harvestSteps.lines.some((l) => l.def.id === 'rm-hv-prove-dead')).toBe(true);
    expect(plan.pull.lines.some((l) => l.def.id === 'rm-hv-prove-dead')).toBe(false);
  });
  it('gathers what stands against gates', () => {
    const records = [
      { kind: 'provisional', key: '1', data: { what: 'loose mount' } },
      { kind: 'provisional', key: '2', data: { what: 'cap', ended: {} } },
      { kind: 'priming', key: '3', data: { bar: 3, at: '1' } },
      { kind: 'priming', key: '4', data: { bar: 2, at: '2' } },
      { kind: 'circuit', key: '5', data: { title: 'pump', labelA: 'A', labelB: '' } },
      { kind: 'follow-up', key: '6', data: { what: 'no trigger' } },
      { kind: 'attempt', key: '1', data: {} },
    ];
    expect(planInputOf(material({ records: recorded(records) }))).toMatchObject({
      attempts: 1,
      gateInputs: {
        provisional: [{ title: 'loose mount', forbiddenAt: 'First crank' }],
        unlabelled: ['pump'],
        openEnds: ['no trigger'],
        primedBar: 2,
      },
    });
  });
});

describe('candidates side by side', () => {
  const car = bookFrom({
    'rec-bay-width': { 'between-towers-at-head-height': '800' },
    'rec-brake-assist': 'none',
  });
  const rows = compareCandidates(car, bookFrom({ 'eng-mass': '150 kg' }), [
    {
      unitId: 'a',
      name: 'A',
      facts: bookFrom({
        'eng-mass': '190 kg',
        'eng-power': '100 kW',
        'eng-throttle-kind': 'cable',
        'eng-width': { 'left-at-covers-and-coils': '300', 'right-at-covers-and-coils': '320' },
      }),
      cost: 900,
    },
    { unitId: 'b', name: 'B', facts: new Map(), cost: undefined },
  ]);
  it('computes what facts allow and leaves the rest not known', () => {
    expect(rows[0]).toMatchObject({
      massChangeKg: 40,
      widthSpareMm: 50,
      powerKw: 100,
      control: 'cable throttle',
      cost: 900,
    });
    expect(rows[1]).toMatchObject({
      massChangeKg: undefined,
      widthSpareMm: undefined,
      powerKw: undefined,
    });
    expect(rows[0]!.counts['not-measured']).toBeLessThan(rows[1]!.counts['not-measured']);
  });
});

describe('harvest and kit', () => {
  it('leaves out what certainly does not apply and keeps what nobody knows', () => {
    const ids = (facts: Parameters<typeof bookFrom>[0]) =>
      harvestPlan(truthsOf(bookFrom(facts))).map((l) => l.part.id);
    expect(ids({})).toContain('take-turbo');
    expect(ids({ 'eng-induction': 'none' })).not.toContain('take-turbo');
  });
  it('an order stops at a blank', () => {
    const stops = (facts: Parameters<typeof bookFrom>[0], options?: string) => {
      const plan = computePlan(emptyInput({ facts: bookFrom(facts) }));
      const line = plan.kit.find((l) => l.def.id === 'kit-thermostat')!;
      return orderStops(line, plan.facts, options ? { status: 'wanted', options } : undefined);
    };
    expect(stops({})).toHaveLength(4);
    expect(
      stops(
        {
          'eng-code': 'Q20-871',
          'eng-generation': { value: 'late', 'told-by': 'cover-or-casting' },
          'eng-thermostat': { side: 'outlet' },
        },
        '88 °C, outlet',
      ),
    ).toEqual([]);
    // Told by the year alone it is a guess, and a guess is not ordered by.
    expect(
      stops(
        {
          'eng-code': 'Q20-871',
          'eng-generation': { value: 'late', 'told-by': 'year-alone' },
          'eng-thermostat': { side: 'outlet' },
        },
        '88 °C, outlet',
      ),
    ).toEqual(['Early or late in its family is told by the year alone: look at what can be seen']);
  });
  it('has eight stations in their order', () => {
    expect(stations.map((s) => s.name)).toEqual([
      'Scope',
      'Donor',
      'Pull',
      'Prep',
      'Fit',
      'Connect',
      'Start',
      'Hand over',
    ]);
    expect(stationName('hand-over')).toBe('Hand over');
  });
});

describe('every step of a job in one list', () => {
  const plan = (records: JobMaterial['records']) => {
    const m = material({ records });
    return { plan: computePlan(planInputOf(m)), tasks: recordsOf(m, 'task') };
  };
  it('goes by the stations, and says what is free and what holds the rest', () => {
    const { plan: p, tasks } = plan([]);
    const steps = workSteps(p, tasks, true);
    const order = stationIds.filter((id) => steps.some((s) => s.station === id));
    expect([...new Set(steps.map((s) => s.station))]).toEqual(order);
    const held = steps.find((s) => s.status === 'held')!;
    expect(held.heldBy.length).toBeGreaterThan(0);
    expect(steps.filter((s) => s.heldBy.length > 0 && s.status === 'free')).toEqual([]);
    expect(new Set(steps.map((s) => s.key)).size).toBe(steps.length);
  });
  it('leaves the donor out where there is none', () => {
    const { plan: p, tasks } = plan([]);
    expect(workSteps(p, tasks, false).some((s) => s.key.startsWith('donor-'))).toBe(false);
  });
  it('and a step by its key alone has the station and minutes that the plan gives it', () => {
    const { plan: p, tasks } = plan([]);
    for (const s of workSteps(p, tasks, true)) {
      expect(stepBasis(s.key), s.key).toEqual({
        station: s.station,
        ...(s.minutes ? { minutes: s.minutes } : {}),
      });
    }
  });
  it('carries the record of a step that somebody began', () => {
    const { plan: p, tasks } = plan([
      { kind: 'task', key: 'bld-clean', data: { status: 'on-it', by: 'DP' } },
    ]);
    expect(workSteps(p, tasks, false).find((s) => s.key === 'bld-clean')).toMatchObject({
      status: 'on-it',
      station: 'prep',
      record: { by: 'DP' },
    });
  });
  it('is what the words of a log line are looked up among', () => {
    const m = material({
      records: recorded([
        { kind: 'task', key: 'rm-identify', data: { status: 'done' } },
        { kind: 'circuit', key: 'c1', data: { title: 'pump', labelA: 'A', labelB: 'B' } },
        { kind: 'part', key: 'p1', data: { title: 'Engine unit', label: 'C-1', place: 'C2' } },
      ]),
    });
    const context = lineContextOf(m, computePlan(planInputOf(m)), [], '2026-11-26');
    expect(context.parts).toEqual([{ key: 'p1', title: 'Engine unit', label: 'C-1' }]);
    const things = thingsOf(context);
    expect(things.map((t) => t.key)).toEqual(expect.arrayContaining(['c1', 'p1', 'fit-hood']));
    expect(things.map((t) => t.key)).not.toContain('rm-identify');
  });
});

describe('records of units', () => {
  it('count only while the unit stays in the car', () => {
    const torque = {
      joint: 'head',
      bolt: '1',
      stagesNm: [40],
      source: 'manual',
      voided: { why: 'off' },
    };
    const records = (on: 'engine' | 'own-engine' | 'candidate') => [
      { kind: 'torque', key: 'head:1', data: torque, on },
    ];
    const loosened = (on: 'engine' | 'own-engine' | 'candidate') =>
      planInputOf(material({ records: recorded(records(on)) })).gateInputs.loosened;
    expect(loosened('engine')).toEqual(['head, bolt 1']);
    expect(loosened('own-engine')).toEqual([]);
    expect(loosened('candidate')).toEqual([]);
  });
});
