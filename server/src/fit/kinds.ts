import { interfaceOf } from '@bay/core/fit';
import { kindRule } from '../records/kind.ts';

const words = { 'bolts-up': 'Bolts up', adapt: 'Adapt', clash: 'Clash' } as const;
const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

export const fitKinds = [
  kindRule({
    kind: 'fit',
    logKind: 'fit',
    station: 'fit',
    prepare: (data, { before, caller, at }) => {
      // What nobody touched in this write keeps the name and time it had.
      const signed = <T extends { by: string; at: string } | undefined>(now: T, was: T): T =>
        now === undefined || same(now, was) ? now : { ...now, by: caller.name, at };
      return { judged: signed(data.judged, before?.judged), trial: signed(data.trial, before?.trial), resolution: signed(data.resolution, before?.resolution) };
    },
    describe: (data, { key, before }) => {
      const title = interfaceOf(key).title;
      if (data.trial && !same(data.trial.gapMm, before?.trial?.gapMm))
        return `trial fit, ${title}: ${data.trial.gapMm === undefined ? '' : `${data.trial.gapMm} mm, `}${data.trial.place}, ${data.trial.condition}. ${words[data.trial.word]}`;
      if (data.resolution && data.resolution.text !== before?.resolution?.text) return `way out, ${title}: ${data.resolution.text}`;
      if (data.resolution && data.resolution.asked.length !== before?.resolution?.asked.length) {
        const asked = data.resolution.asked.filter((id) => !before?.resolution?.asked.includes(id));
        return `knock-on of ${title} looked at: ${asked.map((id) => interfaceOf(id).title).join(', ')}`;
      }
      if (data.judged && !same(data.judged.word, before?.judged?.word)) return `judged, ${title}: ${words[data.judged.word]}, ${data.judged.why}`;
      return before?.resolution && !data.resolution ? `way out withdrawn: ${title}` : `changed: ${title}`;
    },
  }),
];
