import type { Plant, Planting } from '../commission/schema';
import { polygonContains, type Polygon } from '../geometry/polygon';
import { slopedAreaMm2, slopeFactor, thinnestUnder, type DepthSpot } from '../planting/region';
import { plugsFor } from '../planting/plugs';
import { remembered, type SurveyMemo } from './memo';
import type { SurveyInput } from './survey';

export interface PlantingSurvey {
  id: string;
  plant: string;
  /** Surface of the bed in the region along the slope, what stands in it, and what is left to plant, m². */
  slopedM2: number;
  standingM2: number;
  netM2: number;
  plugs: number;
  /** Thinnest soil under it and where; left out where nothing roots in the bed. */
  thinnest?: DepthSpot;
}

/** Measures every planting: by area where it has a region, otherwise as counted. */
export function surveyPlantings(
  input: SurveyInput,
  memo: SurveyMemo,
  plantOf: (id: string) => Plant,
): PlantingSurvey[] {
  const rooting = input.bedMaterials.map((m) => m.kind !== 'filler');
  return input.option.plants.map((planting) => {
    const { id, plant, region, spacingMm } = planting;
    const counted = { id, plant, slopedM2: 0, standingM2: 0, netM2: 0, plugs: planting.count ?? 0 };
    if (!region) return counted;
    const key = [input.field, JSON.stringify(region), rooting.join()];
    const bare = remembered(memo.slot(memo.areas, `planting ${id}`), key, () => ({
      sloped: slopedAreaMm2(input.field, region),
      thinnest: thinnestUnder(input.field, region, rooting),
    })) as { sloped: number; thinnest?: DepthSpot };
    const standing = standingMm2(input, planting, region, memo);
    const net = Math.max(0, bare.sloped - standing);
    return {
      ...counted,
      slopedM2: bare.sloped / 1e6,
      standingM2: standing / 1e6,
      netM2: net / 1e6,
      plugs: planting.count ?? (spacingMm === undefined ? 0 : plugsFor(net, spacingMm)),
      ...(plantOf(plant).roots === 'bed' && bare.thinnest ? { thinnest: bare.thinnest } : {}),
    };
  });
}

/** Surface inside a region that pieces stand on, mm², measured along the slope like the region itself. */
function standingMm2(input: SurveyInput, planting: Planting, region: Polygon, memo: SurveyMemo): number {
  const { field, standing, displaced } = input;
  const shape = JSON.stringify(region);
  let area = 0;
  displaced.forEach((d, i) => {
    const slot = memo.slot(memo.areas, `standing ${planting.id} ${standing[i].piece.id}`);
    area += remembered(slot, [d, shape, field], () => {
      let mm2 = 0;
      for (let k = 0; k < d.footXY.length; k += 2) {
        const [x, y] = [d.footXY[k], d.footXY[k + 1]];
        if (!polygonContains(region, x, y)) continue;
        const column = Math.min(field.columns - 1, Math.floor(x / field.dxMm));
        const row = Math.min(field.rows - 1, Math.floor(y / field.dyMm));
        mm2 += d.footMm2 * slopeFactor(field, column, row);
      }
      return mm2;
    }) as number;
  });
  return area;
}
