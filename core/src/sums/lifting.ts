/** What carries a load that hangs: how much of its rating is left as it is used, and what the car does when the load leaves. */

export const gearSorts = [
  'sling',
  'sling-choked',
  'shackle',
  'leveller',
  'swivel-ring',
  'eye-shoulder',
  'eye-plain',
  'bracket',
] as const;
export type GearSort = (typeof gearSorts)[number];

export const gearWords: Readonly<Record<GearSort, string>> = {
  sling: 'sling or chain leg',
  'sling-choked': 'sling, choked',
  shackle: 'shackle',
  leveller: 'leveller or beam',
  'swivel-ring': 'swivel ring',
  'eye-shoulder': 'eye bolt with shoulder',
  'eye-plain': 'eye bolt without shoulder',
  bracket: 'lifting bracket and its bolt',
};

/**
 * What part of its rating an element keeps when its leg stands so many degrees off upright, 0 to 90. Eye bolts with a shoulder
 * 1.00 to 5°, 0.55 to 15°, 0.25 beyond; without one none but upright (ASME B30.26, from memory). A choked sling keeps three
 * quarters (ASME B30.9, from memory). What turns into line with its leg keeps all. The plate of the maker goes first.
 */
export function ratingLeft(sort: GearSort, offUprightDeg: number): number {
  if (!(offUprightDeg >= 0 && offUprightDeg <= 90))
    throw new RangeError('A leg stands between 0° and 90° off upright.');
  if (sort === 'sling-choked') return 0.75;
  if (sort === 'eye-plain') return offUprightDeg <= 5 ? 1 : 0;
  if (sort === 'eye-shoulder') return offUprightDeg <= 5 ? 1 : offUprightDeg <= 15 ? 0.55 : 0.25;
  return 1;
}

/** How far ahead of the balance the hook is to stand, mm, for the load to hang tail down by so many degrees, with the hook so far above its balance. Statics: the balance comes to lie under the hook. */
export function hookAheadMm(tailDownDeg: number, hookAboveMm: number): number {
  if (!(Math.abs(tailDownDeg) <= 60)) throw new RangeError('A load is tilted by no more than 60°.');
  if (!(hookAboveMm > 0)) throw new RangeError('The hook must stand above the centre of gravity.');
  return hookAboveMm * Math.tan((tailDownDeg * Math.PI) / 180);
}

export interface CarOnStands {
  /** kg on the axles as it stands. */
  frontKg: number;
  rearKg: number;
  wheelbaseMm: number;
  /** What leaves, kg, and its place behind the front axle, mm; ahead of it is negative. */
  leavesKg: number;
  leavesMm: number;
  /** Front and rear supports, mm behind the front axle. */
  standsFrontMm: number;
  standsRearMm: number;
}

export interface Balance {
  /** mm behind the front axle. */
  balanceMm: number;
  /** kg on each pair of supports; less than nothing: it tips. */
  frontKg: number;
  rearKg: number;
}

/** How a car on two pairs of supports balances before and after a mass leaves it. Levers. Refuses more than the car weighs, and supports that do not stand one behind the other. */
export function carOnStands(c: CarOnStands): { before: Balance; after: Balance } {
  const mass = c.frontKg + c.rearKg;
  if (!(c.frontKg > 0 && c.rearKg > 0 && c.wheelbaseMm > 0)) throw new RangeError('Both axles carry something.');
  if (!(c.leavesKg > 0 && c.leavesKg < mass)) throw new RangeError('What leaves weighs less than the car.');
  if (!(c.standsRearMm > c.standsFrontMm)) throw new RangeError('The rear supports stand behind the front ones.');
  const at = (kg: number, moment: number): Balance => {
    const balanceMm = moment / kg;
    const rearKg = (kg * (balanceMm - c.standsFrontMm)) / (c.standsRearMm - c.standsFrontMm);
    return { balanceMm, frontKg: kg - rearKg, rearKg };
  };
  const moment = c.rearKg * c.wheelbaseMm;
  return { before: at(mass, moment), after: at(mass - c.leavesKg, moment - c.leavesKg * c.leavesMm) };
}

/**
 * What a crane carries at a reach by the rows of its plate, kg: the row of that reach, or of the next longer one, since nothing is
 * carried over between two holes. Nothing where the reach is beyond the longest. Refuses a plate without rows, and one that carries
 * more the farther it reaches. Reaches in mm. Common practice, no source; the plate itself is the maker's.
 */
export function craneCarries(plate: readonly { reachMm: number; kg: number }[], reachMm: number): number | undefined {
  const rows = [...plate].sort((a, b) => a.reachMm - b.reachMm);
  if (rows.length === 0) throw new RangeError('A plate has at least one row.');
  if (rows.some((r, i) => i > 0 && r.kg > rows[i - 1]!.kg))
    throw new RangeError('No crane carries more the farther it reaches.');
  return rows.find((r) => r.reachMm >= reachMm)?.kg;
}
