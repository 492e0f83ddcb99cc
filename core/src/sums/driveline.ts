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

const tyreKinds: readonly { size: RegExp; outsideMm: (a: number, b: number, c: number) => number }[] = [
  // 205/55 R16, P205/55R16, LT235/75 R15, 255/40 ZR18, 7.00/… has no such form. ETRTO geometry.
  {
    size: /^(?:P|LT|C)?\s*(\d{3})\s*\/\s*(\d{2,3})\s*[-/ ]?\s*[A-Z]{0,2}\s*(\d{2}(?:\.5)?)\b/i,
    outsideMm: (w, share, rim) => rim * 25.4 + (2 * w * share) / 100,
  },
  // 220/55 R390: a rim in millimetres.
  {
    size: /^(\d{3})\s*\/\s*(\d{2})\s*[-/ ]?\s*[A-Z]{0,2}\s*(\d{3})\b/i,
    outsideMm: (w, share, rim) => rim + (2 * w * share) / 100,
  },
  // 31x10.50 R15: the outside is named, in inches.
  {
    size: /^(\d{2}(?:\.\d+)?)\s*[x×]\s*(\d{1,2}(?:\.\d+)?)\s*[-/ ]?\s*(?:R|LT|-)*\s*(\d{2}(?:\.5)?)\b/i,
    outsideMm: (outside) => outside * 25.4,
  },
  // 185 R14, 165 SR 13: no share is named and 82 % is meant (common practice).
  {
    size: /^()(\d{3})\s*[-/ ]?\s*[A-Z]{0,2}\s*[- ]?\s*(\d{2}(?:\.5)?)\b/i,
    outsideMm: (_, w, rim) => rim * 25.4 + 2 * 0.82 * w,
  },
  // 6.00-16, 5.60-15, 7.50 R16: width in inches, about as high as wide (common practice; within 5 %).
  {
    size: /^()(\d{1,2}\.\d{1,2})\s*[-/ ]?\s*[A-Z]{0,2}\s*[- ]?\s*(\d{2}(?:\.5)?)\b/i,
    outsideMm: (_, w, rim) => (rim + 2 * w) * 25.4,
  },
];

/**
 * Outside diameter of a tyre, mm, from its size ("205/55 R16", "31x10.50 R15", "185 R14", "6.00-16"). Source: ETRTO geometry; sizes
 * that name no share of the width by common practice. Undefined when it cannot be read.
 */
export function tyreDiameterMm(size: string): number | undefined {
  const clean = size.trim().replace(',', '.');
  for (const kind of tyreKinds) {
    const m = kind.size.exec(clean);
    if (!m) continue;
    const mm = kind.outsideMm(Number(m[1]), Number(m[2]), Number(m[3]));
    return mm >= 350 && mm <= 1500 ? mm : undefined;
  }
  return undefined;
}

/** Engine speed at a road speed, rpm; circumference in mm, speed in km/h. */
export function engineRpmAt(speedKmh: number, circumferenceMm: number, gearRatio: number, axleRatio: number): number {
  return ((speedKmh * 1e6) / 60 / circumferenceMm) * gearRatio * axleRatio;
}
