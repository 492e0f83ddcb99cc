import { randomUUID } from 'node:crypto';
import '../server/src/capabilities.ts';
import { computePlan, listOfKey, planInputOf, stepList } from '@bay/core/plan';
import type { StepState } from '@bay/core/pull';
import { recordsOf } from '@bay/core/records';
import { jobMaterial } from '../server/src/plan/material.ts';
import { insertPerson } from '../server/src/crew/person.ts';
import { makeShop } from '../server/src/crew/routes.ts';
import { withDays } from './days.ts';
import { inShop, openDb, openPool } from '../server/src/db/connection.ts';
import type { Db, Tx } from '../server/src/db/connection.ts';
import { migrate } from '../server/src/db/migrate.ts';
import { writeFact } from '../server/src/facts/store.ts';
import type { Caller } from '../server/src/http/register.ts';
import { Refusal } from '../server/src/http/problem.ts';
import { insertJob, updateJob } from '../server/src/jobs/routes.ts';
import { insertUnit, putInRole } from '../server/src/jobs/units.ts';
import { readHead } from '../server/src/jobs/store.ts';
import { develop, keepPhoto } from '../server/src/logbook/photos.ts';
import { writeLine } from '../server/src/logbook/lines.ts';
import { findRecord, writeRecord } from '../server/src/records/store.ts';
import { answerQuoteAs, makeQuoteNow } from '../server/src/money/quotes.ts';
import { withMoney } from '../server/src/db/sees-money.ts';
import { passGate } from './gates.ts';
import { camper } from './camper.ts';
import { flatbed } from './flatbed.ts';
import { coupe, pickup, saloon } from './others.ts';
import { draw } from './pictures.ts';
import { roadster } from './roadster.ts';
import { demoShop } from './shop.ts';
import type { Act, DemoJob, When } from './types.ts';

const jobs: readonly DemoJob[] = [coupe, roadster, camper, flatbed, saloon, pickup];

function moment([daysAgo, time]: When, now: Date): Date {
  const [h, m] = time.split(':').map(Number) as [number, number];
  const at = new Date(now);
  at.setDate(at.getDate() - daysAgo);
  at.setHours(h, m, 0, 0);
  // What the demo does "today" has happened already, whatever the time of day.
  return at > now ? new Date(now.getTime() - (60_000 * (24 * 60 - (h * 60 + m))) / 10) : at;
}

const day = (offset: number, now: Date): string => {
  const at = new Date(now);
  at.setDate(at.getDate() + offset);
  return at.toISOString().slice(0, 10);
};

/** The free step that must be done next so that another comes free; that one itself when nothing holds it. */
function leadsTo(states: ReadonlyMap<string, StepState>, wanted: string): string {
  const state = states.get(wanted)!;
  const first = state.heldBy.find((id) => !['done', 'waived'].includes(states.get(id)!.status));
  return first === undefined ? wanted : leadsTo(states, first);
}

/** A list of steps as a technician does it: what holds the wanted step first, and what the car does not have is called not needed. */
async function stepsUpTo(
  tx: Tx,
  caller: Caller,
  jobId: string,
  { stepsUpTo: wanted, minutes }: Extract<Act, { stepsUpTo: string }>,
  from: Date,
): Promise<void> {
  let at = from;
  for (;;) {
    const material = await jobMaterial(tx, jobId);
    const plan = computePlan(planInputOf(material));
    const { plan: steps, states } = stepList(plan, listOfKey(wanted).id, recordsOf(material, 'task'));
    if (states.get(wanted)!.status === 'done') return;
    const id = leadsTo(states, wanted);
    const { def } = steps.lines.find((l) => l.def.id === id)!;
    const absent = def.onlyIf !== undefined && !steps.states.some((s) => s.givenBy.includes(id));
    const write = async (data: Record<string, unknown>, when: Date): Promise<void> => {
      const revision = (await findRecord(tx, jobId, 'task', id))?.revision ?? 0;
      await writeRecord(tx, caller, { jobId, kind: 'task', key: id, data, revision, at: when });
    };
    if (absent) await write({ status: 'waived', note: 'not on this car' }, at);
    else {
      await write({ status: 'on-it' }, at);
      at = new Date(at.getTime() + minutes * 60_000);
      await write({ status: 'done', ...(def.wantsFound ? { note: 'as planned, within 2 mm' } : {}) }, at);
    }
    at = new Date(at.getTime() + 30_000);
  }
}

