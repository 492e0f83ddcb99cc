import type { FactBook } from '../rules/book.ts';
import { signalsFor } from './signals.ts';

/** What a way of control asks of its unit, held against what the unit has. */
export interface IoFinding {
  what: 'inputs' | 'outputs' | 'fans';
  state: 'fits' | 'short' | 'stop' | 'not-known';
  sentence: string;
  /** Facts that nobody knows. */
  needs: readonly string[];
}

export interface SignalCount {
  /** Signals that it cannot do without, and those it wants besides. */
  needsIn: number;
  wantsIn: number;
  needsOut: number;
  wantsOut: number;
}

/** How many signals a way of control hears and drives; nothing where the way is not known. */
export function countSignals(control: string | undefined): SignalCount | undefined {
  const signals = signalsFor(control);
  if (!signals) return undefined;
  const count = (direction: 'in' | 'out', want: 'needs' | 'wants'): number =>
    signals.filter((s) => (s.def.direction === direction || s.def.direction === 'both') && s.want === want).length;
  return {
    needsIn: count('in', 'needs'),
    wantsIn: count('in', 'wants'),
    needsOut: count('out', 'needs'),
    wantsOut: count('out', 'wants'),
  };
}

const part = (facts: FactBook, id: string, key: string): number | undefined => {
  const value = facts.get(id)?.parts[key];
  return typeof value === 'number' ? value : undefined;
};

function counted(what: 'inputs' | 'outputs', needs: number, wants: number, has: number | undefined): IoFinding {
  const all = needs + wants;
  if (has === undefined)
    return {
      what,
      state: 'not-known',
      sentence: `${all} ${what} wanted, ${needs} of them not to be done without`,
      needs: ['cho-unit-io'],
    };
  if (has >= all) return { what, state: 'fits', sentence: `${all} ${what} wanted, ${has} there`, needs: [] };
  const state = has < needs ? 'stop' : 'short';
  const end =
    state === 'stop' ? `${needs} of them not to be done without: stop` : `${all - has} go without or elsewhere`;
  return { what, state, sentence: `${all} ${what} wanted, ${has} there: ${end}`, needs: [] };
}

/** Fans that the unit is to switch: how many, what each takes, and what an output carries. */
function fans(facts: FactBook): IoFinding | undefined {
  const kind = facts.get('cho-fan')?.parts['value'];
  if (kind === undefined)
    return { what: 'fans', state: 'not-known', sentence: 'nobody said which fan it is', needs: ['cho-fan'] };
  if (kind === 'engine-driven') return undefined;
  const count = part(facts, 'cho-fan', 'count');
  const amps = part(facts, 'cho-fan', 'current');
  const outputs = part(facts, 'cho-unit-io', 'fan-outputs');
  const carries = part(facts, 'cho-unit-io', 'output-current');
  const named = count === undefined ? 'its fans' : count === 1 ? 'one fan' : `${count} fans`;
  const words = amps === undefined ? named : `${named} of ${amps} A`;
  if (outputs === 0) return { what: 'fans', state: 'stop', sentence: `${words} and no fan output: stop`, needs: [] };
  if (outputs === undefined || count === undefined || amps === undefined)
    return {
      what: 'fans',
      state: 'not-known',
      sentence: `${words}, not known whether the unit switches them`,
      needs: [
        ...(outputs === undefined ? ['cho-unit-io'] : []),
        ...(count === undefined || amps === undefined ? ['cho-fan'] : []),
      ],
    };
  if (outputs < count)
    return {
      what: 'fans',
      state: 'short',
      sentence: `${words}, ${outputs} fan ${outputs === 1 ? 'output' : 'outputs'}: they run together`,
      needs: [],
    };
  if (carries === undefined)
    return {
      what: 'fans',
      state: 'not-known',
      sentence: `${words}, not known what an output carries`,
      needs: ['cho-unit-io'],
    };
  return carries < amps
    ? { what: 'fans', state: 'short', sentence: `${words}, an output carries ${carries} A: by relays`, needs: [] }
    : { what: 'fans', state: 'fits', sentence: `${words}, ${outputs} outputs of ${carries} A`, needs: [] };
}

/** What a way of control asks of its unit against what the unit has; nothing where no unit runs the engine. */
export function unitIoOf(control: string | undefined, facts: FactBook): IoFinding[] {
  const count = countSignals(control);
  if (!count || control === 'carburettor-distributor' || control === 'mechanical-diesel') return [];
  const fan = fans(facts);
  return [
    counted('inputs', count.needsIn, count.wantsIn, part(facts, 'cho-unit-io', 'inputs')),
    counted('outputs', count.needsOut, count.wantsOut, part(facts, 'cho-unit-io', 'outputs')),
    ...(fan ? [fan] : []),
  ];
}
