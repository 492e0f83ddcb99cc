import { kindRule } from '../records/kind.ts';

export const handoverKinds = [
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
