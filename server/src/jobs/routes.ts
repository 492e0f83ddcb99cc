import { randomUUID } from 'node:crypto';
import { sql } from 'kysely';
import * as contract from '@bay/contract/jobs';
import { stationName } from '@bay/core/jobs';
import { checkIdentity } from '@bay/core/sums';
import { noteChange, runCommand, writeLogEntry } from '../commands/run.ts';
import type { Tx } from '../db/connection.ts';
import { badInput, notFound, Refusal } from '../http/problem.ts';
import type { Caller, Registry } from '../http/register.ts';
import { refuseKeptEngine, refusePastDay, refuseSecondBooking, refuseTakenBay } from './refusals.ts';
import { signedBy } from './signing.ts';
import { holdJob, readHead } from './store.ts';
import { countUnits, insertUnit, putInRole, readUnit, readUnitPage } from './units.ts';

interface NewJob {
  car: { name: string; modelYear: number; identity: string };
  customer: string;
  phone?: string | undefined;
  wish: string;
  faults: string;
  ownEngine: string;
  promised?: string | undefined;
  bay?: string | undefined;
  identityWaived?: string | undefined;
  at?: Date | undefined;
}

/** Books a car in: customer, car and its own engine as units, the model year as its first fact. */
export async function insertJob(tx: Tx, caller: Caller, job: NewJob): Promise<string> {
  const check = checkIdentity(job.car.identity, job.car.modelYear);
  if (check.state === 'wrong' && !job.identityWaived) throw badInput({ 'car.identity': check.sentence });
  const { rows } = await sql<{
    n: number;
  }>`update shop set next_job = next_job + 1 where id = ${caller.shopId} returning next_job - 1 as n`.execute(tx);
  const jobId = randomUUID();
  const customerId = randomUUID();
  const at = job.at ? { opened_at: job.at } : {};
  await tx
    .insertInto('customer')
    .values({ id: customerId, shop_id: caller.shopId, name: job.customer, phone: job.phone ?? null })
    .execute();
  await tx
    .insertInto('job')
    .values({
      id: jobId,
      shop_id: caller.shopId,
      number: String(rows[0]!.n).padStart(4, '0'),
      customer_id: customerId,
      wish: job.wish,
      faults: job.faults,
      bay: job.bay || null,
      promised: job.promised ?? null,
      station: 'scope',
      signed: '[]',
      ...at,
    })
    .execute();
  noteChange(caller, { kind: 'job' });
  const place = job.bay ? `bay ${job.bay}` : 'yard';
  const carId = await insertUnit(tx, caller, { kind: 'car', name: job.car.name, identity: check.vin, place });
  await putInRole(tx, caller, jobId, carId, 'car');
  if (job.ownEngine)
    await putInRole(
      tx,
      caller,
      jobId,
      await insertUnit(tx, caller, {
        kind: 'engine',
        name: job.ownEngine,
        identity: null,
        place: `in ${job.car.name}`,
      }),
      'own-engine',
    );
  const year = {
    shop_id: caller.shopId,
    bearer_id: carId,
    fact_id: 'rec-model-year',
    parts: JSON.stringify({ value: job.car.modelYear }),
    typed: JSON.stringify({ value: String(job.car.modelYear) }),
    source: 'looked-up',
    note: null,
    by_id: caller.personId,
    revision: 1,
    ...(job.at ? { at: job.at } : {}),
  };
  await tx.insertInto('fact').values(year).execute();
  await tx.insertInto('fact_version').values(year).execute();
  const waived = check.state === 'wrong' ? ` Identity number not right, taken all the same: ${job.identityWaived}` : '';
  await writeLogEntry(tx, caller, {
    jobId,
    kind: 'job',
    station: 'scope',
    text: `booked in: ${job.car.name} for ${job.customer}. ${job.wish}.${waived}`.replace('..', '.'),
    at: job.at,
  });
  return jobId;
}

export interface JobChange {
  bay?: string | null | undefined;
  promised?: string | null | undefined;
  station?: contract.JobHead['station'] | undefined;
  signStation?: contract.JobHead['station'] | undefined;
  despite?: string | undefined;
  wish?: string | undefined;
  faults?: string | undefined;
}

