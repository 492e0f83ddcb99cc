import { describe, expect, it } from 'vitest';
import { computePlan } from '../plan/index.ts';
import { bookFrom, emptyInput } from '../plan/testing.ts';
import { orderStops } from '../kit/index.ts';
import { foreignAt, interfaceOf, notHeldAgainst } from './index.ts';

const header = { what: 'tube header', places: ['fit-exhaust-body'] };

describe('a part on the car that is not its own', () => {
  it('stands before every kit line of its places until that was held against it', () => {
    const kit = interfaceOf('fit-exhaust-body').kit;
    for (const line of kit) expect(notHeldAgainst({ a: header }, line)).toEqual(['tube header']);
    expect(notHeldAgainst({ a: header }, 'kit-pilot')).toEqual([]);
    expect(notHeldAgainst({ a: { ...header, held: [kit[0]!] } }, kit[0]!)).toEqual([]);
    expect(notHeldAgainst({ a: { ...header, held: [kit[0]!] } }, kit[1]!)).toEqual(['tube header']);
    expect(notHeldAgainst({ a: { ...header, gone: true } }, kit[0]!)).toEqual([]);
    expect(foreignAt({ a: header }, 'fit-exhaust-body')).toHaveLength(1);
    expect(foreignAt({ a: header }, 'fit-hood')).toEqual([]);
  });
  it('stops the order of what goes beside it', () => {
    const facts = bookFrom({ 'cho-exhaust': 'shorty', 'eng-code': 'WX20, variant T44' });
    const stopsOf = (foreign: Parameters<typeof emptyInput>[0]) => {
      const plan = computePlan(emptyInput({ facts, ...foreign }));
      return orderStops(
        plan.kit.find((l) => l.def.id === 'kit-hangers')!,
        plan.facts,
        undefined,
      ).join('; ');
    };
    expect(stopsOf({ foreign: { a: header } })).toContain(
      'Not held against "tube header", which is not this car\'s own',
    );
    expect(stopsOf({})).not.toContain('Not held');
  });
});
