import { runMigrations } from 'graphile-worker';
import pg from 'pg';
import { appRole } from './connection.ts';
import * as ground from './migrations/0001-ground.ts';
import * as peopleById from './migrations/0004-people-by-id.ts';
import * as volume from './migrations/0005-volume.ts';
import * as queue from './migrations/0006-queue.ts';
import * as things from './migrations/0007-things.ts';
import * as doors from './migrations/0008-doors.ts';
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
];

const lockNumber = 7_240_117;

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
    const unknown = [...done].filter((name) => !migrations.some((m) => m.name === name)).sort();
    if (unknown.length > 0)
      throw new Error(
        `This database was written by a newer Veteran Bay (${unknown.join(', ')}). Nothing was changed. Start that version, or restore a backup of this one.`,
      );
    await client.query(
      `do $$ begin if not exists (select 1 from pg_roles where rolname = '${appRole}') then create role ${appRole} nologin; end if; end $$`,
    );
    await client.query(`grant ${appRole} to current_user`);
    await client.query(`grant usage on schema public to ${appRole}`);
    // The queue keeps its own tables in its own schema; ours only put work into it.
    await runMigrations({ connectionString: url });
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
