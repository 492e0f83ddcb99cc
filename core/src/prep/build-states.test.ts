import { describe, expect, it } from 'vitest';
import { buildStates, buildSteps } from './index.ts';

const at = (tasks: Parameters<typeof buildStates>[0], id: string) =>
  buildStates(tasks).find((s) => s.id === id)!;
const done = { status: 'done' as const };

describe('the steps of building up', () => {
  it('are all there, each once, none before what it waits for', () => {
    const order = buildStates({}).map((s) => s.id);
    expect([...order].sort()).toEqual(buildSteps.map((s) => s.id).sort());
    for (const step of buildSteps) {
      for (const first of step.after.filter((a) => !a.startsWith('~') && order.includes(a)))
        expect(order.indexOf(first), `${first} before ${step.id}`).toBeLessThan(
          order.indexOf(step.id),
        );
    }
  });
  it('are held by what is open, and free when it is done or not needed', () => {
    expect(at({}, 'bld-crank')).toMatchObject({ status: 'held' });
    const before = at({}, 'bld-crank').heldBy;
    expect(before).toEqual(expect.arrayContaining(['bld-lube', 'bld-chase']));
    const open = Object.fromEntries(before.map((id) => [id, done]));
    expect(at(open, 'bld-crank')).toMatchObject({ status: 'free', heldBy: [] });
    const waived = { ...open, [before[0]!]: { status: 'waived' as const } };
    expect(at(waived, 'bld-crank').status).toBe('free');
  });
  it('that somebody is on stay so, whatever is open before them', () =>
    expect(at({ 'bld-crank': { status: 'on-it' } }, 'bld-crank')).toMatchObject({
      status: 'on-it',
      heldBy: expect.arrayContaining(['bld-lube']) as string[],
    }));
});
