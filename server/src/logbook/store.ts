import { sql } from 'kysely';
import Papa from 'papaparse';
import type { RawBuilder } from 'kysely';
import type { LogKind } from '@bay/core/logbook';
import type { LogEntry, LogHit, TriedPart } from '@bay/contract/logbook';
import { may } from '@bay/contract/rights';
import { noteChange } from '../commands/run.ts';
import type { Tx } from '../db/connection.ts';
import { notFound, Refusal } from '../http/problem.ts';
import type { Caller } from '../http/register.ts';

const utc = (column: RawBuilder<unknown>): RawBuilder<string> =>
  sql<string>`to_char(${column} at time zone 'utc', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"')`;

/** A line of the book as JSON, from `log_entry l` and `person p`. A minute is what a tablet and the network may take. */
export const entryJson = sql<LogEntry>`json_build_object('id', l.id, 'kind', l.kind, 'station', l.station, 'text', l.text, 'about', l.about, 'data', l.data - 'before',
  'byId', l.by_id, 'by', p.name, 'initials', p.initials, 'at', ${utc(sql`l.at`)}, 'receivedAt', case when l.received_at > l.at + interval '1 minute' then ${utc(sql`l.received_at`)} end,
  'commandId', l.command_id,
  'marks', coalesce((select json_agg(json_build_object('kind', m.kind, 'text', m.text, 'by', mp.name, 'at', ${utc(sql`m.at`)}) order by m.id)
    from log_mark m join person mp on mp.id = m.by_id where m.entry_id = l.id), '[]'::json))`;

export interface LogFilter {
  kind?: readonly LogKind[] | undefined;
  station?: string | undefined;
  by?: string | undefined;
  from?: string | undefined;
  to?: string | undefined;
  /** Minutes that the reader's clock is ahead of UTC: days are the reader's. */
  offset?: number;
  about?: string | undefined;
  /** Only lines written after this one. */
  after?: number | undefined;
}

function conditions(f: LogFilter): RawBuilder<unknown> {
  const day = (date: string, plusDays: number): RawBuilder<unknown> =>
    sql`(${date}::date + ${plusDays}::int)::timestamp at time zone 'utc' - ${f.offset ?? 0}::int * interval '1 minute'`;
  const all = [
    ...(f.kind ? [sql`l.kind = any(${sql.val(f.kind)})`] : []),
    ...(f.station ? [sql`l.station = ${f.station}`] : []),
    ...(f.by ? [sql`l.by_id = ${f.by}`] : []),
    ...(f.from ? [sql`l.at >= ${day(f.from, 0)}`] : []),
    ...(f.to ? [sql`l.at < ${day(f.to, 1)}`] : []),
    ...(f.about ? [sql`l.about = ${f.about}`] : []),
    ...(f.after === undefined ? [] : [sql`l.id > ${f.after}`]),
  ];
  return all.length === 0 ? sql`true` : sql.join(all, sql` and `);
}

/** A page of the book, oldest line first; `before` is the id of the first line already shown. */
export async function readPage(
  tx: Tx,
  jobId: string,
  before: number | undefined,
  limit: number,
  filter: LogFilter = {},
): Promise<{ entries: LogEntry[]; more: boolean }> {
  const { rows } = await sql<{ entry: LogEntry }>`
    select ${entryJson} as entry from (
      select * from log_entry l where l.job_id = ${jobId} and l.id < ${before ?? Number.MAX_SAFE_INTEGER} and ${conditions(filter)} order by l.id desc limit ${limit + 1}
    ) l join person p on p.id = l.by_id order by l.id desc`.execute(tx);
  const entries = rows.map((r) => r.entry);
  return { entries: entries.slice(0, limit).reverse(), more: entries.length > limit };
}

export async function readEntry(tx: Tx, jobId: string, entryId: number): Promise<LogEntry> {
  const { rows } = await sql<{ entry: LogEntry }>`
    select ${entryJson} as entry from log_entry l join person p on p.id = l.by_id where l.job_id = ${jobId} and l.id = ${entryId}`.execute(
    tx,
  );
  if (!rows[0]) throw notFound('This line');
  return rows[0].entry;
}

/** The last line that this person wrote on a job. */
export async function lastEntryBy(tx: Tx, jobId: string, personId: string): Promise<LogEntry> {
  const { rows } = await sql<{ entry: LogEntry }>`
    select ${entryJson} as entry from log_entry l join person p on p.id = l.by_id where l.job_id = ${jobId} and l.by_id = ${personId} order by l.id desc limit 1`.execute(
    tx,
  );
  return rows[0]!.entry;
}

/** Words as people type them into a search, the last one as far as it is typed. */
export function queryOf(typed: string): string {
  const words = typed
    .toLowerCase()
    .split(/[^\p{L}\p{N}]+/u)
    .filter(Boolean);
  return words.map((w, i) => (i === words.length - 1 ? `${w}:*` : w)).join(' & ');
}

