import { drawPlace } from '@bay/contract/parts';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { endpoints } from '@bay/contract/all';
import * as crew from '@bay/contract/crew';
import type { Endpoint } from '@bay/contract/endpoint';
import * as handover from '@bay/contract/handover';
import * as jobs from '@bay/contract/jobs';
import { addSupplier } from '@bay/contract/kit';
import { readLog, writeLog } from '@bay/contract/logbook';
import { keepShopRule } from '@bay/contract/memory';
import { placeOrder, receiveOrder, sendBack } from '@bay/contract/orders';
import { addPayment, makeQuote, readTerms, setTerms } from '@bay/contract/money';
import { putRecord } from '@bay/contract/records';
import { Client, commandId, freshDatabase, startServer } from '../testing/harness.ts';
import type { TestServer } from '../testing/harness.ts';
import { someInitials } from '../testing/initials.ts';
import { asFile, phonePhoto } from '../testing/pictures.ts';
import { says } from '../testing/says.ts';
import { bookedJob, shopWithCrew } from '../testing/shop.ts';
import type { TestShop } from '../testing/shop.ts';

/** Every endpoint, for every role, and with the ids of another shop. The table in words is docs/rights.md. */

let database: Awaited<ReturnType<typeof freshDatabase>>;
let server: TestServer;
let one: TestShop;
let two: TestShop;
let picture: Buffer;

beforeAll(async () => {
  database = await freshDatabase();
  server = await startServer(database.url);
  [one, two] = [await shopWithCrew(server, 'r1'), await shopWithCrew(server, 'r2')];
  picture = await phonePhoto(64, 48);
});
afterAll(async () => {
  await server.stop();
  await database.drop();
});

type Input = Parameters<Client['call']>[1];
interface Ids {
  jobId: string;
  carId: string;
  person: string;
  left: string;
  entryId: number;
  partId: string;
  linkId: string;
  token: string;
  askKey: string;
  clockId: string;
  command: string;
  supplierId: string;
  termsRevision: number;
  orderId: string;
  lineId: string;
  backId: string;
  ruleId: string;
  paymentId: string;
  placeId: string;
}

let square = 0;
/** A place of the store that lies over no other. */
const aPlace = () => {
  square += 1;
  return {
    name: `place ${square}`,
    sort: 'box',
    left: square % 40,
    top: Math.floor(square / 40),
    wide: 1,
    high: 1,
    dry: true,
    holds: null,
    revision: 0,
  };
};

