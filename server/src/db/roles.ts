import type pg from 'pg';

/**
 * Makes a role that nobody signs in as, and lets the caller act as it. Roles belong to the whole cluster, and an advisory lock only to
 * one database: two databases prepared at once may both make the role, and the later one finds it made. `name` is a plain identifier.
 */
export async function ensureRole(client: pg.ClientBase, name: string): Promise<void> {
  for (const sql of [`create role ${name} nologin`, `grant ${name} to current_user`])
    await client.query(`do $$ begin ${sql}; exception when duplicate_object or unique_violation then null; end $$`);
}
