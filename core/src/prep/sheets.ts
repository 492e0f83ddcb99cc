import { cylindersIn } from '../facts/index.ts';
import type { FactBook } from '../facts/index.ts';
import type { Range } from '../rules/range.ts';
import { bearingClearanceMm, ringGapMm } from '../sums/index.ts';
import { counted, formatMeasure } from '../units/index.ts';
import type { TorqueRecord } from './records.ts';

/**
 * Measurement sheets: several readings at one place, what follows from them, and a verdict against a limit that the shop
 * entered from the manual or, where it entered none, against a rule marked common practice.
 */

export interface SheetDef {
  id: 'bore' | 'journal' | 'ring-gap' | 'lash';
  /** Row of the measurement table it serves. */
  measurement: string;
  title: string;
  /** What the places are called: "cylinder", "journal". */
  place: string;
  unit: string;
  /** The readings of one place, in the order they are taken. */
  readings: readonly SheetReading[];
}

export interface SheetReading {
  key: string;
  label: string;
  /** Only where the one before wants it. */
  ifNeeded?: true;
  /** A diameter of something round: at which height of it, counted from the top or the front, and whether it lies across. */
  round?: { height: number; across: boolean };
}

export const sheetDefs: readonly SheetDef[] = [
  {
    id: 'bore',
    measurement: 'msr-bore',
    title: 'Bores',
    place: 'cylinder',
    unit: 'mm',
    readings: [
      { key: 'top-along', label: 'Top, along', round: { height: 0, across: false } },
      { key: 'top-across', label: 'Top, across', round: { height: 0, across: true } },
      { key: 'middle-along', label: 'Middle, along', round: { height: 1, across: false } },
      { key: 'middle-across', label: 'Middle, across', round: { height: 1, across: true } },
      { key: 'bottom-along', label: 'Bottom, along', round: { height: 2, across: false } },
      { key: 'bottom-across', label: 'Bottom, across', round: { height: 2, across: true } },
    ],
  },
  {
    id: 'journal',
    measurement: 'msr-journal',
    title: 'Journals and bearing clearance',
    place: 'journal',
    unit: 'mm',
    readings: [
      { key: 'front-vertical', label: 'Front, vertical', round: { height: 0, across: false } },
      { key: 'front-level', label: 'Front, level', round: { height: 0, across: true } },
      { key: 'rear-vertical', label: 'Rear, vertical', round: { height: 1, across: false } },
      { key: 'rear-level', label: 'Rear, level', round: { height: 1, across: true } },
      { key: 'bearing-bore', label: 'Bearing bore, vertical, torqued' },
    ],
  },
  {
    id: 'ring-gap',
    measurement: 'msr-ring-gap',
    title: 'Ring gaps',
    place: 'cylinder',
    unit: 'mm',
    readings: [
      { key: 'top', label: 'Top ring' },
      { key: 'second', label: 'Second ring' },
    ],
  },
  {
    id: 'lash',
    measurement: 'msr-lash',
    title: 'Valve lash',
    place: 'cylinder',
    unit: 'mm',
    readings: [
      { key: 'intake', label: 'Intake, found' },
      { key: 'exhaust', label: 'Exhaust, found' },
      { key: 'intake-set', label: 'Intake, set', ifNeeded: true },
      { key: 'exhaust-set', label: 'Exhaust, set', ifNeeded: true },
    ],
  },
];

const defById = new Map(sheetDefs.map((d) => [d.id, d]));

/** A sheet by its id. Throws on an id that does not exist. */
export function sheetOf(id: string): SheetDef {
  const found = defById.get(id as SheetDef['id']);
  if (!found) throw new Error(`Unknown sheet "${id}"`);
  return found;
}

/** Limits the shop entered, by name; missing ones fall back to common practice where there is a rule. */
export interface SheetLimits {
  'least-size'?: number;
  'largest-size'?: number;
  'out-of-round'?: number;
  taper?: number;
  'least-clearance'?: number;
  'largest-clearance'?: number;
  'nominal-bore'?: number;
  'intake-least'?: number;
  'intake-largest'?: number;
  'exhaust-least'?: number;
  'exhaust-largest'?: number;
}

