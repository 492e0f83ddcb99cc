import { parseMeasure, formatMeasure } from '../units/index.ts';
import type { ProofState } from '../rules/gate.ts';
import type { GateProof } from './records.ts';
import type { GateLineDef } from './types.ts';

/** Does this proof want the name of a second person? An override where harm is next does, and a line that two people sign. */
export const wantsSecond = (def: GateLineDef, proof: Pick<GateProof, 'override'>): boolean =>
  proof.override ? def.harm === true : def.proof.some((p) => 'signature' in p && (p.people ?? 1) > 1);

/** How far a proof goes: void it is nothing, and what wants two people waits for the second. */
export function standingOf(def: GateLineDef, proof: GateProof | undefined): ProofState['stands'] {
  if (!proof || proof.voided) return 'none';
  if (wantsSecond(def, proof) && !proof.second) return 'half-signed';
  return proof.override ? 'overridden' : 'proved';
}

/** What a line wants read, where it wants a reading. */
export function readingOf(def: GateLineDef): { unit?: string; min?: number; max?: number; count?: number } | undefined {
  for (const proof of def.proof) if ('reading' in proof) return proof.reading;
  return undefined;
}

/** "13.5 V to 14.8 V", "at least 12.5 V": the band of a reading as people say it; nothing where there is none. */
export function bandWords({ unit = '', min, max }: { unit?: string; min?: number; max?: number }): string {
  if (min !== undefined && max !== undefined) return `${formatMeasure(min, unit)} to ${formatMeasure(max, unit)}`;
  if (min !== undefined) return `at least ${formatMeasure(min, unit)}`;
  return max === undefined ? '' : `at most ${formatMeasure(max, unit)}`;
}

/** Why a reading is refused: it lies outside the band. What is no plain number is left to the eye of who signs. */
function refuseReading(def: GateLineDef, typed: string): string | undefined {
  const wanted = readingOf(def);
  if (!wanted) return undefined;
  if (typed === '') return 'This line wants a reading: number and unit.';
  const { unit, min = -Infinity, max = Infinity } = wanted;
  const read = unit === undefined ? undefined : parseMeasure(typed, unit);
  if (!read?.ok) return undefined;
  const { value } = read.measure;
  if (value >= min && value <= max) return undefined;
  return `${formatMeasure(value, unit!)} is not what this line wants: ${bandWords(wanted)}. Mend it, or let the manager override the line.`;
}

/** Why a proof is refused, or undefined when it will do. */
export function refuseProof(
  def: GateLineDef,
  proof: Pick<GateProof, 'text' | 'reading' | 'override'>,
): string | undefined {
  if (proof.override)
    return proof.override.reason.trim().length < 10
      ? 'An override needs a reason of a sentence: it stays in the job book.'
      : undefined;
  const reading = (proof.reading ?? '').trim();
  return (
    refuseReading(def, reading) ?? (proof.text.trim() === '' && reading === '' ? 'Write what proves it.' : undefined)
  );
}
