import { describe, expect, it } from 'vitest';
import { finishDay } from './workdays.ts';

// 2026-11-27 is a Friday: by the Gregorian calendar.
describe('the day on which work is done', () => {
  it.each([
    [0, 8, '2026-11-27', '2026-11-27'],
    [480, 8, '2026-11-27', '2026-11-27'],
    [481, 8, '2026-11-27', '2026-11-30'],
    [60, 8, '2026-11-28', '2026-11-30'],
    [5 * 480, 8, '2026-11-23', '2026-11-27'],
    [600, 4, '2026-11-26', '2026-11-30'],
  ])('%d minutes at %d h a day from %s on: %s', (minutes, hours, today, on) =>
    expect(finishDay(minutes, hours, today)).toBe(on),
  );
  it('refuses a day without hours, and work of years', () => {
    for (const hours of [0, -1, Number.NaN])
      expect(() => finishDay(60, hours, '2026-11-27')).toThrow(RangeError);
    expect(() => finishDay(60 * 20_000, 1, '2026-11-27')).toThrow(RangeError);
  });
});
