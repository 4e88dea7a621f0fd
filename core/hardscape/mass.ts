import type { Material } from '../commission/schema';
import { MM3_PER_L } from '../units/volume';

/** Density when a material of a piece has none: that of quartz-bearing rock, 2.65 kg/L (from memory). */
const USUAL_STONE_KG_PER_L = 2.65;

export function densityOf(material: Pick<Material, 'densityKgPerL'> | undefined): number {
  return material?.densityKgPerL ?? USUAL_STONE_KG_PER_L;
}

/** Mass of a piece as weighed, otherwise volume times density, kg: a litre of rock that nobody knows, 2.65 kg. */
export function massKgOf(
  { massKg }: { massKg?: number },
  volumeMm3: number,
  material: Pick<Material, 'densityKgPerL'> | undefined,
): number {
  return massKg ?? (volumeMm3 / MM3_PER_L) * densityOf(material);
}
