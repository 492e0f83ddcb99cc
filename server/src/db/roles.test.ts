import { randomUUID } from 'node:crypto';
import pg from 'pg';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { emptyDatabase } from '../testing/harness.ts';
import { ensureRole } from './roles.ts';

/** Two databases of one cluster, each brought up to date by a process of its own: the role is the cluster's. */

let databases: Awaited<ReturnType<typeof emptyDatabase>>[];
let clients: pg.Client[];
const role = `r_${randomUUID().replaceAll('-', '')}`;

beforeAll(async () => {
  databases = [await emptyDatabase(), await emptyDatabase()];
  // The third one looks on: within a transaction the server shows the same moment again and again.
  clients = [...databases, databases[0]!].map((d) => new pg.Client({ connectionString: d.url }));
  await Promise.all(clients.map((c) => c.connect()));
});
afterAll(async () => {
  await clients[0]!.query(`drop role if exists ${role}`);
  await Promise.all(clients.map((c) => c.end()));
  await Promise.all(databases.map((d) => d.drop()));
});

it('finds the role made that another database made while it was making it', async () => {
  const [first, second, onlooker] = clients as [pg.Client, pg.Client, pg.Client];
  await first.query('begin');
  await ensureRole(first, role);
  const making = ensureRole(second, role);
  const waits = async () =>
    (
      await onlooker.query<{ n: number }>(
        "select count(*)::int as n from pg_stat_activity where query like $1 and wait_event_type = 'Lock'",
        [`%${role}%`],
      )
    ).rows[0]!.n;
  while ((await waits()) === 0) await new Promise((go) => setTimeout(go, 10));
  await first.query('commit');
  await making;
  const { rows } = await second.query('select pg_has_role(current_user, $1, $2) as member', [
    role,
    'member',
  ]);
  expect(rows).toEqual([{ member: true }]);
});
