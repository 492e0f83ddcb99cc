import * as contract from '@bay/contract/plan';
import { calculators, runCalculator } from '@bay/core/calc';
import { schoolQuestions } from '@bay/core/plan';
import { runCommand } from '../commands/run.ts';
import { badInput, notFound } from '../http/problem.ts';
import type { Registry } from '../http/register.ts';
import { readShopSchools } from './store.ts';

export function planRoutes(on: Registry): void {
  on.shop(contract.readSchools, async (tx) => ({ chosen: await readShopSchools(tx) }));

  on.shop(contract.chooseSchool, (tx, { params, body }, caller) =>
    runCommand(tx, caller, 'choose-school', body, async () => {
      const question = schoolQuestions.find((q) => q.id === params.question);
      if (!question) throw notFound('This question');
      if (body.side === '') await tx.deleteFrom('shop_school').where('question', '=', question.id).execute();
      else {
        if (!question.sides.some((s) => s.id === body.side)) throw badInput({ side: 'This side does not belong to the question.' });
        const row = { shop_id: caller.shopId, question: question.id, side: body.side, by_id: caller.personId, at: new Date() };
        await tx
          .insertInto('shop_school')
          .values(row)
          .onConflict((c) => c.columns(['shop_id', 'question']).doUpdateSet(row))
          .execute();
      }
      return { reply: { chosen: await readShopSchools(tx) }, what: 'schools' };
    }),
  );

  on.open(contract.listCalculators, () =>
    Promise.resolve({
      calculators: calculators.map(({ name, title, source, inputs }) => ({
        name,
        title,
        source,
        inputs: inputs.map((i) => ({ ...i, ...(i.options ? { options: [...i.options] } : {}) })) as never,
      })),
    }),
  );
  on.open(contract.runCalculator, ({ params, body }) => {
    const outcome = runCalculator(params.name, body.inputs);
    if (!outcome.ok) throw params.name && outcome.errors['name'] ? notFound('This calculator') : badInput(outcome.errors);
    return Promise.resolve({ ...outcome.result, results: [...outcome.result.results] });
  });
}
