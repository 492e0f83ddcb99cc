import * as contract from '@bay/contract/calc';
import { calculators, runCalculator } from '@bay/core/calc';
import { badInput, notFound } from '../http/problem.ts';
import type { Registry } from '../http/register.ts';

export function calcRoutes(on: Registry): void {
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
    if (!outcome.ok)
      throw params.name && outcome.errors['name'] ? notFound('This calculator') : badInput(outcome.errors);
    return Promise.resolve({ ...outcome.result, results: [...outcome.result.results] });
  });
}