/** A job with something in it that every endpoint can be asked about; made anew for each call, so that calls do not meet. */
async function material(shop: TestShop, by: Client): Promise<Ids> {
  const jobId = await bookedJob(shop.manager);
  const put = (
    kind: 'part' | 'ask' | 'task' | 'gate',
    key: string,
    data: Record<string, unknown>,
    who = shop.manager,
  ) =>
    who.good(putRecord, {
      params: { jobId, kind, key },
      body: { commandId: commandId(), data, revision: 0 },
    });
  const partId = commandId();
  await put('part', partId, {
    takeId: 'take-ecu',
    title: 'Unit',
    condition: 'good',
    label: 'C-1',
    place: 'C2',
  });
  await put('part', commandId(), {
    takeId: 'take-loom',
    title: 'Loom',
    condition: 'good',
    label: 'C-2',
    place: 'Z9',
  });
  const askKey = commandId();
  await put('ask', askKey, { ask: 'approval', to: 'customer', what: 'Regrind?', amount: 300 });
  // Signed by one where two are wanted: the other is asked.
  const first = by === shop.manager ? shop.technician : shop.manager;
  await put('gate', 'gate-fd-brakes', { text: 'pedal held' }, first);
  const command = commandId();
  const writer = by === shop.onlooker ? shop.manager : by;
  await writer.good(writeLog, {
    params: { jobId },
    body: { commandId: command, line: 'read vehicle plate twice', today: '2026-11-26' },
  });
  await writer.good(putRecord, {
    params: { jobId, kind: 'task', key: 'rm-identify' },
    body: { commandId: commandId(), data: { status: 'on-it' }, revision: 0 },
  });
  const { entries } = await shop.manager.good(readLog, { params: { jobId } });
  const sheet = await shop.manager.good(jobs.readJob, { params: { jobId } });
  const { link, path } = await shop.manager.good(handover.makeLink, {
    params: { jobId },
    body: { commandId: commandId() },
  });
  const added = async (name: string): Promise<string> => {
    const { person } = await shop.manager.good(crew.addPerson, {
      body: body({
        name: `${name} ${jobId}`,
        initials: someInitials(),
        role: 'technician',
        pin: '4444',
      }) as never,
    });
    return person.id;
  };
  const [person, left] = [await added('Spare'), await added('Gone')];
  await shop.manager.good(crew.removePerson, { params: { personId: left }, body: body() });
  const { supplier } = await shop.manager.good(addSupplier, {
    body: body({ supplierId: commandId(), name: `Supplier of ${jobId}` }) as never,
  });
  const { revision } = await shop.manager.good(readTerms, {});
  const { revision: termsRevision } =
    revision > 0
      ? { revision }
      : await shop.manager.good(setTerms, { body: body({ terms, revision }) as never });
  await shop.manager.good(makeQuote, {
    params: { jobId },
    body: body({ after: 0, despite: 'nothing is settled yet' }) as never,
  });
  const paymentId = commandId();
  await shop.manager.good(addPayment, {
    params: { jobId },
    body: body({ id: paymentId, sort: 'deposit', amount: 500, on: '2026-11-26' }) as never,
  });
  const placeId = commandId();
  await shop.manager.good(drawPlace, { params: { placeId }, body: body(aPlace()) as never });
  const ruleId = aRuleId();
  await shop.manager.good(keepShopRule, { body: body(aRule(ruleId)) as never });
  const [orderId, lineId, backId] = [commandId(), commandId(), commandId()];
  await shop.manager.good(placeOrder, {
    body: body(anOrder(supplier.id, jobId, orderId, lineId)) as never,
  });
  await shop.manager.good(receiveOrder, {
    params: { orderId },
    body: body({ revision: 1, lines: [{ id: lineId, came: 2 }] }) as never,
  });
  await shop.manager.good(sendBack, {
    params: { orderId },
    body: body({
      revision: 2,
      id: backId,
      lineId,
      count: 1,
      reason: 'wrong side',
      on: '2026-11-26',
    }) as never,
  });
  return {
    ruleId,
    paymentId,
    placeId,
    orderId,
    lineId,
    backId,
    supplierId: supplier.id,
    termsRevision,
    jobId,
    carId: sheet.units.find((u) => u.role === 'car')!.id,
    person,
    left,
    entryId: entries.find((e) => e.text.startsWith('read vehicle'))!.id,
    partId,
    linkId: link.id,
    token: path.replace('/c/', ''),
    askKey,
    clockId: sheet.running[0]!.id,
    command,
  };
}

const aRuleId = (): string => `own-strap-${commandId().slice(0, 4)}`;
/** A rule that holds nowhere, so that it changes no plan. */
const aRule = (id: string) => ({
  id,
  line: { sort: 'step', title: 'Strap', station: 'connect' },
  when: 'eng-code known and eng-code missing',
});

const anOrder = (supplierId: string, jobId: string, id = commandId(), lineId = commandId()) => ({
  id,
  sort: 'goods',
  supplierId,
  orderedOn: '2026-11-20',
  lines: [{ id: lineId, jobId, title: 'Coolant neck', count: 3, owes: true }],
});
const terms = {
  hourRate: 8000,
  hourCost: 5000,
  priceUnit: 100,
  markup: 10,
  sundries: 5,
  tax: 20,
  deposit: 30,
  validDays: 30,
};
const body = (extra: Record<string, unknown> = {}) => ({ commandId: commandId(), ...extra });
const anHourAgo = () => new Date(Date.now() - 3_600_000).toISOString();

