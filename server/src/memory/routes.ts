import * as contract from '@bay/contract/memory';
import { readCondition } from '@bay/core/facts';
import { isOwn, ownIdFits } from '@bay/core/memory';
import { computePlan, planInputOf } from '@bay/core/plan';
import { evaluate } from '@bay/core/rules';
import type { Condition } from '@bay/core/rules';
import { runCommand, noteChange } from '../commands/run.ts';
import type { Tx } from '../db/connection.ts';
import { badInput, notFound, Refusal } from '../http/problem.ts';
import type { Registry } from '../http/register.ts';
import { readMaterial } from '../plan/material.ts';
import { readShopSchools } from '../schools/store.ts';
import { pairingsOf } from './pairings.ts';
import { readShopRules } from '../plan/shop-rules.ts';
import { shopRulesOf } from './store.ts';

/** A condition as somebody typed it, or the sentence that says what of it is not understood. */
function conditionOf(when: string): Condition {
  try {
    return readCondition(when);
  } catch (error) {
    throw badInput({ when: error instanceof Error ? error.message : 'This condition is not understood.' });
  }
}

/** Most jobs that a condition is tried on at a time: the last opened. */
const mostTried = 60;

/** Where a condition holds now, job by job, of those that are open. */
async function tried(tx: Tx, condition: Condition) {
  const jobs = await tx
    .selectFrom('job')
    .select((s) => [
      'id',
      'number',
      s
        .selectFrom('job_unit')
        .innerJoin('unit', 'unit.id', 'job_unit.unit_id')
        .select('unit.name')
        .whereRef('job_unit.job_id', '=', 'job.id')
        .where('job_unit.role', '=', 'car')
        .where('job_unit.left_at', 'is', null)
        .limit(1)
        .as('car'),
    ])
    .where('closed_at', 'is', null)
    .where('withdrawn_at', 'is', null)
    .orderBy('opened_at', 'desc')
    .limit(mostTried)
    .execute();
  const material = await readMaterial(
    tx,
    jobs.map((j) => j.id),
  );
  const shopSchools = await readShopSchools(tx);
  return jobs.map(({ id, number, car }) => {
    const { scope } = computePlan(planInputOf({ jobId: id, ...material.get(id)!, shopSchools, shopRules: [] }));
    const truth = evaluate(condition, scope);
    return {
      jobId: id,
      number,
      carName: car ?? '',
      holds: truth.is === true ? ('yes' as const) : truth.is === false ? ('no' as const) : ('not-known' as const),
      because: [...truth.because],
      needs: [...truth.needs],
    };
  });
}

export function memoryRoutes(on: Registry): void {
  on.shop(contract.listShopRules, async (tx) => ({ rules: await shopRulesOf(tx) }));

  on.shop(contract.readPairings, async (tx, { params, query }, caller) => ({
    pairings: await pairingsOf(tx, caller, params.jobId, query.unitId, new Date().toISOString()),
  }));

  on.shop(contract.tryShopRule, async (tx, { body }) => ({ jobs: await tried(tx, conditionOf(body.when)) }));

  on.shop(contract.keepShopRule, (tx, { body: { id, line, when, ...body } }, caller) =>
    runCommand(tx, caller, 'keep-shop-rule', body, async () => {
      if (!ownIdFits(id, line.title)) throw badInput({ id: 'This is not the id of a line of this title.' });
      conditionOf(when);
      // A rule that waits for another line of a single job would wait in vain on the next.
      const rules = new Set((await readShopRules(tx)).map((r) => r.id));
      const strange = [...(line.after ?? []), ...(line.before ?? []), ...(line.parts ?? [])].find(
        (key) => isOwn(key) && !rules.has(key),
      );
      if (strange !== undefined)
        throw badInput({ 'line.after': 'It stands before or after a line of this job alone. Keep that one first.' });
      const written = await tx
        .insertInto('shop_rule')
        .values({
          shop_id: caller.shopId,
          id,
          line: JSON.stringify(line),
          condition: when,
          by_id: caller.personId,
        })
        .onConflict((c) => c.doNothing())
        .returning('id')
        .executeTakeFirst();
      if (!written) throw new Refusal(409, 'The shop keeps this line already.');
      noteChange(caller, { kind: 'rules' });
      return { reply: { id } };
    }),
  );

  on.shop(contract.endShopRule, (tx, { params: { ruleId }, body }, caller) =>
    runCommand(tx, caller, 'end-shop-rule', body, async () => {
      const ended = await tx
        .updateTable('shop_rule')
        .set({ ended_at: new Date(), ended_by: caller.personId, ended_why: body.why })
        .where('id', '=', ruleId)
        .where('ended_at', 'is', null)
        .returning('id')
        .executeTakeFirst();
      if (!ended) throw notFound('This rule');
      noteChange(caller, { kind: 'rules' });
      return { reply: { id: ruleId } };
    }),
  );
}
