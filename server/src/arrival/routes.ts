import * as contract from '@bay/contract/arrival';
import { recordsOf } from '@bay/core/records';
import type { Registry } from '../http/register.ts';
import { paperHeadOf } from '../money/routes.ts';
import { readHead } from '../jobs/store.ts';
import { readMaterial } from '../plan/material.ts';

export function arrivalRoutes(on: Registry): void {
  on.shop(contract.arrivalPdf, async (tx, { params: { jobId } }) => {
    const job = await readHead(tx, jobId);
    const material = (await readMaterial(tx, [jobId])).get(jobId)!;
    const { arrivalPaper } = await import('./paper.ts');
    return arrivalPaper(await paperHeadOf(tx, jobId), {
      wish: job.wish,
      faults: job.faults,
      promised: job.promised,
      identity: material.units.find((u) => u.role === 'car')?.identity ?? null,
      marks: Object.values(recordsOf(material, 'as-it-came')).filter((m) => !m.removed),
      works: recordsOf(material, 'works'),
      sheet: recordsOf(material, 'arrival')['sheet'],
    });
  });
}
