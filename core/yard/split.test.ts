import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { meshFault, meshVolume } from '../geometry/mesh';
import { solids } from '../geometry/solids';
import { solidMesh } from '../hardscape/solid';
import { roughStone } from './roughStone';
import { parted } from './split';

const block = solidMesh({ kind: 'box', sizeMm: [200, 100, 80] });

describe('parting a piece', () => {
  it('two halves have the litres and the mass of the whole', async () => {
    const work = await solids();
    const two = parted(block, 4, { way: 'upright', bearingDeg: 0, share: 0.75 }, work)!;
    expect(two.massKg).toEqual([3, 1]);
    expect(two.meshes.map((m) => Math.round(meshVolume(m)))).toEqual([1_200_000, 400_000]);
    expect(two.doubts).toEqual([]);
    const level = parted(block, 4, { way: 'level', bearingDeg: 0, share: 0.5 }, work)!;
    expect(level.massKg[0]).toBeCloseTo(2, 6);
  });

  it('gives two closed solids for a rough stone, wherever it is parted', async () => {
    const work = await solids();
    const stone = roughStone([220, 150, 260], 0.5, 3);
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 359 }),
        fc.double({ min: 0.15, max: 0.85, noNaN: true }),
        fc.boolean(),
        (bearingDeg, share, level) => {
          // prettier-ignore
          const { meshes } = parted(stone, 10, { way: level ? 'level' : 'upright', bearingDeg, share }, work)!;
          for (const m of meshes) expect(meshFault(m.vertices.length / 3, m.faces)).toBeUndefined();
          const [a, b] = meshes.map(meshVolume);
          expect((a + b) / meshVolume(stone)).toBeCloseTo(1, 4);
          expect(a).toBeGreaterThanOrEqual(b);
        },
      ),
      { numRuns: 25 },
    );
  });

  it('takes what was weighed, the rest for the other, and asks where they do not come to the whole', async () => {
    const work = await solids();
    const half = { way: 'upright', bearingDeg: 90, share: 0.5 } as const;
    const one = parted(block, 4, half, work, [2.4])!;
    expect(one.massKg[1]).toBeCloseTo(1.6, 9);
    expect(one.doubts).toEqual([]);
    const lost = parted(block, 4, half, work, [2, 1.2])!;
    expect(lost.doubts.map((d) => d.say)).toEqual(['yard.parts']);
    expect(parted(block, 4, { ...half, share: 0.001 }, work)).toBeUndefined();
  });
});
