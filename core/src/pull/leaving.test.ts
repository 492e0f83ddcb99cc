import { describe, expect, it } from 'vitest';
import { bookFrom } from '../plan/testing.ts';
import { exitMoves, leavings } from './data/leaving.ts';
import { leavingOf, movesOf, pullSteps } from './index.ts';

describe('how what comes off leaves', () => {
  it('is said of steps that there are, each once', () => {
    const ids = new Set(pullSteps.map((s) => s.id));
    expect(leavings.filter((l) => !ids.has(l.step))).toEqual([]);
    expect(new Set(leavings.map((l) => l.step)).size).toBe(leavings.length);
    expect(leavingOf('donor-rm-propshaft-off')).toEqual(leavingOf('rm-propshaft-off'));
    expect(leavingOf('constructor')).toBeUndefined();
  });
  it('a unit goes out in the moves of its way, and in by the same in the other order', () => {
    for (const [way, moves] of Object.entries(exitMoves)) {
      const facts = bookFrom({ 'rec-install-path': { value: way } });
      expect(movesOf('rm-exit', facts)).toEqual(moves);
      expect(movesOf('ein-unit-in', facts)).toEqual([...moves].reverse());
      expect(movesOf('rm-identify', facts)).toEqual([]);
      for (const { carries } of moves) expect(carries.length).toBeGreaterThan(3);
    }
  });
  it('are not guessed while nobody knows the way', () =>
    expect(movesOf('rm-exit', new Map())).toEqual([]));
});