/** A good call of each endpoint that works in a shop. An endpoint without one fails the test below. */
const calls: Record<string, (ids: Ids) => Input> = {
  setPin: (i) => ({ params: { personId: i.person }, body: body({ pin: '7777' }) }),
  setPassword: (i) => ({
    params: { personId: i.person },
    body: body({ email: `${i.person}@shop.example`, password: 'another long word' }),
  }),
  removePerson: (i) => ({ params: { personId: i.person }, body: body() }),
  takeBackPerson: (i) => ({
    params: { personId: i.left },
    body: body({ initials: someInitials(), role: 'technician', pin: '5555' }),
  }),
  addPerson: () => ({
    body: body({ name: 'New', initials: someInitials(), role: 'technician', pin: '4444' }),
  }),
  listSessions: () => ({}),
  endSession: () => ({ params: { sessionId: 'no-such-session-0000' } }),
  readWaiting: () => ({}),
  readBench: () => ({}),
  startClock: (i) => ({
    params: { jobId: i.jobId },
    body: body({ title: 'sweeping', station: 'pull', work: 'work' }),
  }),
  stopClock: () => ({ body: body() }),
  correctClock: (i) => ({
    params: { clockId: i.clockId },
    body: body({
      revision: 1,
      startedAt: anHourAgo(),
      endedAt: anHourAgo(),
      reason: 'tapped late',
    }),
  }),
  readClocks: (i) => ({ params: { jobId: i.jobId } }),
  readFloor: () => ({}),
  readYard: () => ({ query: { after: '' } }),
  readStrip: (i) => ({ params: { jobId: i.jobId } }),
  readFinishedJobs: () => ({}),
  readJobParts: (i) => ({
    params: { jobId: i.jobId },
    query: { head: 'true', facts: 'rec-model-year' },
  }),
  countUnits: () => ({}),
  readUnit: (i) => ({ params: { unitId: i.carId } }),
  countersign: (i) => ({
    params: { jobId: i.jobId, kind: 'gate', key: 'gate-fd-brakes' },
    body: body({ revision: 1 }),
  }),
  renamePerson: (i) => ({ params: { personId: i.person }, body: body({ name: 'New name' }) }),
  bookIn: () => ({
    body: body({
      car: { name: 'Car', modelYear: 1970, identity: `A-${commandId().slice(0, 8)}` },
      customer: 'C',
      wish: 'go',
    }),
  }),
  readJob: (i) => ({ params: { jobId: i.jobId } }),
  changeJob: (i) => ({ params: { jobId: i.jobId }, body: body({ revision: 1, wish: 'another' }) }),
  listUnits: () => ({}),
  addUnit: (i) => ({
    body: body({
      kind: 'engine',
      name: 'four',
      place: 'shelf',
      job: { jobId: i.jobId, role: 'engine' },
    }),
  }),
  moveUnit: (i) => ({ params: { unitId: i.carId }, body: body({ place: 'yard', job: null }) }),
  unitFacts: (i) => ({ params: { unitId: i.carId } }),
  find: () => ({ query: { q: 'camper' } }),
  listSuppliers: () => ({}),
  addSupplier: () => ({ body: body({ supplierId: commandId(), name: `Supplier ${commandId()}` }) }),
  renameSupplier: (i) => ({
    params: { supplierId: i.supplierId },
    body: body({ name: `Renamed ${i.supplierId}`, revision: 1 }),
  }),
  setCurrency: () => ({ body: body({ currency: 'XXX' }) }),
  readTerms: () => ({}),
  setTerms: (i) => ({ body: body({ terms, revision: i.termsRevision }) }),
  listQuotes: (i) => ({ params: { jobId: i.jobId } }),
  makeQuote: (i) => ({
    params: { jobId: i.jobId },
    body: body({ after: 1, despite: 'nothing is settled yet' }),
  }),
  withdrawQuote: (i) => ({ params: { jobId: i.jobId, number: 1 }, body: body() }),
  quotePdf: (i) => ({ params: { jobId: i.jobId, number: 1 } }),
  readAccount: (i) => ({ params: { jobId: i.jobId } }),
  addPayment: (i) => ({
    params: { jobId: i.jobId },
    body: body({ id: commandId(), sort: 'deposit', amount: 1000, on: '2026-11-26' }),
  }),
  arrivalPdf: (i) => ({ params: { jobId: i.jobId } }),
  extrasPdf: (i) => ({ params: { jobId: i.jobId } }),
  accountPdf: (i) => ({ params: { jobId: i.jobId } }),
  receiptPdf: (i) => ({ params: { jobId: i.jobId, paymentId: i.paymentId } }),
  moneyLines: (i) => ({ params: { jobId: i.jobId } }),
  readPairings: (i) => ({ params: { jobId: i.jobId } }),
  readWanted: (i) => ({ params: { jobId: i.jobId } }),
  listShopRules: () => ({}),
  keepShopRule: () => ({ body: body(aRule(aRuleId())) }),
  endShopRule: (i) => ({ params: { ruleId: i.ruleId }, body: body({ why: 'tank changed' }) }),
  tryShopRule: () => ({ body: { when: 'eng-fuel = diesel' } }),
  listOrders: (i) => ({ query: { jobId: i.jobId } }),
  placeOrder: (i) => ({ body: body(anOrder(i.supplierId, i.jobId)) }),
  changeOrder: (i) => ({
    params: { orderId: i.orderId },
    body: body({ revision: 3, promisedOn: '2026-12-01', reference: 'X', tracking: '', note: '' }),
  }),
  receiveOrder: (i) => ({
    params: { orderId: i.orderId },
    body: body({ revision: 3, lines: [{ id: i.lineId, came: 1 }] }),
  }),
  cancelOrderLine: (i) => ({
    params: { orderId: i.orderId },
    body: body({ revision: 3, lineId: i.lineId, why: 'no longer made' }),
  }),
  sendBack: (i) => ({
    params: { orderId: i.orderId },
    body: body({
      revision: 3,
      id: commandId(),
      lineId: i.lineId,
      count: 1,
      reason: 'cracked',
      on: '2026-11-26',
    }),
  }),
  giveBack: (i) => ({
    params: { orderId: i.orderId },
    body: body({ revision: 3, lineId: i.lineId, count: 1 }),
  }),
  settleBack: (i) => ({
    params: { orderId: i.orderId, backId: i.backId },
    body: body({ revision: 3, moneyBack: 100 }),
  }),
  ordersTable: () => ({}),
  readFeed: (i) => ({
    body: body({
      supplierId: i.supplierId,
      orders: [{ reference: 'none such', promisedOn: '2026-12-01' }],
    }),
  }),
  listStore: () => ({ query: { q: 'unit' } }),
  labelsPdf: (i) => ({ params: { jobId: i.jobId } }),
  listPlaces: () => ({}),
  movePlace: () => ({ body: body({ from: 'Z9', to: 'Z9 below' }) }),
  readFoundBefore: (i) => ({ params: { jobId: i.jobId } }),
  drawPlace: () => ({ params: { placeId: commandId() }, body: body(aPlace()) }),
  erasePlace: (i) => ({ params: { placeId: i.placeId }, body: body({ revision: 1 }) }),
  changeStored: (i) => ({
    params: { sort: 'part', thingId: i.partId },
    body: body({ revision: 1, place: 'C3' }),
  }),
  readPart: (i) => ({ params: { partId: i.partId } }),
  putFact: (i) => ({
    params: { jobId: i.jobId, bearer: 'car', factId: 'rec-hv-system' },
    body: body({ typed: { value: 'no' }, source: 'measured', revision: 0 }),
  }),
  factHistory: (i) => ({ params: { jobId: i.jobId, bearer: 'car', factId: 'rec-model-year' } }),
  putRecord: (i) => ({
    params: { jobId: i.jobId, kind: 'hold', key: commandId() },
    body: body({ data: { waitsFor: 'paint' }, revision: 0 }),
  }),
  readLog: (i) => ({ params: { jobId: i.jobId } }),
  searchLog: (i) => ({ query: { q: 'vehicle', jobId: i.jobId } }),
  findTried: () => ({ query: { kitLine: 'kit-sump' } }),
  readAgreement: () => ({}),
  writeLog: (i) => ({
    params: { jobId: i.jobId },
    body: body({ line: 'hello', today: '2026-11-26' }),
  }),
  readPhoto: () => ({ params: { photoId: commandId(), size: 'thumb' } }),
  readLogTable: (i) => ({ params: { jobId: i.jobId } }),
  markEntry: (i) => ({
    params: { jobId: i.jobId, entryId: i.entryId },
    body: body({ kind: 'corrected', text: 'started later' }),
  }),
  undoCommand: (i) => ({ params: { target: i.command }, body: body() }),
  addPhoto: (i) => ({
    params: { jobId: i.jobId },
    body: body({ photoId: commandId(), caption: 'bell', file: asFile(picture) }),
  }),
  readSchools: () => ({}),
  chooseSchool: () => ({
    params: { question: 'sch-clamps' },
    body: body({ side: 'sch-clamps-a' }),
  }),
  solvePosition: () => ({
    body: {
      units: 'mm',
      bay: [{ id: 'hood', points: [[0, 0, 90]] }],
      unit: [{ id: 'cover', points: [[0, 0, 0]] }],
      pairs: [{ id: 'gap', unit: ['cover'], bay: ['hood'], needMm: 20 }],
      pose: { x: [0, 0], y: [0, 0], z: [0, 10], slopeDeg: [0, 0], yawDeg: [0, 0] },
    },
  }),
  readTakeover: (i) => ({ params: { jobId: i.jobId } }),
  takeOver: (i) => ({ params: { jobId: i.jobId }, body: body() }),
  listLinks: (i) => ({ params: { jobId: i.jobId } }),
  makeLink: (i) => ({ params: { jobId: i.jobId }, body: body() }),
  revokeLink: (i) => ({ params: { jobId: i.jobId, linkId: i.linkId }, body: body() }),
};

