import { DoubleSide, Mesh, type Color } from 'three';
import { coloured } from './grain';
import type { Place, Seen } from './place';
import { matte, type Relief } from './relief';

/** What a layer looks like. */
export interface LayerLook {
  colour: Color;
  grain: number;
  relief: Relief | undefined;
}

/** Parts of a cell across, where two materials meet in it. */
const PARTS = 5;

/** Corners of a cell: front left, front right, back left, back right. */
export function cornersOf(
  { columns }: Seen['field'],
  c: number,
  r: number,
): [number, number, number, number] {
  const k = r * (columns + 1) + c;
  return [k, k + 1, k + columns + 1, k + columns + 2];
}

/** Whether a cell is of the bed: within its rows, and with a corner inside the glass. */
export function isOfBed(field: Seen['field'], c: number, r: number): boolean {
  const { columns, rows, inside } = field;
  if (c < 0 || r < 0 || c >= columns || r >= rows) return false;
  return !inside || cornersOf(field, c, r).some((k) => inside[k]);
}

/** Whether the corners of a cell are of more than one layer. */
export function isSeam(field: Seen['field'], c: number, r: number): boolean {
  const [first, ...others] = cornersOf(field, c, r).map((k) => field.cornerLayer[k]);
  return others.some((layer) => layer !== first);
}

/** Cells in which two materials meet, in small parts of one of them each: up close an edge of sand is a line, not a run of colours. */
export function bedSeams(
  { field }: Seen,
  layers: readonly LayerLook[],
  bare: LayerLook,
  place: Place,
): Mesh[] {
  const { columns, rows, dxMm, dyMm, cornerMm, cornerLayer } = field;
  const made = new Map<LayerLook, { position: number[]; index: number[] }>();
  for (let r = 0; r < rows; r++)
    for (let c = 0; c < columns; c++) {
      if (!isOfBed(field, c, r) || !isSeam(field, c, r)) continue;
      const corners = cornersOf(field, c, r);
      const high = (u: number, v: number) => weights(u, v).reduce((sum, w, i) => sum + w * cornerMm[corners[i]], 0); // prettier-ignore
      const spot = (i: number, j: number) => place((c + i / PARTS) * dxMm, (r + j / PARTS) * dyMm, high(i / PARTS, j / PARTS)); // prettier-ignore
      for (let j = 0; j < PARTS; j++)
        for (let i = 0; i < PARTS; i++) {
          const layer = heaviest(corners, cornerLayer, weights((i + 0.5) / PARTS, (j + 0.5) / PARTS));
          const look = layers[layer] ?? bare;
          const own = made.get(look) ?? { position: [], index: [] };
          made.set(look, own);
          const first = own.position.length / 3;
          own.position.push(...spot(i, j), ...spot(i + 1, j), ...spot(i, j + 1), ...spot(i + 1, j + 1));
          own.index.push(first, first + 1, first + 2, first + 1, first + 3, first + 2);
        }
    }
  return [...made].map(([{ colour, relief }, { position, index }]) => {
    const tint = Float32Array.from(position, (_, i) => [colour.r, colour.g, colour.b][i % 3]);
    const geometry = coloured(Float32Array.from(position), tint, index);
    const mesh = new Mesh(geometry, matte(false, { vertexColors: true, side: DoubleSide }, relief));
    mesh.receiveShadow = true;
    return mesh;
  });
}

/** How much of each corner of a cell is in a spot of it. */
const weights = (u: number, v: number) => [(1 - u) * (1 - v), u * (1 - v), (1 - u) * v, u * v];

/** The layer that has most of a spot. */
function heaviest(corners: readonly number[], layerOf: ArrayLike<number>, weight: readonly number[]): number {
  const share = new Map<number, number>();
  corners.forEach((k, i) => share.set(layerOf[k], (share.get(layerOf[k]) ?? 0) + weight[i]));
  return [...share].reduce((a, b) => (b[1] > a[1] ? b : a))[0];
}
