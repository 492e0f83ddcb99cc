import { describe, expect, it } from 'vitest';
import { bookFrom, truthsOf } from '../plan/testing.ts';
import { emptyInput } from '../plan/index.ts';
import {
  gateLines,
  gateNames,
  gatesOf,
  pointsOf,
  provisionalKindIds,
  provisionalKinds,
  provisionalRegister,
  readingsOf,
  refuseProof,
} from './index.ts';
import { goodReadings } from './testing.ts';
import type { GateInputs, GateName, ProvisionalItem } from './index.ts';

const inputs: GateInputs = {
  ...emptyInput().gateInputs,
  liftStops: [],
  openClashes: [],
  unresolvedAdapts: [],
  notMeasured: [],
  knockOnOpen: [],
  photoIds: new Set(['photo']),
  primedBar: 3,
  records: {
    ...emptyInput().gateInputs.records,
    fills: [
      {
        system: 'fuel',
        title: 'fuel',
        rows: [],
        missing: [],
        putIn: 20,
        last: { way: 'filled', litres: 20, what: 'petrol 98', system: 'fuel' },
        state: 'filled',
      },
    ],
    toDo: new Set(),
    lash: ['1', '2', '3', '4'].map((place) => ({
      sheet: 'lash',
      place,
      readings: { intake: 0.2, exhaust: 0.3 },
      typed: {},
    })),
    lashLimits: {
      limits: {
        'intake-least': 0.15,
        'intake-largest': 0.25,
        'exhaust-least': 0.25,
        'exhaust-largest': 0.35,
      },
      source: 'manual, sheet 12',
    },
    followUps: { dated: 3, undated: [] },
  },
};
const chosen = { 'cho-oil-priming': 'external-pressure', 'eng-layout': 'inline-4' };
const gate = (name: string, over: Partial<GateInputs> = {}, proofs = {}, facts = {}) => {
  const book = bookFrom({ ...chosen, ...facts });
  return gatesOf({ own: truthsOf(book), donor: truthsOf(new Map()) }, book, proofs, {
    ...inputs,
    ...over,
  }).find((g) => g.gate === name)!;
};
const line = (name: string, id: string, over: Partial<GateInputs> = {}, proofs = {}) =>
  gate(name, over, proofs).lines.find((l) => l.def.id === id)!;
const proof = { text: 'looked at by two', by: 'A', at: '2026-01-01' };
const proofOf = (id: string) => ({
  ...proof,
  readings: goodReadings(gateLines.find((l) => l.id === id)!),
  photos: ['photo'],
});
const allProved = () =>
  Object.fromEntries(gateLines.map((l) => [l.id, { ...proofOf(l.id), second: { by: 'B' } }]));

const loose = (title: string, forbiddenAt: GateName = 'First crank'): ProvisionalItem => ({
  key: title,
  kind: 'loose',
  title,
  from: 'person',
  endsWith: 'torqued',
  forbiddenAt,
});

describe('lash proves its line', () => {
  const lashLine = (limits: Record<string, number>, exhaust = 0.3) =>
    gate(
      'Engine closed up',
      {
        records: {
          ...inputs.records,
          lash: inputs.records.lash.map((s) => ({ ...s, readings: { intake: 0.2, exhaust } })),
          lashLimits: { limits, source: 'manual, sheet 12' },
        },
      },
      {},
      { 'eng-cam-follower': 'bucket' },
    ).lines.find((l) => l.def.id === 'gate-cu-lash')!;
  const whole = {
    'intake-least': 0.15,
    'intake-largest': 0.25,
    'exhaust-least': 0.25,
    'exhaust-largest': 0.35,
  };
  it('inside both ends of both limits', () => {
    expect(lashLine(whole).state).toBe('proved');
    expect(lashLine({ 'least-size': 0.15, 'largest-size': 0.35 }).state).toBe('proved');
    expect(lashLine(whole, 0.2).state).toBe('blocked');
  });
  it.each(Object.keys(whole))('not while %s is not entered', (name) => {
    const rest = Object.fromEntries(Object.entries(whole).filter(([n]) => n !== name));
    expect(lashLine(rest, 5).state).toBe('blocked');
    expect(lashLine(rest).state).toBe('blocked');
  });
});

