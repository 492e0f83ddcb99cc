/** Choosing among several: criteria in their own units, weights from the customer's wish, and what would turn the choice. */

export const criteria = [
  { id: 'power', title: 'Power', unit: 'kW', better: 'more', usual: 3 },
  { id: 'mass', title: 'More mass on its axle', unit: 'kg', better: 'less', usual: 2 },
  { id: 'room', title: 'Room left, the least', unit: 'mm', better: 'more', usual: 3 },
  { id: 'clash', title: 'Places that clash', unit: '', better: 'less', usual: 4 },
  { id: 'adapt', title: 'Places to adapt', unit: '', better: 'less', usual: 2 },
  { id: 'unknown', title: 'Places not measured', unit: '', better: 'less', usual: 1 },
  { id: 'money', title: 'Money: itself, its pieces, its kit', unit: 'money', better: 'less', usual: 4 },
  { id: 'hours', title: 'Hours, likely', unit: 'h', better: 'less', usual: 3 },
  { id: 'km', title: 'It has run', unit: 'km', better: 'less', usual: 1 },
  { id: 'proof', title: 'Proof that it runs', unit: '', better: 'more', usual: 2 },
  { id: 'supply', title: 'Parts to be had', unit: '', better: 'more', usual: 1 },
  { id: 'days', title: 'Days until it is here', unit: 'd', better: 'less', usual: 1 },
] as const;
export type CriterionId = (typeof criteria)[number]['id'];
export type Weights = Readonly<Partial<Record<CriterionId, number>>>;

/** Weights go from nothing to this. */
export const mostWeight = 5;

export const weightOf = (weights: Weights, id: CriterionId): number =>
  weights[id] ?? criteria.find((c) => c.id === id)!.usual;

export interface Measured {
  id: string;
  name: string;
  /** A value that nobody knows is left out: it may be as good as the best of them, or as bad as the worst. */
  values: Readonly<Partial<Record<CriterionId, number>>>;
}

export interface Scored {
  id: string;
  name: string;
  /** From 0 to 1, with what is not known at its worst and at its best. */
  low: number;
  high: number;
  /** Criteria of which nobody knows its value, that weigh something. */
  open: readonly CriterionId[];
}

type Span = readonly [low: number, high: number];

/** Where a value stands between the worst and the best of all, 0 to 1; the whole span where it is not known. All alike counts as the best. */
function standing(all: readonly Measured[], one: Measured, id: CriterionId): Span {
  const known = all.flatMap((m) => m.values[id] ?? []);
  const value = one.values[id];
  if (value === undefined) return known.length === 0 ? [1, 1] : [0, 1];
  const [least, most] = [Math.min(...known), Math.max(...known)];
  if (most === least) return [1, 1];
  const share = (value - least) / (most - least);
  const good = criteria.find((c) => c.id === id)!.better === 'more' ? share : 1 - share;
  return [good, good];
}

/** Each with its score, the best first by the middle of its span. All weights at nought score nothing. */
export function scoreAll(all: readonly Measured[], weights: Weights): Scored[] {
  const sum = criteria.reduce((total, c) => total + weightOf(weights, c.id), 0);
  return all
    .map((one): Scored => {
      let [low, high] = [0, 0];
      for (const { id } of criteria) {
        const [a, b] = standing(all, one, id);
        low += weightOf(weights, id) * a;
        high += weightOf(weights, id) * b;
      }
      const open = criteria
        .map((c) => c.id)
        .filter(
          (id) =>
            one.values[id] === undefined && weightOf(weights, id) > 0 && all.some((m) => m.values[id] !== undefined),
        );
      return { id: one.id, name: one.name, low: sum === 0 ? 0 : low / sum, high: sum === 0 ? 0 : high / sum, open };
    })
    .sort((a, b) => b.low + b.high - (a.low + a.high) || (a.name < b.name ? -1 : 1));
}

/** What would turn the choice. */
export interface Turn {
  winner: string;
  /** It wins whatever the values that nobody knows turn out to be. */
  sure: boolean;
  /** The least change of one weight that puts another first; nothing where none does. */
  weight?: { other: string; criterion: CriterionId; from: number; to: number };
  /** Values that, once known, may put another first. */
  unknown: readonly { name: string; criterion: CriterionId }[];
}

/** What would turn the choice, for the first of several; nothing where there are not two, or no weights. */
export function turnOf(all: readonly Measured[], weights: Weights): Turn | undefined {
  const scored = scoreAll(all, weights);
  const [first, ...others] = scored;
  if (!first || others.length === 0 || first.high === 0) return undefined;
  const middle = (id: string, criterion: CriterionId): number => {
    const [low, high] = standing(
      all,
      all.find((m) => m.id === id)!,
      criterion,
    );
    return (low + high) / 2;
  };
  let weight: Turn['weight'];
  for (const other of others) {
    const lead = criteria.reduce(
      (sum, c) => sum + weightOf(weights, c.id) * (middle(first.id, c.id) - middle(other.id, c.id)),
      0,
    );
    for (const { id } of criteria) {
      const gain = middle(other.id, id) - middle(first.id, id);
      if (Math.abs(gain) < 1e-9) continue;
      const from = weightOf(weights, id);
      const to = from + lead / gain;
      if (to < 0 || to > mostWeight) continue;
      if (!weight || Math.abs(to - from) < Math.abs(weight.to - weight.from))
        weight = { other: other.name, criterion: id, from, to };
    }
  }
  const rivals = others.filter((o) => o.high >= first.low);
  const sure = rivals.length === 0;
  const unknown = sure
    ? []
    : [first, ...rivals].flatMap((s) => s.open.map((criterion) => ({ name: s.name, criterion })));
  return { winner: first.name, sure, ...(weight ? { weight } : {}), unknown };
}
