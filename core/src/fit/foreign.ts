import type { ForeignPartRecord } from './records.ts';
import { interfaces } from './data/interfaces.ts';

/** Parts on the car that are not its own: somebody's exhaust, bar, radiator. What is ordered for a place beside one is held against it first. */

type Foreign = Readonly<Record<string, ForeignPartRecord | undefined>>;

const onTheCar = (records: Foreign): ForeignPartRecord[] =>
  Object.values(records).flatMap((r) => (r && !r.gone ? [r] : []));

/** What is on the car at a place and is not its own. */
export const foreignAt = (records: Foreign, interfaceId: string): ForeignPartRecord[] =>
  onTheCar(records).filter((r) => r.places.includes(interfaceId));

const placesOfKit = new Map<string, string[]>();
for (const { id, kit } of interfaces)
  for (const line of kit) placesOfKit.set(line, [...(placesOfKit.get(line) ?? []), id]);

/** Parts of others at the places of a kit line, that nobody held it against. */
export const notHeldAgainst = (records: Foreign, kitLine: string): string[] =>
  onTheCar(records)
    .filter((r) => !(r.held ?? []).includes(kitLine))
    .filter((r) => (placesOfKit.get(kitLine) ?? []).some((place) => r.places.includes(place)))
    .map((r) => r.what);
