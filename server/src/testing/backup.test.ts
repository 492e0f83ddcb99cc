import { execFile } from 'node:child_process';
import { createHash, randomUUID } from 'node:crypto';
import { mkdtemp, readdir, readFile, rm, stat, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import pg from 'pg';
import * as crew from '@bay/contract/crew';
import * as jobs from '@bay/contract/jobs';
import { addPhoto, writeLog } from '@bay/contract/logbook';
import { migrate } from '../db/migrate.ts';
import { asked, Client, commandId, emptyDatabase, freshDatabase, startServer } from './harness.ts';
import { asFile, phonePhoto } from './pictures.ts';
import { bookedJob, shopWithCrew } from './shop.ts';

/** `./bay backup` and `./bay restore`, as a person runs them, compared row by row. */

const exec = promisify(execFile);
let folder: string;
beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'bay-backup-'));
});
afterAll(() => rm(folder, { recursive: true, force: true }));

const bay = (url: string, ...args: string[]) =>
  exec('./bay', args, { env: { ...process.env, DATABASE_URL: url } });

/** A checksum of every table's rows, in an order of their own. */
async function fingerprint(url: string): Promise<Record<string, string>> {
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  const { rows: tables } = await client.query<{ name: string }>(
    "select tablename as name from pg_tables where schemaname = 'public' and tablename not in ('session', 'try_count') order by 1",
  );
  const prints: Record<string, string> = {};
  for (const { name } of tables) {
    const { rows } = await client.query<{ row: string }>(
      `select t::text as row from public."${name}" t order by 1`,
    );
    prints[name] = `${rows.length} ${createHash('sha256')
      .update(rows.map((r) => r.row).join('\n'))
      .digest('hex')}`;
  }
  const { rows: rules } = await client.query<{ rule: string }>(
    "select concat_ws(' ', tablename, policyname, qual, with_check) as rule from pg_policies where schemaname = 'public' union all select concat_ws(' ', table_name, grantee, privilege_type) from information_schema.role_table_grants where grantee = 'bay_app' order by 1",
  );
  prints['(rights)'] = `${rules.length} ${createHash('sha256')
    .update(rules.map((r) => r.rule).join('\n'))
    .digest('hex')}`;
  await client.end();
  return prints;
}

