import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { hoursBy, hoursOf, hoursSummary, looksForgotten } from './index.ts';
import type { HoursLine, Stint } from './index.ts';

const now = '2026-11-26T12:00:00.000Z';
const stint = (over: Partial<Stint> = {}): Stint => ({
  about: 'rm-bell-bolts',
  title: 'Bell bolts',
  station: 'pull',
  person: 'OT',
  work: 'work',
  estimate: [30, 60],
  startedAt: '2026-11-26T09:00:00.000Z',
  endedAt: '2026-11-26T09:45:00.000Z',
  ...over,
});
const day = (iso: string) => iso.slice(0, 10);

describe('hours', () => {
  it('are counted to now while a clock runs, and never below zero', () => {
    expect(hoursOf(stint(), now)).toBe(0.75);
    expect(hoursOf(stint({ endedAt: null }), now)).toBe(3);
    expect(hoursOf(stint({ startedAt: '2026-11-26T13:00:00.000Z', endedAt: null }), now)).toBe(0);
  });
  it.each([
    ['09:20', 'under'],
    ['09:30', 'inside'],
    ['10:00', 'inside'],
    ['10:01', 'over'],
  ])('ended at %s are %s the estimate', (at, word) =>
    expect(
      hoursBy([stint({ endedAt: `2026-11-26T${at}:00.000Z` })], (s) => s.title, now)[0]!.word,
    ).toBe(word),
  );
  it('count the estimate of a step once, however many sat at it', () => {
    const [line] = hoursBy(
      [stint(), stint({ person: 'DP' }), stint({ about: 'rm-chock', estimate: [10, 20] })],
      (s) => s.station,
      now,
    );
    expect(line).toMatchObject({ hours: 2.25, estimate: [40 / 60, 80 / 60], word: 'over' });
  });
  it('tell rework apart, and say when there was no estimate', () => {
    const lines = hoursBy(
      [stint({ work: 'rework', estimate: null }), stint({ person: 'DP', estimate: null })],
      (s) => s.person,
      now,
    );
    expect(lines.map((l) => [l.name, l.rework, l.word])).toEqual([
      ['DP', 0, 'no-estimate'],
      ['OT', 0.75, 'no-estimate'],
    ]);
  });
  it('add up to the same, however they are sorted into groups (property)', () => {
    const some = fc.array(
      fc.record({
        person: fc.constantFrom('OT', 'DP', 'JV'),
        station: fc.constantFrom('pull', 'fit'),
        minutes: fc.integer({ min: 0, max: 600 }),
      }),
    );
    fc.assert(
      fc.property(some, (list) => {
        const stints = list.map((s) =>
          stint({
            ...s,
            endedAt: new Date(Date.parse(stint().startedAt) + s.minutes * 60_000).toISOString(),
          }),
        );
        const sum = (by: (s: Stint) => string) =>
          hoursBy(stints, by, now).reduce((h, l) => h + l.hours, 0);
        const all = list.reduce((m, s) => m + s.minutes, 0) / 60;
        return [sum((s) => s.person), sum((s) => s.station), sum(() => 'all')].every(
          (h) => Math.abs(h - all) < 1e-9,
        );
      }),
    );
  });
});

describe('a clock that was forgotten', () => {
  it.each([
    ['2026-11-26T03:00:00.000Z', false],
    ['2026-11-26T01:59:00.000Z', true],
    ['2026-11-25T23:30:00.000Z', true],
  ])('started %s: %s', (startedAt, forgotten) =>
    expect(looksForgotten(startedAt, now, day)).toBe(forgotten),
  );
});

describe('the hours in a sentence', () => {
  const line = (name: string, hours: number, estimate?: [number, number]): HoursLine => ({
    name,
    hours,
    rework: 0,
    ...(estimate ? { estimate } : {}),
    word: !estimate
      ? 'no-estimate'
      : hours > estimate[1]
        ? 'over'
        : hours < estimate[0]
          ? 'under'
          : 'inside',
  });
  it.each([
    [[line('a', 2)], 'Nothing of this had an estimate.'],
    [[line('a', 2, [1, 3]), line('b', 9)], 'None of 1 is over its estimate.'],
    [
      [line('a', 4, [1, 3]), line('b', 8, [1, 2]), line('c', 1, [1, 2])],
      '2 of 3 over the estimate; most over: b, by 6.0 h.',
    ],
  ])('%#', (lines, sentence) => expect(hoursSummary(lines)).toBe(sentence));
});
