import { bearerOf, factDef, isFactId, readFact, showFact } from '@bay/core/facts';
import type { FactSource, FactValue } from '@bay/core/facts';
import { hasDifference, planDifference, planInputOf, Planner, titleOf } from '@bay/core/plan';
import type { PlanDifference } from '@bay/core/plan';
import type { FactRow } from '@bay/contract/facts';
import type { UnitRole } from '@bay/contract/jobs';
import { momentOf, noteChange, writeLogEntry } from '../commands/run.ts';
import type { Tx } from '../db/connection.ts';
import { badInput, notFound, Refusal } from '../http/problem.ts';
import type { Caller } from '../http/register.ts';
import { holdJob, holdUnit, unitInRole } from '../jobs/store.ts';
import { jobMaterial } from '../plan/material.ts';

export interface FactWrite {
  jobId: string;
  bearer: string;
  factId: string;
  typed: Record<string, string>;
  source: FactSource;
  certain?: boolean | undefined;
  note?: string | undefined;
  revision: number;
  at?: Date;
}

/** The id of the unit (or the job) on which a fact of this role hangs. */
export async function bearerId(tx: Tx, jobId: string, bearer: string, factId: string): Promise<string> {
  if (!isFactId(factId)) throw notFound('This fact');
  const kind = bearerOf(factDef(factId).subject);
  if ((kind === 'job') !== (bearer === 'job')) throw badInput({ bearer: 'This fact hangs on something else.' });
  if (bearer === 'job') return jobId;
  const unit = await unitInRole(tx, jobId, bearer as UnitRole);
  if (unit.kind !== kind) throw badInput({ bearer: `A ${unit.kind} does not carry this fact.` });
  return unit.id;
}

/** Writes a fact, keeps the old version, recomputes the plan and says what changed. All parts empty: not known again. */
export async function writeFact(
  tx: Tx,
  caller: Caller,
  write: FactWrite,
): Promise<{ fact: FactRow | null; difference: PlanDifference }> {
  const { jobId, factId } = write;
  await holdJob(tx, jobId);
  const bearer = await bearerId(tx, jobId, write.bearer, factId);
  // A unit may serve two jobs, whose locks do not exclude each other: what is known of it is written by one at a time.
  if (bearer !== jobId) await holdUnit(tx, bearer);
  const clearing = Object.values(write.typed).every((t) => t.trim() === '');
  const entry = clearing ? { ok: true as const, parts: {}, typed: {}, asks: {} } : readFact(factId, write.typed);
  if (!entry.ok) throw badInput(entry.errors);
  if (!write.certain && Object.keys(entry.asks).length > 0) throw badInput(entry.asks);
  const now = await tx
    .selectFrom('fact')
    .innerJoin('person', 'person.id', 'fact.by_id')
    .select(['fact.parts', 'fact.typed', 'fact.source', 'fact.note', 'fact.at', 'fact.revision', 'person.name as by'])
    .where('bearer_id', '=', bearer)
    .where('fact_id', '=', factId)
    .executeTakeFirst();
  const last = await tx
    .selectFrom('fact_version')
    .select(({ fn }) => fn.max('revision').as('revision'))
    .where('bearer_id', '=', bearer)
    .where('fact_id', '=', factId)
    .executeTakeFirst();
  if ((now?.revision ?? 0) !== write.revision) {
    throw new Refusal(409, now ? `${now.by} changed this meanwhile.` : 'This was cleared meanwhile.', {
      current: now ? { bearerId: bearer, factId, ...now, at: now.at.toISOString() } : null,
    });
  }
  const material = await jobMaterial(tx, jobId);
  const planner = new Planner();
  const before = planner.plan(planInputOf(material));
  const at = momentOf(caller, write.at);
  const row = {
    shop_id: caller.shopId,
    bearer_id: bearer,
    fact_id: factId,
    parts: JSON.stringify(entry.parts),
    typed: JSON.stringify(entry.typed),
    source: write.source,
    note: write.note || null,
    by_id: caller.personId,
    at,
    revision: Number(last?.revision ?? 0) + 1,
  };
  await tx.insertInto('fact_version').values(row).execute();
  if (clearing) await tx.deleteFrom('fact').where('bearer_id', '=', bearer).where('fact_id', '=', factId).execute();
  else
    await tx
      .insertInto('fact')
      .values(row)
      .onConflict((c) => c.columns(['shop_id', 'bearer_id', 'fact_id']).doUpdateSet(row))
      .execute();
  const value: FactValue = {
    parts: entry.parts,
    typed: entry.typed,
    source: write.source,
    by: caller.name,
    at: at.toISOString(),
  };
  const others = material.facts.filter((f) => !(f.bearerId === bearer && f.factId === factId));
  const facts = clearing
    ? others
    : [
        ...others,
        {
          bearerId: bearer,
          factId,
          note: write.note ?? null,
          by: caller.name,
          at: at.toISOString(),
          revision: row.revision,
          parts: entry.parts,
          typed: entry.typed,
          source: write.source,
        },
      ];
  const difference = planDifference(before, planner.plan(planInputOf({ ...material, facts })));
  noteChange(caller, { kind: 'fact', factId, revision: row.revision });
  const def = factDef(factId);
  const said = clearing
    ? `not known again: ${def.label}`
    : `${def.label}: ${showFact(factId, value)}, ${write.source === 'looked-up' ? 'looked up' : write.source}`;
  await writeLogEntry(tx, caller, {
    jobId,
    kind: 'fact',
    text: `${said}${hasDifference(difference) ? `. ${differenceWords(difference)}` : ''}`,
    about: factId,
    data: { bearer: write.bearer, difference, ...(now ? { before: now.parts } : {}) },
    at: write.at,
  });
  return {
    fact: clearing
      ? null
      : {
          bearerId: bearer,
          factId,
          parts: entry.parts,
          typed: entry.typed,
          source: write.source,
          note: row.note,
          by: caller.name,
          at: at.toISOString(),
          revision: row.revision,
        },
    difference,
  };
}

/** "Fuel tank: Not measured to Clash; 2 lines added" */
export function differenceWords(d: PlanDifference): string {
  const verdicts = d.verdicts.slice(0, 3).map((v) => `${titleOf(v.id)} now ${v.to.replaceAll('-', ' ')}`);
  const more = d.verdicts.length > 3 ? [`${d.verdicts.length - 3} more verdicts`] : [];
  const lines = [
    d.added.length > 0 ? `${d.added.length} added` : '',
    d.dropped.length > 0 ? `${d.dropped.length} dropped` : '',
  ].filter(Boolean);
  return [...verdicts, ...more, ...lines].join('; ');
}
