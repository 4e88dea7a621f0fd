import { describe, expect, it } from 'vitest';
import { usualSpacingMm } from './spacing';

describe('spacing to begin with', () => {
  it('is the plant’s own, otherwise that of its habit (common practice)', () => {
    expect(usualSpacingMm({ spacingMm: 42, habit: 'stem' })).toBe(42);
    expect([usualSpacingMm({ habit: 'carpet' }), usualSpacingMm({ habit: 'rosette' })]).toEqual([25, 55]);
    expect([usualSpacingMm({}), usualSpacingMm({ habit: 'moss' })]).toEqual([25, 30]);
  });
});