it('tests of the engine that nobody wrote down stand in the line under the name of whoever signs it', () => {
  const told = (facts: object) =>
    gate('Engine closed up', {}, {}, facts).lines.find((l) => l.def.id === 'gate-cu-condition')
      ?.accepts;
  expect(told({ 'eng-condition': 'stood' })).toEqual([
    'compression by cylinder',
    'leak-down by cylinder',
  ]);
  expect(
    told({
      'eng-condition': {
        value: 'stood',
        'compression-table': '11.8 12 11.9 12',
        'leak-down-table': '6 7 6 8 %',
      },
    }),
  ).toBeUndefined();
});

describe('gates', () => {
  it('every line belongs to a gate', () =>
    expect(gateLines.filter((l) => !gateNames.includes(l.gate))).toEqual([]));
  it('opens only when every line that applies is proved', () => {
    const all = allProved();
    expect(gate('First crank', {}, all).opens).toBe(true);
    const one = { ...all };
    delete one['gate-fc-loose'];
    expect(gate('First crank', {}, one)).toMatchObject({ opens: false });
  });
  it('nothing provisional passes the first crank, whoever signed', () =>
    expect(
      line(
        'First crank',
        'gate-fc-loose',
        { provisional: [loose('left mount loose')] },
        { 'gate-fc-loose': proof },
      ),
    ).toMatchObject({
      state: 'blocked',
      blockers: [{ sentence: 'Provisional: left mount loose.' }],
    }));
  it('a bolt taken off and not tightened again holds the first crank and closing up', () => {
    const loosened = ['main caps, bolt 2'];
    const proofs = { 'gate-fc-loose': proof, 'gate-cu-fasteners': proof };
    expect(line('First crank', 'gate-fc-loose', { loosened }, proofs).blockers).toEqual([
      {
        lineId: 'gate-fc-loose',
        sentence: 'Taken off and not tightened again: main caps, bolt 2.',
      },
    ]);
    expect(line('Engine closed up', 'gate-cu-fasteners', { loosened }, proofs).state).toBe(
      'blocked',
    );
    expect(line('First crank', 'gate-fc-loose', {}, proofs).state).toBe('proved');
  });
  it('no pressure, no start', () => {
    expect(
      line(
        'First start',
        'gate-fs-oil-pressure',
        { primedBar: undefined },
        { 'gate-fs-oil-pressure': proofOf('gate-fs-oil-pressure') },
      ).state,
    ).toBe('blocked');
    expect(
      line(
        'First start',
        'gate-fs-oil-pressure',
        {},
        { 'gate-fs-oil-pressure': proofOf('gate-fs-oil-pressure') },
      ).state,
    ).toBe('proved');
  });
  it('an open clash holds "engine in", and says which', () =>
    expect(
      line('Engine in', 'gate-ei-verdicts', { openClashes: ['a', 'b', 'c', 'd'] }).blockers[0]!
        .sentence,
    ).toBe('Clash open: a, b, c and 1 more.'));
  it('a proof taken back counts no longer', () =>
    expect(
      line(
        'First crank',
        'gate-fc-earths',
        {},
        { 'gate-fc-earths': { ...proof, voided: { why: 'off again' } } },
      ).state,
    ).toBe('open'));
  it('high voltage lines stand unless the car certainly has none', () => {
    expect(gate('Engine in').lines.some((l) => l.def.id === 'gate-ei-hv')).toBe(true);
    expect(
      gate('Engine in', {}, {}, { 'rec-hv-system': 'no' }).lines.some(
        (l) => l.def.id === 'gate-ei-hv',
      ),
    ).toBe(false);
  });
});

