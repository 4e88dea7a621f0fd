import type { Piece } from '../commission/schema';
import { surfaceAt, type BedField } from '../substrate/bedField';
import type { Columns } from './columns';

/** A piece cut into columns and set at its place: `zMm` is the height of its own origin. */
export interface Standing {
  piece: Piece;
  columns: Columns;
  xMm: number;
  yMm: number;
  zMm: number;
  /** False when it is said to rest on a piece that it does not lie above. */
  supported: boolean;
}

/** Height above the glass of the lowest and the highest point of a standing piece, mm. */
export function lowestMm({ zMm, columns }: Standing): number {
  return zMm + columns.extent.lo[2];
}

export function highestMm({ zMm, columns }: Standing): number {
  return zMm + columns.extent.hi[2];
}

/**
 * Sets one piece: buried in the bed, on the glass, hanging at a height, or let down upon another piece until
 * they touch. Pieces that it may rest on must already stand.
 */
export function settle(
  piece: Piece,
  columns: Columns,
  field: BedField,
  standing: ReadonlyMap<string, Standing>,
): Standing {
  const [xMm, yMm] = piece.at;
  const low = columns.extent.lo[2];
  const placed = { piece, columns, xMm, yMm, zMm: 0, supported: true };
  const { stand } = piece;
  switch (stand.kind) {
    case 'bed':
      return { ...placed, zMm: surfaceAt(field, xMm, yMm) - stand.buryMm - low };
    case 'floor':
      return { ...placed, zMm: (stand.pad ?? 0) - low };
    case 'at':
      return { ...placed, zMm: stand.zMm - low };
    case 'on': {
      const below = standing.get(stand.piece);
      const zMm = below && contactMm(placed, below);
      if (zMm === undefined) return { ...placed, zMm: surfaceAt(field, xMm, yMm) - low, supported: false };
      return { ...placed, zMm };
    }
    default:
      return stand satisfies never;
  }
}

/** Height of the upper piece's origin at which it first touches the lower one from above. */
function contactMm(upper: Standing, lower: Standing): number | undefined {
  const { columns: u } = upper;
  const { columns: l } = lower;
  let contact: number | undefined;
  for (let row = 0, c = 0; row < u.rows; row++) {
    const y = upper.yMm + u.y0 + row * u.dyMm - lower.yMm;
    const lowerRow = Math.round((y - l.y0) / l.dyMm);
    for (let column = 0; column < u.columns; column++, c++) {
      if (u.first[c] === u.first[c + 1] || lowerRow < 0 || lowerRow >= l.rows) continue;
      const x = upper.xMm + u.x0 + column * u.dxMm - lower.xMm;
      const lowerColumn = Math.round((x - l.x0) / l.dxMm);
      if (lowerColumn < 0 || lowerColumn >= l.columns) continue;
      const k = lowerRow * l.columns + lowerColumn;
      if (l.first[k] === l.first[k + 1]) continue;
      const z = lower.zMm + l.hi[l.first[k + 1] - 1] - u.lo[u.first[c]];
      if (contact === undefined || z > contact) contact = z;
    }
  }
  return contact;
}

/** Pieces in an order in which each comes after the one it rests on. */
export function settlingOrder(pieces: readonly Piece[]): Piece[] {
  const byId = new Map(pieces.map((p) => [p.id, p]));
  const done = new Set<string>();
  const order: Piece[] = [];
  const visit = (piece: Piece) => {
    if (done.has(piece.id)) return;
    done.add(piece.id);
    if (piece.stand.kind === 'on') {
      const below = byId.get(piece.stand.piece);
      if (below) visit(below);
    }
    order.push(piece);
  };
  pieces.forEach(visit);
  return order;
}
