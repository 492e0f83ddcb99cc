import { sql } from 'kysely';
import { undoSeconds } from '@bay/contract/logbook';
import type { Tx } from '../db/connection.ts';
import { notFound, Refusal } from '../http/problem.ts';
import type { Caller } from '../http/register.ts';
import { takenBack, writeLogEntry } from './run.ts';

type Row = Record<string, unknown>;
interface Change {
  table_name: string;
  before: Row | null;
  after: Row | null;
}

/** What tells one row of a table from the others. */
const keys: Readonly<Record<string, readonly string[]>> = {
  record: ['bearer_id', 'kind', 'key'],
  part: ['id'],
  bag: ['id'],
  store_place: ['id'],
  kit_line: ['job_id', 'key'],
  money: ['job_id', 'kind', 'key'],
  supplier: ['id'],
  shop_terms: ['shop_id'],
  quote: ['job_id', 'number'],
  payment: ['id'],
  purchase: ['id'],
  purchase_line: ['id'],
  sent_back: ['id'],
  purchase_amount: ['of_id', 'sort'],
  fact: ['bearer_id', 'fact_id'],
  job: ['id'],
  job_unit: ['job_id', 'unit_id', 'role'],
  unit: ['id'],
  customer: ['id'],
  person: ['id'],
  shop_rule: ['id'],
  shop_school: ['shop_id', 'question'],
  log_mark: ['id'],
  clock: ['id'],
  customer_link: ['id'],
};
/** Made by the database itself; nobody writes them. */
const generated = new Set(['words']);

/** Rows that are only added and taken away, never changed, need no lock; the server may not even change them. */
const written = new Set(['log_mark']);

/** New rows that the logbook already speaks of are put aside instead of taken away. */
const putAside: Readonly<Record<string, string>> = { job: 'withdrawn_at = now()', person: 'active = false' };

const table = (name: string) => sql.raw(`public."${name}"`);
const where = (name: string, row: Row) =>
  sql.join(
    keys[name]!.map((k) => sql`${sql.ref(k)} = ${row[k]}`),
    sql` and `,
  );
const columnsOf = (row: Row): string[] => Object.keys(row).filter((c) => !generated.has(c));

async function standsAsLeft(tx: Tx, { table_name: name, before, after }: Change): Promise<boolean> {
  const { rows } = await sql<{ same: boolean }>`
    select to_jsonb(t) = ${JSON.stringify(after)}::jsonb as same from ${table(name)} t where ${where(name, after ?? before!)}${sql.raw(written.has(name) ? '' : ' for update')}`.execute(
    tx,
  );
  return after === null ? rows.length === 0 : (rows[0]?.same ?? false);
}

async function putBack(tx: Tx, caller: Caller, change: Change): Promise<void> {
  const { table_name: name, before, after } = change;
  if (before === null) {
    // The customer of a job that is put aside stays with it.
    if (name === 'customer') return;
    if (putAside[name])
      await sql`update ${table(name)} set ${sql.raw(putAside[name])} where ${where(name, after!)}`.execute(tx);
    else await sql`delete from ${table(name)} where ${where(name, after!)}`.execute(tx);
  } else {
    // The revision goes on counting: whoever saw what is undone now must see that it changed again.
    const counts = 'revision' in before;
    const row: Row = counts ? { ...before, revision: Number(before['revision']) + 1 } : before;
    const columns = (names: readonly string[]) => sql.join(names.map((c) => sql.ref(c)));
    const old = (names: readonly string[]) =>
      sql`select ${columns(names)} from jsonb_populate_record(null::${table(name)}, ${JSON.stringify(row)}::jsonb)`;
    const all = columnsOf(row);
    const rest = all.filter((c) => c !== 'revision');
    if (after === null) await sql`insert into ${table(name)} (${columns(all)}) ${old(all)}`.execute(tx);
    else
      await sql`update ${table(name)} set (${columns(rest)}) = (${old(rest)})${counts ? sql`, revision = revision + 1` : sql``} where ${where(name, after)}`.execute(
        tx,
      );
  }
  if (name === 'fact') await keepFactVersion(tx, caller, change);
}

/** The history of a fact also tells that it was taken back. */
async function keepFactVersion(tx: Tx, caller: Caller, { before, after }: Change): Promise<void> {
  const row = before ?? { ...after!, parts: {}, typed: {}, note: null };
  const last = await tx
    .selectFrom('fact_version')
    .select(({ fn }) => fn.max('revision').as('revision'))
    .where('bearer_id', '=', String(row['bearer_id']))
    .where('fact_id', '=', String(row['fact_id']))
    .executeTakeFirst();
  await tx
    .insertInto('fact_version')
    .values({
      shop_id: caller.shopId,
      bearer_id: String(row['bearer_id']),
      fact_id: String(row['fact_id']),
      parts: JSON.stringify(row['parts']),
      typed: JSON.stringify(row['typed']),
      source: String(row['source']),
      note: row['note'] as string | null,
      by_id: caller.personId,
      revision: Math.max(Number(row['revision']), Number(last?.revision ?? 0)) + 1,
    })
    .execute();
}

