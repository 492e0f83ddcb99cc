import Papa from 'papaparse';
import { kitLines } from '@bay/core/kit';
import { isOwn } from '@bay/core/memory';
import { titleOf } from '@bay/core/plan';
import { againstGiving, againstReceiving, againstReturning, kitStatusOf, toCome } from '@bay/core/orders';
import { counted } from '@bay/core/units';
import * as contract from '@bay/contract/orders';
import type { Order, OrderedLine } from '@bay/contract/orders';
import { noteChange, runCommand, writeLogEntry } from '../commands/run.ts';
import type { Tx } from '../db/connection.ts';
import { withMoney } from '../db/sees-money.ts';
import { badInput, notFound, Refusal } from '../http/problem.ts';
import type { Caller, Registry } from '../http/register.ts';
import { readHead } from '../jobs/store.ts';
import { announce } from '../live/events.ts';
import { findRecord, writeRecord } from '../records/store.ts';
import { holdOrder, readOrder, readOrders, touchOrder } from './store.ts';

/** Orders: placed once, counted as they come, and told to the kit line and the step that wait for them. */

type Data = Record<string, unknown>;

/** Writes a record of a job on top of what stands there now. */
async function over(
  tx: Tx,
  caller: Caller,
  jobId: string,
  kind: 'kit' | 'hold',
  key: string,
  change: (now: Data) => Data,
): Promise<void> {
  const now = await findRecord(tx, jobId, kind, key);
  const said = Object.fromEntries(
    Object.entries(now?.data ?? {}).filter(([field]) => field !== 'byId' && field !== 'at'),
  );
  await writeRecord(tx, caller, { jobId, kind, key, data: change(said), revision: now?.revision ?? 0 });
}

/** The kit line of a job says what its order says. */
async function tellKit(tx: Tx, caller: Caller, order: Order, line: OrderedLine): Promise<void> {
  if (line.kitId === null) return;
  const status = kitStatusOf(line);
  const now = await findRecord(tx, line.jobId, 'kit', line.kitId);
  if (now?.data['status'] === status || now?.data['status'] === 'fitted') return;
  await over(tx, caller, line.jobId, 'kit', line.kitId, (said) => ({
    ...said,
    status,
    supplierId: order.supplierId,
    ...(line.options === '' ? {} : { options: line.options }),
    ...(line.instead === null ? {} : { note: `in its place: ${line.instead}` }),
    ...(line.despite === null ? {} : { despite: line.despite }),
  }));
}

/** The step that waits for a line is held until all of it came right; its day moves with the order. */
async function tellStep(tx: Tx, caller: Caller, order: Order, line: OrderedLine): Promise<void> {
  if (line.step === null) return;
  const now = await findRecord(tx, line.jobId, 'hold', line.id);
  if (now?.data['released'] !== undefined) return;
  const came = toCome(line) === 0 && !line.cancelled;
  const due = line.cancelled ? null : order.promisedOn;
  const held: Data = { waitsFor: line.title, about: line.step, ...(due === null ? {} : { due }) };
  if (!came && now && now.data['due'] === held['due']) return;
  await over(tx, caller, line.jobId, 'hold', line.id, () => (came ? { ...held, released: {} } : held));
}

async function told(tx: Tx, caller: Caller, order: Order): Promise<void> {
  // Always one job after the other in the same turn, so that two orders never wait for each other.
  for (const line of [...order.lines].sort((a, b) => (a.jobId < b.jobId ? -1 : 1))) {
    await tellKit(tx, caller, order, line);
    await tellStep(tx, caller, order, line);
  }
  noteChange(caller, { kind: 'orders' });
  // A command speaks of one job; an order of several, so that each is told by itself.
  for (const jobId of new Set(order.lines.map((l) => l.jobId)))
    await announce(tx, { shopId: caller.shopId, jobId, by: caller.initials, changes: [{ kind: 'all' }] });
}

const fresh = (order: Order, revision: number): void => {
  if (order.revision !== revision)
    throw new Refusal(409, 'Somebody changed this order meanwhile. Look at it again.', { current: order });
};

