import type { Catalogue, Piece } from '../commission/schema';

/** A piece of the yard: what a piece is before it has a place in a scape. */
export type YardPiece = Pick<Piece, 'id' | 'material' | 'shape' | 'massKg'>;

/** What belongs to the studio and not to one commission. */
export interface Studio {
  name: string;
  phone?: string;
  /** ISO 4217 code for new commissions. */
  currency: string;
  catalogue: Catalogue;
  yard: YardPiece[];
}
