import { factDef, isFactId } from '@bay/core/facts';
import { ruleCondition } from '@bay/core/memory';
import { titleOf } from '@bay/core/plan';
import type { Condition } from '@bay/core/rules';

const named = (id: string): string => (isFactId(id) ? factDef(id).label.toLowerCase() : id);
const plain = (word: string): string => word.replaceAll('-', ' ');

/** A condition as people say it. */
function said(c: Condition): string {
  if ('all' in c) return c.all.map(said).join(` ${c.op} `);
  switch (c.op) {
    case 'is':
      return `${named(c.of.fact)} is ${c.among.map(plain).join(' or ')}`;
    case 'is-not':
      return `${named(c.of.fact)} is not ${c.among.map(plain).join(' nor ')}`;
    case '>':
      return `${named(c.of.fact)} is more than ${c.than}`;
    case '<':
      return `${named(c.of.fact)} is less than ${c.than}`;
    case '>=':
      return `${named(c.of.fact)} is at least ${c.than}`;
    case '<=':
      return `${named(c.of.fact)} is at most ${c.than}`;
    case 'known':
      return `${named(c.of.fact)} is known`;
    case 'missing':
      return `${named(c.of.fact)} is not known`;
    case 'always':
      return 'always';
    case 'same':
      return `${named(c.of.fact)} is that of ${named(c.as.fact)}`;
    case 'differs':
      return `${named(c.of.fact)} is not that of ${named(c.as.fact)}`;
    case 'says':
      return `${titleOf(c.fit)} says ${c.word}`;
    case 'fitted':
      return `${titleOf(c.kit)} is fitted`;
    case 'not-fitted':
      return `${titleOf(c.kit)} is not fitted`;
    case 'attempts':
      return `${c.least} starts are written`;
    case 'approval-open':
      return 'an approval is open';
  }
}

/** The condition of a rule in words; as it was written where it is not understood any more. */
export function conditionSaid(when: string): string {
  const condition = ruleCondition({ when });
  return condition ? said(condition) : `"${when}" (not understood any more: end it, and keep it anew)`;
}
