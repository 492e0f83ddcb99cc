import { describe, expect, it } from 'vitest';
import { historyOf } from './history.ts';

const job = (reckoned: number, taken: number) => ({
  reckoned: { pull: reckoned },
  taken: { pull: taken },
});

describe('what closed jobs took beside what was reckoned', () => {
  it('is the middle one of at least three', () => {
    expect(historyOf([job(10, 12), job(10, 15)])).toEqual({});
    expect(historyOf([job(10, 12), job(10, 15), job(20, 80)])).toEqual({
      pull: { jobs: 3, ratio: 1.5 },
    });
    expect(historyOf([job(10, 10), job(10, 12), job(10, 14), job(10, 40)]).pull!.ratio).toBeCloseTo(
      1.3,
    );
  });
  it('does not take a job on which nobody clocked for a fast one', () => {
    expect(historyOf([job(10, 0), job(10, 1), job(10, 12), job(10, 14)])).toEqual({});
    expect(historyOf([job(10, 0), job(10, 10), job(10, 12), job(10, 14)])).toEqual({
      pull: { jobs: 3, ratio: 1.2 },
    });
    expect(historyOf([job(0, 5), job(0, 5), job(0, 5)])).toEqual({});
  });
});
