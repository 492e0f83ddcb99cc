import { describe, expect, it } from 'vitest';
import { bookFrom, truthsOf } from '../plan/testing.ts';
import {
  gateLines,
  gateName,
  gateNames,
  gatesOf,
  provisionalKindIds,
  provisionalKinds,
  provisionalRegister,
  refuseProof,
} from './index.ts';
import type { GateInputs, GateName, ProvisionalItem } from './index.ts';

const inputs: GateInputs = {
  openClashes: [],
  unresolvedAdapts: [],
  provisional: [],
  loosened: [],
  unlabelled: [],
  openEnds: [],
  primedBar: 3,
};
const gate = (name: string, over: Partial<GateInputs> = {}, proofs = {}, facts = {}) =>
  gatesOf(truthsOf(bookFrom(facts)), proofs, { ...inputs, ...over }).find((g) => g.gate === name)!;
const line = (name: string, id: string, over: Partial<GateInputs> = {}, proofs = {}) =>
  gate(name, over, proofs).lines.find((l) => l.def.id === id)!;
const proof = { text: 'looked', by: 'A', at: '2026-01-01' };

const loose = (title: string, forbiddenAt: GateName = 'First crank'): ProvisionalItem => ({
  key: title,
  kind: 'loose',
  title,
  from: 'person',
  endsWith: 'torqued',
  forbiddenAt,
});

describe('gates', () => {
  it('every line belongs to one of the six', () =>
    expect(gateLines.filter((l) => !gateNames.includes(gateName(l.gate) as 'First crank'))).toEqual(
      [],
    ));
  it('opens only when every line that applies is proved', () => {
    const all = Object.fromEntries(gateLines.map((l) => [l.id, proof]));
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
        { 'gate-fs-oil-pressure': proof },
      ).state,
    ).toBe('blocked');
    expect(
      line('First start', 'gate-fs-oil-pressure', {}, { 'gate-fs-oil-pressure': proof }).state,
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
    ['gate-fc-earths', { text: 'fine' }, /wants a reading/],
    ['gate-fc-rear-look', { text: ' ' }, /Write what proves it/],
    [
      'gate-fc-rear-look',
      { text: '', override: { by: 'A', reason: 'late' } },
      /reason of a sentence/,
    ],
    ['gate-fd-charge', { text: '', reading: '12.1 V' }, /13\.5 V to 14\.8 V/],
    ['gate-ei-converter', { text: '', reading: '2 mm' }, /not what this line wants/],
  ])('%s with %o is refused', (id, p, sentence) =>
    expect(refuseProof(def(id), p)).toMatch(sentence),
  );
  it.each([
    ['gate-fc-earths', { text: '', reading: '0.05 V' }],
    ['gate-fd-charge', { text: '', reading: '14.2 V' }],
    ['gate-fc-clear', { text: '', override: { reason: 'lift broken, chocked instead' } }],
  ])('%s with %o will do', (id, p) => expect(refuseProof(def(id), p)).toBeUndefined());
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
    const all = Object.fromEntries(gateLines.map((l) => [l.id, { ...proof, second: { by: 'B' } }]));
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
      },
    });
    expect(items.map((i) => [i.key, i.forbiddenAt, i.endsWith])).toEqual([
      ['a', 'First crank', 'torqued, with its record'],
      ['b', 'Hand over', 'our own is back'],
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
