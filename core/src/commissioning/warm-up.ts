import { rangeWord } from '../rules/range.ts';
import type { RangeWord } from '../rules/range.ts';
import { formatMeasure } from '../units/index.ts';
import { warmUpWatch } from './data/start.ts';
import type { WarmUpRecord } from './records.ts';

/** What was read while the engine warmed up, held against what goes on, what wants a look and what stops. */

export interface WarmUpReading {
  minute: number;
  coolantC: number | undefined;
  oilBar: number | undefined;
  volts: number | undefined;
  rpm: number | undefined;
  word: RangeWord;
  /** What is to be minded about it; empty where it goes on. */
  said: readonly string[];
}

/** Limits of the watch list by its id. Throws on one that is not read as a number. */
function limitsOf(id: string) {
  const range = warmUpWatch.find((w) => w.id === id)?.range;
  if (!range) throw new Error(`"${id}" has no limits`);
  return range;
}
const coolant = limitsOf('w-coolant');
const oilHot = limitsOf('w-oil-hot');
const oilCold = limitsOf('w-oil-cold');
const charge = limitsOf('w-charge');

/** Oil pressure is judged hot from here on, °C of the coolant; a coolant still under it after 20 min wants a look. Common practice, no source. */
const warmC = 70;
const warmByMin = 20;
/** A jump of the coolant tells of a pocket of steam or air, K a minute. Common practice, no source. */
const jumpKPerMin = 10;
/** Charging is judged from here on, rpm: at idle an alternator may give less. Common practice, no source. */
const chargesFromRpm = 1400;

const severity: readonly RangeWord[] = ['goes-on', 'look', 'stop'];

function mindedOf(now: WarmUpRecord, before: WarmUpRecord | undefined): [RangeWord, string][] {
  const minded: [RangeWord, string][] = [];
  const { minute, coolantC, oilBar, volts, rpm } = now;
  if (coolantC !== undefined) {
    const word = rangeWord(coolantC, coolant);
    if (word === 'stop' || (word === 'look' && coolantC > coolant.goOn.max!))
      minded.push([word, `coolant ${formatMeasure(coolantC, '°C')}`]);
    else if (coolantC < warmC && minute >= warmByMin)
      minded.push(['look', `coolant only ${formatMeasure(coolantC, '°C')} after ${minute} min`]);
    const gone = before?.coolantC === undefined ? 0 : minute - before.minute;
    if (gone > 0 && (coolantC - before!.coolantC!) / gone > jumpKPerMin)
      minded.push([
        'stop',
        `coolant rose ${(coolantC - before!.coolantC!).toFixed(0)} K in ${Number(gone.toFixed(1))} min`,
      ]);
  }
  if (oilBar !== undefined) {
    const hot = coolantC !== undefined && coolantC >= warmC;
    if (!hot) {
      const word = rangeWord(oilBar, oilCold);
      if (word !== 'goes-on') minded.push([word, `oil ${formatMeasure(oilBar, 'bar')}`]);
    } else if (rpm !== undefined && rpm > 0) {
      const each = oilBar / (rpm / 1000);
      const word = rangeWord(each, oilHot);
      if (word !== 'goes-on')
        minded.push([
          word,
          `oil ${formatMeasure(oilBar, 'bar')} at ${rpm} rpm, hot: ${formatMeasure(each, 'bar', 2)} for each 1000 rpm`,
        ]);
    } else {
      // Without the speed only no pressure at all can be told.
      if (oilBar < oilHot.stop!.below!) minded.push(['stop', `oil ${formatMeasure(oilBar, 'bar')}, hot`]);
      else minded.push(['look', 'oil hot without its engine speed: not judged']);
    }
  }
  const charges = rpm !== undefined && rpm >= chargesFromRpm;
  if (volts !== undefined) {
    const word = rangeWord(volts, charge);
    if (charges && word !== 'goes-on') minded.push([word, `${formatMeasure(volts, 'V')} at ${rpm} rpm`]);
    // At idle an alternator may give less, but no battery sinks or boils there; and by itself such a reading says nothing.
    else if (!charges && (word === 'stop' || (coolantC === undefined && oilBar === undefined)))
      minded.push(['look', `${formatMeasure(volts, 'V')}: charging is judged from ${chargesFromRpm} rpm on`]);
  }
  return minded;
}

/** The readings in their order, each with its word. */
export function warmUpReadings(records: readonly WarmUpRecord[]): WarmUpReading[] {
  const sorted = [...records].sort((a, b) => a.minute - b.minute);
  return sorted.map((now, i) => {
    const before = sorted.slice(0, i).findLast((r) => r.coolantC !== undefined && r.minute < now.minute);
    const minded = mindedOf(now, before);
    const word = minded.reduce<RangeWord>((w, [m]) => (severity.indexOf(m) > severity.indexOf(w) ? m : w), 'goes-on');
    const { minute, coolantC, oilBar, volts, rpm } = now;
    return { minute, coolantC, oilBar, volts, rpm, word, said: minded.map(([, said]) => said) };
  });
}

/** The whole of it in a sentence. */
export function warmUpSummary(readings: readonly WarmUpReading[]): string {
  const last = readings.at(-1);
  if (!last) return 'Nothing read yet.';
  const spread = (name: string, unit: string, of: (r: WarmUpReading) => number | undefined): string[] => {
    const all = readings.flatMap((r) => of(r) ?? []);
    if (all.length === 0) return [];
    const [least, most] = [Math.min(...all), Math.max(...all)];
    return [
      least === most
        ? `${name} ${formatMeasure(least, unit)}`
        : `${name} ${formatMeasure(least, unit)} to ${formatMeasure(most, unit)}`,
    ];
  };
  const stops = readings.filter((r) => r.word === 'stop').length;
  return `${[
    `${last.minute} min`,
    ...spread('coolant', '°C', (r) => r.coolantC),
    ...spread('oil', 'bar', (r) => r.oilBar),
    ...spread('volts', 'V', (r) => r.volts),
  ].join(', ')}${stops > 0 ? `; ${stops} ${stops === 1 ? 'reading says' : 'readings say'} stop` : ''}.`;
}
