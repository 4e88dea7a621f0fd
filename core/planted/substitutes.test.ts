import { describe, expect, it } from 'vitest';
import { isUnnamed, KNOWN_PLANTS } from '../catalogue/knownPlants';
import type { Plant } from '../commission/schema';
import { plan } from '../pipeline/plan';
import { grownHeightMm } from '../catalogue/sizes';
import { parsed, scape, soil } from '../testing/scape';
import { reasonsAgainst } from './livesHere';
import { substitutesFor } from './substitutes';

/* A carpet of Eleocharis pusilla over 600 × 360 mm, which the grower does not have. */

const SPOT = { dli: 2.5, co2: true, waterC: 24, gh: 6 };
const known = (id: string, packs?: Plant['packs']) => ({ ...KNOWN_PLANTS.find((p) => p.id === id)!, ...(packs ? { packs } : {}) }); // prettier-ignore
const cup = (priceMinor: number) => [{ id: 'cup', name: 'cup', size: 8, unit: 'plug' as const, priceMinor, supplier: 'grower', leadDays: 5 }]; // prettier-ignore
const region: [number, number][] = [[0, 0], [600, 0], [600, 360], [0, 360]]; // prettier-ignore

function carpet() {
  const d = structuredClone(scape({ option: { bed: [soil({ kind: 'level', mm: 60 })] } })) as any;
  d.catalogue.plants = [known('eleocharis-pusilla', cup(650))];
  d.options[0].plants = [{ id: 'P-1', plant: 'eleocharis-pusilla', region, spacingMm: 40 }];
  return plan(parsed(d)).planted!.parts[0];
}

describe('substitutes for a plant', () => {
  it('have the habit and about the height, live there, and say what they change', () => {
    const part = carpet();
    expect(KNOWN_PLANTS.filter(isUnnamed).map((p) => p.habit)).toContain(part.plant.habit);
    const found = substitutesFor(part, KNOWN_PLANTS, SPOT);
    expect(found.length).toBeGreaterThan(1);
    const [, high] = grownHeightMm(part.plant);
    for (const s of found) {
      expect([s.plant.habit, s.plant.roots]).toEqual([part.plant.habit, part.plant.roots]);
      expect(s.plant.id).not.toBe(part.plant.id);
      expect(isUnnamed(s.plant)).toBe(false);
      const [, other] = grownHeightMm(s.plant);
      expect(Math.min(high, other) / Math.max(high, other)).toBeGreaterThanOrEqual(0.6);
      expect(s.higherMm).toBe(Math.round(other - high));
      expect(reasonsAgainst(s.plant, SPOT)).toEqual([]);
      // By hand: as many as its own distance asks for on the same ground.
      expect(s.plugs).toBe(Math.ceil((part.netM2 * 1e6) / s.spacingMm! ** 2 - 1e-9));
    }
  });

  it('have their packs and price where somebody sells them, and those stand first', () => {
    const part = carpet();
    const sold = known('marsilea-hirsuta', cup(780));
    const [first, ...others] = substitutesFor(
      part,
      [...KNOWN_PLANTS.filter((p) => p.id !== sold.id), sold],
      SPOT,
    );
    expect(first.plant.id).toBe('marsilea-hirsuta');
    expect(first.packs).toBe(Math.ceil(first.plugs / sold.plugsAPack![1]));
    expect(first.priceMinor).toBe(first.packs! * 780);
    // As the take-off buys it: with the spare plugs, and at the price by number.
    const some = { ...sold, packs: [{ ...sold.packs![0], steps: [{ from: 2, priceMinor: 700 }] }] };
    const [spared] = substitutesFor(part, [some], SPOT, { spare: 0.2 });
    expect(spared.packs).toBe(Math.ceil(Math.ceil(spared.plugs * 1.2 - 1e-6) / sold.plugsAPack![1]));
    expect(spared.priceMinor).toBe(spared.packs! * 700);
    expect(others.every((s) => s.packs === undefined && s.priceMinor === undefined)).toBe(true);
  });

  it('are none that want what is not there', () => {
    const shade = { ...SPOT, dli: 0.7, co2: false };
    // Some that would do in the light would not here.
    const lit = substitutesFor(carpet(), KNOWN_PLANTS, SPOT);
    expect(lit.some((s) => reasonsAgainst(s.plant, shade).length > 0)).toBe(true);
    for (const s of substitutesFor(carpet(), KNOWN_PLANTS, shade))
      expect(reasonsAgainst(s.plant, shade)).toEqual([]);
    expect(substitutesFor(carpet(), KNOWN_PLANTS, { ...SPOT, dli: 0.01 })).toEqual([]);
  });
});
