import { byTime } from '@bay/core/rules';
import { counted } from '@bay/core/units';
import { faults } from '@bay/core/diagnosis';
import { caseStanding, curedBy, shortTitleOf } from '@bay/core/plan';
import type { Plan } from '@bay/core/plan';
import { countSteps, stepStates } from '@bay/core/pull';
import { provedLines } from '@bay/core/commissioning';
import { recordsOf } from '@bay/core/records';
import type { JobHead, Strip } from '@bay/contract/jobs';
import type { Material } from '../plan/material.ts';

/** What holds a job, in plain words, the most serious first. `today` is an ISO date. */
export function stateOf(material: Material, plan: Plan, today: string): Strip['state'] {
  const attempts = Object.values(recordsOf(material, 'attempt')).sort(byTime);
  const last = attempts.at(-1);
  if (last && last.result !== 'runs' && attempts.length >= 3 && attempts.slice(-3).every((a) => a.result !== 'runs')) {
    return {
      kind: 'stop',
      title: 'Stop: three attempts without running',
      sentence: 'Find the fault before the next crank.',
    };
  }
  const search = Object.entries(recordsOf(material, 'case')).find(([, c]) => !c.closed);
  if (search) {
    const [caseId, found] = search;
    const seen = Object.values(recordsOf(material, 'observation')).filter((o) => o.caseId === caseId && !o.withdrawn);
    const cured = curedBy(Object.values(recordsOf(material, 'case')));
    const first = caseStanding(plan, found, seen, { cured }).suspects[0]!;
    const suspect = faults.find((f) => f.id === first.id)?.title ?? 'none of the known faults';
    return {
      kind: 'waits',
      title: `Waits for you: ${found.symptom}`,
      sentence: `${Math.round(first.now * 100)} % ${suspect}`,
    };
  }
  const holds = Object.values(recordsOf(material, 'hold'))
    .filter((h) => !h.released)
    .sort((a, b) => ((a.due ?? '9') < (b.due ?? '9') ? -1 : 1));
  const hold = holds[0];
  if (hold) {
    const late = hold.due !== undefined && hold.due < today;
    const more = holds.length > 1 ? `, and ${counted(holds.length - 1, 'more hold')}` : '';
    return {
      kind: late ? 'waits' : 'held',
      title: late ? 'Waits for you: overdue' : 'Held',
      sentence: `by: ${hold.waitsFor}${hold.due ? `, due ${hold.due}` : ''}${more}`,
    };
  }
  const clashes = plan.fits.filter((l) => l.verdict.word === 'clash' && !l.resolved);
  if (clashes.length > 0)
    return {
      kind: 'waits',
      title: 'Waits for you: choose a way out',
      sentence: `${counted(clashes.length, 'clash', 'clashes')} open: ${clashes
        .slice(0, 2)
        .map((c) => c.def.title)
        .join(', ')}`,
    };
  const open = plan.fits.filter((l) => l.verdict.word === 'not-measured').length;
  return {
    kind: 'free',
    title: 'Held by nothing',
    sentence: open > 0 ? `${counted(open, 'place')} not measured` : 'Every place is judged',
  };
}

/** "trial fit 2: sump clears": where work stands at the job's station, in one clause. */
export function doingOf(job: JobHead, material: Material, plan: Plan): string {
  const tasks = recordsOf(material, 'task');
  switch (job.station) {
    case 'scope':
      return `${counted(plan.waitingFor.size, 'fact')} still asked for`;
    case 'donor':
      return `${Object.keys(recordsOf(material, 'part')).length} of ${counted(plan.harvest.length, 'part')} harvested`;
    case 'pull': {
      const states = [...stepStates(plan.pull, tasks, provedLines(plan.gates))];
      const next = states.find(([, s]) => s.status === 'on-it') ?? states.find(([, s]) => s.status === 'free');
      const { closed, of } = countSteps(states.map(([, s]) => s));
      return `${closed} of ${counted(of, 'step')}${next ? `. Next: ${shortTitleOf(next[0])}` : ''}`;
    }
    case 'prep':
      return `${counted(Object.keys(recordsOf(material, 'sheet')).length, 'sheet')} read, ${counted(Object.keys(recordsOf(material, 'torque')).length, 'torque')} on record`;
    case 'fit': {
      const by = (w: string): number => plan.fits.filter((l) => l.verdict.word === w).length;
      return `${by('bolts-up')} bolt up, ${by('adapt')} to adapt, ${counted(by('clash'), 'clash', 'clashes')}`;
    }
    case 'connect':
      return `${Object.values(recordsOf(material, 'circuit')).filter((c) => c.tested).length} of ${counted(plan.circuits.length, 'circuit')} tested`;
    case 'start': {
      const gate = plan.gates.find((g) => g.gate === 'First crank')!;
      const attempts = Object.keys(recordsOf(material, 'attempt')).length;
      return attempts > 0 ? `attempt ${attempts}` : `first crank ${gate.proved} of ${gate.of}`;
    }
    case 'hand-over':
      return `${counted(Object.values(recordsOf(material, 'follow-up')).filter((f) => !f.done).length, 'follow-up')} open`;
  }
}