/** Changes a job's own row; what changed is one line of the logbook. */
export async function updateJob(
  tx: Tx,
  caller: Caller,
  jobId: string,
  change: JobChange,
  revision: number,
  at?: Date,
): Promise<contract.JobHead> {
  await holdJob(tx, jobId);
  const now = await readHead(tx, jobId);
  if (now.revision !== revision) throw new Refusal(409, 'Somebody changed this job meanwhile.', { current: now });
  const said: string[] = [];
  const set: Record<string, unknown> = { revision: revision + 1 };
  if (change.bay !== undefined && change.bay !== now.bay) {
    await refuseTakenBay(tx, change.bay, jobId);
    set['bay'] = change.bay;
    said.push(change.bay ? `moved to bay ${change.bay}` : 'moved to the yard');
  }
  if (change.promised !== undefined && change.promised !== now.promised) {
    if (!at) refusePastDay(change.promised);
    set['promised'] = change.promised;
    said.push(
      change.promised
        ? `promised for ${change.promised}${now.promised ? ` (was ${now.promised})` : ''}`
        : 'promise withdrawn',
    );
  }
  if (change.wish !== undefined && change.wish !== now.wish) {
    set['wish'] = change.wish;
    said.push(`wish: ${change.wish}`);
  }
  if (change.faults !== undefined && change.faults !== now.faults) {
    set['faults'] = change.faults;
    said.push(`faults at arrival: ${change.faults || 'none'}`);
  }
  if (change.signStation && !now.signedStations.includes(change.signStation)) {
    set['signed'] = JSON.stringify([...now.signedStations, change.signStation]);
    const despite = await signedBy(tx, jobId, change.signStation, change.despite);
    said.push(`signed: ${stationName(change.signStation)}${despite}`);
    if (change.signStation === 'hand-over') set['closed_at'] = at ?? new Date();
  }
  if (change.station && change.station !== now.station) {
    set['station'] = change.station;
    said.push(`job stands at ${stationName(change.station)}`);
  }
  if (said.length === 0) return now;
  await tx.updateTable('job').set(set).where('id', '=', jobId).execute();
  noteChange(caller, { kind: 'job' });
  await writeLogEntry(tx, caller, {
    jobId,
    kind: 'job',
    station: change.signStation ?? change.station,
    text: said.join('. '),
    at,
  });
  return readHead(tx, jobId);
}

