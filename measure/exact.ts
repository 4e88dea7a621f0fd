import Module, { type Manifold } from 'manifold-3d';
import type { Commission } from '../core/commission/schema';
import { rotation, turned } from '../core/geometry/rotation';
import { solidMesh } from '../core/hardscape/solid';
import type { BedField } from '../core/substrate/bedField';
import type { Survey } from '../core/survey/survey';

/** The volumes that a move changes, by exact booleans of triangle meshes: what the survey is held against. */
export interface ExactBench {
  /** Volume of every piece in the bed, mm³, with all pieces and the bed built anew. */
  inBed(commission: Commission, survey: Survey): number[];
}

export async function exactBench(field: BedField): Promise<ExactBench> {
  const wasm = await Module();
  wasm.setup();
  const { Manifold, Mesh } = wasm;
  const bed = Manifold.ofMesh(new Mesh(bedMesh(field)));
  return {
    inBed: (commission, survey) =>
      commission.options[0].pieces.map((piece, i) => {
        const { vertices, faces } = solidMesh(piece.shape);
        const v = turned(vertices, rotation(piece.turnDeg, piece.tiltDeg));
        const solid = Manifold.ofMesh(
          new Mesh({ numProp: 3, vertProperties: Float32Array.from(v), triVerts: faces }),
        );
        const placed = solid.translate([piece.at[0], piece.at[1], survey.pieces[i].zMm]);
        const both: Manifold = placed.intersect(bed);
        const volume = both.volume();
        for (const m of [solid, placed, both]) m.delete();
        return volume;
      }),
  };
}

/** The bed as a closed mesh: its corners on top, the same corners on the glass below, walls around. */
function bedMesh({ columns, rows, dxMm, dyMm, cornerMm }: BedField) {
  const n = columns + 1;
  const count = n * (rows + 1);
  const vertProperties = new Float32Array(count * 6);
  for (let i = 0; i < count; i++) {
    const [x, y] = [(i % n) * dxMm, Math.floor(i / n) * dyMm];
    vertProperties.set([x, y, cornerMm[i]], i * 3);
    vertProperties.set([x, y, 0], (count + i) * 3);
  }
  const tri: number[] = [];
  for (let r = 0; r < rows; r++)
    for (let c = 0; c < columns; c++) {
      const k = r * n + c;
      tri.push(k, k + 1, k + n + 1, k, k + n + 1, k + n);
      tri.push(count + k, count + k + n + 1, count + k + 1, count + k, count + k + n, count + k + n + 1);
    }
  const wall = (a: number, b: number) => tri.push(a, count + a, count + b, a, count + b, b);
  for (let c = 0; c < columns; c++) {
    wall(c, c + 1);
    wall(rows * n + c + 1, rows * n + c);
  }
  for (let r = 0; r < rows; r++) {
    wall((r + 1) * n, r * n);
    wall(r * n + columns, (r + 1) * n + columns);
  }
  return { numProp: 3, vertProperties, triVerts: Uint32Array.from(tri) };
}
