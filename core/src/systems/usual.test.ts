import { describe, expect, it } from 'vitest';
import { wireSizes } from '../sums/index.ts';
import { factDef } from '../facts/index.ts';
import {
  ioSignals,
  signalsFor,
  signalWords,
  usualAmpsWords,
  usualCircuits,
  usualFuseWords,
  usualStart,
} from './index.ts';

const circuit = (id: string) => usualCircuits.find((c) => c.id === id)!;

describe('a usual circuit', () => {
  it('starts from the most current, the least wire and the least fuse that are usual', () => {
    expect(usualStart(circuit('cir-pump'))).toEqual({ currentA: 14, areaMm2: 2.5, fuseA: 15 });
    expect(usualAmpsWords(circuit('cir-starter-signal'))).toBe('8–15 A, pull-in 30');
  });
  it('leaves open what is a factor and no size: 1.2 times the output is not a fuse of 1.2 A', () => {
    expect(usualStart(circuit('cir-alternator-main'))).toEqual({ areaMm2: 16 });
    expect(usualFuseWords(circuit('cir-alternator-main'))).toBe('1.2 to 1.5 times the output');
    expect(usualStart(circuit('cir-starter-main')).fuseA).toBeUndefined();
    expect(usualStart(circuit('cir-throttle-motor')).fuseA).toBeUndefined();
  });
  it('has ranges the right way round, above nothing', () => {
    for (const c of usualCircuits)
      for (const u of [c.amps, c.fuse, c.mm2])
        if (!('words' in u)) expect([c.id, u.least > 0 && u.least <= u.most]).toEqual([c.id, true]);
  });
  it('never starts with a fuse that is larger than its wire bears by the wire table', () => {
    for (const c of usualCircuits) {
      const { fuseA, areaMm2 } = usualStart(c);
      const wire = [...wireSizes].reverse().find((w) => w.areaMm2 <= (areaMm2 ?? 0));
      if (fuseA !== undefined && wire)
        expect([c.id, fuseA <= wire.fuseA, fuseA, wire.fuseA]).toEqual([
          c.id,
          true,
          fuseA,
          wire.fuseA,
        ]);
    }
  });
});

describe('signals', () => {
  it('follow from every way of control there is', () => {
    for (const option of factDef('cho-control').parts[0]!.options!)
      expect([option, (signalsFor(option) ?? []).length > 0]).toEqual([option, true]);
    expect(signalsFor(undefined)).toBeUndefined();
    expect(signalsFor('guessed')).toBeUndefined();
  });
  it('an engine unit needs the crank signal, a carburettor does not hear it (fact of the trade: common practice, no source)', () => {
    expect(signalsFor('standalone')!.find((s) => s.def.id === 'io-crank')?.want).toBe('needs');
    expect(signalsFor('carburettor-distributor')!.some((s) => s.def.id === 'io-crank')).toBe(false);
    expect(signalWords(signalsFor('mechanical-diesel')!.find((s) => s.def.id === 'io-stop')!)).toBe(
      'needs it',
    );
  });
  it('each is used by some control', () => {
    expect(ioSignals.filter((s) => Object.keys(s.by).length === 0)).toEqual([]);
  });
});
