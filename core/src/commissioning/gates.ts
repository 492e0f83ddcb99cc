import { countGate, lineState } from '../rules/gate.ts';
import type { Blocker, GateCount, LineState } from '../rules/gate.ts';
import type { TruthOf } from '../rules/truths.ts';
import { gateLines } from './data/gates.ts';
import type { ProvisionalItem } from './provisional.ts';
import { standingOf } from './proof.ts';
import type { GateProof } from './records.ts';
import type { GateLineDef, GateName } from './types.ts';

export const gateNames: readonly GateName[] = [
  'Engine closed up',
  'Engine in',
  'First crank',
  'First start',
  'First drive',
  'Hand over',
];

/** The line of each gate that carries what is still provisional there. */
const registerLine: Readonly<Record<GateName, string>> = {
  'Engine closed up': 'gate-cu-count',
  'Engine in': 'gate-ei-final-units',
  'First crank': 'gate-fc-loose',
  'First start': 'gate-fs-ports',
  'First drive': 'gate-fd-fumes',
  'Hand over': 'gate-ho-zero',
};

/** The name of a gate without the words in brackets behind it. */
export const gateName = (full: string): string => full.replace(/\s*\(.*\)$/, '');

export type { Blocker };
export type GateLineState = LineState<GateLineDef, GateProof>;

export interface GateState extends GateCount {
  gate: string;
  lines: readonly GateLineState[];
}

/** What the records say about a line without anyone's signature: the plan's own blockers. */
export interface GateInputs {
  openClashes: readonly string[];
  unresolvedAdapts: readonly string[];
  /** Open items of the register: loose, tacked, borrowed, capped. */
  provisional: readonly ProvisionalItem[];
  /** Bolts whose torque record became void because the part came off again. */
  loosened: readonly string[];
  unlabelled: readonly string[];
  /** Oil pressure of the last priming, bar, or undefined when none was logged. */
  primedBar?: number | undefined;
  openEnds: readonly string[];
}

const listed = (items: readonly string[]): string =>
  items.length > 3 ? `${items.slice(0, 3).join(', ')} and ${items.length - 3} more` : items.join(', ');

function blockersOf(id: string, inputs: GateInputs): Blocker[] {
  const block = (items: readonly string[], say: (words: string) => string): Blocker[] =>
    items.length > 0 ? [{ lineId: id, sentence: say(listed(items)) }] : [];
  switch (id) {
    case 'gate-ei-verdicts':
      return [
        ...block(inputs.openClashes, (w) => `Clash open: ${w}.`),
        ...block(inputs.unresolvedAdapts, (w) => `Adapt without a resolution: ${w}.`),
      ];
    case 'gate-fc-loose':
      return block(inputs.loosened, (w) => `Taken off and not tightened again: ${w}.`);
    case 'gate-cu-fasteners':
      return block(inputs.loosened, (w) => `Taken off and not tightened again: ${w}.`);
    case 'gate-fc-rollcall':
      return block(inputs.unlabelled, (w) => `Labels missing or double: ${w}.`);
    case 'gate-fs-oil-pressure':
      return inputs.primedBar === undefined || inputs.primedBar <= 0
        ? [{ lineId: id, sentence: 'No oil pressure logged: no number, no start.' }]
        : [];
    case 'gate-ho-zero':
      return block(inputs.openEnds, (w) => `Still open: ${w}.`);
    default:
      return [];
  }
}

/** Items that may no longer be open at the gate of this line; a line whose own proof ends an item is not held by it. */
function provisionalAt(def: GateLineDef, items: readonly ProvisionalItem[]): Blocker[] {
  const gate = gateName(def.gate) as GateName;
  if (registerLine[gate] !== def.id) return [];
  const due = items.filter((i) => i.endedBy !== def.id && gateNames.indexOf(i.forbiddenAt) <= gateNames.indexOf(gate));
  return due.length === 0 ? [] : [{ lineId: def.id, sentence: `Provisional: ${listed(due.map((i) => i.title))}.` }];
}

/** Gates in the order of the job, each line with what proves it, what blocks it, and why it applies. */
export function gatesOf(
  truthOf: TruthOf,
  proofs: Readonly<Record<string, GateProof | undefined>>,
  inputs: GateInputs,
): GateState[] {
  const lines = gateLines.flatMap((def): GateLineState | readonly GateLineState[] => {
    const proof = proofs[def.id];
    const blockers = [...provisionalAt(def, inputs.provisional), ...blockersOf(def.id, inputs)];
    return lineState(def, truthOf, proof, standingOf(def, proof), blockers) ?? [];
  });
  return gateNames.map((gate) => {
    const own = lines.filter((l) => gateName(l.def.gate) === gate);
    return { gate, lines: own, ...countGate(own) };
  });
}
