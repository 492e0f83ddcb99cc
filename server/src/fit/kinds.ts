import { interfaceOf, interfaces, stoodOn } from '@bay/core/fit';
import { sameValue } from '@bay/core/rules';
import { fitBooks, planInputOf } from '@bay/core/plan';
import { notFound } from '../http/problem.ts';
import { jobMaterial } from '../plan/material.ts';
import { kindRule } from '../records/kind.ts';

const words = { 'bolts-up': 'Bolts up', adapt: 'Adapt', clash: 'Clash' } as const;

export const fitKinds = [
  kindRule({
    kind: 'fit',
    logKind: 'fit',
    station: 'fit',
    check: (_data, { key }) => {
      if (!interfaces.some((i) => i.id === key)) throw notFound('This interface');
    },
    // What a reading or a judgement stands on is kept with it, so that it is known to be stale when any of that changes.
    complete: async (tx, data, { jobId, key, at }) => {
      const fresh = (act: { at?: string | undefined; stoodOn?: unknown } | undefined): boolean =>
        act !== undefined && act.at === at && act.stoodOn === undefined;
      if (!fresh(data.trial) && !fresh(data.judged)) return data;
      const stood = stoodOn(key, fitBooks(planInputOf(await jobMaterial(tx, jobId))));
      return {
        ...data,
        ...(data.trial && fresh(data.trial) ? { trial: { ...data.trial, stoodOn: stood } } : {}),
        ...(data.judged && fresh(data.judged) ? { judged: { ...data.judged, stoodOn: stood } } : {}),
      };
    },
    describe: (data, { key, before }) => {
      const title = interfaceOf(key).title;
      if (data.trial && !sameValue(data.trial.gapMm, before?.trial?.gapMm))
        return `trial fit, ${title}: ${data.trial.gapMm === undefined ? '' : `${data.trial.gapMm} mm, `}${data.trial.place}, ${data.trial.condition}. ${words[data.trial.word]}`;
      if (data.waived && data.waived.why !== before?.waived?.why)
        return `goes on without being measured, ${title}: ${data.waived.why}`;
      if (data.resolution && data.resolution.text !== before?.resolution?.text)
        return `way out, ${title}: ${data.resolution.text}`;
      if (data.resolution && data.resolution.asked.length !== before?.resolution?.asked.length) {
        const asked = data.resolution.asked.filter((id) => !before?.resolution?.asked.includes(id));
        return `knock-on of ${title} looked at: ${asked.map((id) => interfaceOf(id).title).join(', ')}`;
      }
      if (data.judged && data.judged.word !== before?.judged?.word)
        return `judged, ${title}: ${words[data.judged.word]}, ${data.judged.why}`;
      return before?.resolution && !data.resolution ? `way out withdrawn: ${title}` : `changed: ${title}`;
    },
  }),
  kindRule({
    kind: 'candidate',
    logKind: 'unit',
    station: 'scope',
    describe: (data) => `candidate priced${data.note ? `, ${data.note}` : ''}`,
  }),
];