async function act(tx: Tx, callers: ReadonlyMap<string, Caller>, jobId: string, a: Act, now: Date): Promise<void> {
  const caller = callers.get(a.by)!;
  const at = moment(a.when, now);
  if ('fact' in a) {
    const [bearer, factId, typed, source] = a.fact;
    await writeFact(tx, caller, {
      jobId,
      bearer,
      factId,
      typed: typeof typed === 'string' ? { value: typed } : typed,
      source: source ?? 'measured',
      revision: 0,
      at,
    });
  } else if ('record' in a) {
    const [kind, key, data] = a.record;
    const known = await findRecord(tx, jobId, kind, key);
    // The demo names people by their initials; records know them by id.
    const { handedTo, ...rest } = data;
    const given = typeof handedTo === 'string' ? { handedToId: callers.get(handedTo)!.personId } : {};
    await writeRecord(tx, caller, {
      jobId,
      kind,
      key,
      data: withDays({ ...rest, ...given }, jobId, at),
      revision: known?.revision ?? 0,
      at,
    });
  } else if ('photo' in a) {
    const [photoId, scene, caption, about] = a.photo;
    const photo = await develop(await draw(scene));
    await tx
      .insertInto('photo_blob')
      .values({ photo_id: photoId, shop_id: caller.shopId, size: 'original', ...photo.original })
      .execute();
    await keepPhoto(tx, caller, photo, { jobId, photoId, caption, about, at });
  } else if ('stepsUpTo' in a) {
    await stepsUpTo(tx, caller, jobId, a, at);
  } else if ('passGate' in a) {
    const people = { by: caller, manager: callers.get('MH')!, second: callers.get(a.second)! };
    await passGate(tx, people, jobId, { gate: a.passGate, photoId: a.photoId }, at);
  } else if ('line' in a) {
    await writeLine(tx, caller, jobId, a.line, at.toISOString().slice(0, 10), { at });
  } else if ('quote' in a) {
    await withMoney(tx, async () => {
      const { signed, exclusions, ...wish } = a.quote;
      const number = await makeQuoteNow(
        tx,
        caller,
        jobId,
        { ...wish, exclusions: [...exclusions], after: 0, openAsExtra: true },
        at,
      );
      if (signed !== undefined)
        await answerQuoteAs(tx, jobId, { number, yes: true, declined: [], name: signed, text: '' }, at);
    });
  } else if ('paid' in a) {
    await withMoney(tx, () =>
      tx
        .insertInto('payment')
        .values({
          ...a.paid,
          shop_id: caller.shopId,
          id: randomUUID(),
          job_id: jobId,
          on_day: at.toISOString().slice(0, 10),
          by_id: caller.personId,
          at,
        })
        .execute(),
    );
  } else {
    const head = await readHead(tx, jobId);
    await updateJob(
      tx,
      caller,
      jobId,
      {
        signStation: a.sign,
        ...('station' in a ? { station: a.station } : {}),
        ...(a.despite === undefined ? {} : { despite: a.despite }),
      },
      head.revision,
      at,
    );
  }
}

/** Loads the demo shop into an empty database; leaves one that has a shop alone. Returns whether it loaded. */
export async function loadDemo(db: Db, now: Date): Promise<boolean> {
  const { rows } = await db
    .selectNoFrom((eb) => eb.fn<boolean>('any_shop', []).as('any'))
    .execute()
    .then((r) => ({ rows: r }));
  if (rows[0]!.any) return false;
  const { manager } = demoShop;
  const { shopId, personId } = await makeShop(db, {
    shopName: demoShop.shopName,
    bays: [...demoShop.bays],
    currency: demoShop.currency,
    ...manager,
  });
  const boss: Caller = { shopId, personId, name: manager.name, initials: manager.initials, role: 'manager' };
  const callers = new Map<string, Caller>([['MH', boss]]);
  await inShop(db, shopId, async (tx) => {
    for (const p of demoShop.crew) {
      const person = await insertPerson(tx, shopId, p);
      callers.set(p.initials, { shopId, personId: person.id, name: p.name, initials: p.initials, role: p.role });
    }
    await withMoney(tx, () =>
      tx
        .insertInto('shop_terms')
        .values({ ...demoShop.terms, shop_id: shopId, revision: 1, by_id: personId })
        .execute(),
    );
    for (const { id, line, when } of demoShop.rules)
      await tx
        .insertInto('shop_rule')
        .values({ shop_id: shopId, id, line: JSON.stringify(line), condition: when, by_id: personId })
        .execute();
    for (const [name, sort, left, top, wide, high, holds, dry] of demoShop.places)
      await tx
        .insertInto('store_place')
        .values({ shop_id: shopId, id: randomUUID(), name, sort, left_at: left, top_at: top, wide, high, holds, dry })
        .execute();
    for (const [question, side] of Object.entries(demoShop.schools))
      await tx.insertInto('shop_school').values({ shop_id: shopId, question, side, by_id: personId }).execute();
  });
  for (const job of jobs) {
    await inShop(db, shopId, async (tx) => {
      const caller = callers.get(job.by)!;
      const jobId = await insertJob(tx, caller, {
        ...job,
        ...(job.promisedIn === undefined ? {} : { promised: day(job.promisedIn, now) }),
        at: moment(job.opened, now),
      });
      for (const u of job.units)
        await putInRole(
          tx,
          caller,
          jobId,
          await insertUnit(tx, caller, { kind: u.kind, name: u.name, identity: u.identity ?? null, place: u.place }),
          u.role,
        );
      if (job === pickup) await candidates(tx, caller, jobId, moment(job.opened, now));
      const acts = [...job.acts].sort((a, b) => moment(a.when, now).getTime() - moment(b.when, now).getTime());
      for (const a of acts) await act(tx, callers, jobId, a, now);
    });
  }
  await inShop(db, shopId, (tx) => orders(tx, boss, now));
  return true;
}