export const limitNames: Record<SheetDef['id'], readonly (keyof SheetLimits)[]> = {
  bore: ['least-size', 'largest-size', 'out-of-round', 'taper'],
  journal: ['least-size', 'largest-size', 'out-of-round', 'taper', 'least-clearance', 'largest-clearance'],
  'ring-gap': ['nominal-bore', 'least-size', 'largest-size'],
  lash: ['intake-least', 'intake-largest', 'exhaust-least', 'exhaust-largest'],
};

export type SheetWord = 'in-limits' | 'doubtful' | 'out-of-limits' | 'no-limit' | 'not-read';

export interface SheetFinding {
  label: string;
  value: number;
  /** The arithmetic with the numbers filled in. */
  sum: string;
  limit?: string;
  source: 'maker, entered by the shop' | 'common practice' | 'none';
  word: SheetWord;
  /** The limits as a band; the maker's limit stops, a rule of common practice asks to look. */
  range?: Range;
}

export interface SheetVerdict {
  word: SheetWord;
  findings: readonly SheetFinding[];
  /** Readings still to take. */
  open: readonly string[];
}

type Readings = Readonly<Record<string, number | undefined>>;
const mm = (value: number): string => formatMeasure(value, 'mm', 3);

function judgeRange(
  label: string,
  value: number,
  sum: string,
  least: number | undefined,
  largest: number | undefined,
): SheetFinding {
  if (least === undefined && largest === undefined) return { label, value, sum, source: 'none', word: 'no-limit' };
  const limit = [
    least === undefined ? '' : `at least ${mm(least)}`,
    largest === undefined ? '' : `at most ${mm(largest)}`,
  ]
    .filter(Boolean)
    .join(', ');
  const inside = value >= (least ?? -Infinity) - 1e-9 && value <= (largest ?? Infinity) + 1e-9;
  return {
    label,
    value,
    sum,
    limit,
    source: 'maker, entered by the shop',
    word: inside ? 'in-limits' : 'out-of-limits',
    range: {
      unit: 'mm',
      goOn: { ...(least === undefined ? {} : { min: least }), ...(largest === undefined ? {} : { max: largest }) },
      stop: { ...(least === undefined ? {} : { below: least }), ...(largest === undefined ? {} : { above: largest }) },
    },
  };
}

function judgeMost(
  label: string,
  value: number,
  sum: string,
  entered: number | undefined,
  practice: number,
): SheetFinding {
  const most = entered ?? practice;
  const inside = value <= most + 1e-9;
  return {
    label,
    value,
    sum,
    limit: `at most ${mm(most)}`,
    source: entered === undefined ? 'common practice' : 'maker, entered by the shop',
    // A sorting rule of common practice raises doubt; only the maker's limit condemns.
    word: inside ? 'in-limits' : entered === undefined ? 'doubtful' : 'out-of-limits',
    range: { unit: 'mm', goOn: { max: most }, ...(entered === undefined ? {} : { stop: { above: most } }) },
  };
}

function judgeBore(r: Readings, limits: SheetLimits): SheetFinding[] {
  const findings: SheetFinding[] = [];
  const heights = ['top', 'middle', 'bottom'].flatMap((h) => {
    const along = r[`${h}-along`];
    const across = r[`${h}-across`];
    return along === undefined || across === undefined ? [] : [{ h, along, across }];
  });
  const all = Object.values(r).filter((v): v is number => v !== undefined);
  if (all.length > 0)
    findings.push(
      judgeRange(
        'Largest bore',
        Math.max(...all),
        `largest of ${all.map(mm).join(', ')}`,
        limits['least-size'],
        limits['largest-size'],
      ),
    );
  if (heights.length > 0) {
    const worst = heights.reduce((a, b) => (Math.abs(b.along - b.across) > Math.abs(a.along - a.across) ? b : a));
    const out = Math.abs(worst.along - worst.across);
    findings.push(
      judgeMost(
        'Out-of-round',
        out,
        `${worst.h}: ${mm(Math.max(worst.along, worst.across))} − ${mm(Math.min(worst.along, worst.across))}`,
        limits['out-of-round'],
        0.05,
      ),
    );
  }
  const top = heights.find((x) => x.h === 'top');
  const bottom = heights.find((x) => x.h === 'bottom');
  if (top && bottom) {
    const mean = (x: { along: number; across: number }): number => (x.along + x.across) / 2;
    findings.push(
      judgeMost(
        'Taper',
        Math.abs(mean(top) - mean(bottom)),
        `top mean ${mm(mean(top))} − bottom mean ${mm(mean(bottom))}`,
        limits.taper,
        0.1,
      ),
    );
  }
  return findings;
}

