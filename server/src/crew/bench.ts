import { sql } from 'kysely';
import * as contract from '@bay/contract/crew';
import type { BenchStep } from '@bay/contract/crew';
import type { JobHead } from '@bay/contract/jobs';
import { runningOf } from '../clock/store.ts';
import { readDigests } from '../floor/digest.ts';
import type { OpenStep } from '../floor/digest.ts';
import type { Caller, Registry } from '../http/register.ts';
import { readInBays, readOpenOf, readYard } from '../jobs/store.ts';
import type { Tx } from '../db/connection.ts';

const shownSteps = 12;
/** Cars of the yard whose free steps are looked at; those in bays come first. */
const yardLooked = 40;

/** Jobs that may hold something for a person: those in bays, the first of the yard, and wherever they were given a step or are clocked on. */
async function jobsFor(tx: Tx, personId: string, clockedOn: string | undefined): Promise<JobHead[]> {
  const near = [...(await readInBays(tx)), ...(await readYard(tx, undefined, yardLooked))];
  const given = await tx
    .selectFrom('record')
    .select('job_id')
    .distinct()
    .where('kind', '=', 'task')
    .where(
      sql<boolean>`data ? 'handedToId' and data->>'handedToId' = ${personId} and data->>'status' in ('open', 'on-it')`,
    )
    .execute();
  const known = new Set(near.map((j) => j.id));
  const others = [...given.map((r) => r.job_id), ...(clockedOn ? [clockedOn] : [])].filter((id) => !known.has(id));
  return [...near, ...(await readOpenOf(tx, [...new Set(others)]))];
}

export function benchRoutes(on: Registry): void {
  on.shop(contract.readBench, async (tx, _call, caller: Caller) => {
    const running = (await runningOf(tx, caller.personId)) ?? null;
    const jobs = await jobsFor(tx, caller.personId, running?.jobId);
    const digests = await readDigests(tx, caller, jobs, new Date().toISOString().slice(0, 10));
    // What is free for anybody or was given to this person, and what somebody is on.
    const wanted = (s: OpenStep): boolean =>
      s.status === 'on-it' || s.handedToId === caller.personId || (s.status === 'free' && s.handedToId === undefined);
    const steps = jobs.flatMap((job) =>
      digests
        .get(job.id)!
        .steps.filter(wanted)
        .map((s) => benchStep(job, s, caller.personId)),
    );
    const step = steps.find((s) => s.jobId === running?.jobId && s.key === running.about) ?? null;
    const stationOf = new Map(jobs.map((j) => [j.id, j.station]));
    // What is theirs, where they are, what is in a bay; and work ahead of a job's own station after what comes next there.
    const rank = (s: BenchStep): number =>
      (s.mine ? 0 : s.jobId === running?.jobId ? 2 : s.bay ? 4 : 6) + (s.station === stationOf.get(s.jobId) ? 0 : 1);
    const next = steps
      .filter((s) => s !== step && s.status === 'free')
      .map((s, i) => ({ s, i }))
      .sort((a, b) => rank(a.s) - rank(b.s) || a.i - b.i)
      .map(({ s }) => s)
      .slice(0, shownSteps);
    return {
      running,
      step,
      next,
      jobs: jobs.slice(0, shownJobs).map(({ id, number, carName }) => ({ id, number, carName })),
    };
  });
}

/** Jobs that are offered to be clocked on; those in bays come first, and any other is found by its number. */
const shownJobs = 60;

function benchStep(job: JobHead, s: OpenStep, me: string): BenchStep {
  return {
    jobId: job.id,
    number: job.number,
    carName: job.carName,
    bay: job.bay,
    key: s.key,
    revision: s.revision,
    title: s.title,
    station: s.station,
    status: s.status,
    ...(s.minutes ? { minutes: [...s.minutes] } : {}),
    ...(s.caution ? { caution: s.caution } : {}),
    ...(s.thenWait ? { thenWait: s.thenWait } : {}),
    mine: s.handedToId === me,
  };
}
