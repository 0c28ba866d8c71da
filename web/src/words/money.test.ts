import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { CURRENCIES, currencyFrom, EURO, moneySign, moneyText } from './money';

describe('money', () => {
  test('stands behind its figure, in the currency on show', () => {
    expect(moneyText(EURO, 34.6)).toBe('35 €');
    expect(moneyText(EURO, 3.5, 2)).toBe('3.50 €');
    expect(moneyText({ code: 'USD', rate: 1.1 }, 100)).toBe('110 $');
    expect(moneyText({ code: 'SEK', rate: 11.5 }, 2, 1)).toBe('23.0 kr');
    expect(moneyText(EURO, -12)).toBe('−12 €');
    expect(moneyText(EURO, -0.02)).toBe('0 €');
    expect(moneyText(EURO, 3.5)).toBe('3.5 €');
    expect(moneyText(EURO, 9.96)).toBe('10 €');
    expect(moneyText(EURO, 4)).toBe('4 €');
  });
  test('every currency has a sign, and comes back from where it was kept', () => {
    for (const code of CURRENCIES) expect(moneySign({ code, rate: 1 })).not.toBe('');
    fc.assert(
      fc.property(
        fc.constantFrom(...CURRENCIES.slice(1)),
        fc.double({ min: 0.001, max: 9000, noNaN: true }),
        (code, rate) => {
          expect(currencyFrom(JSON.parse(JSON.stringify({ code, rate })))).toEqual({ code, rate });
        },
      ),
    );
  });
  test.each([
    null,
    7,
    'USD',
    {},
    { code: 'XXX', rate: 2 },
    { code: 'USD' },
    { code: 'USD', rate: 0 },
    { code: 'USD', rate: -1 },
    { code: 'EUR', rate: 5 },
  ])('what does not read as a currency is euros: %j', (kept) => expect(currencyFrom(kept)).toEqual(EURO));
});
