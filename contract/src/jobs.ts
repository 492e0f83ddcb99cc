import { z } from 'zod';
import { stationIds, unitKinds, unitRoles } from '@bay/core/jobs';
import type { UnitRole } from '@bay/core/jobs';
import { command, endpoint, id, isoDate, line } from './endpoint.ts';
import { clockRow } from './clock.ts';
import { factRow } from './facts.ts';
import { ownLine } from './memory.ts';
import { logEntry } from './logbook.ts';
import { recordRow } from './record-row.ts';

export { unitKinds, unitRoles };
export type { UnitRole };

export const unit = z.object({
  id,
  kind: z.enum(unitKinds),
  name: z.string(),
  identity: z.string().nullable(),
  place: z.string(),
  jobs: z.array(z.object({ jobId: id, number: z.string(), role: z.enum(unitRoles) })),
});
export type Unit = z.infer<typeof unit>;

export const jobHead = z.object({
  id,
  number: z.string(),
  carName: z.string(),
  engineName: z.string().nullable(),
  customer: z.string(),
  wish: z.string(),
  faults: z.string(),
  bay: z.string().nullable(),
  promised: z.string().nullable(),
  station: z.enum(stationIds),
  signedStations: z.array(z.enum(stationIds)),
  closedAt: z.string().nullable(),
  revision: z.number(),
  openedAt: z.string(),
});
export type JobHead = z.infer<typeof jobHead>;

export const stripState = z.object({
  kind: z.enum(['held', 'waits', 'stop', 'free']),
  title: z.string(),
  sentence: z.string(),
});
export const strip = jobHead.extend({
  state: stripState,
  doing: z.string(),
  /** Days on which something is due that the job waits for. */
  due: z.array(z.object({ on: z.string(), what: z.string() })),
  onIt: z.array(z.object({ initials: z.string(), name: z.string(), what: z.string(), since: z.string() })),
});
export type Strip = z.infer<typeof strip>;

export const readFloor = endpoint({
  method: 'get',
  path: '/api/floor',
  summary: 'The Floor: bays, yard and crew',
  access: 'look',
  reply: z.object({
    bays: z.array(z.string()),
    /** Jobs in bays, and the first page of the yard. */
    strips: z.array(strip),
    /** How many open jobs wait outside in all. */
    inYard: z.number(),
    crew: z.array(
      z.object({
        id,
        name: z.string(),
        initials: z.string(),
        role: z.string(),
        on: z
          .object({ jobId: id, number: z.string(), bay: z.string().nullable(), what: z.string(), since: z.string() })
          .nullable(),
      }),
    ),
  }),
});

export const readYard = endpoint({
  method: 'get',
  path: '/api/floor/yard',
  summary: 'More of the yard, by number',
  access: 'look',
  query: z.object({ after: z.string().max(20) }),
  reply: z.object({ strips: z.array(strip) }),
});
export const readStrip = endpoint({
  method: 'get',
  path: '/api/floor/jobs/:jobId',
  summary: 'One strip of the Floor, when only its job changed; none when it is finished',
  access: 'look',
  params: z.object({ jobId: id }),
  reply: z.object({ strip: strip.nullable() }),
});
export const readFinishedJobs = endpoint({
  method: 'get',
  path: '/api/jobs/finished',
  summary: 'Finished jobs, the last closed first',
  access: 'look',
  query: z.object({ before: z.iso.datetime().optional() }),
  reply: z.object({ jobs: z.array(jobHead), more: z.boolean() }),
});

const carIn = z.object({ name: line(80), modelYear: z.number().int().min(1900).max(2100), identity: line(30) });
export const bookIn = endpoint({
  method: 'post',
  path: '/api/jobs',
  summary: 'Book a car in',
  access: 'work',
  body: z.object({
    ...command,
    car: carIn,
    customer: line(80),
    phone: z.string().trim().max(40).optional(),
    wish: line(500),
    faults: z.string().trim().max(1000).default(''),
    ownEngine: z.string().trim().max(80).default(''),
    promised: isoDate.optional(),
    bay: z.string().max(20).optional(),
    identityWaived: z.string().trim().max(200).optional(),
  }),
  reply: z.object({ job: jobHead }),
});

export const sheetUnit = z.object({
  id,
  kind: z.enum(unitKinds),
  role: z.enum(unitRoles),
  name: z.string(),
  identity: z.string().nullable(),
  place: z.string(),
});
export const jobSheet = z.object({
  job: jobHead,
  units: z.array(sheetUnit),
  facts: z.array(factRow),
  records: z.array(recordRow),
  shopSchools: z.record(z.string(), z.string()),
  /** Lines that the shop keeps, with their conditions. */
  shopRules: z.array(z.object({ id: z.string(), line: ownLine, when: z.string() })),
  log: z.array(logEntry),
  /** Clocks that run on this job now. */
  running: z.array(clockRow),
});
export type JobSheet = z.infer<typeof jobSheet>;
export const readJob = endpoint({
  method: 'get',
  path: '/api/jobs/:jobId',
  summary: 'Everything on a job that a plan is computed from, and the last lines of the logbook',
  access: 'look',
  params: z.object({ jobId: id }),
  reply: jobSheet,
});

