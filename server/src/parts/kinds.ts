import { randomUUID } from 'node:crypto';
import { sql } from 'kysely';
import { isGone, linkFateWords, linkTitle, partFateWords } from '@bay/core/parts';
import type { PartRecord } from '@bay/core/parts';
import type { Tx } from '../db/connection.ts';
import { harvestParts, reservationHolds } from '@bay/core/donors';
import type { ReservationRecord } from '@bay/core/donors';
import { wantedInstead } from '../donors/wanted.ts';
import { badInput, Refusal } from '../http/problem.ts';
import { kindRule } from '../records/kind.ts';
import { findRecord } from '../records/store.ts';
import type { KindRule, WriteContext } from '../records/kind.ts';

/** The key of a thing is its id in the whole shop, where a device gave it one. */
const idOf = (key: string): string => (/^[0-9a-f]{8}-([0-9a-f]{4}-){3}[0-9a-f]{12}$/.test(key) ? key : randomUUID());

/** One thing is in the record of one job. */
const ofOneJob =
  <T extends 'part' | 'bag'>(table: T): NonNullable<KindRule<T>['complete']> =>
  async (tx, data, { key, jobId }) => {
    if (idOf(key) !== key) return data;
    const { rows } = await sql`select from ${sql.table(table)} where id = ${key} and job_id <> ${jobId}`.execute(tx);
    if (rows.length > 0) throw new Refusal(409, `This ${table} is in the record of another job.`);
    return data;
  };

/** A part that an open job waits for is not sold and not scrapped, and is kept for a job of this shop that is open. */
async function keptOrGone(tx: Tx, { title, fate, forJob }: PartRecord): Promise<void> {
  if (forJob === undefined) return;
  const job = await tx
    .selectFrom('job')
    .select(['number', 'closed_at', 'withdrawn_at'])
    .where('id', '=', forJob)
    .executeTakeFirst();
  if (!job) throw badInput({ 'data.forJob': 'This job is not here.' });
  const open = job.closed_at === null && job.withdrawn_at === null;
  if (isGone(fate) && open) throw new Refusal(409, `Job ${job.number} waits for ${title}: take it off that job first.`);
  if (fate === 'here' && !open) throw badInput({ 'data.forJob': `Job ${job.number} is closed.` });
}

/** Nothing comes off a shell that is gone. */
async function shellThere(tx: Tx, jobId: string, { title }: PartRecord): Promise<void> {
  const shell = await findRecord(tx, jobId, 'shell', 'donor');
  if (shell) throw new Refusal(409, `${title} cannot come off: the shell is gone since ${String(shell.data['on'])}.`);
}

/** The only one in the shop of a line that is hard to find by itself. */
async function lastOfItsKind(tx: Tx, { takeId, title }: PartRecord, key: string): Promise<string | undefined> {
  if (!harvestParts.some((p) => p.id === takeId && p.rare)) return undefined;
  const other = await tx
    .selectFrom('part')
    .select('id')
    .where('take_id', '=', takeId)
    .where('fate', '=', 'here')
    .where('key', '<>', key)
    .limit(1)
    .executeTakeFirst();
  return other
    ? undefined
    : `${title} is hard to find by itself, and this is the last in the shop: say in the note why it may go.`;
}

/** A part that somebody reserved goes to them, or the reservation is ended first. Its last day is still theirs. */
async function notReserved(tx: Tx, data: PartRecord, { jobId, key, at }: WriteContext<'part'>): Promise<void> {
  const { rows } = await sql<{ data: ReservationRecord }>`
    select data from record where job_id = ${jobId} and kind = 'reservation' and data->>'partKey' = ${key}`.execute(tx);
  const reserved = rows.find((r) => reservationHolds(r.data, at.slice(0, 10)))?.data;
  if (!reserved) return;
  if (data.fate === 'sold' && data.goneTo?.trim().toLowerCase() === reserved.who.toLowerCase()) return;
  throw new Refusal(
    409,
    `${data.title} is reserved for ${reserved.who} until ${reserved.until}: it goes to them by that name, or the reservation is ended first.`,
  );
}

/**
 * What stands against a part leaving the shop. What another open job wants, what is the last of its kind, and what is not original
 * any more leave only with a word in the note that was not there before.
 */
async function againstLeaving(tx: Tx, data: PartRecord, context: WriteContext<'part'>): Promise<void> {
  const { jobId, key, before } = context;
  const leaves = (isGone(data.fate) || data.fate === 'left-off') && data.fate !== before?.fate;
  const away = (data.fate ?? 'here') !== 'here' && data.fate !== before?.fate;
  if (away || (data.forJob !== undefined && data.forJob !== before?.forJob)) await notReserved(tx, data, context);
  if (!leaves || isGone(before?.fate) || data.forJob !== undefined) return;
  if ((data.note ?? '').trim().length >= 10 && data.note !== before?.note) return;
  const wanted = data.fate === 'left-off' ? undefined : await wantedInstead(tx, jobId, data.takeId, data.title);
  const altered =
    data.fate === 'sold' && data.notOriginal
      ? `${data.title} is not original (${data.notOriginal}): say in the note that the buyer knows.`
      : undefined;
  const against = wanted ?? altered ?? (await lastOfItsKind(tx, data, key));
  if (against !== undefined) throw new Refusal(409, against, { fields: { 'data.note': against } });
}

