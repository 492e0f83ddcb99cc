import type { JointRecord } from './records.ts';

/** Where the bolts of a joint lie, and in which order they are tightened. */

export const boltLayouts = ['rows', 'circle'] as const;
export type BoltLayout = (typeof boltLayouts)[number];

export interface BoltPlace {
  bolt: string;
  /** 0 to 1, from the left and from the top. */
  x: number;
  y: number;
}

type Joint = Pick<JointRecord, 'bolts' | 'layout' | 'order'>;

const layoutOf = ({ layout, bolts }: Joint): BoltLayout =>
  layout ?? (bolts <= 8 && bolts % 2 === 1 ? 'circle' : 'rows');

/**
 * Bolts by number, round a circle from the top clockwise, or in two rows numbered down the length: odd ones above, even ones below.
 * Common practice where the manual numbers no other way.
 */
export function boltPlaces(joint: Joint): BoltPlace[] {
  const { bolts } = joint;
  const numbers = Array.from({ length: bolts }, (_, i) => i);
  if (layoutOf(joint) === 'circle')
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
