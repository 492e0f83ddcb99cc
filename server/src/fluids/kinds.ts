import { alwaysNeeded } from '@bay/core/fluids';
import { formatMeasure } from '@bay/core/units';
import { badInput } from '../http/problem.ts';
import { kindRule } from '../records/kind.ts';

const fluidWords = { drained: 'drained', filled: 'filled', 'not-needed': 'not needed' } as const;

export const fluidKinds = [
  kindRule({
    kind: 'fluid',
    logKind: 'fluid',
    check: (data) => {
      if (data.way === 'not-needed') {
        if (data.system === undefined) throw badInput({ system: 'Say which system it is.' });
        if (alwaysNeeded.has(data.system)) throw badInput({ way: 'No engine does without it.' });
        if (data.note === undefined || data.note.trim().length < 3)
          throw badInput({ note: 'Say why it is not needed.' });
      } else if (data.litres === undefined) throw badInput({ litres: 'Say how much, with its unit.' });
    },
    describe: (data) =>
      `${fluidWords[data.way]}: ${data.litres === undefined ? '' : `${formatMeasure(data.litres, 'L')} `}${data.what}${data.note ? ` (${data.note})` : ''}`,
  }),
];