/** Lines with these words, of one job or of the whole shop, the newest first, with the words that hit marked. */
export async function searchLog(tx: Tx, typed: string, jobId: string | undefined, limit: number): Promise<LogHit[]> {
  const query = queryOf(typed);
  if (query === '') return [];
  const { rows } = await sql<{ entry: LogEntry; job_id: string; number: string; car_name: string; hit: string }>`
    with wanted as materialized (select to_tsquery('english', ${query}) as q),
      hits as materialized (select array_agg(h) as ids from wanted, log_with_words(wanted.q, ${jobId ?? null}::uuid, ${limit}) h)
    select ${entryJson} as entry, l.job_id, job.number,
      (select unit.name from job_unit ju join unit on unit.id = ju.unit_id where ju.job_id = job.id and ju.role = 'car' limit 1) as car_name,
      ts_headline('english', coalesce((select m.text from log_mark m where m.entry_id = l.id and m.kind = 'corrected' order by m.id desc limit 1), l.text), (select q from wanted),
        'StartSel=' || chr(1) || ', StopSel=' || chr(2) || ', HighlightAll=true') as hit
    from log_entry l join person p on p.id = l.by_id join job on job.id = l.job_id
    where l.id = any((select ids from hits)::bigint[]) and job.withdrawn_at is null order by l.id desc`.execute(tx);
  return rows.map((r) => ({ ...r.entry, jobId: r.job_id, number: r.number, carName: r.car_name, hit: r.hit }));
}

/** Parts that were tried in this shop, the newest first: those of one kit line, or with every word that was typed. */
export async function findTried(
  tx: Tx,
  { q = '', kitLine, limit }: { q?: string | undefined; kitLine?: string | undefined; limit: number },
): Promise<TriedPart[]> {
  const wanted = q.toLowerCase().split(/\s+/).filter(Boolean);
  const nameOf = (role: 'car' | 'engine') =>
    sql`(select unit.name from job_unit ju join unit on unit.id = ju.unit_id where ju.job_id = job.id and ju.role = ${role} limit 1)`;
  const { rows } = await sql<TriedPart>`
    select * from (
      select r.job_id as "jobId", job.number, ${nameOf('car')} as "carName", ${nameOf('engine')} as "engineName", r.key,
        r.data || jsonb_build_object('by', p.name) as tried, r.at,
        lower(concat_ws(' ', r.data->>'part', r.data->>'variant', r.data->>'how', r.data->>'alsoNotStandard', ${nameOf('car')}, ${nameOf('engine')})) as said
      from record r join job on job.id = r.job_id left join person p on p.id = (r.data->>'byId')::uuid
      where r.kind = 'tried' and job.withdrawn_at is null ${kitLine ? sql`and r.data->>'kitLine' = ${kitLine}` : sql``}
    ) t where ${
      wanted.length === 0
        ? sql`true`
        : sql.join(
            wanted.map((w) => sql`position(${w} in t.said) > 0`),
            sql` and `,
          )
    }
    order by t.at desc limit ${limit}`.execute(tx);
  return rows.map(({ jobId, number, carName, engineName, key, tried }) => ({
    jobId,
    number,
    carName,
    engineName,
    key,
    tried,
  }));
}

/** Corrects or strikes a line. Nothing is overwritten: the mark stands beside the wording it speaks of. */
export async function markEntry(
  tx: Tx,
  caller: Caller,
  jobId: string,
  entryId: number,
  mark: { kind: 'corrected' | 'struck'; text: string },
): Promise<LogEntry> {
  const entry = await readEntry(tx, jobId, entryId);
  if (entry.byId !== caller.personId && !may(caller.role, 'correct-others'))
    throw new Refusal(403, `${entry.by} wrote this. Only they or the manager correct it.`);
  await tx
    .insertInto('log_mark')
    .values({ shop_id: caller.shopId, entry_id: entryId, by_id: caller.personId, kind: mark.kind, text: mark.text })
    .execute();
  noteChange(caller, { kind: 'log', entryId });
  return readEntry(tx, jobId, entryId);
}

/** The whole book of a job as CSV (RFC 4180): what a spreadsheet opens. A cell that a spreadsheet would take for a formula is quoted off. */
export async function logTable(tx: Tx, jobId: string): Promise<string> {
  const { rows } = await sql<{
    at: string;
    kind: string;
    station: string | null;
    by: string;
    text: string;
    marks: string | null;
  }>`
    select ${utc(sql`l.at`)} as at, l.kind, l.station, p.name as by, l.text,
      (select string_agg(m.kind || ': ' || m.text, '; ' order by m.id) from log_mark m where m.entry_id = l.id) as marks
    from log_entry l join person p on p.id = l.by_id where l.job_id = ${jobId} order by l.id`.execute(tx);
  return Papa.unparse(
    rows.map((r) => ({
      when: r.at,
      kind: r.kind,
      station: r.station ?? '',
      who: r.by,
      line: r.text,
      marks: r.marks ?? '',
    })),
    { escapeFormulae: true, newline: '\r\n' },
  );
}
