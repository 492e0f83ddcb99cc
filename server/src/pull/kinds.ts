import { againstTask, listOfKey, stepBasis, stepList, taskTitle } from '@bay/core/plan';
import type { Plan } from '@bay/core/plan';
import { isOwn } from '@bay/core/memory';
import { itemWords, lifts, snagSortWords, snagWayWords, soakedAt, taskWantsSecond } from '@bay/core/pull';
import type { RigRecord, TaskRecord } from '@bay/core/pull';
import { recordsOf } from '@bay/core/records';
import { counted, formatMeasure } from '@bay/core/units';
import type { Tx } from '../db/connection.ts';
import { badInput, Refusal } from '../http/problem.ts';
import { planNow } from '../plan/material.ts';
import type { WriteContext } from '../records/kind.ts';
import { startClock, stopClock } from '../clock/store.ts';
import { kindRule } from '../records/kind.ts';

const words = { open: 'undone', 'on-it': 'started', done: 'done', waived: 'not needed here' } as const;

const stepOf = (key: string): string => key.replace(/^donor-/, '');

/** Clauses as a sentence can bear them. */
const few = (clauses: readonly string[]): string =>
  `${clauses.slice(0, 3).join('; ')}${clauses.length > 3 ? `; and ${clauses.length - 3} more` : ''}`;

/** A count stays with its step until it is open again, whichever way the next word on it comes. */
const keptCount = (data: TaskRecord, { before }: WriteContext<'task'>): TaskRecord => {
  const { count, ...rest } = data;
  const kept = data.status === 'open' ? undefined : (count ?? before?.count);
  return kept ? { ...rest, count: kept } : rest;
};

/** Fasteners that are still to be counted make a step unfinished, whoever calls it done. */
function allCounted({ status, count }: TaskRecord): void {
  if (status === 'done' && count && count.done < count.of)
    throw new Refusal(422, `${count.done} of ${counted(count.of, 'fastener')} counted: the rest first.`, {
      fields: { count: 'The rest first.' },
    });
}

/** Where a step of people's own belongs and how long it is estimated to take. */
async function ownBasis(tx: Tx, jobId: string, key: string): Promise<ReturnType<typeof stepBasis>> {
  const line = (await planNow(tx, jobId)).plan.ownLines.find((l) => l.id === key)?.line;
  return { station: line?.station ?? 'connect', ...(line?.minutes ? { minutes: line.minutes } : {}) };
}

/** A check, or a step at which something is read, is done with what was found, whoever calls it done. */
function saidWhatWasFound(plan: Plan, key: string, { status, note }: TaskRecord): void {
  const { id, step } = listOfKey(key);
  const line = stepList(plan, id, {}).plan.lines.find((l) => l.def.id === step);
  if (line?.def.wantsFound && status === 'done' && (note ?? '').length < 3)
    throw new Refusal(422, 'Say what was found or read.', { fields: { note: 'Say what was found or read.' } });
}

/** Only the count went on. */
const onlyCounted = (data: TaskRecord, { before }: WriteContext<'task'>): boolean =>
  before?.status === data.status && data.count !== undefined && before.count?.done !== data.count.done;

/**
 * Nobody begins or ends a step that is held, by whichever way they come, unless they say why: that is kept with what stood
 * against it, and where harm is near a second person signs it.
 */
async function throughTheDoor(tx: Tx, sent: TaskRecord, context: WriteContext<'task'>): Promise<TaskRecord> {
  const { key, jobId, before } = context;
  const data = keptCount(sent, context);
  allCounted(data);
  const { deviation, ...plain } = data;
  if (isOwn(key) && data.status === 'waived' && (data.note ?? '').length < 3)
    throw new Refusal(422, 'Say why it is not needed here.', { fields: { note: 'Say why it is not needed here.' } });
  if (data.status !== 'done' && data.status !== 'on-it') return plain;
  if (before?.status === data.status) return before.deviation ? { ...plain, deviation: before.deviation } : plain;
  const { material, plan } = await planNow(tx, jobId);
  saidWhatWasFound(plan, key, data);
  const { against, harm } = againstTask(plan, recordsOf(material, 'task'), key, data.status);
  if (against.length === 0) return plain;
  if (!deviation)
    throw new Refusal(409, `Held: ${few(against)}. If it was done all the same, write why.`, {
      fields: { deviation: 'Say in a sentence why it was done all the same.' },
    });
  return { ...plain, deviation: { ...deviation, stoodOn: { against, harm } } };
}

/** A number of a rig as somebody wrote it, else in its own unit. */
const figure = (rig: RigRecord, field: 'frontX' | 'rearX' | 'hookAbove' | 'leastRatingKg'): string =>
  rig.typed[field] ?? formatMeasure(rig[field] ?? 0, field === 'leastRatingKg' ? 'kg' : 'mm');

