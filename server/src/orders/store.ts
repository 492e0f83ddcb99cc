import { sql } from 'kysely';
import { shareOut, toCome, toGive } from '@bay/core/orders';
import type { Order, OrderedLine } from '@bay/contract/orders';
import type { Tx } from '../db/connection.ts';
import { notFound } from '../http/problem.ts';

const ordersBy = (tx: Tx) =>
  tx
    .selectFrom('purchase')
    .innerJoin('supplier', 'supplier.id', 'purchase.supplier_id')
    .innerJoin('person', 'person.id', 'purchase.by_id')
    .selectAll('purchase')
    .select(['supplier.name as supplier', 'person.name as by']);
type Row = Awaited<ReturnType<ReturnType<typeof ordersBy>['executeTakeFirstOrThrow']>>;

/** Lines, what went back and amounts of several orders, in three questions for all of them. */
async function filled(tx: Tx, rows: readonly Row[]): Promise<Order[]> {
  const ids = rows.map((r) => r.id);
  if (ids.length === 0) return [];
  const lines = await tx
    .selectFrom('purchase_line')
    .innerJoin('job', 'job.id', 'purchase_line.job_id')
    .selectAll('purchase_line')
    .select([
      'job.number',
      (eb) =>
        eb
          .selectFrom('job_unit')
          .innerJoin('unit', 'unit.id', 'job_unit.unit_id')
          .select('unit.name')
          .whereRef('job_unit.job_id', '=', 'job.id')
          .where('job_unit.role', '=', 'car')
          .limit(1)
          .as('car'),
    ])
    .where('purchase_id', '=', sql<string>`any(${sql.val(ids)}::uuid[])`)
    .orderBy('title')
    .execute();
  const back = await tx
    .selectFrom('sent_back')
    .selectAll()
    .where('purchase_id', '=', sql<string>`any(${sql.val(ids)}::uuid[])`)
    .orderBy('at')
    .execute();
  // The policy of the table shows them only to a transaction of somebody who may see money.
  const amounts = await tx
    .selectFrom('purchase_amount')
    .select(['of_id', 'sort', 'amount'])
    .where('purchase_id', '=', sql<string>`any(${sql.val(ids)}::uuid[])`)
    .execute();
  const amountOf = (id: string, sort: 'price' | 'freight' | 'back' | 'deposit'): number | null =>
    amounts.find((a) => a.of_id === id && a.sort === sort)?.amount ?? null;
  return rows.map((r) => ({
    id: r.id,
    number: r.number,
    sort: r.sort,
    supplierId: r.supplier_id,
    supplier: r.supplier,
    orderedOn: r.ordered_on,
    promisedOn: r.promised_on,
    reference: r.reference,
    tracking: r.tracking,
    note: r.note,
    freight: amountOf(r.id, 'freight'),
    by: r.by,
    revision: r.revision,
    lines: lines
      .filter((l) => l.purchase_id === r.id)
      .map((l): OrderedLine => ({
        id: l.id,
        jobId: l.job_id,
        jobNumber: l.number,
        carName: l.car ?? '',
        kitId: l.kit_id,
        title: l.title,
        options: l.options,
        count: l.count,
        came: l.came,
        wrong: l.wrong,
        sentBack: l.sent_back,
        cancelled: l.cancelled,
        step: l.step,
        despite: l.despite,
        price: amountOf(l.id, 'price'),
        instead: l.instead,
        owed: l.owed,
        given: l.given,
        owedBy: l.owed_by,
        deposit: amountOf(l.id, 'deposit'),
      })),
    back: back
      .filter((b) => b.purchase_id === r.id)
      .map((b) => ({
        id: b.id,
        lineId: b.line_id,
        count: b.count,
        reason: b.reason,
        on: b.on_day,
        until: b.until_day,
        moneyBack: amountOf(b.id, 'back'),
        settled: b.settled,
      })),
  }));
}

