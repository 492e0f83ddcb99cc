import { randomUUID } from 'node:crypto';
import { sql } from 'kysely';
import type { ClockRow } from '@bay/contract/clock';
import type { WorkKind } from '@bay/core/clock';
import type { StationId } from '@bay/core/jobs';
import { momentOf, noteChange, writeLogEntry } from '../commands/run.ts';
import type { Tx } from '../db/connection.ts';
import { badInput, notFound, Refusal } from '../http/problem.ts';
import type { Caller } from '../http/register.ts';
import { may } from '@bay/contract/rights';

/** A clock as JSON, from `clock c` and `person p`. */
export const clockColumns = sql`json_build_object('id', c.id, 'jobId', c.job_id, 'personId', c.person_id, 'person', p.name, 'initials', p.initials, 'about', c.about,
  'title', c.title, 'station', c.station, 'work', c.work, 'redoes', c.redoes, 'estimate', c.estimate,
  'startedAt', to_char(c.started_at at time zone 'utc', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"'), 'endedAt', to_char(c.ended_at at time zone 'utc', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"'),
  'corrections', c.corrections, 'revision', c.revision)`;

async function read(tx: Tx, condition: ReturnType<typeof sql>): Promise<ClockRow[]> {
  const { rows } = await sql<{ clock: ClockRow }>`
    select ${clockColumns} as clock from clock c join person p on p.id = c.person_id where ${condition} order by c.started_at, c.id`.execute(
    tx,
  );
  return rows.map((r) => r.clock);
}

export const clocksOfJob = (tx: Tx, jobId: string): Promise<ClockRow[]> => read(tx, sql`c.job_id = ${jobId}`);
export const runningOnJob = (tx: Tx, jobId: string): Promise<ClockRow[]> =>
  read(tx, sql`c.job_id = ${jobId} and c.ended_at is null`);
export const runningClocks = (tx: Tx): Promise<ClockRow[]> => read(tx, sql`c.ended_at is null`);
export const runningOf = async (tx: Tx, personId: string): Promise<ClockRow | undefined> =>
  (await read(tx, sql`c.ended_at is null and c.person_id = ${personId}`))[0];

export interface ClockStart {
  jobId: string;
  about?: string | undefined;
  title: string;
  station: StationId;
  work: WorkKind;
  redoes?: string | undefined;
  estimate?: readonly number[] | undefined;
  at?: Date | undefined;
}

/** One running clock a person: what ran before ends at the moment the new one begins. */
export async function startClock(tx: Tx, caller: Caller, start: ClockStart): Promise<ClockRow> {
  const at = momentOf(caller, start.at);
  // Two taps at once take turns.
  await tx.selectFrom('person').select('id').where('id', '=', caller.personId).forNoKeyUpdate().execute();
  await stopClock(tx, caller, at);
  noteChange(caller, { kind: 'clock', personId: caller.personId });
  const clockId = randomUUID();
  await tx
    .insertInto('clock')
    .values({
      id: clockId,
      shop_id: caller.shopId,
      job_id: start.jobId,
      person_id: caller.personId,
      about: start.about ?? null,
      title: start.title,
      station: start.station,
      work: start.work,
      redoes: start.redoes || null,
      estimate: start.estimate ? JSON.stringify(start.estimate) : null,
      started_at: at,
      corrections: '[]',
    })
    .execute();
  return (await read(tx, sql`c.id = ${clockId}`))[0]!;
}

/** Ends the clock that runs for this person; on one thing only, where one is named. */
export async function stopClock(
  tx: Tx,
  caller: Caller,
  at = momentOf(caller),
  about?: string,
): Promise<ClockRow | undefined> {
  const running = await runningOf(tx, caller.personId);
  if (!running || (about !== undefined && running.about !== about)) return undefined;
  // A device that waited without a network may say an end before the beginning that somebody else wrote meanwhile.
  const end = new Date(Math.max(at.getTime(), Date.parse(running.startedAt)));
  // Of several ends at once, one ends it.
  const ended = await tx
    .updateTable('clock')
    .set({ ended_at: end, revision: running.revision + 1 })
    .where('id', '=', running.id)
    .where('ended_at', 'is', null)
    .where('revision', '=', running.revision)
    .returning('id')
    .executeTakeFirst();
  if (!ended) return undefined;
  noteChange(caller, { kind: 'clock', personId: caller.personId });
  return (await read(tx, sql`c.id = ${running.id}`))[0]!;
}

const changedMeanwhile = (current: ClockRow): Refusal =>
  new Refusal(409, 'This clock was changed meanwhile.', { current });

/** Says anew when a clock began and ended. The times it had stay readable, with the reason. */
export async function correctClock(
  tx: Tx,
  caller: Caller,
  clockId: string,
  change: { startedAt: string; endedAt: string | null; reason: string; revision: number },
): Promise<ClockRow> {
  const now = (await read(tx, sql`c.id = ${clockId}`))[0];
  if (!now) throw notFound('This clock');
  if (now.personId !== caller.personId && !may(caller.role, 'correct-others'))
    throw new Refusal(403, 'Only the manager corrects the clock of others.');
  if (now.revision !== change.revision) throw changedMeanwhile(now);
  if (change.endedAt !== null && change.endedAt < change.startedAt)
    throw badInput({ endedAt: 'It cannot end before it began.' });
  if ((change.endedAt ?? change.startedAt) > new Date(Date.now() + 60_000).toISOString())
    throw badInput({ endedAt: 'That is in the future.' });
  if (change.endedAt === null && now.endedAt !== null)
    throw badInput({ endedAt: 'A clock that has ended stays ended. Start a new one.' });
  const was = {
    reason: change.reason,
    by: caller.name,
    at: momentOf(caller).toISOString(),
    startedAt: now.startedAt,
    endedAt: now.endedAt,
  };
  const corrected = await tx
    .updateTable('clock')
    .set({
      started_at: change.startedAt,
      ended_at: change.endedAt,
      corrections: JSON.stringify([...now.corrections, was]),
      revision: now.revision + 1,
    })
    .where('id', '=', clockId)
    .where('revision', '=', change.revision)
    .returning('id')
    .executeTakeFirst();
  const clock = (await read(tx, sql`c.id = ${clockId}`))[0]!;
  if (!corrected) throw changedMeanwhile(clock);
  noteChange(caller, { kind: 'clock', personId: clock.personId });
  await writeLogEntry(tx, caller, {
    jobId: clock.jobId,
    kind: 'clock',
    station: clock.station,
    about: clock.about ?? undefined,
    text: `clock of ${clock.person} corrected, ${clock.title}: ${change.reason}`,
  });
  return clock;
}

const hoursWords = (clock: ClockRow): string => {
  const minutes = Math.round((Date.parse(clock.endedAt ?? clock.startedAt) - Date.parse(clock.startedAt)) / 60_000);
  return minutes < 60 ? `${minutes} min` : `${Math.floor(minutes / 60)} h ${minutes % 60} min`;
};

/** Clocks a person off and says so in the book of the job it ran on. */
export async function clockOff(tx: Tx, caller: Caller, at?: Date): Promise<ClockRow | undefined> {
  const clock = await stopClock(tx, caller, momentOf(caller, at));
  if (clock)
    await writeLogEntry(tx, caller, {
      jobId: clock.jobId,
      kind: 'clock',
      station: clock.station,
      about: clock.about ?? undefined,
      text: `off: ${clock.title}, ${hoursWords(clock)}`,
      at,
    });
  return clock;
}
