import codes from 'currency-codes';
import { describe, expect, it } from 'vitest';
import { amount, majorOf, minorOf, placesOf } from './money';

describe('money', () => {
  it('divides by the exponent of its currency (ISO 4217, list one)', () => {
    expect(['GBP', 'EUR', 'USD', 'JPY', 'KRW', 'CLP', 'KWD', 'BHD'].map(placesOf)).toEqual([
      2, 2, 2, 0, 0, 0, 3, 3,
    ]);
    expect([amount(1_250, 'GBP'), amount(1_250, 'JPY'), amount(1_250, 'KWD')]).toEqual([
      '12.50',
      '1250',
      '1.250',
    ]);
  });

  it('agrees with a list of the standard, code by code', () => {
    // Metals, funds and codes for tests have no exponent; the package writes 0.
    const money = codes.data.filter(({ code }) => !/^X(?!AF|OF|PF|CD)/.test(code));
    expect(money.length).toBeGreaterThan(150);
    expect(money.filter(({ code, digits }) => placesOf(code) !== digits)).toEqual([]);
  });

  it('has the usual two places under a code that nobody lists', () => {
    expect(amount(5, 'ZZZ')).toBe('0.05');
  });

  it('comes back whole', () => {
    expect(minorOf(0.29, 'GBP')).toBe(29);
    for (const currency of ['GBP', 'JPY', 'KWD'])
      for (const minor of [0, 1, 99, 12_345]) expect(minorOf(majorOf(minor, currency), currency)).toBe(minor);
  });
});
