import { sql } from 'kysely';
import * as contract from '@bay/contract/crew';
import type { WaitingItem } from '@bay/contract/crew';
import type { RecordKind } from '@bay/contract/records';
import { looksForgotten } from '@bay/core/clock';
import { taskTitle } from '@bay/core/plan';
import { may } from '@bay/contract/rights';
import { runningOf } from '../clock/store.ts';
import type { Tx } from '../db/connection.ts';
import type { Caller, Registry } from '../http/register.ts';
import { readHead } from '../jobs/store.ts';
import { ruleOf } from '../records/kind.ts';
import { readNames, withNames } from '../records/shown.ts';

interface Row {
  kind: RecordKind;
  key: string;
  data: Record<string, unknown>;
  amount: number | null;
  revision: number;
  at: Date;
  by: string;
  half_signed: boolean;
  job_id: string;
  number: string;
  car_name: string;
}

/** What waits for one person, the oldest first. */
async function waitingFor(tx: Tx, caller: Caller): Promise<WaitingItem[]> {
  const targets = caller.role === 'manager' ? [caller.personId, 'manager'] : [caller.personId];
  const { rows } = await sql<Row>`
    select r.kind, r.key, r.data, m.amount, r.revision, r.at, r.half_signed, p.name as by, job.id as job_id, job.number,
      (select unit.name from job_unit ju join unit on unit.id = ju.unit_id where ju.job_id = job.id and ju.role = 'car' and ju.left_at is null) as car_name
    from (
      select * from record where kind = 'ask' and not data ? 'answer' and data->>'to' = any(${sql.val(targets)})
      union all
      select * from record where kind = 'task' and data ? 'handedToId' and data->>'handedToId' = ${caller.personId} and data->>'status' in ('open', 'on-it')
      union all
      select * from record where half_signed and by_id <> ${caller.personId} and ${may(caller.role, 'sign-gates')}
    ) r join job on job.id = r.job_id join person p on p.id = r.by_id
      left join money m on m.job_id = r.job_id and m.kind = r.kind and m.key = r.key
    where job.closed_at is null and job.withdrawn_at is null order by r.at`.execute(tx);
  const names = await readNames(tx);
  return rows.map((r) => {
    const data = withNames(r.kind, r.data, names);
    return {
      sort: r.half_signed ? 'second-signature' : r.kind === 'task' ? 'step' : (r.data['ask'] as WaitingItem['sort']),
      jobId: r.job_id,
      number: r.number,
      carName: r.car_name,
      kind: r.kind,
      key: r.key,
      revision: r.revision,
      what:
        r.kind === 'task'
          ? taskTitle(r.key)
          : r.kind === 'ask'
            ? String(r.data['what'])
            : (ruleOf(r.kind).title?.(r.data, r.key) ?? r.key),
      from: r.by,
      since: r.at.toISOString(),
      ...(r.amount === null ? {} : { amount: r.amount }),
      data,
    };
  });
}

/** A clock that runs into another day than it began, or longer than anyone works, is asked about. */
async function forgottenClock(tx: Tx, caller: Caller): Promise<WaitingItem[]> {
  const running = await runningOf(tx, caller.personId);
  if (!running || !looksForgotten(running.startedAt, new Date().toISOString(), (iso) => iso.slice(0, 10))) return [];
  const job = await readHead(tx, running.jobId);
  return [
    {
      sort: 'clock',
      jobId: job.id,
      number: job.number,
      carName: job.carName,
      key: running.id,
      revision: running.revision,
      what: running.title,
      from: caller.name,
      since: running.startedAt,
      data: {},
    },
  ];
}

export function waitingRoutes(on: Registry): void {
  on.shop(contract.readWaiting, async (tx, _call, caller) => ({
    items: [...(await forgottenClock(tx, caller)), ...(await waitingFor(tx, caller))],
  }));
}
