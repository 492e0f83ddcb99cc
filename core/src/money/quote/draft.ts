import type { CauseLine, Estimate, TaskLine } from '../../clock/estimate.ts';
import { meanOf } from '../../clock/estimate.ts';
import type { Range } from '../../clock/types.ts';
import type { KitLine } from '../../kit/plan.ts';
import type { KitRecord } from '../../kit/records.ts';
import type { QuoteLine, QuoteLineRecord, Terms } from './types.ts';

/** What of a paid hour no clock shows: clearing, looking for tools, washing hands. Low and high share of it; common practice, no source. */
export const unlogged: readonly [number, number] = [0.1, 0.2];
const mid = ([low, high]: readonly [number, number]): number => (low + high) / 2;

/** An amount in whole smallest units, half of one rounded up. */
export const whole = (amount: number): number => Math.floor(amount + 0.5);

/** By how much common causes raise a task on average: one that nobody answered counts with even odds. */
export function causeMean(ids: readonly string[], causes: readonly CauseLine[]): number {
  return causes
    .filter((c) => ids.includes(c.def.id))
    .reduce((by, c) => by * (c.state === 'counted' ? mid(c.def.by) : (1 + mid(c.def.by)) / 2), 1);
}

/** Hours of a line on average, with its common causes and with what no clock shows. */
export function hoursOfLine(line: QuoteLine, causes: readonly CauseLine[]): number {
  if (!line.hours) return 0;
  return meanOf(line.hours) * causeMean(line.causes, causes) * (1 + mid(unlogged));
}

/** What a line asks: hours at their rate, or what it costs with the markup. Nothing where a figure is not set. */
function amountOf(line: Omit<QuoteLine, 'amount'>, terms: Terms, causes: readonly CauseLine[]): number | undefined {
  // What the customer brings, and what the donor gives, is not asked for: the donor has an account of its own.
  if (line.who === 'customer' || line.who === 'donor') return 0;
  if (line.section === 'work' && line.who === 'shop' && line.hours)
    return terms.hourRate === undefined ? undefined : whole(hoursOfLine(line, causes) * terms.hourRate);
  return line.cost && whole(meanOf(line.cost) * (1 + terms.markup / 100));
}

const rangeOf = (hours: readonly number[] | undefined): Range | undefined =>
  hours?.length === 3 ? (hours as unknown as Range) : undefined;

function decided(
  line: Omit<QuoteLine, 'amount' | 'tax' | 'optional' | 'who' | 'own'>,
  record: QuoteLineRecord | undefined,
  terms: Terms,
  causes: readonly CauseLine[],
): QuoteLine {
  const hours = rangeOf(record?.hours) ?? line.hours;
  // Work that the shop does itself is reckoned by its hours: an amount beside them would count it twice.
  const byHours = line.section === 'work' && hours !== undefined && (record?.who ?? 'shop') === 'shop';
  const price = byHours ? undefined : record?.price;
  const fixed: Range | undefined = price === undefined ? undefined : [price, price, price];
  const cost = fixed ?? line.cost;
  const bare: Omit<QuoteLine, 'amount'> = {
    ...line,
    ...(hours ? { hours } : {}),
    ...(cost ? { cost } : {}),
    basis: record?.hours || fixed ? 'typed' : line.basis,
    state: record ? (record.take === 'in' ? 'counted' : 'left-off') : line.state,
    who: record?.who ?? (line.section === 'outside' ? 'outside' : 'shop'),
    tax: record?.tax ?? terms.tax,
    optional: record?.optional ?? false,
    own: false,
    ...(record?.why === undefined ? {} : { why: record.why }),
  };
  // What somebody typed is theirs, and no history is laid over it.
  if (record?.hours) delete bare.past;
  const amount = amountOf(bare, terms, causes);
  return { ...bare, ...(amount === undefined ? {} : { amount }) };
}

const ofTask = (t: TaskLine, { history }: Terms): Omit<QuoteLine, 'amount' | 'tax' | 'optional' | 'who' | 'own'> => {
  const past = history?.[t.station];
  return {
    id: t.id,
    section: 'work',
    group: t.station,
    title: t.title,
    state: t.state,
    basis: past ? 'history' : 'estimate',
    hours: past ? (t.hours.map((h) => h * past.ratio) as unknown as Range) : t.hours,
    ...(past ? { past } : {}),
    causes: t.causes,
    needs: t.needs,
    because: t.because,
    ...(t.leftOut === '' ? {} : { leftOut: t.leftOut }),
  };
};

