import * as contract from '@bay/contract/crew';
import type { BenchStep } from '@bay/contract/crew';
import type { JobHead } from '@bay/contract/jobs';
import { planInputOf, recordsOf, workSteps } from '@bay/core/jobs';
import type { WorkStep } from '@bay/core/jobs';
import { computePlan } from '@bay/core/plan';
import type { TaskRecord } from '@bay/core/pull';
import { runningOf } from '../clock/store.ts';
import type { Caller, Registry } from '../http/register.ts';
import { readHeads, readMaterial } from '../jobs/store.ts';
import { readShopSchools } from '../plan/store.ts';

const shownSteps = 12;

export function benchRoutes(on: Registry): void {
  on.shop(contract.readBench, async (tx, _call, caller: Caller) => {
    const jobs = (await readHeads(tx)).filter((j) => j.closedAt === null);
    const material = await readMaterial(
      tx,
      jobs.map((j) => j.id),
    );
    const shopSchools = await readShopSchools(tx);
    const running = (await runningOf(tx, caller.personId)) ?? null;
    const steps = jobs.flatMap((job) => {
      const own = material.get(job.id)!;
      const plan = computePlan(planInputOf({ jobId: job.id, ...own, shopSchools }));
      const donor = own.units.some((u) => u.role === 'donor');
      const shown = workSteps(plan, recordsOf<TaskRecord>(own, 'task'), donor)
        // Work ahead of the job's own station is possible, but not what comes next.
        .filter(
          (s) => (s.status === 'free' && s.station === job.station) || s.status === 'on-it' || s.key === running?.about || s.record?.handedTo === caller.name,
        )
        .filter((s) => s.status !== 'done' && s.status !== 'waived');
      return shown.map((s) => benchStep(job, s, own.records.find((r) => r.kind === 'task' && r.key === s.key)?.revision ?? 0, caller.name));
    });
    const step = steps.find((s) => s.jobId === running?.jobId && s.key === running.about) ?? null;
    const rank = (s: BenchStep): number => (s.mine ? 0 : s.jobId === running?.jobId ? 1 : s.bay ? 2 : 3);
    const next = steps
      .filter((s) => s !== step && s.status === 'free')
      .map((s, i) => ({ s, i }))
      .sort((a, b) => rank(a.s) - rank(b.s) || a.i - b.i)
      .map(({ s }) => s)
      .slice(0, shownSteps);
    return { running, step, next, jobs: jobs.map(({ id, number, carName }) => ({ id, number, carName })) };
  });
}

function benchStep(job: JobHead, s: WorkStep, revision: number, me: string): BenchStep {
  return {
    jobId: job.id,
    number: job.number,
    carName: job.carName,
    bay: job.bay,
    key: s.key,
    revision,
    title: s.title,
    station: s.station,
    status: s.status,
    ...(s.minutes ? { minutes: [...s.minutes] } : {}),
    ...(s.caution ? { caution: s.caution } : {}),
    ...(s.thenWait ? { thenWait: s.thenWait } : {}),
    mine: s.record?.handedTo === me,
  };
}
