import { factDef, factPart, partName } from '../facts/index.ts';
import type { FactBook, PartValue } from '../facts/index.ts';
import { sameValue } from '../rules/value.ts';
import { sisterParts } from './data/sister.ts';
import type { SisterPart } from './data/sister.ts';

/** An engine beside its sister: what is the same, what moves over from the old one, what stops, and what nobody knows. */

export type SisterWord = 'same' | 'moves' | 'stops' | 'not-known';

export interface SisterLine {
  def: SisterPart;
  word: SisterWord;
  /** Where they differ: what it is, on the old one and on the new. */
  differs: readonly { name: string; old: string; next: string }[];
  /** Facts that are wanted, and on which of the two. */
  needs: readonly { factId: string; of: 'old' | 'new' }[];
}

const shown = (factId: string, key: string, value: PartValue): string => {
  const { unit } = factPart(factId, key);
  if (typeof value === 'string') return value.replaceAll('-', ' ');
  return typeof value === 'number' ? `${value}${unit ? ` ${unit}` : ''}` : 'as listed';
};

/**
 * The two held against one another. What is known of one alone, in any part, is not the same: it is not known. What differs moves over
 * where it can; where it cannot, what stays behind does not fit it.
 */
export function besideSister(old: FactBook, next: FactBook): SisterLine[] {
  return sisterParts.map((def): SisterLine => {
    const differs: SisterLine['differs'][number][] = [];
    const needs: SisterLine['needs'][number][] = [];
    for (const factId of def.facts) {
      const [a, b] = [old.get(factId), next.get(factId)];
      if (!a) needs.push({ factId, of: 'old' });
      if (!b) needs.push({ factId, of: 'new' });
      if (!a || !b) continue;
      for (const { key } of factDef(factId).parts) {
        const [x, y] = [a.parts[key], b.parts[key]];
        if (x === undefined && y === undefined) continue;
        if (x === undefined) needs.push({ factId, of: 'old' });
        else if (y === undefined) needs.push({ factId, of: 'new' });
        else if (!sameValue(x, y))
          differs.push({ name: partName(factId, key), old: shown(factId, key, x), next: shown(factId, key, y) });
      }
    }
    // One that is known to differ need not wait for the rest of it.
    const word: SisterWord =
      differs.length > 0 ? (def.moves ? 'moves' : 'stops') : needs.length > 0 ? 'not-known' : 'same';
    const once = needs.filter((n, i) => needs.findIndex((m) => m.factId === n.factId && m.of === n.of) === i);
    return { def, word, differs, needs: once };
  });
}
