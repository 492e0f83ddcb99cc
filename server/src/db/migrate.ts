import { runMigrations } from 'graphile-worker';
import pg from 'pg';
import { appRole } from './connection.ts';
import { ensureRole } from './roles.ts';
import * as ground from './migrations/0001-ground.ts';
import * as peopleById from './migrations/0004-people-by-id.ts';
import * as volume from './migrations/0005-volume.ts';
import * as queue from './migrations/0006-queue.ts';
import * as things from './migrations/0007-things.ts';
import * as doors from './migrations/0008-doors.ts';
import * as readings from './migrations/0010-readings.ts';
import * as plates from './migrations/0011-plates.ts';
import * as donorAccount from './migrations/0012-donor-account.ts';
import * as waysOut from './migrations/0013-ways-out.ts';
import * as tried from './migrations/0014-tried.ts';
import * as stations from './migrations/0015-stations.ts';
import * as forecasts from './migrations/0016-forecasts.ts';
import * as quotes from './migrations/0017-quotes.ts';
import * as ownLines from './migrations/0019-own-lines.ts';
import * as owedBack from './migrations/0020-owed-back.ts';
import * as store from './migrations/0021-store.ts';
import * as wanted from './migrations/0022-wanted.ts';
import * as accounts from './migrations/0023-accounts.ts';
import * as orders from './migrations/0018-orders.ts';
import * as returning from './migrations/0009-returning.ts';
import * as sharedRecord from './migrations/0003-shared-record.ts';
import * as recordsOnUnits from './migrations/0002-records-on-units.ts';

/** Migrations in order, forward only. A number once landed never changes. */
const migrations: readonly { name: string; up: string }[] = [
  { name: '0001-ground', up: ground.up },
  { name: '0002-records-on-units', up: recordsOnUnits.up },
  { name: '0003-shared-record', up: sharedRecord.up },
  { name: '0004-people-by-id', up: peopleById.up },
  { name: '0005-volume', up: volume.up },
  { name: '0006-queue', up: queue.up },
  { name: '0007-things', up: things.up },
  { name: '0008-doors', up: doors.up },
  { name: '0009-returning', up: returning.up },
  { name: '0010-readings', up: readings.up },
  { name: '0011-plates', up: plates.up },
  { name: '0012-donor-account', up: donorAccount.up },
  { name: '0013-ways-out', up: waysOut.up },
  { name: '0014-tried', up: tried.up },
  { name: '0015-stations', up: stations.up },
  { name: '0016-forecasts', up: forecasts.up },
  { name: '0017-quotes', up: quotes.up },
  { name: '0018-orders', up: orders.up },
  { name: '0019-own-lines', up: ownLines.up },
  { name: '0020-owed-back', up: owedBack.up },
  { name: '0021-store', up: store.up },
  { name: '0022-wanted', up: wanted.up },
  { name: '0023-accounts', up: accounts.up },
];

const lockNumber = 7_240_117;

/**
 * The server takes work out of the queue as the role that it is: the queue's tables let through nobody but their owner, and new
 * versions of the queue bring new tables, so this is said again at every migration.
 */
const queueForServer = `
grant usage on schema graphile_worker to ${appRole};
grant select, insert, update, delete on all tables in schema graphile_worker to ${appRole};
grant usage on all sequences in schema graphile_worker to ${appRole};
grant execute on all functions in schema graphile_worker to ${appRole};
do $$ declare t record; begin
  for t in select relname from pg_class where relnamespace = 'graphile_worker'::regnamespace and relrowsecurity loop
    if not exists (select 1 from pg_policy join pg_class c on c.oid = polrelid where c.relname = t.relname and polname = 'server') then
      execute format('create policy server on graphile_worker.%I to ${appRole} using (true) with check (true)', t.relname);
    end if;
  end loop;
end $$;
`;

/**
 * Brings the database up to date under an advisory lock: any number of servers may start at once. With `upTo` it stops after that
 * migration, for tests of what comes after.
 */
export async function migrate(url: string, upTo?: string): Promise<string[]> {
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  const ran: string[] = [];
  try {
    await client.query('select pg_advisory_lock($1)', [lockNumber]);
    await client.query(
      'create table if not exists migration (name text primary key, at timestamptz not null default now())',
    );
    const done = new Set((await client.query<{ name: string }>('select name from migration')).rows.map((r) => r.name));
    refuseNewer([...done]);
    await ensureRole(client, appRole);
    await client.query(`grant usage on schema public to ${appRole}`);
    await client.query(`grant select on migration to ${appRole}`);
    // The queue keeps its own tables in its own schema.
    await runMigrations({ connectionString: url });
    await client.query(queueForServer);
    const wanted = upTo ? migrations.slice(0, migrations.findIndex((m) => m.name === upTo) + 1) : migrations;
    for (const migration of wanted.filter((m) => !done.has(m.name))) {
      await client.query('begin');
      try {
        await client.query(migration.up);
        await client.query('insert into migration (name) values ($1)', [migration.name]);
        await client.query('commit');
      } catch (error) {
        await client.query('rollback');
        throw error;
      }
      ran.push(migration.name);
    }
  } finally {
    await client.end();
  }
  return ran;
}

/**
 * What the server needs to know of the database before it works on it: that it is of this version, and that the role it works as owns
 * nothing and is bound by row-level security. Throws a sentence otherwise.
 */
export async function refuseUnlessReady(url: string): Promise<void> {
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  try {
    const { rows: roles } = await client.query<{ name: string; above: boolean }>(`
      select rolname as name, rolsuper or rolbypassrls or exists (select 1 from pg_class where relnamespace = 'public'::regnamespace and relowner = pg_roles.oid) as above
      from pg_roles where rolname = session_user`);
    if (roles[0]?.above)
      throw new Error(
        `The server would work as ${roles[0].name}, who is above the rules that keep shops apart. node dist/server/prepare.js brings the database up to date and prints the address that the server connects to.`,
      );
    const { rows } = await client.query<{ there: boolean }>(
      "select to_regclass('public.migration') is not null as there",
    );
    const done = rows[0]!.there ? (await client.query<{ name: string }>('select name from migration')).rows : [];
    const missing = migrations.find((m) => !done.some((d) => d.name === m.name));
    if (missing)
      throw new Error(
        `This database is older than this server (${missing.name} is not done). node dist/server/prepare.js brings it up to date.`,
      );
    refuseNewer(done.map((d) => d.name));
  } finally {
    await client.end();
  }
}

function refuseNewer(done: readonly string[]): void {
  const unknown = done.filter((name) => !migrations.some((m) => m.name === name)).sort();
  if (unknown.length > 0)
    throw new Error(
      `This database was written by a newer Veteran Bay (${unknown.join(', ')}). Nothing was changed. Start that version, or restore a backup of this one.`,
    );
}
