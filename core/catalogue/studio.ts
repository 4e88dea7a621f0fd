import type { Brief, Catalogue, Piece } from '../commission/schema';
import type { House } from './house';

/** A piece of the yard: what a piece is before it has a place in a scape. */
export type YardPiece = Pick<Piece, 'id' | 'material' | 'shape' | 'massKg' | 'faceDeg' | 'grainDeg'> & {
  client?: boolean;
  /** The piece that it was split or broken off from. */
  partOf?: string;
  /** Name of its photograph. */
  photo?: string;
};

/** What a piece of the yard takes along into a commission: where it came from and how it looks stays in the yard. */
export function forPlacing({ client: _c, partOf: _p, photo: _f, ...own }: YardPiece) {
  return own;
}

type Owned = NonNullable<Brief['owned']>[number];

/** A piece of the client's as the yard shows it: a rounded block of its sizes, marked as theirs. */
export function clientPiece({ id, material, sizeMm, massKg }: Owned): YardPiece {
  return { id, material, shape: { kind: 'ellipsoid', sizeMm }, ...(massKg ? { massKg } : {}), client: true };
}

/** What belongs to the studio and not to one commission. */
export interface Studio extends House {
  catalogue: Catalogue;
  yard: YardPiece[];
}
