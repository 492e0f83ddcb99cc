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

/** The system that somebody means by these words; nothing where they name none. */
export const fluidSystemOf = (words: string): FluidSystemId | undefined =>
  fluidSystems.find((s) => s.words.test(words.toLowerCase()))?.id;

/** An engine is not turned while one of these is dry; the rest does not matter to it. Common practice, no source. */
const wantedForCrank = new Set<FluidSystemId>([
  'engine-oil',
  'coolant',
  'gearbox',
  'transfer',
  'final-drive',
  'steering',
  'clutch',
]);

/** Systems that were drained and not filled since, in words. What names no system is told by its own words. */
export function drySystems(fluids: readonly FluidRecord[]): string[] {
  const last = new Map<string, FluidRecord>();
  for (const fluid of [...fluids].sort((a, b) => ((a.at ?? '') < (b.at ?? '') ? -1 : 1)))
    last.set(fluid.system ?? fluid.what.toLowerCase(), fluid);
  return [...last.values()]
    .filter((f) => f.way === 'drained' && (f.system === undefined || wantedForCrank.has(f.system)))
    .map((f) => fluidSystems.find((s) => s.id === f.system)?.title ?? f.what);
}
