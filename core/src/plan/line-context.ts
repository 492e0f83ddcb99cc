import { interfaces } from '../fit/data/interfaces.ts';
import type { LineContext, Thing } from '../logbook/index.ts';
import { linkState } from '../parts/index.ts';
import { recordsOf } from '../records/index.ts';
import type { JobMaterial } from './input.ts';
import type { Plan } from './plan.ts';
import { workSteps } from './steps.ts';

/** What the words of a log line are looked up among on this job. */
export function lineContextOf(
  material: Pick<JobMaterial, 'records' | 'units'>,
  plan: Plan,
  people: LineContext['people'],
  today: string,
): LineContext {
  const tasks = recordsOf(material, 'task');
  const donor = material.units.some((u) => u.role === 'donor');
  return {
    today,
    people,
    steps: workSteps(plan, tasks, donor).map(({ key, title, status }) => ({ key, title, status })),
    parts: Object.entries(recordsOf(material, 'part')).map(([key, p]) => ({ key, title: p.title, label: p.label })),
    circuits: Object.entries(recordsOf(material, 'circuit')).map(([key, c]) => ({ key, title: c.title })),
    links: Object.entries(recordsOf(material, 'link'))
      .filter(([, l]) => ['holds', 'off'].includes(linkState(l)))
      .map(([key, l]) => ({ key, title: l.name, label: l.label ?? '' })),
    joints: Object.values(recordsOf(material, 'joint')).map(({ name }) => ({ key: name, title: name })),
    provisional: plan.provisional.filter((p) => p.from === 'person').map((p) => ({ key: p.key, title: p.title })),
  };
}

/** The things a line may belong to: open steps, parts, circuits, and places where car and engine meet. */
export const thingsOf = (context: LineContext): Thing[] => [
  ...context.steps
    .filter((s) => s.status !== 'done' && s.status !== 'waived')
    .map(({ key, title }): Thing => ({ key, title, sort: 'step' })),
  ...context.parts.map(({ key, title }): Thing => ({ key, title, sort: 'part' })),
  ...context.circuits.map(({ key, title }): Thing => ({ key, title, sort: 'circuit' })),
  ...interfaces.map(({ id, title }): Thing => ({ key: id, title, sort: 'interface' })),
];
