import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { LAP_MM, PAPERS, tiled, type Paper } from './tiles';

describe('a floor in its own size on sheets of paper', () => {
  it('of 900 by 450 mm takes ten of A4 upright, and six of A3 lying', () => {
    // Upright A4 shows 190 × 277 mm, each further sheet 180 × 267 more: five by two; lying four by three.
    expect(tiled(900, 450, 'A4')).toMatchObject({ paperMm: [210, 297], columns: 5, rows: 2 });
    expect(tiled(900, 450, 'A3')).toMatchObject({ columns: 3, rows: 2 });
    expect(tiled(150, 150, 'A4').tiles).toMatchObject([{ name: 'A1', x: 0, y: 0 }]);
  });

  it('shows every spot, and each neighbour’s edge', () => {
    const side = fc.integer({ min: 50, max: 3000 });
    fc.assert(
      fc.property(side, side, fc.constantFrom(...(Object.keys(PAPERS) as Paper[])), (length, width, paper) => {
        const { tiles, columns, rows } = tiled(length, width, paper);
        expect(tiles).toHaveLength(columns * rows);
        expect(Math.max(...tiles.map((t) => t.x + t.w))).toBeGreaterThanOrEqual(length);
        expect(Math.max(...tiles.map((t) => t.y + t.h))).toBeGreaterThanOrEqual(width);
        // Nothing is printed that shows nothing of the floor.
        expect(tiles.every((t) => t.x < length && t.y < width)).toBe(true);
        for (const t of tiles) {
          const next = tiles.find((o) => o.y === t.y && o.x > t.x);
          if (next) expect(t.x + t.w - next.x).toBeCloseTo(LAP_MM, 9);
        }
      }), // prettier-ignore
    );
  });
});
