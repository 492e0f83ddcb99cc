import { kindRule } from '../records/kind.ts';

export const donorKinds = [
  kindRule({
    kind: 'part',
    logKind: 'part',
    station: 'donor',
    describe: (data, { before }) => {
      if (before && before.place !== data.place)
        return `moved: ${data.title}, ${before.place || 'no place'} to ${data.place}`;
      return `harvested: ${data.title}, ${data.condition}${data.label ? `, label ${data.label}` : ''}${data.place ? `, ${data.place}` : ''}`;
    },
    about: (data) => data.takeId,
  }),
];
