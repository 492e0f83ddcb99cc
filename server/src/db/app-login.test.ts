import { execFile } from 'node:child_process';
import { promisify } from 'node:util';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { shopWithCrew } from '../testing/shop.ts';
import { asked, emptyDatabase, startServer, testSecret } from '../testing/harness.ts';

/** The server works as the application's role from its first word to the database on; only `prepare` speaks as the owner. */

let database: Awaited<ReturnType<typeof emptyDatabase>>;
beforeAll(async () => {
  database = await emptyDatabase();
});
afterAll(() => database.drop());

const run = async (what: 'prepare' | 'main', url: string, secret = testSecret) => {
  const env = { ...process.env, DATABASE_URL: url, SESSION_SECRET: secret, PORT: '1' };
  return promisify(execFile)('node', [`dist/server/${what}.js`], { env }).then(
    ({ stdout }) => stdout.trim(),
    ({ stderr }: { stderr: string }) => `refused: ${stderr.trim()}`,
  );
};
describe('a database that nobody prepared', () => {
  it('is refused by the server, as its owner or not, and nothing is made in it', async () => {
    expect(await run('main', database.url)).toMatch(
      /^refused: The server would work as bay, who is above the rules/,
    );
    expect(
      await asked(database.url, "select 1 from pg_tables where schemaname = 'public'"),
    ).toEqual([]);
  });
});

describe('a database that is prepared', () => {
  let url: string;
  beforeAll(async () => {
    url = await run('prepare', database.url);
  });

  it('gives one address, however often it is asked, and three at once', async () => {
    expect(url).toMatch(/^postgres:\/\/bay_at_t_[0-9a-f]+:[\w-]{43}@127\.0\.0\.1:\d+\/t_/);
    expect(await Promise.all([1, 2, 3].map(() => run('prepare', database.url)))).toEqual([
      url,
      url,
      url,
    ]);
  });

  it('is worked on by a role that owns nothing, is bound by the rules between shops, and cannot become more', async () => {
    const server = await startServer(database.url);
    await shopWithCrew(server, 'role');
    await server.stop();
    expect(
      await asked(
        url,
        `select rolsuper, rolcreaterole, rolcreatedb, rolbypassrls, rolreplication,
           (select count(*)::int from pg_class where relowner = pg_roles.oid) as owns,
           pg_has_role(session_user, 'bay', 'member') as owner
         from pg_roles where rolname = session_user`,
      ),
    ).toEqual([
      {
        rolsuper: false,
        rolcreaterole: false,
        rolcreatedb: false,
        rolbypassrls: false,
        rolreplication: false,
        owns: 0,
        owner: false,
      },
    ]);
    // Without a shop nothing is shown, of people and of everything else.
    expect(await asked(url, 'select name from person')).toEqual([]);
    for (const sql of [
      'set role bay',
      'create table public.mine (n integer)',
      'drop table person',
      'alter table person disable row level security',
      "update migration set name = 'x'",
      'select pg_read_file($$/etc/passwd$$)',
      'drop schema graphile_worker cascade',
    ])
      await expect(asked(url, sql), sql).rejects.toThrow(
        /permission denied|must be owner|must be able/,
      );
  });

  it('lets nobody in with the password of another secret', async () => {
    const other = await run('prepare', database.url, 'another secret of the shop');
    expect(new URL(other).password).not.toBe(new URL(url).password);
    await expect(asked(url, 'select 1')).rejects.toMatchObject({ code: '28P01' });
    expect(await run('prepare', database.url)).toBe(url);
    expect(await asked(url, 'select 1 as there')).toEqual([{ there: 1 }]);
  });

  it('is refused by a server that is newer or older than it', async () => {
    await asked(
      database.url,
      "update migration set name = '9999-later' where name = '0023-accounts'",
    );
    expect(await run('main', url)).toMatch(
      /^refused: This database is older than this server \(0023-accounts/,
    );
    expect(await run('prepare', database.url)).toMatch(
      /^refused: This database was written by a newer Veteran Bay/,
    );
    await asked(database.url, "insert into migration (name) values ('0023-accounts')");
    expect(await run('main', url)).toMatch(
      /^refused: This database was written by a newer Veteran Bay \(9999-later\)/,
    );
    await asked(database.url, "delete from migration where name = '9999-later'");
  });
});

describe('the process that prepares', () => {
  it('says each setting that it lacks', async () => {
    expect(await run('prepare', 'mysql://x', 'short')).toBe(
      'refused: DATABASE_URL begins with postgres://.\nSESSION_SECRET is too short: 16 characters or more.',
    );
  });
});
