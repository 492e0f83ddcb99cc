import { lazy } from 'react';
import { jobsViews } from '../jobs/view.ts';
import { donorsViews } from '../donors/view.ts';
import { pullViews } from '../pull/view.ts';
import { partsViews } from '../parts/view.ts';
import { prepViews } from '../prep/view.ts';
import { fitViews } from '../fit/view.ts';
import { systemsViews } from '../systems/view.ts';
import { commissioningViews } from '../commissioning/view.ts';
import { handoverViews } from '../handover/view.ts';
import { factsViews } from '../facts/view.ts';
import { kitViews } from '../kit/view.ts';
import { memoryViews } from '../memory/view.ts';
import { moneyViews } from '../money/view.ts';
import { logbookViews } from '../logbook/view.ts';
import { clockViews } from '../clock/view.ts';
import type { BenchView } from '../ui/index.ts';

/** Every view of a job that a capability brings, in the order of the line. A new one is added here and nowhere else. */
export const benchViews: readonly BenchView[] = [
  ...jobsViews,
  ...donorsViews,
  ...pullViews,
  ...prepViews,
  ...fitViews,
  ...systemsViews,
  ...commissioningViews,
  ...handoverViews,
  ...factsViews,
  ...kitViews,
  ...memoryViews,
  ...moneyViews,
  ...logbookViews,
  ...clockViews,
  ...partsViews,
];

const benches = new Map(benchViews.map((view) => [view.id, lazy(view.load)]));

/** The bench of an address, fetched when it is opened. */
export const benchOf = (id: string): React.ComponentType | undefined => benches.get(id);

export const besideViews = benchViews.filter((view) => view.place === 'beside');
export const viewOf = (id: string): BenchView | undefined => benchViews.find((view) => view.id === id);
