import { describe, expect, it } from 'vitest';
import type { Commission, Material } from '../../core/commission/schema';
import { withMaterials } from './materials';

const material = (id: string, name = id) => ({ id, name }) as Material;
const doc = { catalogue: { materials: [material('sand', 'sand of theirs')] } } as Commission;

describe('materials that an edit brings along', () => {
  it('are added once each; what the document has stays as it has it', () => {
    const brought = withMaterials(doc, [material('soil'), material('sand'), undefined, material('soil')]);
    expect(brought.catalogue.materials.map((m) => m.name)).toEqual(['sand of theirs', 'soil']);
    expect(withMaterials(doc, [material('sand')])).toBe(doc);
  });
});
