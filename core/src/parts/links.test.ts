import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { freeWords, linkFates, linkState, matedWords, rollCall } from './index.ts';
import type { LinkRecord } from './index.ts';

const link = (more: Partial<LinkRecord> = {}): LinkRecord => ({
  what: 'plug',
  name: 'Injector 3',
  fate: 'back',
  ...more,
});

describe('a link', () => {
  it('holds the engine until it is off, and waits until it is mated', () => {
    expect(linkState(link())).toBe('holds');
    expect(linkState(link({ off: {} }))).toBe('off');
    expect(linkState(link({ off: {}, on: {} }))).toBe('on');
    // Mated without ever having been off is not mated: nobody brought that about.
    expect(linkState(link({ on: {} }))).toBe('holds');
  });
  it('that goes with the engine or is taken out is not asked for again, and holds until it is off', () => {
    expect(linkState(link({ fate: 'goes' }))).toBe('holds');
    expect(linkState(link({ fate: 'goes', off: {} }))).toBe('gone');
    expect(linkState(link({ fate: 'out', off: {} }))).toBe('gone');
    expect(linkState(link({ dropped: { why: 'logged twice' } }))).toBe('gone');
  });
});

describe('the roll', () => {
  it('is said in a sentence before the lift and before the crank', () => {
    const roll = rollCall({
      a: link({ off: {}, on: {} }),
      b: link({ off: {}, name: 'Heater hose', label: 'L2', capped: true }),
      c: link({ name: 'Earth strap' }),
      d: link({ off: {}, fate: 'out' }),
      e: link({ dropped: { why: 'logged twice' } }),
    });
    expect(freeWords(roll)).toBe('3 of 4 free; 1 still holds the engine');
    expect(matedWords(roll)).toBe('1 of 3 mated');
    expect(roll).toMatchObject({
      holding: ['Earth strap'],
      unmated: ['Heater hose (L2)'],
      capped: 1,
    });
    expect(freeWords(rollCall({}))).toBe('No link is logged');
  });
  it('counts each link once, whatever was written', () => {
    const some = fc.record({
      fate: fc.constantFrom(...linkFates),
      off: fc.option(fc.constant({}), { nil: undefined }),
      on: fc.option(fc.constant({}), { nil: undefined }),
      dropped: fc.option(fc.constant({ why: 'x' }), { nil: undefined }),
    });
    fc.assert(
      fc.property(fc.array(some), (all) => {
        const links = Object.fromEntries(
          all.map((l, i) => [`k${i}`, link({ ...l, name: `n${i}` })]),
        );
        const roll = rollCall(links);
        expect(roll.free + roll.holding.length).toBe(roll.all);
        expect(roll.mated + roll.unmated.length).toBeLessThanOrEqual(roll.back);
        expect(roll.all).toBe(all.filter((l) => !l.dropped).length);
      }),
    );
  });
});
