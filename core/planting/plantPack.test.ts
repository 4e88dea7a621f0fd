import { describe, expect, it } from 'vitest';
import { KNOWN_PLANTS } from '../catalogue/knownPlants';
import { packOfPlant } from './plantPack';

const plant = KNOWN_PLANTS.find((p) => p.id === 'staurogyne-repens')!;

describe('the pack of a plant', () => {
  it('holds what it is usually split into, and keeps what was known of it', () => {
    const pack = packOfPlant(plant, { name: 'pot', priceMinor: 590, supplier: 'glasshouse-nine' });
    expect(pack).toEqual({ id: 'staurogyne-repens-pot', name: 'pot', size: 8, unit: 'plug', priceMinor: 590, supplier: 'glasshouse-nine', leadDays: 5 }); // prettier-ignore
    const again = packOfPlant({ ...plant, plugsAPack: [3, 4, 6], packs: [{ ...pack, leadDays: 9 }] }, { name: 'bunch', priceMinor: 400, supplier: 'glasshouse-nine' }); // prettier-ignore
    expect(again).toMatchObject({ id: 'staurogyne-repens-pot', size: 4, leadDays: 9, name: 'bunch' });
  });
});