const inShop = endpoints.filter(([, e]) => e.access !== 'open' && e.access !== 'shop');
const roles = ['manager', 'technician', 'onlooker'] as const;
const mayCall: Record<Endpoint['access'], readonly (typeof roles)[number][]> = {
  open: roles,
  shop: roles,
  look: roles,
  work: ['manager', 'technician'],
  manage: ['manager'],
};

/** Endpoints whose good answer is that there is no such thing. */
const nothingThere = new Set(['readPhoto', 'endSession']);
/** Lists of the whole shop: asked from another shop they answer, with nothing of this one. */
const wholeShop = new Set([
  'listStore',
  'listPlaces',
  'movePlace',
  'drawPlace',
  'readYard',
  'countUnits',
  'readFinishedJobs',
  'listSessions',
  'readWaiting',
  'readBench',
  'readFloor',
  'listUnits',
  'find',
  'readSchools',
  'searchLog',
  'findTried',
  'readAgreement',
  'addPerson',
  'stopClock',
  'bookIn',
  'chooseSchool',
  'listSuppliers',
  'addSupplier',
  'setCurrency',
  'readTerms',
  'setTerms',
  'listShopRules',
  'keepShopRule',
  'tryShopRule',
  'listOrders',
  'ordersTable',
  'readFeed',
  'solvePosition',
]);

