import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { decimalSign, priceIn, sizeIn, unitIn } from './listFigures';

describe('the sign before the decimals', () => {
  it('is told by a price that can be read in one way only', () => {
    expect(decimalSign(['14,00', '9,50'])).toEqual({ sign: ',' });
    expect(decimalSign(['1,450.00', '3'])).toEqual({ sign: '.' });
    expect(decimalSign(['1.450,00'])).toEqual({ sign: ',' });
    expect(decimalSign(['1.234.567'])).toEqual({ sign: ',' });
    expect(decimalSign(['£4.5', '1,450'])).toEqual({ sign: '.' });
    expect(decimalSign(['12', '8', 'on request'])).toEqual({ sign: '.' });
  });

  it('is asked about where one thousand four hundred may be one and four tenths, and where two prices contradict', () => {
    expect(decimalSign(['1,400', '2,750', '12'])).toEqual({ open: ['1,400', '2,750'] });
    expect(decimalSign(['14,00', '9.50'])).toEqual({ open: ['9.50', '14,00'] });
  });

  it('never takes a column that was written in one way for the other', () => {
    const price = fc
      .tuple(fc.nat(9_999_999), fc.constantFrom('.', ','))
      .chain(([minor, sign]) =>
        fc.record({ minor: fc.constant(minor), sign: fc.constant(sign as '.' | ',') }),
      );
    fc.assert(
      fc.property(price, ({ minor, sign }) => {
        const written = new Intl.NumberFormat(sign === '.' ? 'en-GB' : 'de-DE', { minimumFractionDigits: 2 }).format(minor / 100); // prettier-ignore
        expect(decimalSign([written])).toEqual({ sign });
        expect(priceIn(written, sign, 'GBP')).toBe(minor);
      }),
    );
  });
});

describe('a price', () => {
  it.each([
    ['12.50', '.', 1_250],
    ['£ 12.5', '.', 1_250],
    ['12,50 GBP', ',', 1_250],
    ['1 450,00', ',', 145_000],
    ["1'450.00", '.', 145_000],
    ['1,450', '.', 145_000],
    ['1,450', ',', 145],
    ['0.5000', '.', 50],
    ['7,-', '.', 700],
  ] as const)('“%s” with “%s” before its decimals is %i pence', (cell, sign, minor) =>
    expect(priceIn(cell, sign, 'GBP')).toBe(minor),
  );

  it.each([
    ['14,00', '.', /cannot be read with “\.”/],
    ['1,4,50', '.', /cannot be read/],
    ['12,50 €', ',', /in EUR, the studio pays in GBP/],
    ['0.125', '.', /more decimals than GBP/],
    ['=1+1', '.', /must be a figure/],
    ['on request', '.', /“on request”, must be a figure/],
    ['-4', '.', /must be a figure/],
    ['', '.', /must be a figure/],
  ] as const)('“%s” is none with “%s”, and says why', (cell, sign, says) =>
    expect(priceIn(cell, sign, 'GBP')).toMatchObject({ wrong: expect.stringMatching(says) }),
  );
});

describe('what a pack holds', () => {
  it('stands in its words', () => {
    expect(sizeIn('Soil, fine, 9 L')).toEqual({ size: 9, unit: 'L' });
    expect(sizeIn('Gravel 2-3 mm 25kg')).toEqual({ size: 25, unit: 'kg' });
    expect(sizeIn('Conditioner 0,5 litre')).toEqual({ size: 0.5, unit: 'L' });
    expect(sizeIn('Ties (20 pcs)')).toEqual({ size: 20, unit: 'piece' });
    expect(sizeIn('Eleocharis pusilla, in vitro')).toBeUndefined();
  });

  it('has the units that lists are written in', () => {
    expect(['Ltr', 'KG', 'pcs.', 'ml', 'ea'].map(unitIn)).toEqual(['L', 'kg', 'piece', 'mL', 'piece']);
    expect(unitIn('pallet')).toBeUndefined();
  });
});
