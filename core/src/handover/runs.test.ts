import { describe, expect, it } from 'vitest';
import { dryPressureHpa, saturationHpa } from '../sums/index.ts';
import { basisWords, notRunAfter, runsBeforeAfter } from './runs.ts';
import type { RunRecord } from './records.ts';

const run = (over: Partial<RunRecord>): RunRecord => ({
  when: 'before',
  sort: 'rollers',
  on: '2026-11-20',
  taken: 'wheels',
  burns: 'spark',
  powerKw: 100,
  note: '',
  ...over,
});
const standard = { airC: 25, barometerHpa: 990, humidity: 0 };

describe('vapour in the air', () => {
  // Saturation pressures of water, steam tables (handbook values from memory): 0 °C 6.11, 20 °C 23.39, 25 °C 31.69, 35 °C 56.3 hPa.
  it.each([
    [0, 6.11],
    [20, 23.39],
    [25, 31.69],
    [35, 56.3],
  ])('at %d °C it is within 0.5 %% of the steam tables', (airC, hPa) => {
    expect(Math.abs(saturationHpa(airC) - hPa) / hPa).toBeLessThan(0.005);
  });
  it('is taken from the barometer by its share', () => {
    expect(dryPressureHpa(1013, 25, 50)).toBeCloseTo(1013 - 31.69 / 2, 1);
    expect(() => dryPressureHpa(1013, 25, 130)).toThrow(/between 0 and 100/);
    expect(() => saturationHpa(80)).toThrow(/between -40 and 60/);
  });
});

describe('runs before and after', () => {
  it('are corrected by the standard, with its sum: 960 hPa dry and 35 °C give 1.0571 (SAE J1349, memory)', () => {
    const [basis] = runsBeforeAfter({ a: run({ airC: 35, barometerHpa: 960, humidity: 0 }) });
    expect(basis!.before!.results[0]).toMatchObject({
      factor: expect.closeTo(1.0571, 4) as number,
    });
    expect(basis!.before!.best).toBeCloseTo(105.71, 2);
    expect(basis!.before!.results[0]!.said).toContain('1.180 (990 / 960.0)');
  });

  it('standard air changes nothing', () => {
    const [basis] = runsBeforeAfter({ a: run(standard) });
    expect(basis!.before!.results[0]!.factor).toBeCloseTo(1, 4);
  });

  it('are never held against another place, another length, or a figure that was not corrected', () => {
    const bases = runsBeforeAfter({
      a: run(standard),
      b: run({ ...standard, when: 'after', taken: 'crank', powerKw: 500 }),
      c: run({ when: 'after', powerKw: 140 }),
      d: run({ sort: 'timed', distanceM: 201, seconds: 11.91, powerKw: undefined }),
      e: run({ sort: 'timed', when: 'after', distanceM: 402, seconds: 13, powerKw: undefined }),
    });
    expect(bases).toHaveLength(5);
    expect(bases.every((b) => !b.before || !b.after)).toBe(true);
    expect(notRunAfter({ a: run(standard), c: run({ when: 'after', powerKw: 140 }) })).toEqual([
      'Run before at the wheels, corrected, and none after.',
    ]);
  });

  it('a diesel, and air that was not read or is beyond the standard, are left as read and say so', () => {
    const said = (over: Partial<RunRecord>): string =>
      runsBeforeAfter({ a: run(over) })[0]!.before!.results[0]!.said;
    expect(said({ ...standard, burns: 'diesel' })).toMatch(/^as read: the formula .* diesels/);
    expect(said({ airC: 20, barometerHpa: 1000 })).toMatch(/humidity was not written/);
    // High in the mountains: 1.180 (990/740) sqrt(293/298) - 0.18 = 1.385.
    expect(said({ airC: 20, barometerHpa: 740, humidity: 0 })).toMatch(/not to be relied on/);
  });

  it('say the change of the mean, and how far it is to be trusted', () => {
    const three = (when: RunRecord['when'], kw: readonly number[]) =>
      Object.fromEntries(
        kw.map((powerKw, i) => [`${when}${i}`, run({ ...standard, when, powerKw })]),
      );
    const words = (before: readonly number[], after: readonly number[]): string =>
      basisWords(runsBeforeAfter({ ...three('before', before), ...three('after', after) })[0]!);
    expect(words([80, 80.5, 81], [120, 121, 122])).toBe(
      'At the wheels, corrected: 80.5 to 121.0 kW, +50.3 %.',
    );
    expect(words([80], [100, 101, 110])).toMatch(
      /before, 1 of 3 runs; after, runs differ by 9\.1 %/,
    );
  });

  it('by the clock the least is best', () => {
    const timed = (seconds: number) =>
      run({ sort: 'timed', distanceM: 201, seconds, powerKw: undefined });
    expect(runsBeforeAfter({ a: timed(12.4), b: timed(11.91) })[0]!.before).toMatchObject({
      best: 11.91,
      count: 2,
    });
  });

  it('one that was taken back counts nowhere', () => {
    expect(runsBeforeAfter({ a: run({ removed: true }) })).toEqual([]);
    expect(notRunAfter({ a: run({ removed: true }) })).toEqual([]);
  });
});
