import { factDef } from '../../facts/index.ts';
import type { FactBook, FactSource } from '../../rules/book.ts';
import type { OwnShapes } from './own.ts';
import type { FitShape, Side } from './types.ts';

/** What a named shape stands on: its facts, how sure they are, and who wrote the last of them when. */
export interface MadeFrom {
  id: string;
  side: Side;
  name: string;
  /** The facts it was made from, by their names; none for what somebody drew. */
  from: readonly string[];
  /** One standard deviation of its least sure measure, mm. */
  sigmaMm: number;
  source: FactSource | undefined;
  /** What of it nobody measured, in sentences. */
  assumed: readonly string[];
  /** Who wrote the last of what it stands on, and when, as an instant; nothing where nobody signed it. */
  by?: string;
  at?: string;
}

/** Each named shape once, the bay's first: pieces of one name stand on the same. */
export function madeFrom(shapes: readonly FitShape[], book: FactBook, own: OwnShapes = {}): readonly MadeFrom[] {
  const named = new Map<string, FitShape>();
  for (const shape of shapes) if (!named.has(shape.id)) named.set(shape.id, shape);
  const all = [...named.values()].map((shape): MadeFrom => {
    const factIds = [...new Set(shape.parts.map((p) => p.factId))];
    const drawn = Object.entries(own).find(([key]) => `own-${key}` === shape.id)?.[1];
    const signed = drawn ? [drawn] : factIds.flatMap((id) => book.get(id) ?? []);
    const last = signed.reduce<{ by?: string | undefined; at?: string | undefined } | undefined>(
      (latest, one) => (latest === undefined || (one.at ?? '') > (latest.at ?? '') ? one : latest),
      undefined,
    );
    return {
      id: shape.id,
      side: shape.side,
      name: shape.name,
      from: factIds.map((id) => factDef(id).label),
      sigmaMm: shape.sigma,
      source: shape.source,
      assumed: shape.assumed,
      ...(last?.by === undefined ? {} : { by: last.by }),
      ...(last?.at === undefined ? {} : { at: last.at }),
    };
  });
  return [...all.filter((s) => s.side === 'bay'), ...all.filter((s) => s.side === 'unit')];
}
