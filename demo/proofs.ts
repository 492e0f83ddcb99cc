import { gateLines, wantsPhoto } from '@bay/core/commissioning';
import type { Act } from './types.ts';

/** Lines that the engines of the demo do not have. */
const skip = new Set(['gate-ei-hv', 'gate-cu-plugs', 'gate-cu-lash', 'gate-cu-timing', 'gate-fs-timing']);

/** What the instruments showed, line by line. */
const read: Readonly<Record<string, Record<string, string>>> = {
  'gate-cu-pickup': { gap: '8 mm' },
  'gate-cu-turns': { least: '18 Nm', most: '22 Nm' },
  'gate-ei-clutch': { height: '41.5 mm' },
  'gate-ei-converter': { gap: '4.1 mm' },
  'gate-fc-oil-level': { oil: '5.8 L' },
  'gate-fc-earths': { engine: '0.05 V', body: '0.04 V', unit: '0.003 ohm' },
  'gate-fc-battery': { rest: '12.7 V', load: '10.4 V' },
  'gate-fs-oil-pressure': { pressure: '3.1 bar', rise: '22 s' },
  'gate-fs-leak': { rail: '3.9 bar', held: '3.8 bar' },
};

const trial = { reason: 'Trial fit went in free all round; the sheet of readings is filled in later' };

/** The gates that are passed before an engine is started, and the hour of the day at which they are gone through. */
const rounds = [
  { lines: 'gate-cu-', from: 8, onStartDay: false },
  { lines: 'gate-ei-', from: 13, onStartDay: false },
  { lines: 'gate-fc-', from: 8, onStartDay: true },
  { lines: 'gate-fs-', from: 13, onStartDay: true },
] as const;

/** Proofs of those gates: so many days ago while it was built, and so many on the day it was to start; the pressure by cranking is logged between. One photo of the job shows what is to be seen. */
export function gatesPassed(builtAgo: number, startedAgo: number, by: string, photoId: string): Act[] {
  return rounds.flatMap(({ lines, from, onStartDay }) =>
    gateLines
      .filter((l) => l.id.startsWith(lines) && !skip.has(l.id))
      .map((l, i): Act => {
        const fit = l.id === 'gate-ei-verdicts';
        const hour = String(from + Math.floor(i / 12)).padStart(2, '0');
        return {
          when: [onStartDay ? startedAgo : builtAgo, `${hour}:${String((i % 12) * 5).padStart(2, '0')}`],
          by: i % 3 === 0 || fit ? 'MH' : by,
          record: [
            'gate',
            l.id,
            fit
              ? { text: '', override: trial }
              : {
                  text: 'looked at, agrees',
                  ...(read[l.id] ? { readings: read[l.id] } : {}),
                  ...(wantsPhoto(l) ? { photos: [photoId] } : {}),
                },
          ],
        };
      }),
  );
}
