import { cellCoverage, type Cells } from '../geometry/coverage';
import { crossingsAt, polygonContains, type Polygon } from '../geometry/polygon';
import { displayOutline, isPlainBox } from '../vessel/display';
import type { Layer, Vessel } from '../commission/schema';
import { floorCells } from './cells';
import { DrawnAlong, layersAt, stackOf, type Stack } from './stack';

/**
 * The bed as a height field over the floor, before pieces stand in it. Cells carry means, for volumes and
 * areas; corners (one more a row and a column) carry the heights at points, for contours, slopes and depths.
 */
export interface BedField extends Cells {
  /**
   * The floor inside the glass where it is not the whole box: its outline, which part of each cell lies in
   * it, and which corners do. Heights outside it are there, but count for nothing.
   */
  floor?: { outline: Polygon; share: Float64Array; corner: Uint8Array };
  stack: Stack;
  /** Which part of each cell a layer's region covers; left out for a layer without one. */
  coverage: (Float64Array | undefined)[];
  cellMm: number;
  /** Mean height of the bed's surface in each cell, mm. */
  surfaceMm: Float64Array;
  /** Mean thickness of each layer in each cell, mm. */
  thicknessMm: Float64Array[];
  /** Height of the bed's surface at each corner, mm. */
  cornerMm: Float64Array;
  /** Thickness of each layer at each corner, mm. */
  cornerThicknessMm: Float64Array[];
  /** Number of the uppermost layer at each corner, −1 on bare glass. */
  cornerLayer: Int8Array;
  /** Number of the last layer that cuts at each corner, −1 where none does: the edge of a cut is a step. */
  cornerCut: Int8Array;
}

/** Points a side at which a cell is asked in which several regions end. */
const FINE = 16;

/** Computes the field. `cellMm` is near 5 mm unless told otherwise. */
export function bedField(vessel: Vessel, bed: readonly Layer[], cellMm?: number): BedField {
  const cells = floorCells(vessel, cellMm);
  const stack = stackOf(bed, vessel);
  const size = cells.columns * cells.rows;
  const corners = (cells.columns + 1) * (cells.rows + 1);
  // Written out property by property: of an object that another is spread into the engine makes a new kind each time,
  // and throws away what it had compiled for the one before.
  const field: BedField = {
    columns: cells.columns,
    rows: cells.rows,
    dxMm: cells.dxMm,
    dyMm: cells.dyMm,
    floor: floorOf(vessel, cells),
    stack,
    coverage: stack.regions.map((region) => (region ? cellCoverage(cells, region) : undefined)),
    cellMm: Math.max(cells.dxMm, cells.dyMm),
    surfaceMm: new Float64Array(size),
    thicknessMm: bed.map(() => new Float64Array(size)),
    cornerMm: new Float64Array(corners),
    cornerThicknessMm: bed.map(() => new Float64Array(corners)),
    cornerLayer: new Int8Array(corners).fill(-1),
    cornerCut: new Int8Array(corners).fill(-1),
  };
  fillCells(field);
  fillCorners(field);
  return field;
}

function floorOf(vessel: Vessel, cells: Cells): BedField['floor'] {
  if (isPlainBox(vessel)) return undefined;
  const outline = displayOutline(vessel);
  return { outline, share: cellCoverage(cells, outline), corner: cornersWithin(cells, outline) };
}

/** Which corners a ring has inside, row by row: between each first and second of its crossings in order. */
function cornersWithin(cells: Cells, ring: Polygon): Uint8Array {
  const { columns, rows } = cells;
  const corner = new Uint8Array((columns + 1) * (rows + 1));
  for (let row = 0; row <= rows; row++) {
    const [, y] = inward(cells, 0, row * cells.dyMm);
    const crossings = crossingsAt(ring, y);
    let passed = 0;
    for (let column = 0; column <= columns; column++) {
      const [x] = inward(cells, column * cells.dxMm, y);
      while (passed < crossings.length && crossings[passed] <= x) passed++;
      corner[row * (columns + 1) + column] = passed % 2;
    }
  }
  return corner;
}

