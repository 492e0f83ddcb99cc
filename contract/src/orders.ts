import { z } from 'zod';
import { orderSorts } from '@bay/core/orders';
import { command, endpoint, fileReply, id, isoDate, line } from './endpoint.ts';
import { text } from './kind.ts';
import { amountOfMoney } from './money.ts';

/** Orders of the shop, over all its jobs. Amounts stand there for those who may see money, and are null for the others. */

const pieces = z
  .number()
  .int('Pieces are counted whole.')
  .min(0, 'Not fewer than none.')
  .max(10_000, 'At most 10,000.');

export const orderLine = z.object({
  id,
  jobId: id,
  jobNumber: z.string(),
  carName: z.string(),
  /** The line of the kit that it is; null for what no kit asked for. */
  kitId: z.string().nullable(),
  title: z.string(),
  options: z.string(),
  count: z.number(),
  came: z.number(),
  wrong: z.number(),
  sentBack: z.number(),
  cancelled: z.boolean(),
  /** The step that waits for it, by the key of its record. */
  step: z.string().nullable(),
  /** Why it was ordered although something about it was open. */
  despite: z.string().nullable(),
  /** Each, before tax. */
  price: z.number().nullable(),
  /** What came in its place and was taken for it. */
  instead: z.string().nullable(),
  /** Pieces that the shop owes back, of these given, and by when. */
  owed: z.number(),
  given: z.number(),
  owedBy: z.string().nullable(),
  /** Paid for each until it is back. */
  deposit: z.number().nullable(),
});
export const goneBack = z.object({
  id,
  lineId: id,
  count: z.number(),
  reason: z.string(),
  on: z.string(),
  /** Until when it may go back, or is paid back. */
  until: z.string().nullable(),
  /** Money that came back for it; null until it did, or for those who do not see money. */
  moneyBack: z.number().nullable(),
  settled: z.boolean(),
});
export const order = z.object({
  id,
  number: z.number(),
  sort: z.enum(orderSorts),
  supplierId: id,
  supplier: z.string(),
  orderedOn: z.string(),
  promisedOn: z.string().nullable(),
  reference: z.string(),
  tracking: z.string(),
  note: z.string(),
  freight: z.number().nullable(),
  by: z.string(),
  revision: z.number(),
  lines: z.array(orderLine),
  back: z.array(goneBack),
});
export type Order = z.infer<typeof order>;
export type OrderedLine = z.infer<typeof orderLine>;

