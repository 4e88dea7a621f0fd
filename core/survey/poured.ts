import { materialOf } from '../commission/lookup';
import { layerOrigin, partsOf } from '../commission/origin';
import type { Commission, Layer, Material } from '../commission/schema';
import { pouredL } from '../substrate/pour';

/** What a layer has of one material: all of it, or its share of a mixture. Litres as poured, before it settles. */
export interface LayerPart {
  material: Material;
  share: number;
  pouredL: number;
  /** What of it is not in the tank yet, and of that what is bought. */
  broughtL: number;
  boughtL: number;
}

/**
 * What is poured of a layer that measures so many litres, material by material: each settles in its own way. What stays in
 * the tank is brought by nobody; a layer of which something is there is topped up with what is bought. 2 L measured of a soil
 * that settles 7 %, of which 1 L is there: 2.15 L poured, 1.15 L of them bought.
 */
export function layerParts(commission: Pick<Commission, 'brief' | 'catalogue'>, layer: Layer, volumeL: number): LayerPart[] {
  const origin = layerOrigin(commission.brief, layer);
  const parts = partsOf(layer).map(({ material: id, share }) => {
    const material = materialOf(commission, id);
    return { material, share, pouredL: pouredL(volumeL, material.settles) * share };
  });
  const whole = litresOf(parts, 'pouredL');
  const stays = origin === 'here' && layer.presentL === undefined;
  const brought = stays ? 0 : Math.max(0, whole - (layer.presentL ?? 0));
  const isBought = origin === 'bought' || layer.presentL !== undefined;
  return parts.map((part) => {
    const broughtL = whole > 0 ? part.pouredL * (brought / whole) : 0;
    return { ...part, broughtL, boughtL: isBought ? broughtL : 0 };
  });
} // prettier-ignore

/** Litres of all parts together. */
export function litresOf<K extends string>(parts: readonly Record<K, number>[], of: K): number {
  return parts.reduce((sum, part) => sum + part[of], 0);
}