describe('backup and restore', () => {
  it('brings back every row, every photo and every right, and the shop works', async () => {
    const one = await freshDatabase();
    const two = await freshDatabase();
    const server = await startServer(one.url);
    const shop = await shopWithCrew(server, 'keep');
    const jobId = await bookedJob(shop.manager);
    const line = (text: string) =>
      shop.technician.good(writeLog, {
        params: { jobId },
        body: { commandId: commandId(), line: text, today: '2026-11-26' },
      });
    await line('held: waiting for gasket, Thursday');
    await line('ümlaut and "quotes" \\ and a tab\t.');
    const photoId = randomUUID();
    await shop.technician.good(addPhoto, {
      params: { jobId },
      body: { commandId: commandId(), photoId, file: asFile(await phonePhoto()) } as never,
    });
    await server.stop();
    const before = await fingerprint(one.url);
    const file = join(folder, 'shop.backup');
    await bay(one.url, 'backup', file);
    // Hashes of PINs and names of customers are in it.
    expect((await stat(file)).mode & 0o077).toBe(0);
    const { stderr: said } = await bay(two.url, 'restore', '--check', file);
    expect(said).toMatch(
      /can be restored by this version: 1 jobs, \d+ lines of the book, 1 photos\. Written /,
    );
    await bay(two.url, 'restore', file);
    expect(await fingerprint(two.url)).toEqual(before);

    const again = await startServer(two.url);
    const client = new Client(again.url);
    await client.good(crew.signIn, {
      body: { email: 'boss-keep@shop.example', password: 'long enough word' },
    });
    expect(
      (await client.good(jobs.readJob, { params: { jobId } })).log.map((l) => l.text).join('\n'),
    ).toContain('ümlaut and "quotes"');
    expect(
      (
        await fetch(`${again.url}/api/photos/${photoId}/screen`, {
          headers: { cookie: client.cookie },
        })
      ).status,
    ).toBe(200);
    await client.good(writeLog, {
      params: { jobId },
      body: { commandId: commandId(), line: 'goes on', today: '2026-11-26' },
    });
    await again.stop();
    await one.drop();
    await two.drop();
  });
  it('is one moment of the shop while people write: what was answered before it began is in it, and nothing in half', async () => {
    const { url, drop } = await freshDatabase();
    const server = await startServer(url);
    const shop = await shopWithCrew(server, 'busy');
    const jobId = await bookedJob(shop.manager);
    const answered: string[] = [];
    let open = true;
    const hand = async (who: Client): Promise<void> => {
      while (open) {
        const line = `while it is backed up ${randomUUID()}`;
        await who.good(writeLog, {
          params: { jobId },
          body: { commandId: commandId(), line, today: '2026-11-26' },
        });
        answered.push(line);
      }
    };
    const hands = [shop.manager, shop.technician].map(hand);
    await vi.waitUntil(() => answered.length >= 20, { timeout: 60_000 });
    const before = [...answered];
    const file = join(folder, 'busy.backup');
    await bay(url, 'backup', file);
    const during = answered.length;
    open = false;
    await Promise.all(hands);
    await server.stop();
    expect(during, 'people must have written meanwhile').toBeGreaterThan(before.length);
    const other = await freshDatabase();
    await bay(other.url, 'restore', file);
    const there = (
      await asked(other.url, "select text from log_entry where text like 'while it is%'")
    ).map((l) => l['text']);
    expect(before.filter((line) => !there.includes(line))).toEqual([]);
    expect(
      await asked(
        other.url,
        `select c.id from command c left join command_reply r on r.command_id = c.id
           left join log_entry l on l.command_id = c.id where c.name = 'write-log' and (r.command_id is null or l.id is null)`,
      ),
    ).toEqual([]);
    expect(
      await asked(other.url, `select count(*)::int as n from command where name = 'write-log'`),
    ).toEqual([{ n: there.length }]);
    await drop();
    await other.drop();
  });
  it('overwrites no file, and takes no file that is no backup', async () => {
    const { url, drop } = await freshDatabase();
    const before = await fingerprint(url);
    const file = join(folder, 'there.backup');
    await writeFile(file, 'not a backup');
    const refused = (...args: string[]) =>
      bay(url, ...args).then(
        () => 'done',
        (e: { stderr: string }) => e.stderr.trim(),
      );
    expect(await refused('backup', file)).toBe(
      `bay: ${file} is there already. Choose another name; a backup overwrites nothing.`,
    );
    expect(await readFile(file, 'utf8')).toBe('not a backup');
    expect(await refused('restore', file)).toBe(
      `bay: ${file} is no backup that can be read. Nothing was changed.`,
    );
    // What is a backup, but of something else, or of a version that is not here yet.
    const other = await emptyDatabase();
    const owner = new pg.Client({ connectionString: other.url });
    await owner.connect();
    const dumped = async (name: string) => {
      const at = join(folder, name);
      await bay(other.url, 'backup', at);
      return at;
    };
    await owner.query(
      'create table session (sid text); create table try_count (key text); create table cake (layers int)',
    );
    const cake = await dumped('cake.backup');
    await owner.query('drop table session; drop table try_count');
    await migrate(other.url);
    await owner.query("insert into migration (name) values ('9999-later')");
    const later = await dumped('later.backup');
    await owner.end();
    for (const check of [['--check'], []]) {
      expect(await refused('restore', ...check, cake)).toContain(
        'of something else than a shop. Nothing was changed.',
      );
      expect(await refused('restore', ...check, later)).toContain(
        'newer Veteran Bay (9999-later). Nothing was changed.',
      );
    }
    await other.drop();
    expect(await refused('restore', join(folder, 'nowhere'))).toMatch(/is not there\.$/);
    expect(await fingerprint(url)).toEqual(before);
    await drop();
  });
});

