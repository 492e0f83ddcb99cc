import type { ProvisionalItem } from '../commissioning/provisional.ts';
import { factDef } from '../facts/index.ts';
import { recordsOf } from '../jobs/plan-input.ts';
import type { JobMaterial } from '../jobs/plan-input.ts';
import { stationName } from '../jobs/stations.ts';
import type { StationId } from '../jobs/stations.ts';
import { workSteps } from '../jobs/steps.ts';
import type { WorkStep } from '../jobs/steps.ts';
import type { Plan } from '../plan/plan.ts';
import { jointState, sheetOf } from '../prep/sheets.ts';
import type { TorqueRecord } from '../prep/sheets.ts';
import type { TaskRecord } from '../pull/types.ts';

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
  holds: readonly { waitsFor: string; due?: string }[];
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

interface Running {
  about: string | null;
  title: string;
  person: string;
  startedAt: string;
}

function inTheMiddle(material: Pick<JobMaterial, 'records'>, steps: readonly WorkStep[], running: readonly Running[]): InTheMiddle[] {
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
  const sheets = Object.values(
    recordsOf<{ sheet: string; place: string; readings: Record<string, number>; by?: string; at?: string }>(material, 'sheet'),
  ).flatMap((s): InTheMiddle[] => {
    const def = sheetOf(s.sheet);
    const read = Object.keys(s.readings).length;
    if (read === 0 || read >= def.readings.length) return [];
    return [{ title: `${def.title}, ${def.place} ${s.place}`, how: `${read} of ${def.readings.length} read`, by: s.by ?? '', since: s.at }];
  });
  const torques = Object.values(recordsOf<TorqueRecord>(material, 'torque'));
  const joints = Object.values(recordsOf<{ name: string; bolts: number }>(material, 'joint')).flatMap((j): InTheMiddle[] => {
    const own = torques.filter((t) => t.joint === j.name);
    if (own.length === 0 || jointState(own, j.bolts).done) return [];
    const last = [...own].sort((a, b) => ((a.at ?? '') < (b.at ?? '') ? 1 : -1))[0]!;
    return [{ title: j.name, how: `${own.filter((t) => !t.voided).length} of ${j.bolts} bolts tight`, by: last.by ?? '', since: last.at }];
  });
  return [...onIt, ...other, ...sheets, ...joints];
}

/** Bags that are not back on the car, and parts in store. */
function placesOf(material: Pick<JobMaterial, 'records'>): Place[] {
  const bags = Object.values(recordsOf<{ label: string; what: string; place?: string; back?: unknown }>(material, 'bag')).filter((b) => !b.back);
  const parts = Object.values(recordsOf<{ label: string; title: string; place: string }>(material, 'part'));
  return [
    ...bags.map((b) => ({ label: `bag ${b.label}`, what: b.what, place: b.place ?? 'no place written' })),
    ...parts.map((p) => ({ label: p.label || 'no label', what: p.title, place: p.place || 'no place written' })),
  ].sort((a, b) => a.label.localeCompare(b.label, 'en', { numeric: true }));
}

/** The takeover sheet of a job. Pure: the same plan and records give the same sheet. */
export function takeoverSheet(
  job: { station: StationId; signedStations: readonly StationId[] },
  material: Pick<JobMaterial, 'records' | 'units'>,
  plan: Plan,
  running: readonly Running[],
): TakeoverSheet {
  const steps = workSteps(
    plan,
    recordsOf<TaskRecord>(material, 'task'),
    material.units.some((u) => u.role === 'donor'),
  );
  const own = steps.filter((s) => s.station === job.station);
  const closed = own.filter((s) => s.status === 'done' || s.status === 'waived').length;
  const next = steps.filter((s) => s.status === 'free' && (s.station === job.station || s.record !== undefined)).slice(0, shownNext);
  const gate = plan.gates.find((g) => !g.opens);
  const onIt = steps.filter((s) => s.status === 'on-it');
  const asks = Object.values(recordsOf<{ what: string; ask: string; answer?: unknown }>(material, 'ask')).filter((a) => !a.answer);
  const awaited = [
    ...asks.filter((a) => a.ask === 'reading').map((a) => ({ what: a.what, lines: 1 })),
    ...[...plan.waitingFor]
      .sort(([a, x], [b, y]) => y.length - x.length || (a < b ? -1 : 1))
      .map(([factId, lines]) => ({ what: factDef(factId).label, factId, lines: lines.length })),
  ].slice(0, shownAwaited);
  return {
    stands: `${stationName(job.station)}${own.length > 0 ? `, ${closed} of ${own.length} steps` : ''}${gate ? `. Next gate: ${gate.gate}, ${gate.of - gate.proved} of ${gate.of} lines open` : ''}`,
    holds: Object.values(recordsOf<{ waitsFor: string; due?: string; released?: unknown }>(material, 'hold')).filter((h) => !h.released),
    middle: inTheMiddle(material, steps, running),
    provisional: plan.provisional,
    cautions: [...onIt, ...next].flatMap((s) => (s.caution ? [{ title: s.title, caution: s.caution }] : [])).slice(0, shownNext),
    awaited,
    places: placesOf(material),
    next,
    findings: material.records.filter((r) => r.kind === 'finding' && !r.data['settled']).map((r) => String(r.data['what'])),
    asks: asks.filter((a) => a.ask !== 'reading').map(({ what, ask }) => ({ what, ask })),
  };
}
