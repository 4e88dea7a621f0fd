import { daysFrom } from '../calendar/day';
import { materialOf } from '../commission/lookup';
import { pieceOrigin, pieceState } from '../commission/origin';
import type { Commission, Piece } from '../commission/schema';
import { massAsItIsKg } from '../hardscape/mass';
import type { Standing } from '../hardscape/settle';

/** How wet a piece is on the day it is set: what soaks since a day has sunk once its material's days are over. */
export function stateOnBuildDay(commission: Commission, piece: Piece): NonNullable<Piece['state']> {
  const state = pieceState(piece, pieceOrigin(commission, piece));
  if (state !== 'soaking' || !piece.soakingSince) return state;
  const days = materialOf(commission, piece.material).soakDays ?? 0;
  return daysFrom(piece.soakingSince, commission.brief.buildDay) >= days ? 'sunk' : 'soaking';
}

/** Mass of a piece as it is set on that day, kg: what has sunk has drunk. */
export function massOnBuildDay(commission: Commission, { piece, columns }: Standing): number {
  const material = materialOf(commission, piece.material);
  return massAsItIsKg(piece, columns.volumeMm3, material, stateOnBuildDay(commission, piece));
}
