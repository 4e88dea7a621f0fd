import { FRESH_WATER_KG_PER_L } from '../hardscape/buoyancy';
import { isLeftStanding, type Resolved } from '../resolved/resolved';
import { sittingsOf } from '../sittings/sittings';
import { bulkKgPerL } from '../survey/masses';
import type { Survey } from '../survey/survey';

/** A scape that was built at the studio, and is carried in with its tank. */
export interface Carried {
  /** Of bed and pieces, and of the water between the grains where plants are in it, kg. */
  bedKg: number;
  piecesKg: number;
  poreKg: number;
  kg: number;
  pieces: string[];
  isPlanted: boolean;
}

/**
 * What is in the tank when it is carried in; undefined where it is built where it stands.
 * Valid for water let out down to the bed. Leaves out: the tank itself, its board, and what clings to wet stone.
 * Test: carried.test.ts, "is what was set and poured at the studio, damp where plants are in it".
 */
export function carriedScape(commission: Resolved, survey: Survey): Carried | undefined {
  const away = new Set(sittingsOf(commission).filter((s) => s.isAway && s.aheadDays >= 0).map((s) => s.id));
  if (away.size === 0) return undefined;
  const bedKg = [...commission.layers.values()]
    .filter((l) => away.has(l.sitting))
    .flatMap((l) => l.parts)
    .reduce((kg, p) => kg + p.pouredL * bulkKgPerL(p.material), 0);
  const set = survey.pieces.filter((p) => {
    const piece = commission.pieces.get(p.id)!;
    return away.has(piece.sitting) && !isLeftStanding(piece);
  });
  const isPlanted = [...commission.plantings.values()].some((p) => away.has(p.sitting));
  const strewn = commission.strewn.filter((s) => away.has(s.sitting) && s.origin !== 'here');
  const piecesKg = [...set, ...strewn.map((s) => s.amount)].reduce((kg, p) => kg + p.massKg, 0);
  const poreKg = isPlanted ? survey.poreWaterL * FRESH_WATER_KG_PER_L : 0;
  const kg = bedKg + piecesKg + poreKg;
  return kg > 0 ? { bedKg, piecesKg, poreKg, kg, pieces: set.map((p) => p.id), isPlanted } : undefined;
} // prettier-ignore
