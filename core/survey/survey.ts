import { plantOf } from '../catalogue/entries';
import { materialOf, optionOf } from '../commission/lookup';
import type { Commission, Option, Vessel } from '../commission/schema';
import { columnsOf } from '../hardscape/columns';
import { displace, lastingOf, type Displaced } from '../hardscape/displace';
import { earlierNeighbours } from '../hardscape/neighbours';
import { coarserBy } from '../hardscape/fineness';
import { settle, settlingOrder, highestMm, type Standing } from '../hardscape/settle';
import { measurePocket, type PocketSurvey } from '../hardscape/pocket';
import { bedField, floorShare, type BedField } from '../substrate/bedField';
import { polygonArea } from '../geometry/polygon';
import { MM3_PER_L } from '../units/volume';
import { chamberFloors } from '../vessel/display';
import { chamberWaterL, litresToHeight, waterLineL } from '../vessel/litres';
import { compositionOf, type Composition } from './composition';
import { fixedStanding } from './fixed';
import type { SurveyInput } from './input';
import { surveyGroups, surveyJoints, type GroupSurvey, type JointSurvey } from './groups';
import { surveyLayers, type LayerSurvey } from './layers';
import { weigh, type MassSurvey } from './masses';
import { strewnAmount, type StrewnAmount } from './strewn';
import { newMemo, placesOf, remembered, type SurveyMemo } from './memo';
import { poreWaterL, shareBelow } from './pores';
import { surveyPieces, type PieceSurvey } from './pieces';
import { surveyStands, type StandSurvey } from './stands';
import { surveyPlantings, type PlantingSurvey } from './plantings';

/** What is there: volumes in L, masses in kg, lengths in mm, measured from the drawing. */
export interface Survey {
  optionId: string;
  /** Size of the cells the floor was read in, mm. */
  cellMm: number;
  cells: number;
  brimL: number;
  waterLineL: number;
  /** Water above the bed, less pieces, and that in chambers: what is changed and dosed. */
  freeWaterL: number;
  /** Water between the grains of the bed, below the water line. */
  poreWaterL: number;
  /** Layers, less the pieces that stand in them, and heaps on top of pieces. */
  bedL: number;
  /** Pieces inside the vessel, space they share counted once. */
  piecesL: number;
  /** What was fixed inside before, space shared with nothing. */
  fixedL: number;
  /** Water in filter chambers, part of the free water. */
  chambersL: number;
  /** Water in a sump below, in the free water too. */
  sumpL: number;
  /** Above the bed and the water line, less pieces. */
  airL: number;
  floorKg: number;
  floorKnPerM2: number;
  masses: MassSurvey;
  layers: LayerSurvey[];
  pieces: PieceSurvey[];
  joints: JointSurvey[];
  groups: GroupSurvey[];
  /** How those pieces stand that have to by themselves. */
  stands: StandSurvey[];
  /** Heaps on top of pieces. */
  pockets: PocketSurvey[];
  /** What is strewn by hand, in the order of the option. */
  strewn: StrewnAmount[];
  /** Water whose place that takes. */
  strewnL: number;
  composition: Composition;
  plantings: PlantingSurvey[];
  /** The height field it was measured on, and the pieces as they stand; for drawing. */
  field: BedField;
  standing: Standing[];
}

export interface SurveyAsk {
  optionId?: string;
  /** Size of the cells; near 5 mm when left out. */
  cellMm?: number;
  /** Keeps what has not changed between surveys of a scape that is being worked on. */
  memo?: SurveyMemo;
}

/**
 * Measures an option of a commission. The bed is read as a height field over the floor; each piece as
 * upright columns that are held against the bed's layers, the water line and the pieces before it. Layers,
 * pieces, free water and air add up to the brim exactly.
 */
