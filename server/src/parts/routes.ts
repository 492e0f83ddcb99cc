import type { z } from 'zod';
import { labelledThings, labelPapers } from '@bay/core/parts';
import { recordsOf } from '@bay/core/records';
import type { Recorded } from '@bay/core/records';
import * as contract from '@bay/contract/parts';
import { runCommand } from '../commands/run.ts';
import { badInput, notFound, Refusal } from '../http/problem.ts';
import type { Registry } from '../http/register.ts';
import { readHead } from '../jobs/store.ts';
import { printLabels } from '../pdf/labels.ts';
import { readNames, shownRow } from '../records/shown.ts';
import { unstamped } from '../records/stamp.ts';
import { findRecord, writeRecord } from '../records/store.ts';
import { mapRoutes, readDrawn } from './map.ts';
import { moveAll } from './move.ts';
import { readPlaces, readStore } from './store.ts';

type Data = Record<string, unknown>;

/** What a thing is with a change laid over it; one that is here again is with nobody else. */
function changed(now: Data, { place, forJob, fate, goneTo, note }: Change): Data {
  const next: Data = {
    ...unstamped(now),
    ...(place === undefined ? {} : { place }),
    ...(note === undefined ? {} : { note }),
    ...(fate === undefined ? {} : { fate, goneTo: goneTo === '' ? undefined : goneTo }),
    ...(forJob === undefined ? {} : { forJob: forJob ?? undefined }),
  };
  return next;
}

type Change = Pick<z.infer<typeof contract.changeStored.body>, 'place' | 'forJob' | 'fate' | 'goneTo' | 'note'>;

export function partRoutes(on: Registry): void {
  on.shop(contract.listStore, (tx, { query }) => {
    const { afterSort: sort, afterTitle: title, afterId: id, ...sought } = query;
    const after = sort && title !== undefined && id ? { sort, title, id } : undefined;
    return readStore(tx, { ...sought, after });
  });

  on.shop(contract.listPlaces, async (tx) => ({ places: await readPlaces(tx), drawn: await readDrawn(tx) }));

  on.shop(contract.movePlace, (tx, { body }, caller) =>
    runCommand(tx, caller, 'move-place', body, async () => {
      if (body.from === body.to) throw badInput({ to: 'It lies there already.' });
      const moved = await moveAll(tx, caller, body.from, body.to);
      if (moved === 0) throw new Refusal(409, `Nothing lies in ${body.from}.`);
      return { reply: { moved } };
    }),
  );

  mapRoutes(on);

  on.shop(contract.labelsPdf, async (tx, { params: { jobId }, query, req }) => {
    const job = await readHead(tx, jobId);
    const rows = await tx
      .selectFrom('recorded')
      .select(['kind', 'key', 'data'])
      .where('bearer_id', '=', jobId)
      .where('kind', 'in', ['part', 'bag', 'link'])
      .execute();
    const kept = { records: rows as unknown as Recorded[] };
    const wanted = query.keys === undefined ? undefined : new Set(query.keys.split(','));
    const things = labelledThings({
      jobId,
      parts: recordsOf(kept, 'part'),
      bags: recordsOf(kept, 'bag'),
      links: recordsOf(kept, 'link'),
    }).filter((t) => wanted === undefined || wanted.has(t.key));
    const paper = labelPapers.find((p) => p.id === query.paper)!;
    if (query.first > paper.across * paper.down)
      throw badInput({ first: `This sheet has labels 1 to ${paper.across * paper.down}.` });
    const scheme = req.get('x-forwarded-proto') === 'https' ? 'https' : req.protocol;
    const bytes = await printLabels(
      paper,
      things.map((t) => ({
        code: t.code,
        title: t.title,
        detail: `${job.number} ${job.carName}${t.place === '' ? '' : `, ${t.place}`}`,
        address: `${scheme}://${req.get('host') ?? 'localhost'}${t.path}`,
      })),
      query.first,
      `Labels of job ${job.number}`,
    );
    return { name: `labels-${job.number}.pdf`, type: 'application/pdf', bytes, keep: 'never' as const };
  });

  on.shop(contract.changeStored, (tx, { params: { sort, thingId }, body }, caller) =>
    runCommand(tx, caller, 'change-stored', body, async () => {
      const thing = await tx.selectFrom(sort).select(['job_id', 'key']).where('id', '=', thingId).executeTakeFirst();
      if (!thing) throw notFound(sort === 'part' ? 'This part' : 'This bag');
      const { job_id: jobId, key } = thing;
      if (sort === 'bag' && (body.fate !== undefined || body.forJob !== undefined))
        throw badInput({ fate: 'A bag belongs to its job: it moves, and goes back on there.' });
      const now = (await findRecord(tx, jobId, sort, key))!;
      const data = changed(now.data, body);
      const { revision } = await writeRecord(tx, caller, { jobId, kind: sort, key, data, revision: body.revision });
      return { reply: { revision }, jobId };
    }),
  );

  on.shop(contract.readPart, async (tx, { params }) => {
    const part = await tx
      .selectFrom('part')
      .select(['job_id', 'key'])
      .where('id', '=', params.partId)
      .executeTakeFirst();
    if (!part) throw notFound('This part');
    const job = await readHead(tx, part.job_id);
    const { data, revision, by, at } = (await findRecord(tx, part.job_id, 'part', part.key))!;
    const record = shownRow(
      { kind: 'part', key: part.key, data, revision, by, at: at.toISOString() },
      await readNames(tx),
    );
    return { jobId: job.id, number: job.number, carName: job.carName, record };
  });
}
