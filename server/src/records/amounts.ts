import type { RecordKind } from '@bay/contract/records';
import type { Tx } from '../db/connection.ts';

export interface Amount {
  shopId: string;
  jobId: string;
  kind: RecordKind;
  key: string;
  amount: number | undefined;
  byId: string;
  at: Date;
}

/** Keeps the amount of a record, or forgets it where there is none any more. */
export async function storeAmount(tx: Tx, { shopId, jobId, kind, key, amount, byId, at }: Amount): Promise<void> {
  if (amount === undefined)
    await tx.deleteFrom('money').where('job_id', '=', jobId).where('kind', '=', kind).where('key', '=', key).execute();
  else
    await tx
      .insertInto('money')
      .values({ shop_id: shopId, job_id: jobId, kind, key, amount, by_id: byId, at })
      .onConflict((c) =>
        c
          .columns(['shop_id', 'job_id', 'kind', 'key'])
          .doUpdateSet({ amount, by_id: byId, at })
          .where('money.amount', '<>', amount),
      )
      .execute();
}

/** Whether an amount stands there, whatever it is. */
export const hasAmount = async (tx: Tx, jobId: string, kind: RecordKind, key: string): Promise<boolean> =>
  (await tx
    .selectFrom('money')
    .select('key')
    .where('job_id', '=', jobId)
    .where('kind', '=', kind)
    .where('key', '=', key)
    .executeTakeFirst()) !== undefined;