describe('proofs', () => {
  const def = (id: string) => gateLines.find((l) => l.id === id)!;
  it.each([
    ['gate-fc-earths', { text: 'fine' }, /a number in V or ohm is wanted/],
    ['gate-fc-earths', { text: '', readings: { engine: 'lots' } }, /does not start with a number/],
    ['gate-fc-earths', { text: '', readings: { engine: '0.05' } }, /write the unit, V or ohm/],
    [
      'gate-fc-earths',
      { text: '', readings: { engine: '0.5 V', body: '0 V', unit: '0 V' } },
      /0\.5 V is not what/,
    ],
    [
      'gate-fc-battery',
      { text: '', readings: { rest: '3 V', load: '10 V' } },
      /3 V is not what this line wants: 12\.5/,
    ],
    ['gate-fc-battery', { text: 'fine', readings: { rest: '12.6 V' } }, /Under load/],
    [
      'gate-fc-battery',
      { text: '', readings: { rest: '12.6 V', load: '10 V', also: '1' } },
      /no reading called "also"/,
    ],
    [
      'gate-fs-leak',
      { text: '', readings: { rail: '-3 psi', held: '3 bar' } },
      /-0\.21 bar is not what/,
    ],
    ['gate-fc-oil-level', { text: '', readings: { oil: '2 spoons' } }, /"spoons" is not a unit/],
    [
      'gate-hv-dead',
      { text: '', readings: { 'meter-before': '12 V', 'point-1': '440 V' } },
      /440 V is not what/,
    ],
    ['gate-fc-rear-look', { text: 'looked at' }, /A photo is to show it/],
    ['gate-fc-rollcall', { text: ' ' }, /Write what proves it/],
    ['gate-cu-condition', { text: 'x' }, /in a few words what was looked at/],
    ['gate-fc-clear', { text: 'ok' }, /in a few words what was looked at/],
    [
      'gate-fc-rear-look',
      { text: '', override: { by: 'A', reason: 'late' } },
      /reason of a sentence/,
    ],
    ['gate-fd-charge', { text: '', readings: { loads: '12.1 V' } }, /13\.5 V to 14\.8 V/],
    ['gate-ei-converter', { text: '', readings: { gap: '2 mm' } }, /not what this line wants/],
  ])('%s with %o is refused', (id, p, sentence) =>
    expect(refuseProof(def(id), p, new Map())).toMatch(sentence),
  );
  it.each([
    [
      'gate-fc-earths',
      { text: '', readings: { engine: '0.05 V', body: '0.004 ohm', unit: '40 mV' } },
    ],
    ['gate-fd-charge', { text: '', readings: { loads: '14.2 V' } }],
    ['gate-fc-clear', { text: '', override: { reason: 'lift broken, chocked instead' } }],
  ])('%s with %o will do', (id, p) => expect(refuseProof(def(id), p, new Map())).toBeUndefined());
});

describe('readings', () => {
  const def = (id: string) => gateLines.find((l) => l.id === id)!;
  it('the figure of the card goes before what is common practice', () => {
    const card = bookFrom({
      'eng-oil-spec': { 'capacity-with-filter': '5 L', 'idle-pressure-least': '1 bar' },
    });
    const fault = (id: string, readings: Record<string, string>, facts = card) =>
      readingsOf(def(id), { readings }, facts).map((r) => r.fault);
    expect(fault('gate-fd-oil', { idle: '0.8 bar' })).toEqual([
      expect.stringMatching(/1 bar to 8 bar/),
    ]);
    expect(fault('gate-fd-oil', { idle: '0.8 bar' }, new Map())).toEqual([undefined]);
    expect(fault('gate-fc-oil-level', { oil: '3 L' })).toEqual([
      expect.stringMatching(/4\.5 L to 8 L/),
    ]);
    expect(fault('gate-fc-oil-level', { oil: '5 L' })).toEqual([undefined]);
  });
  it('a rail below zero points to a pump that is the wrong way round', () =>
    expect(
      readingsOf(def('gate-fs-leak'), { readings: { rail: '-3 psi' } }, new Map())[0]!.pointsTo,
    ).toBe('f-pump-reversed'));
  it('a number that is out of the band as it is now proves nothing, whoever signed', () =>
    expect(
      line(
        'First crank',
        'gate-fc-battery',
        {},
        { 'gate-fc-battery': { ...proof, readings: { rest: '3 V', load: '10 V' } } },
      ).state,
    ).toBe('blocked'));
  it('every point of every line wants a number that is refused when it is no number', () => {
    for (const l of gateLines)
      for (const point of pointsOf(l))
        for (const typed of ['', 'x', 'lots', '1e12', 'fine'])
          expect(
            readingsOf(l, { readings: { [point.key]: typed } }, new Map()).find(
              (r) => r.point.key === point.key,
            )!.fault,
            `${l.id} ${point.key} ${typed}`,
          ).toBeTruthy();
  });
});

