import { counted } from '@bay/core/units';
import { circuitCount, firstSuspect, holdingOf, holdingWords, shortTitleOf, stepList } from '@bay/core/plan';
import type { Holding, Plan } from '@bay/core/plan';
import { countSteps } from '@bay/core/pull';
import { recordsOf } from '@bay/core/records';
import type { JobHead, Strip } from '@bay/contract/jobs';
import type { Material } from '../plan/material.ts';

const kinds: Readonly<Record<Holding['sort'], Strip['state']['kind']>> = {
  attempts: 'stop',
  case: 'waits',
  hold: 'held',
  clash: 'waits',
  ask: 'waits',
};

/** What holds a job, in plain words, the most serious first. `today` is an ISO date. */
export function stateOf(material: Material, plan: Plan, today: string): Strip['state'] {
  const holding = holdingOf(material, plan, today, firstSuspect);
  const first = holding[0];
  if (first) {
    const { title, sentence } = holdingWords(first);
    const more = first.sort === 'hold' ? holding.filter((h) => h.sort === 'hold').length - 1 : 0;
    return {
      kind: first.sort === 'hold' && first.late ? 'waits' : kinds[first.sort],
      title,
      sentence: more > 0 ? `${sentence}, and ${counted(more, 'more hold')}` : sentence,
    };
  }
  const open = plan.fits.filter((l) => l.verdict.word === 'not-measured').length;
  return {
    kind: 'free',
    title: 'Nothing holds it',
    sentence: open > 0 ? `${counted(open, 'place')} not measured` : 'Every place is judged',
  };
}

/** The days on which something comes that the job waits for, and the last on which something that was bought may go back. */
export const dueOf = (material: Material): Strip['due'] =>
  [
    ...Object.values(recordsOf(material, 'hold')).flatMap((h) =>
      h.due && !h.released ? [{ on: h.due, what: h.waitsFor }] : [],
    ),
    ...Object.values(recordsOf(material, 'purchase')).flatMap((p) =>
      p.returnBy && !p.settled ? [{ on: p.returnBy, what: `last day to send the ${p.of} back` }] : [],
    ),
  ].sort((a, b) => (a.on < b.on ? -1 : 1));

/** "trial fit 2: sump clears": where work stands at the job's station, in one clause. */
export function doingOf(job: JobHead, material: Material, plan: Plan): string {
  const tasks = recordsOf(material, 'task');
  switch (job.station) {
    case 'scope':
      return `${counted(plan.waitingFor.size, 'fact')} still asked for`;
    case 'donor':
      return `${Object.keys(recordsOf(material, 'part')).length} of ${counted(plan.harvest.length, 'part')} harvested`;
    case 'pull': {
      const states = [...stepList(plan, 'pull', tasks).states];
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
    case 'connect': {
      const { tested, of } = circuitCount(material, plan);
      return `${tested} of ${counted(of, 'circuit')} tested`;
    }
    case 'start': {
      const gate = plan.gates.find((g) => g.gate === 'First crank')!;
      const attempts = Object.keys(recordsOf(material, 'attempt')).length;
      return attempts > 0 ? `attempt ${attempts}` : `first crank ${gate.proved} of ${gate.of}`;
    }
    case 'hand-over':
      return `${counted(Object.values(recordsOf(material, 'follow-up')).filter((f) => !f.done).length, 'follow-up')} open`;
  }
}
