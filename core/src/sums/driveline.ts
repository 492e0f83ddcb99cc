/** Joints, shafts, gearing, tyres. */

const rad = (deg: number): number => (deg * Math.PI) / 180;

/** Output speed over input speed of one universal joint at working angle β and rotation θ, degrees. Source: kinematics; SAE AE-7, memory. */
export function jointSpeedRatio(workingAngleDeg: number, rotationDeg: number): number {
  const b = rad(workingAngleDeg);
  return Math.cos(b) / (1 - Math.sin(b) ** 2 * Math.cos(rad(rotationDeg)) ** 2);
}

/**
 * First critical speed of a simply supported steel tube, rpm; sizes in mm, length between joints in m.
 * Source: Euler-Bernoulli, first mode, E = 207 GPa, 7850 kg/m³.
 */
export function shaftCriticalRpm(outsideMm: number, wallMm: number, lengthM: number): number {
  if (!(outsideMm > 0) || !(wallMm > 0) || wallMm * 2 >= outsideMm || !(lengthM > 0))
    throw new RangeError('A tube has an outside above twice its wall, and a length above zero.');
  const outer = outsideMm / 1000;
  const inner = outer - (2 * wallMm) / 1000;
  const stiffness = (207e9 * Math.PI * (outer ** 4 - inner ** 4)) / 64;
  const massPerM = (7850 * Math.PI * (outer ** 2 - inner ** 2)) / 4;
  return (60 / (2 * Math.PI)) * (Math.PI / lengthM) ** 2 * Math.sqrt(stiffness / massPerM);
}

/** Outside diameter of a tyre, mm, from its size ("205/55 R16"). Source: ETRTO geometry. Undefined when it cannot be read. */
export function tyreDiameterMm(size: string): number | undefined {
  const m = /(\d{3})\s*\/\s*(\d{2})\s*[-/ ]?\s*(?:ZR|R|-|B)?\s*(\d{2}(?:\.\d)?)/i.exec(size);
  if (!m) return undefined;
  return Number(m[3]) * 25.4 + (2 * Number(m[1]) * Number(m[2])) / 100;
}

/** Engine speed at a road speed, rpm; circumference in mm, speed in km/h. */
export function engineRpmAt(speedKmh: number, circumferenceMm: number, gearRatio: number, axleRatio: number): number {
  return ((speedKmh * 1e6) / 60 / circumferenceMm) * gearRatio * axleRatio;
}
