import type { Layer } from '../commission/schema';
import { MM3_PER_L } from '../units/volume';
import { floorShare, type BedField } from '../substrate/bedField';
import { steepestOf } from '../substrate/slope';

export interface LayerSurvey {
  id: string;
  material: string;
  /** Space between its surfaces. */
  grossL: number;
  /** What pieces take up in it. */
  takenByPiecesL: number;
  /** Gross less pieces: what there is of it. */
  volumeL: number;
  /** Floor that it covers, m². */
  areaM2: number;
  /** Thinnest and thickest spot where it is present; both 0 where it is nowhere. */
  minMm: number;
  maxMm: number;
  steepestDeg: number;
  steepestAt: [number, number];
}

/** Below this a layer counts as absent, mm: it has run out under the next one. */
const ABSENT_MM = 0.01;

/** Measures every layer of the bed, before pieces. */
export function surveyLayers(field: BedField, bed: readonly Layer[]): LayerSurvey[] {
  const cellMm2 = field.dxMm * field.dyMm;
  return bed.map((layer, i) => {
    const [volume, covered] = spread(field, i);
    const [min, max] = thinnestAndThickest(field, i);
    const steepest = steepestOf(field, i);
    const grossL = (volume * cellMm2) / MM3_PER_L;
    return {
      id: layer.id,
      material: layer.material,
      grossL,
      takenByPiecesL: 0,
      volumeL: grossL,
      areaM2: (covered * cellMm2) / 1e6,
      minMm: min,
      maxMm: max,
      steepestDeg: steepest.deg,
      steepestAt: steepest.xyMm,
    };
  });
}

/** Of a layer: its thickness over all cells, mm, and how many it covers, parts of cells too. */
function spread(field: BedField, layer: number): [number, number] {
  const thickness = field.thicknessMm[layer];
  let [sum, covered] = [0, 0];
  for (let cell = 0; cell < thickness.length; cell++) {
    const share = floorShare(field, cell);
    sum += thickness[cell] * share;
    if (thickness[cell] > ABSENT_MM) covered += share;
  }
  return [sum, covered];
}

/** The thinnest and the thickest spot of a layer where it is present, mm; both 0 where it is nowhere. */
function thinnestAndThickest(field: BedField, layer: number): [number, number] {
  const thickness = field.cornerThicknessMm[layer];
  let [min, max] = [Infinity, 0];
  for (let corner = 0; corner < thickness.length; corner++) {
    if (field.floor?.corner[corner] === 0) continue;
    const mm = thickness[corner];
    if (mm > ABSENT_MM && mm < min) min = mm;
    if (mm > max) max = mm;
  }
  return [min === Infinity ? 0 : min, max];
}
