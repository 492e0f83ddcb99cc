import {
  changeStored,
  drawPlace,
  erasePlace,
  labelsPdf,
  listPlaces,
  listStore,
  movePlace,
  readPart,
} from '@bay/contract/parts';
import pg from 'pg';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import * as kit from '@bay/contract/kit';
import * as arrival from '@bay/contract/arrival';
import * as memory from '@bay/contract/memory';
import * as orders from '@bay/contract/orders';
import * as money from '@bay/contract/money';
import { setCurrency } from '@bay/contract/money';
import { endpoints } from '@bay/contract/all';
import * as clock from '@bay/contract/clock';
import { readWanted } from '@bay/contract/donors';
import { readFoundBefore } from '@bay/contract/pull';
import * as crew from '@bay/contract/crew';
import type { Endpoint } from '@bay/contract/endpoint';
import * as facts from '@bay/contract/facts';
import { readAgreement } from '@bay/contract/fit';
import * as handover from '@bay/contract/handover';
import * as jobs from '@bay/contract/jobs';
import * as logbook from '@bay/contract/logbook';
import * as records from '@bay/contract/records';
import * as schools from '@bay/contract/schools';
import { appRole } from '../db/connection.ts';
import { Client, commandId, freshDatabase, startServer } from './harness.ts';
import type { TestServer } from './harness.ts';
import { someInitials } from '../testing/initials.ts';
import { asFile, phonePhoto } from './pictures.ts';
import { fillWith } from './volume.ts';
import type { FilledShop } from './volume.ts';

/**
 * Every endpoint on a filled database: the plan that PostgreSQL makes for each of its questions, as the application's role under
 * row-level security, reads no large table from end to end. What is looked at is the plan, not a clock.
 */

const large = new Set([
  'fact',
  'fact_version',
  'record',
  'part',
  'bag',
  'kit_line',
  'money',
  'purchase',
  'purchase_line',
  'purchase_amount',
  'payment',
  'quote',
  'log_entry',
  'job',
  'unit',
  'job_unit',
  'customer',
  'command',
  'job_digest',
  'job_version',
]);

let database: Awaited<ReturnType<typeof freshDatabase>>;
let server: TestServer;
let shop: FilledShop;
let client: Client;
let asked: { sql: string; parameters: readonly unknown[] }[] = [];
let looking: pg.Client;
/** The table of each index: where a plan names an index only. */
const tableOf = new Map<string, string>();

beforeAll(async () => {
  database = await freshDatabase();
  const shops = await fillWith(database.url, {
    seed: 7,
    jobs: [1200, 300, 50],
    inBays: 4,
    inYard: 60,
    factsPerJob: 40,
    recordsPerJob: 48,
    linesPerJob: 30,
  });
  shop = shops[0]!;
  server = await startServer(database.url, {
    asked: (sql, parameters) => void asked.push({ sql, parameters }),
  });
  client = new Client(server.url);
  await client.good(crew.signIn, { body: { email: shop.email, password: shop.password } });
  looking = new pg.Client({ connectionString: database.url, options: `-c role=${appRole}` });
  await looking.connect();
  await looking.query("select set_config('bay.shop_id', $1, false)", [shop.shopId]);
  // At this size reading a whole table, or hashing it, may be the cheaper way; what is asked here is whether another way is there.
  for (const way of ['seqscan', 'hashjoin', 'mergejoin'])
    await looking.query(`set enable_${way} = off`);
  const { rows } = await looking.query<{ index: string; table: string }>(
    "select indexname as index, tablename as table from pg_indexes where schemaname = 'public'",
  );
  for (const { index, table } of rows) tableOf.set(index, table);
  expect(tableOf.get('customer_pkey')).toBe('customer');
}, 120_000);
afterAll(async () => {
  await looking.end();
  await server.stop();
  await database.drop();
});

interface Node {
  'Node Type': string;
  'Relation Name'?: string;
  'Index Name'?: string;
  'Index Cond'?: string;
  Plans?: Node[];
}
const nodesOf = (node: Node): Node[] => [node, ...(node.Plans ?? []).flatMap(nodesOf)];

/** Indexes that hold only what is open, waits or runs: reading one of them whole is what they are for. */
const small = new Set([
  // Orders with something still to come: those of weeks, not of years.
  'purchase_open',
  'job_open',
  'job_in_yard',
  'record_half_signed',
  'record_open_asks',
  'record_handed',
  'clock_running',
]);

