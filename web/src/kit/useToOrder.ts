import { orderStops } from '@bay/core/kit';
import type { KitLine } from '@bay/core/kit';
import { useJob, useOpenSteps, useRecords } from '../sheet/index.ts';
import type { ToOrder } from '../orders/index.ts';

/** A kit line as it is ordered, with what is open about it, and the steps of the job that may wait for it. */
export function useToOrder() {
  const { sheet, plan } = useJob();
  const records = useRecords('kit');
  const steps = useOpenSteps(true);
  const line = (kit: KitLine): ToOrder => {
    const record = records[kit.def.id];
    const options = record?.options ?? kit.filled.map((f) => f.text).join(', ');
    return {
      jobId: sheet.job.id,
      kitId: kit.def.id,
      title: kit.def.title,
      options,
      stops: orderStops(kit, plan.facts, { status: 'ordered', ...record, options }),
    };
  };
  return { steps, line };
}
