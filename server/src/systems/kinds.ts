import { kindRule } from '../records/kind.ts';

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
      return `circuit ${before ? 'changed' : 'added'}: ${data.title}${size ? `, ${size}` : ''}${data.labelA ? `, labels ${data.labelA} and ${data.labelB}` : ''}`;
    },
  }),
];
