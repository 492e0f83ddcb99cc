import { describe, expect, it } from 'vitest';
import { limited, turnsOf } from './turns.ts';

describe('a few at a time', () => {
  it('never runs more than allowed, and everybody gets their turn, also after one that failed', async () => {
    const run = limited(2);
    let now = 0;
    let most = 0;
    const work = (fails: boolean) => async (): Promise<number> => {
      now += 1;
      most = Math.max(most, now);
      await new Promise((done) => setImmediate(done));
      now -= 1;
      if (fails) throw new Error('failed');
      return 1;
    };
    const all = await Promise.allSettled(
      Array.from({ length: 9 }, (_, i) => run(work(i % 3 === 0))),
    );
    expect(most).toBe(2);
    expect(all.filter((r) => r.status === 'fulfilled')).toHaveLength(6);
  });

  it('gives a place that comes free to who waits, not to who comes just then', async () => {
    const run = limited(1);
    const order: string[] = [];
    const say = (word: string) => () => Promise.resolve(void order.push(word));
    const first = run(say('first'));
    const second = run(say('second'));
    await first.then(() => run(say('third')));
    await second;
    expect(order).toEqual(['first', 'second', 'third']);
  });
});

describe('each for itself', () => {
  it('one that hangs holds up nobody else', async () => {
    const run = turnsOf(1);
    let free = (): void => undefined;
    const stuck = run('a', () => new Promise<string>((done) => (free = () => done('freed'))));
    const behind = run('a', () => Promise.resolve('behind'));
    expect(await run('b', () => Promise.resolve('elsewhere'))).toBe('elsewhere');
    free();
    expect(await Promise.all([stuck, behind])).toEqual(['freed', 'behind']);
  });
});
