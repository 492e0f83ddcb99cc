import { formatMeasure } from '@bay/core/units';
import { kindRule } from '../records/kind.ts';

const timeWords = { before: 'before the work', after: 'after the work' } as const;

export const handoverKinds = [
  kindRule({
    kind: 'run',
    logKind: 'measurement',
    describe: (r) => {
      const read =
        r.sort === 'rollers'
          ? `${formatMeasure(r.powerKw!, 'kW')} at the ${r.taken}`
          : `${formatMeasure(r.distanceM!, 'm', 0)} in ${r.seconds} s${r.endKmh === undefined ? '' : `, ${formatMeasure(r.endKmh, 'km/h')} at the end`}`;
      return `${r.removed ? 'taken back, ' : ''}run ${timeWords[r.when]}: ${read}${r.note ? ` (${r.note})` : ''}`;
    },
  }),
  kindRule({
    kind: 'follow-up',
    logKind: 'follow-up',
    station: 'hand-over',
    describe: (data, { before }) => {
      if (data.done && !before?.done) return `follow-up done: ${data.what}`;
      const when = [data.on ? `on ${data.on}` : '', data.atKm ? `at ${data.atKm} km` : '', data.occasion ?? '']
        .filter(Boolean)
        .join(' or ');
      return `follow-up: ${data.what}${when ? `, ${when}` : ''}`;
    },
  }),
];
