import { schoolQuestions } from '@bay/core/schools';
import { badInput } from '../http/problem.ts';
import { kindRule } from '../records/kind.ts';

export const schoolKinds = [
  kindRule({
    kind: 'school',
    logKind: 'school',
    check: (data, { key }) => {
      const question = schoolQuestions.find((q) => q.id === key);
      if (!question || (data.side !== '' && !question.sides.some((s) => s.id === data.side)))
        throw badInput({ side: 'This side does not belong to the question.' });
    },
    describe: (data, { key }) => {
      const question = schoolQuestions.find((q) => q.id === key)!;
      const side = question.sides.find((s) => s.id === data.side);
      return side
        ? `differs from the shop: ${question.question} ${side.label}. ${data.reason}`
        : `back to the shop's school: ${question.question}`;
    },
  }),
];
