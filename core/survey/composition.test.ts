import { describe, expect, it } from 'vitest';
import { job, stone } from '../testing/job';

describe('what is noticed of a composition', () => {
  const of = (...at: [number, number][]) =>
    job({ option: { pieces: at.map((xy, i) => stone({ id: `S-${i}`, at: xy, shape: { kind: 'box', sizeMm: [120, 90, 200] }, stand: { kind: 'floor', pad: 5 } })) } }).survey.composition; // prettier-ignore

  it('is stone count, height of the tallest, open floor and how even its sides are', () => {
    // In 600 × 360 × 400 mm: 205 of 400 mm high; 2 × 120 × 90 of 216,000 mm² covered.
    const two = of([150, 180], [450, 180]);
    expect(two).toMatchObject({ stones: 2, evenness: 1 });
    expect(two.tallestShare).toBeCloseTo(205 / 400, 6);
    expect(two.openShare).toBeCloseTo(1 - 21_600 / 216_000, 3);
    expect(of([150, 180], [450, 180], [130, 60]).evenness).toBeCloseTo(0.5, 6);
    expect(of()).toEqual({ stones: 0, tallestShare: 0, openShare: 1, evenness: 0 });
  });
});
