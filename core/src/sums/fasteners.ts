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

/** Proof stress of property classes, MPa. Source: ISO 898-1 tables, from memory; 8.8 as for d ≤ 16 mm. */
export const proofStressMPa = { '8.8': 580, '10.9': 830, '12.9': 970 } as const;
export type PropertyClass = keyof typeof proofStressMPa;

/** Proof load of a metric bolt, kN. */
export function proofLoadKn(diameterMm: number, pitchMm: number, propertyClass: PropertyClass): number {
  return (stressAreaMm2(diameterMm, pitchMm) * proofStressMPa[propertyClass]) / 1000;
}

/** Tightening torque T = K·d·F, N·m; diameter in mm, clamp load in kN, nut factor K (0.20 dry steel). Handbook short form, common practice. */
export function tighteningTorqueNm(diameterMm: number, clampKn: number, nutFactor = 0.2): number {
  if (!(nutFactor > 0)) throw new RangeError('The nut factor is above zero.');
  return nutFactor * diameterMm * clampKn;
}

/** Least thread engagement as a multiple of the diameter, by what the thread is cut in. Common practice. */
export const engagementByMaterial = { steel: 1.0, 'cast-iron': 1.5, aluminium: 2.0 } as const;
export type ThreadMaterial = keyof typeof engagementByMaterial;

/**
 * Bolt length for a stack: parts clamped plus washer plus engagement, mm, rounded up to the next length sold in 5 mm
 * steps (2 mm below 20 mm). Refused when the hole is too shallow for that length: the bolt would bottom.
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
  const step = wanted <= 20 ? 2 : 5;
  const lengthMm = Math.ceil(wanted / step - 1e-9) * step;
  const engagementMm = lengthMm - input.clampedMm - input.washerMm;
  return { lengthMm, engagementMm, leastMm: least, bottoms: engagementMm > input.holeDepthMm - 1 };
}
