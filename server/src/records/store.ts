import { sql } from 'kysely';
import type { RawBuilder } from 'kysely';
import type { UnitRole } from '@bay/contract/jobs';
import { kindSchema } from '@bay/contract/records';
import type { RecordKind, RecordRow } from '@bay/contract/records';
import { may } from '@bay/contract/rights';
import { momentOf, noteChange, writeLogEntry } from '../commands/run.ts';
import type { Tx } from '../db/connection.ts';
import { badInput, fieldsOf, Refusal } from '../http/problem.ts';
import type { Caller } from '../http/register.ts';
import { holdJob, holdUnit, unitInRole } from '../jobs/store.ts';
import { withMoney } from '../db/sees-money.ts';
import { hasAmount, storeAmount } from './amounts.ts';
import { ruleOf } from './kind.ts';
import { storeRow } from './home.ts';
import { readNames, withNames } from './shown.ts';
import { stamped } from './stamp.ts';

type Data = Record<string, unknown>;

/** A record hangs on the job itself or on a unit that serves it; as one list, so that the index of the key is asked once for each. */
const bearers = (jobId: string): RawBuilder<boolean> =>
  sql`recorded.bearer_id = any(array(select ${jobId}::uuid union all select unit_id from job_unit where job_id = ${jobId} and left_at is null))`;

/** A record as it is stored now, wherever on the job it hangs. */
export async function findRecord(tx: Tx, jobId: string, kind: RecordKind, key: string) {
  return tx
    .selectFrom('recorded')
    .innerJoin('person', 'person.id', 'recorded.by_id')
    .select(['recorded.bearer_id', 'recorded.data', 'recorded.revision', 'recorded.at', 'person.name as by'])
    .where(bearers(jobId))
    .where('kind', '=', kind)
    .where('key', '=', key)
    .executeTakeFirst();
}

export interface RecordWrite {
  jobId: string;
  kind: RecordKind;
  key: string;
  data: Data;
  /** Revision the writer saw; 0 when there was none. */
  revision: number;
  /** Only the demo loader writes in the past. */
  at?: Date | undefined;
}

type Stored = NonNullable<Awaited<ReturnType<typeof findRecord>>>;

/** Refuses an old revision with the row as it is now and who changed it. */
async function refuseOld(
  tx: Tx,
  caller: Caller,
  { kind, key, revision }: RecordWrite,
  now: Stored | undefined,
): Promise<void> {
  if ((now?.revision ?? 0) === revision) return;
  const data = now && withNames(kind, now.data, await readNames(tx));
  const current = now ? { kind, key, data, revision: now.revision, by: now.by, at: now.at.toISOString() } : null;
  throw new Refusal(409, now ? `${now.by} changed this meanwhile.` : 'This was removed meanwhile.', { current });
}

const changedElsewhere = (): Refusal =>
  new Refusal(409, 'Somebody changed this meanwhile, on another job that this unit serves. Load it again.');

/** The amount of money of a record by itself: it is kept where the database decides who sees it. */
function apart(kind: RecordKind, data: Data): { plain: Data; amount: number | undefined } {
  const field = kindSchema(kind).money;
  if (!field) return { plain: data, amount: undefined };
  const { [field]: amount, ...plain } = data;
  return { plain, amount: amount as number | undefined };
}

const together = (kind: RecordKind, data: Data, amount: number | undefined): Data =>
  amount === undefined ? data : { ...data, [kindSchema(kind).money!]: amount };