describe('every endpoint', () => {
  it('is in the list of calls', () => {
    expect(inShop.map(([name]) => name).filter((name) => !(name in calls))).toEqual([]);
  });
  describe('is refused to nobody in particular', () => {
    let ids: Ids;
    beforeAll(async () => {
      ids = await material(one, one.manager);
    });
    it.each(inShop)('%s', async (name, e) => {
      expect((await new Client(server.url).call(e, calls[name]!(ids))).status).toBe(401);
    });
  });
  describe.each(roles)('as %s', (role) => {
    let ids: Ids;
    beforeAll(async () => {
      ids = await material(one, one[role]);
    });
    it.each(inShop)('%s', async (name, e) => {
      const client = one[role];
      const may = mayCall[e.access].includes(role);
      // What is refused or only reads changes nothing; what is done is done to things of its own.
      const own = may && e.method !== 'get' ? await material(one, client) : ids;
      const answer = await client.call(e, calls[name]!(own));
      const expected = !may ? 403 : nothingThere.has(name) ? 404 : 200;
      expect(answer.status, JSON.stringify(answer.problem)).toBe(expected);
    });
  });
  describe('shows and changes nothing of another shop', () => {
    let ids: Ids;
    let before: unknown;
    const now = () => one.manager.good(jobs.readJob, { params: { jobId: ids.jobId } });
    beforeAll(async () => {
      ids = await material(one, one.manager);
      before = await now();
    });
    it.each(inShop)('%s', async (name, e) => {
      const answer = await two.manager.call(e, calls[name]!(ids));
      if (wholeShop.has(name)) {
        // Terms that the other shop never set have another revision there, and nothing lies in a place of this one.
        expect(answer.status).toBe(['setTerms', 'movePlace'].includes(name) ? 409 : 200);
        const said = JSON.stringify(answer.body);
        for (const id of [ids.jobId, ids.carId, ids.partId, ids.person, ids.supplierId])
          expect(said).not.toContain(id);
      } else expect(answer.status, JSON.stringify(answer.problem)).toBe(404);
      expect(await now()).toEqual(before);
    });
  });
});

