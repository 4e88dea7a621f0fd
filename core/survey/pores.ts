import type { Material } from '../commission/schema';
import { floorShare, type BedField } from '../substrate/bedField';
import type { LayerSurvey } from './layers';

/** Space between grains when the material does not say: loosely packed grains, 0.40 (common practice). */
export const USUAL_PORES = 0.4;

/**
 * Water between the grains of the bed below a height, L; `sharesBelow` is how much of each layer lies below it. 3.6 L of
 * sand under water hold 1.44 L, and a bed whose surface is the water line holds as much.
 * Valid for grains that are wet through. Leaves out: air that stays in a bed flooded fast.
 * Test: waterByHeight.test.ts, "fills the pores of a bed that ends at the water line".
 */
export function poreWaterL(
  layers: readonly LayerSurvey[],
  materials: readonly Pick<Material, 'pores'>[],
  sharesBelow: readonly number[],
): number {
  return layers.reduce(
    (litres, layer, i) => litres + (materials[i].pores ?? USUAL_PORES) * layer.volumeL * sharesBelow[i],
    0,
  );
}

/** Part of a layer that lies below a height, 1 when it is all of it. */
export function shareBelow(field: BedField, layer: number, upToMm: number): number {
  let whole = 0;
  let below = 0;
  const mm = field.thicknessMm[layer];
  const bottom = new Float64Array(mm.length);
  for (let i = 0; i < layer; i++) {
    const under = field.thicknessMm[i];
    for (let cell = 0; cell < mm.length; cell++) bottom[cell] += under[cell];
  }
  for (let cell = 0; cell < mm.length; cell++) {
    if (mm[cell] <= 0) continue;
    const share = floorShare(field, cell);
    whole += share * mm[cell];
    below += share * Math.min(mm[cell], Math.max(0, upToMm - bottom[cell]));
  }
  return whole > 0 ? below / whole : 0;
}
