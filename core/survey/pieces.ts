import { materialOf } from '../commission/lookup';
import type { Material, Piece } from '../commission/schema';
import type { Columns } from '../hardscape/columns';
import { bottomMm, topMm } from '../hardscape/settle';
import { MM3_PER_L } from '../units/volume';
import type { SurveyInput } from './input';

export interface PieceSurvey {
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
  /** Clearance to the front pane and the least of those to the other three panes, mm; negative is through. */
  frontGapMm: number;
  sideGapMm: number;
  supported: boolean;
}

/** Density when a material of a piece has none: that of quartz-bearing rock, 2.65 kg/L (from memory). */
const USUAL_STONE_KG_PER_L = 2.65;

export function densityOf(material: Material): number {
  return material.densityKgPerL ?? USUAL_STONE_KG_PER_L;
}

/** As weighed, otherwise volume times density, kg. */
export function massOf(piece: Piece, columns: Columns, material: Material): number {
  return piece.massKg ?? (columns.volumeMm3 / MM3_PER_L) * densityOf(material);
}

export function surveyPieces({ commission, vessel, standing, displaced }: SurveyInput): PieceSurvey[] {
  const { length, width } = vessel.innerMm;
  return standing.map((s, i) => {
    const { lo, hi } = s.columns.extent;
    const d = displaced[i];
    return {
      id: s.piece.id,
      material: s.piece.material,
      volumeL: s.columns.volumeMm3 / MM3_PER_L,
      inBedL: d.inBed / MM3_PER_L,
      underWaterL: d.underWater / MM3_PER_L,
      outsideL: d.outside / MM3_PER_L,
      overlapL: d.overlap / MM3_PER_L,
      massKg: massOf(s.piece, s.columns, materialOf(commission, s.piece.material)),
      weighed: s.piece.massKg !== undefined,
      zMm: s.zMm,
      bottomMm: bottomMm(s),
      topMm: topMm(s),
      frontGapMm: s.yMm + lo[1],
      sideGapMm: Math.min(s.xMm + lo[0], length - s.xMm - hi[0], width - s.yMm - hi[1]),
      supported: s.supported,
    };
  });
}