describe('beside reading and writing', () => {
  const put = (
    who: Client,
    jobId: string,
    kind: 'gate' | 'kit' | 'ask',
    key: string,
    data: Record<string, unknown>,
    revision = 0,
  ) =>
    who.call(putRecord, {
      params: { jobId, kind, key },
      body: { commandId: commandId(), data, revision },
    });

  it('money is seen by the manager only, and what others write erases none of it', async () => {
    const jobId = await bookedJob(one.manager);
    await put(one.manager, jobId, 'kit', 'kit-sump', { status: 'here', price: 210 });
    const kitOf = async (who: Client) =>
      (await who.good(jobs.readJob, { params: { jobId } })).records.find((r) => r.kind === 'kit')!
        .data;
    expect(await kitOf(one.manager)).toMatchObject({ price: 210 });
    expect(await kitOf(one.technician)).not.toHaveProperty('price');
    expect(await kitOf(one.onlooker)).not.toHaveProperty('price');
    const here = await put(one.technician, jobId, 'kit', 'kit-sump', { status: 'here' }, 1);
    expect(here.body.record.data).not.toHaveProperty('price');
    expect(await kitOf(one.manager)).toMatchObject({ status: 'here', price: 210 });
    const stale = await put(one.technician, jobId, 'kit', 'kit-sump', { status: 'fitted' }, 1);
    expect(stale.status).toBe(409);
    expect(says(stale.problem, '210')).toBe(false);
    const { log } = await one.technician.good(jobs.readJob, { params: { jobId } });
    expect(says(log, '210')).toBe(false);
  });
  it('a technician signs gates and does not override them', async () => {
    const jobId = await bookedJob(one.manager);
    const proof = { text: 'looked at with a lamp' };
    expect((await put(one.technician, jobId, 'gate', 'gate-fc-rollcall', proof)).status).toBe(200);
    const override = { text: '', override: { reason: 'the lift is out of order today' } };
    const refused = await put(one.technician, jobId, 'gate', 'gate-fc-filter', override);
    expect(refused).toMatchObject({ status: 403 });
    const done = await put(one.manager, jobId, 'gate', 'gate-fc-filter', override);
    expect(done.status).toBe(200);
    const { log } = await one.manager.good(jobs.readJob, { params: { jobId } });
    expect(log.at(-1)).toMatchObject({ kind: 'override' });
  });
  it('an onlooker looks at photos, nobody without a session does', async () => {
    const jobId = await bookedJob(one.manager);
    const photoId = commandId();
    const { addPhoto } = await import('@bay/contract/logbook');
    await one.technician.good(addPhoto, {
      params: { jobId },
      body: { commandId: commandId(), photoId, file: asFile(picture) } as never,
    });
    const get = async (client: Client) =>
      (
        await fetch(`${server.url}/api/photos/${photoId}/thumb`, {
          headers: { cookie: client.cookie },
        })
      ).status;
    expect(await get(one.onlooker)).toBe(200);
    expect(await get(two.manager)).toBe(404);
    expect(await get(new Client(server.url))).toBe(401);
  });
});