const names = (most: number) =>
  z
    .string()
    .max(most * 160)
    .transform((s) => (s === '' ? [] : s.split(',')));
export const readJobParts = endpoint({
  method: 'get',
  path: '/api/jobs/:jobId/parts',
  summary:
    'Only those parts of a job that a change named: facts by id, records as kind:key, the book after a line, the head, running clocks',
  access: 'look',
  params: z.object({ jobId: id }),
  query: z.object({
    facts: names(50).optional(),
    records: names(50)
      .transform((all) =>
        all.map((one) => ({ kind: one.slice(0, one.indexOf(':')), key: one.slice(one.indexOf(':') + 1) })),
      )
      .optional(),
    logAfter: z.coerce.number().int().min(0).optional(),
    head: z.stringbool().optional(),
    running: z.stringbool().optional(),
  }),
  reply: z.object({
    job: jobHead.optional(),
    units: z.array(sheetUnit).optional(),
    facts: z.array(factRow),
    records: z.array(recordRow),
    log: z.array(logEntry),
    running: z.array(clockRow).optional(),
  }),
});

export const changeJob = endpoint({
  method: 'put',
  path: '/api/jobs/:jobId',
  summary: 'Change what a job is: bay, promise, station, wish',
  access: 'work',
  params: z.object({ jobId: id }),
  body: z.object({
    ...command,
    revision: z.number().int().min(1),
    bay: z.string().max(20).nullable().optional(),
    promised: isoDate.nullable().optional(),
    station: z.enum(stationIds).optional(),
    signStation: z.enum(stationIds).optional(),
    /** Why a station is signed with lines of its gates open. */
    despite: line(500).min(10, 'Say it in a sentence.').optional(),
    wish: line(500).optional(),
    faults: z.string().trim().max(1000).optional(),
  }),
  reply: z.object({ job: jobHead }),
});

export const listUnits = endpoint({
  method: 'get',
  path: '/api/units',
  summary: 'Units of the shop, where each is and which jobs it serves: a page, by words and by kind',
  access: 'look',
  query: z.object({
    q: z.string().trim().max(80).default(''),
    kind: z.enum(unitKinds).optional(),
    /** Only those that serve no job. */
    free: z.stringbool().optional(),
    /** The last one already shown. */
    after: id.optional(),
    limit: z.coerce.number().int().min(1).max(200).default(80),
  }),
  reply: z.object({ units: z.array(unit), more: z.boolean() }),
});
export const countUnits = endpoint({
  method: 'get',
  path: '/api/units/counts',
  summary: 'How many units of each kind the shop has',
  access: 'look',
  reply: z.object({ counts: z.record(z.enum(unitKinds), z.number()) }),
});
export const readUnit = endpoint({
  method: 'get',
  path: '/api/units/:unitId',
  summary: 'One unit, where it is and which jobs it serves',
  access: 'look',
  params: z.object({ unitId: id }),
  reply: z.object({ unit }),
});
export const addUnit = endpoint({
  method: 'post',
  path: '/api/units',
  summary: 'Add a unit: car, engine, gearbox, computer or loom',
  access: 'work',
  body: z.object({
    ...command,
    kind: z.enum(unitKinds),
    name: line(80),
    identity: z.string().trim().max(40).optional(),
    place: line(60),
    job: z.object({ jobId: id, role: z.enum(unitRoles) }).optional(),
  }),
  reply: z.object({ unitId: id }),
});
export const moveUnit = endpoint({
  method: 'post',
  path: '/api/units/:unitId/move',
  summary: 'Move a unit: to a job in a role, or to the shelf; its facts go with it',
  access: 'work',
  params: z.object({ unitId: id }),
  body: z.object({
    ...command,
    place: line(60),
    job: z.object({ jobId: id, role: z.enum(unitRoles) }).nullable(),
    leaveJobId: id.optional(),
  }),
  reply: z.object({ unitId: id }),
});

export const unitFacts = endpoint({
  method: 'get',
  path: '/api/units/:unitId/facts',
  summary: 'What is known of a unit and was recorded on it, on whatever job that was',
  access: 'look',
  params: z.object({ unitId: id }),
  reply: z.object({ facts: z.array(factRow), records: z.array(recordRow) }),
});

export const find = endpoint({
  method: 'get',
  path: '/api/find',
  summary: 'Find jobs, units, parts and people',
  access: 'look',
  query: z.object({ q: z.string().trim().max(80) }),
  reply: z.object({
    hits: z.array(
      z.object({ kind: z.enum(['job', 'unit', 'part', 'bag']), title: z.string(), detail: z.string(), to: z.string() }),
    ),
  }),
});
