import { kindRule } from '../records/kind.ts';

/** Both ends may bear one label. */
const labelWords = ({ labelA, labelB }: { labelA: string; labelB: string }): string =>
  !labelA ? '' : labelA === labelB ? `, label ${labelA} at both ends` : `, labels ${labelA} and ${labelB}`;

export const systemsKinds = [
  kindRule({
    kind: 'circuit',
    logKind: 'circuit',
    station: 'connect',
    describe: (data, { before }) => {
      if (data.tested && !before?.tested) return `tested: ${data.title}`;
      const size = [
        data.areaMm2 === undefined ? '' : `${data.areaMm2} mm²`,
        data.fuseA === undefined ? '' : `${data.fuseA} A fuse`,
      ]
        .filter(Boolean)
        .join(', ');
      return `circuit ${before ? 'changed' : 'added'}: ${data.title}${size ? `, ${size}` : ''}${labelWords(data)}`;
    },
  }),
];
