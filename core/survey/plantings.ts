import { hasRoom } from '../planting/positions';
import { standsOn } from '../planting/standsOn';
import type { Plant } from '../commission/schema';
import { spacingOf } from '../planting/spacing';
import { cellCoverage } from '../geometry/coverage';
import { polygonBounds, type Polygon } from '../geometry/polygon';
import { topLayer } from '../substrate/faces';
import { cellAt, regionHas } from '../substrate/bedField';
import { rootableMm, slopedAreaMm2, slopeFactors, thinnestUnder, type DepthSpot } from '../planting/region';
import { plugsFor } from '../planting/plugs';
import { remembered, type SurveyMemo } from './memo';
import type { SurveyInput } from './input';

export interface PlantingSurvey {
  id: string;
  plant: string;
  /** Surface of the bed in the region along the slope, what stands in it, and what is left to plant, m². */
  slopedM2: number;
  standingM2: number;
  netM2: number;
  plugs: number;
  /** How far apart they stand, as said or as usual, mm; left out for what is counted without a region. */
  spacingMm?: number;
  /** Layers that are the surface in a part of it that matters: it roots through these. */
  over: string[];
  /** Thinnest soil under it and where; left out where nothing roots in the bed. */
  thinnest?: DepthSpot;
}

/** Where less than this part of a region is free, it is looked whether a hand finds room there: under an overhang nothing is set. */
const SCARCE = 0.3;

/** Measures every planting: by area where it has a region, otherwise as counted. */
export function surveyPlantings(
  input: SurveyInput,
  memo: SurveyMemo,
  plantOf: (id: string) => Plant,
): PlantingSurvey[] {
  const rooting = input.bedMaterials.map((m) => m.kind !== 'filler');
  const depthMm = remembered(memo.slot(memo.areas, 'rootable'), [input.field, rooting.join()], () =>
    rootableMm(input.field, rooting),
  ) as Float64Array;
  return input.option.plants.map((planting) => {
    const { id, plant, region } = planting;
    const counted = { id, plant, slopedM2: 0, standingM2: 0, netM2: 0, plugs: planting.count ?? 0, over: [] }; // prettier-ignore
    if (!region) return counted;
    const spacingMm = spacingOf(input.commission, planting, plantOf(plant))!;
    const ring = JSON.stringify(region);
    const bare = remembered(
      memo.slot(memo.areas, `planting ${id}`),
      [input.field, ring, rooting.join()],
      () => {
        const share = cellCoverage(input.field, region);
        const sloped = slopedAreaMm2(input.field, share);
        const over = surfaceLayers(input, share);
        return { share, sloped, over, thinnest: thinnestUnder(input.field, region, rooting, depthMm, share) };
      },
    ) as { share: Float64Array; sloped: number; over: string[]; thinnest?: DepthSpot };
    // While an edge of the vessel is dragged pieces cover what they last covered, as they displace it.
    const key = memo.rough ? ring : bare.share;
    const standing = standingMm2(input, id, region, bare.share, key, memo);
    const free = Math.max(0, bare.sloped - standing);
    const isNowhere = free > 0 && free < SCARCE * bare.sloped && !hasRoom(input.field, region, standsOn(input.field, input.standing)); // prettier-ignore
    const net = isNowhere ? 0 : free * (planting.share ?? 1);
    return {
      ...counted,
      slopedM2: bare.sloped / 1e6,
      standingM2: standing / 1e6,
      netM2: net / 1e6,
      over: bare.over,
      plugs: planting.count ?? plugsFor(net, spacingMm),
      spacingMm,
      ...(plantOf(plant).roots === 'bed' && bare.thinnest ? { thinnest: bare.thinnest } : {}),
    };
  });
}

/** Surface inside a region that pieces stand on, mm², measured along the slope like the region itself. */
function standingMm2(
  { field, standing, displaced }: SurveyInput,
  id: string,
  region: Polygon,
  share: Float64Array,
  key: unknown,
  memo: SurveyMemo,
): number {
  let area = 0;
  const factors = slopeFactors(field);
  const [left, front, right, back] = polygonBounds(region);
  displaced.forEach((d, i) => {
    const { columns, xMm, yMm } = standing[i];
    const { lo, hi } = columns.extent;
    if (xMm + hi[0] < left || xMm + lo[0] > right || yMm + hi[1] < front || yMm + lo[1] > back) return;
    const slot = memo.slot(memo.areas, `standing ${id} ${standing[i].piece.id}`);
    area += remembered(slot, [d.footXY, key], () => {
      let mm2 = 0;
      for (let k = 0; k < d.footXY.length; k += 2) {
        const [x, y] = [d.footXY[k], d.footXY[k + 1]];
        const cell = cellAt(field, x, y);
        if (!regionHas(region, share[cell], x, y)) continue;
        mm2 += d.footMm2 * factors[cell];
      }
      return mm2;
    }) as number;
  });
  return area;
}

/** A layer that is the surface in less than this part of a region is not what is planted. */
const PART = 0.1;

/** Layers that are uppermost in at least a tenth of a region, from the bottom up. */
function surfaceLayers({ field, option }: SurveyInput, share: Float64Array): string[] {
  const area = new Float64Array(option.bed.length);
  let whole = 0;
  for (let cell = 0; cell < share.length; cell++) {
    if (share[cell] <= 0) continue;
    whole += share[cell];
    const top = topLayer(field, cell);
    if (top >= 0) area[top] += share[cell];
  }
  return option.bed.filter((_, i) => area[i] > PART * whole).map((l) => l.id);
}
