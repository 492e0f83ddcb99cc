import { moneyFields } from '@bay/contract/records';
import type { RecordKind } from '@bay/contract/records';
import { may } from '@bay/contract/rights';
import type { Caller } from '../http/register.ts';

type Data = Record<string, unknown>;

/** A record as this person may see it: amounts of money only for those who may see money. */
export function withoutMoney(caller: Caller, kind: RecordKind, data: Data): Data {
  const hidden = moneyFields[kind];
  if (!hidden || may(caller.role, 'see-money')) return data;
  return Object.fromEntries(Object.entries(data).filter(([field]) => !hidden.includes(field)));
}

/** What somebody cannot see they cannot erase by writing the rest. */
export function keepMoney(caller: Caller, kind: RecordKind, data: Data, before: Data | undefined): Data {
  const hidden = moneyFields[kind];
  if (!hidden || !before || may(caller.role, 'see-money')) return data;
  return { ...data, ...Object.fromEntries(hidden.filter((f) => before[f] !== undefined && data[f] === undefined).map((f) => [f, before[f]])) };
}