function judgeJournal(r: Readings, limits: SheetLimits): SheetFinding[] {
  const findings: SheetFinding[] = [];
  const planes = ['front', 'rear'].flatMap((p) => {
    const vertical = r[`${p}-vertical`];
    const level = r[`${p}-level`];
    return vertical === undefined || level === undefined ? [] : [{ p, vertical, level }];
  });
  const sizes = planes.flatMap((p) => [p.vertical, p.level]);
  if (sizes.length === 0) return findings;
  const smallest = Math.min(...sizes);
  const largest = Math.max(...sizes);
  findings.push(
    judgeRange(
      'Smallest size',
      smallest,
      `smallest of ${sizes.map(mm).join(', ')}`,
      limits['least-size'],
      limits['largest-size'],
    ),
  );
  const worst = planes.reduce((a, b) => (Math.abs(b.vertical - b.level) > Math.abs(a.vertical - a.level) ? b : a));
  findings.push(
    judgeMost(
      'Out-of-round',
      Math.abs(worst.vertical - worst.level),
      `${worst.p}: ${mm(worst.vertical)} and ${mm(worst.level)}`,
      limits['out-of-round'],
      0.013,
    ),
  );
  if (planes.length === 2) {
    const [front, rear] = planes.map((p) => (p.vertical + p.level) / 2) as [number, number];
    findings.push(
      judgeMost(
        'Taper',
        Math.abs(front - rear),
        `front mean ${mm(front)} − rear mean ${mm(rear)}`,
        limits.taper,
        0.013,
      ),
    );
  }
  const bore = r['bearing-bore'];
  if (bore !== undefined) {
    const clearance = bore - largest;
    const sum = `bearing ${mm(bore)} − largest journal ${mm(largest)}`;
    const { 'least-clearance': least, 'largest-clearance': most } = limits;
    if (least !== undefined || most !== undefined)
      findings.push(judgeRange('Bearing clearance', clearance, sum, least, most));
    else {
      const wanted = bearingClearanceMm(largest);
      const word: SheetWord =
        clearance <= 0 ? 'out-of-limits' : Math.abs(clearance - wanted) <= wanted * 0.4 ? 'in-limits' : 'doubtful';
      findings.push({
        label: 'Bearing clearance',
        value: clearance,
        sum,
        limit: `about ${mm(wanted)} (0.001 in per inch of journal plus 0.0005 in)`,
        source: 'common practice',
        word,
        range: { unit: 'mm', goOn: { min: wanted * 0.6, max: wanted * 1.4 }, stop: { below: 0 } },
      });
    }
  }
  return findings;
}

function judgeRings(r: Readings, limits: SheetLimits): SheetFinding[] {
  const bore = limits['nominal-bore'];
  return ['top', 'second'].flatMap((ring) => {
    const gap = r[ring];
    if (gap === undefined) return [];
    const label = `${ring === 'top' ? 'Top' : 'Second'} ring gap`;
    if (limits['least-size'] !== undefined || limits['largest-size'] !== undefined)
      return [judgeRange(label, gap, mm(gap), limits['least-size'], limits['largest-size'])];
    if (bore === undefined)
      return [{ label, value: gap, sum: mm(gap), source: 'none' as const, word: 'no-limit' as const }];
    const least = ringGapMm(bore);
    return [
      {
        label,
        value: gap,
        sum: `${mm(gap)} against 0.004 × ${mm(bore)}`,
        limit: `at least ${mm(least)}`,
        source: 'common practice' as const,
        word: gap >= least - 1e-9 ? ('in-limits' as const) : ('doubtful' as const),
        range: { unit: 'mm', goOn: { min: least } },
      },
    ];
  });
}

