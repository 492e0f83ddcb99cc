import { describe, expect, it } from 'vitest';
import { againstStep, makingSorts, makingState, makingStepKey, makingSteps } from '../index.ts';
import type { MakingStepRecord } from '../index.ts';

const at = (minute: number): string => `2026-03-01T10:${String(minute).padStart(2, '0')}:00.000Z`;
const done = (
  step: string,
  minute: number,
  more: Partial<MakingStepRecord> = {},
): [string, MakingStepRecord] => [
  makingStepKey('m', step),
  { making: 'm', step, times: 1, at: at(minute), byId: 'osk', by: 'Osk Tiller', ...more },
];
const state = (sort: (typeof makingSorts)[number], ...records: [string, MakingStepRecord][]) =>
  makingState('m', { title: 'Mid pipe', sort }, Object.fromEntries(records));

describe('what is being made', () => {
  it.each(makingSorts)(
    '%s: welds only bare metal, and what holds people up only with an approval',
    (sort) => {
      const ids = makingSteps[sort].map((s) => s.id);
      expect(new Set(ids).size).toBe(ids.length);
      const weld = makingSteps[sort].find((s) => s.id.startsWith('weld'));
      // Shields are tied and a printed part is bolted: neither is welded.
      expect(weld === undefined).toBe(['shield', 'first-off'].includes(sort));
      if (weld) {
        expect(ids.indexOf('bare')).toBeLessThan(ids.indexOf(weld.id));
        expect(weld.caution).toBeDefined();
      }
      if (sort === 'structure')
        expect([ids[0], ids.includes('inspect')]).toEqual(['approval', true]);
    },
  );
  it('a step of one id is one step, whatever it belongs to: the book names it by that', () => {
    const titles = new Map<string, string>();
    for (const step of Object.values(makingSteps).flat())
      expect(titles.set(step.id, titles.get(step.id) ?? step.title).get(step.id)).toBe(step.title);
  });
  it('runs from the first step to the last, each after the one before it', () => {
    expect(state('pipe').next!.step.id).toBe('length');
    const begun = state('pipe', done('length', 1), done('flanges', 2));
    expect(begun.next!.step.id).toBe('cut');
    const all = makingSteps.pipe.map((s, i) => done(s.id, i));
    expect(state('pipe', ...all).next).toBeUndefined();
  });
  it('a step that does not stand opens all after it, and one that was done anew asks for them again', () => {
    const all = makingSteps.pipe.map((s, i) => done(s.id, i));
    const cracked = state('pipe', ...all, done('weld', 5, { voided: { why: 'cracked' } }));
    expect(cracked.next!.step.id).toBe('weld');
    expect(cracked.steps.at(-1)).toMatchObject({ done: false, again: true });
    const again = state('pipe', ...all, done('weld', 30));
    expect(again.next!.step.id).toBe('leak');
  });
  it('asks for what a step wants: a reading within its limit, words, a photo, another person', () => {
    const against = (of: ReturnType<typeof state>, step: string, more = {}, who = 'osk') =>
      againstStep(of, { step, ...more }, who);
    const cut = state('pipe', done('length', 1));
    expect(against(cut, 'flanges')).toMatchObject({ field: 'mm' });
    expect(against(cut, 'flanges', { mm: 2 })!.sentence).toContain('Not parallel yet');
    expect(against(cut, 'flanges', { mm: 0.5 })).toBeUndefined();
    expect(against(cut, 'weld', { said: 'Osk' })!.sentence).toBe('First: flanges parallel.');
    expect(against(cut, 'paint')!.sentence).toBe('There is no such step.');
    const structure = makingSteps.structure.slice(0, 5).map((s, i) => done(s.id, i));
    const welded = state('structure', ...structure);
    expect(against(welded, 'inspect', { said: 'roots by lamp' })!.sentence).toBe(
      'Osk Tiller welded it: another person looks it over.',
    );
    expect(against(welded, 'inspect', { said: 'roots by lamp' }, 'jun')).toBeUndefined();
    const guarded = state(
      'structure',
      ...structure,
      done('inspect', 6, { byId: 'jun' }),
      done('guard', 7),
    );
    expect(against(guarded, 'shown')).toMatchObject({ field: 'photo' });
  });
});
