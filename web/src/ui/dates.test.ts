import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { dayWords, fromToday, sinceWords, today, withDayWords } from './dates.ts';

beforeEach(() => {
  vi.useFakeTimers();
  vi.setSystemTime(new Date(2026, 10, 24, 10, 42));
});
afterEach(() => {
  vi.useRealTimers();
});

describe('dates as people say them', () => {
  it.each([
    ['2026-11-24', 'today'],
    ['2026-11-25', 'tomorrow'],
    ['2026-11-23', 'yesterday'],
    ['2026-11-27', 'in 3 days'],
    ['2026-11-20', '4 days ago'],
  ])('%s is %s', (date, words) => expect(fromToday(date)).toBe(words));
  it('names day and month', () => expect(dayWords('2026-11-26')).toBe('Thu 26 Nov'));
  it('says how long since', () => {
    expect(sinceWords(new Date(2026, 10, 24, 10, 4).toISOString())).toBe('0:38');
    expect(sinceWords(new Date(2026, 10, 21, 10, 4).toISOString())).toBe('3 days');
    expect(sinceWords(new Date(2026, 10, 24, 11, 0).toISOString())).toBe('0:00');
  });
  it('turns dates inside a sentence', () =>
    expect(withDayWords('held: waits for paint, due 2026-11-26')).toBe(
      'held: waits for paint, due Thu 26 Nov',
    ));
  it('knows today', () => expect(today()).toBe('2026-11-24'));
});
