import { materialOf } from '../commission/lookup';
import { massKgOf } from '../hardscape/mass';
import { lowestMm, highestMm } from '../hardscape/settle';
import { MM3_PER_L } from '../units/volume';
import { gapsOf, type Gaps } from './gaps';
import type { SurveyInput } from './input';

export interface PieceSurvey extends Gaps {
  id: string;
  material: string;
  volumeL: number;
  inBedL: number;
  underWaterL: number;
  /** Through the glass or above the rim. */
  outsideL: number;
  /** Shared with pieces listed before it. */
  overlapL: number;
  massKg: number;
  weighed: boolean;
  /** Height of its origin, its lowest and its highest point above the glass, mm. */
  zMm: number;
  bottomMm: number;
  topMm: number;
  supported: boolean;
}

export function surveyPieces(input: SurveyInput): PieceSurvey[] {
  const { commission, vessel, field, standing, displaced } = input;
  return standing.map((s, i) => {
    const d = displaced[i];
    return {
      id: s.piece.id,
      material: s.piece.material,
      volumeL: s.columns.volumeMm3 / MM3_PER_L,
      inBedL: d.inBed / MM3_PER_L,
      underWaterL: d.underWater / MM3_PER_L,
      outsideL: d.outside / MM3_PER_L,
      overlapL: d.overlap / MM3_PER_L,
      massKg: massKgOf(s.piece, s.columns.volumeMm3, materialOf(commission, s.piece.material)),
      weighed: s.piece.massKg !== undefined,
      zMm: s.zMm,
      bottomMm: lowestMm(s),
      topMm: highestMm(s),
      ...gapsOf(s, field, vessel),
      supported: s.supported,
    };
  });
}
