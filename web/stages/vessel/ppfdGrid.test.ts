import { describe, expect, it } from 'vitest';
import { gridOf, gridText } from './ppfdGrid';

describe('a grid of PPFD as it is typed', () => {
  it('is read with its step and distance, and written the same way', () => {
    const grid = { columns: 3, rows: 2, stepMm: 100, belowMm: 400, ppfd: [40, 80, 40, 60, 120, 60] };
    expect(gridOf('100 400\n40 80 40\n60;120;60\n')).toEqual(grid);
    expect(gridOf(gridText(grid))).toEqual(grid);
    // Its head is known from before.
    expect(gridOf('40 80 40\n60 120 60', grid)).toEqual(grid);
  });

  it('is refused with what to do: uneven rows, words, nothing, lux, no head', () => {
    expect(gridOf('100 400\n40 80 40\n60 120')).toMatch(/Row 2 has 2 figures, the first has 3/);
    expect(gridOf('100 400\n40 =SUM(A1) 40')).toMatch(/is no figure/);
    expect(gridOf('100 400\n0 0 0')).toMatch(/Every figure is 0/);
    expect(gridOf('100 400\n40 5000 40')).toMatch(/5000 µmol.*lux/);
    expect(gridOf('40 80 40\n60 120 60')).toMatch(/first line must be the step/);
    expect(gridOf('100 400\n40 -8 40')).toMatch(/below 0/);
  });
});