/** Columns that by themselves narrow nothing down. */
const wide = new Set(['shop_id', 'kind', 'role']);

/** What a plan reads whole: a large table, or all rows of a shop in an index, unless it stops after a page. */
function wholeReads(node: Node, limited: boolean): string[] {
  const own = ((): string[] => {
    const relation = node['Relation Name'] ?? '';
    if (node['Node Type'] === 'Seq Scan') return large.has(relation) ? [relation] : [];
    // Of a shop, or of a kind in a shop: such a range grows with every job.
    const named = [...(node['Index Cond'] ?? '').matchAll(/\(?(\w+) (?:=|<|>|~|@)/g)];
    const onlyShop = named.length > 0 && named.every(([, c]) => wide.has(c!));
    const index = node['Index Name'] ?? '';
    return onlyShop && large.has(tableOf.get(index) ?? relation) && !limited && !small.has(index)
      ? [`all of the shop in ${index}`]
      : [];
  })();
  // What is sorted or grouped is read to its end before the first row comes out.
  const stops =
    node['Node Type'] === 'Limit' ||
    (limited && !['Sort', 'Aggregate', 'Hash', 'Materialize'].includes(node['Node Type']));
  return [...own, ...(node.Plans ?? []).flatMap((child) => wholeReads(child, stops))];
}

/** Large tables that a question reads from end to end. */
async function readWhole({
  sql,
  parameters,
}: {
  sql: string;
  parameters: readonly unknown[];
}): Promise<string[]> {
  if (!/^\s*(select|with|update|delete|insert)/i.test(sql)) return [];
  const { rows } = await looking.query<{ 'QUERY PLAN': [{ Plan: Node }] }>(
    `explain (format json) ${sql}`,
    [...parameters],
  );
  return wholeReads(rows[0]!['QUERY PLAN'][0].Plan, false).map(
    (name) => `${name} in: ${sql.replace(/\s+/g, ' ').slice(0, 300)}`,
  );
}

async function allReadWhole(
  questions: readonly { sql: string; parameters: readonly unknown[] }[],
): Promise<string[]> {
  const found: string[] = [];
  for (const question of questions) found.push(...(await readWhole(question)));
  return found;
}

const body = (extra: Record<string, unknown> = {}) => ({ commandId: commandId(), ...extra });
type Input = Parameters<Client['call']>[1];
const paymentId = commandId();

interface Things {
  jobId: string;
  carId: string;
  entryId: number;
  partId: string;
  person: string;
  left: string;
  token: string;
  linkId: string;
  clockId: string;
  command: string;
  supplierId: string;
  orderId: string;
  lineId: string;
}

const calls: [Endpoint, (t: Things) => Input][] = [
  [jobs.readFloor, () => ({})],
  [jobs.readYard, () => ({ query: { after: '' } })],
  [jobs.readStrip, (t) => ({ params: { jobId: t.jobId } })],
  [jobs.readFinishedJobs, () => ({})],
  [jobs.readJob, (t) => ({ params: { jobId: t.jobId } })],
  [
    jobs.readJobParts,
    (t) => ({
      params: { jobId: t.jobId },
      query: {
        facts: 'rec-model-year,eng-mass',
        records: 'task:rm-identify',
        logAfter: 1,
        running: 'true',
        head: 'true',
      },
    }),
  ],
  [jobs.listUnits, () => ({})],
  [jobs.listUnits, () => ({ query: { q: '1977', kind: 'engine', free: 'true' } })],
  [jobs.countUnits, () => ({})],
  [jobs.readUnit, (t) => ({ params: { unitId: t.carId } })],
  [jobs.unitFacts, (t) => ({ params: { unitId: t.carId } })],
  [jobs.find, () => ({ query: { q: '1977 car' } })],
  [kit.listSuppliers, () => ({})],
  [
    kit.addSupplier,
    () => ({ body: body({ supplierId: commandId(), name: `One ${commandId()}` }) }),
  ],
  [
    kit.renameSupplier,
    (t) => ({
      params: { supplierId: t.supplierId },
      body: body({ name: `Other ${commandId()}`, revision: 1 }),
    }),
  ],
  [setCurrency, () => ({ body: body({ currency: 'XXX' }) })],
  [money.readTerms, () => ({})],
  [
    money.setTerms,
    () => ({
      body: body({
        revision: 0,
        terms: {
          hourRate: 8000,
          hourCost: 5000,
          priceUnit: 100,
          markup: 10,
          sundries: 5,
          tax: 20,
          deposit: 30,
          validDays: 30,
        },
      }),
    }),
  ],
  [
    money.makeQuote,
    (t) => ({
      params: { jobId: t.jobId },
      body: body({ after: 6, despite: 'nothing is settled yet' }),
    }),
  ],
  [money.listQuotes, (t) => ({ params: { jobId: t.jobId } })],
  [money.quotePdf, (t) => ({ params: { jobId: t.jobId, number: 1 } })],
  [arrival.arrivalPdf, (t) => ({ params: { jobId: t.jobId } })],
  [money.extrasPdf, (t) => ({ params: { jobId: t.jobId } })],
  [money.accountPdf, (t) => ({ params: { jobId: t.jobId } })],
  [handover.customerPhoto, (t) => ({ params: { token: t.token, photoId: commandId() } })],
  [handover.customerQuotePdf, (t) => ({ params: { token: t.token, number: 1 } })],
  [
    handover.answerQuote,
    (t) => ({
      params: { token: t.token },
      body: body({ number: 1, say: 'yes', name: 'Ada Ferrow' }),
    }),
  ],
  [money.withdrawQuote, (t) => ({ params: { jobId: t.jobId, number: 1 }, body: body() })],
  [money.readAccount, (t) => ({ params: { jobId: t.jobId } })],
  [
    money.addPayment,
    (t) => ({
      params: { jobId: t.jobId },
      body: body({ id: paymentId, sort: 'deposit', amount: 1000, on: '2026-11-26' }),
    }),
  ],
  [money.receiptPdf, (t) => ({ params: { jobId: t.jobId, paymentId } })],
  [money.moneyLines, (t) => ({ params: { jobId: t.jobId } })],
  [
    orders.placeOrder,
    (t) => ({
      body: body({
        id: commandId(),
        sort: 'goods',
        supplierId: t.supplierId,
        orderedOn: '2026-11-20',
        reference: 'L-1',
        lines: [
          {
            id: commandId(),
            jobId: t.jobId,
            title: 'Coolant neck',
            count: 3,
            price: 1200,
            step: 'rm-chock',
          },
        ],
      }),
    }),
  ],
  [
    memory.keepShopRule,
    () => ({
      body: body({
        id: 'own-strap-a1b2',
        line: { sort: 'step', title: 'Strap', station: 'connect' },
        when: 'eng-fuel = diesel',
      }),
    }),
  ],
  [memory.listShopRules, () => ({})],
  [readWanted, (t) => ({ params: { jobId: t.jobId } })],
  [memory.readPairings, (t) => ({ params: { jobId: t.jobId } })],
  [memory.tryShopRule, () => ({ body: { when: 'eng-fuel = diesel' } })],
  [
    memory.endShopRule,
    () => ({ params: { ruleId: 'own-strap-a1b2' }, body: body({ why: 'tank changed' }) }),
  ],
  [orders.listOrders, () => ({})],
  [orders.listOrders, (t) => ({ query: { jobId: t.jobId } })],
  [orders.ordersTable, () => ({})],
  ...(
    [
      [orders.changeOrder, { promisedOn: '2026-12-01', reference: 'L-1', tracking: '', note: '' }],
      [orders.receiveOrder, { lines: [{ id: '{line}', came: 1 }] }],
      [orders.cancelOrderLine, { lineId: '{line}', why: 'no longer made' }],
      [orders.giveBack, { lineId: '{line}', count: 1 }],
      [
        orders.sendBack,
        { id: '{new}', lineId: '{line}', count: 1, reason: 'cracked', on: '2026-11-26' },
      ],
    ] as const
  ).map(([e, given]): [Endpoint, (t: Things) => Input] => [
    e,
    (t) => ({
      params: { orderId: t.orderId },
      body: body(
        JSON.parse(
          JSON.stringify({ ...given, revision: 2 })
            .replaceAll('{line}', t.lineId)
            .replaceAll('{new}', commandId()),
        ),
      ),
    }),
  ]),
  [
    orders.settleBack,
    (t) => ({
      params: { orderId: t.orderId, backId: t.orderId },
      body: body({ revision: 1, moneyBack: 1 }),
    }),
  ],
  [
    orders.readFeed,
    (t) => ({
      body: body({
        supplierId: t.supplierId,
        orders: [{ reference: 'L-1', promisedOn: '2026-12-01' }],
      }),
    }),
  ],
  [listStore, () => ({ query: { q: 'loom' } })],
  [listStore, () => ({ query: {} })],
  [listStore, (t) => ({ query: { place: 'shelf 7', jobId: t.jobId } })],
  [labelsPdf, (t) => ({ params: { jobId: t.jobId } })],
  [listPlaces, () => ({})],
  [readFoundBefore, (t) => ({ params: { jobId: t.jobId } })],
  [
    listStore,
    (t) => ({
      query: { afterSort: 'part', afterTitle: 'part 5', afterId: t.partId },
    }),
  ],
  [
    drawPlace,
    () => ({
      params: { placeId: commandId() },
      body: body({
        name: 'shelf 8',
        sort: 'shelf',
        left: 0,
        top: 0,
        wide: 6,
        high: 3,
        dry: true,
        holds: 20,
        revision: 0,
      }),
    }),
  ],
  [erasePlace, () => ({ params: { placeId: commandId() }, body: body({ revision: 1 }) })],
  [movePlace, () => ({ body: body({ from: 'nowhere at all', to: 'shelf 8' }) })],
  [
    changeStored,
    (t) => ({
      params: { sort: 'part', thingId: t.partId },
      body: body({ revision: 1, place: 'shelf 8' }),
    }),
  ],
  [readPart, (t) => ({ params: { partId: t.partId } })],
  [
    jobs.changeJob,
    (t) => ({ params: { jobId: t.jobId }, body: body({ revision: 1, wish: 'loud' }) }),
  ],
  [
    jobs.bookIn,
    () => ({
      body: body({
        car: { name: 'Car', modelYear: 1970, identity: 'A-123' },
        customer: 'C',
        wish: 'go',
      }),
    }),
  ],
  [
    jobs.addUnit,
    (t) => ({
      body: body({
        kind: 'loom',
        name: 'loom',
        place: 'shelf',
        job: { jobId: t.jobId, role: 'loom' },
      }),
    }),
  ],
  [
    jobs.moveUnit,
    (t) => ({ params: { unitId: t.carId }, body: body({ place: 'yard', job: null }) }),
  ],
  [
    facts.putFact,
    (t) => ({
      params: { jobId: t.jobId, bearer: 'car', factId: 'rec-hv-system' },
      body: body({ typed: { value: 'no' }, source: 'measured', revision: 0 }),
    }),
  ],
  [
    facts.factHistory,
    (t) => ({ params: { jobId: t.jobId, bearer: 'car', factId: 'rec-hv-system' } }),
  ],
  [
    records.putRecord,
    (t) => ({
      params: { jobId: t.jobId, kind: 'hold', key: commandId() },
      body: body({ data: { waitsFor: 'paint' }, revision: 0 }),
    }),
  ],
  [
    records.countersign,
    (t) => ({
      params: { jobId: t.jobId, kind: 'gate', key: 'gate-fd-brakes' },
      body: body({ revision: 0 }),
    }),
  ],
  [
    logbook.readLog,
    (t) => ({
      params: { jobId: t.jobId },
      query: { kind: 'note', from: '2026-01-01', to: '2036-01-01' },
    }),
  ],
  [logbook.readLogTable, (t) => ({ params: { jobId: t.jobId } })],
  [logbook.readPhoto, () => ({ params: { photoId: commandId(), size: 'thumb' } })],
  [logbook.searchLog, () => ({ query: { q: 'bell loose' } })],
  [logbook.findTried, () => ({ query: { kitLine: 'kit-sump' } })],
  [readAgreement, () => ({})],
  [
    logbook.writeLog,
    (t) => ({
      params: { jobId: t.jobId },
      body: body({ line: 'a plain note', today: '2026-11-26' }),
    }),
  ],
  [
    logbook.markEntry,
    (t) => ({
      params: { jobId: t.jobId, entryId: t.entryId },
      body: body({ kind: 'corrected', text: 'otherwise' }),
    }),
  ],
  [logbook.undoCommand, (t) => ({ params: { target: t.command }, body: body() })],
  [
    clock.startClock,
    (t) => ({
      params: { jobId: t.jobId },
      body: body({ title: 'sweeping', station: 'pull', work: 'work' }),
    }),
  ],
  [clock.stopClock, () => ({ body: body() })],
  [clock.readClocks, (t) => ({ params: { jobId: t.jobId } })],
  [
    clock.correctClock,
    (t) => ({
      params: { clockId: t.clockId },
      body: body({
        revision: 1,
        startedAt: '2026-01-01T08:00:00.000Z',
        endedAt: '2026-01-01T09:00:00.000Z',
        reason: 'late',
      }),
    }),
  ],
  [crew.readWaiting, () => ({})],
  [crew.readBench, () => ({})],
  [crew.listSessions, () => ({})],
  [crew.endSession, () => ({ params: { sessionId: 'no-such-session-0000' } })],
  [
    crew.addPerson,
    () => ({
      body: body({ name: 'New', initials: someInitials(), role: 'technician', pin: '4444' }),
    }),
  ],
  [crew.renamePerson, (t) => ({ params: { personId: t.person }, body: body({ name: 'Other' }) })],
  [crew.setPin, (t) => ({ params: { personId: t.person }, body: body({ pin: '7777' }) })],
  [
    crew.setPassword,
    (t) => ({
      params: { personId: t.person },
      body: body({ email: `${t.person}@v.example`, password: 'another long word' }),
    }),
  ],
  [crew.removePerson, (t) => ({ params: { personId: t.person }, body: body() })],
  [
    crew.takeBackPerson,
    (t) => ({
      params: { personId: t.left },
      body: body({ initials: someInitials(), role: 'technician', pin: '5555' }),
    }),
  ],
  [handover.readTakeover, (t) => ({ params: { jobId: t.jobId } })],
  [handover.takeOver, (t) => ({ params: { jobId: t.jobId }, body: body() })],
  [handover.makeLink, (t) => ({ params: { jobId: t.jobId }, body: body() })],
  [handover.listLinks, (t) => ({ params: { jobId: t.jobId } })],
  [handover.readCustomerView, (t) => ({ params: { token: t.token } })],
  [handover.revokeLink, (t) => ({ params: { jobId: t.jobId, linkId: t.linkId }, body: body() })],
  [schools.readSchools, () => ({})],
  [
    schools.chooseSchool,
    () => ({ params: { question: 'sch-clamps' }, body: body({ side: 'sch-clamps-a' }) }),
  ],
];
/** Asked before anybody is in a shop, or without a database. */
const elsewhere = [
  'getMe',
  'setUpShop',
  'signIn',
  'signOut',
  'lockTablet',
  'switchPerson',
  'listCrew',
  'listCalculators',
  'runCalculator',
  'solvePosition',
  'answerAsCustomer',
  'addPhoto',
];

async function things(): Promise<Things> {
  const jobId = shop.openJob;
  const sheet = await client.good(jobs.readJob, { params: { jobId } });
  const command = commandId();
  const { entry } = await client.good(logbook.writeLog, {
    params: { jobId },
    body: { commandId: command, line: 'read vehicle plate', today: '2026-11-26' },
  });
  const { link, path } = await client.good(handover.makeLink, {
    params: { jobId },
    body: { commandId: commandId() },
  });
  const added = async (): Promise<string> => {
    const name = `Spare ${commandId()}`;
    const { person } = await client.good(crew.addPerson, {
      body: {
        commandId: commandId(),
        name,
        initials: someInitials(),
        role: 'technician',
        pin: '4444',
      },
    });
    return person.id;
  };
  const [person, left] = [await added(), await added()];
  await client.good(crew.removePerson, {
    params: { personId: left },
    body: { commandId: commandId() },
  });
  const { clock: running } = await client.good(clock.startClock, {
    params: { jobId },
    body: { commandId: commandId(), title: 'sweeping', station: 'pull', work: 'work' },
  });
  const { supplier } = await client.good(kit.addSupplier, {
    body: { commandId: commandId(), supplierId: commandId(), name: `Supplier ${commandId()}` },
  });
  const [orderId, lineId] = [commandId(), commandId()];
  await client.good(orders.placeOrder, {
    body: {
      commandId: commandId(),
      id: orderId,
      sort: 'goods',
      supplierId: supplier.id,
      orderedOn: '2026-11-20',
      reference: 'L-1',
      note: '',
      lines: [
        {
          id: lineId,
          jobId,
          title: 'Coolant neck',
          options: '',
          count: 3,
          price: 1200,
          step: 'rm-chock',
        },
      ],
    },
  });
  await client.good(orders.receiveOrder, {
    params: { orderId },
    body: {
      commandId: commandId(),
      revision: 1,
      lines: [{ id: lineId, came: 2, wrong: 0 }],
      note: '',
    },
  });
  return {
    supplierId: supplier.id,
    orderId,
    lineId,
    jobId,
    carId: sheet.units.find((u) => u.role === 'car')!.id,
    entryId: entry.id,
    partId: sheet.records.find((r) => r.kind === 'part')!.key,
    person,
    left,
    token: path.replace('/c/', ''),
    linkId: link.id,
    clockId: running.id,
    command,
  };
}

describe('on a filled database', () => {
  it('every endpoint is looked at', () => {
    const seen = new Set(calls.map(([e]) => e));
    expect(
      endpoints
        .filter(([name, e]) => !seen.has(e) && !elsewhere.includes(name))
        .map(([name]) => name),
    ).toEqual([]);
  });
  it.each(calls.map(([e, input], i) => [`${e.method} ${e.path}`, i, e, input] as const))(
    '%s (%i) reads no large table from end to end',
    async (_name, _i, e, input) => {
      const given = input(await things());
      asked = [];
      const { status } = await client.call(e, given);
      expect([200, 404, 409]).toContain(status);
      const own = asked;
      expect(own.length).toBeGreaterThan(0);
      // How many units there are of each kind, and things in each place, is all that is counted through.
      expect(e === jobs.countUnits || e === listPlaces ? [] : await allReadWhole(own)).toEqual([]);
    },
  );
  it('a photo too', async () => {
    const photoId = commandId();
    asked = [];
    await client.good(logbook.addPhoto, {
      params: { jobId: shop.openJob },
      body: { commandId: commandId(), photoId, file: asFile(await phonePhoto(64, 48)) } as never,
    });
    expect(await allReadWhole(asked)).toEqual([]);
  });
  it('the search by words walks back from the newest line, or goes by the index of words', async () => {
    const plan = async (sql: string) =>
      (await looking.query<{ 'QUERY PLAN': [{ Plan: Node }] }>(`explain (format json) ${sql}`))
        .rows[0]!['QUERY PLAN'][0].Plan;
    const owner = new pg.Client({ connectionString: database.url });
    await owner.connect();
    const { rows } = await owner.query<{ 'QUERY PLAN': [{ Plan: Node }] }>(
      `explain (format json) select id from log_entry where shop_id = '${shop.shopId}' and words @@ to_tsquery('english', 'nowhere:*') order by id desc limit 40`,
    );
    await owner.end();
    expect(
      nodesOf(rows[0]!['QUERY PLAN'][0].Plan).filter((n) => n['Node Type'] === 'Seq Scan'),
    ).toEqual([]);
    expect(
      nodesOf(await plan('select id, words from log_entry order by id desc limit 4000')).filter(
        (n) => n['Node Type'] === 'Seq Scan',
      ),
    ).toEqual([]);
  });
  it('the shop stands in every key and in every question', async () => {
    const { rows } = await looking.query<{ name: string; keyed: boolean }>(`
      select c.relname as name, exists (select 1 from pg_constraint k join pg_attribute a on a.attrelid = k.conrelid and a.attnum = k.conkey[1] where k.conrelid = c.oid and k.contype = 'p' and a.attname = 'shop_id') as keyed
      from pg_class c where c.relkind = 'r' and c.relnamespace = 'public'::regnamespace and exists (select 1 from pg_attribute a where a.attrelid = c.oid and a.attname = 'shop_id')
        and exists (select 1 from pg_constraint k where k.conrelid = c.oid and k.contype = 'p')`);
    expect(rows.length).toBeGreaterThan(12);
    expect(rows.filter((r) => !r.keyed).map((r) => r.name)).toEqual([]);
    const { rows: plans } = await looking.query<{ 'QUERY PLAN': string }>(
      'explain select * from record where job_id = $1',
      [shop.openJob],
    );
    expect(plans.map((r) => r['QUERY PLAN']).join(' ')).toContain('shop_id');
  });
});
