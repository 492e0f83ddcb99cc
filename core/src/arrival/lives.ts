/** Parts that are near the end of their usual life at a mileage. */

interface UsualLife {
  part: string;
  /** Whether it goes with the engine, or stays in the car. */
  of: 'engine' | 'car';
  /** From here on it is usual that it goes, km. */
  km: number;
}

/** Usual lives: common practice, no source; a maker's interval goes first. */
const usualLives: readonly UsualLife[] = [
  { part: 'timing belt with its tensioner, where there is one', of: 'engine', km: 100_000 },
  { part: 'water pump', of: 'engine', km: 150_000 },
  { part: 'mount cushions', of: 'engine', km: 150_000 },
  { part: 'clutch', of: 'engine', km: 160_000 },
  { part: 'alternator', of: 'engine', km: 200_000 },
  { part: 'chain tensioner and guides, where there is a chain', of: 'engine', km: 200_000 },
  { part: 'valve stem seals', of: 'engine', km: 220_000 },
  { part: 'charger, where there is one', of: 'engine', km: 220_000 },
  { part: 'head gasket', of: 'engine', km: 257_000 },
  { part: 'dampers', of: 'car', km: 120_000 },
  { part: 'brake hoses', of: 'car', km: 150_000 },
  { part: 'rubber joints of the suspension', of: 'car', km: 150_000 },
  { part: 'joints and centre bearing of the shaft', of: 'car', km: 180_000 },
  { part: 'catalyst', of: 'car', km: 190_000 },
  { part: 'radiator', of: 'car', km: 200_000 },
  { part: 'wheel bearings', of: 'car', km: 220_000 },
];

/** Within this share of its usual life a part is near its end. */
const near = 0.85;

/** What is near or past the end of its usual life at a mileage (km), the most overdue first. */
export function nearItsEnd(km: number, of: UsualLife['of']): string[] {
  return usualLives
    .filter((life) => life.of === of && km >= life.km * near)
    .sort((a, b) => a.km - b.km)
    .map((life) => life.part);
}