export function survey(commission: Commission, ask: SurveyAsk = {}): Survey {
  const memo = ask.memo ?? newMemo();
  const option = optionOf(commission, ask.optionId);
  const { vessel } = commission;
  const field = remembered(memo.field, [option.bed, JSON.stringify([plan(vessel), ask.cellMm])], () =>
    bedField(vessel, option.bed, ask.cellMm),
  );
  const standing = stand(option, field, memo);
  const fixed = remembered(memo.fixed, [JSON.stringify(vessel.fixed ?? [])], () => fixedStanding(vessel));
  const [displaced, fixedDisplaced] = measure(standing, fixed, field, vessel, memo);
  const everything = [...fixedDisplaced, ...displaced];
  const bedMaterials = option.bed.map((layer) => materialOf(commission, layer.material));
  const input: SurveyInput = { commission, option, vessel, field, bedMaterials, standing, displaced };

  const joints = surveyJoints(input, memo);
  const layers = remembered(memo.layers, [field, option.bed], () => surveyLayers(field, option.bed));
  const nettoLayers = layers.map((layer, i) => {
    const takenL = sum(everything, (d) => d.ownInLayer[i]) / MM3_PER_L;
    return { ...layer, takenByPiecesL: takenL, volumeL: layer.grossL - takenL };
  });
  const pieces = surveyPieces(input);
  const pockets = (option.pockets ?? []).flatMap((p) => measurePocket(p, standing) ?? []);
  // What lies in the water takes its place; a heap is under it or above it as a whole.
  const [pocketsWetL, pocketsDryL] = [true, false].map((wet) =>
    pockets.reduce((total, p) => total + (p.at[2] < vessel.waterLineMm === wet ? p.litres : 0), 0),
  );
  const strewn = (option.strewn ?? []).map((s) => strewnAmount(s, materialOf(commission, s.material)));
  const strewnL = strewn.reduce((total, s) => total + s.solidL, 0);
  const brimL = litresToHeight(vessel, vessel.innerMm.height);
  const { sumpL = 0 } = vessel;
  const chambersL = chamberWaterL(vessel);
  const open = remembered(memo.open, [field, vessel.waterLineMm], () => openMm3(field, vessel));
  const freeWaterL =
    (open.water - sum(everything, (d) => d.ownInFreeWater)) / MM3_PER_L +
    chambersL +
    sumpL -
    pocketsWetL -
    strewnL;
  const airL =
    (open.air - sum(everything, (d) => d.ownInAir)) / MM3_PER_L +
    chambersBrimL(vessel) -
    chambersL -
    pocketsDryL;
  const bedL = nettoLayers.reduce((total, l) => total + l.volumeL, 0) + pocketsWetL + pocketsDryL;
  const wetShares = remembered(memo.wet, [field, vessel.waterLineMm], () =>
    nettoLayers.map((_, i) => shareBelow(field, i, vessel.waterLineMm)),
  );
  const inBedL = poreWaterL(nettoLayers, bedMaterials, wetShares);
  const piecesL = sum(displaced, ownMm3) / MM3_PER_L;
  const grains = [
    ...nettoLayers.map((l, i) => ({ litres: l.volumeL, material: bedMaterials[i] })),
    ...pockets.map((p) => ({ litres: p.litres, material: materialOf(commission, p.material) })),
  ];
  const masses = weigh(vessel, grains, [...pieces, ...strewn], freeWaterL + inBedL);
  return {
    optionId: option.id,
    cellMm: field.cellMm,
    cells: field.columns * field.rows,
    brimL,
    waterLineL: waterLineL(vessel),
    freeWaterL,
    poreWaterL: inBedL,
    bedL,
    piecesL,
    fixedL: sum(fixedDisplaced, ownMm3) / MM3_PER_L,
    chambersL,
    sumpL,
    airL,
    floorKg: masses.totalKg,
    floorKnPerM2: masses.knPerM2,
    masses,
    layers: nettoLayers,
    pieces,
    joints,
    groups: surveyGroups(input, joints),
    stands: surveyStands(input, memo),
    pockets,
    strewn,
    strewnL,
    composition: compositionOf(
      standing,
      (s) => materialOf(commission, s.piece.material).kind === 'stone',
      vessel,
    ),
    plantings: surveyPlantings(input, memo, (id) => plantOf(commission, id)),
    field,
    standing,
  };
}

