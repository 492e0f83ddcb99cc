import { cameWith } from '@bay/core/arrival';
import { kindRule } from '../records/kind.ts';

export const arrivalKinds = [
  kindRule({
    kind: 'as-it-came',
    logKind: 'finding',
    station: 'scope',
    describe: ({ what, view, note, removed }) =>
      `${removed ? 'taken back, ' : ''}as it came, ${view}: ${cameWith[what].word.toLowerCase()}, ${note}`,
  }),
];
