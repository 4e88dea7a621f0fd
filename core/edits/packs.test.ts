import { describe, expect, it } from 'vitest';
import { parseCommission } from '../commission/parse';
import { plan } from '../pipeline/plan';
import { example } from '../testing/scape';
import { withPacks } from './packs';

describe('packs of a material', () => {
  it('brings who sells it, once, and its line has a price', () => {
    const doc = example('level-cube');
    const [layer] = doc.options[0].bed;
    const bare = { ...doc, catalogue: { ...doc.catalogue, suppliers: [], plants: [], materials: doc.catalogue.materials.map((m) => ({ ...m, packs: [] })) }, options: doc.options.map((o) => ({ ...o, plants: [] })) }; // prettier-ignore
    const line = (d: typeof doc) => plan(d, { today: '2026-11-01' }).takeOff.lines.find((l) => l.id === layer.material)!; // prettier-ignore
    expect(line(bare).priced).toBe(false);
    const sellers = [{ id: 'yard', name: 'Marl & Timber Yard' }, { id: 'other', name: 'Other' }]; // prettier-ignore
    const pack = { id: 'bag', size: 9, unit: 'L' as const, priceMinor: 3_200, supplier: 'yard', leadDays: 4 };
    const priced = withPacks(bare, layer.material, [pack], sellers);
    expect(priced.catalogue.suppliers.map((s) => s.id)).toEqual(['yard']);
    expect(parseCommission(priced).ok).toBe(true);
    // 9 L a bag: as many bags as hold what is needed.
    const { needed, priceMinor } = line(priced);
    expect(priceMinor).toBe(3_200 * Math.ceil(needed.value / 9));
    expect(withPacks(priced, layer.material, [pack], sellers).catalogue.suppliers).toHaveLength(1);
  });
});
