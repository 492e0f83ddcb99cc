import { clearances, interfaceOf, interfaces, shapeRules, stoodOn } from '@bay/core/fit';
import type { TrialReading } from '@bay/core/fit';
import type { Tx } from '../db/connection.ts';
import { sameValue } from '@bay/core/rules';
import { fitBooks, planInputOf } from '@bay/core/plan';
import { badInput, notFound } from '../http/problem.ts';
import { jobMaterial } from '../plan/material.ts';
import { kindRule } from '../records/kind.ts';

const words = { 'bolts-up': 'Bolts up', adapt: 'Adapt', clash: 'Clash' } as const;

/** Was it written just now, so that what it stands on is still to be kept with it? */
const fresh = <T extends { at?: string | undefined; stoodOn?: unknown }>(
  act: T | undefined,
  at: string | undefined,
): act is T => act !== undefined && act.at === at && act.stoodOn === undefined;

const stoodOnNow = async (tx: Tx, jobId: string, interfaceId: string) =>
  stoodOn(interfaceId, fitBooks(planInputOf(await jobMaterial(tx, jobId))));

const readWords = (title: string, { gapMm, place, condition, word }: TrialReading): string =>
  `trial fit, ${title}: ${gapMm === undefined ? '' : `${gapMm} mm, `}${place}, ${condition}. ${words[word]}`;

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
      if (!fresh(data.trial, at) && !fresh(data.judged, at)) return data;
      const stood = await stoodOnNow(tx, jobId, key);
      return {
        ...data,
        ...(fresh(data.trial, at) ? { trial: { ...data.trial, stoodOn: stood } } : {}),
        ...(fresh(data.judged, at) ? { judged: { ...data.judged, stoodOn: stood } } : {}),
      };
    },
    describe: (data, { key, before }) => {
      const title = interfaceOf(key).title;
      if (data.trial && !sameValue(data.trial.gapMm, before?.trial?.gapMm)) return readWords(title, data.trial);
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
    kind: 'gap',
    logKind: 'fit',
    station: 'fit',
    check: (data, { before }) => {
      if (!interfaces.some((i) => i.id === data.interfaceId)) throw notFound('This interface');
      if (before && before.interfaceId !== data.interfaceId)
        throw badInput({ interfaceId: 'A reading stays at the place where it was read.' });
    },
    complete: async (tx, data, { jobId, at }) =>
      fresh(data.read, at)
        ? { ...data, read: { ...data.read, stoodOn: await stoodOnNow(tx, jobId, data.interfaceId) } }
        : data,
    describe: (data) => {
      const { title } = interfaceOf(data.interfaceId);
      return data.withdrawn
        ? `reading withdrawn, ${title}, ${data.read.place}: ${data.withdrawn.why}`
        : readWords(title, data.read);
    },
    about: (data) => data.interfaceId,
  }),
  kindRule({
    kind: 'candidate',
    logKind: 'unit',
    station: 'scope',
    describe: (data) => `candidate priced${data.note ? `, ${data.note}` : ''}`,
  }),
  kindRule({
    kind: 'way-out',
    logKind: 'fit',
    station: 'fit',
    check: (data) => {
      const shape = shapeRules.find((r) => r.id === data.shape);
      if (!shape) throw notFound('This shape');
      if (!data.x && !data.y && !data.z) throw badInput({ z: 'Say by how much it moves, along, sideways or up.' });
      if (shape.structural && !data.approval)
        throw badInput({ approval: `${shape.name} is structure or steering: say who has to agree.` });
    },
    describe: (data) => (data.gone ? `way out taken off: ${data.title}` : `way out thought of: ${data.title}`),
  }),
  kindRule({
    kind: 'own-shape',
    logKind: 'fit',
    station: 'fit',
    check: (data) => {
      const other = data.side === 'bay' ? 'unit' : 'bay';
      const known = shapeRules.filter((r) => r.side === other).map((r) => r.id);
      if (data.against.some((id) => !known.includes(id))) throw notFound('What it is held against');
      if (!clearances.some((c) => c.id === data.clearance)) throw notFound('This least gap');
    },
    describe: (data) => `${data.gone ? 'taken off the drawing' : 'drawn'}: ${data.name}`,
  }),
];
