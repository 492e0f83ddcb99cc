import { randomUUID } from 'node:crypto';
import { bearerOf, factDef } from '@bay/core/facts';
import { readLogLine } from '@bay/core/logbook';
import type { LineContext, LogEntryDraft } from '@bay/core/logbook';
import { holdAs, lineContextOf, orderedAs, stepBasis } from '@bay/core/plan';
import { sortOfLink } from '@bay/core/parts';
import { noSource, sheetOf } from '@bay/core/prep';
import { recordsOf } from '@bay/core/records';
import type { RecordKind } from '@bay/contract/records';
import { clockOff, startClock } from '../clock/store.ts';
import { writeLogEntry } from '../commands/run.ts';
import type { Tx } from '../db/connection.ts';
import { writeFact } from '../facts/store.ts';
import { Refusal } from '../http/problem.ts';
import type { Caller } from '../http/register.ts';
import { holdJob, readHead } from '../jobs/store.ts';
import { planNow } from '../plan/material.ts';
import type { Material } from '../plan/material.ts';
import { findRecord, writeRecord } from '../records/store.ts';

interface Line {
  jobId: string;
  material: Material;
  context: LineContext;
  at?: Date | undefined;
}

type Draft<K extends LogEntryDraft['kind']> = Extract<LogEntryDraft, { kind: K }>;

/** What the words of a line are looked up among, as the browser has it too. */
async function contextOf(tx: Tx, jobId: string, today: string): Promise<{ material: Material; context: LineContext }> {
  const { material, plan } = await planNow(tx, jobId);
  const people = await tx.selectFrom('person').select(['id', 'name', 'initials']).where('active', '=', true).execute();
  return { material, context: lineContextOf(material, plan, people, today) };
}

/** Writes a record whatever its revision is now: one line adds to what is there and overwrites nothing that was typed. */
async function put(
  tx: Tx,
  caller: Caller,
  { jobId, at }: Line,
  kind: RecordKind,
  key: string,
  make: (now: Record<string, unknown>) => Record<string, unknown>,
): Promise<void> {
  const now = await findRecord(tx, jobId, kind, key);
  await writeRecord(tx, caller, { jobId, kind, key, data: make(now?.data ?? {}), revision: now?.revision ?? 0, at });
}

const add = (tx: Tx, caller: Caller, line: Line, kind: RecordKind, data: Record<string, unknown>): Promise<void> =>
  put(tx, caller, line, kind, randomUUID(), () => data);

/** The next reading of a sheet that nobody took yet. */
async function addReading(tx: Tx, caller: Caller, line: Line, draft: Draft<'measurement'>): Promise<void> {
  await put(tx, caller, line, 'sheet', `${draft.sheet}:${draft.place}`, (now) => {
    const readings = { ...(now['readings'] as Record<string, number> | undefined) };
    const def = sheetOf(draft.sheet);
    const next = def.readings.find((r) => readings[r.key] === undefined) ?? def.readings.at(-1)!;
    readings[next.key] = draft.valueMm;
    const typed = {
      ...(now['typed'] as Record<string, string> | undefined),
      [next.key]: `${Number(draft.valueMm.toFixed(4))} mm`,
    };
    return { sheet: draft.sheet, place: draft.place, readings, typed };
  });
}

async function addFact(tx: Tx, caller: Caller, { jobId, at }: Line, draft: Draft<'fact'>): Promise<void> {
  const { subject } = factDef(draft.factId);
  const role = subject === 'donor' ? 'donor' : bearerOf(subject);
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
    (await tx
      .selectFrom('fact')
      .select(['typed', 'revision'])
      .where('bearer_id', '=', unit.id)
      .where('fact_id', '=', draft.factId)
      .executeTakeFirst());
  await writeFact(tx, caller, {
    jobId,
    bearer: role,
    factId: draft.factId,
    typed: { ...now?.typed, [draft.partKey]: draft.typed },
    source: 'measured',
    revision: now?.revision ?? 0,
    ...(at ? { at } : {}),
  });
}

/** What arrives moves its order and ends the hold that waited for it, where it is plain which is meant. */
async function arrived(tx: Tx, caller: Caller, line: Line, { what }: Draft<'arrival'>): Promise<void> {
  const kit = orderedAs(line.material, what);
  if (kit) await put(tx, caller, line, 'kit', kit, (now) => ({ ...now, status: 'here' }));
  const hold = holdAs(line.material, what);
  if (hold) await put(tx, caller, line, 'hold', hold, (now) => ({ ...now, released: {} }));
}

async function release(tx: Tx, caller: Caller, line: Line, draft: Draft<'release'>): Promise<boolean> {
  const holds = Object.entries(recordsOf(line.material, 'hold'));
  const hit = holds.find(([, h]) => !h.released && h.waitsFor.toLowerCase().includes(draft.what.toLowerCase()));
  if (!hit) return false;
  await put(tx, caller, line, 'hold', hit[0], (now) => ({ ...now, released: {} }));
  return true;
}