function ofKit(
  { def, state, needs, because }: KitLine,
  record: KitRecord | undefined,
  { priceUnit }: Terms,
): Omit<QuoteLine, 'amount' | 'tax' | 'optional' | 'who' | 'own'> {
  const paid = record?.price;
  const [low, likely, high] = def.price as Range;
  const cost: Range | undefined =
    paid !== undefined
      ? [paid, paid, paid]
      : priceUnit === undefined
        ? undefined
        : [low * priceUnit, likely * priceUnit, high * priceUnit];
  return {
    id: def.id,
    section: 'parts',
    group: def.system,
    title: def.title,
    state: record?.status === 'not-needed' ? 'left-off' : state === 'needed' ? 'counted' : 'open',
    basis: paid === undefined ? 'estimate' : 'paid',
    ...(cost ? { cost } : {}),
    causes: [],
    needs,
    because,
    leftOut: def.leftOut,
  };
}

/** Hours that a cause asks for besides: learning what nobody here has wired. */
const learning = ({
  def,
  state,
  needs,
  because,
}: CauseLine): Omit<QuoteLine, 'amount' | 'tax' | 'optional' | 'who' | 'own'>[] =>
  def.learn
    ? [
        {
          id: def.id,
          section: 'work',
          group: 'start',
          title: `Learning: ${def.title.toLowerCase()}`,
          state,
          basis: 'estimate',
          hours: def.learn,
          causes: [],
          needs,
          because,
        },
      ]
    : [];

export interface DraftInput {
  estimate: Estimate;
  kit: readonly KitLine[];
  kitRecords: Readonly<Record<string, KitRecord | undefined>>;
  decisions: Readonly<Record<string, QuoteLineRecord | undefined>>;
  terms: Terms;
}

/** The quote as it stands: every task and kit line of the plan as people decided of it, and their own lines behind. */
export function draftQuote({ estimate, kit, kitRecords, decisions, terms }: DraftInput): QuoteLine[] {
  const { causes } = estimate;
  const lines = [
    ...estimate.tasks.map((t) => decided(ofTask(t, terms), decisions[t.id], terms, causes)),
    ...causes.flatMap(learning).map((l) => decided(l, decisions[l.id], terms, causes)),
    ...kit.map((k) => decided(ofKit(k, kitRecords[k.def.id], terms), decisions[k.def.id], terms, causes)),
  ];
  const known = new Set(lines.map((l) => l.id));
  const own = Object.entries(decisions).flatMap(([id, record]): QuoteLine[] => {
    if (!record?.title || known.has(id)) return [];
    const line = decided(
      {
        id,
        section: record.section ?? 'work',
        group: 'own lines',
        title: record.title,
        state: 'counted',
        basis: 'typed',
        causes: [],
        needs: [],
        because: [],
      },
      record,
      terms,
      causes,
    );
    return [{ ...line, own: true }];
  });
  return [...lines, ...own];
}

/** What a quote cannot be reckoned without: figures that the shop did not set, where a line asks for them. */
export function termsMissing(lines: readonly QuoteLine[], terms: Terms): ('hourRate' | 'hourCost' | 'priceUnit')[] {
  const counted = lines.filter((l) => l.state === 'counted' && l.who === 'shop');
  const work = counted.some((l) => l.hours !== undefined);
  const parts = counted.some((l) => l.section === 'parts' && l.cost === undefined);
  return [
    ...(work && terms.hourRate === undefined ? (['hourRate'] as const) : []),
    ...(work && terms.hourCost === undefined ? (['hourCost'] as const) : []),
    ...(parts && terms.priceUnit === undefined ? (['priceUnit'] as const) : []),
  ];
}

/** What a quote would go out with unsettled: lines of which nobody knows whether they are wanted, causes nobody answered. */
export const openTitles = (lines: readonly QuoteLine[], causes: readonly CauseLine[]): string[] => [
  ...lines.filter((l) => l.state === 'open').map((l) => l.title),
  ...causes.filter((c) => c.state === 'open').map((c) => `not said: ${c.def.title.toLowerCase()}`),
];

/** Hours of the shop by station as they were reckoned before any history was laid over them. */
export function reckonedHours(lines: readonly QuoteLine[], causes: readonly CauseLine[]): Record<string, number> {
  const by: Record<string, number> = {};
  for (const line of lines) {
    if (line.section !== 'work' || line.who !== 'shop' || line.state !== 'counted' || !line.hours) continue;
    by[line.group] = (by[line.group] ?? 0) + hoursOfLine(line, causes) / (line.past?.ratio ?? 1);
  }
  return by;
}
