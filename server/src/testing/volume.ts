import { createHash } from 'node:crypto';
import pg from 'pg';
import { hash } from '@node-rs/argon2';
import { factCatalogue } from '@bay/core/facts';
import { kitLines } from '@bay/core/kit';
import { pullSteps } from '@bay/core/pull';

/**
 * Fills a database with shops as they are after years of work: the same for the same seed, in plain SQL, so that millions of rows
 * take minutes. For benchmarks and for the test that looks at query plans; nothing of it is shown to anybody.
 */

export interface Volume {
  seed: number;
  /** Jobs of each shop, the largest first. */
  jobs: readonly number[];
  /** Open jobs in bays and in the yard, of each shop. */
  inBays: number;
  inYard: number;
  factsPerJob: number;
  recordsPerJob: number;
  linesPerJob: number;
}

export interface FilledShop {
  shopId: string;
  email: string;
  password: string;
  /** An open job in a bay, and one that is finished. */
  openJob: string;
  finishedJob: string;
}

const password = 'a password for measuring';
const idOf = (...parts: readonly (string | number)[]): string => {
  const hex = createHash('md5').update(parts.join(':')).digest('hex');
  return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-4${hex.slice(13, 16)}-8${hex.slice(17, 20)}-${hex.slice(20)}`;
};

/** One plausible value of each fact, with the unit it hangs on. */
function factSamples(): { fact_id: string; role: string; parts: object; typed: object }[] {
  const roles = { recipient: 'car', donor: 'car', engine: 'engine', gearbox: 'gearbox', choice: 'job' } as const;
  return factCatalogue
    .filter((f) => f.subject !== 'donor')
    .map((f, i) => {
      const parts = Object.fromEntries(
        f.parts
          .slice(0, 4)
          .map((p, n) => [
            p.key,
            p.options
              ? p.options[(i + n) % p.options.length]!
              : p.text
                ? 'as stamped'
                : 100 + ((i * 37 + n * 11) % 400),
          ]),
      );
      return {
        fact_id: f.id,
        role: roles[f.subject],
        parts,
        typed: Object.fromEntries(Object.entries(parts).map(([k, v]) => [k, String(v)])),
      };
    });
}

/** Records of the kinds a job fills up with; a key of null is a new id for each job. */
function recordSamples(): { kind: string; key: string | null; role: string; data: object }[] {
  const sample = (kind: string, key: string | null, data: object, role = 'job') => ({ kind, key, role, data });
  return [
    ...pullSteps.slice(0, 22).map((s) => sample('task', s.id, { status: 'done' })),
    ...kitLines.slice(0, 12).map((l) => sample('kit', l.id, { status: 'fitted' })),
    ...Array.from({ length: 6 }, (_, i) =>
      sample('bag', null, { what: `bolts ${i}`, label: String(i + 1), place: 'tray' }),
    ),
    ...Array.from({ length: 4 }, (_, i) =>
      sample('part', null, { takeId: 'take-ecu', title: `part ${i}`, condition: 'good', label: `L-${i}`, place: 'C2' }),
    ),
    ...Array.from({ length: 6 }, (_, i) =>
      sample(
        'torque',
        `head:${i + 1}`,
        { joint: 'head', on: 'engine', bolt: String(i + 1), stagesNm: [30, 60], source: 'manual' },
        'engine',
      ),
    ),
    sample('hold', null, { waitsFor: 'paint', released: { at: '2026-01-01T00:00:00.000Z' } }),
    sample('ask', null, { ask: 'question', to: 'manager', what: 'which one?', answer: { text: 'the left' } }),
    sample('follow-up', null, { what: 'tighten again', done: {} }),
  ];
}

/** Fills an empty, migrated database. `url` is that of its owner, whom row-level security does not bind. */
export async function fillWith(
  url: string,
  volume: Volume,
  say: (words: string) => void = () => undefined,
): Promise<FilledShop[]> {
  const db = new pg.Client({ connectionString: url });
  await db.connect();
  const run = (text: string, values: readonly unknown[] = []): Promise<unknown> => db.query(text, [...values]);
  try {
    // Triggers and foreign keys are for the application; versions are made below.
    await run('set session_replication_role = replica');
    // Ids as `idOf` makes them.
    await run(`create function pg_temp.id_of(words text) returns uuid language sql immutable as $$
      select (substr(h, 1, 12) || '4' || substr(h, 14, 3) || '8' || substr(h, 18))::uuid from (select md5(words) as h) x $$`);
    await run('create temporary table fact_sample (i serial, fact_id text, role text, parts jsonb, typed jsonb)');
    await run(
      'insert into fact_sample (fact_id, role, parts, typed) select * from jsonb_to_recordset($1::jsonb) as x(fact_id text, role text, parts jsonb, typed jsonb)',
      [JSON.stringify(factSamples())],
    );
    await run('create temporary table record_sample (i serial, kind text, key text, role text, data jsonb)');
    await run(
      'insert into record_sample (kind, key, role, data) select * from jsonb_to_recordset($1::jsonb) as x(kind text, key text, role text, data jsonb)',
      [JSON.stringify(recordSamples())],
    );
    const secret = await hash(password);
    const shops: FilledShop[] = [];
    for (const [i, jobs] of volume.jobs.entries()) {
      say(`shop ${i + 1} of ${volume.jobs.length}, ${jobs} jobs`);
      shops.push(await fillShop(run, volume, i, jobs, secret));
    }
    say('counting versions and statistics');
    await run('insert into job_version (shop_id, job_id) select shop_id, id from job on conflict do nothing');
    await run(
      "select setval('log_entry_id_seq', (select max(id) from log_entry)), setval('fact_version_id_seq', coalesce((select max(id) from fact_version), 1))",
    );
    await run('vacuum analyze');
    return shops;
  } finally {
    await db.end();
  }
}

async function fillShop(
  run: (text: string, values?: readonly unknown[]) => Promise<unknown>,
  v: Volume,
  index: number,
  jobs: number,
  secret: string,
): Promise<FilledShop> {
  const shopId = idOf(v.seed, 'shop', index);
  const email = `boss-${v.seed}-${index}@volume.example`;
  const people = Array.from({ length: 6 }, (_, n) => idOf(v.seed, index, 'person', n));
  const bays = JSON.stringify(Array.from({ length: v.inBays }, (_, n) => String(n + 1)));
  await run('insert into shop (id, name, bays, next_job) values ($1, $2, $3, $4)', [
    shopId,
    `Shop ${index}`,
    bays,
    jobs + 1,
  ]);
  for (const [n, id] of people.entries())
    await run(
      'insert into person (id, shop_id, name, initials, role, email, password_hash) values ($1, $2, $3, $4, $5, $6, $7)',
      [
        id,
        shopId,
        `Person ${n} of ${index}`,
        `P${n}`,
        n === 0 ? 'manager' : 'technician',
        n === 0 ? email : null,
        n === 0 ? secret : null,
      ],
    );
  // An id of a thing of a job is made from the number of the job, so that rows can name each other without being read.
  const id = (what: string): string => `pg_temp.id_of('${v.seed}:${index}:${what}:' || n)`;
  const by = `($2::uuid[])[1 + n % 6]`;
  const at = `now() - (${jobs} - n) * interval '9 hours' - interval '1 day'`;
  const given = [shopId, people];
  await run(
    `insert into customer (id, shop_id, name) select ${id('customer')}, $1, 'Customer ' || n from generate_series(1, ${jobs}) n`,
    [shopId],
  );
  for (const kind of ['car', 'engine', 'gearbox'])
    await run(
      `insert into unit (id, shop_id, kind, name, identity, place) select ${id(kind)}, $1, '${kind}', (1950 + n % 70) || ' ${kind} ' || n, 'N' || n, 'place ' || n % 40 from generate_series(1, ${jobs}) n`,
      [shopId],
    );
  const open = v.inBays + v.inYard;
  await run(
    `insert into job (id, shop_id, number, customer_id, wish, faults, bay, station, signed, opened_at, closed_at)
     select ${id('job')}, $1, lpad(n::text, 5, '0'), ${id('customer')}, 'quiet on long roads', 'none', case when n > ${jobs - v.inBays} then (n - ${jobs - v.inBays})::text end,
       case when n > ${jobs - open} then (array['pull', 'prep', 'fit', 'connect'])[1 + n % 4] else 'hand-over' end, '[]', ${at}, case when n <= ${jobs - open} then ${at} + interval '40 days' end
     from generate_series(1, ${jobs}) n`,
    [shopId],
  );
  for (const kind of ['car', 'engine', 'gearbox'])
    await run(
      `insert into job_unit (shop_id, job_id, unit_id, role) select $1, ${id('job')}, ${id(kind)}, '${kind}' from generate_series(1, ${jobs}) n`,
      [shopId],
    );
  const bearer = `case s.role when 'car' then ${id('car')} when 'engine' then ${id('engine')} when 'gearbox' then ${id('gearbox')} else ${id('job')} end`;
  await run(
    `insert into fact (shop_id, bearer_id, fact_id, parts, typed, source, by_id, at, revision)
     select $1, ${bearer}, s.fact_id, s.parts, s.typed, 'measured', ${by}, ${at}, 1 from generate_series(1, ${jobs}) n join fact_sample s on (s.i * 7 + n) % (select count(*) from fact_sample) < ${v.factsPerJob}`,
    given,
  );
  const samples = `generate_series(1, ${jobs}) n join record_sample s on s.i <= ${v.recordsPerJob}`;
  const key = `pg_temp.id_of('${v.seed}:${index}:record:' || n || ':' || s.i)`;
  await run(
    `insert into record (shop_id, bearer_id, job_id, kind, key, data, revision, by_id, at)
     select $1, ${bearer}, ${id('job')}, s.kind, coalesce(s.key, ${key}::text), s.data || jsonb_build_object('byId', ${by}), 1, ${by}, ${at}
     from ${samples} and s.kind not in ('part', 'bag', 'kit')`,
    given,
  );
  // Kinds that have a table of their own.
  const signed = `${by}, ${at}, 1, ${by}, ${at}`;
  await run(
    `insert into part (shop_id, id, job_id, key, take_id, title, condition, label, place, signed_by_id, signed_at, revision, by_id, at)
     select $1, ${key}, ${id('job')}, ${key}::text, s.data->>'takeId', s.data->>'title', s.data->>'condition', s.data->>'label', s.data->>'place', ${signed} from ${samples} and s.kind = 'part'`,
    given,
  );
  await run(
    `insert into bag (shop_id, id, job_id, key, what, label, place, signed_by_id, signed_at, revision, by_id, at)
     select $1, ${key}, ${id('job')}, ${key}::text, s.data->>'what', s.data->>'label', s.data->>'place', ${signed} from ${samples} and s.kind = 'bag'`,
    given,
  );
  await run(
    `insert into kit_line (shop_id, job_id, key, status, signed_by_id, signed_at, revision, by_id, at)
     select $1, ${id('job')}, s.key, s.data->>'status', ${signed} from ${samples} and s.kind = 'kit'`,
    given,
  );
  await run(
    `insert into money (shop_id, job_id, kind, key, amount, by_id, at) select $1, ${id('job')}, 'kit', s.key, 1000 + n * s.i, ${by}, ${at} from ${samples} and s.kind = 'kit'`,
    given,
  );
  // Six orders of two lines each a job; those of all but the last hundred jobs are done with.
  const orders = `generate_series(1, ${jobs}) n cross join generate_series(1, 6) o`;
  const order = `pg_temp.id_of('${v.seed}:${index}:order:' || n || ':' || o)`;
  const supplier = `pg_temp.id_of('${v.seed}:${index}:supplier')`;
  await run(`insert into supplier (shop_id, id, name) values ($1, ${supplier}, 'Of years')`, [shopId]);
  await run(
    `insert into purchase (shop_id, id, number, sort, supplier_id, ordered_on, promised_on, reference, open, by_id, at)
     select $1, ${order}, (n - 1) * 6 + o, 'goods', ${supplier}, '2024-01-01', '2024-02-01', 'R' || n || '-' || o, n > ${jobs} - 20, ${by}, ${at} from ${orders}`,
    given,
  );
  await run(
    `insert into purchase_line (shop_id, id, purchase_id, job_id, title, count, came)
     select $1, pg_temp.id_of('${v.seed}:${index}:order-line:' || n || ':' || o || ':' || l), ${order}, ${id('job')}, 'Part ' || l, 4, case when n > ${jobs} - 20 then 1 else 4 end
     from ${orders} cross join generate_series(1, 2) l`,
    [shopId],
  );
  await run(
    `insert into purchase_amount (shop_id, of_id, sort, purchase_id, amount, by_id, at) select $1, ${order}, 'freight', ${order}, 900, ${by}, ${at} from ${orders}`,
    given,
  );
  await run(
    `insert into payment (shop_id, id, job_id, sort, amount, on_day, by_id, at)
     select $1, pg_temp.id_of('${v.seed}:${index}:payment:' || n || ':' || o), ${id('job')}, 'part', 10000, '2024-03-01', ${by}, ${at} from ${orders}`,
    given,
  );
  await run(
    `insert into quote (shop_id, job_id, number, content, net, gross, deposit, valid_until, state, made_by, made_at)
     select $1, ${id('job')}, o, '{"lines":[],"taxes":[],"exclusions":[],"note":"","waits":[],"open":[],"asExtra":[],"despite":null}', 1000, 1200, 300, '2024-04-01', 'replaced', ${by}, ${at} from ${orders}`,
    given,
  );
  await run(
    `insert into log_entry (shop_id, job_id, kind, station, text, about, data, by_id, at, received_at)
     select $1, ${id('job')}, (array['note', 'step', 'measurement', 'part', 'torque'])[1 + l % 5], 'prep',
       'line ' || l || ' about the ' || (array['bell', 'sump', 'loom', 'alternator', 'manifold', 'thermostat', 'crossmember', 'bracket', 'pump', 'radiator', 'rail'])[1 + (n + l) % 11] ||
       ' on the ' || (array['left', 'right', 'front', 'rear'])[1 + l % 4] || ', ' || (array['tight', 'loose', 'scored', 'measured twice', 'sent back'])[1 + (n * l) % 5] || ' ' || n % 900, null, '{}', ${by}, ${at}, ${at}
     from generate_series(1, ${jobs}) n cross join generate_series(1, ${v.linesPerJob}) l`,
    given,
  );
  const job = (n: number): string => idOf(v.seed, index, 'job', n);
  return { shopId, email, password, openJob: job(jobs), finishedJob: job(1) };
}
