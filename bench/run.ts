import { allGood } from './measure.ts';

/** `./bay bench`: what the design promises, measured; ratios side by side in the same run. */
const option = (name: string): string | undefined =>
  process.argv.includes(name) ? process.argv[process.argv.indexOf(name) + 1] : undefined;
const only = option('--only');
const seconds = Number(option('--seconds') ?? 60);

if (
  only !== undefined &&
  !['plan', 'book', 'load', 'volume', 'fuzz', 'standby', 'position', 'choosing', 'parts'].includes(only)
) {
  process.stderr.write('--only takes plan, book, load, volume, fuzz, standby, position, choosing or parts.\n');
  process.exit(2);
}
if (only === undefined || only === 'plan') await (await import('./plan-and-job.ts')).planAndJob();
if (only === undefined || only === 'book') await (await import('./long-book.ts')).longBook();
if (only === undefined || only === 'load') await (await import('./load.ts')).load(seconds);
if (only === undefined || only === 'volume') await (await import('./volume.ts')).volume();
if (only === undefined || only === 'fuzz') await (await import('./fuzz.ts')).fuzz();
if (only === undefined || only === 'standby') await (await import('./standby.ts')).standby();
if (only === undefined || only === 'position') (await import('./position.ts')).position();
if (only === undefined || only === 'choosing') await (await import('./choosing.ts')).choosing();
if (only === undefined || only === 'parts') await (await import('./parts.ts')).parts();
process.exit(allGood() ? 0 : 1);
