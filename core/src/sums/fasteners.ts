/** Threads, proof loads and tightening. */

/** Tensile stress area of a metric thread, mm²; diameter and pitch in mm. Source: ISO 898-1, As = π/4 (d − 0.9382 P)². */
export function stressAreaMm2(diameterMm: number, pitchMm: number): number {
  if (!(diameterMm > 0) || !(pitchMm > 0) || pitchMm >= diameterMm)
    throw new RangeError('Diameter and pitch are above zero, and the pitch below the diameter.');
  return (Math.PI / 4) * (diameterMm - 0.9382 * pitchMm) ** 2;
}

/** Tensile stress area of an inch thread, in²; diameter in inches, threads per inch. Source: ASME B1.1, At = π/4 (d − 0.9743/n)². */
export function stressAreaIn2(diameterIn: number, threadsPerInch: number): number {
  if (!(diameterIn > 0) || !(threadsPerInch > 0)) throw new RangeError('Diameter and threads per inch are above zero.');
  return (Math.PI / 4) * (diameterIn - 0.9743 / threadsPerInch) ** 2;
}

/** Proof stress of property classes, MPa, up to a diameter, mm. Source: ISO 898-1 table 3, from memory. */
const proofStresses = {
  '4.6': [[39, 225]],
  '4.8': [[39, 310]],
  '5.6': [[39, 280]],
  '5.8': [[39, 380]],
  '6.8': [[39, 440]],
  '8.8': [
    [16, 580],
    [39, 600],
  ],
  '9.8': [[16, 650]],
  '10.9': [[39, 830]],
  '12.9': [[39, 970]],
} as const satisfies Readonly<Record<string, readonly (readonly [upToMm: number, mpa: number])[]>>;
export type PropertyClass = keyof typeof proofStresses;
export const propertyClasses = Object.keys(proofStresses) as PropertyClass[];

/** Proof stress of a property class at a diameter, MPa. Refuses sizes for which ISO 898-1 has no such class. */
export function proofStressMPa(propertyClass: PropertyClass, diameterMm: number): number {
  const row = proofStresses[propertyClass].find(([upTo]) => diameterMm <= upTo);
  if (!row)
    throw new RangeError(`ISO 898-1 has no class ${propertyClass} at M${diameterMm}: the maker's figure is wanted.`);
  return row[1];
}

/** Proof load of a metric bolt, kN. */
export function proofLoadKn(diameterMm: number, pitchMm: number, propertyClass: PropertyClass): number {
  return (stressAreaMm2(diameterMm, pitchMm) * proofStressMPa(propertyClass, diameterMm)) / 1000;
}

/** Proof stress of inch grades, lbf/in², up to a diameter in inches. Source: SAE J429, from memory. */
const gradeStresses = {
  '2': [
    [0.75, 55_000],
    [1.5, 33_000],
  ],
  '5': [
    [1, 85_000],
    [1.5, 74_000],
  ],
  '8': [[1.5, 120_000]],
} as const satisfies Readonly<Record<string, readonly (readonly [upToIn: number, psi: number])[]>>;
export type InchGrade = keyof typeof gradeStresses;
export const inchGrades = Object.keys(gradeStresses) as InchGrade[];

/** Proof load of an inch bolt, kN; diameter in inches. Refuses sizes above those of SAE J429. */
export function inchProofLoadKn(diameterIn: number, threadsPerInch: number, grade: InchGrade): number {
  const row = gradeStresses[grade].find(([upTo]) => diameterIn <= upTo);
  if (!row) throw new RangeError(`SAE J429 has no grade ${grade} at ${diameterIn} in: the maker's figure is wanted.`);
  return (stressAreaIn2(diameterIn, threadsPerInch) * row[1] * 4.4482216152605) / 1000;
}

/** Lengths of hexagon bolts and screws that are sold, mm. Source: ISO 4014 and ISO 4017, from memory. */
export const boltLengthsMm = [
  6, 8, 10, 12, 16, 20, 25, 30, 35, 40, 45, 50, 55, 60, 65, 70, 80, 90, 100, 110, 120, 130, 140, 150, 160, 180, 200,
  220, 240, 260, 280, 300,
] as const;

/** Tightening torque T = K·d·F, N·m; diameter in mm, clamp load in kN, nut factor K (0.20 dry steel). Handbook short form, common practice. */
export function tighteningTorqueNm(diameterMm: number, clampKn: number, nutFactor = 0.2): number {
  if (!(nutFactor > 0)) throw new RangeError('The nut factor is above zero.');
  return nutFactor * diameterMm * clampKn;
}

/** Least thread engagement as a multiple of the diameter, by what the thread is cut in. Common practice. */
export const engagementByMaterial = { steel: 1.0, 'cast-iron': 1.5, aluminium: 2.0 } as const;
export type ThreadMaterial = keyof typeof engagementByMaterial;

/**
 * Bolt length for a stack: parts clamped plus washer plus engagement, mm, rounded up to the next length that is sold. Says when
 * the hole is too shallow for that length: the bolt would bottom. Refuses stacks longer than any bolt sold.
 */
export function boltLengthMm(input: {
  clampedMm: number;
  washerMm: number;
  diameterMm: number;
  material: ThreadMaterial;
  holeDepthMm: number;
}): {
  lengthMm: number;
  engagementMm: number;
  leastMm: number;
  bottoms: boolean;
} {
  const least = engagementByMaterial[input.material] * input.diameterMm;
  const wanted = input.clampedMm + input.washerMm + least;
  const lengthMm = boltLengthsMm.find((l) => l >= wanted - 1e-9);
  if (lengthMm === undefined)
    throw new RangeError(`${wanted} mm is longer than the bolts that are sold: a stud or a made one.`);
  const engagementMm = lengthMm - input.clampedMm - input.washerMm;
  return { lengthMm, engagementMm, leastMm: least, bottoms: engagementMm > input.holeDepthMm - 1 };
}
