import { describe, expect, it } from 'vitest';
import type { FactBook } from '../rules/book.ts';
import { countSignals, unitIoOf } from './index.ts';

const book = (facts: Record<string, Record<string, string | number>>): FactBook =>
  new Map(
    Object.entries(facts).map(([id, parts]) => [
      id,
      { parts, typed: {}, source: 'measured' as const },
    ]),
  );
const said = (
  facts: Record<string, Record<string, string | number>>,
  what: string,
  control = 'standalone',
) => unitIoOf(control, book(facts)).find((f) => f.what === what);

describe('what a way of control asks of its unit', () => {
  const { needsIn, wantsIn } = countSignals('standalone')!;
  it('fewer inputs than it cannot do without is a stop, fewer than it wants is short, nobody knows is neither', () => {
    const inputs = (n: number) => said({ 'cho-unit-io': { inputs: n } }, 'inputs')!;
    expect(inputs(needsIn + wantsIn).state).toBe('fits');
    expect(inputs(needsIn + wantsIn - 1)).toMatchObject({
      state: 'short',
      sentence: expect.stringContaining('1 go without') as string,
    });
    expect(inputs(needsIn - 1)).toMatchObject({
      state: 'stop',
      sentence: `${needsIn + wantsIn} inputs wanted, ${needsIn - 1} there: ${needsIn} of them not to be done without: stop`,
    });
    expect(said({}, 'inputs')).toMatchObject({ state: 'not-known', needs: ['cho-unit-io'] });
    expect(inputs(0).state).toBe('stop');
  });
  it('two fans of 18 A and no fan output: stop', () =>
    expect(
      said(
        {
          'cho-fan': { value: 'electric-puller', count: 2, current: 18 },
          'cho-unit-io': { 'fan-outputs': 0 },
        },
        'fans',
      ),
    ).toMatchObject({ state: 'stop', sentence: '2 fans of 18 A and no fan output: stop' }));
  it('an output that carries less than a fan takes wants relays; what nobody knows is no go', () => {
    const fan = { value: 'electric-puller', count: 2, current: 18 };
    const io = (more: Record<string, number>) =>
      said({ 'cho-fan': fan, 'cho-unit-io': more }, 'fans')!;
    expect(io({ 'fan-outputs': 2, 'output-current': 20 }).state).toBe('fits');
    expect(io({ 'fan-outputs': 2, 'output-current': 2 })).toMatchObject({
      state: 'short',
      sentence: expect.stringContaining('by relays') as string,
    });
    expect(io({ 'fan-outputs': 2 }).state).toBe('not-known');
    expect(io({ 'fan-outputs': 1, 'output-current': 20 }).state).toBe('short');
    expect(said({ 'cho-unit-io': { 'fan-outputs': 2 } }, 'fans')).toMatchObject({
      state: 'not-known',
      needs: ['cho-fan'],
    });
    expect(said({ 'cho-fan': { value: 'engine-driven' } }, 'fans')).toBeUndefined();
  });
  it('a carburettor has no unit to count, and a way that nobody chose says nothing', () => {
    expect(unitIoOf('carburettor-distributor', book({}))).toEqual([]);
    expect(unitIoOf(undefined, book({}))).toEqual([]);
  });
});
