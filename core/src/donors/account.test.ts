import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { donorAccount, donorEntrySorts } from './index.ts';
import type { DonorEntryRecord } from './index.ts';

const entry = (
  sort: DonorEntryRecord['sort'],
  amount: number | undefined,
  on: string,
): DonorEntryRecord => ({
  sort,
  what: sort,
  on,
  amount,
});

const today = '2026-06-01';
const accountOf = (entries: readonly DonorEntryRecord[]) => donorAccount({ entries, today });

describe('the account of a donor', () => {
  it('says what is still out, and on which day it was earned back', () => {
    const account = accountOf([
      entry('bought', 90_000, '2026-03-01'),
      entry('cost', 12_000, '2026-03-02'),
      entry('issued', 60_000, '2026-03-10'),
      entry('sold', 45_000, '2026-04-04'),
    ]);
    expect(account.steps.map((s) => s.stands)).toEqual([-90_000, -102_000, -42_000, 3_000]);
    expect(account).toMatchObject({
      spent: 102_000,
      back: 105_000,
      evenOn: '2026-04-04',
      unknown: 0,
    });
  });
  it('is not even while something bought later stands against it', () => {
    const entries = [entry('bought', 100, '2026-03-01'), entry('sold', 150, '2026-03-05')];
    expect(accountOf(entries).evenOn).toBe('2026-03-05');
    expect(accountOf([...entries, entry('cost', 80, '2026-03-09')]).evenOn).toBeUndefined();
  });
  it('counts entries without an amount and takes none of them for nothing', () => {
    expect(
      accountOf([entry('bought', undefined, '2026-03-01'), entry('sold', 10, '2026-03-02')]),
    ).toMatchObject({
      unknown: 1,
      spent: 0,
      back: 10,
      evenOn: undefined,
    });
    expect(
      accountOf([
        entry('bought', 100, '2026-03-01'),
        entry('cost', undefined, '2026-03-02'),
        entry('sold', 150, '2026-03-05'),
      ]).evenOn,
    ).toBeUndefined();
  });
  it('ends where back less spent leaves it, in whatever order the entries were written', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            sort: fc.constantFrom(...donorEntrySorts),
            amount: fc.nat(1e6),
            on: fc.integer({ min: 1, max: 28 }).map((d) => `2026-05-${String(d).padStart(2, '0')}`),
            what: fc.constant('x'),
          }),
        ),
        (entries) => {
          const { steps, back, spent, evenOn } = accountOf(entries);
          expect(steps.at(-1)?.stands ?? 0).toBe(back - spent);
          expect([...steps].sort((a, b) => (a.on < b.on ? -1 : a.on > b.on ? 1 : 0))).toEqual(
            steps,
          );
          if (evenOn) expect(back).toBeGreaterThanOrEqual(spent);
        },
      ),
    );
  });
});
