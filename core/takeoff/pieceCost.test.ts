import { describe, expect, it } from 'vitest';
import type { Pack } from '../commission/schema';
import { deviceCost, gearCost, pieceCost } from './pieceCost';

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

describe('what gear costs', () => {
  const articles = [
    { id: 'filter-800', packs: [pack('a', 1, 12_900)] },
    { id: 'mat', packs: [] },
  ];
  const bought = { origin: 'bought' as const, watts: 8 };

  it('is the price of what is bought, and says how many have none', () => {
    const all = [{ ...bought, material: 'filter-800' }, { ...bought, material: 'mat' }, { ...bought, watts: 50 }, { watts: 30, origin: 'client' as const, material: 'filter-800' }]; // prettier-ignore
    expect(gearCost(all, articles)).toEqual({ watts: 96, costMinor: 12_900, unpriced: 2 });
  });

  it('is nothing where a device is not bought, as the take-off has it', () => {
    expect(deviceCost({ origin: 'here', material: 'filter-800' }, articles)).toBe(0);
    expect(deviceCost({ material: 'filter-800' }, articles)).toBe(0);
  });
});
