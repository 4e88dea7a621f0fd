import { grownSpreadMm } from '../catalogue/sizes';
import type { Vessel } from '../commission/schema';
import { canopyOf, throughLeaves, type Leaves } from '../light/canopy';
import { surfaceAt, type BedField } from '../substrate/bedField';
import type { Living } from './conditions';
import { grownAt } from './grown';
import type { Planted } from './planted';
import { denseOf, SHADES_FROM_MM, underFloating } from './shade';

/** What is left is asked for in squares of this side, mm: leaves throw no sharp shadows. */
const SQUARE_MM = 12;
/** It is asked for so far above the ground, mm. */
const OFF_GROUND_MM = 2;

/**
 * PPFD in the cells of the bed on a day after planting, below the leaves that have grown by then, µmol/m²/s.
 * Valid for lamps and pieces as `lightMap` has them. Leaves out: what leaves scatter, and plants lower than 60 mm.
 * Test: lightOnDay.test.ts, "is less under stems from week to week, and the same beside them".
 */
export function lightOnDay(
  parts: readonly Planted[],
  { light }: Pick<Living, 'light'>,
  { innerMm: { length, width }, waterLineMm }: Vessel,
  field: BedField,
  day: number,
): Float32Array {
  const canopy = canopyOf([length, width], leavesOn(parts, waterLineMm, day));
  const above = underFloating(floatingOn(parts, length * width, day));
  const [columns, rows] = [length, width].map((mm) => Math.max(1, Math.round(mm / SQUARE_MM)));
  const left = new Float32Array(columns * rows);
  for (let j = 0, c = 0; j < rows; j++)
    for (let i = 0; i < columns; i++, c++) {
      const [x, y] = [((i + 0.5) * length) / columns, ((j + 0.5) * width) / rows];
      const spot = [x, y, surfaceAt(field, x, y) + OFF_GROUND_MM] as const;
      left[c] = above * light.share(spot, (from, to) => throughLeaves(canopy, from, to));
    }
  return light.ppfd.map((ppfd, cell) => {
    const i = Math.floor((((cell % light.columns) + 0.5) * columns) / light.columns);
    const j = Math.floor(((Math.floor(cell / light.columns) + 0.5) * rows) / light.rows);
    return ppfd * left[j * columns + i];
  });
}

/** Everything that stands high enough by then to throw a shadow. */
function leavesOn(parts: readonly Planted[], waterMm: number, day: number): Leaves[] {
  return parts.flatMap((part) => {
    const { spots, radiusMm, heightMm } = grownAt(part, day);
    if (part.plant.roots === 'float' || spots.length === 0 || heightMm <= SHADES_FROM_MM) return [];
    const high = Math.min(heightMm, Math.max(0, waterMm - spots[2]));
    return [{ spots, radiusMm, heightMm: high, cover: denseOf(part) }];
  });
}

/** Share of the surface under what floats by then. */
function floatingOn(parts: readonly Planted[], surfaceMm2: number, day: number): number {
  const mm2 = parts.reduce((sum, part) => {
    if (part.plant.roots !== 'float') return sum;
    const { radiusMm } = grownAt(part, day);
    const most = grownSpreadMm(part.plant) / 2;
    return sum + part.count * Math.PI * Math.min(radiusMm, most) ** 2;
  }, 0);
  return mm2 / surfaceMm2;
}
