/** Air as it is when an engine is measured. */

/**
 * Pressure of saturated water vapour, hPa, at a temperature in °C, from -40 to 60. Source: Magnus form of Alduchov and Eskridge 1996,
 * from memory.
 */
export function saturationHpa(airC: number): number {
  if (!(airC >= -40 && airC <= 60)) throw new RangeError('Air between -40 and 60 °C.');
  return 6.1094 * Math.exp((17.625 * airC) / (airC + 243.04));
}

/** Pressure of the dry air, hPa: the barometer at the place less the vapour. Humidity in percent, 0 to 100. */
export function dryPressureHpa(barometerHpa: number, airC: number, humidity: number): number {
  if (!(humidity >= 0 && humidity <= 100)) throw new RangeError('Humidity between 0 and 100 %.');
  return barometerHpa - (humidity / 100) * saturationHpa(airC);
}

/** Corrections beyond these are not to be relied on. Source: ISO 1585, from memory. */
export const correctionLimits = [0.93, 1.07] as const;