async function clockOn(tx: Tx, caller: Caller, line: Line, draft: Draft<'clock-on'>): Promise<void> {
  const { station, minutes } = stepBasis(draft.key);
  await startClock(tx, caller, {
    jobId: line.jobId,
    about: draft.key,
    title: draft.title,
    station,
    work: 'work',
    estimate: minutes,
    at: line.at,
  });
  await writeLogEntry(tx, caller, {
    jobId: line.jobId,
    kind: 'clock',
    station,
    about: draft.key,
    text: `on: ${draft.title}`,
    at: line.at,
  });
}

/** Writes one line of the log bar: what it understood becomes a record or a fact, and the book says so. */
export async function writeLine(
  tx: Tx,
  caller: Caller,
  jobId: string,
  typed: string,
  today: string,
  options: { about?: string | undefined; at?: Date } = {},
): Promise<void> {
  await holdJob(tx, jobId);
  const { material, context } = await contextOf(tx, jobId, today);
  const line: Line = { jobId, material, context, ...(options.at ? { at: options.at } : {}) };
  const draft = readLogLine(typed, context);
  // A plain line belongs to the station where the job stands.
  const { station } = await readHead(tx, jobId);
  const note = (kind: 'note' | 'arrival' | 'release', text: string): Promise<number> =>
    writeLogEntry(tx, caller, { jobId, kind, station, text, about: options.about, at: options.at });
  switch (draft.kind) {
    case 'note':
      await note('note', draft.text);
      return;
    case 'arrival':
      await note('arrival', draft.understood);
      return arrived(tx, caller, line, draft);
    case 'measurement':
      return addReading(tx, caller, line, draft);
    case 'torque':
      return put(tx, caller, line, 'torque', `${draft.joint}:${draft.bolt}`, () => {
        const joint = Object.values(recordsOf(material, 'joint')).find((j) => j.name === draft.joint);
        return {
          joint: draft.joint,
          on: joint?.on ?? 'engine',
          bolt: draft.bolt,
          stagesNm: [draft.torqueNm],
          angleDeg: draft.angleDeg,
          source: noSource,
        };
      });
    case 'hold':
      return add(tx, caller, line, 'hold', {
        waitsFor: draft.waitsFor,
        due: draft.due,
        about: options.about,
        forbiddenAt: draft.forbiddenAt,
      });
    case 'release':
      if (!(await release(tx, caller, line, draft)))
        await note('release', `${draft.understood}. No hold of that name was open`);
      return;
    case 'provisional':
      return add(tx, caller, line, 'provisional', { what: draft.what, kind: draft.form });
    case 'final':
      return put(tx, caller, line, 'provisional', draft.key, (now) => ({ ...now, ended: {} }));
    case 'finding':
      return add(tx, caller, line, 'finding', {
        on: material.units.some((u) => u.role === 'engine') ? 'engine' : 'car',
        what: draft.what,
        follows: draft.follows,
      });
    case 'moved':
      return put(tx, caller, line, 'part', draft.key, (now) => ({ ...now, place: draft.place }));
    case 'bag':
      return add(tx, caller, line, 'bag', { what: draft.what, label: draft.label, place: draft.place });
    case 'freed': {
      const { key, name, from, to, label, capped, cut, fate = 'back' } = draft;
      if (key !== undefined) return put(tx, caller, line, 'link', key, (now) => ({ ...now, off: {} }));
      return add(tx, caller, line, 'link', {
        what: sortOfLink(name),
        name,
        from,
        to,
        label,
        capped,
        cut,
        fate,
        off: {},
      });
    }
    case 'mated':
      return put(tx, caller, line, 'link', draft.key, (now) => ({ ...now, on: {} }));
    case 'fluid':
      return add(tx, caller, line, 'fluid', {
        way: draft.way,
        litres: draft.litres,
        what: draft.what,
        system: draft.system,
      });
    case 'step':
      return put(tx, caller, line, 'task', draft.key, () => ({ status: draft.status }));
    case 'tested':
      return put(tx, caller, line, 'circuit', draft.key, (now) => ({ ...now, tested: {} }));
    case 'decision':
      if (!draft.because) throw new Refusal(422, 'A decision says why: add "because …".');
      return add(tx, caller, line, 'decision', { chosen: draft.chosen, over: draft.over, because: draft.because });
    case 'tried':
      return add(tx, caller, line, 'tried', { part: draft.part, how: draft.how, back: draft.back });
    case 'attempt': {
      const number = Object.keys(recordsOf(material, 'attempt')).length + 1;
      return put(tx, caller, line, 'attempt', String(number), () => ({
        number,
        seconds: draft.seconds ?? 0,
        result: draft.result,
        volts: draft.volts,
      }));
    }
    case 'ask':
      return add(tx, caller, line, 'ask', {
        ask: draft.ask,
        to: draft.to,
        what: draft.what,
        about: options.about,
      });
    case 'clock-on':
      return clockOn(tx, caller, line, draft);
    case 'clock-off':
      if (!(await clockOff(tx, caller, line.at))) throw new Refusal(409, 'No clock of yours runs.');
      return;
    case 'fact':
      return addFact(tx, caller, line, draft);
  }
}
