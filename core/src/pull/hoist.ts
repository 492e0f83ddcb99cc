import { Sum } from '../rules/sum.ts';
import { liftReserve } from '../sums/index.ts';

/** What a hoist carries at its boom place less the load and a quarter more, kg. Common practice, no source. */
export function hoistLeftOver(rating: Sum, load: Sum): Sum {
  const reserve = Sum.of({ label: 'Reserve', value: liftReserve, unit: '', basis: 'common practice' });
  return rating.minus(load).minus(load.times(reserve, `Reserve of ${liftReserve * 100} %`));
}
