import { z } from 'zod';
import { fluidSystemIds } from '@bay/core/fluids';
import { stepStatuses } from '@bay/core/pull';
import { factSources } from '@bay/core/facts';

/** What the commands print, as schemas: docs/formats is made from them, and what is printed is held to them. */

const sumRow: z.ZodType = z.lazy(() =>
  z.object({
    sign: z.enum(['+', '−', '×', '÷', '']),
    label: z.string(),
    value: z.number(),
    unit: z.string(),
    factId: z.string().optional(),
    partKey: z.string().optional(),
    basis: z.string().optional(),
    of: z.array(z.unknown()).optional(),
  }),
);
const words = z.array(z.string());
const need = z.object({ factId: z.string(), partKey: z.string() });
export const fitShown = z.object({
  id: z.string(),
  title: z.string(),
  word: z.enum(['bolts-up', 'adapt', 'clash', 'not-measured']),
  headline: z.string(),
  because: words,
  needs: z.array(need),
  sum: z.array(sumRow),
  result: z.object({ label: z.string(), value: z.number(), unit: z.string() }).optional(),
  margin: z.object({ value: z.number(), unit: z.string() }).optional(),
  reads: z.array(z.object({ factId: z.string(), book: z.enum(['job', 'outgoing']) })),
  weakest: z.enum(factSources).optional(),
  basis: z.enum(['computed', 'judged', 'trial', 'open']),
  source: z.string(),
});

const stepShown = z.object({
  id: z.string(),
  title: z.string(),
  status: z.enum(stepStatuses),
  after: words,
  betterAfter: words,
  needs: words,
  heldBy: words,
  ended: z.array(z.object({ state: z.string(), by: z.string() })),
  unmet: z.array(z.object({ state: z.string(), offers: words, needs: words })),
  gates: words,
  wayOf: z.string().optional(),
  instead: z.string().optional(),
  against: words,
  dependsOn: words,
  because: words,
  onlyIf: z.string().optional(),
  caution: z.string().optional(),
  harm: z.boolean(),
  minutes: z.array(z.number()),
});

const band = z.object({
  unit: z.string(),
  min: z.number().optional(),
  max: z.number().optional(),
  from: z.unknown().optional(),
});
const gateShown = z.object({
  gate: z.string(),
  opens: z.boolean(),
  lines: z.array(
    z.object({
      id: z.string(),
      mustBe: z.string(),
      state: z.enum(['proved', 'overridden', 'half-signed', 'open', 'blocked']),
      applies: z.union([z.boolean(), z.literal('waits')]),
      harm: z.boolean(),
      readings: z.array(z.object({ key: z.string(), label: z.string(), bands: z.array(band), wanted: z.string() })),
      taken: z.array(
        z.object({
          key: z.string(),
          typed: z.string(),
          value: z.number().optional(),
          unit: z.string().optional(),
          fault: z.string().optional(),
          pointsTo: z.string().optional(),
        }),
      ),
      /** There where a record proves the line and nobody's words do; true where it proves it. */
      byRecord: z.boolean().optional(),
      blockers: words,
    }),
  ),
});

export const planShape = z.object({
  inferred: z.array(z.object({ id: z.string(), value: z.string(), because: z.string() })),
  schools: z.record(z.string(), z.object({ side: z.string(), from: z.enum(['default', 'shop', 'job']) })),
  fits: z.array(fitShown),
  kit: z.array(
    z.object({
      id: z.string(),
      title: z.string(),
      state: z.enum(['needed', 'proposed', 'waits']),
      because: words,
      needs: words,
      blanks: words,
    }),
  ),
  pull: z.object({
    steps: words,
    contradictions: z.array(z.unknown()),
    unmet: z.array(z.object({ step: z.string(), state: z.string() })),
  }),
  steps: z.array(stepShown),
  buildSteps: z.array(stepShown),
  goingIn: z.array(stepShown),
  ways: z.array(z.object({ id: z.string(), title: z.string(), steps: words })),
  donorSteps: z.array(stepShown).optional(),
  harvest: words.optional(),
  gates: z.array(gateShown),
  tests: words,
  fills: z.array(
    z.object({
      system: z.enum(fluidSystemIds),
      state: z.enum(['agrees', 'filled', 'not-needed', 'not-said', 'dry', 'short', 'over']),
      grade: z.string().optional(),
      rows: z.array(z.object({ label: z.string(), litres: z.number() })),
      missing: words,
      holds: z.number().optional(),
      putIn: z.number().optional(),
    }),
  ),
  circuits: words,
  waitingFor: z.record(z.string(), words),
});

export const fitsShape = z.object({ fits: z.array(fitShown.extend({ knockOn: words })) });

export const readShape = z.union([
  z.object({
    ok: z.literal(true),
    value: z.number(),
    unit: z.string(),
    understood: z.string(),
    typedUnit: z.string(),
    inTypedUnit: z.number(),
  }),
  z.object({ ok: z.literal(false), sentence: z.string() }),
]);

export const lineShape = z.looseObject({
  kind: z.string(),
  text: z.string(),
  pieces: z.array(z.object({ name: z.string(), from: z.number(), to: z.number(), shown: z.string() })),
  understood: z.string().optional(),
  hint: z.string().optional(),
  plainNote: z.boolean(),
  belongsTo: z
    .object({ key: z.string(), title: z.string(), sure: z.number().min(0).max(1), kept: z.boolean() })
    .nullable(),
});

export const diagnosisShape = z.object({
  state: z.enum(['still', 'turns', 'runs']).nullable(),
  stop: z.string().nullable(),
  suspects: z.array(
    z.object({
      id: z.string(),
      title: z.string(),
      before: z.number(),
      now: z.number(),
      raisedBy: words,
      loweredBy: words,
    }),
  ),
  tests: z.array(
    z.object({
      id: z.string(),
      question: z.string(),
      outcomes: words,
      minutes: z.number(),
      risk: z.number(),
      bits: z.number(),
      cost: z.number(),
      bitsPerMinute: z.number(),
    }),
  ),
});

/** Prints what a command has to say, held to its schema. */
export const print = <T>(shape: z.ZodType<T>, shown: unknown): void =>
  void process.stdout.write(`${JSON.stringify(shape.parse(shown), null, 2)}\n`);
