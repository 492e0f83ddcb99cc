import type { FactBook } from '../facts/index.ts';
import { formatMeasure, parseMeasure } from '../units/index.ts';
import { countGate, lineState } from '../rules/gate.ts';
import type { Blocker, GateCount, LineState } from '../rules/gate.ts';
import type { TruthOf } from '../rules/truths.ts';
import type { BoltedRole } from '../prep/records.ts';
import { gateLines } from './data/gates.ts';
import { againstFill, agree, withPutIn } from '../fluids/fills.ts';
import type { Fill } from '../fluids/fills.ts';
import { acceptedBy, notYetDone, primingChosen, provedByRecord } from './record-lines.ts';
import type { LineRecords, ShownByRecord } from './record-lines.ts';
import type { ProvisionalItem } from './provisional.ts';
import { refuseShown, standingOf, wantsPhoto } from './proof.ts';
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

export type { Blocker };

/** Something open that no gate line speaks of, and the first gate that it holds. */
export interface OpenMatter {
  gate: GateName;
  what: string;
}

type Proofs = Readonly<Record<string, GateProof | undefined>>;
/** `record` is there where the line is proved by a record, and by nobody's words. */
export type GateLineState = LineState<GateLineDef, GateProof> & {
  record?: ShownByRecord;
  /** What whoever signs it takes on by name. */
  accepts?: readonly string[];
};

export interface GateState extends GateCount {
  gate: GateName;
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
  /** What refuses the lift of the unit that comes in. */
  liftStops: readonly string[];
  /** Open items of the register: loose, tacked, borrowed, capped. */
  provisional: readonly ProvisionalItem[];
  /** Bolts whose torque record became void because the part came off again. */
  loosened: readonly string[];
  /** Bolts whose torque was written without the source of its value. */
  unsourced: readonly string[];
  unlabelled: readonly string[];
  /** What proves lines by itself. */
  records: LineRecords;
  /** Joints of which not every bolt is written as tight, with what they are on. */
  untightened: readonly { on: BoltedRole; what: string }[];
  /** Oil pressure of the last priming, bar, or undefined when none was logged. */
  primedBar?: number | undefined;
  openEnds: readonly string[];
  /** When the service plug was written out, of the car and of the donor. */
  plugOutAt: { own?: string | undefined; donor?: string | undefined };
}

const listed = (items: readonly string[]): string =>
  items.length > 3 ? `${items.slice(0, 3).join(', ')} and ${items.length - 3} more` : items.join(', ');

/** Common practice, no source; the manual's longer time goes first. */
const leastWaitMinutes = 5;

/** What the blockers of a line look at. */
interface Looking {
  facts: FactBook;
  proof: GateProof | undefined;
  proofs: Proofs;
  inputs: GateInputs;
}

/** Minutes by the clock between the plug and the proof, against those that the manual asks for. */
function waited(proof: GateProof | undefined, waiting: GateProof | undefined, plugOutAt: string | undefined): string[] {
  if (plugOutAt === undefined) return ['The service plug is not written out yet: the minutes have not begun.'];
  if (proof === undefined || proof.override) return [];
  const typed = parseMeasure(waiting?.readings?.['minutes'] ?? '', 'min');
  const wanted = Math.max(leastWaitMinutes, typed.ok ? typed.measure.value : 0);
  const ran = (Date.parse(proof.at ?? '') - Date.parse(plugOutAt)) / 60_000;
  if (ran >= wanted) return [];
  const said = ran < 0 ? 'it was written out again after this' : `${formatMeasure(Math.floor(ran), 'min')} had run`;
  return [`${formatMeasure(wanted, 'min')} wanted since the plug came out; ${said}.`];
}

const block = (items: readonly string[], say: (words: string) => string): string[] =>
  items.length > 0 ? [say(listed(items))] : [];

const untightened = (inputs: GateInputs, on?: BoltedRole): string[] =>
  block(
    inputs.untightened.filter((j) => on === undefined || j.on === on).map((j) => j.what),
    (w) => `Not every bolt is written as tight: ${w}.`,
  );

/** The oil that was put in, by its records or else by the reading of the line, against what its circuit holds. */
function oilAgainst(proof: GateProof | undefined, fills: readonly Fill[]): string[] {
  const oil = fills.find((f) => f.system === 'engine-oil');
  if (!oil) return [];
  const typed = parseMeasure(proof?.readings?.['oil'] ?? '', 'L');
  const read = typed.ok && !proof?.override ? typed.measure.value : undefined;
  if (oil.state === 'not-said') return read === undefined ? [] : againstFill(withPutIn(oil, read));
  const differ = read !== undefined && oil.putIn !== undefined && !agree(read, oil.putIn);
  return [
    ...againstFill(oil),
    ...(differ
      ? [`${formatMeasure(oil.putIn!, 'L')} is written as put in, and ${formatMeasure(read, 'L')} is read here.`]
      : []),
  ];
}

