import { factPart, partName } from '../facts/index.ts';
import type { FactBook, FactId } from '../facts/index.ts';
import { interfaceOf, liftsInOrder } from '../fit/index.ts';
import { faults } from '../diagnosis/index.ts';
import { recordsOf } from '../records/index.ts';
import type { Recorded } from '../records/index.ts';

/** What closed jobs of the shop teach a new one: found by engine and car, each claim with what it was proved on. */

/** An engine and the car that it sits in, as far as people wrote it. */
export interface Pair {
  /** As on the card: family, exact variant, serial. */
  engineCode: string | undefined;
  engineName: string | undefined;
  engineYear: string | number | undefined;
  /** As people call it, often with its year in front. */
  carName: string;
  carYear: number | undefined;
}

const plain = (text: string): string => text.toLowerCase().replace(/[^\p{L}\p{N}]/gu, '');

/** The family of an engine: what stands before the first comma of its code, letters and digits alone. */
export const familyOf = (code: string | undefined): string => plain((code ?? '').split(',')[0] ?? '');

/** The exact variant: what stands behind it, without the serial number. */
export const variantOf = (code: string | undefined): string =>
  plain(
    (code ?? '')
      .split(',')
      .slice(1)
      .filter((part) => !/serial/i.test(part))
      .join(''),
  );

/** A car without the year in its name. */
export const carKind = (name: string): string => plain(name.replace(/^\s*(?:19|20)\d{2}\s+/, ''));

export type Nearness = 'engine-and-car' | 'engine' | 'car';

export interface Near {
  near: Nearness;
  /** What is not the same, a clause each: a claim is proved on that and on nothing else. */
  differs: readonly string[];
}

/** How near another pair is; nothing where neither its engine nor its car is of the same kind. */
export function nearness(own: Pair, other: Pair): Near | undefined {
  const family = familyOf(own.engineCode);
  const engine = family !== '' && family === familyOf(other.engineCode);
  const kind = carKind(own.carName);
  const car = kind !== '' && kind === carKind(other.carName);
  if (!engine && !car) return undefined;
  const differs: string[] = [];
  if (!engine) differs.push(`another engine, ${other.engineName ?? 'not written'}`);
  else {
    const [mine, theirs] = [variantOf(own.engineCode), variantOf(other.engineCode)];
    if (mine === '' || theirs === '') differs.push('the exact variant of one of them is not written');
    else if (mine !== theirs) differs.push(`variant ${other.engineCode ?? ''}`);
    if (
      own.engineYear !== undefined &&
      other.engineYear !== undefined &&
      String(own.engineYear) !== String(other.engineYear)
    )
      differs.push(`engine of ${other.engineYear}`);
  }
  if (!car) differs.push(`another car, ${other.carName}`);
  else if (own.carYear === undefined || other.carYear === undefined)
    differs.push('the year of one of the cars is not written');
  else if (own.carYear !== other.carYear) differs.push(`car of ${other.carYear}`);
  return { near: engine && car ? 'engine-and-car' : engine ? 'engine' : 'car', differs };
}

/** What was learnt on a job. */
export interface Learnt {
  /** Ways out that were chosen. */
  ways: readonly { interfaceId: string; title: string; text: string; kit: readonly string[] }[];
  /** Places where a tape was held, with what it said. */
  read: readonly { title: string; word: string; gapMm?: number }[];
  failed: readonly { part: string; how: string }[];
  lifts: readonly { why: string; foreseen: boolean }[];
  faults: readonly { symptom: string; fault: string }[];
  attempts: number;
}

/** What the records of a job teach. */
export function learntFrom(records: readonly Recorded[]): Learnt {
  const material = { records };
  const fits = Object.entries(recordsOf(material, 'fit'));
  return {
    ways: fits.flatMap(([id, f]) =>
      f.resolution
        ? [{ interfaceId: id, title: interfaceOf(id).title, text: f.resolution.text, kit: f.resolution.kit }]
        : [],
    ),
    read: fits.flatMap(([id, f]) =>
      f.trial
        ? [
            {
              title: interfaceOf(id).title,
              word: f.trial.word,
              ...(f.trial.gapMm === undefined ? {} : { gapMm: f.trial.gapMm }),
            },
          ]
        : [],
    ),
    failed: Object.values(recordsOf(material, 'tried'))
      .filter((t) => t.fits === 'does-not-fit' || t.back)
      .map((t) => ({ part: t.variant ? `${t.part}, ${t.variant}` : t.part, how: t.how })),
    lifts: liftsInOrder(recordsOf(material, 'lift')).map((l) => ({ why: l.why, foreseen: l.foreseen })),
    faults: Object.values(recordsOf(material, 'case')).flatMap(({ symptom, closed }) =>
      closed ? [{ symptom, fault: faults.find((f) => f.id === closed.faultId)?.title ?? closed.reason }] : [],
    ),
    attempts: Object.keys(recordsOf(material, 'attempt')).length,
  };
}

/** Sizes that tell whether a place that was found on another job is a place here, in the order in which they follow from one another. */
const comparable = [
  ['cho-engine-place', 'bell-face-ahead-of-firewall-x'],
  ['cho-engine-place', 'crank-axis-above-body-datum-z'],
  ['cho-engine-place', 'sideways-from-centre-line-y'],
  ['cho-engine-place', 'slope-tail-down'],
  ['eng-crank-flange', 'depth-behind-bell-face'],
  ['cho-stack', 'adapter-plate'],
  ['cho-stack', 'crank-spacer'],
  ['gbx-length', 'value'],
  ['gbx-mount-place', 'bell-face-to-mount'],
  ['eng-mount-bosses', 'left-x'],
  ['eng-mount-bosses', 'right-x'],
  ['rec-mount-pads', 'left-x'],
  ['rec-mount-pads', 'right-x'],
  ['rec-bay-length', 'to-core-rear-face'],
] as const satisfies readonly (readonly [factId: FactId, partKey: string])[];

export interface Size {
  factId: string;
  partKey: string;
  label: string;
  value: number;
  unit: string;
}

/** What was measured or chosen of those sizes; what nobody knows is left out. */
export const sizesIn = (facts: FactBook): Size[] =>
  comparable.flatMap(([factId, partKey]) => {
    const fact = facts.get(factId);
    const value = fact?.parts[partKey];
    if (typeof value !== 'number' || fact!.source === 'assumed') return [];
    return [{ factId, partKey, label: partName(factId, partKey), value, unit: factPart(factId, partKey).unit ?? '' }];
  });

/** The nearest first: engine and car, then the engine, then the car; among those, the ones that differ least. */
export const byNearness = (a: Near, b: Near): number => {
  const rank = ({ near }: Near): number => ['engine-and-car', 'engine', 'car'].indexOf(near);
  return rank(a) - rank(b) || a.differs.length - b.differs.length;
};

/** A way out in words that carry where it was proved. */
export const provedOn = (text: string, number: string, { differs }: Near): string =>
  `${text} (as on ${number}${differs.length > 0 ? `, which had ${differs.join(', ')}` : ', same engine and car'})`;
