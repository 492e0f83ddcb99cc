import { readCondition } from '../facts/when.ts';
import type { Condition } from '../rules/condition.ts';
import type { OwnLine } from './records.ts';

/** A line that the shop keeps: it joins the plan of every job of which its condition holds. */
export interface ShopRule {
  /** The id of the line; of the own line it was made from, so that what was done of it on that job goes on. */
  id: string;
  line: OwnLine;
  /** In the words of a condition: "rec-wheelbase > 3000 and cho-goal = road-going". */
  when: string;
}

const read = new Map<string, Condition | undefined>();

/** The condition of a rule, read once; nothing where it speaks of what the program does not know any more. */
export function ruleCondition({ when }: Pick<ShopRule, 'when'>): Condition | undefined {
  if (read.has(when)) return read.get(when);
  let made: Condition | undefined;
  try {
    made = readCondition(when);
  } catch {
    made = undefined;
  }
  if (read.size > 500) read.clear();
  read.set(when, made);
  return made;
}