describe('high voltage by the clock', () => {
  const facts = { 'rec-hv-system': 'yes' };
  const at = (minutes: number) =>
    new Date(Date.parse('2026-01-01T10:00:00Z') + minutes * 60_000).toISOString();
  const signedAt = (id: string, minutes: number, wait = '5 min') => ({
    ...proofOf(id),
    ...(id.endsWith('-wait') ? { readings: { minutes: wait } } : {}),
    at: at(minutes),
    second: { by: 'B', at: at(minutes) },
  });
  const hv = (proofs: Parameters<typeof gate>[2], plug: string | undefined) =>
    gate('High voltage', { plugOutAt: { own: plug } }, proofs, facts);
  const both = (minutes: number, wait?: string) => ({
    'gate-hv-people': signedAt('gate-hv-people', -20),
    'gate-hv-wait': signedAt('gate-hv-wait', minutes, wait),
    'gate-hv-dead': signedAt('gate-hv-dead', minutes),
  });
  it('stands before the work, and wants the plug out first', () => {
    expect(gateNames.indexOf('High voltage')).toBeLessThan(gateNames.indexOf('Engine closed up'));
    expect(hv(both(10), undefined).opens).toBe(false);
    expect(hv(both(10), at(0)).opens).toBe(true);
  });
  it('minutes that did not run prove nothing', () => {
    expect(hv(both(4), at(0)).lines.map((l) => l.state)).toEqual(['proved', 'blocked', 'blocked']);
    expect(hv(both(9, '10 min'), at(0)).opens).toBe(false);
    expect(hv(both(10, '10 min'), at(0)).opens).toBe(true);
  });
  it('falls when the plug is written out anew afterwards', () =>
    expect(hv(both(10), at(11)).opens).toBe(false));
  it('one person alone does not open it', () => {
    const alone = { ...signedAt('gate-hv-dead', 10), second: undefined };
    expect(hv({ ...both(10), 'gate-hv-dead': alone }, at(0)).opens).toBe(false);
  });
});

