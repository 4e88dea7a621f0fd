import { describe, expect, it } from 'vitest';
import { massKgOf } from './mass';

describe('mass of a piece', () => {
  it('is as weighed, otherwise volume times density, and that of rock where nobody knows', () => {
    const slate = { densityKgPerL: 2.75 };
    expect(massKgOf({ massKg: 3.2 }, 2e6, slate)).toBe(3.2);
    expect(massKgOf({}, 2e6, slate)).toBe(5.5);
    expect(massKgOf({}, 2e6, undefined)).toBeCloseTo(5.3, 10);
  });
});
