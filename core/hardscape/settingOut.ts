import type { Material, Option, Piece } from '../commission/schema';
import { settlingOrder } from './settle';

/** A piece on the setting-out sheet: its number in the order of placing, and where it goes. */
export interface SetPiece {
  n: number;
  piece: Piece;
}

/** Measured figures of a piece that decide when it is set. */
interface Heavy {
  id: string;
  massKg: number;
}

/**
 * Pieces in the order in which they are set: what stands on the glass, then stones from the heaviest on, then wood; each
 * after the one that it rests on.
 */
export function settingOut(
  { pieces }: Pick<Option, 'pieces'>,
  surveyed: readonly Heavy[],
  kindOf: (piece: Piece) => Material['kind'],
): SetPiece[] {
  const massOf = new Map(surveyed.map((s) => [s.id, s.massKg]));
  const rank = (p: Piece) => (p.stand.kind === 'floor' ? 0 : kindOf(p) === 'wood' ? 2 : 1);
  const heaviest = [...pieces].sort(
    (a, b) => rank(a) - rank(b) || (massOf.get(b.id) ?? 0) - (massOf.get(a.id) ?? 0),
  );
  return settlingOrder(heaviest).map((piece, i) => ({ n: i + 1, piece }));
}
