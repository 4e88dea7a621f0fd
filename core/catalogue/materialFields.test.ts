import { describe, expect, it } from 'vitest';
import { MATERIAL_KINDS, materialSchema } from '../commission/catalogueSchema';
import { entryId, figuresOf, packOfMaterial, soldBy } from './materialFields';
import { START_SET } from './startSet';

describe('what a material has', () => {
  it('is asked by its kind, and every figure of the start set is asked for', () => {
    expect(figuresOf('wood').map((f) => f.key)).toEqual(['densityKgPerL', 'soakedKgPerL', 'soakDays']);
    expect(figuresOf('tie')).toEqual([]);
    for (const material of START_SET) {
      expect(materialSchema.safeParse(material).success, material.id).toBe(true);
      const asked = new Set<string>(figuresOf(material.kind).map((f) => f.key));
      const figures = Object.entries(material).filter(([, v]) => typeof v === 'number');
      expect(figures.filter(([key]) => !asked.has(key)), material.id).toEqual([]); // prettier-ignore
    }
  });

  it('is sold by litres, kilograms, pieces or less, each kind by one of them', () => {
    expect(MATERIAL_KINDS.map(soldBy)).not.toContain(undefined);
    expect([soldBy('soil'), soldBy('stone'), soldBy('wood'), soldBy('plant-food')]).toEqual(['L', 'kg', 'piece', 'mL']); // prettier-ignore
  });

  it('has packs with ids of their own', () => {
    const first = packOfMaterial(
      { id: 'slate', kind: 'stone' },
      { size: 1, priceMinor: 400, supplier: 'yard' },
    );
    expect(first).toEqual({
      id: 'slate-1',
      unit: 'kg',
      leadDays: 4,
      size: 1,
      priceMinor: 400,
      supplier: 'yard',
    });
    const next = packOfMaterial({ id: 'slate', kind: 'stone', packs: [{ ...first, id: 'slate-2' }] }, { size: 25, priceMinor: 8_000, supplier: 'yard' }); // prettier-ignore
    expect(next.id).toBe('slate-3');
  });

  it('is kept under its name', () => {
    expect(entryId('Lava, red — 8–16 mm', new Set())).toBe('lava-red-8-16-mm');
    expect(entryId('Ångström', new Set(['angstrom', 'angstrom-2']))).toBe('angstrom-3');
    expect(entryId('石', new Set())).toBe('entry');
  });
});