export interface Wanted {
  open: boolean;
  jobId?: string | undefined;
  /** The number of the last one already shown. */
  before?: number | undefined;
  /** What stands on a label: the supplier's number, or the shop's. */
  q?: string | undefined;
}
const page = 60;

/** A page of orders, the last ordered first. */
export async function readOrders(
  tx: Tx,
  { open, jobId, before, q }: Wanted,
): Promise<{ orders: Order[]; more: boolean }> {
  let query = ordersBy(tx)
    .orderBy('purchase.number', 'desc')
    .limit(page + 1);
  if (open) query = query.where('purchase.open', '=', true);
  if (q !== undefined && q !== '')
    query = query.where((eb) =>
      eb.or([
        eb(sql`lower(purchase.reference)`, '=', q.toLowerCase()),
        eb(sql`purchase.number::text`, '=', q.replace(/^#/, '')),
      ]),
    );
  if (before !== undefined) query = query.where('purchase.number', '<', before);
  if (jobId !== undefined)
    query = query.where('purchase.id', 'in', (eb) =>
      eb.selectFrom('purchase_line').select('purchase_id').where('job_id', '=', jobId),
    );
  const rows = await query.execute();
  return { orders: await filled(tx, rows.slice(0, page)), more: rows.length > page };
}

export async function readOrder(tx: Tx, orderId: string): Promise<Order> {
  const row = await ordersBy(tx).where('purchase.id', '=', orderId).executeTakeFirst();
  if (!row) throw notFound('This order');
  return (await filled(tx, [row]))[0]!;
}

/** Locks an order, so that what is counted is counted by one at a time. */
export async function holdOrder(tx: Tx, orderId: string): Promise<Order> {
  const row = await tx.selectFrom('purchase').select('id').where('id', '=', orderId).forUpdate().executeTakeFirst();
  if (!row) throw notFound('This order');
  return readOrder(tx, orderId);
}

/** Its revision goes up; it stays open while something is to come or is owed back, or what went back is not settled. */
export async function touchOrder(tx: Tx, orderId: string): Promise<Order> {
  const now = await readOrder(tx, orderId);
  const open = now.lines.some((l) => toCome(l) > 0 || toGive(l) > 0) || now.back.some((b) => !b.settled);
  await tx
    .updateTable('purchase')
    .set({ open, revision: now.revision + 1 })
    .where('id', '=', orderId)
    .execute();
  return { ...now, revision: now.revision + 1 };
}

/** What orders cost one job: what came at its price, less what came back for it, and its share of the freight. Seen by those who see money. */
export async function ordersCost(tx: Tx, jobId: string): Promise<{ amount: number; kitIds: ReadonlySet<string> }> {
  const rows = await ordersBy(tx)
    .where('purchase.id', 'in', (eb) =>
      eb.selectFrom('purchase_line').select('purchase_id').where('job_id', '=', jobId),
    )
    .execute();
  const orders = await filled(tx, rows);
  const ofJob = orders.flatMap((o) => o.lines.filter((l) => l.jobId === jobId));
  const priced = ofJob.filter((l) => l.price !== null);
  // A deposit is spent for as long as what it stands for is not back.
  const deposits = ofJob.reduce((sum, l) => sum + (l.deposit ?? 0) * toGive(l), 0);
  const came = priced.reduce((sum, l) => sum + l.price! * l.came, 0);
  const own = new Set(priced.map((l) => l.id));
  const back = orders
    .flatMap((o) => o.back)
    .filter((b) => own.has(b.lineId))
    .reduce((sum, b) => sum + (b.moneyBack ?? 0), 0);
  const freight = orders.reduce(
    (sum, o) =>
      sum +
      (o.freight === null
        ? 0
        : (shareOut(
            o.freight,
            o.lines.map((l) => l.jobId),
          ).get(jobId) ?? 0)),
    0,
  );
  return { amount: came - back + freight + deposits, kitIds: new Set(priced.flatMap((l) => l.kitId ?? [])) };
}
