import { kindRule } from '../records/kind.ts';

export const systemsKinds = [
  kindRule({
    kind: 'circuit',
    logKind: 'circuit',
    station: 'connect',
    prepare: (data, { before, caller, at }) => {
      if (!data.testedBy) return { ...data, testedAt: undefined };
      return before?.testedBy ? { ...data, testedBy: before.testedBy, testedAt: before.testedAt } : { ...data, testedBy: caller.name, testedAt: at };
    },
    describe: (data, { before }) => {
      if (data.testedBy && !before?.testedBy) return `tested: ${data.title}`;
      const size = [data.areaMm2 === undefined ? '' : `${data.areaMm2} mm²`, data.fuseA === undefined ? '' : `${data.fuseA} A fuse`].filter(Boolean).join(', ');
      return `circuit ${before ? 'changed' : 'added'}: ${data.title}${size ? `, ${size}` : ''}${data.labelA ? `, labels ${data.labelA} and ${data.labelB}` : ''}`;
    },
  }),
];
