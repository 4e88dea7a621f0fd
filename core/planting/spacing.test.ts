import { describe, expect, it } from 'vitest';
import { mostSpacingMm, spacingOf, usualSpacingMm } from './spacing';

describe('a spacing', () => {
  it('is at most as far as the region is long', () => {
    const region = [[0, 0], [120, 0], [120, 60], [0, 60]] as const; // prettier-ignore
    expect(mostSpacingMm(region)).toBe(120);
  });
});

describe('spacing of a planting', () => {
  it('is its own, else as usual by the school of its commission, and none without a region', () => {
    const region: [number, number][] = [[0, 0], [120, 0], [120, 60], [0, 60]]; // prettier-ignore
    const of = (planting: object, spacing?: 'dense' | 'economical') => spacingOf({ brief: { schools: { spacing } } } as never, planting, { habit: 'carpet' }); // prettier-ignore
    expect(of({ region, spacingMm: 31 }, 'economical')).toBe(31);
    expect([of({ region }), of({ region }, 'economical')]).toEqual([25, 43]);
    expect(of({ spacingMm: 31 })).toBeUndefined();
  });
});

describe('spacing to begin with', () => {
  it('is the plant’s own, otherwise that of its habit (common practice)', () => {
    expect(usualSpacingMm({ spacingMm: 42, habit: 'stem' })).toBe(42);
    expect([usualSpacingMm({ habit: 'carpet' }), usualSpacingMm({ habit: 'rosette' })]).toEqual([25, 55]);
    // The economical school: 40 to 50 mm instead of 20 to 30.
    expect(usualSpacingMm({ habit: 'carpet' }, 'economical')).toBe(43);
    expect(usualSpacingMm({ spacingMm: 42 }, 'economical')).toBe(42);
    expect([usualSpacingMm({}), usualSpacingMm({ habit: 'moss' })]).toEqual([25, 30]);
  });
});
