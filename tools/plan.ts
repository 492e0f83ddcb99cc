import { readFileSync } from 'node:fs';
import { isFactId, readFact } from '@bay/core/facts';
import type { FactValue } from '@bay/core/facts';
import { computePlan } from '@bay/core/plan';

/**
 * `./bay plan FACTS.json`: the plan computed from a file of facts (docs/formats/facts.schema.json):
 * `{ "facts": { "rec-bay-length": { "to-core-rear-face": "612 mm" } }, "outgoing": {…}, "schools": {…} }`.
 * A fact with one value may be written as a plain string.
 */
const file = process.argv[2];
const stop = (sentence: string): never => {
  process.stderr.write(`${sentence}\n`);
  process.exit(2);
};
if (file === undefined) stop('Name a file: ./bay plan FACTS.json');

type Typed = Record<string, string | Record<string, string>>;
let input: { facts?: Typed; outgoing?: Typed; schools?: Record<string, string> } = {};
try {
  input = JSON.parse(readFileSync(file!, 'utf8')) as typeof input;
} catch (error) {
  stop(`${file} cannot be read: ${(error as Error).message}`);
}

function book(typed: Typed | undefined): Map<string, FactValue> {
  const facts = new Map<string, FactValue>();
  for (const [id, value] of Object.entries(typed ?? {})) {
    if (!isFactId(id)) stop(`"${id}" is not a fact. docs/formats/facts.schema.json lists them.`);
    const entry = readFact(id, typeof value === 'string' ? { value } : value);
    if (!entry.ok) return stop(`${id}: ${Object.values(entry.errors).join(' ')}`);
    facts.set(id, { parts: entry.parts, typed: entry.typed, source: 'measured' });
  }
  return facts;
}

const plan = computePlan({
  facts: book(input.facts),
  outgoing: book(input.outgoing),
  donor: new Map(),
  shopSchools: input.schools ?? {},
  jobSchools: {},
  fits: {},
  kit: {},
  gates: {},
  gateInputs: { provisional: [], loosened: [], unlabelled: [], openEnds: [] },
  attempts: 0,
});
const shown = {
  fits: plan.fits.map((l) => ({ id: l.def.id, title: l.def.title, ...l.verdict })),
  kit: plan.kit.map((l) => ({
    id: l.def.id,
    title: l.def.title,
    state: l.state,
    because: l.because,
    needs: l.needs,
    blanks: l.blanks,
  })),
  pull: { steps: plan.pull.lines.map((l) => l.def.id), contradictions: plan.pull.contradictions },
  gates: plan.gates.map((g) => ({
    gate: g.gate,
    lines: g.lines.map((l) => ({ id: l.def.id, mustBe: l.def.mustBe, state: l.state })),
  })),
  circuits: plan.circuits.map((c) => c.def.id),
  waitingFor: Object.fromEntries(plan.waitingFor),
};
process.stdout.write(`${JSON.stringify(shown, null, 2)}\n`);
