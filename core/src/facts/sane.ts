import { formatMeasure } from '../units/index.ts';
import { factPart, partName } from './catalogue.ts';

/**
 * What a fact can be of any car or engine: wide, so that only what is hardly such a thing falls outside. A value outside is asked
 * about and not refused: somebody may say that it is so. Common practice, no source.
 */
export interface Range {
  least: number;
  most: number;
}

const byUnit: Readonly<Record<string, Range>> = {
  mm: { least: -4000, most: 6000 },
  m: { least: 0, most: 15 },
  kg: { least: 5, most: 6000 },
  deg: { least: -180, most: 180 },
  bar: { least: 0, most: 300 },
  kPa: { least: 0, most: 110 },
  kW: { least: 1, most: 1500 },
  'N·m': { least: 5, most: 20_000 },
  rpm: { least: 300, most: 20_000 },
  L: { least: 0.1, most: 150 },
  'L/h': { least: 1, most: 2000 },
  'L/min': { least: 0.1, most: 200 },
  'mL/min': { least: 10, most: 5000 },
  'm³/h': { least: 50, most: 20_000 },
  'cm³': { least: 40, most: 25_000 },
  km: { least: 0, most: 3_000_000 },
  years: { least: 0, most: 150 },
  A: { least: 0, most: 3000 },
  Ah: { least: 1, most: 400 },
  ohm: { least: 0, most: 1_000_000 },
  '°C': { least: -60, most: 250 },
  '': { least: 0, most: 10_000 },
};

/** Parts that are told by their name: sizes of things are above nothing, and small things are small. */
const byName: readonly { part: RegExp; unit?: string; range: Range }[] = [
  {
    part: /^(?:.*-)?(?:bore|tip-diameter|bolt-diameter|register-bore|bearing-inner-size|hub-diameter|seal-diameter)$/,
    unit: 'mm',
    range: { least: 1, most: 300 },
  },
  {
    part: /^(?:thickness|original-thickness|tube-wall|gap|core-depth|overall-depth|bolt-engagement|bearing-length|pinion-rest-gap)$/,
    unit: 'mm',
    range: { least: 0, most: 400 },
  },
  {
    part: /(?:^|-)(?:width|widest|between|length|height|diameter|circle|friction-size|rolling-circumference)(?:-|$)/,
    unit: 'mm',
    range: { least: 1, most: 4000 },
  },
];

const byFact: Readonly<Record<string, Range>> = {
  'rec-model-year value': { least: 1885, most: 2035 },
  'rec-ground-at-crossmember planned-ride-height-change': { least: -300, most: 300 },
  'eng-model-year value': { least: 1885, most: 2035 },
  'rec-axle-ratio value': { least: 1, most: 15 },
  'eng-rail-pressure high-side': { least: 0, most: 3500 },
  'don-storage-months value': { least: 0, most: 1200 },
  'eng-stood-months value': { least: 0, most: 1200 },
  'rec-speedo-constant value': { least: 100, most: 100_000 },
  'eng-mass value': { least: 20, most: 1500 },
  'gbx-mass value': { least: 10, most: 600 },
  'eng-torque value': { least: 20, most: 5000 },
  'eng-length value': { least: 150, most: 2000 },
  'gbx-length value': { least: 150, most: 1800 },
  // The top of the rail stands above the axle in most cars.
  'rec-pinion-place z-at-ride-height': { least: -900, most: 900 },
  'rec-wheelbase value': { least: 1000, most: 6000 },
  'cho-wedge value': { least: -6, most: 6 },
  'cho-sureness tape': { least: 0.1, most: 20 },
  'cho-sureness card': { least: 0.1, most: 40 },
  'cho-sureness by-eye': { least: 0.1, most: 100 },
  'cho-place-range slope-from': { least: -10, most: 15 },
  'cho-place-range slope-to': { least: -10, most: 15 },
  'cho-mount-rating gives-at-that-load': { least: 0.2, most: 30 },
  'cho-stack adapter-plate': { least: 0, most: 120 },
  'cho-stack crank-spacer': { least: 0, most: 120 },
  'cho-stack pad-spacer': { least: 0, most: 30 },
  'gbx-clutch-set bearing-travel': { least: 1, most: 80 },
  'gbx-clutch-set release-travel': { least: 1, most: 40 },
};

/** What a part of a fact can be; nothing where it is no number. */
export function saneRange(factId: string, partKey: string): Range | undefined {
  const { unit } = factPart(factId, partKey);
  if (unit === undefined) return undefined;
  const named = byName.find((n) => (n.unit ?? unit) === unit && n.part.test(partKey));
  const ratio = factId === 'gbx-ratios' ? { least: 0.3, most: 30 } : undefined;
  return byFact[`${factId} ${partKey}`] ?? ratio ?? named?.range ?? byUnit[unit];
}

/** The question that an unlikely value raises; nothing where it can well be. */
export function askAbout(factId: string, partKey: string, value: number): string | undefined {
  const range = saneRange(factId, partKey);
  if (!range || (value >= range.least && value <= range.most)) return undefined;
  const { unit = '' } = factPart(factId, partKey);
  const shown = formatMeasure(value, unit);
  return `${partName(factId, partKey)}: ${shown}? It is ${formatMeasure(range.least, unit)} to ${formatMeasure(range.most, unit)} on any car. Look again, or say that it is so.`;
}

/** Values of a fact that lie one behind or below the other, the rearmost or lowest first. */
const inOrder: Readonly<Partial<Record<string, readonly (readonly [behind: string, ahead: string])[]>>> = {
  'rec-crossmember-place': [['rear-edge-x', 'front-edge-x']],
  'cho-place-range': [
    ['along-from', 'along-to'],
    ['sideways-from', 'sideways-to'],
    ['height-from', 'height-to'],
    ['slope-from', 'slope-to'],
  ],
  'cho-sureness': [
    ['tape', 'card'],
    ['card', 'by-eye'],
  ],
  'rec-steering-envelope': [['rear-x', 'front-x']],
  'eng-sump-bowl-place': [['bowl-rear-x', 'bowl-front-x']],
  'rec-bay-length': [['to-core-rear-face', 'to-radiator-support']],
  // The axle comes up to the body in bump and falls away in droop.
  'rec-hub-places': [
    ['left-z-at-droop', 'left-z'],
    ['left-z', 'left-z-at-bump'],
    ['right-z-at-droop', 'right-z'],
    ['right-z', 'right-z-at-bump'],
  ],
  'rec-pinion-place': [
    ['z-at-droop', 'z-at-ride-height'],
    ['z-at-ride-height', 'z-at-bump'],
  ],
};

/** The questions that values raise which stand in the wrong order, by the part. */
export function askOrder(factId: string, parts: Readonly<Record<string, unknown>>): Record<string, string> {
  return Object.fromEntries(
    (inOrder[factId] ?? []).flatMap(([behind, ahead]) => {
      const [b, a] = [parts[behind], parts[ahead]];
      if (typeof b !== 'number' || typeof a !== 'number' || b <= a) return [];
      const { unit = '' } = factPart(factId, ahead);
      const words = `${partName(factId, behind)}: ${formatMeasure(b, unit)} is more than ${factPart(factId, ahead).label.toLowerCase()}, ${formatMeasure(a, unit)}. Look again, or say that it is so.`;
      return [[ahead, words]];
    }),
  );
}
