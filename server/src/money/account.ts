import { sql } from 'kysely';
import Papa from 'papaparse';
import { hoursOf } from '@bay/core/clock';
import { decimalsOf, totalsOf } from '@bay/core/money';
import * as contract from '@bay/contract/money';
import type { Account } from '@bay/contract/money';
import { noteChange, runCommand, writeLogEntry } from '../commands/run.ts';
import type { Tx } from '../db/connection.ts';
import { Refusal } from '../http/problem.ts';
import type { Registry } from '../http/register.ts';
import { readHead } from '../jobs/store.ts';
import { ordersCost } from '../orders/store.ts';
import { utc } from '../plan/material.ts';
import { termsNow } from './terms.ts';
import { quotesOf } from './quotes.ts';

/** Hours of all people on each of some jobs until now; a job nobody was clocked on is not in it. */
export async function hoursOn(tx: Tx, jobIds: readonly string[], now: string): Promise<Map<string, number>> {
  const { rows: stints } = await sql<{ jobId: string; startedAt: Date; endedAt: Date | null }>`
    select wanted.id as "jobId", c.started_at as "startedAt", c.ended_at as "endedAt" from unnest(${sql.val(jobIds)}::uuid[]) wanted(id)
    cross join lateral (select started_at, ended_at from clock where job_id = wanted.id offset 0) c`.execute(tx);
  const hours = new Map<string, number>();
  for (const s of stints) {
    const own = hoursOf({ startedAt: s.startedAt.toISOString(), endedAt: s.endedAt?.toISOString() ?? null }, now);
    hours.set(s.jobId, (hours.get(s.jobId) ?? 0) + own);
  }
  return hours;
}

interface AskRow {
  jobId: string;
  key: string;
  what: string;
  amount: number | null;
  tax: number;
  yes: boolean | null;
  at: string;
}

/** Extra work that was put to the customer with a price. */
async function extrasOf(tx: Tx, jobIds: readonly string[]): Promise<(Account['extras'][number] & { jobId: string })[]> {
  const { rows } = await sql<AskRow>`
    select r.job_id as "jobId", r.key, r.data->>'what' as what, m.amount, coalesce((r.data->>'tax')::float8, 0) as tax, coalesce(r.data->'answer'->>'at', ${utc(sql`r.at`)}) as at, case when r.data ? 'answer' then coalesce((r.data->'answer'->>'yes')::boolean, false) end as yes
    from unnest(${sql.val(jobIds)}::uuid[]) wanted(id)
    cross join lateral (select * from record where bearer_id = wanted.id and job_id = wanted.id and kind = 'ask' offset 0) r
    join money m on m.shop_id = r.shop_id and m.job_id = r.job_id and m.kind = 'ask' and m.key = r.key
    where r.data->>'ask' = 'approval' and r.data->>'to' = 'customer' order by r.at`.execute(tx);
  return rows.flatMap(({ amount, ...r }) => (amount === null ? [] : [{ ...r, amount }]));
}

/** What was agreed of each of some jobs, before tax: the quote that was accepted, and what was agreed besides. */
export async function agreedOn(tx: Tx, jobIds: readonly string[]): Promise<Map<string, number>> {
  // Each job is looked up by itself in the index, however many there are.
  const { rows: quoted } = await sql<{ jobId: string; net: number }>`
    select wanted.id as "jobId", q.net from unnest(${sql.val(jobIds)}::uuid[]) wanted(id)
    cross join lateral (select coalesce(answered_net, net) as net from quote where job_id = wanted.id and state = 'accepted' offset 0) q`.execute(
    tx,
  );
  const agreed = new Map<string, number>();
  const add = (jobId: string, amount: number): void => void agreed.set(jobId, (agreed.get(jobId) ?? 0) + amount);
  for (const q of quoted) add(q.jobId, q.net);
  for (const x of await extrasOf(tx, jobIds)) if (x.yes === true) add(x.jobId, x.amount);
  return agreed;
}

async function paymentsOf(tx: Tx, jobId: string): Promise<Account['payments']> {
  const rows = await tx
    .selectFrom('payment')
    .innerJoin('person', 'person.id', 'payment.by_id')
    .select(['payment.id', 'sort', 'amount', 'on_day', 'note', 'person.name'])
    .where('job_id', '=', jobId)
    .orderBy('on_day')
    .orderBy('payment.at')
    .execute();
  return rows.map((r) => ({ id: r.id, sort: r.sort, amount: r.amount, on: r.on_day, note: r.note, by: r.name }));
}

/** Paid for parts: what orders cost, and prices typed at kit lines that no priced order speaks of. */
async function partsPaid(tx: Tx, jobId: string): Promise<number> {
  const { amount, kitIds } = await ordersCost(tx, jobId);
  const typed = await tx
    .selectFrom('money')
    .select(['key', 'amount'])
    .where('job_id', '=', jobId)
    .where('kind', '=', 'kit')
    .execute();
  return typed.filter((t) => !kitIds.has(t.key)).reduce((sum, t) => sum + t.amount, amount);
}

