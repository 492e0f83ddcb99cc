import { describe, expect, it } from 'vitest';
import { difficultyOf } from './difficulty.ts';

const counts = { 'bolts-up': 20, adapt: 6, clash: 0, 'not-measured': 3 };

describe('how hard a pair is', () => {
  it('is known ground only where the pair itself was done and nothing clashes or is unread', () => {
    expect(difficultyOf(counts, ['engine-and-car'])).toMatchObject({
      word: 'known-ground',
      pairing: 'done-here',
      follows: '',
    });
    expect(difficultyOf({ ...counts, clash: 1 }, ['engine-and-car']).word).toBe('usual');
    expect(difficultyOf({ ...counts, 'not-measured': 60 }, ['engine-and-car']).word).toBe('usual');
  });
  it('never takes a near pair for the pair', () => {
    expect(difficultyOf(counts, ['engine', 'car'])).toMatchObject({
      word: 'usual',
      pairing: 'near-pair',
    });
    expect(difficultyOf(counts, ['engine']).why[1]).toBe(
      'the engine is known here, the car is new here, the two together are new',
    );
  });
  it('is hard where three places clash, or one where all is new, or most is not measured', () => {
    expect(difficultyOf({ ...counts, clash: 3 }, ['engine-and-car']).word).toBe('hard');
    expect(difficultyOf({ ...counts, clash: 1 }, [])).toMatchObject({
      word: 'hard',
      pairing: 'first-here',
    });
    expect(difficultyOf({ ...counts, 'not-measured': 60 }, []).word).toBe('hard');
    expect(difficultyOf(counts, []).word).toBe('usual');
  });
});