export const partsKinds = [
  kindRule({
    kind: 'part',
    logKind: 'part',
    station: 'donor',
    home: {
      table: 'part',
      columns: {
        takeId: 'take_id',
        title: 'title',
        condition: 'condition',
        label: 'label',
        place: 'place',
        note: 'note',
        variant: 'variant',
        number: 'number',
        fate: 'fate',
        forJob: 'for_job',
        goneTo: 'gone_to',
        cameFrom: 'came_from',
        cameOf: 'came_of',
        notOriginal: 'not_original',
        photoId: 'photo_id',
      },
      id: idOf,
    },
    check: (data, { before }) => {
      if (isGone(data.fate) && (data.goneTo ?? '').length < 2) throw badInput({ 'data.goneTo': 'Say who has it now.' });
      if (
        before &&
        isGone(before.fate) &&
        isGone(data.fate) &&
        (before.place !== data.place || before.forJob !== data.forJob)
      )
        throw new Refusal(
          409,
          `${data.title} is gone (${partFateWords[before.fate!].toLowerCase()}). Take it back first.`,
        );
    },
    settle: (data) => ({ ...data, fate: data.fate ?? 'here' }),
    describe: (data, { before }) => {
      if (before && (before.fate ?? 'here') !== data.fate)
        return `${partFateWords[data.fate ?? 'here'].toLowerCase()}: ${data.title}${data.goneTo ? `, ${data.goneTo}` : ''}`;
      if (before && before.forJob !== data.forJob)
        return data.forJob ? `kept for another job: ${data.title}` : `free again: ${data.title}`;
      if (before && before.place !== data.place)
        return `moved: ${data.title}, ${before.place || 'no place'} to ${data.place}`;
      return `harvested: ${data.title}, ${data.condition}${data.label ? `, label ${data.label}` : ''}${data.place ? `, ${data.place}` : ''}`;
    },
    about: (data, key) => data.takeId || key,
    complete: async (tx, data, context) => {
      if (!context.before) await shellThere(tx, context.jobId, data);
      await keptOrGone(tx, data);
      await againstLeaving(tx, data, context);
      return ofOneJob('part')(tx, data, context);
    },
  }),
  kindRule({
    kind: 'bag',
    logKind: 'bag',
    home: {
      table: 'bag',
      columns: {
        what: 'what',
        label: 'label',
        place: 'place',
        count: 'count',
        thread: 'thread',
        lengthMm: 'length_mm',
        head: 'head',
        reuse: 'reuse',
        step: 'step',
        goesAt: 'goes_at',
        leftOver: 'left_over',
        leftWhy: 'left_why',
      },
      acts: { back: 'back' },
      id: idOf,
    },
    check: (data) => {
      const { leftOver, count } = data;
      if (leftOver === undefined || leftOver === 0) return;
      if (!data.back) throw badInput({ 'data.leftOver': 'It is not empty yet.' });
      if (count !== undefined && leftOver > count) throw badInput({ 'data.leftOver': `Only ${count} were in it.` });
      if ((data.leftWhy ?? '').length < 3)
        throw badInput({ 'data.leftWhy': 'Say why they were left over: a bolt that is over is missing somewhere.' });
    },
    describe: (data, { before }) => {
      if (data.back && !before?.back)
        return `bag ${data.label} went back on: ${data.what}${data.leftOver ? `, ${data.leftOver} left over, ${data.leftWhy}` : ''}`;
      if (before && before.place !== data.place) return `bag ${data.label} moved to ${data.place ?? 'no place'}`;
      return `bagged ${data.what}, bag ${data.label}${data.place ? `, ${data.place}` : ''}`;
    },
    complete: ofOneJob('bag'),
  }),
  kindRule({
    kind: 'link',
    logKind: 'link',
    station: 'pull',
    check: (data) => {
      if (data.on && !data.off) throw badInput({ 'data.on': 'It is not off yet, so it cannot be mated.' });
      if (data.on && data.fate !== 'back') throw badInput({ 'data.on': 'It does not go back on.' });
    },
    describe: (data, { before }) => {
      const what = linkTitle(data);
      if (data.dropped && !before?.dropped) return `counts no more: ${what}, ${data.dropped.why}`;
      if (data.on && !before?.on) return `mated: ${what}`;
      const ends = [data.from, data.to].filter((e) => e !== undefined).join(' to ');
      const said = [
        ends,
        data.cut ? 'cut' : '',
        data.capped ? 'capped' : '',
        data.fate === 'back' ? '' : linkFateWords[data.fate].toLowerCase(),
      ]
        .filter((w) => w !== '')
        .join(', ');
      if (data.off && !before?.off) return `off: ${what}${said === '' ? '' : `, ${said}`}`;
      if (before?.off && !data.off) return `not off after all: ${what}`;
      return `${before ? 'link' : 'to come off'}: ${what}${said === '' ? '' : `, ${said}`}`;
    },
    about: (data, key) => data.step ?? key,
  }),
];
