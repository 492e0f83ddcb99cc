import * as contract from '@bay/contract/jobs';
import type { JobHead, Strip } from '@bay/contract/jobs';
import type { ClockRow } from '@bay/contract/clock';
import { shortTitleOf } from '@bay/core/plan';
import { runningClocks } from '../clock/store.ts';
import type { Tx } from '../db/connection.ts';
import type { Caller, Registry } from '../http/register.ts';
import { countOpenInYard, readFinished, readHead, readInBays, readYard } from '../jobs/store.ts';
import { readDigests } from './digest.ts';

/** Cars of the yard that come at once; the rest is asked for page by page. */
const yardPage = 40;
const finishedPage = 20;

/** What somebody is clocked on, in few words: the step it is, or what they typed. */
const whatOf = (c: ClockRow): string => (c.about ? shortTitleOf(c.about) : c.title);

async function stripsOf(
  tx: Tx,
  caller: Caller,
  jobs: readonly JobHead[],
  running: readonly ClockRow[],
): Promise<Strip[]> {
  const digests = await readDigests(tx, caller, jobs, new Date().toISOString().slice(0, 10));
  return jobs.map((job) => {
    const { state, doing, due } = digests.get(job.id)!;
    const onIt = running
      .filter((c) => c.jobId === job.id)
      .map((c) => ({ initials: c.initials, name: c.person, what: whatOf(c), since: c.startedAt }));
    return { ...job, state, doing, due, onIt };
  });
}

export function floorRoutes(on: Registry): void {
  on.shop(contract.readFloor, async (tx, _call, caller) => {
    const shop = await tx.selectFrom('shop').select('bays').where('id', '=', caller.shopId).executeTakeFirstOrThrow();
    const running = await runningClocks(tx);
    const inBays = await readInBays(tx);
    const yard = await readYard(tx, undefined, yardPage);
    const people = await tx
      .selectFrom('person')
      .select(['id', 'name', 'initials', 'role'])
      .where('active', '=', true)
      .where('role', '<>', 'onlooker')
      .orderBy('name')
      .execute();
    const strips = await stripsOf(tx, caller, [...inBays, ...yard], running);
    const places = new Map(strips.map((s) => [s.id, s]));
    // Somebody may be clocked on a job that is not on this page of the yard.
    const elsewhere = new Set(running.map((c) => c.jobId).filter((id) => !places.has(id)));
    const heads = new Map<string, JobHead>([
      ...places,
      ...(await Promise.all(
        [...elsewhere].map(async (id): Promise<[string, JobHead]> => [id, await readHead(tx, id)]),
      )),
    ]);
    const crew = people.map((p) => {
      const clock = running.find((c) => c.personId === p.id);
      const head = clock && heads.get(clock.jobId);
      return {
        ...p,
        on:
          clock && head
            ? {
                jobId: head.id,
                number: head.number,
                bay: head.bay,
                what: whatOf(clock),
                since: clock.startedAt,
              }
            : null,
      };
    });
    return { bays: shop.bays, strips, inYard: await countOpenInYard(tx), crew };
  });

  on.shop(contract.readYard, async (tx, { query }, caller) => ({
    strips: await stripsOf(tx, caller, await readYard(tx, query.after, yardPage), await runningClocks(tx)),
  }));

  on.shop(contract.readStrip, async (tx, { params }, caller) => {
    const job = await readHead(tx, params.jobId);
    return { strip: job.closedAt ? null : (await stripsOf(tx, caller, [job], await runningClocks(tx)))[0]! };
  });

  on.shop(contract.readFinishedJobs, async (tx, { query }) => readFinished(tx, query.before, finishedPage));
}