/**
 * Is a job or a unit taken away on which others wrote? Nothing that they wrote changed its row, and not all that speaks of it points
 * at it so that the database would refuse. Asked after the command's own rows are gone: what is still there is somebody else's.
 */
async function somethingHangsOn(tx: Tx, target: string, changes: readonly Change[]): Promise<boolean> {
  for (const { table_name: name, before, after } of changes) {
    if (before !== null || (name !== 'job' && name !== 'unit')) continue;
    const id = String(after!['id']);
    const { rows } = await (
      name === 'job'
        ? sql`select 1 from log_entry where job_id = ${id} and command_id is distinct from ${target} limit 1`
        : sql`(select 1 from fact where bearer_id = ${id} limit 1) union all (select 1 from record where bearer_id = ${id} limit 1)`
    ).execute(tx);
    if (rows.length > 0) return true;
  }
  return false;
}

/**
 * Takes the place of a command that is not here yet, so that it is refused when it comes. One that is being written at this moment is
 * waited for, and is then here.
 */
async function takenBackBefore(tx: Tx, caller: Caller, target: string): Promise<boolean> {
  await tx
    .insertInto('command')
    .values({ id: target, shop_id: caller.shopId, by_id: caller.personId, name: takenBack, digest: null })
    .onConflict((c) => c.columns(['shop_id', 'id']).doNothing())
    .execute();
  const { name } = await tx.selectFrom('command').select('name').where('id', '=', target).executeTakeFirstOrThrow();
  return name === takenBack;
}

/**
 * Takes a command back, row by row, the last change first. Only one's own, within half a minute, and only while every row still
 * stands as it left them: what somebody built on it meanwhile is never torn down. The lines it wrote in the book stay, marked.
 */
export async function undoCommand(
  tx: Tx,
  caller: Caller,
  target: string,
  orRefuseIt?: true,
): Promise<{ undone: string[]; jobIds: string[] }> {
  if (orRefuseIt && (await takenBackBefore(tx, caller, target))) return { undone: [], jobIds: [] };
  const { rows: found } = await sql<{ by_id: string; age: number; taken: boolean }>`
    select by_id, extract(epoch from now() - at)::float as age, exists (select 1 from command_undone u where u.command_id = command.id) as taken
    from command where id = ${target}`.execute(tx);
  const command = found[0];
  if (!command) throw notFound('This command');
  if (command.by_id !== caller.personId) throw new Refusal(403, 'Each undoes only what they did themselves.');
  if (command.taken) throw new Refusal(409, 'That is undone already.');
  if (command.age > undoSeconds)
    throw new Refusal(409, `That is longer than ${undoSeconds} seconds ago. Correct it instead; the book keeps both.`);
  const { rows: changes } =
    await sql<Change>`select table_name, before, after from row_change where command_id = ${target} order by id desc`.execute(
      tx,
    );
  // A plain note changes no row; taking it back marks its line.
  const lines = await tx
    .selectFrom('log_entry')
    .select(['id', 'job_id', 'kind', 'station', 'text', 'about'])
    .where('command_id', '=', target)
    .orderBy('id')
    .execute();
  if (changes.length === 0 && lines.length === 0) throw new Refusal(409, 'There is nothing to take back in this.');
  // Only the last state of each row must stand as it was left; the states in between are the command's own.
  const looked = new Set<string>();
  for (const change of changes) {
    const row = change.after ?? change.before!;
    const name = `${change.table_name} ${keys[change.table_name]!.map((k) => String(row[k])).join(' ')}`;
    if (looked.has(name)) continue;
    looked.add(name);
    if (!(await standsAsLeft(tx, change)))
      throw new Refusal(409, 'Somebody built on this meanwhile. Correct it instead; the book keeps both.');
  }
  try {
    for (const change of changes) await putBack(tx, caller, change);
  } catch (error) {
    // Something else hangs on a row that would be taken away.
    if ((error as { code?: string }).code === '23503')
      throw new Refusal(409, 'Something else hangs on this by now. Correct it instead; the book keeps both.');
    throw error;
  }
  if (await somethingHangsOn(tx, target, changes))
    throw new Refusal(409, 'Somebody built on this meanwhile. Correct it instead; the book keeps both.');
  await tx
    .insertInto('command_undone')
    .values({ command_id: target, shop_id: caller.shopId, by_command: caller.command!.id })
    .execute();
  for (const line of lines) {
    await tx
      .insertInto('log_mark')
      .values({ shop_id: caller.shopId, entry_id: line.id, kind: 'undone', text: '', by_id: caller.personId })
      .execute();
    await writeLogEntry(tx, caller, {
      jobId: line.job_id,
      kind: 'undo',
      station: line.station ?? undefined,
      text:
        line.kind === 'undo'
          ? `done again: ${line.text.replace(/^(?:undone|done again): /, '')}`
          : `undone: ${line.text}`,
      about: line.about ?? undefined,
    });
  }
  return { undone: lines.map((l) => l.text), jobIds: [...new Set(lines.map((l) => l.job_id))] };
}
