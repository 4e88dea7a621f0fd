import type { Material, Vessel } from '../commission/schema';
import { pouredL } from '../substrate/pour';
import { kilonewtonsFromKg } from '../units/mass';
import { footprintM2, glassKg } from '../vessel/glass';
import { FRESH_WATER_KG_PER_L } from '../hardscape/buoyancy';
import type { PieceSurvey } from './pieces';

/** What bears on the floor, kg, part by part, and spread over what stands on it. */
export interface MassSurvey {
  glassKg: number;
  waterKg: number;
  bedKg: number;
  piecesKg: number;
  standKg: number;
  totalKg: number;
  footprintM2: number;
  knPerM2: number;
}

/** Bulk density of a bed material that has none, kg/L: between soil and gravel (from memory). */
const USUAL_BULK_KG_PER_L = 1.2;

/** A litre of a bed material as it is poured, kg. */
export function bulkKgPerL({ bulkKgPerL = USUAL_BULK_KG_PER_L }: Pick<Material, 'bulkKgPerL'>): number {
  return bulkKgPerL;
}

/** Adds up glass, water in the vessel (in the bed's pores too), bed as poured, pieces with what is strewn around them, and stand. */
export function weigh(
  vessel: Vessel,
  grains: readonly { litres: number; material: Material }[],
  pieces: readonly Pick<PieceSurvey, 'massKg'>[],
  waterL: number,
): MassSurvey {
  const parts = {
    glassKg: glassKg(vessel),
    waterKg: waterL * FRESH_WATER_KG_PER_L,
    bedKg: grains.reduce(
      (kg, { litres, material }) => kg + pouredL(litres, material.settles) * bulkKgPerL(material),
      0,
    ),
    piecesKg: pieces.reduce((kg, p) => kg + p.massKg, 0),
    standKg: vessel.standKg ?? 0,
  };
  const totalKg = Object.values(parts).reduce((a, b) => a + b, 0);
  const area = footprintM2(vessel);
  return { ...parts, totalKg, footprintM2: area, knPerM2: kilonewtonsFromKg(totalKg) / area };
}