describe('the customer', () => {
  it('sees how it goes and what is asked, and nothing else', async () => {
    const ids = await material(one, one.manager);
    const customer = new Client(server.url);
    const view = await customer.good(handover.readCustomerView, { params: { token: ids.token } });
    expect(view).toMatchObject({
      carName: '1984 Test camper',
      station: 'scope',
      asks: [{ what: 'Regrind?', amount: 300, answer: null }],
    });
    expect(JSON.stringify(view)).not.toMatch(/Boss|Tess|read vehicle/);
  });
  it('answers once; the answer stands in the record and in the book', async () => {
    const ids = await material(one, one.manager);
    const customer = new Client(server.url);
    const answer = (yes: boolean) =>
      customer.call(handover.answerAsCustomer, {
        params: { token: ids.token },
        body: { commandId: commandId(), key: ids.askKey, yes, text: 'go on' },
      });
    expect((await answer(true)).body.asks[0]).toMatchObject({ answer: { yes: true } });
    expect((await answer(false)).body.asks[0]).toMatchObject({ answer: { yes: true } });
    const { log } = await one.manager.good(jobs.readJob, { params: { jobId: ids.jobId } });
    expect(log.at(-1)).toMatchObject({
      kind: 'approval',
      text: 'the customer says yes: Regrind?. go on',
    });
    expect(
      (
        await one.manager.call(putRecord, {
          params: { jobId: ids.jobId, kind: 'ask', key: commandId() },
          body: {
            commandId: commandId(),
            data: { ask: 'approval', to: 'customer', what: 'Paint?', answer: { yes: true } },
            revision: 0,
          },
        })
      ).body.record.data,
    ).not.toHaveProperty('answer');
  });
  it('is let in no longer when the link is ended, and by no guess', async () => {
    const ids = await material(one, one.manager);
    const customer = new Client(server.url);
    await one.manager.good(handover.revokeLink, {
      params: { jobId: ids.jobId, linkId: ids.linkId },
      body: { commandId: commandId() },
    });
    const read = (token: string) => customer.call(handover.readCustomerView, { params: { token } });
    expect(await read(ids.token)).toMatchObject({ status: 404 });
    expect((await read('A'.repeat(32))).status).toBe(404);
    expect((await read('short')).status).toBe(422);
  });
  it('has a link that is shown once and kept only as a hash', async () => {
    const jobId = await bookedJob(one.manager);
    const command = commandId();
    const make = () =>
      one.manager.call(handover.makeLink, { params: { jobId }, body: { commandId: command } });
    const first = await make();
    expect(first.status).toBe(200);
    expect(await make()).toMatchObject({ status: 409 });
    const { links } = await one.manager.good(handover.listLinks, { params: { jobId } });
    expect(links).toHaveLength(1);
    expect(JSON.stringify(links)).not.toContain(first.body.path.replace('/c/', ''));
  });
});
