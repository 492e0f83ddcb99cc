import { randomUUID } from 'node:crypto';
import { sql } from 'kysely';
import { bearerOf, factDef } from '@bay/core/facts';
import { readLogLine } from '@bay/core/logbook';
import type { LogEntryDraft } from '@bay/core/logbook';
import { sheetOf } from '@bay/core/prep';
import type { LogEntry } from '@bay/contract/logbook';
import { writeLogEntry } from '../commands/run.ts';
import type { Tx } from '../db/connection.ts';
import { writeFact } from '../facts/store.ts';
import type { Caller } from '../http/register.ts';
import { findRecord, holdJob, writeRecord } from '../records/store.ts';

const columns = sql<string>`l.id, l.kind, l.station, l.text, l.about, l.data - 'before' as data, p.name as by, p.initials, l.at`;
type Row = Omit<LogEntry, 'at'> & { at: Date };
const shown = (row: Row): LogEntry => ({ ...row, at: row.at.toISOString() });

/** A page of the book, oldest line first; `before` is the id of the first line already shown. */
export async function readPage(tx: Tx, jobId: string, before: number | undefined, limit: number): Promise<{ entries: LogEntry[]; more: boolean }> {
  const { rows } = await sql<Row>`
    select ${columns} from log_entry l join person p on p.id = l.by_id
    where l.job_id = ${jobId} and l.id < ${before ?? Number.MAX_SAFE_INTEGER} order by l.id desc limit ${limit + 1}`.execute(tx);
  return { entries: rows.slice(0, limit).reverse().map(shown), more: rows.length > limit };
}

async function lastEntry(tx: Tx, jobId: string): Promise<LogEntry> {
  const { rows } =
    await sql<Row>`select ${columns} from log_entry l join person p on p.id = l.by_id where l.job_id = ${jobId} order by l.id desc limit 1`.execute(tx);
  return shown(rows[0]!);
}

/** The next reading of a sheet that nobody took yet. */
async function addReading(tx: Tx, caller: Caller, jobId: string, draft: LogEntryDraft & { kind: 'measurement' }, at?: Date): Promise<void> {
  const key = `${draft.sheet}:${draft.place}`;
  const def = sheetOf(draft.sheet);
  const now = await findRecord(tx, jobId, 'sheet', key);
  const readings = { ...(now?.data['readings'] as Record<string, number> | undefined) };
  const next = def.readings.find((r) => readings[r.key] === undefined) ?? def.readings.at(-1)!;
  readings[next.key] = draft.valueMm;
  const typed = { ...(now?.data['typed'] as Record<string, string> | undefined), [next.key]: `${Number(draft.valueMm.toFixed(4))} mm` };
  await writeRecord(tx, caller, {
    jobId,
    kind: 'sheet',
    key,
    data: { sheet: draft.sheet, place: draft.place, readings, typed },
    revision: now?.revision ?? 0,
    at,
  });
}

async function release(tx: Tx, caller: Caller, jobId: string, draft: LogEntryDraft & { kind: 'release' }, at?: Date): Promise<boolean> {
  const holds = await tx.selectFrom('record').select(['key', 'data', 'revision']).where('job_id', '=', jobId).where('kind', '=', 'hold').execute();
  const hit = holds.find((h) => !h.data['released'] && String(h.data['waitsFor']).toLowerCase().includes(draft.what.toLowerCase()));
  if (!hit) return false;
  await writeRecord(tx, caller, { jobId, kind: 'hold', key: hit.key, data: { ...hit.data, released: {} }, revision: hit.revision, at });
  return true;
}

/** Writes one line of the log bar: what it understood becomes a record or a fact, and the book says so. */
export async function writeLine(tx: Tx, caller: Caller, jobId: string, line: string, today: string, at?: Date): Promise<LogEntry> {
  await holdJob(tx, jobId);
  const draft = readLogLine(line, today);
  const note = (kind: 'note' | 'arrival' | 'release', text: string): Promise<number> => writeLogEntry(tx, caller, { jobId, kind, text, at });
  switch (draft.kind) {
    case 'note':
      await note('note', draft.text);
      break;
    case 'arrival':
      await note('arrival', draft.understood);
      break;
    case 'measurement':
      await addReading(tx, caller, jobId, draft, at);
      break;
    case 'torque': {
      const key = `${draft.joint}:${draft.bolt}`;
      const now = await findRecord(tx, jobId, 'torque', key);
      await writeRecord(tx, caller, {
        jobId,
        kind: 'torque',
        key,
        data: { joint: draft.joint, bolt: draft.bolt, stagesNm: [draft.torqueNm], angleDeg: draft.angleDeg, source: 'logged in one line' },
        revision: now?.revision ?? 0,
        at,
      });
      break;
    }
    case 'hold':
      await writeRecord(tx, caller, { jobId, kind: 'hold', key: randomUUID(), data: { waitsFor: draft.waitsFor, due: draft.due }, revision: 0, at });
      break;
    case 'provisional':
      await writeRecord(tx, caller, { jobId, kind: 'provisional', key: randomUUID(), data: { what: draft.what }, revision: 0, at });
      break;
    case 'release':
      if (!(await release(tx, caller, jobId, draft, at))) await note('release', `${draft.understood}. No hold of that name was open`);
      break;
    case 'fact': {
      const bearer = bearerOf(factDef(draft.factId).subject);
      const donor = factDef(draft.factId).subject === 'donor';
      const role = donor ? 'donor' : bearer;
      const unit =
        role === 'job'
          ? { id: jobId }
          : await tx
              .selectFrom('job_unit')
              .select('unit_id as id')
              .where('job_id', '=', jobId)
              .where('role', '=', role)
              .where('left_at', 'is', null)
              .executeTakeFirst();
      const now =
        unit &&
        (await tx.selectFrom('fact').select(['typed', 'revision']).where('bearer_id', '=', unit.id).where('fact_id', '=', draft.factId).executeTakeFirst());
      await writeFact(tx, caller, {
        jobId,
        bearer: role,
        factId: draft.factId,
        typed: { ...now?.typed, [draft.partKey]: draft.typed },
        source: 'measured',
        revision: now?.revision ?? 0,
        at,
      });
      break;
    }
  }
  return lastEntry(tx, jobId);
}
