/** What mounts carry: a unit on two of its own at the engine and one under the gearbox, all that lies along the car. */

const newtonPerKg = 9.80665;

export interface MountPlaces {
  /** Along the car, mm ahead of the bell face: the two of the engine, the one of the gearbox. */
  engineX: number;
  gearboxX: number;
  /** Out from the middle of the unit, mm, both positive. */
  leftY: number;
  rightY: number;
}

export interface MountLoads {
  left: number;
  right: number;
  gearbox: number;
}

/**
 * Load on each mount at rest, kg; the centre of gravity lies in the middle of the unit. Statics: moments about each support. A mount
 * that is pulled upwards has a negative load. Refuses mounts in one place.
 */
export function restingLoads(massKg: number, centreX: number, places: MountPlaces): MountLoads {
  const apart = places.engineX - places.gearboxX;
  const wide = places.leftY + places.rightY;
  if (!(Math.abs(apart) > 0) || !(wide > 0)) throw new RangeError('Mounts stand apart, along the car and across it.');
  const engine = (massKg * (centreX - places.gearboxX)) / apart;
  return {
    left: (engine * places.rightY) / wide,
    right: (engine * places.leftY) / wide,
    gearbox: massKg - engine,
  };
}

/**
 * What full torque adds to one mount of the engine and takes from the other, kg: torque of the output shaft in N·m, held by the two
 * mounts of the engine alone over the mm between them (common practice: the one of the gearbox lies near the axis). Statics.
 */
export const torqueOnMountKg = (outputNm: number, betweenMm: number): number =>
  (outputNm / (betweenMm / 1000)) * (1 / newtonPerKg);
