import { describe, expect, it } from 'vitest';
import { bookFrom } from '../plan/testing.ts';
import { gateLines, gateName, gateNames, gatesOf, refuseProof } from './index.ts';
import type { GateInputs } from './index.ts';

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
  gatesOf({ facts: bookFrom(facts) }, proofs, { ...inputs, ...over }).find((g) => g.gate === name)!;
const line = (name: string, id: string, over: Partial<GateInputs> = {}, proofs = {}) =>
  gate(name, over, proofs).lines.find((l) => l.def.id === id)!;
const proof = { text: 'looked', by: 'A', at: '2026-01-01' };

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
        { provisional: ['left mount loose'] },
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
    [
      'gate-fc-clear',
      { text: '', override: { by: 'A', reason: 'nobody else was here' } },
      /second person/,
    ],
    [
      'gate-fc-clear',
      { text: '', override: { by: 'A', second: 'A', reason: 'nobody else was here' } },
      /another person/,
    ],
  ])('%s with %o is refused', (id, p, sentence) =>
    expect(refuseProof(def(id), p)).toMatch(sentence),
  );
  it.each([
    ['gate-fc-earths', { text: '', reading: '0.05 V' }],
    [
      'gate-fc-clear',
      { text: '', override: { by: 'A', second: 'B', reason: 'lift broken, chocked instead' } },
    ],
  ])('%s with %o will do', (id, p) => expect(refuseProof(def(id), p)).toBeUndefined());
});
