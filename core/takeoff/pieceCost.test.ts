import { describe, expect, it } from 'vitest';
import type { Pack } from '../commission/schema';
import { pieceCost } from './pieceCost';

const pack = (id: string, size: number, priceMinor: number, unit: Pack['unit'] = 'piece'): Pack => ({
  id,
  size,
  unit,
  priceMinor,
  supplier: 'brindle',
  leadDays: 2,
});

describe('what one piece costs', () => {
  it('is the cheapest pack that holds one', () => {
    expect(pieceCost({ packs: [pack('a', 1, 4_900), pack('b', 1, 4_500), pack('c', 5, 9_000)] })).toBe(4_500);
    expect(pieceCost({ packs: [pack('five', 5, 900), pack('one', 1, 1_000)] })).toBe(900);
  });

  it('is unknown where nobody sells it by the piece', () => {
    expect(pieceCost({})).toBeUndefined();
    expect(pieceCost({ packs: [pack('kg', 1, 400, 'kg')] })).toBeUndefined();
  });
});
