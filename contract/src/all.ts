import * as arrival from './arrival.ts';
import * as calc from './calc.ts';
import * as clock from './clock.ts';
import * as crew from './crew.ts';
import * as donors from './donors.ts';
import * as facts from './facts.ts';
import * as fit from './fit.ts';
import * as handover from './handover.ts';
import * as jobs from './jobs.ts';
import * as kit from './kit.ts';
import * as logbook from './logbook.ts';
import * as memory from './memory.ts';
import * as money from './money.ts';
import * as orders from './orders.ts';
import * as parts from './parts.ts';
import * as pull from './pull.ts';
import * as records from './records.ts';
import * as schools from './schools.ts';
import type { Endpoint } from './endpoint.ts';

/** Every endpoint there is, for the OpenAPI document and for tests that walk them. */
export const endpoints: readonly [name: string, endpoint: Endpoint][] = [
  arrival,
  crew,
  clock,
  donors,
  jobs,
  facts,
  fit,
  records,
  logbook,
  kit,
  parts,
  pull,
  memory,
  money,
  orders,
  schools,
  calc,
  handover,
].flatMap((module) =>
  Object.entries(module).filter(
    (pair): pair is [string, Endpoint] =>
      typeof pair[1] === 'object' && pair[1] !== null && 'method' in pair[1] && 'path' in pair[1],
  ),
);
