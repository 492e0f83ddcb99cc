import { describe, expect, it } from 'vitest';
import { twoPeopleAt, twoPersonSteps } from './index.ts';

describe('two people', () => {
  it('stand beside what can kill: nobody works high voltage, a lift or a first start alone (common practice, no source)', () => {
    for (const id of [
      'rm-hv-make-safe',
      'rm-hv-pack-out',
      'rm-lift-50',
      'rm-subframe-loose',
      'gate-fs-watch',
      'gate-fs-leak',
    ])
      expect(twoPeopleAt(id)).toMatch(/Nobody does this alone$/);
  });
  it('say how long both are needed, as an estimate, and what stands in for the second', () => {
    expect(twoPeopleAt('bld-join')).toBe(
      'Two people, 15–60 min (estimate): one turns the crank, one moves the gearbox. Alone: gearbox jack with tilt, slow',
    );
    expect(twoPeopleAt('bld-head')).toContain('5 min (estimate)');
    expect(twoPeopleAt('rm-oil-drain')).toBeUndefined();
  });
  it('have a place each, none twice', () => {
    const at = twoPersonSteps.flatMap((d) => d.at);
    expect(twoPersonSteps.every((d) => d.at.length > 0)).toBe(true);
    expect(new Set(at).size).toBe(at.length);
  });
});
