import { calculators, runCalculator } from '@bay/core/calc';

/** `./bay calc --list` and `./bay calc NAME key=value…`. */
const [name, ...pairs] = process.argv.slice(2);

if (name === undefined || name === '--list') {
  const list = calculators.map((c) => ({
    name: c.name,
    title: c.title,
    inputs: c.inputs.map(
      (i) =>
        `${i.key}${i.unit ? ` [${i.unit}]` : i.options ? ` {${i.options.join(', ')}}` : ''}${i.optional ? '?' : ''}`,
    ),
    source: c.source,
  }));
  process.stdout.write(`${JSON.stringify(list, null, 2)}\n`);
} else {
  const typed: Record<string, string> = {};
  for (const pair of pairs) {
    const at = pair.indexOf('=');
    if (at < 1) {
      process.stderr.write(`"${pair}" is not key=value.\n`);
      process.exit(2);
    }
    typed[pair.slice(0, at)] = pair.slice(at + 1);
  }
  const outcome = runCalculator(name, typed);
  if (outcome.ok) process.stdout.write(`${JSON.stringify({ calculator: name, ...outcome.result }, null, 2)}\n`);
  else {
    process.stderr.write(`${Object.values(outcome.errors).join('\n')}\n`);
    process.exit(2);
  }
}