/** Where the money of a job stands. Read by somebody who sees money. */
export async function accountOf(tx: Tx, jobId: string, now: string): Promise<Account> {
  const accepted = (await quotesOf(tx, jobId)).find((q) => q.state === 'accepted');
  const quoted =
    accepted?.answer === undefined || accepted.answer === null
      ? null
      : {
          number: accepted.number,
          net: accepted.answer.net,
          gross: accepted.answer.gross,
          deposit: accepted.deposit,
        };
  const extras = (await extrasOf(tx, [jobId])).map(({ jobId: _job, ...x }) => x);
  const besides = totalsOf(
    extras.filter((x) => x.yes === true),
    0,
  );
  const { hourCost } = await termsNow(tx);
  const hours = (await hoursOn(tx, [jobId], now)).get(jobId) ?? 0;
  const hoursCost = hourCost === undefined ? null : Math.floor(hours * hourCost + 0.5);
  const parts = await partsPaid(tx, jobId);
  const payments = await paymentsOf(tx, jobId);
  const paid = payments.reduce((sum, p) => sum + (p.sort === 'back' ? -p.amount : p.amount), 0);
  const agreed = (await agreedOn(tx, [jobId])).get(jobId) ?? 0;
  const anything = quoted !== null || besides.net > 0;
  return {
    quoted,
    extras,
    extraGross: besides.gross,
    hours: Math.round(hours * 10) / 10,
    hoursCost,
    parts,
    payments,
    agreed,
    left: anything && hoursCost !== null ? agreed - hoursCost - parts : null,
    due: anything ? (quoted?.gross ?? 0) + besides.gross - paid : null,
  };
}

export function accountRoutes(on: Registry): void {
  on.shop(contract.readAccount, async (tx, { params }) => {
    await readHead(tx, params.jobId);
    return accountOf(tx, params.jobId, new Date().toISOString());
  });

  on.shop(contract.addPayment, (tx, { params: { jobId }, body }, caller) =>
    runCommand(tx, caller, 'add-payment', body, async () => {
      await tx.selectFrom('job').select('id').where('id', '=', jobId).forUpdate().execute();
      await readHead(tx, jobId);
      if (body.sort === 'back') {
        const paid = (await paymentsOf(tx, jobId)).reduce(
          (sum, p) => sum + (p.sort === 'back' ? -p.amount : p.amount),
          0,
        );
        if (body.amount > paid) throw new Refusal(409, 'More cannot be given back than was paid.');
      }
      const written = await tx
        .insertInto('payment')
        .values({
          shop_id: caller.shopId,
          id: body.id,
          job_id: jobId,
          sort: body.sort,
          amount: body.amount,
          on_day: body.on,
          note: body.note,
          by_id: caller.personId,
        })
        .onConflict((c) => c.doNothing())
        .returning('id')
        .executeTakeFirst();
      if (!written) throw new Refusal(409, 'This payment is in the account already.');
      const words = {
        deposit: 'deposit received',
        part: 'part payment received',
        final: 'final payment received',
        back: 'money given back',
      };
      await writeLogEntry(tx, caller, {
        jobId,
        kind: 'decision',
        station: 'scope',
        text: `${words[body.sort]}, ${body.on}`,
      });
      noteChange(caller, { kind: 'money' });
      return { reply: { id: body.id }, jobId };
    }),
  );

  on.shop(contract.moneyLines, async (tx, { params: { jobId } }) => {
    const job = await readHead(tx, jobId);
    const { currency } = await tx.selectFrom('shop').select('currency').executeTakeFirstOrThrow();
    const decimals = decimalsOf(currency);
    const figure = (amount: number): string => (amount / 10 ** decimals).toFixed(decimals);
    const quotes = await quotesOf(tx, jobId);
    const { extras, payments } = await accountOf(tx, jobId, new Date().toISOString());
    const standing = quotes.find((q) => q.state === 'accepted');
    const rows = [
      ...(standing?.lines ?? [])
        .filter((l) => !standing!.answer!.declined.includes(l.id))
        .map((l) => ({
          sort: 'quote',
          number: `${job.number}-${standing!.number}`,
          day: standing!.answer!.at.slice(0, 10),
          what: l.title,
          net: figure(l.amount),
          'tax %': String(l.tax),
        })),
      ...extras
        .filter((x) => x.yes === true)
        .map((x) => ({
          sort: 'extra',
          number: job.number,
          day: x.at.slice(0, 10),
          what: x.what,
          net: figure(x.amount),
          'tax %': String(x.tax),
        })),
      ...payments.map((p) => ({
        sort: p.sort,
        number: job.number,
        day: p.on,
        what: p.note,
        net: figure(p.sort === 'back' ? -p.amount : p.amount),
        'tax %': '',
      })),
    ];
    // A cell that a spreadsheet would run as a formula is made plain.
    const csv = Papa.unparse(
      { fields: ['sort', 'number', 'day', 'what', 'net', 'tax %'], data: rows },
      { escapeFormulae: /^[=@\t\r]|^[+-](?![\d.])/ },
    );
    return { name: `money-${job.number}.csv`, type: 'text/csv', bytes: `${csv}\r\n`, keep: 'never' as const };
  });
}
