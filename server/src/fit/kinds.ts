import {
  againstStep,
  againstTacking,
  clearances,
  forecastGap,
  interfaceOf,
  interfaces,
  liftNow,
  liftsInOrder,
  makingState,
  makingStepKey,
  makingSteps,
  placeFields,
  shapeRules,
  sittingOf,
  stoodOn,
} from '@bay/core/fit';
import type { LiftRecord, MakingStepRecord, TrialReading } from '@bay/core/fit';
import { kitLines } from '@bay/core/kit';
import { isOwn } from '@bay/core/memory';
import { formatMeasure } from '@bay/core/units';
import type { Tx } from '../db/connection.ts';
import { sameValue } from '@bay/core/rules';
import { fitBooks, planInputOf, titleOf } from '@bay/core/plan';
import type { Plan } from '@bay/core/plan';
import { badInput, notFound, Refusal } from '../http/problem.ts';
import { recordsOf } from '@bay/core/records';
import { jobMaterial, planNow } from '../plan/material.ts';
import { standWords } from '../commissioning/standing.ts';
import { kindRule } from '../records/kind.ts';
import type { WriteContext } from '../records/kind.ts';

const words = { 'bolts-up': 'Bolts up', adapt: 'Adapt', clash: 'Clash' } as const;

/** Was it written just now, so that what it stands on is still to be kept with it? */
const fresh = <T extends { at?: string | undefined; stoodOn?: unknown }>(
  act: T | undefined,
  at: string | undefined,
): act is T => act !== undefined && act.at === at && act.stoodOn === undefined;

const stoodOnNow = async (tx: Tx, jobId: string, interfaceId: string, photo: string | undefined) => {
  const material = await jobMaterial(tx, jobId);
  if (photo !== undefined && !(photo in recordsOf(material, 'photo'))) throw notFound('This photo');
  const books = fitBooks(planInputOf(material));
  return { stood: stoodOn(interfaceId, books), forecastMm: forecastGap(interfaceId, books) };
};

const readWords = (title: string, { gapMm, place, condition, word }: TrialReading): string =>
  `trial fit, ${title}: ${gapMm === undefined ? '' : `${gapMm} mm, `}${place}, ${condition}. ${words[word]}`;

const reasonWords = { trial: 'on trial', 'to-stay': 'to stay', 'put-right': 'to put something right' } as const;
const sittingWords = {
  'offered-up': 'offered up',
  loose: 'loose',
  tacked: 'tacked',
  final: 'welded or bolted for good',
} as const;

/** Clauses as a sentence can bear them. */
const few = (clauses: readonly string[]): string =>
  `${clauses.slice(0, 3).join(' ')}${clauses.length > 3 ? ` And ${clauses.length - 3} more.` : ''}`;

/** Lines of the gate that stand before an engine goes in to stay. */
const openBefore = (plan: Plan) =>
  plan.gates
    .filter((g) => g.gate === 'Engine in')
    .flatMap((g) => g.lines)
    .filter((l) => l.state !== 'proved' && l.state !== 'overridden');

const openWords = (against: readonly string[]): string => standWords(against, ['Engine in']);

/**
 * Nothing hangs on a hoist before what keeps people whole is proved, and nothing is lowered to stay before the whole gate is open,
 * unless somebody says why: that is kept with what stood, and where harm is near a second person signs it.
 */
async function wentIn(tx: Tx, data: LiftRecord, { jobId }: WriteContext<'lift'>): Promise<LiftRecord> {
  if (data.out || data.shifted || data.sits)
    throw badInput({ why: 'First it goes in: what happened to it there is written afterwards.' });
  const { material, plan } = await planNow(tx, jobId);
  const now = liftNow(liftsInOrder(recordsOf(material, 'lift')));
  if (now) throw new Refusal(409, `It is in the bay since lift ${now.number}: write first why it came out.`);
  const lines = openBefore(plan).filter((l) => data.reason !== 'trial' || l.def.harm);
  const { deviation, ...plain } = data;
  if (lines.length === 0) return plain;
  const against = lines.map((l) => l.def.mustBe);
  if (!deviation)
    throw new Refusal(409, `${openWords(against)} If it went in all the same, write why.`, {
      fields: { deviation: 'Say in a sentence why it went in all the same.' },
    });
  return { ...plain, deviation: { ...deviation, stoodOn: { against, harm: lines.some((l) => l.def.harm) } } };
}