/** Which part of a cell lies inside the glass, 0 to 1. */
export function floorShare({ floor }: BedField, cell: number): number {
  return floor ? floor.share[cell] : 1;
}

/** Whether a spot lies on the floor inside the glass. */
export function onFloor(field: BedField, x: number, y: number): boolean {
  if (x < 0 || y < 0 || x > field.columns * field.dxMm || y > field.rows * field.dyMm) return false;
  return !field.floor || regionHas(field.floor.outline, field.floor.share[cellAt(field, x, y)], x, y);
}

/** Adds what the bed is like at one spot of a line, with its weight, to a cell. */
type Add = (cell: number, drawn: DrawnAlong, spot: number, weight: number) => void;

function fillCells(field: BedField): void {
  const { columns, rows, dxMm, dyMm, stack, coverage } = field;
  const inside = new Uint8Array(stack.count);
  const tops = new Float64Array(stack.count);
  const add: Add = (cell, drawn, spot, weight) => {
    layersAt(stack, drawn, spot, inside, tops);
    let below = 0;
    for (let i = 0; i < stack.count; i++) {
      field.thicknessMm[i][cell] += weight * (tops[i] - below);
      below = tops[i];
    }
    field.surfaceMm[cell] += weight * below;
  };
  const middles = new DrawnAlong(
    stack,
    evenly(columns, (column) => (column + 0.5) * dxMm),
  );
  const mixed: number[] = [];
  for (let row = 0; row < rows; row++) {
    middles.at((row + 0.5) * dyMm);
    for (let column = 0; column < columns; column++) {
      const cell = row * columns + column;
      let partial = -1;
      let partials = 0;
      for (let i = 0; i < stack.count; i++) {
        const share = coverage[i]?.[cell] ?? 1;
        inside[i] = share >= 0.5 ? 1 : 0;
        if (share > 1e-9 && share < 1 - 1e-9) {
          partial = i;
          partials++;
        }
      }
      if (partials === 0) add(cell, middles, column, 1);
      else if (partials === 1) {
        // One region ends in this cell: the bed with and without it, in the exact proportion of areas.
        const share = coverage[partial]![cell];
        inside[partial] = 1;
        add(cell, middles, column, share);
        inside[partial] = 0;
        add(cell, middles, column, 1 - share);
      } else mixed.push(column);
    }
    if (mixed.length > 0) fillMixed(field, row, mixed.splice(0), inside, add);
  }
}

function evenly(count: number, at: (i: number) => number): Float64Array {
  return Float64Array.from({ length: count }, (_, i) => at(i));
}

/**
 * Cells of one row in which several regions end, asked at many points. Along each line of points the regions'
 * outlines are crossed once, not once for every point.
 */
function fillMixed(
  { dxMm, dyMm, columns, stack }: BedField,
  row: number,
  mixed: readonly number[],
  inside: Uint8Array,
  add: Add,
): void {
  const xs = evenly(mixed.length * FINE, (k) => (mixed[Math.floor(k / FINE)] + ((k % FINE) + 0.5) / FINE) * dxMm); // prettier-ignore
  const drawn = new DrawnAlong(stack, xs);
  for (let line = 0; line < FINE; line++) {
    const y = (row + (line + 0.5) / FINE) * dyMm;
    drawn.at(y);
    const crossings = stack.regions.map((region) => region && crossingsAt(region, y));
    const passed = new Uint32Array(stack.count);
    for (let spot = 0; spot < xs.length; spot++) {
      for (let i = 0; i < stack.count; i++) {
        const at = crossings[i];
        while (at && passed[i] < at.length && at[passed[i]] <= xs[spot]) passed[i]++;
        inside[i] = at ? passed[i] % 2 : 1;
      }
      add(row * columns + mixed[Math.floor(spot / FINE)], drawn, spot, 1 / (FINE * FINE));
    }
  }
}

