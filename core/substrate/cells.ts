import type { Cells } from '../geometry/coverage';
import type { Vessel } from '../commission/schema';

/** Cells asked for along the shorter side at least, so that a nano tank is read as finely as a wall tank. */
const LEAST_CELLS = 60;

/** Cells of a floor at most: up to 2.5 m² are read in 5 mm, a pond of 10 × 10 m in 32 mm. */
const MOST_CELLS = 100_000;

/** 5 mm, finer for vessels under 300 mm: a 200 mm cube gets 3.3 mm; coarser where the floor is very large. */
export function usualCellMm(vessel: Vessel): number {
  const { length, width } = vessel.innerMm;
  const fine = Math.min(5, Math.min(length, width) / LEAST_CELLS);
  return Math.max(fine, Math.sqrt((length * width) / MOST_CELLS));
}

/** Cells near the wanted size that tile the floor without remainder, so that no strip at a wall is lost. */
export function floorCells(vessel: Vessel, cellMm = usualCellMm(vessel)): Cells {
  const { length, width } = vessel.innerMm;
  const columns = Math.max(1, Math.ceil(length / cellMm - 1e-9));
  const rows = Math.max(1, Math.ceil(width / cellMm - 1e-9));
  return { columns, rows, dxMm: length / columns, dyMm: width / rows };
}
