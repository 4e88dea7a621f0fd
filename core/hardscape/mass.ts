import { isSunk } from '../commission/origin';
import type { Material, Piece } from '../commission/schema';
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

/** Wood that has sunk is at least so dense, kg/L: it lies on the floor of a tank (common practice). */
export const SUNK_KG_PER_L = 1.02;

/**
 * Mass of a piece in the state that it is in, kg: wood that has sunk has drunk, and weighs its soaked density however
 * light it was when it was dry.
 */
export function massAsItIsKg(
  piece: { massKg?: number },
  volumeMm3: number,
  material: Pick<Material, 'densityKgPerL' | 'soakedKgPerL'> | undefined,
  state: NonNullable<Piece['state']>,
): number {
  const dry = massKgOf(piece, volumeMm3, material);
  if (!isSunk(state)) return dry;
  return Math.max(dry, (Math.max(material?.soakedKgPerL ?? 0, SUNK_KG_PER_L) * volumeMm3) / MM3_PER_L);
}
