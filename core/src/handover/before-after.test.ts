import { describe, expect, it } from 'vitest';
import type { FactBook, FactValue } from '../rules/book.ts';
import { axlesBeforeAfter, beforeAfterWords } from './index.ts';

const facts = (over: Record<string, FactValue['parts']>): FactBook =>
  new Map(
    Object.entries(over).map(([id, parts]) => [
      id,
      { parts, typed: {}, source: 'measured' as const },
    ]),
  );
const weighed = facts({
  'rec-axle-masses': { front: 540, rear: 610 },
  'rec-axle-limits': { front: 560, rear: 800 },
});
const proof = { text: 'scales', readings: { front: '571 kg', rear: '598' } };

describe('before and after', () => {
  it('stand beside each other, with what the axle may carry', () => {
    const rows = axlesBeforeAfter(weighed, proof);
    expect(rows.map((r) => [r.before, r.after, r.most])).toEqual([
      [540, 571, 560],
      [610, 598, 800],
    ]);
    expect(beforeAfterWords(rows)).toBe(
      'Front axle 31 kg more, 11 kg over its limit; Rear axle 12 kg less',
    );
  });
  it('say what nobody weighed and take nothing for it', () => {
    expect(beforeAfterWords(axlesBeforeAfter(facts({}), proof))).toBe(
      'Front axle not weighed before; Rear axle not weighed before',
    );
    expect(beforeAfterWords(axlesBeforeAfter(weighed, undefined))).toBe(
      'Front axle not weighed after; Rear axle not weighed after',
    );
  });
  it('a proof that was voided or overridden weighed nothing', () => {
    const at = { by: 'x', at: '2026-01-01' };
    for (const gone of [
      { ...proof, voided: { why: 'spring changed', ...at } },
      { ...proof, override: { reason: 'no scales', ...at } },
    ])
      expect(axlesBeforeAfter(weighed, gone).every((r) => r.after === undefined)).toBe(true);
  });
});
