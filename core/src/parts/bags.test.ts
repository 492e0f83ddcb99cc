import { describe, expect, it } from 'vitest';
import { againstTask, stepList } from '../plan/index.ts';
import { planOfRecords } from '../plan/testing.ts';
import type { BagRecord } from './index.ts';
import { bagWantedAt, leftOverOf, refitsOf } from './index.ts';

const bag: BagRecord = { what: 'mount bolts', label: '032', count: 4, step: 'rm-mounts-free' };
const planWith = (...bags: BagRecord[]) =>
  planOfRecords(bags.map((data, i) => ({ kind: 'bag', key: String(i), data })));
const at = '2027-01-01T10:00:00.000Z';

describe('bags of bolts', () => {
  it('are wanted where what came off goes back, or where somebody said', () => {
    expect(refitsOf('rm-mounts-free')).toEqual(['ein-mounts-in']);
    expect(bagWantedAt(bag)).toEqual(['ein-mounts-in']);
    expect(bagWantedAt({ ...bag, goesAt: 'ein-tail-mount' })).toEqual(['ein-tail-mount']);
    expect(bagWantedAt({ what: 'bolts', label: '1' })).toEqual([]);
    expect(refitsOf('constructor')).toEqual([]);
  });
  it('hold the end of that step, and not its beginning, until they are empty', () => {
    const plan = planWith(bag);
    expect(stepList(plan, 'fit', {}).states.get('ein-mounts-in')!.bags).toEqual([
      'bag 032, mount bolts',
    ]);
    const clause = 'bag 032, mount bolts, is still full';
    expect(againstTask(plan, {}, 'ein-mounts-in', 'done').against).toContain(clause);
    expect(againstTask(plan, {}, 'ein-mounts-in', 'on-it').against).not.toContain(clause);
    const empty = planWith({ ...bag, back: { at }, leftOver: 1, leftWhy: 'one is longer' });
    expect(againstTask(empty, {}, 'ein-mounts-in', 'done').against).not.toContain(clause);
  });
  it('hold what comes back by itself the same way', () => {
    const plan = planWith({ what: 'feet', label: '011', step: 'rm-radiator-out' });
    const tasks = { 'rm-radiator-out': { status: 'done' as const, at } };
    expect(againstTask(plan, tasks, 'back-radiator', 'done').against.join()).toMatch(
      /bag 011, feet, is still full|after "/,
    );
  });
  it('that are still full stand against hand over', () => {
    const open = (...bags: BagRecord[]) =>
      planWith(...bags)
        .gates.find((g) => g.gate === 'Hand over')!
        .lines.flatMap((l) => JSON.stringify(l.blockers));
    expect(open(bag).join()).toContain('bag 032 is still full');
    expect(open({ ...bag, back: { at } }).join()).not.toContain('bag 032');
  });
  it('what is left over of them is counted with its reason', () =>
    expect(
      leftOverOf({
        a: { ...bag, back: { at }, leftOver: 2, leftWhy: 'the new arm takes two' },
        b: { ...bag, back: { at } },
        c: { ...bag, leftOver: 2 },
      }),
    ).toEqual([{ label: '032', what: 'mount bolts', left: 2, why: 'the new arm takes two' }]));
});
