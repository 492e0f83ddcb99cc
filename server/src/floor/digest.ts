import { createHash } from 'node:crypto';
import { sql } from 'kysely';
import type { JobHead, Strip } from '@bay/contract/jobs';
import { computePlan, planInputOf, workSteps } from '@bay/core/plan';
import type { JobMaterial } from '@bay/core/plan';
import type { StationId, WorkStep } from '@bay/core/jobs';
import { recordsOf } from '@bay/core/records';
import type { Tx } from '../db/connection.ts';
import type { Caller } from '../http/register.ts';
import { readMaterial } from '../plan/material.ts';
import type { Material } from '../plan/material.ts';
import { readShopRules } from '../plan/shop-rules.ts';
import { readShopSchools } from '../schools/store.ts';
import { doingOf, dueOf, stateOf } from './strip.ts';

/** A step that somebody could take up, as lists over many jobs show it. */
export type OpenStep = Pick<WorkStep, 'key' | 'title' | 'station' | 'status' | 'minutes' | 'caution' | 'thenWait'> & {
  revision: number;
  handedToId?: string;
};

/**
 * What lists over many jobs show of one: computed from its whole plan, and kept beside the version of the job it was computed
 * from. Triggers count the version up whenever a fact, a record, a unit or the job itself changes, so a digest is never shown
 * after what it was made from has changed, whichever process made it.
 */
export interface Digest {
  state: Strip['state'];
  doing: string;
  due: Strip['due'];
  steps: OpenStep[];
}

/** Of what is free at a station, so much stands in a list over many jobs. */
const shownPerStation = 6;

/** What somebody could take up: what is on or was given to somebody, and what is free at a station that is not signed, the job's own first. */
function openSteps(job: JobHead, material: Material, plan: ReturnType<typeof computePlan>): OpenStep[] {
  const tasks = recordsOf(material, 'task');
  const revisions = new Map(material.records.filter((r) => r.kind === 'task').map((r) => [r.key, r.revision]));
  const listed = new Map<StationId, number>();
  const freeHere = (s: WorkStep): boolean => {
    const before = listed.get(s.station) ?? 0;
    if (s.status !== 'free' || job.signedStations.includes(s.station) || before >= shownPerStation) return false;
    listed.set(s.station, before + 1);
    return true;
  };
  return workSteps(
    plan,
    tasks,
    material.units.some((u) => u.role === 'donor'),
  )
    .filter((s) => s.status !== 'done' && s.status !== 'waived')
    .filter((s) => s.status === 'on-it' || s.record?.handedToId !== undefined || freeHere(s))
    .sort((a, b) => Number(a.station !== job.station) - Number(b.station !== job.station))
    .map(({ key, title, station, status, minutes, caution, thenWait, record }) => ({
      key,
      title,
      station,
      status,
      ...(minutes ? { minutes } : {}),
      ...(caution ? { caution } : {}),
      ...(thenWait ? { thenWait } : {}),
      ...(record?.handedToId ? { handedToId: record.handedToId } : {}),
      revision: revisions.get(key) ?? 0,
    }));
}

/** What the shop keeps for all its jobs. */
type WaysOfShop = Pick<JobMaterial, 'shopSchools' | 'shopRules'>;

export function digestOf(job: JobHead, material: Material, ways: WaysOfShop, today: string): Digest {
  const plan = computePlan(planInputOf({ jobId: job.id, ...material, ...ways }));
  return {
    state: stateOf(material, plan, today),
    doing: doingOf(job, material, plan),
    due: dueOf(material),
    steps: openSteps(job, material, plan),
  };
}

/** What a digest depends on beside the job: the schools and the rules of the shop, the day, and the way it is made. */
const basisOf = ({ shopSchools, shopRules }: WaysOfShop, today: string): string =>
  createHash('sha256')
    .update(JSON.stringify(['4', today, Object.entries(shopSchools).sort(), shopRules]))
    .digest('hex')
    .slice(0, 16);

/** Digests of jobs: those that stand are read, the others are made and kept. */
export async function readDigests(
  tx: Tx,
  caller: Pick<Caller, 'shopId'>,
  jobs: readonly JobHead[],
  today: string,
): Promise<Map<string, Digest>> {
  const digests = new Map<string, Digest>();
  if (jobs.length === 0) return digests;
  const ways = { shopSchools: await readShopSchools(tx), shopRules: await readShopRules(tx) };
  const basis = basisOf(ways, today);
  const ids = sql.val(jobs.map((j) => j.id));
  const { rows } = await sql<{ job_id: string; version: number; digest: Digest | null }>`
    select v.job_id, v.version, d.digest from unnest(${ids}::uuid[]) wanted(id) join job_version v on v.job_id = wanted.id
    left join lateral (select digest from job_digest d where d.job_id = wanted.id and d.version = v.version and d.basis = ${basis} limit 1) d on true`.execute(
    tx,
  );
  const versions = new Map(rows.map((r) => [r.job_id, r.version]));
  for (const row of rows) if (row.digest) digests.set(row.job_id, row.digest);
  const missing = jobs.filter((j) => !digests.has(j.id));
  if (missing.length === 0) return digests;
  const material = await readMaterial(
    tx,
    missing.map((j) => j.id),
  );
  const made = missing.map((job) => ({
    job_id: job.id,
    version: versions.get(job.id) ?? 0,
    digest: digestOf(job, material.get(job.id)!, ways, today),
  }));
  for (const { job_id, digest } of made) digests.set(job_id, digest);
  await sql`
    insert into job_digest (shop_id, job_id, version, basis, digest)
    select ${caller.shopId}, m.job_id, m.version, ${basis}, m.digest from jsonb_to_recordset(${JSON.stringify(made)}::jsonb) as m(job_id uuid, version bigint, digest jsonb)
    on conflict (shop_id, job_id) do update set version = excluded.version, basis = excluded.basis, digest = excluded.digest
    where job_digest.version <= excluded.version`.execute(tx);
  return digests;
}