describe('what wants two people', () => {
  const signed = (id: string, over: object) =>
    gate(
      gateLines.find((l) => l.id === id)!.gate.replace(/ \(.*/, ''),
      {},
      { [id]: { ...proof, ...over } },
    ).lines.find((l) => l.def.id === id)!.state;
  const override = { reason: 'lift broken, chocked instead', by: 'A', at: '2026-01-01' };
  it('an override where harm is next stands only with the second name', () => {
    expect(signed('gate-fc-clear', { override })).toBe('half-signed');
    expect(signed('gate-fc-clear', { override, second: { by: 'B', at: '2026-01-01' } })).toBe(
      'overridden',
    );
  });
  it('an override elsewhere stands by itself', () =>
    expect(signed('gate-fc-rear-look', { override })).toBe('overridden'));
  it('a line that two people sign is half signed by one, and the gate stays shut', () => {
    expect(signed('gate-fd-brakes', {})).toBe('half-signed');
    expect(signed('gate-fd-brakes', { second: { by: 'B' } })).toBe('proved');
    const all = allProved();
    expect(gate('First drive', {}, all).opens).toBe(true);
    expect(gate('First drive', {}, { ...all, 'gate-fd-brakes': proof }).opens).toBe(false);
  });
});

describe('the register of what is provisional', () => {
  const none = { provisional: {}, tasks: {}, gates: {} };
  const done = (at: string) => ({ status: 'done' as const, at, by: 'OT' });

  it('takes what people wrote, with the gate at which none of it may be open', () => {
    const items = provisionalRegister({
      ...none,
      provisional: {
        a: { what: 'left mount, 2 bolts', kind: 'loose', by: 'OT', at: '2026-11-24T10:00:00Z' },
        b: { what: 'engine computer of the yard car', kind: 'borrowed', ends: 'our own is back' },
        c: { what: 'right mount', kind: 'loose', ended: { by: 'OT' } },
        d: { what: 'dummy rail', kind: 'stand-in', forbiddenAt: 'Engine in' },
      },
    });
    expect(items.map((i) => [i.key, i.forbiddenAt, i.endsWith])).toEqual([
      ['a', 'First crank', 'torqued, with its record'],
      ['b', 'Hand over', 'our own is back'],
      ['d', 'Engine in', 'the real unit in, with every alteration copied'],
    ]);
  });
  it('takes what steps leave behind, until the step or gate that ends it', () => {
    const tasks = { 'rm-battery-off': done('2026-11-24T10:00:00Z') };
    const open = provisionalRegister({ ...none, tasks });
    expect(open).toMatchObject([
      { key: 'prov-battery', kind: 'battery-off', from: 'step', by: 'OT' },
    ]);
    const proved = { 'gate-fc-battery': { text: 'charged', at: '2026-11-26T08:00:00Z' } };
    expect(provisionalRegister({ ...none, tasks, gates: proved })).toEqual([]);
    const voided = { 'gate-fc-battery': { ...proved['gate-fc-battery'], voided: { why: 'flat' } } };
    expect(provisionalRegister({ ...none, tasks, gates: voided })).toHaveLength(1);
  });
  it('is open again when the step is done again after its end', () => {
    const ended = {
      'bld-belt': done('2026-11-24T10:00:00Z'),
      'bld-two-turns': done('2026-11-24T11:00:00Z'),
    };
    expect(provisionalRegister({ ...none, tasks: ended })).toEqual([]);
    const again = { ...ended, 'bld-belt': done('2026-11-25T09:00:00Z') };
    expect(provisionalRegister({ ...none, tasks: again })).toMatchObject([
      { title: 'Belt tensioner nipped only' },
    ]);
  });
  it('what is masked while somebody paints is over when they are done', () => {
    const state = (status: 'on-it' | 'done') =>
      provisionalRegister({
        ...none,
        tasks: { 'bld-paint': { status, at: '2026-11-24T10:00:00Z' } },
      });
    expect(state('on-it')).toMatchObject([{ kind: 'masked' }]);
    expect(state('done')).toEqual([]);
  });
  it('holds the gate that forbids it and every later one, never the line that ends it', () => {
    const caps: ProvisionalItem = {
      ...loose('Caps', 'First start'),
      kind: 'capped',
      endedBy: 'gate-fs-ports',
    };
    const all = Object.fromEntries(gateLines.map((l) => [l.id, proof]));
    const state = (name: string, id: string) => line(name, id, { provisional: [caps] }, all).state;
    expect(state('First crank', 'gate-fc-loose')).toBe('proved');
    expect(state('First start', 'gate-fs-ports')).toBe('proved');
    expect(state('First drive', 'gate-fd-fumes')).toBe('blocked');
    expect(state('Hand over', 'gate-ho-zero')).toBe('blocked');
  });
  it('says of every kind what ends it', () => {
    for (const kind of provisionalKinds) expect(kind.endsWith.length, kind.id).toBeGreaterThan(8);
    expect(new Set(provisionalKinds.map((k) => k.id))).toEqual(new Set(provisionalKindIds));
  });
});