export const pullKinds = [
  kindRule({
    kind: 'task',
    logKind: 'step',
    complete: throughTheDoor,
    wantsSecond: (data, key) => taskWantsSecond(stepOf(key), data),
    title: (_data, key) => taskTitle(key),
    describe: (data, context) => {
      const { key } = context;
      const tally = data.count ? `${data.count.done} of ${data.count.of}` : '';
      if (onlyCounted(data, context)) return `counted ${tally}: ${taskTitle(key)}`;
      if (data.status === 'open' && data.handedTo) return `handed over to ${data.handedTo}: ${taskTitle(key)}`;
      const said = data.deviation
        ? `, out of its order: ${data.deviation.why}`
        : data.instead
          ? `; given instead by: ${data.instead}`
          : '';
      const half = taskWantsSecond(stepOf(key), data) && !data.second ? '. A second person is to sign' : '';
      return `${words[data.status]}: ${taskTitle(key)}${data.note ? ` (${data.note})` : ''}${said}${half}`;
    },
    // One tap starts a step and its clock; what ends the step ends the clock that ran on it.
    after: async (tx, data, context) => {
      const { key, jobId, caller, at } = context;
      if (onlyCounted(data, context)) return;
      if (data.status === 'on-it') {
        const { station, minutes } = isOwn(key) ? await ownBasis(tx, jobId, key) : stepBasis(key);
        await startClock(tx, caller, {
          jobId,
          about: key,
          title: taskTitle(key),
          station,
          work: 'work',
          estimate: minutes,
          at: new Date(at),
        });
      } else await stopClock(tx, caller, new Date(at), key);
    },
  }),
  kindRule({
    kind: 'snag',
    logKind: 'finding',
    check: (data, { before, at }) => {
      if ((data.soakHours !== undefined) !== data.ways.includes('soak'))
        throw badInput({
          soakHours: data.soakHours === undefined ? 'Say for how long it soaks.' : 'Only what soaks has its hours.',
        });
      if (before && before.step !== data.step) throw badInput({ step: 'It stays at its step.' });
      // What soaks is tried when its hours are over; whoever goes another way before says so by taking the soak out.
      // Fewer hours in the same breath are no way round them.
      const hours = data.soakHours === undefined ? undefined : Math.max(data.soakHours, before?.soakHours ?? 0);
      const until =
        data.ended && !before?.ended ? soakedAt({ ...data, soakHours: hours, at: before?.at ?? at }) : undefined;
      if (until !== undefined && at < until)
        throw new Refusal(409, `It soaks until ${until}. Take the soak out where another way was gone.`, {
          fields: { ended: 'It still soaks.' },
        });
    },
    describe: (data, { before }) => {
      if (data.removed && !before?.removed) return `written in error: ${data.what}`;
      if (data.ended && !before?.ended) return `behind us: ${data.what}, ${data.ended.how}`;
      const said = [
        ...data.ways.map((w) => snagWayWords[w].toLowerCase()),
        data.soakHours === undefined ? '' : `${data.soakHours} h`,
        data.extraMinutes === undefined ? '' : `${data.extraMinutes} min more`,
      ].filter((w) => w !== '');
      return `found at "${taskTitle(data.step)}", ${snagSortWords[data.sort].toLowerCase()}: ${data.what}${said.length > 0 ? `; ${said.join(', ')}` : ''}`;
    },
    title: (data) => data.what,
    about: (data) => data.step,
  }),
  kindRule({
    kind: 'rig',
    check: (data, { key }) => {
      if (!lifts.some((lift) => lift === key)) throw badInput({ key: 'A lift is "out" or "in".' });
      if (data.frontX <= data.rearX) throw badInput({ frontX: 'The front eye stands ahead of the rear one.' });
    },
    logKind: 'step',
    station: 'pull',
    describe: (data, { key }) =>
      `slings for the lift ${key}: front eye ${figure(data, 'frontX')} ahead, rear eye ${figure(data, 'rearX')}, hook ${figure(data, 'hookAbove')} above${data.leastRatingKg === undefined ? '' : `, least rating ${figure(data, 'leastRatingKg')}`}`,
  }),
  kindRule({
    kind: 'lift-item',
    logKind: 'step',
    check: (data, { before }) => {
      if (before && (before.lift !== data.lift || before.item.sort !== data.item.sort))
        throw badInput({ item: 'It stays what it is, of the lift it is of. Take it back and write another.' });
    },
    describe: (data) => `the lift ${data.lift}, ${data.removed ? 'taken back: ' : ''}${itemWords(data.item)}`,
    title: (data) => (data.item.sort === 'stands' ? 'what the car stands on' : data.item.what),
  }),
];
