import { describe, expect, it } from 'vitest';
import { MATERIAL_KINDS, materialSchema } from '../commission/catalogueSchema';
import { figuresOf, soldBy } from './materialFields';
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
});
