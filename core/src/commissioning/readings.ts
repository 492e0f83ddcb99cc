import { isFactId } from '../facts/index.ts';
import type { FactBook } from '../facts/index.ts';
import { formatMeasure, parseMeasure } from '../units/index.ts';
import type { GateProof } from './records.ts';
import type { Band, GateLineDef, ReadingPoint } from './types.ts';

/** The numbers a gate line wants: which, in what unit, between what, and whether what was typed is one of them. */

/** A band as it counts on this job, with what it stands on. */
export interface CountedBand extends Band {
  basis: string;
}

export interface TakenReading {
  point: ReadingPoint;
  typed: string;
  /** In the unit of the band it was held against. */
  value?: number;
  unit?: string;
  /** Why it will not do. */
  fault?: string;
  /** The fault that a number below zero points to. */
  pointsTo?: string;
}

/** The points a line wants read, one after the other; none where it wants no reading. */
export function pointsOf(def: Pick<GateLineDef, 'proof'>): readonly ReadingPoint[] {
  return def.proof.flatMap((p) => ('reading' in p ? p.reading : []));
}

/** The maker's figure where somebody typed it, widened as the line says; common practice otherwise. */
function counted(band: Band, facts: FactBook): CountedBand {
  const { from } = band;
  const known = from && isFactId(from.fact) ? facts.get(from.fact)?.parts[from.part] : undefined;
  if (!from || typeof known !== 'number') return { ...band, basis: 'common practice; the manual first' };
  return {
    unit: band.unit,
    ...(from.least === undefined ? (band.min === undefined ? {} : { min: band.min }) : { min: known * from.least }),
    ...(from.most === undefined ? (band.max === undefined ? {} : { max: band.max }) : { max: known * from.most }),
    basis: 'from the card',
  };
}

/** The band a point is held against first. */
export const wantedBand = (point: ReadingPoint, facts: FactBook): CountedBand => counted(point.bands[0]!, facts);

/** "13.5 V to 14.8 V", "at least 12.5 V": the band of a reading as people say it; nothing where there is none. */
export function bandWords({ unit, min, max }: Band): string {
  if (min !== undefined && max !== undefined) return `${formatMeasure(min, unit)} to ${formatMeasure(max, unit)}`;
  if (min !== undefined) return `at least ${formatMeasure(min, unit)}`;
  return max === undefined ? '' : `at most ${formatMeasure(max, unit)}`;
}

/** What a point wants, in words: "at most 0.2 V, or at most 0.01 ohm". */
export function wantedWords(point: ReadingPoint, facts: FactBook): string {
  return point.bands.map((band) => bandWords(counted(band, facts)) || `a number in ${band.unit}`).join(', or ');
}

function take(point: ReadingPoint, typed: string, facts: FactBook): TakenReading {
  const bare = typed.trim();
  if (bare === '')
    return {
      point,
      typed,
      fault: `${point.label}: a number in ${point.bands.map((b) => b.unit).join(' or ')} is wanted.`,
    };
  const tried = point.bands.map((band) => ({ band, read: parseMeasure(bare, band.unit) }));
  const hits = tried.filter((t) => t.read.ok);
  if (hits.length === 0) {
    const first = tried[0]!.read;
    return { point, typed, fault: `${point.label}: ${first.ok ? '' : first.sentence}` };
  }
  // A number without its unit says nothing where the thing can be read in two.
  if (hits.length > 1 && !/[a-zωΩ°%]/i.test(bare))
    return { point, typed, fault: `${point.label}: write the unit, ${point.bands.map((b) => b.unit).join(' or ')}.` };
  const { band, read } = hits[0]!;
  const value = read.ok ? read.measure.value : Number.NaN;
  const { min = -Infinity, max = Infinity } = counted(band, facts);
  const said = { point, typed, value, unit: band.unit };
  if (value >= min && value <= max) return said;
  return {
    ...said,
    fault: `${point.label}: ${formatMeasure(value, band.unit)} is not what this line wants: ${wantedWords(point, facts)}. Mend it, or let the manager override the line.`,
    ...(value < 0 && point.belowZero ? { pointsTo: point.belowZero } : {}),
  };
}

/** What was typed at each point of a line, held against its band. */
export function readingsOf(
  def: Pick<GateLineDef, 'proof'>,
  proof: Pick<GateProof, 'readings'> | undefined,
  facts: FactBook,
): TakenReading[] {
  return pointsOf(def).map((point) => take(point, proof?.readings?.[point.key] ?? '', facts));
}

/** "12.6 V", or "battery to engine 0.05 V, battery to body 0.04 V": the readings of a proof in a few words. */
export function readingWords(def: Pick<GateLineDef, 'proof'>, proof: Pick<GateProof, 'readings'>): string {
  const points = pointsOf(def).filter((p) => (proof.readings?.[p.key] ?? '') !== '');
  return points
    .map((p) => (points.length > 1 ? `${p.label.toLowerCase()} ${proof.readings![p.key]}` : proof.readings![p.key]!))
    .join(', ');
}
