import { createPinia, setActivePinia } from 'pinia';
import { beforeEach, describe, expect, it } from 'vitest';
import type { Material } from '../../core/commission/schema';
import { example } from '../../core/testing/scape';
import { withMaterials } from './materials';
import { useStudio } from './studioStore';

const material = (id: string, name = id): Material => ({ id, name, kind: 'sand' });
const plain = example('level-cube');
const doc = { ...plain, catalogue: { ...plain.catalogue, materials: [material('sand', 'sand of theirs')] } };

describe('materials that an edit brings along', () => {
  beforeEach(() => setActivePinia(createPinia()));

  it('are added once each; what the document has stays as it has it', () => {
    const brought = withMaterials(doc, [material('soil'), material('sand'), undefined, material('soil')]);
    expect(brought.catalogue.materials.map((m) => m.name)).toEqual(['sand of theirs', 'soil']);
    expect(withMaterials(doc, [material('sand')])).toBe(doc);
  });

  it('bring who the studio buys them from', () => {
    const yard = { id: 'own-yard', name: 'Marl & Timber Yard' };
    useStudio().studio = { name: '', currency: 'GBP', yard: [], catalogue: { materials: [], plants: [], suppliers: [yard] } }; // prettier-ignore
    const pack = {
      id: 'bag',
      size: 5,
      unit: 'kg' as const,
      priceMinor: 650,
      supplier: 'own-yard',
      leadDays: 3,
    };
    const brought = withMaterials(doc, [{ ...material('quartz'), packs: [pack] }]);
    expect(brought.catalogue.suppliers.at(-1)).toEqual(yard);
  });
});
