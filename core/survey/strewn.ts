import { isRubble } from '../commission/rubble';
import type { Material, Strewn } from '../commission/schema';
import { densityOf } from '../hardscape/mass';
import { bulkKgPerL } from './masses';
import { USUAL_PORES } from './pores';

/** How much of something is strewn: as it lies, by weight, and what of its litres is stone and not gaps. */
export interface StrewnAmount {
  id: string;
  litres: number;
  massKg: number;
  solidL: number;
}

/** Gaps between loosely strewn pieces of broken stone, as a share of what they fill (from memory: 0.40 to 0.50). */
const STONE_PORES = 0.45;

/**
 * Litres, kilograms and solid litres of what is strewn, from the one that was said. 3 kg of a stone of 2.7 kg/L are 1.11 L of
 * stone, and lie as 2.02 L; 1 L of sand of 1.5 kg/L weighs 1.5 kg and takes the place of 0.6 L of water.
 * Valid for what lies loose. Leaves out: what sinks between the grains of the bed below it.
 * Test: strewn.test.ts, "is the same amount by litres and by weight".
 */
export function strewnAmount(
  { id, litres, massKg }: Pick<Strewn, 'id' | 'litres' | 'massKg'>,
  material: Material,
): StrewnAmount {
  const isStone = isRubble(material);
  const solid = 1 - (material.pores ?? (isStone ? STONE_PORES : USUAL_PORES));
  const kgPerL = isStone ? densityOf(material) * solid : bulkKgPerL(material);
  const lies = litres ?? (massKg ?? 0) / kgPerL;
  return { id, litres: lies, massKg: massKg ?? lies * kgPerL, solidL: lies * solid };
}
