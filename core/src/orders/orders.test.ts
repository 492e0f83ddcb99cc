import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  againstGiving,
  againstReceiving,
  againstReturning,
  byUrgency,
  daysUntil,
  inShop,
  kitStatusOf,
  orderWord,
  shareOut,
  toCome,
  toGive,
} from './index.ts';
import type { OrderLine, OrderTimes } from './index.ts';

const line = (more: Partial<OrderLine> = {}): OrderLine => ({
  id: 'l',
  title: 'Bell bolts',
  count: 6,
  came: 0,
  wrong: 0,
  sentBack: 0,
  cancelled: false,
  owed: 0,
  given: 0,
  owedBy: null,
  ...more,
});
const order = (promisedOn: string | null, ...lines: OrderLine[]): OrderTimes => ({
  orderedOn: '2026-11-01',
  promisedOn,
  lines,
});
const today = '2026-11-28';

describe('where an order stands', () => {
  it.each([
    ['late', order('2026-11-27', line())],
    ['late', order('2026-11-27', line({ came: 5 }))],
    ['due', order('2026-11-28', line())],
    ['undated', order(null, line())],
    ['part-here', order('2026-12-01', line({ came: 6 }), line())],
    ['here', order('2026-11-01', line({ came: 6 }))],
    ['owes', order('2026-11-01', line({ came: 6, owed: 6, owedBy: '2026-11-28' }))],
    ['owes-late', order('2026-11-01', line({ came: 6, owed: 6, given: 5, owedBy: '2026-11-27' }))],
    ['here', order('2026-11-01', line({ came: 6, owed: 6, given: 6, owedBy: '2026-11-27' }))],
    ['here', order('2026-11-01', line({ came: 6 }), line({ cancelled: true }))],
    ['cancelled', order('2026-11-01', line({ cancelled: true }))],
    // What came wrong has not come.
    ['late', order('2026-11-27', line({ wrong: 6 }))],
  ] as const)('%s', (word, of) => expect(orderWord(of, today)).toBe(word));

  it('late ones first, then by their day, those without one behind, what is here last', () => {
    const all = [
      order('2026-10-01', line({ came: 6 })),
      order(null, line()),
      order('2026-12-05', line()),
      order('2026-12-01', line({ came: 1 })),
      order('2026-11-20', line()),
    ];
    expect([...all].sort(byUrgency(today))).toEqual([all[4], all[3], all[2], all[1], all[0]]);
  });
});

describe('what comes and what goes back', () => {
  it('more than is to come cannot come, more than is here cannot go back', () => {
    expect(againstReceiving(line({ came: 4 }), 3, 0)).toBe(
      'Only 2 of Bell bolts are still to come.',
    );
    expect(againstReceiving(line(), 0, 0)).toBe('Say how many came.');
    expect(againstReceiving(line(), 1.5, 0)).toBe('Pieces are counted whole.');
    expect(againstReceiving(line({ cancelled: true }), 1, 0)).toBe('Bell bolts was cancelled.');
    expect(againstReturning(line(), 1)).toBe('Nothing of Bell bolts is here.');
    expect(againstReturning(line({ came: 2 }), 3)).toBe('Only 2 of Bell bolts are here.');
  });

  it('nothing appears and nothing is lost, whatever comes and goes (property)', () =>
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            act: fc.constantFrom('came', 'wrong', 'back'),
            n: fc.integer({ min: -1, max: 8 }),
          }),
          { maxLength: 30 },
        ),
        (acts) => {
          let now = line();
          for (const { act, n } of acts) {
            if (act === 'came' && !againstReceiving(now, n, 0))
              now = { ...now, came: now.came + n };
            if (act === 'wrong' && !againstReceiving(now, 0, n))
              now = { ...now, wrong: now.wrong + n };
            if (act === 'back' && !againstReturning(now, n))
              now = { ...now, sentBack: now.sentBack + n };
            expect(now.came).toBeLessThanOrEqual(now.count);
            expect(inShop(now)).toBeGreaterThanOrEqual(0);
            expect(toCome(now) + now.came).toBe(now.count);
          }
        },
      ),
      { seed: 12 },
    ));

  it('the kit line follows: ordered until all came right, here, sent back when none is kept', () => {
    expect(kitStatusOf(line({ came: 5 }))).toBe('ordered');
    expect(kitStatusOf(line({ wrong: 6 }))).toBe('ordered');
    expect(kitStatusOf(line({ came: 6 }))).toBe('here');
    expect(kitStatusOf(line({ came: 6, wrong: 2, sentBack: 2 }))).toBe('here');
    expect(kitStatusOf(line({ came: 6, sentBack: 6 }))).toBe('sent-back');
    expect(kitStatusOf(line({ cancelled: true }))).toBe('wanted');
    // Some came and the rest does not: it is not all here.
    expect(kitStatusOf(line({ cancelled: true, came: 4 }))).toBe('wanted');
    expect(kitStatusOf(line({ cancelled: true, came: 6 }))).toBe('here');
  });
  it('days are counted over the change of the month and of the clock', () => {
    expect(daysUntil('2026-12-01', today)).toBe(3);
    expect(daysUntil('2026-11-27', today)).toBe(-1);
    expect(daysUntil('2027-04-01', '2027-03-01')).toBe(31);
  });
  it('freight is shared out by lines, to the last smallest unit (property)', () =>
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 1e9 }),
        fc.array(fc.constantFrom('a', 'b', 'c', 'd'), { minLength: 1, maxLength: 20 }),
        (amount, lines) => {
          const shares = shareOut(amount, lines);
          expect([...shares.values()].reduce((sum, s) => sum + s, 0)).toBe(amount);
          for (const [id, share] of shares) {
            const exact = (amount * lines.filter((l) => l === id).length) / lines.length;
            expect(Math.abs(share - exact)).toBeLessThanOrEqual(1);
          }
        },
      ),
      { seed: 12 },
    ));
});

describe('what the shop owes back', () => {
  it('is nothing before it came, and no more than came and stayed', () => {
    expect(toGive(line({ owed: 6 }))).toBe(0);
    expect(toGive(line({ owed: 6, came: 2 }))).toBe(2);
    expect(toGive(line({ owed: 6, came: 6, sentBack: 1, given: 2 }))).toBe(3);
  });
  it('never goes back twice', () => {
    fc.assert(
      fc.property(fc.nat(9), fc.nat(9), fc.nat(9), (came, given, count) => {
        const one = line({ count: 9, owed: 9, came, given: Math.min(given, came) });
        const against = againstGiving(one, count);
        expect(against === undefined).toBe(count > 0 && count <= came - one.given);
      }),
    );
    expect(againstGiving(line({ owed: 6 }), 1)).toBe('Nothing is owed back for Bell bolts.');
  });
});