/** Writes one record and its line in the logbook. */
export async function writeRecord(tx: Tx, caller: Caller, write: RecordWrite): Promise<RecordRow> {
  const { jobId, kind, key } = write;
  const read = kindSchema(kind).input.safeParse(write.data);
  if (!read.success) throw badInput(fieldsOf(read.error));
  await holdJob(tx, jobId);
  const now = await findRecord(tx, jobId, kind, key);
  await refuseOld(tx, caller, write, now);
  const at = momentOf(caller, write.at);
  const rule = ruleOf(kind);
  const context = { jobId, key, before: now?.data as never, caller, at: at.toISOString() };
  rule.check?.(read.data, context);
  const checked = (rule.settle?.(read.data, context) ?? read.data) as Data;
  const { amount, plain } = apart(kind, checked);
  const sees = may(caller.role, 'see-money');
  // Nobody writes over what they cannot see.
  if (amount !== undefined && !sees && now && (await withMoney(tx, () => hasAmount(tx, jobId, kind, key))))
    throw new Refusal(403, 'An amount stands here already; the manager changes it.');
  const before = now && apart(kind, now.data).plain;
  const signed = stamped(kind, plain, before, context);
  const data = ((await rule.complete?.(tx, signed, context)) ?? signed) as Data;
  const on: UnitRole | undefined = rule.bearer?.(data);
  const bearer = now?.bearer_id ?? (on ? (await unitInRole(tx, jobId, on)).id : jobId);
  if (bearer !== jobId) await holdUnit(tx, bearer);
  const revision = write.revision + 1;
  const halfSigned = data['second'] === undefined && (rule.wantsSecond?.(data, key) ?? false);
  const { shopId, personId: byId } = caller;
  const written = await storeRow(
    tx,
    rule.home,
    { shopId, jobId, bearerId: bearer, kind, key, data, byId, at, halfSigned },
    write.revision,
  );
  if (!written) throw changedElsewhere();
  // What somebody cannot see they do not erase by writing the rest.
  if (kindSchema(kind).money && (sees || amount !== undefined))
    await withMoney(tx, () => storeAmount(tx, { shopId, jobId, kind, key, amount, byId, at }));
  noteChange(caller, { kind: 'record', record: kind, key, revision });
  const names = await readNames(tx);
  const shown = withNames(kind, sees ? together(kind, data, amount) : data, names);
  await writeLogEntry(tx, caller, {
    jobId,
    kind: typeof rule.logKind === 'function' ? rule.logKind(data, context) : rule.logKind,
    station: rule.station,
    text: rule.describe(withNames(kind, data, names), context),
    about: rule.about?.(data, key) ?? key,
    data: { record: kind, key, revision, ...(before ? { before } : {}) },
    at: write.at,
  });
  await rule.after?.(tx, data, context);
  return { kind, key, data: shown, revision, by: caller.name, at: at.toISOString() } as unknown as RecordRow;
}

/** The second person signs what the first wrote: their own act, under their own name. */
export async function writeSecond(
  tx: Tx,
  caller: Caller,
  signer: { personId: string; name: string },
  write: Omit<RecordWrite, 'data'>,
): Promise<RecordRow> {
  const { jobId, kind, key } = write;
  await holdJob(tx, jobId);
  const now = await findRecord(tx, jobId, kind, key);
  if (!now) throw new Refusal(404, 'There is nothing to sign here.');
  await refuseOld(tx, caller, { ...write, data: {} }, now);
  const rule = ruleOf(kind);
  const first = firstSigner(kind, now.data);
  if (!rule.wantsSecond?.(now.data, key)) throw new Refusal(409, 'This wants one signature, and has it.');
  if (now.data['second']) throw new Refusal(409, 'Two people have signed this already.');
  if (first === signer.personId) throw new Refusal(409, 'The second signature is another person.');
  const at = momentOf(caller, write.at);
  const data = { ...now.data, second: { byId: signer.personId, at: at.toISOString() } };
  const row = {
    data: JSON.stringify(data),
    revision: now.revision + 1,
    by_id: signer.personId,
    at,
    half_signed: false,
  };
  const written = await tx
    .updateTable('record')
    .set(row)
    .where('bearer_id', '=', now.bearer_id)
    .where('kind', '=', kind)
    .where('key', '=', key)
    .where('revision', '=', now.revision)
    .returning('revision')
    .executeTakeFirst();
  if (!written) throw changedElsewhere();
  noteChange(caller, { kind: 'record', record: kind, key, revision: row.revision });
  await writeLogEntry(
    tx,
    { ...caller, personId: signer.personId, name: signer.name },
    {
      jobId,
      kind: 'gate',
      text: `second signature: ${rule.title?.(now.data, key) ?? key}`,
      about: key,
      data: { record: kind, key, revision: row.revision },
      at: write.at,
    },
  );
  const shown = withNames(kind, data, await readNames(tx));
  return {
    kind,
    key,
    data: shown,
    revision: row.revision,
    by: signer.name,
    at: at.toISOString(),
  } as unknown as RecordRow;
}

/** Who signed first: the latest of the acts and of the whole, which a second signature stands under. */
function firstSigner(kind: RecordKind, data: Data): unknown {
  const stamps = [data, ...kindSchema(kind).acts.map((act) => data[act] as Data | undefined)].filter(
    (s): s is Data => typeof s?.['at'] === 'string',
  );
  return stamps.sort((a, b) => (String(a['at']) < String(b['at']) ? 1 : -1))[0]?.['byId'];
}
