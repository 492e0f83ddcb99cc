import type { FactBook } from '../facts/index.ts';
import { pointsOf, wantedBand } from './readings.ts';
import type { GateLineDef } from './types.ts';

/** A reading inside its band at each point of a line, as somebody would type it. For tests and the demo. */
export function goodReadings(def: Pick<GateLineDef, 'proof'>, facts: FactBook = new Map()): Record<string, string> {
  return Object.fromEntries(
    pointsOf(def).map((point) => {
      const { unit, min, max } = wantedBand(point, facts);
      const value = min !== undefined && max !== undefined ? (min + max) / 2 : (min ?? max ?? 1);
      return [point.key, `${Number(value.toPrecision(4))} ${unit}`];
    }),
  );
}
