import { sql } from 'kysely';
import { byNearness, learntFrom, nearness } from '@bay/core/plan';
import type { Pair } from '@bay/core/plan';
import type { FactRow } from '@bay/contract/facts';
import type { JobSheet } from '@bay/contract/jobs';
import type { Pairing } from '@bay/contract/memory';
import { may } from '@bay/contract/rights';
import type { Tx } from '../db/connection.ts';
import type { Caller } from '../http/register.ts';
import { readHead } from '../jobs/store.ts';
import { accountOf, hoursOn } from '../money/account.ts';
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

/** Ids of closed jobs whose engine is of a family, or whose car is of a kind. */
async function nearJobs(tx: Tx, jobId: string, pair: Pair): Promise<string[]> {
  const { rows } = await sql<{
    id: string;
  }>`select id from jobs_near(${pair.engineCode ?? ''}, ${pair.carName}, ${jobId}, ${most}) id`.execute(tx);
  return rows.map((r) => r.id);
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
  const ids = await nearJobs(tx, jobId, own);
  const material = await readMaterial(tx, ids);
  const sees = may(caller.role, 'see-money');
  const found: (Pairing & { order: number })[] = [];
  for (const [order, id] of ids.entries()) {
    const job = await readHead(tx, id);
    const theirs = material.get(id)!;
    const pair = pairOf(theirs.units, theirs.facts);
    const near = nearness(own, pair);
    if (!near) continue;
    const agreed = sees ? (await accountOf(tx, id, now)).agreed : 0;
    const learnt = learntFrom(theirs.records);
    found.push({
      order,
      jobId: id,
      number: job.number,
      carName: job.carName,
      engineName: job.engineName,
      engineCode: pair.engineCode ?? null,
      closedAt: job.closedAt!,
      near: near.near,
      differs: [...near.differs],
      hours: Math.round((await hoursOn(tx, id, now)) * 10) / 10,
      agreed: agreed > 0 ? agreed : null,
      ways: learnt.ways.map((w) => ({ ...w, kit: [...w.kit] })),
      read: [...learnt.read],
      failed: [...learnt.failed],
      lifts: [...learnt.lifts],
      faults: [...learnt.faults],
      attempts: learnt.attempts,
    });
  }
  return found.sort((a, b) => byNearness(a, b) || a.order - b.order).map(({ order: _order, ...p }) => p);
}