const lineIn = (order: Order, lineId: string): OrderedLine => {
  const line = order.lines.find((l) => l.id === lineId);
  if (!line) throw notFound('This line of the order');
  return line;
};

/** One sentence in the book of each job that an order serves. */
async function inBooks(
  tx: Tx,
  caller: Caller,
  lines: readonly OrderedLine[],
  words: (own: readonly OrderedLine[]) => string,
): Promise<void> {
  for (const jobId of new Set(lines.map((l) => l.jobId)))
    await writeLogEntry(tx, caller, {
      jobId,
      kind: 'kit',
      text: words(lines.filter((l) => l.jobId === jobId)),
    });
}

const piecesOf = (lines: readonly OrderedLine[], n: (l: OrderedLine) => number): string =>
  lines.map((l) => (n(l) === 1 ? l.title : `${n(l)} × ${l.title}`)).join(', ');

/** Keeps an amount beside an order, whoever writes it. */
const keepAmount = (
  tx: Tx,
  caller: Caller,
  amount: { of_id: string; sort: 'price' | 'freight' | 'back' | 'deposit'; purchase_id: string; amount: number },
) =>
  withMoney(tx, () =>
    tx
      .insertInto('purchase_amount')
      .values({ ...amount, shop_id: caller.shopId, by_id: caller.personId })
      .onConflict((c) => c.columns(['shop_id', 'of_id', 'sort']).doUpdateSet({ amount: amount.amount }))
      .execute(),
  );

