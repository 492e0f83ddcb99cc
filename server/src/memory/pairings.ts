import { sql } from 'kysely';
import { byNearness, jobBook, learntFrom, nearness, sizesIn } from '@bay/core/plan';
import type { Pair } from '@bay/core/plan';
import type { FactRow } from '@bay/contract/facts';
import type { JobSheet } from '@bay/contract/jobs';
import type { Pairing } from '@bay/contract/memory';
import { may } from '@bay/contract/rights';
import type { Tx } from '../db/connection.ts';
import type { Caller } from '../http/register.ts';
import { readHead } from '../jobs/store.ts';
import { agreedOn, hoursOn } from '../money/account.ts';
import { readFacts, readMaterial, readUnits } from '../plan/material.ts';
import { notFound } from '../http/problem.ts';

/** Closed jobs that are near a pairing: found by two indexes, read whole for the few that are. */

/** Most that are read: the last closed. */
const most = 12;

const valueOf = (facts: readonly FactRow[], bearer: string | undefined, factId: string) =>
  facts.find((f) => f.factId === factId && f.bearerId === bearer)?.parts['value'];
const wordOf = (value: unknown): string | undefined => (typeof value === 'string' ? value : undefined);

/** The pair of a job; with another engine in it where one is named. */
function pairOf(units: JobSheet['units'], facts: readonly FactRow[], engineId?: string): Pair {
  const car = units.find((u) => u.role === 'car');
  const engine = units.find((u) => (engineId ? u.id === engineId : u.role === 'engine'));
  const year = valueOf(facts, car?.id, 'rec-model-year');
  const engineYear = valueOf(facts, engine?.id, 'eng-model-year');
  return {
    engineCode: wordOf(valueOf(facts, engine?.id, 'eng-code')),
    engineName: engine?.name,
    engineYear: typeof engineYear === 'string' || typeof engineYear === 'number' ? engineYear : undefined,
    carName: car?.name ?? '',
    carYear: typeof year === 'number' ? year : undefined,
  };
}

interface NearJob {
  id: string;
  number: string;
  closedAt: Date;
}

/** Closed jobs whose engine is of a family, or whose car is of a kind. */
async function nearJobs(tx: Tx, jobId: string, pair: Pair): Promise<NearJob[]> {
  const { rows } = await sql<NearJob>`
    select job.id, job.number, job.closed_at as "closedAt"
    from jobs_near(${pair.engineCode ?? ''}, ${pair.carName}, ${jobId}, ${most}) near join job on job.id = near
    order by job.closed_at desc`.execute(tx);
  return rows;
}

/** What closed jobs with a near pairing teach, the nearest first. */
export async function pairingsOf(
  tx: Tx,
  caller: Caller,
  jobId: string,
  unitId: string | undefined,
  now: string,
): Promise<Pairing[]> {
  await readHead(tx, jobId);
  const units = (await readUnits(tx, [jobId])).get(jobId)!;
  if (unitId !== undefined && !units.some((u) => u.id === unitId)) throw notFound('This engine');
  const facts = await readFacts(
    tx,
    units.map((u) => u.id),
    ['eng-code', 'eng-model-year', 'rec-model-year'],
  );
  const own = pairOf(units, facts, unitId);
  const jobs = await nearJobs(tx, jobId, own);
  const ids = jobs.map((j) => j.id);
  const material = await readMaterial(tx, ids);
  const hours = await hoursOn(tx, ids, now);
  const agreed = may(caller.role, 'see-money') ? await agreedOn(tx, ids) : undefined;
  const found = jobs.flatMap(({ id, number, closedAt }): Pairing[] => {
    const theirs = material.get(id)!;
    const pair = pairOf(theirs.units, theirs.facts);
    const near = nearness(own, pair);
    if (!near) return [];
    const learnt = learntFrom(theirs.records);
    return [
      {
        jobId: id,
        number,
        carName: pair.carName,
        engineName: pair.engineName ?? null,
        engineCode: pair.engineCode ?? null,
        closedAt: closedAt.toISOString(),
        near: near.near,
        differs: [...near.differs],
        hours: Math.round((hours.get(id) ?? 0) * 10) / 10,
        agreed: agreed?.get(id) ?? null,
        ways: learnt.ways.map((w) => ({ ...w, kit: [...w.kit] })),
        read: [...learnt.read],
        failed: [...learnt.failed],
        lifts: [...learnt.lifts],
        faults: [...learnt.faults],
        attempts: learnt.attempts,
        sizes: sizesIn(jobBook({ jobId: id, ...theirs })),
      },
    ];
  });
  // Of those that are equally near, the last closed stays first.
  return found.sort(byNearness);
}