/** What records say against a line without anyone's signature, by the line. */
const againstLine: Readonly<Record<string, (at: Looking) => string[]>> = {
  'gate-hv-wait': ({ proof, inputs }) => waited(proof, proof, inputs.plugOutAt.own),
  'gate-hvd-wait': ({ proof, inputs }) => waited(proof, proof, inputs.plugOutAt.donor),
  'gate-hv-dead': ({ proof, proofs, inputs }) => waited(proof, proofs['gate-hv-wait'], inputs.plugOutAt.own),
  'gate-hvd-dead': ({ proof, proofs, inputs }) => waited(proof, proofs['gate-hvd-wait'], inputs.plugOutAt.donor),
  'gate-ei-lift': ({ inputs }) => inputs.liftStops.map((s) => `The lift: ${s}.`),
  'gate-ei-verdicts': ({ inputs }) => [
    ...block(inputs.openClashes, (w) => `Clash open: ${w}.`),
    ...block(inputs.unresolvedAdapts, (w) => `Adapt without a resolution: ${w}.`),
    ...block(inputs.notMeasured, (w) => `Not measured, and nobody goes on without it by name: ${w}.`),
    ...block(inputs.knockOnOpen, (w) => `Touched by a way out and not looked at again: ${w}.`),
  ],
  'gate-fc-loose': ({ inputs }) => [
    ...block(inputs.loosened, (w) => `Taken off and not tightened again: ${w}.`),
    ...untightened(inputs),
  ],
  'gate-fc-oil-level': ({ proof, inputs }) => oilAgainst(proof, inputs.records.fills),
  'gate-fc-priming': ({ facts }) => primingChosen(facts),
  'gate-fs-coolant': ({ inputs }) => inputs.records.fills.filter((f) => f.system === 'coolant').flatMap(againstFill),
  'gate-cu-fasteners': ({ inputs }) => [
    ...untightened(inputs, 'engine'),
    ...block(inputs.loosened, (w) => `Taken off and not tightened again: ${w}.`),
    ...block(inputs.unsourced, (w) => `Nobody said where the value is from: ${w}.`),
  ],
  'gate-fc-rollcall': ({ inputs }) => block(inputs.unlabelled, (w) => `Labels missing or double: ${w}.`),
  'gate-fs-oil-pressure': ({ inputs }) =>
    inputs.primedBar === undefined || inputs.primedBar <= 0 ? ['No oil pressure logged: no number, no start.'] : [],
  'gate-ho-run': ({ inputs }) => [...inputs.records.notRunAfter],
  'gate-ho-zero': ({ inputs }) => block(inputs.openEnds, (w) => `Still open: ${w}.`),
};

/** Items and matters that may no longer be open at the gate of this line; a line whose own proof ends an item is not held by it. */
function stillOpen(def: GateLineDef, { provisional, open }: GateInputs): string[] {
  const { gate } = def;
  if (registerLine[gate] !== def.id) return [];
  const isDue = (from: GateName): boolean => gateNames.indexOf(from) <= gateNames.indexOf(gate);
  const items = provisional.filter((i) => i.endedBy !== def.id && isDue(i.forbiddenAt)).map((i) => i.title);
  const matters = open.filter((o) => isDue(o.gate)).map((o) => o.what);
  return [...block(items, (w) => `Provisional: ${w}.`), ...block(matters, (w) => `Open: ${w}.`)];
}

/** What the proof itself shows, read again: a number out of the band as it is now, or a photo that this job has no more, proves nothing. */
function unproved(
  def: GateLineDef,
  proof: GateProof | undefined,
  facts: FactBook,
  photoIds: ReadonlySet<string>,
): string[] {
  if (proof === undefined || proof.override || proof.voided) return [];
  const refused = refuseShown(def, proof, facts);
  const shown = !wantsPhoto(def) || (proof.photos ?? []).some((id) => photoIds.has(id));
  if (refused !== undefined) return [refused];
  return shown ? [] : ['A photo of this job is to show it: take one, or choose one.'];
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
    // What stands against a line is looked at only where the line applies.
    if (truthOf === undefined || truthOf(def.when).is === false) return [];
    const proof = proofs[def.id];
    const record = provedByRecord[def.id]?.(inputs.records, facts);
    const against = [
      ...(record?.missing ?? []),
      ...notYetDone(def.id, inputs.records),
      ...unproved(def, proof, facts, inputs.photoIds),
      ...stillOpen(def, inputs),
      ...(againstLine[def.id]?.({ facts, proof, proofs, inputs }) ?? []),
    ];
    const blockers = against.map((sentence) => ({ lineId: def.id, sentence }));
    const shown = record !== undefined && record.missing.length === 0 && !proof?.override;
    const line = lineState(def, truthOf, proof, shown ? 'proved' : standingOf(def, proof), blockers);
    const accepts = acceptedBy[def.id]?.(facts) ?? [];
    return line
      ? { ...line, ...(record === undefined ? {} : { record }), ...(accepts.length > 0 ? { accepts } : {}) }
      : [];
  });
  return gateNames.flatMap((gate) => {
    const own = lines.filter((l) => l.def.gate === gate);
    // A car without high voltage has no such gate.
    return own.length === 0 ? [] : [{ gate, lines: own, ...countGate(own) }];
  });
}

/** Ids of the lines that are proved or overridden, of all gates. */
export const provedLines = (gates: readonly GateState[]): Set<string> =>
  new Set(
    gates.flatMap((g) => g.lines.filter((l) => l.state === 'proved' || l.state === 'overridden').map((l) => l.def.id)),
  );