/** What the shop has on order: one late and partly here, one out at the machine shop. */
async function orders(tx: Tx, { shopId, personId }: Caller, now: Date): Promise<void> {
  const jobs = await tx.selectFrom('job').select(['id', 'number']).orderBy('number').execute();
  const ofJob = (at: number): string => jobs[at]!.id;
  interface Line {
    job: number;
    title: string;
    options: string;
    count: number;
    came: number;
    price: number;
    /** What goes back for it, in how many days, against which deposit. */
    owed?: { by: number; deposit: number };
  }
  const all: {
    supplier: string;
    sort: 'goods' | 'outside-work';
    ordered: number;
    promised: number;
    reference: string;
    tracking: string;
    freight: number | undefined;
    lines: Line[];
    back: { line: number; count: number; reason: string; until: number } | undefined;
  }[] = [
    {
      supplier: 'Copper Yard',
      sort: 'goods',
      ordered: -9,
      promised: -2,
      reference: 'CY-4471',
      tracking: 'left their store on Tuesday',
      freight: 14_50,
      lines: [
        { job: 2, title: 'Heater hose 19 mm', options: '2 m, formed', count: 2, came: 2, price: 11_90 },
        { job: 3, title: 'Fuel hose 8 mm, SAE 30R9', options: '3 m', count: 1, came: 0, price: 24_00 },
        {
          job: 2,
          title: 'Steering pump, rebuilt',
          options: 'with its pulley',
          count: 1,
          came: 1,
          price: 96_00,
          owed: { by: 8, deposit: 25_00 },
        },
      ],
      back: { line: 0, count: 1, reason: 'too stiff for the bend', until: 5 },
    },
    {
      supplier: 'Lathe and Loom',
      sort: 'outside-work',
      ordered: -4,
      promised: 6,
      reference: 'block 0404',
      tracking: '',
      freight: undefined,
      lines: [{ job: 3, title: 'Block faced and bored', options: 'sheet with it', count: 1, came: 0, price: 420_00 }],
      back: undefined,
    },
  ];
  for (const [i, o] of all.entries()) {
    const [id, supplierId] = [randomUUID(), randomUUID()];
    await tx.insertInto('supplier').values({ shop_id: shopId, id: supplierId, name: o.supplier }).execute();
    await tx
      .insertInto('purchase')
      .values({
        shop_id: shopId,
        id,
        number: i + 1,
        sort: o.sort,
        supplier_id: supplierId,
        ordered_on: day(o.ordered, now),
        promised_on: day(o.promised, now),
        reference: o.reference,
        tracking: o.tracking,
        by_id: personId,
      })
      .execute();
    const amounts: { of_id: string; sort: 'price' | 'freight' | 'deposit'; amount: number }[] = [];
    for (const [n, l] of o.lines.entries()) {
      const lineId = randomUUID();
      const back = o.back?.line === n ? o.back : undefined;
      await tx
        .insertInto('purchase_line')
        .values({
          shop_id: shopId,
          id: lineId,
          purchase_id: id,
          job_id: ofJob(l.job),
          title: l.title,
          options: l.options,
          count: l.count,
          came: l.came,
          sent_back: back?.count ?? 0,
          ...(l.owed ? { owed: l.count, owed_by: day(l.owed.by, now) } : {}),
        })
        .execute();
      amounts.push({ of_id: lineId, sort: 'price', amount: l.price });
      if (l.owed) amounts.push({ of_id: lineId, sort: 'deposit', amount: l.owed.deposit });
      if (back)
        await tx
          .insertInto('sent_back')
          .values({
            shop_id: shopId,
            id: randomUUID(),
            purchase_id: id,
            line_id: lineId,
            count: back.count,
            reason: back.reason,
            on_day: day(-1, now),
            until_day: day(back.until, now),
            by_id: personId,
          })
          .execute();
    }
    if (o.freight !== undefined) amounts.push({ of_id: id, sort: 'freight', amount: o.freight });
    await withMoney(tx, () =>
      tx
        .insertInto('purchase_amount')
        .values(amounts.map((a) => ({ ...a, shop_id: shopId, purchase_id: id, by_id: personId })))
        .execute(),
    );
  }
}