/** Intake and exhaust have limits of their own; one pair for both is what shops entered before they had. */
const judgeLash = (r: Readings, limits: SheetLimits): SheetFinding[] =>
  (['intake', 'exhaust'] as const).flatMap((valve) => {
    // What it was set to counts; what was found tells of the wear.
    const set = r[`${valve}-set`];
    const lash = set ?? r[valve];
    return lash === undefined
      ? []
      : [
          judgeRange(
            `${valve === 'intake' ? 'Intake' : 'Exhaust'} lash`,
            lash,
            set === undefined || r[valve] === undefined ? mm(lash) : `found ${mm(r[valve])}, set to ${mm(set)}`,
            limits[`${valve}-least`] ?? limits['least-size'],
            limits[`${valve}-largest`] ?? limits['largest-size'],
          ),
        ];
  });

const judges = { bore: judgeBore, journal: judgeJournal, 'ring-gap': judgeRings, lash: judgeLash };
const gravity: readonly SheetWord[] = ['in-limits', 'no-limit', 'doubtful', 'out-of-limits'];

/** What the readings of one place say. Readings and limits in mm; readings not taken are undefined. */
export function judgeSheet(sheetId: string, readings: Readings, limits: SheetLimits): SheetVerdict {
  const def = sheetOf(sheetId);
  const open = def.readings.filter((x) => !x.ifNeeded && readings[x.key] === undefined).map((x) => x.label);
  const findings = judges[def.id](readings, limits);
  if (findings.length === 0) return { word: 'not-read', findings, open };
  const word = findings.reduce<SheetWord>(
    (worst, f) => (gravity.indexOf(f.word) > gravity.indexOf(worst) ? f.word : worst),
    'in-limits',
  );
  return { word, findings, open };
}

export const sheetWords: Record<SheetWord, string> = {
  'in-limits': 'In limits',
  doubtful: 'Doubtful',
  'out-of-limits': 'Out of limits',
  'no-limit': 'No limit entered',
  'not-read': 'Not measured',
};

/** Is a joint done? Every bolt has a record that is not voided, with a value and a source. */
export function jointState(records: readonly TorqueRecord[], bolts: number): { done: boolean; said: string } {
  const live = records.filter(
    (r) =>
      !r.voided &&
      (r.stagesNm.length > 0 || r.angleDeg !== undefined) &&
      r.source.trim() !== '' &&
      r.source !== 'unknown',
  );
  const tight = new Set(live.map((r) => r.bolt)).size;
  const voided = records.some((r) => r.voided);
  return {
    done: tight >= bolts && bolts > 0,
    said: `${tight} of ${counted(bolts, 'bolt')}${voided ? ', taken apart since' : ''}`,
  };
}

/** Most that readings of one round place lie apart on anything that is still an engine, mm. Common practice, no source. */
const mostApartMm = 1;

/** The question that the readings of a place raise: a cylinder the engine does not have is refused, one that is out of round by much is asked about. */
export function doubtOf(
  sheet: { sheet: string; place: string; readings: Readonly<Record<string, number>> },
  facts: FactBook,
): { refused?: string; ask?: string } {
  const cylinders = cylindersIn(facts);
  const def = sheetOf(sheet.sheet);
  const number = Number.parseInt(sheet.place, 10);
  if (def.place === 'cylinder' && cylinders !== undefined && (number > cylinders || number < 1))
    return { refused: `This engine has ${counted(cylinders, 'cylinder')}: there is no ${sheet.place}.` };
  if (def.id !== 'bore' && def.id !== 'journal') return {};
  const round = Object.entries(sheet.readings).filter(([key]) => key !== 'bearing-bore');
  const values = round.map(([, v]) => v);
  const apart = values.length < 2 ? 0 : Math.max(...values) - Math.min(...values);
  return apart > mostApartMm
    ? {
        ask: `${formatMeasure(apart, 'mm')} out of round at ${def.place} ${sheet.place}? Read again, or say that it is so.`,
      }
    : {};
}