export const listOrders = endpoint({
  method: 'get',
  path: '/api/orders',
  summary: 'Orders of the shop: those with something to come or to go back, or all; a page, the last ordered first',
  access: 'look',
  query: z.object({
    open: z.stringbool().default(true),
    jobId: id.optional(),
    /** The number of the supplier, or that of the shop, as it stands on a label. */
    q: z.string().trim().max(60).optional(),
    before: z.coerce.number().int().min(1).optional(),
  }),
  reply: z.object({ orders: z.array(order), more: z.boolean() }),
});
export const placeOrder = endpoint({
  method: 'post',
  path: '/api/orders',
  summary: 'Order goods or outside work; kit lines stop at a blank unless somebody says why they go out all the same',
  access: 'work',
  body: z.object({
    ...command,
    id,
    sort: z.enum(orderSorts),
    supplierId: id,
    orderedOn: isoDate,
    promisedOn: isoDate.optional(),
    reference: text(60).default(''),
    note: text(300).default(''),
    freight: amountOfMoney.optional(),
    lines: z
      .array(
        z.object({
          id,
          jobId: id,
          kitId: z.string().max(80).optional(),
          title: line(120),
          options: text(300).default(''),
          count: pieces.min(1, 'At least one.'),
          price: amountOfMoney.optional(),
          step: z.string().max(120).optional(),
          despite: line(300).min(10, 'Say it in a sentence.').optional(),
          /** Each piece is owed back: an old part against this deposit, or the borrowed thing itself. */
          owes: z.boolean().default(false),
          owedBy: isoDate.optional(),
          deposit: amountOfMoney.optional(),
        }),
      )
      .min(1, 'An order has at least one line.')
      .max(100, 'At most 100 lines.'),
  }),
  reply: z.object({ order }),
});
export const changeOrder = endpoint({
  method: 'put',
  path: '/api/orders/:orderId',
  summary: 'Another promised day, a number, words of the carrier',
  access: 'work',
  params: z.object({ orderId: id }),
  body: z.object({
    ...command,
    revision: z.number().int().min(1),
    promisedOn: isoDate.nullable(),
    reference: text(60),
    tracking: text(200),
    note: text(300),
  }),
  reply: z.object({ order }),
});
export const receiveOrder = endpoint({
  method: 'post',
  path: '/api/orders/:orderId/receive',
  summary: 'Something came: whole and right, or wrong; what waits for it is freed',
  access: 'work',
  params: z.object({ orderId: id }),
  body: z.object({
    ...command,
    revision: z.number().int().min(1),
    lines: z
      .array(
        z.object({
          id,
          came: pieces,
          wrong: pieces.default(0),
          /** Another thing came in its place, and is taken for it. */
          instead: text(120).optional(),
        }),
      )
      .min(1, 'Say what came.'),
    note: text(200).default(''),
  }),
  reply: z.object({ order }),
});
export const cancelOrderLine = endpoint({
  method: 'post',
  path: '/api/orders/:orderId/cancel',
  summary: 'A line does not come any more',
  access: 'work',
  params: z.object({ orderId: id }),
  body: z.object({
    ...command,
    revision: z.number().int().min(1),
    lineId: id,
    why: line(200).min(3, 'Say why it does not come.'),
  }),
  reply: z.object({ order }),
});
export const sendBack = endpoint({
  method: 'post',
  path: '/api/orders/:orderId/back',
  summary: 'Something goes back, with its reason',
  access: 'work',
  params: z.object({ orderId: id }),
  body: z.object({
    ...command,
    revision: z.number().int().min(1),
    id,
    lineId: id,
    count: pieces.min(1, 'At least one.'),
    reason: line(200).min(3, 'Say why it goes back.'),
    on: isoDate,
    until: isoDate.optional(),
  }),
  reply: z.object({ order }),
});
export const settleBack = endpoint({
  method: 'post',
  path: '/api/orders/:orderId/back/:backId/settle',
  summary: 'Money came back for what went back, or it is said that none will',
  access: 'manage',
  params: z.object({ orderId: id, backId: id }),
  body: z.object({ ...command, revision: z.number().int().min(1), moneyBack: amountOfMoney }),
  reply: z.object({ order }),
});
export const giveBack = endpoint({
  method: 'post',
  path: '/api/orders/:orderId/give-back',
  summary: 'What was owed went back: the old part, with its deposit, or the borrowed tool',
  access: 'work',
  params: z.object({ orderId: id }),
  body: z.object({
    ...command,
    revision: z.number().int().min(1),
    lineId: id,
    count: pieces.min(1, 'At least one.'),
  }),
  reply: z.object({ order }),
});
export const ordersTable = endpoint({
  method: 'get',
  path: '/api/orders.csv',
  summary: 'Lines of all open orders, as CSV',
  access: 'look',
  gives: ['text/csv'],
  reply: fileReply,
});

/** What a supplier's feed says of an order, found by the number that it gave it. */
export const readFeed = endpoint({
  method: 'post',
  path: '/api/orders/feed',
  summary: 'Takes in what a supplier says of its orders: promised days move, and what waits for them moves with them',
  access: 'work',
  body: z.object({
    ...command,
    supplierId: id,
    orders: z
      .array(z.object({ reference: line(60), promisedOn: isoDate.optional(), tracking: text(200).optional() }))
      .min(1, 'Nothing is in it.')
      .max(500, 'At most 500 orders at a time.'),
  }),
  reply: z.object({ moved: z.number(), unknown: z.array(z.string()) }),
});
