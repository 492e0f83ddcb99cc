import { counted } from '@bay/core/units';
import { recordsOf } from '@bay/core/records';
import type { StationId } from '@bay/core/jobs';
import type { Plan } from '@bay/core/plan';
import { provedLines } from '@bay/core/commissioning';
import { countSteps, stepStates } from '@bay/core/pull';
import type { JobSheet } from '@bay/contract/jobs';

/** How much is done at each station, and whether something there waits for somebody. */
export function progressOf(sheet: JobSheet, plan: Plan): Record<StationId, { said: string; waits: boolean }> {
  const count = (kind: string): number => sheet.records.filter((r) => r.kind === kind).length;
  const { closed, of } = countSteps(stepStates(plan.pull, recordsOf(sheet, 'task'), provedLines(plan.gates)).values());
  const clashes = plan.fits.filter((l) => l.verdict.word === 'clash' && !l.resolved).length;
  const judged = plan.fits.filter((l) => l.verdict.word !== 'not-measured').length;
  const circuits = Object.values(recordsOf(sheet, 'circuit'));
  const crank = plan.gates.find((g) => g.gate === 'First crank')!;
  const attempts = count('attempt');
  const openCase = Object.values(recordsOf(sheet, 'case')).some((c) => !c.closed);
  const followUps = Object.values(recordsOf(sheet, 'follow-up')).filter((f) => !f.done).length;
  const signed = (id: StationId): boolean => sheet.job.signedStations.includes(id);
  const say = (id: StationId, said: string, waits = false): { said: string; waits: boolean } =>
    signed(id) ? { said: 'signed', waits: false } : { said, waits };
  return {
    scope: say('scope', `${counted(sheet.facts.length, 'fact')} known`),
    donor: say('donor', `${count('part')} of ${counted(plan.harvest.length, 'part')}`),
    pull: say('pull', `${closed} of ${of}`, plan.pull.contradictions.length > 0),
    prep: say('prep', `${counted(count('sheet'), 'sheet')}, ${counted(count('torque'), 'torque')}`),
    fit: say('fit', clashes > 0 ? `${clashes} to decide` : `${judged} of ${plan.fits.length} judged`, clashes > 0),
    connect: say(
      'connect',
      `${circuits.filter((c) => c.tested).length} of ${Math.max(circuits.length, plan.circuits.filter((c) => !c.waits).length)}`,
    ),
    start: say('start', attempts > 0 ? `attempt ${attempts}` : `gate ${crank.proved} of ${crank.of}`, openCase),
    'hand-over': say('hand-over', followUps > 0 ? `${followUps} follow-ups` : ''),
  };
}
