import { schoolQuestions } from '@bay/core/plan';
import { badInput } from '../http/problem.ts';
import { kindRule, stamped } from '../records/kind.ts';

export const planKinds = [
  kindRule({
    kind: 'school',
    logKind: 'school',
    prepare: (data, context) => {
      const question = schoolQuestions.find((q) => q.id === context.key);
      if (!question || (data.side !== '' && !question.sides.some((s) => s.id === data.side)))
        throw badInput({ side: 'This side does not belong to the question.' });
      return stamped(data, context);
    },
    describe: (data, { key }) => {
      const question = schoolQuestions.find((q) => q.id === key)!;
      const side = question.sides.find((s) => s.id === data.side);
      return side ? `differs from the shop: ${question.question} ${side.label}. ${data.reason}` : `back to the shop's school: ${question.question}`;
    },
  }),
  kindRule({
    kind: 'candidate',
    logKind: 'unit',
    station: 'scope',
    prepare: (data, context) => stamped(data, context),
    describe: (data) => `candidate priced${data.note ? `, ${data.note}` : ''}`,
  }),
];
