import * as contract from '@bay/contract/schools';
import { schoolQuestions } from '@bay/core/schools';
import { noteChange, runCommand } from '../commands/run.ts';
import { badInput, notFound } from '../http/problem.ts';
import type { Registry } from '../http/register.ts';
import { readShopSchools } from './store.ts';

export function schoolRoutes(on: Registry): void {
  on.shop(contract.readSchools, async (tx) => ({ chosen: await readShopSchools(tx) }));

  on.shop(contract.chooseSchool, (tx, { params, body }, caller) =>
    runCommand(tx, caller, 'choose-school', body, async () => {
      const question = schoolQuestions.find((q) => q.id === params.question);
      if (!question) throw notFound('This question');
      noteChange(caller, { kind: 'schools' });
      if (body.side === '') await tx.deleteFrom('shop_school').where('question', '=', question.id).execute();
      else {
        if (!question.sides.some((s) => s.id === body.side))
          throw badInput({ side: 'This side does not belong to the question.' });
        const row = {
          shop_id: caller.shopId,
          question: question.id,
          side: body.side,
          by_id: caller.personId,
          at: new Date(),
        };
        await tx
          .insertInto('shop_school')
          .values(row)
          .onConflict((c) => c.columns(['shop_id', 'question']).doUpdateSet(row))
          .execute();
      }
      return { reply: { chosen: await readShopSchools(tx) } };
    }),
  );
}