/** The candidates' own facts: they hang on the engines, whichever of them goes in. */
async function candidates(tx: Tx, caller: Caller, jobId: string, at: Date): Promise<void> {
  const known: Record<string, Record<string, Record<string, string>>> = {
    '3.6 vee six': {
      'eng-mass': { value: '214 kg' },
      'eng-power': { value: '132 kW' },
      'eng-throttle-kind': { value: 'by-wire' },
      'eng-fan-reach': { 'pulley-face': '598 mm' },
      'eng-width': { 'left-at-covers-and-coils': '366 mm', 'right-at-covers-and-coils': '372 mm' },
      'eng-fuelling': { value: 'port-injection' },
    },
    '2.8 in-line six': {
      'eng-code': { value: 'CV28, variant 3, serial 1180' },
      'eng-mass': { value: '188 kg' },
      'eng-power': { value: '118 kW' },
      'eng-throttle-kind': { value: 'cable' },
      'eng-fan-reach': { 'pulley-face': '801 mm' },
      'eng-width': { 'left-at-covers-and-coils': '258 mm', 'right-at-covers-and-coils': '301 mm' },
      'eng-fuelling': { value: 'port-injection' },
    },
  };
  const { readFact } = await import('@bay/core/facts');
  const units = await tx
    .selectFrom('job_unit')
    .innerJoin('unit', 'unit.id', 'job_unit.unit_id')
    .select(['unit.id', 'unit.name'])
    .where('job_id', '=', jobId)
    .where('role', '=', 'candidate')
    .execute();
  for (const unit of units) {
    for (const [factId, typed] of Object.entries(known[unit.name]!)) {
      const entry = readFact(factId, typed);
      if (!entry.ok) throw new Error(`${factId}: ${Object.values(entry.errors).join(' ')}`);
      const row = {
        shop_id: caller.shopId,
        bearer_id: unit.id,
        fact_id: factId,
        parts: JSON.stringify(entry.parts),
        typed: JSON.stringify(entry.typed),
        source: 'looked-up',
        note: null,
        by_id: caller.personId,
        at,
        revision: 1,
      };
      await tx.insertInto('fact').values(row).execute();
      await tx.insertInto('fact_version').values(row).execute();
    }
    await writeRecord(tx, caller, {
      jobId,
      kind: 'candidate',
      key: unit.id,
      data: { cost: unit.name.startsWith('3.6') ? 145_000 : 90_000 },
      revision: 0,
      at,
    });
  }
}

const signIns = `  manager      ${demoShop.manager.email}   password ${demoShop.manager.password}
  at a tablet  ${demoShop.crew.map((p) => `${p.name} ${p.pin}`).join(', ')}, ${demoShop.manager.name} ${demoShop.manager.pin}
`;

async function run(): Promise<void> {
  if (process.argv.includes('--sign-ins')) {
    process.stdout.write(signIns);
    return;
  }
  const url = process.env['DATABASE_URL'];
  if (!url) throw new Error('DATABASE_URL is not set.');
  await migrate(url);
  const pool = openPool(url, { max: 4 });
  try {
    if (await loadDemo(openDb(pool), new Date())) process.stderr.write('Demo shop loaded.\n');
  } finally {
    await pool.end();
  }
}

if (process.argv[1]?.includes('load')) {
  run().catch((error: unknown) => {
    const said =
      error instanceof Refusal ? JSON.stringify(error.problem) : error instanceof Error ? error.message : String(error);
    process.stderr.write(`The demo shop could not be loaded: ${said}\n`);
    process.exit(1);
  });
}
