import { massOnBuildDay } from './stateOnBuildDay';
import { lowestMm, highestMm } from '../hardscape/settle';
import { MM3_PER_L } from '../units/volume';
import { gapsOf, type Gaps } from './gaps';
import { cellAt, onFloor } from '../substrate/bedField';
import type { Standing } from '../hardscape/settle';
import { gapMm, JOINABLE_MM } from '../hardscape/contact';
import type { Displaced } from '../hardscape/displace';
import type { Vessel } from '../commission/schema';
import { fixedStanding } from './fixed';
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
  /** Drawn at a height with nothing within reach of glue. */
  inAir: boolean;
  /** The layer in which its underside lies: that one has to be there before it. */
  restsIn?: string;
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
      massKg: massOnBuildDay(commission, s),
      weighed: s.piece.massKg !== undefined,
      zMm: s.zMm,
      bottomMm: lowestMm(s),
      topMm: highestMm(s),
      ...gapsOf(s, field, vessel),
      supported: s.supported,
      inAir: isInAir(s, d, standing, vessel),
      ...restsIn(s, input),
    };
  });
}

/** A millimetre into the next layer is still standing on this one. */
const ON_IT_MM = 1;

/** Where a piece that stands in the bed comes to lie, under its own middle; nothing where it is on the glass. */
function restsIn(s: Standing, { field, option }: SurveyInput): { restsIn?: string } {
  const { stand } = s.piece;
  if (stand.kind === 'bed' && stand.layer !== undefined) return { restsIn: stand.layer };
  if (s.piece.stand.kind !== 'bed' || !onFloor(field, s.xMm, s.yMm)) return {};
  const cell = cellAt(field, s.xMm, s.yMm);
  const underside = lowestMm(s);
  let bottom = 0;
  for (let i = 0; i < option.bed.length; i++) {
    const top = bottom + field.thicknessMm[i][cell];
    if (top > bottom && underside <= top + ON_IT_MM && underside > bottom + ON_IT_MM) return { restsIn: option.bed[i].id }; // prettier-ignore
    bottom = top;
  }
  return {};
}

/** A piece at a height hangs in the air when neither glass, bed, another piece nor what is fixed is near enough. */
function isInAir(s: Standing, d: Displaced, all: readonly Standing[], vessel: Vessel): boolean {
  if (s.piece.stand.kind !== 'at' || s.piece.fixed || d.inBed > 0 || lowestMm(s) <= JOINABLE_MM) return false;
  return ![...all, ...fixedStanding(vessel)].some((other) => other !== s && gapMm(s, other) <= JOINABLE_MM);
}
