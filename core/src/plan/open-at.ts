import { gatesOfStation } from '../jobs/gates.ts';
import type { GateName } from '../jobs/gates.ts';
import type { StationId } from '../jobs/stations.ts';
import type { WorkStep } from '../jobs/work-step.ts';
import { isOwn } from '../memory/index.ts';
import { isBehind, stands } from '../pull/index.ts';
import { recordsOf } from '../records/index.ts';
import { counted } from '../units/index.ts';
import type { JobMaterial } from './input.ts';
import type { Plan } from './plan.ts';
import { listOfKey } from './step-lists.ts';
import { workSteps } from './steps.ts';

/** One sort of thing that is open at a station, in words. */
export interface OpenThing {
  what: string;
  /** The shut gate it is; signing over it wants a reason. */
  gate?: GateName;
  /** Where it is seen: facts of the job, or the kit; otherwise the station itself. */
  at?: 'facts' | 'kit' | 'own';
}

/** Circuits that are tested, of those that are built or that the plan certainly wants. */
export function circuitCount(
  material: Pick<JobMaterial, 'records'>,
  plan: Pick<Plan, 'circuits'>,
): { tested: number; of: number } {
  const built = Object.values(recordsOf(material, 'circuit'));
  return {
    tested: built.filter((c) => c.tested).length,
    of: Math.max(built.length, plan.circuits.filter((c) => !c.waits).length),
  };
}

/** Behind us, with all the names it wants: what waits for a second signature is not. */
const isSettled = ({ status, key, record }: WorkStep): boolean =>
  isBehind(status) && (record === undefined || stands(listOfKey(key).step, record));

/** What is still open at a station, so that nobody signs it unknowing: its shut gates first, then steps and what is its own. */
export function openAt(station: StationId, material: Pick<JobMaterial, 'records' | 'units'>, plan: Plan): OpenThing[] {
  const donor = material.units.some((u) => u.role === 'donor');
  const all = <K extends Parameters<typeof recordsOf>[1]>(kind: K) => Object.values(recordsOf(material, kind));
  const some = (count: number, one: string, many?: string, more: Omit<OpenThing, 'what'> = {}): OpenThing[] =>
    count > 0 ? [{ what: counted(count, one, many), ...more }] : [];
  const gates = plan.gates
    .filter((g) => gatesOfStation[station].includes(g.gate) && g.of > 0 && !g.opens)
    .map((g) => ({ what: `${g.of - g.proved} of ${counted(g.of, 'line')} before "${g.gate}"`, gate: g.gate }));
  const steps = workSteps(plan, recordsOf(material, 'task'), donor).filter(
    (s) => s.station === station && !isSettled(s),
  );
  const ownOpen = steps.filter((s) => isOwn(s.key)).length;
  const circuits = circuitCount(material, plan);
  const fits = (word: string): number =>
    plan.fits.filter((l) => l.verdict.word === word && !l.resolved && !l.waived).length;
  const own: Readonly<Record<StationId, () => OpenThing[]>> = {
    scope: () => some(plan.waitingFor.size, 'fact still asked for', 'facts still asked for', { at: 'facts' }),
    donor: () =>
      donor ? some(plan.harvest.length - all('part').length, 'part not harvested', 'parts not harvested') : [],
    pull: () => [],
    prep: () => some(all('finding').filter((f) => !f.settled).length, 'finding not settled', 'findings not settled'),
    fit: () => [
      ...some(fits('clash'), 'clash without a way out', 'clashes without a way out'),
      ...some(fits('adapt'), 'place to adapt without a way out', 'places to adapt without a way out'),
      ...some(fits('not-measured'), 'place not measured', 'places not measured'),
    ],
    connect: () =>
      some(circuits.of - circuits.tested, 'circuit not built or not tested', 'circuits not built or not tested'),
    start: () => [
      ...(all('attempt').some((a) => a.result === 'runs') ? [] : [{ what: 'no start on record that ran' }]),
      ...some(all('case').filter((c) => !c.closed).length, 'search for a fault', 'searches for a fault'),
    ],
    'hand-over': () => some(all('follow-up').filter((f) => !f.done).length, 'follow-up'),
  };
  return [
    ...gates,
    ...some(steps.length - ownOpen, 'step open', 'steps open'),
    ...some(ownOpen, 'step of our own open', 'steps of our own open', { at: 'own' }),
    ...own[station](),
  ];
}
