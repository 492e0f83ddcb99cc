import { gateNames, gatesOfStation } from '../jobs/gates.ts';
import { stationIds } from '../jobs/stations.ts';
import type { StationId } from '../jobs/stations.ts';
import type { GateLineState, GateState } from '../commissioning/gates.ts';
import { pick } from '../logbook/words.ts';
import { counted } from '../units/index.ts';
import type { AskRecord, HoldRecord } from '../logbook/records.ts';
import { titleOf } from './title.ts';
import { byTime } from '../rules/stamp.ts';
import { recordsOf } from '../records/index.ts';
import type { JobMaterial } from './input.ts';
import type { Plan } from './plan.ts';

type Records = Pick<JobMaterial, 'records'>;

/** One thing that holds a job, or waits at it for somebody. */
export type Holding =
  | { sort: 'attempts'; count: number }
  | ({ sort: 'case'; key: string; symptom: string } & Partial<FirstSuspect>)
  | { sort: 'hold'; key: string; hold: HoldRecord; late: boolean; comes: boolean }
  | { sort: 'clash'; places: readonly { id: string; title: string }[] }
  | { sort: 'ask'; key: string; ask: AskRecord };

/** What is suspected first in a search for a fault, and how strongly, 0 to 1. */
export interface FirstSuspect {
  suspect: string;
  share: number;
}
/** Ranks the suspects of a case; not loaded where nobody looks for a fault. */
export type SuspectOf = (material: Records, plan: Plan, caseId: string) => FirstSuspect;

/** So many starts in a row that did not run want the fault found first. Common practice, no source. */
const vainStarts = 3;

/** The last starts, where none of them ran. */
function vain(material: Records): Holding[] {
  const attempts = Object.values(recordsOf(material, 'attempt')).sort(byTime);
  const last = attempts.slice(-vainStarts);
  return last.length === vainStarts && last.every((a) => a.result !== 'runs')
    ? [{ sort: 'attempts', count: attempts.length - 1 - attempts.findLastIndex((a) => a.result === 'runs') }]
    : [];
}

const cases = (material: Records, plan: Plan, suspectOf: SuspectOf | undefined): Holding[] =>
  Object.entries(recordsOf(material, 'case'))
    .filter(([, c]) => !c.closed)
    .map(([key, { symptom }]) => ({ sort: 'case', key, symptom, ...suspectOf?.(material, plan, key) }));

/** The ordered kit line that these words mean, where it is plain which. */
export function orderedAs(material: Records, words: string): string | undefined {
  const ordered = Object.entries(recordsOf(material, 'kit'))
    .filter(([, k]) => k.status === 'ordered')
    .map(([key]) => ({ key, title: titleOf(key) }));
  return pick(words, ordered, 'order').hit?.key;
}

/** The open hold that these words mean, where it is plain which. */
export function holdAs(material: Records, words: string): string | undefined {
  const holds = Object.entries(recordsOf(material, 'hold'))
    .filter(([, h]) => !h.released)
    .map(([key, h]) => ({ key, title: h.waitsFor }));
  return pick(words, holds, 'hold').hit?.key;
}

function holds(material: Records, today: string): Holding[] {
  return Object.entries(recordsOf(material, 'hold'))
    .filter(([, h]) => !h.released)
    .sort(([, a], [, b]) => ((a.due ?? '9') < (b.due ?? '9') ? -1 : 1))
    .map(([key, hold]) => ({
      sort: 'hold',
      key,
      hold,
      late: hold.due !== undefined && hold.due < today,
      comes: orderedAs(material, hold.waitsFor) !== undefined,
    }));
}

/** What holds a job, the most serious first. `today` is an ISO date; without `suspectOf` a case is named by its symptom alone. */
export function holdingOf(material: Records, plan: Plan, today: string, suspectOf?: SuspectOf): Holding[] {
  const clashes = plan.fits.filter((l) => l.verdict.word === 'clash' && !l.resolved);
  const asks = Object.entries(recordsOf(material, 'ask')).filter(([, a]) => !a.answer);
  return [
    ...vain(material),
    ...cases(material, plan, suspectOf),
    ...holds(material, today),
    ...(clashes.length > 0
      ? [{ sort: 'clash' as const, places: clashes.map((c) => ({ id: c.def.id, title: c.def.title })) }]
      : []),
    ...asks.sort(([, a], [, b]) => byTime(a, b)).map(([key, ask]): Holding => ({ sort: 'ask', key, ask })),
  ];
}

/** The same in words, a title and what it is about. Dates stand as ISO dates, for the reader's own way of saying them. */
export function holdingWords(h: Holding): { title: string; sentence: string } {
  switch (h.sort) {
    case 'attempts':
      return { title: `Stop: ${counted(h.count, 'start')} in vain`, sentence: 'Find the fault before the next crank.' };
    case 'case':
      return {
        title: `Fault: ${h.symptom}`,
        sentence: h.suspect === undefined ? 'open' : `${Math.round((h.share ?? 0) * 100)} % ${h.suspect}`,
      };
    case 'hold':
      return {
        title: h.late ? 'Held, overdue' : 'Held',
        sentence: `${h.hold.waitsFor}${h.hold.due ? `, due ${h.hold.due}` : ''}`,
      };
    case 'clash':
      return {
        title: `${counted(h.places.length, 'clash', 'clashes')} open`,
        sentence: h.places
          .slice(0, 2)
          .map((p) => p.title)
          .join(', '),
      };
    case 'ask':
      return { title: askTitles[h.ask.ask], sentence: h.ask.what };
  }
}
const askTitles: Readonly<Record<AskRecord['ask'], string>> = {
  question: 'A question waits',
  approval: 'An approval waits',
  signature: 'A signature waits',
  reading: 'A reading is asked for',
};

export interface NextGate extends Pick<GateState, 'gate' | 'proved' | 'of'> {
  /** The first line that stands before it. */
  line: GateLineState;
}

const stationOfGate = new Map(stationIds.flatMap((id) => gatesOfStation[id].map((gate) => [gate, id] as const)));
const orderOf = (gate: GateState): number => gateNames.indexOf(gate.gate);

/** The next gate of a job that is shut: of those whose station is not signed, the first in the order of the job. */
export function nextGate(job: { signedStations: readonly StationId[] }, plan: Plan): NextGate | undefined {
  const ahead = plan.gates
    .filter((g) => g.of > 0 && !g.opens && !job.signedStations.includes(stationOfGate.get(g.gate)!))
    .sort((a, b) => orderOf(a) - orderOf(b))[0];
  if (!ahead) return undefined;
  const stands = (...states: GateLineState['state'][]) => ahead.lines.find((l) => states.includes(l.state));
  const line = stands('open', 'blocked') ?? stands('half-signed');
  return line && { gate: ahead.gate, proved: ahead.proved, of: ahead.of, line };
}
