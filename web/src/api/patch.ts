import type { QueryClient } from '@tanstack/react-query';
import type { Change, LiveEvent } from '@bay/contract/live';
import { readJobParts, readStrip } from '@bay/contract/jobs';
import type { JobSheet, readFloor } from '@bay/contract/jobs';
import type { z } from 'zod';
import { call } from './client.ts';
import { keys } from './keys.ts';

type Floor = z.output<(typeof readFloor)['reply']>;
type Of<K extends Change['kind']> = Extract<Change, { kind: K }>;

const of = <K extends Change['kind']>(event: LiveEvent, kind: K): Of<K>[] =>
  event.changes.filter((c): c is Of<K> => c.kind === kind);

/** Rows with some replaced by newer ones and some added. */
function merged<T>(rows: readonly T[], newer: readonly T[], id: (row: T) => string): T[] {
  const fresh = new Map(newer.map((row) => [id(row), row]));
  return [...rows.filter((row) => !fresh.has(id(row))), ...newer];
}

/** The parts of a job that an event names, as the server is asked for them; nothing when this device knows them already. */
export function partsOf(sheet: JobSheet, event: LiveEvent): Record<string, string> | undefined {
  const known = new Map(sheet.records.map((r) => [`${r.kind}:${r.key}`, r.revision]));
  const records = of(event, 'record').filter((c) => (known.get(`${c.record}:${c.key}`) ?? 0) < c.revision);
  const facts = of(event, 'fact').filter(
    (c) => (sheet.facts.find((f) => f.factId === c.factId)?.revision ?? 0) !== c.revision,
  );
  const lines = of(event, 'log').map((c) => c.entryId);
  const wanted = {
    ...(records.length > 0 ? { records: records.map((c) => `${c.record}:${c.key}`).join(',') } : {}),
    ...(facts.length > 0 ? { facts: facts.map((c) => c.factId).join(',') } : {}),
    ...(lines.length > 0 ? { logAfter: String(Math.min(...lines) - 1) } : {}),
    ...(of(event, 'job').length > 0 ? { head: 'true' } : {}),
    ...(of(event, 'clock').length > 0 ? { running: 'true' } : {}),
  };
  return Object.keys(wanted).length > 0 ? wanted : undefined;
}

/** Lays the parts that were read over the sheet. What was asked for and is not there was taken away. */
export function patched(
  sheet: JobSheet,
  parts: z.output<(typeof readJobParts)['reply']>,
  wanted: Record<string, string>,
): JobSheet {
  const gone = new Set((wanted['records'] ?? '').split(',').filter(Boolean));
  for (const r of parts.records) gone.delete(`${r.kind}:${r.key}`);
  const noLonger = new Set((wanted['facts'] ?? '').split(',').filter(Boolean));
  for (const f of parts.facts) noLonger.delete(f.factId);
  return {
    ...sheet,
    ...(parts.job ? { job: parts.job } : {}),
    ...(parts.units ? { units: parts.units } : {}),
    ...(parts.running ? { running: parts.running } : {}),
    records: merged(sheet.records, parts.records, (r) => `${r.kind}:${r.key}`).filter(
      (r) => !gone.has(`${r.kind}:${r.key}`),
    ),
    facts: merged(sheet.facts, parts.facts, (f) => `${f.bearerId}:${f.factId}`).filter((f) => !noLonger.has(f.factId)),
    log: merged(sheet.log, parts.log, (l) => String(l.id))
      .sort((a, b) => a.id - b.id)
      .slice(-mostLines),
  };
}
const mostLines = 120;

