import type { Cells } from '../geometry/coverage';
import type { Vessel } from '../commission/schema';

/** Cells asked for along the shorter side at least, so that a nano tank is read as finely as a wall tank. */
const LEAST_CELLS = 60;

/** 5 mm, finer for vessels under 300 mm: a 200 mm cube gets 3.3 mm. */
export function usualCellMm(vessel: Vessel): number {
  const shorter = Math.min(vessel.innerMm.length, vessel.innerMm.width);
  return Math.min(5, shorter / LEAST_CELLS);
}

/** Cells near the wanted size that tile the floor without remainder, so that no strip at a wall is lost. */
export function floorCells(vessel: Vessel, cellMm = usualCellMm(vessel)): Cells {
  const { length, width } = vessel.innerMm;
  const columns = Math.max(1, Math.ceil(length / cellMm - 1e-9));
  const rows = Math.max(1, Math.ceil(width / cellMm - 1e-9));
  return { columns, rows, dxMm: length / columns, dyMm: width / rows };
}
