import * as contract from '@bay/contract/logbook';
import { photoSizes } from '@bay/contract/logbook';
import { runCommand } from '../commands/run.ts';
import { notFound } from '../http/problem.ts';
import type { Registry } from '../http/register.ts';
import { readHead } from '../jobs/store.ts';
import { writeLine } from './lines.ts';
import type { PhotoStore } from './photo-store.ts';
import { keepPhoto, photoFile, photoOfShop, takeIn } from './photos.ts';
import { findTried, lastEntryBy, logTable, markEntry, readPage, searchLog } from './store.ts';

export function logbookRoutes(on: Registry, photos: PhotoStore): void {
  on.shop(contract.readLog, async (tx, { params, query }) => {
    await readHead(tx, params.jobId);
    const { before, limit, ...filter } = query;
    return readPage(tx, params.jobId, before, limit, filter);
  });

  on.shop(contract.searchLog, async (tx, { query }) => ({
    hits: await searchLog(tx, query.q, query.jobId, query.limit),
  }));

  on.shop(contract.findTried, async (tx, { query }) => ({ parts: await findTried(tx, query) }));

  on.shop(contract.writeLog, (tx, { params, body }, caller) =>
    runCommand(tx, caller, 'write-log', body, async () => {
      if (body.about) caller.command!.about = body.about;
      await writeLine(tx, caller, params.jobId, body.line, body.today, { about: body.about });
      return { reply: { entry: await lastEntryBy(tx, params.jobId, caller.personId) }, jobId: params.jobId };
    }),
  );

  on.shop(contract.markEntry, (tx, { params, body }, caller) =>
    runCommand(tx, caller, 'mark-entry', body, async () => ({
      reply: { entry: await markEntry(tx, caller, params.jobId, params.entryId, body) },
      jobId: params.jobId,
    })),
  );

  on.staged(
    contract.addPhoto,
    ({ body, req }, caller) => takeIn(photos, caller, body.photoId, req.file?.buffer),
    (tx, { params, body }, caller, photo) =>
      runCommand(tx, caller, 'add-photo', body, async () => ({
        reply: { record: await keepPhoto(tx, caller, photo, { jobId: params.jobId, ...body }) },
        jobId: params.jobId,
      })),
  );

  on.lookedUp(
    contract.readPhoto,
    async (tx, { params }) => {
      const size = photoSizes.find((one) => one === params.size);
      if (!size) throw notFound('A photo of this size');
      await photoOfShop(tx, params.photoId);
      return size;
    },
    (size, { params }, caller) => photoFile(photos, caller.shopId, params.photoId, size),
  );

  on.shop(contract.readLogTable, async (tx, { params }) => {
    const job = await readHead(tx, params.jobId);
    return {
      name: `logbook ${job.number}.csv`,
      type: 'text/csv; charset=utf-8',
      bytes: await logTable(tx, params.jobId),
    };
  });
}