export function jobRoutes(on: Registry): void {
  on.shop(contract.bookIn, (tx, { body }, caller) =>
    runCommand(tx, caller, 'book-in', body, async () => {
      refusePastDay(body.promised);
      await refuseTakenBay(tx, body.bay);
      await refuseSecondBooking(tx, checkIdentity(body.car.identity, body.car.modelYear).vin, body.identityWaived);
      const jobId = await insertJob(tx, caller, body);
      return { reply: { job: await readHead(tx, jobId) }, jobId };
    }),
  );

  on.shop(contract.changeJob, (tx, { params, body }, caller) =>
    runCommand(tx, caller, 'change-job', body, async () => ({
      reply: { job: await updateJob(tx, caller, params.jobId, body, body.revision) },
      jobId: params.jobId,
    })),
  );

  on.shop(contract.listUnits, (tx, { query }) => readUnitPage(tx, query));

  on.shop(contract.countUnits, async (tx) => ({ counts: await countUnits(tx) }));

  on.shop(contract.readUnit, async (tx, { params }) => ({ unit: await readUnit(tx, params.unitId) }));

  on.shop(contract.addUnit, (tx, { body }, caller) =>
    runCommand(tx, caller, 'add-unit', body, async () => {
      const unitId = await insertUnit(tx, caller, {
        kind: body.kind,
        name: body.name,
        identity: body.identity || null,
        place: body.place,
      });
      if (body.job) {
        await readHead(tx, body.job.jobId);
        await putInRole(tx, caller, body.job.jobId, unitId, body.job.role);
        await writeLogEntry(tx, caller, {
          jobId: body.job.jobId,
          kind: 'unit',
          text: `added: ${body.name} as ${body.job.role.replaceAll('-', ' ')}, ${body.place}`,
          about: unitId,
        });
      }
      return { reply: { unitId }, ...(body.job ? { jobId: body.job.jobId } : {}) };
    }),
  );

  on.shop(contract.moveUnit, (tx, { params, body }, caller) =>
    runCommand(tx, caller, 'move-unit', body, async () => {
      // A job of another shop is not here, neither to come to nor to leave. Jobs are held before units, and in one order, by everybody.
      const jobIds = [body.leaveJobId, body.job?.jobId].filter((id) => id !== undefined && id !== '');
      for (const jobId of [...new Set(jobIds)].sort()) await holdJob(tx, jobId!);
      if (body.leaveJobId) await refuseKeptEngine(tx, body.leaveJobId, params.unitId);
      const unit = await tx
        .updateTable('unit')
        .set({ place: body.place })
        .where('id', '=', params.unitId)
        .returning('name')
        .executeTakeFirst();
      if (!unit) throw notFound('This unit');
      noteChange(caller, { kind: 'unit', unitId: params.unitId });
      noteChange(caller, { kind: 'job' });
      if (body.leaveJobId) {
        await tx
          .updateTable('job_unit')
          .set({ left_at: new Date() })
          .where('unit_id', '=', params.unitId)
          .where('job_id', '=', body.leaveJobId)
          .where('left_at', 'is', null)
          .execute();
        await writeLogEntry(tx, caller, {
          jobId: body.leaveJobId,
          kind: 'unit',
          text: `left the job: ${unit.name}, now ${body.place}`,
          about: params.unitId,
        });
      }
      if (body.job) {
        await putInRole(tx, caller, body.job.jobId, params.unitId, body.job.role);
        const { tests } = await tx
          .selectFrom('record')
          .select(({ fn }) => fn.countAll<number>().as('tests'))
          .where('bearer_id', '=', params.unitId)
          .executeTakeFirstOrThrow();
        await writeLogEntry(tx, caller, {
          jobId: body.job.jobId,
          kind: 'unit',
          text: `came to the job: ${unit.name} as ${body.job.role.replaceAll('-', ' ')}, with what is known of it${tests > 0 ? ` and ${tests} measurements, torques and findings` : ''}`,
          about: params.unitId,
        });
      }
      return { reply: { unitId: params.unitId }, jobId: body.job?.jobId ?? body.leaveJobId ?? '' };
    }),
  );

  on.shop(contract.find, async (tx, { query }) => {
    if (query.q === '') return { hits: [] };
    const most = 8;
    const { rows } = await sql<{ kind: 'job' | 'unit' | 'part' | 'bag'; title: string; detail: string; to: string }>`
      select * from (
        select 'job' as kind, job.number || ' ' || unit.name as title, customer.name || ', ' || job.wish as detail, '/jobs/' || job.id as to
          from jobs_with_words(${query.q}, ${most}) found join job on job.id = found join customer on customer.id = job.customer_id
          join job_unit ju on ju.job_id = job.id and ju.role = 'car' and ju.left_at is null join unit on unit.id = ju.unit_id
          order by job.closed_at is not null, job.number desc) jobs
      union all select * from (
        select 'unit', unit.name, unit.kind || ', ' || unit.place, '/units?open=' || unit.id from units_with_words(${query.q}, ${most}) found join unit on unit.id = found) units
      union all select * from (
        select 'bag', bag.what, 'bag ' || bag.label || ', ' || coalesce(bag.place, 'no place'), '/store?q=' || bag.label from bags_with_words(${query.q}, ${most}) found join bag on bag.id = found) bags
      union all select * from (
        select 'part', part.title, part.label || ', ' || part.place, '/parts/' || part.id from parts_with_words(${query.q}, ${most}) found join part on part.id = found) parts`.execute(
      tx,
    );
    return { hits: rows };
  });
}
