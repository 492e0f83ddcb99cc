import { describe, expect, it } from 'vitest';
import { bookFrom } from '../plan/testing.ts';
import { baySizes } from './bay-round.ts';

describe('the round of an empty bay', () => {
  const stateOf = (facts: Parameters<typeof bookFrom>[0], source?: 'assumed' | 'looked-up') => {
    const book = new Map(
      [...bookFrom(facts)].map(([id, f]) => [id, source ? { ...f, source } : f]),
    );
    return baySizes(book).find((s) => s.factId === 'rec-bay-length')!.state;
  };
  it('asks for every size and fixed point of the bay', () => {
    const all = baySizes(new Map());
    expect(all.length).toBeGreaterThan(10);
    expect(new Set(all.map((s) => s.state))).toEqual(new Set(['blank']));
  });
  it('takes nothing for read that was only looked up or assumed', () => {
    const parts = { 'to-core-rear-face': '700 mm', 'to-radiator-support': '760 mm' };
    expect(stateOf({ 'rec-bay-length': parts })).toBe('in-part');
    for (const source of ['assumed', 'looked-up'] as const)
      expect(stateOf({ 'rec-bay-length': parts }, source)).toBe('in-part');
  });
  it('is measured only when each of its sizes was read', () => {
    const width = (parts: Record<string, string>) =>
      baySizes(bookFrom({ 'rec-bay-width': parts })).find((s) => s.factId === 'rec-bay-width')!
        .state;
    const keys = [
      'between-rails-at-mounts',
      'between-towers-at-head-height',
      'booster-to-centre-line',
    ] as const;
    expect(width({ [keys[0]]: '600 mm' })).toBe('in-part');
    expect(width(Object.fromEntries(keys.map((k) => [k, '600 mm'])))).toBe('measured');
  });
});
