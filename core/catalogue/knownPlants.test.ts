import { describe, expect, it } from 'vitest';
import { plantSchema } from '../commission/schema';
import { dliOf, KNOWN_PLANTS, plantId, withKnown } from './knownPlants';

describe('plants that everybody has', () => {
  it('are about ninety, each once, each as a document may have it', () => {
    expect(KNOWN_PLANTS.length).toBeGreaterThanOrEqual(85);
    expect(new Set(KNOWN_PLANTS.map((p) => p.id)).size).toBe(KNOWN_PLANTS.length);
    for (const p of KNOWN_PLANTS) expect(plantSchema.safeParse(p).success, p.name).toBe(true);
  });

  it('have figures that can be: spans the right way round, light of a tank, plugs that grow with care', () => {
    for (const p of KNOWN_PLANTS) {
      for (const [low, high] of [p.heightMm!, p.dli!, p.tempC!, p.gh!])
        expect(low, p.name).toBeLessThan(high);
      // 10 h of 15 to 140 µmol/m²/s are 0.5 to 5 mol/m².
      expect(p.dli![1], p.name).toBeLessThanOrEqual(5);
      const [few, usual, many] = p.plugsAPack!;
      expect(few <= usual && usual <= many, p.name).toBe(true);
      expect(p.roots === 'bed', p.name).toBe(p.minBedMm !== undefined);
    }
    expect(KNOWN_PLANTS.filter((p) => p.habit === 'moss').length).toBeGreaterThanOrEqual(4);
  });

  it('fill in what an entry of a studio leaves out, and leave what it says', () => {
    const own = withKnown({ id: 'hemianthus-callitrichoides', name: 'HC', roots: 'bed', growth: 'slow' });
    expect(own).toMatchObject({ name: 'HC', growth: 'slow', plugsAPack: [25, 35, 50], needsCo2: true });
    expect(withKnown({ id: 'x', name: 'X', roots: 'bed' })).toEqual({ id: 'x', name: 'X', roots: 'bed' });
    expect(plantId('Anubias barteri var. nana')).toBe('anubias-barteri-nana');
    expect(plantId("Rotala 'Green'")).toBe('rotala-green');
    expect(dliOf({ light: 'low' })).toEqual([0.5, 1.4]);
  });
});
