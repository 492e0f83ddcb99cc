import { gateLines, readingsOf } from '../commissioning/index.ts';
import type { GateProof } from '../commissioning/index.ts';
import type { FactBook } from '../facts/index.ts';

/** What the car weighed on each axle before and after, and what it may: like beside like, and what nobody weighed said so. */

export interface BeforeAfter {
  name: string;
  unit: 'kg';
  before: number | undefined;
  after: number | undefined;
  most: number | undefined;
  /** What the one before rests on is only assumed or looked up. */
  beforeFrom: 'measured' | 'looked-up' | 'assumed' | undefined;
}

const weights = gateLines.find((l) => l.id === 'gate-ho-weights')!;

/** Each axle; a proof that was voided or overridden weighed nothing. */
export function axlesBeforeAfter(facts: FactBook, proof: GateProof | undefined): BeforeAfter[] {
  const read = proof && !proof.voided && !proof.override ? readingsOf(weights, proof, facts) : [];
  const number = (id: 'rec-axle-masses' | 'rec-axle-limits', part: string): number | undefined => {
    const value = facts.get(id)?.parts[part];
    return typeof value === 'number' ? value : undefined;
  };
  return (['front', 'rear'] as const).map((axle) => {
    const before = number('rec-axle-masses', axle);
    const source = facts.get('rec-axle-masses')?.source;
    return {
      name: axle === 'front' ? 'Front axle' : 'Rear axle',
      unit: 'kg',
      before,
      after: read.find((r) => r.point.key === axle)?.value,
      most: number('rec-axle-limits', axle),
      beforeFrom: before === undefined || source === 'inferred' ? undefined : source,
    };
  });
}

/** "Front axle 12 kg more" for each of which both are known; what is missing is named. */
export function beforeAfterWords(rows: readonly BeforeAfter[]): string {
  return rows
    .map(({ name, before, after, most }) => {
      if (before === undefined) return `${name} not weighed before`;
      if (after === undefined) return `${name} not weighed after`;
      const change = after - before;
      const said = change === 0 ? 'as before' : `${Math.abs(change).toFixed(0)} kg ${change > 0 ? 'more' : 'less'}`;
      return `${name} ${said}${most !== undefined && after > most ? `, ${(after - most).toFixed(0)} kg over its limit` : ''}`;
    })
    .join('; ');
}