function fillCorners(field: BedField): void {
  const { columns, rows, dxMm, dyMm, stack } = field;
  const inside = new Uint8Array(stack.count);
  const tops = new Float64Array(stack.count);
  const drawn = new DrawnAlong(
    stack,
    evenly(columns + 1, (column) => column * dxMm),
  );
  for (let row = 0; row <= rows; row++) {
    drawn.at(row * dyMm);
    for (let column = 0; column <= columns; column++) {
      const corner = row * (columns + 1) + column;
      regionsWithin(field, column * dxMm, row * dyMm, inside);
      field.cornerMm[corner] = layersAt(stack, drawn, column, inside, tops);
      let below = 0;
      for (let i = 0; i < stack.count; i++) {
        field.cornerThicknessMm[i][corner] = tops[i] - below;
        if (tops[i] - below > 1e-9) field.cornerLayer[corner] = i;
        if (inside[i] === 1 && stack.cutsToMm[i] >= 0) field.cornerCut[corner] = i;
        below = tops[i];
      }
    }
  }
}

/** Number of the cell that a spot on the floor lies in. */
export function cellAt({ columns, rows, dxMm, dyMm }: Cells, x: number, y: number): number {
  const column = Math.min(columns - 1, Math.floor(x / dxMm));
  const row = Math.min(rows - 1, Math.floor(y / dyMm));
  return row * columns + column;
}

/** Whether a region has a spot, from its cover of the spot's cell; only at its edge is the outline asked. */
export function regionHas(region: Polygon, share: number, x: number, y: number): boolean {
  if (share < 1e-9) return false;
  return share > 1 - 1e-9 || polygonContains(region, x, y);
}

/** A hair, mm: a spot on a wall is looked up that far inside, so that a region ending at the glass has it. */
const HAIR_MM = 1e-6;

function inward({ columns, rows, dxMm, dyMm }: Cells, x: number, y: number): [number, number] {
  return [hairWithin(x, columns * dxMm), hairWithin(y, rows * dyMm)];
}

function hairWithin(v: number, most: number): number {
  return Math.min(Math.max(v, HAIR_MM), most - HAIR_MM);
}

/** Which layers' regions have a spot, 1 or 0 each, written into `inside`. */
function regionsWithin(field: BedField, x: number, y: number, inside: Uint8Array): void {
  const { stack, coverage, columns, dxMm, rows, dyMm } = field;
  const u = hairWithin(x, columns * dxMm);
  const v = hairWithin(y, rows * dyMm);
  const cell = cellAt(field, u, v);
  for (let i = 0; i < stack.count; i++) {
    const region = stack.regions[i];
    inside[i] = !region || regionHas(region, coverage[i]![cell], u, v) ? 1 : 0;
  }
}

/** Upper surface of every layer at one spot, mm; spots outside the floor are taken at the nearest wall. */
export function layerTopsAt(field: BedField, xMm: number, yMm: number): Float64Array {
  const x = Math.min(Math.max(xMm, 0), field.columns * field.dxMm);
  const y = Math.min(Math.max(yMm, 0), field.rows * field.dyMm);
  const inside = new Uint8Array(field.stack.count);
  const tops = new Float64Array(field.stack.count);
  regionsWithin(field, x, y, inside);
  const drawn = new DrawnAlong(field.stack, Float64Array.of(x));
  drawn.at(y);
  layersAt(field.stack, drawn, 0, inside, tops);
  return tops;
}

/** Height of the bed's surface at one spot, mm. */
export function surfaceAt(field: BedField, xMm: number, yMm: number): number {
  const tops = layerTopsAt(field, xMm, yMm);
  return tops.length > 0 ? tops[tops.length - 1] : 0;
}
