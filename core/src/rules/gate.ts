import type { Condition } from './condition.ts';
import type { TruthOf } from './truths.ts';

/** Gates of any kind: lines that must be true before something happens, each proved by a record or signed, none passed over. */

/** What stands against a line by itself, whatever somebody signed. */
export interface Blocker {
  lineId: string;
  sentence: string;
}

/** A proof as far as a gate cares: it stands, it is void, it overrides, or it waits for its second signature. */
export interface ProofState {
  stands: 'proved' | 'overridden' | 'half-signed' | 'none';
}

export interface LineState<D, P> {
  def: D;
  applies: boolean | 'waits';
  because: readonly string[];
  needs: readonly string[];
  proof?: P;
  blockers: readonly Blocker[];
  state: 'proved' | 'overridden' | 'half-signed' | 'open' | 'blocked';
}

/** Where a line stands; nothing when its condition is certainly false. */
export function lineState<D extends { id: string; when: Condition }, P>(
  def: D,
  truthOf: TruthOf,
  proof: P | undefined,
  standing: ProofState['stands'],
  blockers: readonly Blocker[],
): LineState<D, P> | undefined {
  const truth = truthOf(def.when);
  if (truth.is === false) return undefined;
  const state =
    standing === 'overridden'
      ? 'overridden'
      : blockers.length > 0
        ? 'blocked'
        : standing === 'none'
          ? 'open'
          : standing;
  return {
    def,
    applies: truth.is,
    because: truth.because,
    needs: truth.needs,
    ...(proof === undefined ? {} : { proof }),
    blockers,
    state,
  };
}

export interface GateCount {
  /** Lines with their proof, and all that apply. */
  proved: number;
  of: number;
  opens: boolean;
}

/** A gate opens when it has lines and each of them is proved or overridden. */
export function countGate(lines: readonly Pick<LineState<unknown, unknown>, 'state'>[]): GateCount {
  const proved = lines.filter((l) => l.state === 'proved' || l.state === 'overridden').length;
  return { proved, of: lines.length, opens: lines.length > 0 && proved === lines.length };
}
