import { floorShare, type BedField } from './bedField';

/** A step in the bed's surface across one edge between two cells. */
export interface Face {
  /** The uppermost layer of the higher side: what slides. */
  layer: number;
  heightMm: number;
  /** Surface of the lower side, mm above the glass. */
  lowMm: number;
  lengthMm: number;
  xyMm: [number, number];
}

/** Thinner than this a layer has run out, mm. */
export const ABSENT_MM = 0.5;

/**
 * Steps where the uppermost layer ends: a soil face over a sand path, the side of a terrace. What the surface rises
 * within a layer is a slope and judged as such.
 * Valid for steps drawn as edges of layers. Leaves out: steps smaller than a cell.
 * Test: faces.test.ts, "finds the face of 108 mm that a layer of soil has where it ends, and its length".
 */
export function facesOf(field: BedField, leastMm = 0): Face[] {
  const { columns, rows, dxMm, dyMm } = field;
  const faces: Face[] = [];
  const top = new Int16Array(columns * rows).map((_, cell) => topLayer(field, cell));
  const across = (a: number, b: number, lengthMm: number, x: number, y: number) => {
    if (top[a] === top[b] || floorShare(field, a) < 0.5 || floorShare(field, b) < 0.5) return;
    const rise = field.surfaceMm[b] - field.surfaceMm[a];
    if (Math.abs(rise) <= leastMm) return;
    const [low, high] = rise > 0 ? [a, b] : [b, a];
    // Where the higher side has the same layers and one more, it is that layer that ends here.
    if (top[high] < 0) return;
    faces.push({
      layer: top[high],
      heightMm: Math.abs(rise),
      lowMm: field.surfaceMm[low],
      lengthMm,
      xyMm: [x, y],
    });
  };
  for (let row = 0; row < rows; row++) {
    for (let column = 0; column < columns; column++) {
      const cell = row * columns + column;
      if (column + 1 < columns) across(cell, cell + 1, dyMm, (column + 1) * dxMm, (row + 0.5) * dyMm);
      if (row + 1 < rows) across(cell, cell + columns, dxMm, (column + 0.5) * dxMm, (row + 1) * dyMm);
    }
  }
  return faces;
}

/** The uppermost layer of a cell, -1 on bare glass. */
export function topLayer({ thicknessMm }: Pick<BedField, 'thicknessMm'>, cell: number): number {
  for (let i = thicknessMm.length - 1; i >= 0; i--) if (thicknessMm[i][cell] > ABSENT_MM) return i;
  return -1;
}