function stand(option: Option, field: BedField, memo: SurveyMemo): Standing[] {
  const placed = new Map<string, Standing>();
  const coarser = coarserBy(option.pieces);
  for (const piece of settlingOrder(option.pieces)) {
    const key = JSON.stringify([piece.turnDeg, piece.tiltDeg, coarser]);
    const shapes = memo.columns.get(piece.shape) ?? new Map();
    memo.columns.set(piece.shape, shapes);
    // A piece that is being turned would leave columns of every angle behind: only the last few are kept.
    if (!shapes.has(key) && shapes.size > 4) shapes.clear();
    const columns = shapes.get(key) ?? columnsOf(piece.shape, piece.turnDeg, piece.tiltDeg, coarser);
    shapes.set(key, columns);
    placed.set(piece.id, settle(piece, columns, field, placed));
  }
  return option.pieces.map((piece) => placed.get(piece.id)!);
}

/** What of a vessel the bed's field depends on. */
function plan({ kind, innerMm, bowMm, corners, chambers }: Vessel): unknown {
  return [kind, innerMm, bowMm, corners, chambers];
}

/** Pieces and fixed things in turn, each against those before it; what is fixed was there first. */
function measure(
  standing: readonly Standing[],
  fixed: readonly Standing[],
  field: BedField,
  vessel: Vessel,
  memo: SurveyMemo,
): [Displaced[], Displaced[]] {
  const all = [...fixed, ...standing];
  const neighbours = earlierNeighbours(all);
  const displaced = all.map((s, i) => {
    const earlier = neighbours[i];
    // A line above the piece is the same to it as one at its top.
    const line = Math.min(vessel.waterLineMm, highestMm(s));
    const key = memo.rough
      ? [field.stack.count, s.columns, ...earlier.map((e) => e.columns), JSON.stringify([s.xMm, s.yMm, s.piece.stand])]
      : [field, line, ...placesOf(s, earlier)]; // prettier-ignore
    return remembered(memo.slot(memo.displaced, s.piece.id), key, () => {
      if (memo.rough) return displace(s, field, vessel, earlier);
      const lasting = remembered(memo.slot(memo.lasting, s.piece.id), [field, line, ...placesOf(s, [])], () =>
        lastingOf(s, field, vessel),
      );
      return displace(s, field, vessel, earlier, lasting);
    });
  });
  return [displaced.slice(fixed.length), displaced.slice(0, fixed.length)];
}

/** Space above the bed, below and above the water line, before pieces, mm³. */
function openMm3(field: BedField, vessel: Vessel): { water: number; air: number } {
  const cellMm2 = field.dxMm * field.dyMm;
  let water = 0;
  let air = 0;
  for (let cell = 0; cell < field.surfaceMm.length; cell++) {
    const surface = field.surfaceMm[cell];
    const share = floorShare(field, cell);
    const line = Math.max(vessel.waterLineMm, surface);
    water += share * (line - surface);
    air += share * (vessel.innerMm.height - line);
  }
  return { water: water * cellMm2, air: air * cellMm2 };
}

function chambersBrimL(vessel: Vessel): number {
  const area = chamberFloors(vessel).reduce((mm2, c) => mm2 + polygonArea(c.outline), 0);
  return (area * vessel.innerMm.height) / MM3_PER_L;
}

function ownMm3(d: Displaced): number {
  return d.ownInLayer.reduce((a, b) => a + b, 0) + d.ownInFreeWater + d.ownInAir;
}

function sum(displaced: readonly Displaced[], pick: (d: Displaced) => number): number {
  return displaced.reduce((total, d) => total + pick(d), 0);
}
