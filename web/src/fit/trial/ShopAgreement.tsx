import { useQuery } from '@tanstack/react-query';
import { agreementWords } from '@bay/core/fit';
import { readAgreement } from '@bay/contract/fit';
import { call, keys } from '../../api/index.ts';

/** How near forecasts of this shop came to what was read; nothing while nothing was read. */
export function ShopAgreement() {
  const { data } = useQuery({ queryKey: keys.agreement, queryFn: () => call(readAgreement) });
  return data?.agreement ? (
    <p className="quiet">
      <b>Forecast against tape in this shop:</b> {agreementWords(data.agreement)}
    </p>
  ) : null;
}
