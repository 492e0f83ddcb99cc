import { byTime } from '../rules/stamp.ts';
import type { FluidRecord } from './records.ts';

/** What a fluid is in, and the words by which the log bar knows it. The first that fits counts. */
export const fluidSystems = [
  { id: 'steering', title: 'power steering', words: /\b(power[- ]?steering|steering|ps)\b/ },
  { id: 'brake', title: 'brakes', words: /\bbrakes?\b/ },
  { id: 'clutch', title: 'clutch', words: /\bclutch\b/ },
  { id: 'transfer', title: 'transfer case', words: /\btransfer\b/ },
  { id: 'final-drive', title: 'final drive', words: /\b(final drive|diff(erential)?|axle)\b/ },
  { id: 'gearbox', title: 'gearbox', words: /\b(gear ?box|gear oil|transmission|trans|atf)\b/ },
  { id: 'coolant', title: 'coolant', words: /\b(coolant|antifreeze|glycol|water)\b/ },
  { id: 'refrigerant', title: 'refrigerant', words: /\b(refrigerant|compressor oil|a\/c)\b/ },
  { id: 'fuel', title: 'fuel', words: /\b(fuel|petrol|gasoline|gas|diesel)\b/ },
  { id: 'engine-oil', title: 'engine oil', words: /\b(oil|\d+w-?\d+)\b/ },
] as const;
export type FluidSystemId = (typeof fluidSystems)[number]['id'];
export const fluidSystemIds = fluidSystems.map((s) => s.id) as [FluidSystemId, ...FluidSystemId[]];

/** No engine that burns something does without these. */
export const alwaysNeeded: ReadonlySet<FluidSystemId> = new Set(['engine-oil', 'fuel']);

export const fluidWays = ['filled', 'drained', 'not-needed'] as const;
export type FluidWay = (typeof fluidWays)[number];

/** The system that somebody means by these words; nothing where they name none. */
export const fluidSystemOf = (words: string): FluidSystemId | undefined =>
  fluidSystems.find((s) => s.words.test(words.toLowerCase()))?.id;

/** Fluids that name no system, drained and not filled again by the same words. */
export function dryByWords(fluids: readonly FluidRecord[]): string[] {
  const last = new Map<string, FluidRecord>();
  for (const fluid of [...fluids].sort(byTime))
    if (fluid.system === undefined) last.set(fluid.what.toLowerCase(), fluid);
  return [...last.values()].filter((f) => f.way === 'drained').map((f) => f.what);
}