/** What came out is history; and nothing is tacked or bolted for good before it was read to sit where it is to. */
async function satThere(tx: Tx, data: LiftRecord, { jobId, key, before }: WriteContext<'lift'>): Promise<LiftRecord> {
  if (before!.out) throw new Refusal(409, 'It came out again: what was read there stays as it is.');
  if (data.unit !== before!.unit || data.reason !== before!.reason)
    throw badInput({
      [data.unit === before!.unit ? 'reason' : 'unit']: 'What went in stays what it was: out first, then in again.',
    });
  const kept = { ...data, deviation: before!.deviation };
  const times = data.shifted?.times ?? 0;
  if (times !== (before!.shifted?.times ?? 0)) {
    if (times !== (before!.shifted?.times ?? 0) + 1) throw badInput({ 'shifted.times': 'One move after the other.' });
    // Where it sits now nobody has read, and how it is held nobody has said.
    return { ...kept, read: undefined, sits: undefined, photos: undefined };
  }
  const { sits } = data;
  const fixed = sits !== undefined && (sits.how === 'tacked' || sits.how === 'final');
  if (!fixed || sits.how === sittingOf(before!)) return kept;
  if (sits.how === 'final' && data.unit === 'stand-in')
    throw badInput({ 'sits.how': 'A stand-in does not stay: put the real unit in first.' });
  const { material, plan } = await planNow(tx, jobId);
  // For good is past the whole gate, also where it went in on trial; there the manager overrides line by line.
  const open = sits.how === 'final' ? openBefore(plan) : [];
  if (open.length > 0) throw new Refusal(409, openWords(open.map((l) => l.def.mustBe)));
  const lifts = liftsInOrder({ ...recordsOf(material, 'lift'), [key]: data });
  const against = againstTacking(
    lifts.find((l) => l.key === key)!,
    plan,
    new Set(Object.keys(recordsOf(material, 'photo'))),
  );
  if (against.length > 0 && !sits.despite)
    throw new Refusal(409, `Not yet: ${few(against)} If it is fixed all the same, write why.`, {
      fields: { 'sits.despite': 'Say in a sentence why it is fixed all the same.' },
    });
  return kept;
}

const placeWords = ({ read }: LiftRecord): string =>
  placeFields
    .flatMap((f) => {
      const value = read?.[f.field];
      return value === undefined
        ? []
        : [`${f.label.toLowerCase()} ${read!.typed[f.field] ?? formatMeasure(value, f.unit)}`];
    })
    .join(', ');

const allSteps = Object.values(makingSteps).flat();
const stepOf = (id: string) => allSteps.find((s) => s.id === id)!;

/** A step is done after those before it, with what it asks for; who welded does not look it over. */
async function stepMade(
  tx: Tx,
  data: MakingStepRecord,
  { jobId, key, before, caller }: WriteContext<'making-step'>,
): Promise<MakingStepRecord> {
  if (key !== makingStepKey(data.making, data.step)) throw badInput({ step: 'A step of another part.' });
  const material = await jobMaterial(tx, jobId);
  const making = recordsOf(material, 'making')[data.making];
  if (!making || making.dropped) throw notFound('What is made');
  const state = makingState(data.making, making, recordsOf(material, 'making-step'));
  if (data.voided) {
    if (!before) throw notFound('This step');
    return { ...before, voided: data.voided };
  }
  if (data.times !== (before?.times ?? 0) + 1)
    throw new Refusal(409, 'Somebody wrote this step meanwhile: look again.');
  const against = againstStep(state, data, caller.personId);
  if (against)
    throw new Refusal(409, against.sentence, against.field ? { fields: { [against.field]: against.sentence } } : {});
  if (data.photo !== undefined && !(data.photo in recordsOf(material, 'photo'))) throw notFound('This photo');
  return data;
}

