import { parseMeasure, units } from '@bay/core/units';
import { stop } from './facts-file.ts';
import { readShape, print } from './shown.ts';

/** `./bay read TEXT --unit U`: what a measured field takes a text for, as JSON; a refusal has a sentence. */
const args = process.argv.slice(2);
const at = args.indexOf('--unit');
const unit = at < 0 ? '' : (args[at + 1] ?? stop('--unit wants a unit.'));
const words = at < 0 ? args : [...args.slice(0, at), ...args.slice(at + 2)];
if (words.length === 0) stop('./bay read TEXT --unit U; without --unit a plain number is wanted.');
if (!units.some((u) => u.symbol === unit))
  stop(
    `"${unit}" is not a unit of a field: ${units
      .map((u) => u.symbol)
      .filter(Boolean)
      .join(', ')}.`,
  );
const read = parseMeasure(words.join(' '), unit);
const shown = read.ok
  ? {
      ok: true,
      value: read.measure.value,
      unit,
      understood: read.measure.understood,
      typedUnit: read.measure.unit,
      inTypedUnit: read.measure.inUnit,
    }
  : { ok: false, sentence: read.sentence };
print(readShape, shown);
