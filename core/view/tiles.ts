/** Papers on which a floor is printed in its own size, mm; A by ISO 216, Letter 8.5 × 11 in (ANSI Y14.1). */
export const PAPERS = {
  A4: [210, 297],
  A3: [297, 420],
  Letter: [215.9, 279.4],
} as const;
export type Paper = keyof typeof PAPERS;

/** Printers leave a margin, and sheets lap over each other to be taped, mm. */
export const MARGIN_MM = 10;
export const LAP_MM = 10;

/** One sheet of a floor in its own size: its name by row and column, and the part of the floor it shows, mm. */
export interface Tile {
  name: string;
  x: number;
  y: number;
  w: number;
  h: number;
}

export interface Tiling {
  /** Width and height of the paper as it lies in the printer, mm. */
  paperMm: readonly [number, number];
  columns: number;
  rows: number;
  tiles: Tile[];
}

/**
 * A floor on sheets of paper, upright or lying, whichever takes fewer. Rows begin at the front, A1 in the front left
 * corner. Every spot is on at least one sheet, and neighbours show a strip of each other.
 * Valid for floors of any size. Leaves out: printers that scale, for which a line of 100 mm is printed along.
 * Test: tiles.test.ts, "shows every spot, and each neighbour’s edge".
 */
export function tiled(lengthMm: number, widthMm: number, paper: Paper): Tiling {
  const [short, long] = PAPERS[paper];
  const upright = laid(lengthMm, widthMm, [short, long]);
  const lying = laid(lengthMm, widthMm, [long, short]);
  return lying.tiles.length < upright.tiles.length ? lying : upright;
}

function laid(lengthMm: number, widthMm: number, paperMm: readonly [number, number]): Tiling {
  const [w, h] = paperMm.map((mm) => mm - 2 * MARGIN_MM);
  const count = (side: number, own: number) =>
    Math.max(1, Math.ceil((side - LAP_MM) / (own - LAP_MM) - 1e-9));
  const [columns, rows] = [count(lengthMm, w), count(widthMm, h)];
  const tiles: Tile[] = [];
  for (let row = 0; row < rows; row++)
    for (let column = 0; column < columns; column++)
      tiles.push({
        name: `${String.fromCharCode(65 + (row % 26))}${column + 1}`,
        x: column * (w - LAP_MM),
        y: row * (h - LAP_MM),
        w,
        h,
      });
  return { paperMm, columns, rows, tiles };
}
