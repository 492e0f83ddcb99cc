import type { FactBook } from '../facts/index.ts';
import type { ProofState } from '../rules/gate.ts';
import { pointsOf, readingsOf } from './readings.ts';
import { voidedSince } from '../rules/stamp.ts';
import type { Stamp } from '../rules/stamp.ts';
import { gateLines } from './data/gates.ts';
import type { GateProof } from './records.ts';
import type { GateLineDef } from './types.ts';

/** Does this proof want the name of a second person? An override where harm is next does, and a line that two people sign. */
export const wantsSecond = (def: GateLineDef, proof: Pick<GateProof, 'override'>): boolean =>
  proof.override ? def.harm === true : def.proof.some((p) => 'signature' in p && (p.people ?? 1) > 1);

/** Does this line want to be shown by a photo? */
export const wantsPhoto = (def: Pick<GateLineDef, 'proof'>): boolean => def.proof.some((p) => 'photo' in p);

/** How far a proof goes: void it is nothing, and what wants two people waits for the second. */
export function standingOf(def: GateLineDef, proof: GateProof | undefined): ProofState['stands'] {
  if (!proof || proof.voided) return 'none';
  if (wantsSecond(def, proof) && !proof.second) return 'half-signed';
  return proof.override ? 'overridden' : 'proved';
}

/** Why what a proof shows does not prove its line, as the facts are now. */
export function refuseShown(
  def: GateLineDef,
  proof: Pick<GateProof, 'text' | 'readings' | 'photos' | 'override'>,
  facts: FactBook,
): string | undefined {
  if (proof.override)
    return proof.override.reason.trim().length < 10
      ? 'An override needs a reason of a sentence: it stays in the job book.'
      : undefined;
  const readings = readingsOf(def, proof, facts);
  const strange = Object.keys(proof.readings ?? {}).find((key) => !readings.some((r) => r.point.key === key));
  if (strange !== undefined) return `This line wants no reading called "${strange}".`;
  const bad = readings.find((r) => r.fault !== undefined);
  if (bad) return bad.fault;
  if (wantsPhoto(def))
    return (proof.photos ?? []).length === 0 ? 'A photo is to show it: take one, or choose one.' : undefined;
  return readings.length === 0 && proof.text.trim() === '' ? 'Write what proves it.' : undefined;
}

/** Fewer letters than this say nothing of what was looked at. */
const leastWords = 10;

/** Why a proof is refused that somebody writes now, or undefined when it will do. */
export function refuseProof(
  def: GateLineDef,
  proof: Pick<GateProof, 'text' | 'readings' | 'photos' | 'override'>,
  facts: FactBook,
): string | undefined {
  const inWords = !proof.override && pointsOf(def).length === 0 && !wantsPhoto(def);
  const tooFew =
    inWords && proof.text.trim().length < leastWords
      ? 'Write in a few words what was looked at and what was seen: it is all that proves this line.'
      : undefined;
  return refuseShown(def, proof, facts) ?? tooFew;
}

/** Proofs as they stand once the engine has come out again: what that undoes is void from then on, whoever signed it. */
export function sinceOut(
  proofs: Readonly<Record<string, GateProof>>,
  out: (Stamp & { why: string }) | undefined,
): Readonly<Record<string, GateProof>> {
  return Object.fromEntries(
    Object.entries(proofs).map(([id, proof]) => [id, undoneByLift.has(id) ? voidedSince(proof, out) : proof]),
  );
}

const undoneByLift: ReadonlySet<string> = new Set(gateLines.filter((l) => l.tillOut).map((l) => l.id));
