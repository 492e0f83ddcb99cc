import type { Condition } from '../../rules/condition.ts';
import type { TruthOf } from '../../rules/truths.ts';
import { foreseenDefs } from './data/foreseen.ts';

/** What a job brings along that stands in no line of its quote: said before the customer agrees, and not found out afterwards. */
export interface ForeseenDef {
  id: string;
  title: string;
  /** What the customer reads. */
  text: string;
  when: Condition;
}

export interface Foreseen {
  def: ForeseenDef;
  /** It may hold: nobody knows the facts it hangs on. */
  state: 'holds' | 'open';
  because: readonly string[];
  needs: readonly string[];
}

/** What is to be said of a job: what holds first, then what may hold. */
export function foreseenOf(truthOf: TruthOf): Foreseen[] {
  return foreseenDefs
    .flatMap((def): Foreseen[] => {
      const { is, because, needs } = truthOf(def.when);
      return is === false ? [] : [{ def, state: is === true ? 'holds' : 'open', because, needs }];
    })
    .sort((a, b) => Number(a.state === 'open') - Number(b.state === 'open'));
}
