import { expect, it } from 'vitest';
import type { Grown } from './grown';
import { plantAt } from './plantAt';

const grown = (id: string, spot: [number, number, number], heightMm: number): Grown => ({ id, plant: { id, name: id, roots: 'bed' }, spots: Float64Array.from(spot), heightMm, radiusMm: 20, cover: 1, melted: 0 }); // prettier-ignore

it('of plants that reach over a spot in front the nearest is taken', () => {
  const all = [grown('hedge', [100, 300, 40], 250), grown('carpet', [110, 50, 40], 30)];
  expect(plantAt(all, 105, 60)).toEqual({ id: 'carpet', yMm: 50 });
  expect(plantAt(all, 105, 75)).toEqual({ id: 'hedge', yMm: 300 });
  expect(plantAt(all, 105, 300)).toBeUndefined();
  expect(plantAt(all, 140, 60)).toBeUndefined();
});