describe('backups into a folder', () => {
  it('keeps the newest so many, and the newest brings the shop back', async () => {
    const { url, drop } = await freshDatabase();
    const kept = await mkdtemp(join(folder, 'kept-'));
    const server = await startServer(url);
    const shop = await shopWithCrew(server, 'folder');
    const jobId = await bookedJob(shop.manager);
    const names: string[][] = [];
    for (const line of ['first day', 'second day', 'third day']) {
      await shop.technician.good(writeLog, {
        params: { jobId },
        body: { commandId: commandId(), line, today: '2026-11-26' },
      });
      // Names go by the second.
      await vi.waitUntil(async () => {
        const now = `shop-${new Date().toISOString().slice(0, 19).replaceAll(/[-:]/g, '').replace('T', '-')}.backup`;
        return !(await readdir(kept)).includes(now);
      });
      await bay(url, 'backup', '--to', kept, '--keep', '2');
      names.push((await readdir(kept)).toSorted());
    }
    await writeFile(join(kept, 'a letter.txt'), 'not ours');
    await server.stop();
    expect(names.map((n) => n.length)).toEqual([1, 2, 2]);
    expect(names[2]).toEqual([names[1]![1], expect.stringMatching(/^shop-\d{8}-\d{6}\.backup$/)]);
    expect((await stat(join(kept, names[2]![1]!))).mode & 0o077).toBe(0);
    const before = await fingerprint(url);
    const other = await freshDatabase();
    const { stderr: looked } = await bay(other.url, 'restore', '--check', '--newest', kept);
    expect(looked).toContain(names[2]![1]);
    await bay(other.url, 'restore', '--newest', kept);
    expect(await fingerprint(other.url)).toEqual(before);
    await drop();
    await other.drop();
  });
  it('a backup that fails takes none of the old ones away, and says so', async () => {
    const kept = await mkdtemp(join(folder, 'failing-'));
    const old = ['shop-20260101-000000.backup', 'shop-20260102-000000.backup'];
    for (const name of old) await writeFile(join(kept, name), 'an old one');
    const nowhere = new URL(process.env['TEST_DATABASE_URL']!);
    nowhere.pathname = '/no_such_database';
    const refused = await bay(nowhere.href, 'backup', '--to', kept, '--keep', '1').catch(
      (e: unknown) => e,
    );
    expect(refused).toMatchObject({
      code: 1,
      stderr: expect.stringContaining('The backup failed') as string,
    });
    expect((await readdir(kept)).toSorted()).toEqual(old);
  });
  it.each([
    [['--keep', '0'], '--keep wants a whole number above zero.'],
    [['--keep', 'all'], '--keep wants a whole number above zero.'],
    [['--every', '0'], '--every wants whole hours, from 1 to 9999.'],
    [['--often'], 'Unknown option --often.'],
  ])('%j is refused', async (args, sentence) => {
    const refused = await bay(
      'postgres://nobody@127.0.0.1:1/x',
      'backup',
      '--to',
      folder,
      ...args,
    ).catch((e: unknown) => e);
    expect(refused).toMatchObject({ code: 1, stderr: expect.stringContaining(sentence) as string });
  });
  it('a folder without one has nothing to restore', async () => {
    const empty = await mkdtemp(join(folder, 'empty-'));
    const refused = await bay(
      'postgres://nobody@127.0.0.1:1/x',
      'restore',
      '--newest',
      empty,
    ).catch((e: unknown) => e);
    expect(refused).toMatchObject({
      stderr: expect.stringContaining('There is no backup in') as string,
    });
  });
});
