import { interfaces } from '@bay/core/fit';
import { kitLines } from '@bay/core/kit';
import { isOwn } from '@bay/core/memory';
import type { pinSorts } from '@bay/core/logbook';
import { formatMeasure } from '@bay/core/units';
import type { RecordData } from '@bay/contract/records';
import { badInput, notFound, Refusal } from '../http/problem.ts';
import { termsNow } from '../money/terms.ts';
import { kindRule } from '../records/kind.ts';

const pinWords: Record<(typeof pinSorts)[number], string> = {
  bag: 'bag',
  part: 'part',
  finding: 'finding',
  measurement: 'measurement',
  note: 'note',
};
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
    describe: (data) =>
      data.released
        ? `released: ${data.waitsFor}`
        : `held: waits for ${data.waitsFor}${data.due ? `, due ${data.due}` : ''}${data.forbiddenAt ? `, before ${data.forbiddenAt.toLowerCase()}` : ''}`,
  }),
  kindRule({
    kind: 'decision',
    logKind: 'decision',
    describe: (data) =>
      `decided: ${data.chosen}${data.over.length > 0 ? ` over ${data.over.join(', ')}` : ''}, because ${data.because}`,
  }),
  kindRule({
    kind: 'tried',
    logKind: 'tried',
    check: (data) => {
      if (data.interfaceId && !interfaces.some((i) => i.id === data.interfaceId)) throw notFound('This interface');
      if (data.kitLine && !isOwn(data.kitLine) && !kitLines.some((l) => l.id === data.kitLine))
        throw notFound('This kit line');
      if (data.moneyBack && !data.back) throw badInput({ moneyBack: 'Money comes back for what went back.' });
    },
    describe: (data) =>
      `tried: ${data.part}${data.variant ? `, ${data.variant}` : ''}. ${data.how}${data.gapMm === undefined ? '' : `, ${data.gapMm < 0 ? 'meets by ' : ''}${formatMeasure(Math.abs(data.gapMm), 'mm')}${data.gapMm < 0 ? '' : ' left'}`}${data.alsoNotStandard ? `. Also not standard: ${data.alsoNotStandard}` : ''}${data.back ? '. Went back' : ''}`,
    about: (data, key) => data.interfaceId || key,
  }),
  kindRule({
    kind: 'photo',
    logKind: 'photo',
    describe: (data, { before }) =>
      before ? `photo now called: ${data.caption}` : `photo${data.caption ? `: ${data.caption}` : ''}`,
    about: (data, key) => data.about || key,
  }),
  kindRule({
    kind: 'pin',
    logKind: 'photo',
    describe: (data, { before }) =>
      data.removed
        ? `pin ${data.number} taken off`
        : `pin ${data.number}${before ? ' changed' : ''}, ${pinWords[data.sort]}${data.text ? `: ${data.text}` : ''}`,
    about: (data) => data.photoId,
  }),
  kindRule({
    kind: 'ask',
    logKind: (data) => (data.ask === 'approval' || data.ask === 'signature' ? 'approval' : 'question'),
    settle: (data, { before, caller }) => {
      // Who asks does not answer in the same breath; an answer that was given stands, and so does what was asked.
      if (!before) return { ...data, answer: undefined };
      // What somebody agreed to stands with its text and its amount.
      if (before.answer) throw new Refusal(409, 'This was answered; it stands as it was asked. Ask again.');
      if (!data.answer) return data;
      const forManager = before.to === 'manager';
      if (before.to === 'customer') throw new Refusal(409, 'The customer answers this, by their link.');
      if (forManager ? caller.role !== 'manager' : before.to !== caller.personId && caller.role !== 'manager')
        throw new Refusal(403, forManager ? 'This waits for the manager.' : 'This waits for somebody else.');
      return { ...before, answer: data.answer };
    },
    complete: async (tx, data, { jobId, before }) => {
      if (before) return data;
      if (data.photoId !== undefined) {
        const shown = await tx
          .selectFrom('record')
          .select('key')
          .where('job_id', '=', jobId)
          .where('kind', '=', 'photo')
          .where('key', '=', data.photoId)
          .executeTakeFirst();
        if (!shown) throw badInput({ 'data.photoId': 'This photo is not of this job.' });
      }
      // Extra work carries the tax of the shop, where nothing else is said: the customer agrees to what will be asked.
      if (data.ask !== 'approval' || data.to !== 'customer' || data.tax !== undefined) return data;
      return { ...data, tax: (await termsNow(tx)).tax };
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
