import { when } from '../facts/index.ts';
import type { ApprovalNeed, Condition } from '../rules/condition.ts';
import type { TruthOf } from '../rules/truths.ts';

/**
 * Choices and states of the car that change structure, steering or brakes by themselves, without an interface that was altered.
 * Common practice, no source; the law of the place goes first.
 */
const byChoice: readonly { fact: string; when: Condition }[] = [
  { fact: 'cho-mount-school', when: when('cho-mount-school = fabricated') },
  {
    fact: 'cho-ps',
    when: when('cho-ps = electric and rec-steering-assist not in {electric-column-or-rack, electric-pump}'),
  },
  { fact: 'cho-ps', when: when('cho-ps = manual and rec-steering-assist != manual') },
  { fact: 'rec-brake-line-path', when: when('rec-brake-line-path != clear') },
];

/** A line of fit, as far as approvals care. */
export interface TouchingLine {
  id: string;
  word: 'bolts-up' | 'adapt' | 'clash' | 'not-measured';
  resolved: boolean;
}

/**
 * Changes that somebody qualified inspects before the first drive: what was resolved at an interface of structure, steering or
 * brakes, what was fitted, what was chosen. An interface that says Adapt or Clash and has no way out yet is undecided, and so
 * is one that nobody measured: none of them is a no.
 */
export function approvalsOf(
  lines: readonly TouchingLine[],
  fittedKit: readonly string[],
  truthOf: TruthOf,
): ApprovalNeed[] {
  const interfaces = lines.flatMap((line): ApprovalNeed[] => {
    if (line.resolved) return [{ because: line.id, state: 'made' }];
    return line.word === 'bolts-up' ? [] : [{ because: line.id, state: 'undecided' }];
  });
  const fitted = fittedKit.map((id): ApprovalNeed => ({ because: id, state: 'made' }));
  const chosen = byChoice.flatMap(({ fact, when: asked }): ApprovalNeed[] => {
    const { is } = truthOf(asked);
    return is === false ? [] : [{ because: fact, state: is === true ? 'made' : 'undecided' }];
  });
  return [...interfaces, ...fitted, ...chosen];
}
