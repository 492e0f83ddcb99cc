import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { currencies, decimalsOf, isCurrency, readMoney, showMoney, typedMoney } from './index.ts';

describe('amounts of money', () => {
  it.each([
    // Decimals of ISO 4217, from memory.
    ['EUR', 2],
    ['USD', 2],
    ['JPY', 0],
    ['KWD', 3],
    ['XXX', 2],
  ] as const)('%s has %i decimals', (code, decimals) => expect(decimalsOf(code)).toBe(decimals));
  it.each([
    ['1250', 'EUR', 125000],
    ['1250.5', 'EUR', 125050],
    ['1,250.50', 'EUR', 125050],
    ['1.250,50', 'EUR', 125050],
    ['1 250,50', 'EUR', 125050],
    ['1,250', 'EUR', 125000],
    ['1.250', 'EUR', 125000],
    ['1,250,000', 'EUR', 125000000],
    ['12.5', 'EUR', 1250],
    ['0', 'EUR', 0],
    ['0.07', 'EUR', 7],
    ['19.99', 'EUR', 1999],
    ['1250', 'JPY', 1250],
    ['1,250', 'JPY', 1250],
    ["1'250", 'XXX', 125000],
  ])('%s in %s is %i', (typed, currency, amount) =>
    expect(readMoney(typed, currency)).toEqual({ ok: true, amount }),
  );
  it.each([
    ['', 'EUR'],
    ['-5', 'EUR'],
    ['5.-', 'EUR'],
    ['5.', 'EUR'],
    ['about 5', 'EUR'],
    ['1,25,000', 'EUR'],
    ['1.250.5', 'EUR'],
    ['1,250.50.1', 'EUR'],
    ['1.2345', 'EUR'],
    ['12.5', 'JPY'],
    ['1e5', 'EUR'],
    ['123456789012', 'EUR'],
  ])('"%s" in %s is refused with a sentence', (typed, currency) =>
    expect(readMoney(typed, currency)).toMatchObject({
      ok: false,
      sentence: expect.stringMatching(/\.$/) as string,
    }),
  );
  it('what is shown or typed again reads as the same amount', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 999_999_999 }),
        fc.constantFrom('EUR', 'JPY', 'KWD', 'XXX'),
        (amount, code) => {
          expect(readMoney(typedMoney(amount, code), code)).toEqual({ ok: true, amount });
          expect(readMoney(showMoney(amount, code).replace(/ [A-Z]+$/, ''), code)).toEqual({
            ok: true,
            amount,
          });
        },
      ),
    );
  });
  it('knows codes from words', () => {
    expect(currencies.length).toBeGreaterThan(100);
    expect(isCurrency('EUR') && isCurrency('XXX')).toBe(true);
    expect(isCurrency('EURO') || isCurrency('ZZZ')).toBe(false);
  });
});
