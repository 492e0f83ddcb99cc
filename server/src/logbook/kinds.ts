import type { pinSorts } from '@bay/contract/records';
import type { RecordData } from '@bay/contract/records';
import { formatMeasure } from '@bay/core/units';
import { Refusal } from '../http/problem.ts';
import { kindRule, stamped } from '../records/kind.ts';

const pinWords: Record<(typeof pinSorts)[number], string> = { bag: 'bag', part: 'part', finding: 'finding', measurement: 'measurement', note: 'note' };
const askWords: Record<RecordData<'ask'>['ask'], string> = {
  question: 'asked',
  approval: 'approval asked',
  signature: 'signature asked',
  reading: 'reading asked',
};

export const logbookKinds = [
  kindRule({
    kind: 'hold',
    logKind: (data) => (data.released ? 'release' : 'hold'),
    prepare: (data, context) => ({
      ...(context.before ? data : stamped(data, context)),
      released: data.released && (context.before?.released ?? { by: context.caller.name, at: context.at }),
    }),
    describe: (data) => (data.released ? `released: ${data.waitsFor}` : `held: waits for ${data.waitsFor}${data.due ? `, due ${data.due}` : ''}`),
  }),
  kindRule({
    kind: 'provisional',
    logKind: 'provisional',
    prepare: (data, context) => ({
      ...(context.before ? data : stamped(data, context)),
      ended: data.ended && (context.before?.ended ?? { by: context.caller.name, at: context.at }),
    }),
    describe: (data) => (data.ended ? `no longer provisional: ${data.what}` : `provisional: ${data.what}${data.ends ? `. Ends when ${data.ends}` : ''}`),
  }),
  kindRule({
    kind: 'bag',
    logKind: 'bag',
    prepare: (data, context) => ({
      ...(context.before ? data : stamped(data, context)),
      back: data.back && (context.before?.back ?? { by: context.caller.name, at: context.at }),
    }),
    describe: (data, { before }) => {
      if (data.back && !before?.back) return `bag ${data.label} went back on: ${data.what}`;
      if (before && before.place !== data.place) return `bag ${data.label} moved to ${data.place ?? 'no place'}`;
      return `bagged ${data.what}, bag ${data.label}${data.place ? `, ${data.place}` : ''}`;
    },
  }),
  kindRule({
    kind: 'fluid',
    logKind: 'fluid',
    prepare: (data, context) => stamped(data, context),
    describe: (data) => `${data.way}: ${formatMeasure(data.litres, 'L')} ${data.what}${data.note ? ` (${data.note})` : ''}`,
  }),
  kindRule({
    kind: 'decision',
    logKind: 'decision',
    prepare: (data, context) => stamped(data, context),
    describe: (data) => `decided: ${data.chosen}${data.over.length > 0 ? ` over ${data.over.join(', ')}` : ''}, because ${data.because}`,
  }),
  kindRule({
    kind: 'tried',
    logKind: 'tried',
    prepare: (data, context) => stamped(data, context),
    describe: (data) =>
      `tried: ${data.part}. ${data.how}${data.alsoNotStandard ? `. Also not standard: ${data.alsoNotStandard}` : ''}${data.back ? '. Went back' : ''}`,
    about: (data, key) => data.interfaceId || key,
  }),
  kindRule({
    kind: 'photo',
    logKind: 'photo',
    prepare: (data, context) => stamped(data, context),
    describe: (data, { before }) => (before ? `photo now called: ${data.caption}` : `photo${data.caption ? `: ${data.caption}` : ''}`),
    about: (data, key) => data.about || key,
  }),
  kindRule({
    kind: 'pin',
    logKind: 'photo',
    prepare: (data, context) => stamped(data, context),
    describe: (data, { before }) =>
      data.removed
        ? `pin ${data.number} taken off`
        : `pin ${data.number}${before ? ' changed' : ''}, ${pinWords[data.sort]}${data.text ? `: ${data.text}` : ''}`,
    about: (data) => data.photoId,
  }),
  kindRule({
    kind: 'ask',
    logKind: (data) => (data.ask === 'approval' || data.ask === 'signature' ? 'approval' : 'question'),
    prepare: (data, context) => {
      const { before, caller, at } = context;
      if (!before) return stamped({ ...data, answer: undefined }, context);
      if (!data.answer || before.answer) return { ...data, answer: before.answer };
      const forManager = before.to === 'manager';
      if (before.to === 'customer') throw new Refusal(409, 'The customer answers this, by their link.');
      if (forManager ? caller.role !== 'manager' : before.to !== caller.personId && caller.role !== 'manager')
        throw new Refusal(403, forManager ? 'This waits for the manager.' : 'This waits for somebody else.');
      return { ...before, answer: { ...data.answer, by: caller.name, at } };
    },
    describe: (data, { before }) => {
      if (data.answer && !before?.answer) {
        const word = data.answer.yes === undefined ? 'answered' : data.answer.yes ? 'yes' : 'no';
        return `${word}: ${data.what}${data.answer.text ? `. ${data.answer.text}` : ''}`;
      }
      return `${askWords[data.ask]}${data.toName ? ` of ${data.toName}` : ''}: ${data.what}`;
    },
    about: (data, key) => data.about || key,
  }),
];
