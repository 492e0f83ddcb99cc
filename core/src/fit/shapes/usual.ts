import type { FactId } from '../../facts/index.ts';
import type { FactBook, FactValue } from '../../rules/book.ts';
import type { Books } from '../../rules/evidence.ts';

/**
 * Usual sizes of engines and bays, mm: what may be drawn before anybody measured, always as something assumed and never written down.
 * Common practice, no source: sizes of the middle of each kind, to a few centimetres.
 */

export const bayKinds = ['small-car', 'large-car', 'truck', 'behind-the-axle'] as const;
export type BayKind = (typeof bayKinds)[number];
export const bayKindWords: Readonly<Record<BayKind, string>> = {
  'small-car': 'Small car',
  'large-car': 'Large car',
  truck: 'Truck or off-road',
  'behind-the-axle': 'Behind the rear axle',
};

type Sizes = Readonly<Partial<Record<FactId, Readonly<Record<string, number | string>>>>>;

const bay = (
  length: number,
  towers: number,
  rails: number,
  hood: number,
  crossmember: readonly [rear: number, front: number, top: number],
  ground: number,
): Sizes => ({
  'rec-bay-length': { 'to-core-rear-face': length, 'to-radiator-support': length + 30, 'firewall-recess-depth': 0 },
  'rec-bay-width': { 'between-towers-at-head-height': towers, 'between-rails-at-mounts': rails },
  'rec-hood-profile': { 'lowest-z-over-the-engine': hood, 'at-x-of-that-place': length * 0.7 },
  'rec-crossmember-place': { 'rear-edge-x': crossmember[0], 'front-edge-x': crossmember[1], 'top-z': crossmember[2] },
  'rec-ground-at-crossmember': { 'ground-to-crossmember': ground },
});

const bays: Readonly<Record<BayKind, Sizes>> = {
  'small-car': bay(700, 860, 680, 400, [300, 400, -110], 180),
  'large-car': bay(860, 980, 760, 440, [360, 470, -120], 200),
  truck: bay(940, 960, 720, 520, [400, 520, -120], 300),
  'behind-the-axle': bay(640, 980, 820, 480, [240, 320, -130], 220),
};

const engine = (
  length: number,
  half: number,
  manifolds: number,
  up: number,
  sump: readonly [bowl: number, front: number],
): Sizes => ({
  'eng-length': { value: length },
  'eng-fan-reach': { 'pulley-face': length + 15 },
  'eng-width': {
    'left-at-covers-and-coils': half,
    'right-at-covers-and-coils': half,
    'left-at-heads': half,
    'right-at-heads': half,
    'left-at-accessories': half + 40,
    'right-at-accessories': half + 40,
    'left-at-manifolds': manifolds,
    'right-at-manifolds': manifolds,
  },
  'eng-height-up': { 'highest-point': up, 'highest-point-x': length * 0.5, 'rear-cover': up * 0.8 },
  'eng-sump-depth': { 'at-bowl': sump[0], 'at-front': sump[1] },
  'eng-sump-bowl-place': { 'bowl-rear-x': 40, 'bowl-front-x': length * 0.5 },
});

const engines: Readonly<Record<string, Sizes>> = {
  'inline-4': engine(490, 160, 260, 410, [200, 130]),
  'inline-5': engine(580, 165, 270, 410, [200, 130]),
  'inline-6': engine(720, 170, 270, 410, [205, 140]),
  'vee-6': engine(500, 270, 310, 400, [200, 130]),
  'vee-8': engine(600, 300, 340, 440, [205, 135]),
  'flat-4': engine(430, 370, 380, 330, [160, 150]),
  'flat-6': engine(520, 390, 400, 350, [170, 160]),
};

const gearbox: Sizes = {
  'gbx-length': { value: 680 },
  'gbx-envelope': {
    'widest-at-bell': 400,
    'highest-at-bell': 170,
    'widest-at-waist': 300,
    'widest-at-tail': 180,
    'pan-depth': 150,
  },
};

/** Is there a usual size for this engine? One of another layout has none. */
export const hasUsualEngine = (book: FactBook): boolean =>
  Object.hasOwn(engines, String(book.get('eng-layout')?.parts['value']));

/**
 * The facts with usual sizes where nobody knows better. What is known stays; a fact that is filled up so stands on something assumed.
 */
export function withUsual(books: Books, kind: BayKind | undefined): Books {
  if (kind === undefined) return books;
  const job = new Map(books.job);
  const layout = String(books.job.get('eng-layout')?.parts['value']);
  for (const [factId, sizes] of [
    ...Object.entries(bays[kind]),
    ...Object.entries(engines[layout] ?? {}),
    ...Object.entries(gearbox),
  ]) {
    const known: FactValue | undefined = job.get(factId);
    // Stations say more than a single lowest place.
    if (known && Object.values(known.parts).some((value) => typeof value === 'object')) continue;
    const missing = Object.entries(sizes ?? {}).filter(([key]) => known?.parts[key] === undefined);
    if (missing.length === 0) continue;
    job.set(factId, {
      ...(known ?? { typed: {} }),
      parts: { ...Object.fromEntries(missing), ...known?.parts },
      source: 'assumed',
    });
  }
  return { ...books, job };
}
