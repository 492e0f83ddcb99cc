import type { JointRecord } from './records.ts';

/** Where the bolts of a joint lie, and in which order they are tightened. */

export const boltLayouts = ['rows', 'circle', 'typed'] as const;
export type BoltLayout = (typeof boltLayouts)[number];

export interface BoltPlace {
  bolt: string;
  /** 0 to 1, from the left and from the top. */
  x: number;
  y: number;
}

type Joint = Pick<JointRecord, 'bolts' | 'layout' | 'order' | 'places'>;

/** Places that were said to be typed and are not all there are no places. */
const layoutOf = ({ layout, bolts, places = [] }: Joint): BoltLayout => {
  const said = layout === 'typed' && places.length !== bolts ? undefined : layout;
  return said ?? (bolts <= 8 && bolts % 2 === 1 ? 'circle' : 'rows');
};

/** The typed places within one box, their shape kept: as wide and as high as they are. */
function boxed(places: readonly { x: number; y: number }[]): {
  width: number;
  height: number;
  left: number;
  top: number;
} {
  const [xs, ys] = [places.map((p) => p.x), places.map((p) => p.y)];
  const [left, top] = [Math.min(...xs), Math.min(...ys)];
  return { left, top, width: Math.max(...xs) - left, height: Math.max(...ys) - top };
}

/** How high a field of bolts is for its width, where somebody typed its places; otherwise its drawing decides. */
export function fieldAspect(joint: Joint): number | undefined {
  if (layoutOf(joint) !== 'typed') return undefined;
  const { width, height } = boxed(joint.places!);
  return width > 0 ? Math.min(2, height / width) : 2;
}

/**
 * Bolts by number, round a circle from the top clockwise, or in two rows numbered down the length: odd ones above, even ones below.
 * Common practice where the manual numbers no other way.
 */
export function boltPlaces(joint: Joint): BoltPlace[] {
  const { bolts } = joint;
  const numbers = Array.from({ length: bolts }, (_, i) => i);
  const layout = layoutOf(joint);
  if (layout === 'typed') {
    const { left, top, width, height } = boxed(joint.places!);
    return joint.places!.map((p, i) => ({
      bolt: String(i + 1),
      x: width > 0 ? (p.x - left) / width : 0.5,
      y: height > 0 ? (p.y - top) / height : 0.5,
    }));
  }
  if (layout === 'circle')
    return numbers.map((i) => {
      const angle = (2 * Math.PI * i) / bolts - Math.PI / 2;
      return { bolt: String(i + 1), x: 0.5 + 0.5 * Math.cos(angle), y: 0.5 + 0.5 * Math.sin(angle) };
    });
  const columns = Math.ceil(bolts / 2);
  return numbers.map((i) => ({
    bolt: String(i + 1),
    x: columns === 1 ? 0.5 : Math.floor(i / 2) / (columns - 1),
    y: bolts === 1 ? 0.5 : i % 2,
  }));
}

/** Each next bolt is the one farthest from the last, among equals the one farthest from all that are tight. */
function crosswise(places: readonly BoltPlace[]): string[] {
  const apart = (a: BoltPlace, b: BoltPlace): number => Math.round(1e6 * Math.hypot(a.x - b.x, a.y - b.y));
  const order: BoltPlace[] = places.slice(0, 1);
  const rest = places.slice(1);
  while (rest.length > 0) {
    const last = order.at(-1)!;
    const fromAll = (p: BoltPlace): number => Math.min(...order.map((o) => apart(o, p)));
    rest.sort((a, b) => apart(last, b) - apart(last, a) || fromAll(b) - fromAll(a) || Number(a.bolt) - Number(b.bolt));
    order.push(rest.shift()!);
  }
  return order.map((p) => p.bolt);
}

const fromMiddle = ({ x }: BoltPlace): number => Math.round(1000 * Math.abs(x - 0.5));

/** From the middle outwards, so that a long joint is pressed flat and not bowed. */
const outwards = (places: readonly BoltPlace[]): string[] =>
  [...places].sort((a, b) => fromMiddle(a) - fromMiddle(b) || Number(a.bolt) - Number(b.bolt)).map((p) => p.bolt);

/** The order of tightening: the manual's where somebody typed it; else crosswise round a circle, outwards in rows. Common practice, no source. */
export function tighteningOrder(joint: Joint): { order: string[]; from: 'typed' | 'common practice' } {
  if (joint.order && joint.order.length > 0) return { order: [...joint.order], from: 'typed' };
  const places = boltPlaces(joint);
  return {
    order: layoutOf(joint) === 'circle' ? crosswise(places) : outwards(places),
    from: 'common practice',
  };
}

/** Reads an order as typed, "1 4 2 3" or "1, 4, 2, 3": every bolt once, or a sentence. */
export function readOrder(
  typed: string,
  bolts: number,
): { ok: true; order: string[] } | { ok: false; sentence: string } {
  const order = typed.split(/[\s,;]+/).filter(Boolean);
  if (order.length === 0) return { ok: true, order: [] };
  const strange = order.find((b) => !/^\d+$/.test(b) || Number(b) < 1 || Number(b) > bolts);
  if (strange !== undefined) return { ok: false, sentence: `"${strange}" is none of the bolts 1 to ${bolts}.` };
  const twice = order.find((b, i) => order.indexOf(b) !== i);
  if (twice !== undefined) return { ok: false, sentence: `Bolt ${twice} stands there twice.` };
  if (order.length < bolts)
    return { ok: false, sentence: `${order.length} of ${bolts} bolts are named; name each once.` };
  return { ok: true, order };
}

/** What is wrong with the places of bolts: one for each, no two the same. */
export function placesFault(places: readonly { x: number; y: number }[], bolts: number): string | undefined {
  const twice = places.findIndex((p, i) => places.slice(0, i).some((q) => q.x === p.x && q.y === p.y));
  if (twice >= 0) return `Bolt ${twice + 1} lies where another lies.`;
  return places.length === bolts ? undefined : `${places.length} of ${bolts} bolts have a place; give each one.`;
}

/** Reads places as typed, "0 0; 90 0; 45 60": one pair for each bolt, in the order of their numbers, or a sentence. */
export function readPlaces(
  typed: string,
  bolts: number,
): { ok: true; places: { x: number; y: number }[] } | { ok: false; sentence: string } {
  const pairs = typed
    .split(/[;\n]+/)
    .map((pair) => pair.trim())
    .filter(Boolean);
  if (pairs.length === 0) return { ok: true, places: [] };
  const places: { x: number; y: number }[] = [];
  for (const pair of pairs) {
    const numbers = pair.split(/[\s,]+/).map(Number);
    if (numbers.length !== 2 || numbers.some((n) => !Number.isFinite(n)))
      return { ok: false, sentence: `"${pair}" is no place: two numbers, across and down, like 90 0.` };
    places.push({ x: numbers[0]!, y: numbers[1]! });
  }
  const sentence = placesFault(places, bolts);
  return sentence ? { ok: false, sentence } : { ok: true, places };
}
