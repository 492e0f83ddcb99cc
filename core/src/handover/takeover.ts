import { latest } from '../rules/stamp.ts';
import { counted } from '../units/index.ts';
import type { ProvisionalItem } from '../commissioning/provisional.ts';
import type { GateState } from '../commissioning/gates.ts';
import { factDef, mostAwaited } from '../facts/index.ts';
import { stationName } from '../jobs/stations.ts';
import type { StationId } from '../jobs/stations.ts';
import type { WorkStep } from '../jobs/work-step.ts';
import type { AskRecord, HoldRecord } from '../logbook/records.ts';
import type { BagRecord, PartRecord } from '../parts/records.ts';
import { jointState, sheetOf } from '../prep/sheets.ts';
import type { FindingRecord, JointRecord, SheetRecord, TorqueRecord } from '../prep/records.ts';

/** One thing that somebody began and did not end: who, and how far. */
export interface InTheMiddle {
  title: string;
  how: string;
  by: string;
  since?: string | undefined;
}

export interface Place {
  label: string;
  what: string;
  place: string;
}

/** What somebody who takes a job over must know, computed from plan and records. */
export interface TakeoverSheet {
  stands: string;
  holds: readonly HoldRecord[];
  middle: readonly InTheMiddle[];
  provisional: readonly ProvisionalItem[];
  /** Cautions of what is being done and of what comes next. */
  cautions: readonly { title: string; caution: string }[];
  awaited: readonly { what: string; factId?: string; lines: number }[];
  places: readonly Place[];
  next: readonly WorkStep[];
  findings: readonly string[];
  asks: readonly { what: string; ask: string }[];
}

const shownNext = 6;
const shownAwaited = 8;

/** What the sheet is made from: the steps in their order, what the plan says, and the records of the job. */
export interface TakeoverParts {
  steps: readonly WorkStep[];
  nextGate: Pick<GateState, 'gate' | 'proved' | 'of'> | undefined;
  provisional: readonly ProvisionalItem[];
  waitingFor: ReadonlyMap<string, readonly string[]>;
  sheets: readonly SheetRecord[];
  joints: readonly JointRecord[];
  torques: readonly TorqueRecord[];
  bags: readonly BagRecord[];
  parts: readonly PartRecord[];
  asks: readonly AskRecord[];
  holds: readonly HoldRecord[];
  findings: readonly FindingRecord[];
}

export interface Running {
  about: string | null;
  title: string;
  person: string;
  startedAt: string;
}

function inTheMiddle({ steps, sheets, joints, torques }: TakeoverParts, running: readonly Running[]): InTheMiddle[] {
  const clocked = new Map(running.map((r) => [r.about, r]));
  const onIt = steps
    .filter((s) => s.status === 'on-it')
    .map((s): InTheMiddle => {
      const clock = clocked.get(s.key);
      return {
        title: s.title,
        how: clock ? 'on it now' : 'started, nobody on the clock',
        by: clock?.person ?? s.record?.by ?? '',
        since: clock?.startedAt ?? s.record?.at,
      };
    });
  const known = new Set(steps.filter((s) => s.status === 'on-it').map((s) => s.key));
  const other = running
    .filter((r) => r.about === null || !known.has(r.about))
    .map((r): InTheMiddle => ({ title: r.title, how: 'on it now', by: r.person, since: r.startedAt }));
  const begun = sheets.flatMap((s): InTheMiddle[] => {
    const def = sheetOf(s.sheet);
    const wanted = def.readings.filter((r) => !r.ifNeeded);
    const read = wanted.filter((r) => s.readings[r.key] !== undefined).length;
    if (read === 0 || read >= wanted.length) return [];
    return [
      {
        title: `${def.title}, ${def.place} ${s.place}`,
        how: `${read} of ${wanted.length} read`,
        by: s.by ?? '',
        since: s.at,
      },
    ];
  });
  const open = joints.flatMap((j): InTheMiddle[] => {
    const own = torques.filter((t) => t.joint === j.name);
    if (own.length === 0 || jointState(own, j.bolts).done) return [];
    const last = latest(own)!;
    return [
      {
        title: j.name,
        how: `${own.filter((t) => !t.voided).length} of ${counted(j.bolts, 'bolt')} tight`,
        by: last.by ?? '',
        since: last.at,
      },
    ];
  });
  return [...onIt, ...other, ...begun, ...open];
}

/** Bags that are not back on the car, and parts in store. */
function placesOf(given: Pick<TakeoverParts, 'bags' | 'parts'>): Place[] {
  const bags = given.bags.filter((b) => !b.back);
  return [
    ...bags.map((b) => ({ label: `bag ${b.label}`, what: b.what, place: b.place ?? 'no place written' })),
    ...given.parts.map((p) => ({ label: p.label || 'no label', what: p.title, place: p.place || 'no place written' })),
  ].sort((a, b) => a.label.localeCompare(b.label, 'en', { numeric: true }));
}

/** The takeover sheet of a job. Pure: the same parts give the same sheet. */
export function takeoverSheet(
  job: { station: StationId },
  parts: TakeoverParts,
  running: readonly Running[],
): TakeoverSheet {
  const { steps } = parts;
  const own = steps.filter((s) => s.station === job.station);
  const closed = own.filter((s) => s.status === 'done' || s.status === 'waived').length;
  const next = steps
    .filter((s) => s.status === 'free' && (s.station === job.station || s.record !== undefined))
    .slice(0, shownNext);
  const gate = parts.nextGate;
  const onIt = steps.filter((s) => s.status === 'on-it');
  const asks = parts.asks.filter((a) => !a.answer);
  const awaited = [
    ...asks.filter((a) => a.ask === 'reading').map((a) => ({ what: a.what, lines: 1 })),
    ...mostAwaited(parts.waitingFor).map((a) => ({ what: factDef(a.factId).label, ...a })),
  ].slice(0, shownAwaited);
  const progress = own.length > 0 ? `, ${closed} of ${counted(own.length, 'step')}` : '';
  const ahead = gate ? `. Next gate: ${gate.gate}, ${gate.of - gate.proved} of ${counted(gate.of, 'line')} open` : '';
  return {
    stands: `${stationName(job.station)}${progress}${ahead}`,
    holds: parts.holds.filter((h) => !h.released),
    middle: inTheMiddle(parts, running),
    provisional: parts.provisional,
    cautions: [...onIt, ...next]
      .flatMap((s) => (s.caution ? [{ title: s.title, caution: s.caution }] : []))
      .slice(0, shownNext),
    awaited,
    places: placesOf(parts),
    next,
    findings: parts.findings.filter((f) => !f.settled).map((f) => f.what),
    asks: asks.filter((a) => a.ask !== 'reading').map(({ what, ask }) => ({ what, ask })),
  };
}
