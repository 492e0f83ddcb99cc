import type { Books } from '../rules/evidence.ts';
import { forecastOf, interfaceOf } from './judge.ts';

/** Forecast against tape: what a place was reckoned to leave, and what was read there. */

export interface ForecastRead {
  interfaceId: string;
  gapMm: number;
  forecastMm: number;
}

export interface Agreement {
  readings: number;
  /** Read less forecast in the mean, mm: below nothing, less was left than forecast. */
  biasMm: number;
  /** Half of the readings are nearer to their forecast than this, mm. */
  typicalMm: number;
}

/** The gap that is forecast at a place, mm; nothing where its facts do not give one. */
export const forecastGap = (interfaceId: string, books: Books): number | undefined =>
  forecastOf(interfaceOf(interfaceId), books).gapMm;

/** How near forecasts came to what was read; nothing while nothing was read. */
export function agreementOf(reads: readonly ForecastRead[]): Agreement | undefined {
  if (reads.length === 0) return undefined;
  const off = reads.map((r) => r.gapMm - r.forecastMm);
  const sizes = off.map(Math.abs).sort((a, b) => a - b);
  const middle = sizes.length / 2;
  return {
    readings: reads.length,
    biasMm: off.reduce((sum, n) => sum + n, 0) / off.length,
    typicalMm: (sizes[Math.ceil(middle) - 1]! + sizes[Math.floor(middle)]!) / 2,
  };
}

/** It in a sentence. */
export function agreementWords({ readings, biasMm, typicalMm }: Agreement): string {
  const way =
    Math.abs(biasMm) < 0.5
      ? 'neither more nor less'
      : `${Math.abs(biasMm).toFixed(0)} mm ${biasMm < 0 ? 'less' : 'more'}`;
  return `Over ${readings} ${readings === 1 ? 'gap that was' : 'gaps that were'} read, half came within ${typicalMm.toFixed(0)} mm of the forecast; on the whole ${way} was left than forecast.`;
}