export const fitKinds = [
  kindRule({
    kind: 'lift',
    logKind: 'fit',
    station: 'fit',
    complete: (tx, data, context) => (context.before ? satThere(tx, data, context) : wentIn(tx, data, context)),
    wantsSecond: (data) => data.deviation?.stoodOn?.harm === true,
    title: () => 'Engine put in before its gate',
    describe: (data, { before }) => {
      const unit = data.unit === 'stand-in' ? 'stand-in' : 'engine';
      if (!before)
        return `${unit} in, ${reasonWords[data.reason]}: ${data.why}. On it: ${data.carries}${data.foreseen ? '' : '. Not in the quote'}${data.deviation ? `. Before its gate: ${data.deviation.why}` : ''}`;
      if (data.out && !before.out)
        return `${unit} out again: ${data.out.why}${data.out.hours === undefined ? '' : `, ${formatMeasure(data.out.hours, 'h')}`}`;
      if (data.shifted && data.shifted.times !== before.shifted?.times)
        return `${unit} moved in the bay: ${data.shifted.why}`;
      if (data.sits && data.sits.how !== before.sits?.how)
        return `${unit} ${sittingWords[data.sits.how]}${data.sits.despite ? `, all the same: ${data.sits.despite}` : ''}`;
      if (data.read && !sameValue(data.read.typed, before.read?.typed))
        return `${unit} sits, ${data.read.ownMounts ? 'on its own mounts' : 'on the hoist'}: ${placeWords(data)}`;
      return `lift changed: ${data.touched ? `touches ${data.touched}` : data.why}`;
    },
  }),
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
      const { stood, forecastMm } = await stoodOnNow(tx, jobId, key, data.trial?.photo);
      return {
        ...data,
        ...(fresh(data.trial, at) ? { trial: { ...data.trial, stoodOn: stood, forecastMm } } : {}),
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
    complete: async (tx, data, { jobId, at }) => {
      if (!fresh(data.read, at)) return data;
      const { stood, forecastMm } = await stoodOnNow(tx, jobId, data.interfaceId, data.read.photo);
      return { ...data, read: { ...data.read, stoodOn: stood, forecastMm } };
    },
    describe: (data) => {
      const { title } = interfaceOf(data.interfaceId);
      return data.withdrawn
        ? `reading withdrawn, ${title}, ${data.read.place}: ${data.withdrawn.why}`
        : readWords(title, data.read);
    },
    about: (data) => data.interfaceId,
  }),
  kindRule({
    kind: 'making',
    logKind: 'fit',
    station: 'fit',
    check: (data, { before }) => {
      if (data.place !== undefined && !interfaces.some((i) => i.id === data.place)) throw notFound('This place');
      if (before && before.sort !== data.sort)
        throw badInput({ sort: 'What is begun stays what it is: leave it, and begin another.' });
    },
    describe: (data, { before }) =>
      data.dropped && !before?.dropped
        ? `not made after all, ${data.title}: ${data.dropped.why}`
        : `${before ? 'being made, changed' : 'to be made'}: ${data.title}`,
  }),
  kindRule({
    kind: 'making-step',
    logKind: 'fit',
    station: 'fit',
    complete: stepMade,
    describe: (data, { before }) => {
      const { title } = stepOf(data.step);
      if (data.voided && !before?.voided) return `does not stand any more, ${title.toLowerCase()}: ${data.voided.why}`;
      return `made: ${title}${data.said ? `, ${data.said}` : ''}${data.mm === undefined ? '' : `, ${data.typed ?? formatMeasure(data.mm, 'mm')}`}`;
    },
    about: (data) => data.making,
  }),
  kindRule({
    kind: 'candidate',
    logKind: 'unit',
    station: 'scope',
    describe: (data) =>
      `candidate priced${data.note ? `, ${data.note}` : ''}${data.against ? `, not recommended: ${data.against}` : ''}`,
  }),
  kindRule({
    kind: 'candidate-piece',
    logKind: 'unit',
    station: 'scope',
    describe: (data) => `${data.gone ? 'not missing after all' : 'missing on a candidate'}: ${data.what}`,
  }),
  kindRule({
    kind: 'choosing',
    logKind: 'decision',
    station: 'scope',
    describe: () => 'weights of the choice set',
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
    kind: 'foreign-part',
    logKind: 'fit',
    station: 'fit',
    check: (data) => {
      if (data.places.some((id) => !interfaces.some((i) => i.id === id))) throw notFound('This place');
      if ((data.held ?? []).some((id) => !isOwn(id) && !kitLines.some((l) => l.id === id)))
        throw notFound('This kit line');
    },
    describe: (data, { before }) => {
      const added = (data.held ?? []).filter((id) => !(before?.held ?? []).includes(id));
      if (data.gone) return `off the car: ${data.what}`;
      if (before && added.length > 0) return `held against ${data.what}: ${added.map(titleOf).join(', ')}`;
      return `on the car and not its own: ${data.what}`;
    },
    title: (data) => data.what,
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
