import type { FactBook } from '../facts/index.ts';
import { formatMeasure, parseMeasure } from '../units/index.ts';
import { readingsOf } from './readings.ts';
import { countGate, lineState } from '../rules/gate.ts';
import type { Blocker, GateCount, LineState } from '../rules/gate.ts';
import type { TruthOf } from '../rules/truths.ts';
import { gateLines } from './data/gates.ts';
import type { ProvisionalItem } from './provisional.ts';
import { standingOf, wantsPhoto } from './proof.ts';
import type { GateProof } from './records.ts';
import { gateNames } from './types.ts';
import type { GateLineDef, GateName } from './types.ts';

/** The line of each gate that carries what is still provisional there. */
const registerLine: Readonly<Partial<Record<GateName, string>>> = {
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

/** Something open that no gate line speaks of, and the first gate that it holds. */
export interface OpenMatter {
  gate: GateName;
  what: string;
}

type Proofs = Readonly<Record<string, GateProof | undefined>>;
export type GateLineState = LineState<GateLineDef, GateProof>;

export interface GateState extends GateCount {
  gate: string;
  lines: readonly GateLineState[];
}

/** What the records say about a line without anyone's signature: the plan's own blockers. */
export interface GateInputs {
  openClashes: readonly string[];
  unresolvedAdapts: readonly string[];
  /** Interfaces that nobody measured, and nobody took on by name. */
  notMeasured: readonly string[];
  /** Interfaces that a way out touches and nobody looked at again. */
  knockOnOpen: readonly string[];
  /** What people left open, with the gate at which it may no longer be: findings, holds, approvals, parts. */
  open: readonly OpenMatter[];
  /** Photos of this job. */
  photoIds: ReadonlySet<string>;
  /** Open items of the register: loose, tacked, borrowed, capped. */
  provisional: readonly ProvisionalItem[];
  /** Bolts whose torque record became void because the part came off again. */
  loosened: readonly string[];
  /** Bolts whose torque was written without the source of its value. */
  unsourced: readonly string[];
  unlabelled: readonly string[];
  /** Systems that were drained and not filled since. */
  dry: readonly string[];
  /** Oil pressure of the last priming, bar, or undefined when none was logged. */
  primedBar?: number | undefined;
  openEnds: readonly string[];
  /** When the service plug was written out, of the car and of the donor. */
  plugOutAt: { own?: string | undefined; donor?: string | undefined };
}

const listed = (items: readonly string[]): string =>
  items.length > 3 ? `${items.slice(0, 3).join(', ')} and ${items.length - 3} more` : items.join(', ');

/** Minutes by the clock between the plug and the proof, against those that the manual asks for. */
function waitBlockers(
  def: GateLineDef,
  proof: GateProof | undefined,
  waiting: GateProof | undefined,
  plugOutAt: string | undefined,
): Blocker[] {
  if (plugOutAt === undefined)
    return [{ lineId: def.id, sentence: 'The service plug is not written out yet: the minutes have not begun.' }];
  if (proof === undefined || proof.override) return [];
  const typed = parseMeasure(waiting?.readings?.['minutes'] ?? '', 'min');
  const wanted = Math.max(leastWaitMinutes, typed.ok ? typed.measure.value : 0);
  const ran = (Date.parse(proof.at ?? '') - Date.parse(plugOutAt)) / 60_000;
  return ran >= wanted
    ? []
    : [
        {
          lineId: def.id,
          sentence: `${formatMeasure(wanted, 'min')} wanted since the plug came out; ${ran < 0 ? 'it was written out again after this' : `${formatMeasure(Math.floor(ran), 'min')} had run`}.`,
        },
      ];
}

/** Common practice, no source; the manual's longer time goes first. */
const leastWaitMinutes = 5;

function blockersOf(def: GateLineDef, proof: GateProof | undefined, proofs: Proofs, inputs: GateInputs): Blocker[] {
  const { id } = def;
  const block = (items: readonly string[], say: (words: string) => string): Blocker[] =>
    items.length > 0 ? [{ lineId: id, sentence: say(listed(items)) }] : [];
  switch (id) {
    case 'gate-hv-wait':
      return waitBlockers(def, proof, proof, inputs.plugOutAt.own);
    case 'gate-hvd-wait':
      return waitBlockers(def, proof, proof, inputs.plugOutAt.donor);
    case 'gate-hv-dead':
      return waitBlockers(def, proof, proofs['gate-hv-wait'], inputs.plugOutAt.own);
    case 'gate-hvd-dead':
      return waitBlockers(def, proof, proofs['gate-hvd-wait'], inputs.plugOutAt.donor);
    case 'gate-ei-verdicts':
      return [
        ...block(inputs.openClashes, (w) => `Clash open: ${w}.`),
        ...block(inputs.unresolvedAdapts, (w) => `Adapt without a resolution: ${w}.`),
        ...block(inputs.notMeasured, (w) => `Not measured, and nobody goes on without it by name: ${w}.`),
        ...block(inputs.knockOnOpen, (w) => `Touched by a way out and not looked at again: ${w}.`),
      ];
    case 'gate-fc-loose':
      return block(inputs.loosened, (w) => `Taken off and not tightened again: ${w}.`);
    case 'gate-cu-fasteners':
      return [
        ...block(inputs.loosened, (w) => `Taken off and not tightened again: ${w}.`),
        ...block(inputs.unsourced, (w) => `Nobody said where the value is from: ${w}.`),
      ];
    case 'gate-fc-fluids':
      return block(inputs.dry, (w) => `Drained and not filled since: ${w}.`);
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

/** Items and matters that may no longer be open at the gate of this line; a line whose own proof ends an item is not held by it. */
function openAt(def: GateLineDef, { provisional, open }: GateInputs): Blocker[] {
  const gate = gateName(def.gate) as GateName;
  if (registerLine[gate] !== def.id) return [];
  const isDue = (from: GateName): boolean => gateNames.indexOf(from) <= gateNames.indexOf(gate);
  const items = provisional.filter((i) => i.endedBy !== def.id && isDue(i.forbiddenAt)).map((i) => i.title);
  const matters = open.filter((o) => isDue(o.gate)).map((o) => o.what);
  return [
    ...(items.length > 0 ? [{ lineId: def.id, sentence: `Provisional: ${listed(items)}.` }] : []),
    ...(matters.length > 0 ? [{ lineId: def.id, sentence: `Open: ${listed(matters)}.` }] : []),
  ];
}

/** A line that wants a photo shows one of this job; when that is taken back, the proof goes with it. */
function photoBlockers(def: GateLineDef, proof: GateProof | undefined, photoIds: ReadonlySet<string>): Blocker[] {
  if (proof === undefined || proof.override || proof.voided || !wantsPhoto(def)) return [];
  return (proof.photos ?? []).some((id) => photoIds.has(id))
    ? []
    : [{ lineId: def.id, sentence: 'A photo of this job is to show it: take one, or choose one.' }];
}

/** What proves a line that is read again: a number that is out of the band as it is now proves nothing. */
function readingBlockers(def: GateLineDef, proof: GateProof | undefined, facts: FactBook): Blocker[] {
  if (proof === undefined || proof.override || proof.voided) return [];
  return readingsOf(def, proof, facts).flatMap(({ fault }) =>
    fault === undefined ? [] : [{ lineId: def.id, sentence: fault }],
  );
}

/** Gates in the order of the job, each line with what proves it, what blocks it, and why it applies. */
export function gatesOf(
  truthsOf: { own: TruthOf; donor?: TruthOf },
  facts: FactBook,
  proofs: Proofs,
  inputs: GateInputs,
): GateState[] {
  const lines = gateLines.flatMap((def): GateLineState | readonly GateLineState[] => {
    const truthOf = truthsOf[def.of ?? 'own'];
    if (truthOf === undefined) return [];
    const proof = proofs[def.id];
    const blockers = [
      ...readingBlockers(def, proof, facts),
      ...photoBlockers(def, proof, inputs.photoIds),
      ...openAt(def, inputs),
      ...blockersOf(def, proof, proofs, inputs),
    ];
    return lineState(def, truthOf, proof, standingOf(def, proof), blockers) ?? [];
  });
  return gateNames.flatMap((gate) => {
    const own = lines.filter((l) => gateName(l.def.gate) === gate);
    // A car without high voltage has no such gate.
    return own.length === 0 ? [] : [{ gate, lines: own, ...countGate(own) }];
  });
}

/** Ids of the lines that are proved or overridden, of all gates. */
export const provedLines = (gates: readonly GateState[]): Set<string> =>
  new Set(
    gates.flatMap((g) => g.lines.filter((l) => l.state === 'proved' || l.state === 'overridden').map((l) => l.def.id)),
  );