async function patchJob(client: QueryClient, jobId: string, event: LiveEvent): Promise<void> {
  const sheet = client.getQueryData<JobSheet>(keys.job(jobId));
  if (!sheet) return;
  // Facts of a unit hang together with the units a job has: when those change, all is read again.
  if (of(event, 'all').length > 0 || of(event, 'unit').length > 0)
    return client.invalidateQueries({ queryKey: keys.job(jobId) });
  const wanted = partsOf(sheet, event);
  if (!wanted) return;
  try {
    const parts = await call(readJobParts, { params: { jobId }, query: wanted });
    const units = parts.units && JSON.stringify(parts.units) !== JSON.stringify(sheet.units);
    client.setQueryData<JobSheet>(keys.job(jobId), (now) => now && patched(now, parts, wanted));
    if (units) await client.invalidateQueries({ queryKey: keys.job(jobId) });
  } catch {
    // Whatever was in the way, the whole is read again when it can be.
    await client.invalidateQueries({ queryKey: keys.job(jobId) });
  }
}

/** The Floor shows one strip of each job: only that of the job that changed is read. */
async function patchFloor(client: QueryClient, jobId: string, event: LiveEvent): Promise<void> {
  const floor = client.getQueryData<Floor>(keys.floor);
  if (!floor) return;
  const moved = of(event, 'job').length > 0 || of(event, 'clock').length > 0 || of(event, 'all').length > 0;
  if (moved || !floor.strips.some((s) => s.id === jobId)) {
    if (moved) await client.invalidateQueries({ queryKey: keys.floor });
    return;
  }
  const shown = client.getQueryCache().find({ queryKey: keys.floor })?.getObserversCount() ?? 0;
  if (shown === 0) {
    // Nobody looks at it now: it is read when somebody does.
    return client.invalidateQueries({ queryKey: keys.floor, refetchType: 'none' });
  }
  const { strip } = await call(readStrip, { params: { jobId } });
  client.setQueryData<Floor>(
    keys.floor,
    (now) => now && { ...now, strips: now.strips.flatMap((s) => (s.id === jobId ? (strip ? [strip] : []) : [s])) },
  );
}

const waitedFor = new Set(['ask', 'task', 'gate']);

/** Reads again what an event says has changed, and nothing else. */
export async function readAgain(client: QueryClient, event: LiveEvent): Promise<void> {
  const { jobId, changes } = event;
  const again = (queryKey: readonly unknown[]): void => void client.invalidateQueries({ queryKey });
  const has = (kind: Change['kind']): boolean => of(event, kind).length > 0;
  const all = has('all');
  if (has('schools') || has('rules')) {
    again(keys.schools);
    again(keys.rules);
    again(keys.job());
    again(keys.floor);
  }
  // A device that was signed out finds out at once.
  if (has('sessions') || has('crew')) for (const key of [keys.me, keys.crew, keys.sessions, keys.floor]) again(key);
  if (has('suppliers')) again(keys.suppliers);
  if (has('shop')) again(keys.me);
  if (has('money')) again(keys.terms);
  if (has('orders') || all) {
    again(keys.orders());
    again(['account']);
  }
  if (has('unit') || has('job') || all) again(keys.units());
  if (all || has('store') || of(event, 'record').some((c) => c.record === 'part' || c.record === 'bag'))
    again(keys.store());
  if (all || has('clock') || of(event, 'record').some((c) => waitedFor.has(c.record))) again(keys.waiting);
  if (changes.length > 0) again(keys.bench);
  if (!jobId) return;
  if (has('log') || all) for (const key of [keys.book(jobId), keys.history(jobId), keys.takeover(jobId)]) again(key);
  if (has('clock') || all) again(keys.clocks(jobId));
  if (has('links')) again(keys.links(jobId));
  if (has('money') || all) again(keys.quotes(jobId));
  // What was paid, worked and agreed to makes the account.
  const counts = of(event, 'record').some((c) => c.record === 'kit' || c.record === 'ask');
  if (has('money') || has('clock') || counts || all) again(keys.account(jobId));
  if (has('job')) again(keys.finished);
  await Promise.all([patchJob(client, jobId, event), patchFloor(client, jobId, event)]);
}