export function orderRoutes(on: Registry): void {
  on.shop(contract.listOrders, (tx, { query }) => readOrders(tx, query));

  on.shop(contract.placeOrder, (tx, { body }, caller) =>
    runCommand(tx, caller, 'place-order', body, async () => {
      const { id, lines } = body;
      if (body.promisedOn !== undefined && body.promisedOn < body.orderedOn)
        throw badInput({ promisedOn: 'It is promised for a day before it was ordered.' });
      for (const [i, l] of lines.entries()) {
        if (body.sort === 'borrowed' && l.owedBy === undefined)
          throw badInput({ [`lines.${i}.owedBy`]: 'Say by when it goes back.' });
        if (body.sort !== 'borrowed' && !l.owes && (l.deposit !== undefined || l.owedBy !== undefined))
          throw badInput({ [`lines.${i}.owes`]: 'A deposit and a day stand for something that goes back.' });
      }
      for (const { kitId } of lines)
        if (kitId !== undefined && !isOwn(kitId) && !kitLines.some((k) => k.id === kitId))
          throw notFound('This kit line');
      const ofKit = lines.flatMap((l) => (l.kitId === undefined ? [] : [`${l.jobId} ${l.kitId}`]));
      if (new Set(ofKit).size < ofKit.length) throw badInput({ lines: 'Each line of the kit once.' });
      for (const jobId of [...new Set(lines.map((l) => l.jobId))].sort()) await readHead(tx, jobId);
      const supplier = await tx
        .selectFrom('supplier')
        .select('name')
        .where('id', '=', body.supplierId)
        .executeTakeFirst();
      if (!supplier) throw badInput({ supplierId: 'This supplier is not in the list.' });
      // Orders are written one after the other: numbers go on, and the second sees what the first bought.
      await tx.selectFrom('shop').select('id').forNoKeyUpdate().executeTakeFirstOrThrow();
      for (const { jobId, kitId } of lines) {
        if (kitId === undefined) continue;
        const twice = await tx
          .selectFrom('purchase_line')
          .innerJoin('purchase', 'purchase.id', 'purchase_line.purchase_id')
          .select('purchase.number')
          .where('purchase_line.job_id', '=', jobId)
          .where('kit_id', '=', kitId)
          .where('cancelled', '=', false)
          .whereRef('came', '<', 'count')
          .executeTakeFirst();
        if (twice)
          throw new Refusal(409, `${titleOf(kitId)} is on order ${twice.number} already. Cancel it there first.`);
      }
      const { last } = await tx
        .selectFrom('purchase')
        .select(({ fn }) => fn.max('number').as('last'))
        .executeTakeFirstOrThrow();
      const written = await tx
        .insertInto('purchase')
        .values({
          shop_id: caller.shopId,
          id,
          number: (last ?? 0) + 1,
          sort: body.sort,
          supplier_id: body.supplierId,
          ordered_on: body.orderedOn,
          promised_on: body.promisedOn ?? null,
          reference: body.reference,
          note: body.note,
          by_id: caller.personId,
        })
        .onConflict((c) => c.doNothing())
        .returning('id')
        .executeTakeFirst();
      if (!written) throw new Refusal(409, 'This order was written already.');
      await tx
        .insertInto('purchase_line')
        .values(
          lines.map((l) => ({
            shop_id: caller.shopId,
            id: l.id,
            purchase_id: id,
            job_id: l.jobId,
            kit_id: l.kitId ?? null,
            title: l.title,
            options: l.options,
            count: l.count,
            step: l.step ?? null,
            despite: l.despite ?? null,
            owed: body.sort === 'borrowed' || l.owes ? l.count : 0,
            owed_by: l.owedBy ?? null,
          })),
        )
        .execute();
      for (const l of lines) {
        if (l.price !== undefined)
          await keepAmount(tx, caller, { of_id: l.id, sort: 'price', purchase_id: id, amount: l.price });
        if (l.deposit !== undefined)
          await keepAmount(tx, caller, { of_id: l.id, sort: 'deposit', purchase_id: id, amount: l.deposit });
      }
      if (body.freight !== undefined)
        await keepAmount(tx, caller, { of_id: id, sort: 'freight', purchase_id: id, amount: body.freight });
      const order = await readOrder(tx, id);
      // The rule of the kit line is asked by writing it: an order goes past no blank that it would not.
      await told(tx, caller, order);
      const own = order.lines.filter((l) => l.kitId === null);
      if (own.length > 0)
        await inBooks(
          tx,
          caller,
          own,
          (some) => `ordered from ${supplier.name}, order ${order.number}: ${piecesOf(some, (l) => l.count)}`,
        );
      return { reply: { order: await readOrder(tx, id) } };
    }),
  );

  on.shop(contract.changeOrder, (tx, { params: { orderId }, body }, caller) =>
    runCommand(tx, caller, 'change-order', body, async () => {
      const now = await holdOrder(tx, orderId);
      fresh(now, body.revision);
      if (body.promisedOn !== null && body.promisedOn < now.orderedOn)
        throw badInput({ promisedOn: 'It is promised for a day before it was ordered.' });
      await tx
        .updateTable('purchase')
        .set({ promised_on: body.promisedOn, reference: body.reference, tracking: body.tracking, note: body.note })
        .where('id', '=', orderId)
        .execute();
      await touchOrder(tx, orderId);
      await promiseMoved(tx, caller, now, await readOrder(tx, orderId));
      return { reply: { order: await readOrder(tx, orderId) } };
    }),
  );

  on.shop(contract.receiveOrder, (tx, { params: { orderId }, body }, caller) =>
    runCommand(tx, caller, 'receive-order', body, async () => {
      const now = await holdOrder(tx, orderId);
      fresh(now, body.revision);
      const got = body.lines.filter((l) => l.came + l.wrong > 0);
      if (got.length === 0) throw badInput({ lines: 'Say how many came.' });
      if (new Set(got.map((g) => g.id)).size < got.length) throw badInput({ lines: 'Each line once.' });
      for (const { id, came, wrong, instead } of got) {
        const against =
          instead !== undefined && instead !== '' && came === 0
            ? `Nothing of ${lineIn(now, id).title} came, so nothing came in its place.`
            : againstReceiving(lineIn(now, id), came, wrong);
        if (against !== undefined) throw new Refusal(409, against);
      }
      for (const { id, came, wrong, instead } of got)
        await tx
          .updateTable('purchase_line')
          .set((eb) => ({
            came: eb('came', '+', came),
            wrong: eb('wrong', '+', wrong),
            ...(instead === undefined || instead === '' ? {} : { instead }),
          }))
          .where('id', '=', id)
          .execute();
      const order = await touchOrder(tx, orderId);
      const by = new Map(got.map((g) => [g.id, g]));
      const lines = order.lines.filter((l) => by.has(l.id));
      await inBooks(tx, caller, lines, (own) => {
        const right = own.filter((l) => by.get(l.id)!.came > 0);
        const bad = own.filter((l) => by.get(l.id)!.wrong > 0);
        return [
          ...(right.length > 0 ? [`arrived: ${piecesOf(right, (l) => by.get(l.id)!.came)}`] : []),
          ...(bad.length > 0 ? [`wrong or damaged: ${piecesOf(bad, (l) => by.get(l.id)!.wrong)}`] : []),
          ...own.flatMap((l) => {
            const other = by.get(l.id)!.instead;
            return other ? [`${other} in place of ${l.title}`] : [];
          }),
          ...(body.note === '' ? [] : [body.note]),
        ].join('; ');
      });
      await told(tx, caller, order);
      return { reply: { order: await readOrder(tx, orderId) } };
    }),
  );

  on.shop(contract.cancelOrderLine, (tx, { params: { orderId }, body }, caller) =>
    runCommand(tx, caller, 'cancel-order-line', body, async () => {
      const now = await holdOrder(tx, orderId);
      fresh(now, body.revision);
      const line = lineIn(now, body.lineId);
      if (line.cancelled) throw new Refusal(409, `${line.title} was cancelled already.`);
      if (toCome(line) === 0) throw new Refusal(409, `All of ${line.title} came: it is sent back, not cancelled.`);
      await tx.updateTable('purchase_line').set({ cancelled: true }).where('id', '=', line.id).execute();
      const order = await touchOrder(tx, orderId);
      await inBooks(tx, caller, [line], () => `does not come: ${line.title}, order ${now.number}, ${body.why}`);
      await told(tx, caller, order);
      return { reply: { order: await readOrder(tx, orderId) } };
    }),
  );

  on.shop(contract.sendBack, (tx, { params: { orderId }, body }, caller) =>
    runCommand(tx, caller, 'send-back', body, async () => {
      const now = await holdOrder(tx, orderId);
      fresh(now, body.revision);
      const line = lineIn(now, body.lineId);
      const against = againstReturning(line, body.count);
      if (against !== undefined) throw new Refusal(409, against);
      const written = await tx
        .insertInto('sent_back')
        .values({
          shop_id: caller.shopId,
          id: body.id,
          purchase_id: orderId,
          line_id: line.id,
          count: body.count,
          reason: body.reason,
          on_day: body.on,
          until_day: body.until ?? null,
          by_id: caller.personId,
        })
        .onConflict((c) => c.doNothing())
        .returning('id')
        .executeTakeFirst();
      if (!written) throw new Refusal(409, 'This went back already.');
      await tx
        .updateTable('purchase_line')
        .set((eb) => ({ sent_back: eb('sent_back', '+', body.count) }))
        .where('id', '=', line.id)
        .execute();
      const order = await touchOrder(tx, orderId);
      await inBooks(
        tx,
        caller,
        [line],
        () => `sent back: ${body.count === 1 ? '' : `${body.count} × `}${line.title}, ${body.reason}`,
      );
      await told(tx, caller, order);
      return { reply: { order: await readOrder(tx, orderId) } };
    }),
  );

  on.shop(contract.giveBack, (tx, { params: { orderId }, body }, caller) =>
    runCommand(tx, caller, 'give-back', body, async () => {
      const now = await holdOrder(tx, orderId);
      fresh(now, body.revision);
      const line = lineIn(now, body.lineId);
      const against = againstGiving(line, body.count);
      if (against !== undefined) throw new Refusal(409, against);
      await tx
        .updateTable('purchase_line')
        .set((eb) => ({ given: eb('given', '+', body.count) }))
        .where('id', '=', line.id)
        .execute();
      await touchOrder(tx, orderId);
      const many = body.count === 1 ? '' : `${body.count} × `;
      await inBooks(tx, caller, [line], () =>
        now.sort === 'borrowed'
          ? `given back: ${many}${line.title}, to ${now.supplier}`
          : `old part back: ${many}${line.title}, to ${now.supplier}`,
      );
      noteChange(caller, { kind: 'orders' });
      return { reply: { order: await readOrder(tx, orderId) } };
    }),
  );

  on.shop(contract.settleBack, (tx, { params: { orderId, backId }, body }, caller) =>
    runCommand(tx, caller, 'settle-back', body, async () => {
      const now = await holdOrder(tx, orderId);
      fresh(now, body.revision);
      const back = now.back.find((b) => b.id === backId);
      if (!back) throw notFound('What went back');
      if (back.settled) throw new Refusal(409, 'This is settled already.');
      const { price } = lineIn(now, back.lineId);
      if (price !== null && body.moneyBack > price * back.count)
        throw new Refusal(409, 'More cannot come back than it cost.');
      await tx.updateTable('sent_back').set({ settled: true }).where('id', '=', backId).execute();
      await keepAmount(tx, caller, { of_id: backId, sort: 'back', purchase_id: orderId, amount: body.moneyBack });
      await touchOrder(tx, orderId);
      noteChange(caller, { kind: 'orders' });
      return { reply: { order: await readOrder(tx, orderId) } };
    }),
  );

  on.shop(contract.ordersTable, async (tx) => {
    const { orders } = await readOrders(tx, { open: true });
    const data = orders.flatMap((o) =>
      o.lines.map((l) => ({
        order: o.number,
        supplier: o.supplier,
        reference: o.reference,
        ordered: o.orderedOn,
        promised: o.promisedOn ?? '',
        job: l.jobNumber,
        what: l.title,
        options: l.options,
        count: l.count,
        came: l.came,
        wrong: l.wrong,
        back: l.sentBack,
      })),
    );
    const fields = [
      'order',
      'supplier',
      'reference',
      'ordered',
      'promised',
      'job',
      'what',
      'options',
      'count',
      'came',
      'wrong',
      'back',
    ];
    const csv = Papa.unparse({ fields, data }, { escapeFormulae: true });
    return { name: 'orders.csv', type: 'text/csv', bytes: `${csv}\r\n`, keep: 'never' as const };
  });

  on.shop(contract.readFeed, (tx, { body }, caller) =>
    runCommand(tx, caller, 'supplier-feed', body, async () => {
      const known = await tx
        .selectFrom('purchase')
        .select(['id', 'reference'])
        .where('supplier_id', '=', body.supplierId)
        .where('open', '=', true)
        .where('reference', 'in', [...new Set(body.orders.map((o) => o.reference))])
        .execute();
      let moved = 0;
      for (const { reference, promisedOn, tracking } of body.orders) {
        for (const { id } of known.filter((k) => k.reference === reference)) {
          const now = await holdOrder(tx, id);
          const on = promisedOn ?? now.promisedOn;
          const words = tracking ?? now.tracking;
          if ((on === now.promisedOn && words === now.tracking) || (on !== null && on < now.orderedOn)) continue;
          await tx.updateTable('purchase').set({ promised_on: on, tracking: words }).where('id', '=', id).execute();
          await touchOrder(tx, id);
          await promiseMoved(tx, caller, now, await readOrder(tx, id));
          moved += 1;
        }
      }
      const found = new Set(known.map((k) => k.reference));
      return {
        reply: { moved, unknown: [...new Set(body.orders.map((o) => o.reference))].filter((r) => !found.has(r)) },
      };
    }),
  );
}

/** Another promised day is told to the books and to the steps that wait. */
async function promiseMoved(tx: Tx, caller: Caller, before: Order, after: Order): Promise<void> {
  if (before.promisedOn !== after.promisedOn) {
    const open = after.lines.filter((l) => toCome(l) > 0);
    await inBooks(
      tx,
      caller,
      open,
      (own) =>
        `${after.promisedOn === null ? 'no day is promised any more' : `promised for ${after.promisedOn} now`}, order ${after.number}: ${counted(own.length, 'line')}, ${piecesOf(own, toCome)}`,
    );
  }
  await told(tx, caller, after);
}
