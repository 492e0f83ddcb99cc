import { sql } from 'kysely';
import type { RawBuilder } from 'kysely';
import { roles } from '@bay/contract/crew';
import { may } from '@bay/contract/rights';
import type { Tx } from './connection.ts';

/**
 * Amounts of money lie in a table of their own. Who sees a row of it is decided by the database (the policy of the table), by
 * what is set here for the running transaction: no reader has to leave anything out.
 */
const seers = roles.filter((role) => may(role, 'see-money'));

const setSees = (tx: Tx, sees: boolean): Promise<unknown> =>
  sql`select set_config('bay.sees_money', ${sees ? 'yes' : ''}, true)`.execute(tx);

/** Part of the question who calls: lets the running transaction see amounts if that person may. */
export const seesMoneyByRole: RawBuilder<string> = sql`set_config('bay.sees_money', case when role = any(${sql.val(seers)}) then 'yes' else '' end, true)`;

/** The server's own doing with amounts of which the caller is told nothing, or only what they are asked to approve. */
export async function withMoney<T>(tx: Tx, work: () => Promise<T>): Promise<T> {
  const { rows } = await sql<{ sees: boolean }>`select sees_money() as sees`.execute(tx);
  if (rows[0]!.sees) return work();
  await setSees(tx, true);
  const result = await work();
  await setSees(tx, false);
  return result;
}
