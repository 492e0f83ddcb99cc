/** Fuel, oil and coolant. */

/** Flow of an injector at another pressure; any flow unit. Source: orifice equation, flow goes with the root of pressure. */
export function injectorFlowAt(flow: number, ratedPressure: number, pressure: number): number {
  if (!(ratedPressure > 0) || !(pressure >= 0)) throw new RangeError('Pressures are above zero.');
  return flow * Math.sqrt(pressure / ratedPressure);
}

/** Petrol an engine burns at full power, L/h: 0.30 kg/kWh, 0.38 with boost, 0.745 kg/L. Common practice; density EN 228. */
export const fuelNeedLh = (powerKw: number, boosted: boolean): number => (powerKw * (boosted ? 0.38 : 0.3)) / 0.745;

/** Diesel an engine burns at full power, L/h: 0.22 kg/kWh, 0.835 kg/L. Common practice; density EN 590. */
export const dieselNeedLh = (powerKw: number): number => (powerKw * 0.22) / 0.835;

/** Freezing point of ethylene glycol in water by volume, °C, between points every 10 %. Source: ASHRAE Fundamentals, from memory; straight between points. */
export function coolantFreezesC(glycolShare: number): number {
  const points: readonly (readonly [number, number])[] = [
    [0, 0],
    [0.1, -3.7],
    [0.2, -8.9],
    [0.3, -16],
    [0.4, -24],
    [0.5, -37],
    [0.6, -52],
  ];
  if (!(glycolShare >= 0 && glycolShare <= 0.6))
    throw new RangeError('Between 0 and 60 %: more glycol than that protects less again.');
  const next = points.findIndex(([share]) => share >= glycolShare);
  if (next <= 0) return 0;
  const [s0, t0] = points[next - 1]!;
  const [s1, t1] = points[next]!;
  return t0 + ((glycolShare - s0) / (s1 - s0)) * (t1 - t0);
}

/** Boiling point of water under a cap, °C; gauge pressure in bar. Source: Antoine equation for water, 99 to 374 °C (handbook, memory). */
export function waterBoilsC(gaugeBar: number): number {
  if (!(gaugeBar > -0.5 && gaugeBar < 10)) throw new RangeError('A cap holds between 0 and 10 bar.');
  const mmHg = ((gaugeBar + 1.01325) * 1e5) / 133.322368;
  return 1810.94 / (8.14019 - Math.log10(mmHg)) - 244.485;
}
