import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { meshVolume, solidFault } from '../geometry/mesh';
import { plan } from '../pipeline/plan';
import { parsed, piece, scape } from '../testing/scape';
import { inEnglish } from '../words/english';
import { pieceFrom, SIZE_CLASSES, standIn } from './pieceFrom';
import { roughStone } from './roughStone';

const slate = { name: 'Slate', densityKgPerL: 2.75 };
const sizes = (v: Float64Array) => [0, 1, 2].map((k) => { const all = v.filter((_, i) => i % 3 === k); return Math.max(...all) - Math.min(...all); }); // prettier-ignore

describe('a piece of the yard', () => {
  it('in two commissions is a finding, unless it is not the yard’s', () => {
    const s = scape();
    const own = piece({ id: 'S-14', owned: true });
    const bought = piece({ id: 'S-03', at: [400, 180] });
    const doc = parsed({ ...s, options: [{ ...s.options[0], pieces: [own, bought, { ...own, id: 'S-14.2', yard: 'S-14', at: [200, 100] }] }] }); // prettier-ignore
    const found = plan(doc, { elsewhere: { 'S-14': ['Slate valley'], 'S-03': ['Slate valley'] } }).findings.filter((f) => f.id === 'piece.reserved'); // prettier-ignore
    expect(found.map((f) => inEnglish(f.says))).toEqual(['S-14 is also in Slate valley.', 'S-14.2 is also in Slate valley.']); // prettier-ignore
    expect(plan(doc).findings.filter((f) => f.id === 'piece.reserved')).toEqual([]);
  });
});

describe('a stone from its measures', () => {
  it('has the sizes and the litres that were asked for', () => {
    const side = fc.integer({ min: 40, max: 400 });
    fc.assert(
      fc.property(side, side, side, fc.double({ min: 0.22, max: 0.78, noNaN: true }), fc.integer({ min: 1, max: 9999 }), (a, b, c, fill, seed) => {
        const mesh = roughStone([a, b, c], fill, seed);
        expect(solidFault(mesh)).toBeUndefined();
        sizes(mesh.vertices).forEach((mm, k) => expect(mm).toBeCloseTo([a, b, c][k], 6));
        expect(meshVolume(mesh) / (a * b * c)).toBeCloseTo(fill, 2);
      }), // prettier-ignore
      { numRuns: 40 },
    );
  });

  it('is the same for the same seed, and another for another', () => {
    const [a, b, c] = [7, 7, 8].map((seed) => roughStone([100, 80, 120], 0.5, seed).vertices);
    expect(a).toEqual(b);
    expect(a).not.toEqual(c);
  });

  it('takes its litres from what it weighs, at the density of its kind', () => {
    const { litres, massKg, mesh, doubts } = pieceFrom({ sizeMm: [200, 140, 180], massKg: 6.6 }, slate, 1);
    expect(litres).toBeCloseTo(2.4, 6);
    expect(massKg).toBe(6.6);
    expect(meshVolume(mesh) / 1e6).toBeCloseTo(2.4, 1);
    expect(doubts).toEqual([]);
  });

  it('asks about a slate of nine kilograms and two litres', () => {
    const { doubts } = pieceFrom({ sizeMm: [200, 140, 180], massKg: 9, litres: 2 }, slate, 1);
    expect(doubts.map((d) => inEnglish(d))).toEqual(['9 kg and 2 L are 4.5 kg/L; Slate is 2.75: is one of them mistyped?']); // prettier-ignore
    // 20 kg do not fit into 5 L at 2.75; 0.5 kg of those sizes would be a shell.
    const heavy = pieceFrom({ sizeMm: [200, 140, 180], massKg: 20 }, slate, 1).doubts;
    expect(inEnglish(heavy[0])).toMatch(/^7\.27 L do not fit into 5\.04 L/);
    const light = pieceFrom({ sizeMm: [200, 140, 180], massKg: 0.5 }, slate, 1).doubts;
    expect(inEnglish(light[0])).toMatch(/^0\.18 L fill little of 5\.04 L/);
  });

  it('stands in for one that is bought by its size class', () => {
    for (const { id, mm } of SIZE_CLASSES) {
      const { sizeMm } = standIn(id, 'tall', 3);
      expect(Math.max(...sizeMm)).toBeGreaterThanOrEqual(mm[0]);
      expect(Math.max(...sizeMm)).toBeLessThanOrEqual(mm[1]);
      expect(sizeMm[2]).toBe(Math.max(...sizeMm));
    }
  });
});
