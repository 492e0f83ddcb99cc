import type { Tries } from './http/tries.ts';
import { calcRoutes } from './calc/routes.ts';
import { fitRoutes } from './fit/routes.ts';
import { clockRoutes } from './clock/routes.ts';
import { commandRoutes } from './commands/routes.ts';
import { arrivalKinds } from './arrival/kinds.ts';
import { arrivalRoutes } from './arrival/routes.ts';
import { commissioningKinds } from './commissioning/kinds.ts';
import { signedDespite } from './commissioning/standing.ts';
import { benchRoutes } from './crew/bench.ts';
import { countersignRoutes } from './crew/countersign.ts';
import { peopleRoutes } from './crew/people.ts';
import { crewRoutes } from './crew/routes.ts';
import { sessionRoutes } from './crew/sessions.ts';
import { waitingRoutes } from './crew/waiting.ts';
import type { Db } from './db/connection.ts';
import { diagnosisKinds } from './diagnosis/kinds.ts';
import { factRoutes } from './facts/routes.ts';
import { donorsKinds } from './donors/kinds.ts';
import { donorRoutes } from './donors/routes.ts';
import { pullRoutes } from './pull/routes.ts';
import { fitKinds } from './fit/kinds.ts';
import { fluidKinds } from './fluids/kinds.ts';
import { floorRoutes } from './floor/routes.ts';
import { handoverKinds } from './handover/kinds.ts';
import { linkRoutes } from './handover/links.ts';
import { takeoverRoutes } from './handover/takeover.ts';
import type { Registry } from './http/register.ts';
import { registerSigningRule } from './jobs/signing.ts';
import { jobRoutes } from './jobs/routes.ts';
import { kitKinds } from './kit/kinds.ts';
import { supplierRoutes } from './kit/suppliers.ts';
import { logbookKinds } from './logbook/kinds.ts';
import type { PhotoStore } from './logbook/photo-store.ts';
import { logbookRoutes } from './logbook/routes.ts';
import { memoryKinds } from './memory/kinds.ts';
import { memoryRoutes } from './memory/routes.ts';
import { moneyKinds } from './money/kinds.ts';
import { moneyRoutes } from './money/routes.ts';
import { orderRoutes } from './orders/routes.ts';
import { partsKinds } from './parts/kinds.ts';
import { partRoutes } from './parts/routes.ts';
import { prepKinds } from './prep/kinds.ts';
import { pullKinds } from './pull/kinds.ts';
import { registerKinds } from './records/kind.ts';
import { recordRoutes } from './records/routes.ts';
import { schoolKinds } from './schools/kinds.ts';
import { schoolRoutes } from './schools/routes.ts';
import { sheetRoutes } from './sheet/routes.ts';
import { systemsKinds } from './systems/kinds.ts';

/** What the capabilities bring: the kinds of records that each knows how to write. A new one is added here and nowhere else. */
for (const kinds of [
  arrivalKinds,
  commissioningKinds,
  diagnosisKinds,
  donorsKinds,
  fitKinds,
  fluidKinds,
  handoverKinds,
  kitKinds,
  logbookKinds,
  memoryKinds,
  moneyKinds,
  partsKinds,
  prepKinds,
  pullKinds,
  schoolKinds,
  systemsKinds,
])
  registerKinds(kinds);
registerSigningRule(signedDespite);

/** What the capabilities bring: the handlers of their endpoints. */
export function registerRoutes(on: Registry, db: Db, tries: Tries, photos: PhotoStore): void {
  crewRoutes(on, db, tries);
  peopleRoutes(on);
  countersignRoutes(on, tries);
  arrivalRoutes(on);
  jobRoutes(on);
  floorRoutes(on);
  sheetRoutes(on);
  factRoutes(on);
  recordRoutes(on);
  partRoutes(on);
  supplierRoutes(on);
  donorRoutes(on);
  pullRoutes(on);
  memoryRoutes(on);
  moneyRoutes(on);
  orderRoutes(on);
  logbookRoutes(on, photos);
  clockRoutes(on);
  sessionRoutes(on);
  waitingRoutes(on);
  benchRoutes(on);
  takeoverRoutes(on);
  linkRoutes(on, db, tries, photos);
  commandRoutes(on);
  schoolRoutes(on);
  calcRoutes(on);
  fitRoutes(on);
}
