import { filterStateOf } from '../commission/usual';
import { layerOf, pieceOf, plantingOf, type ResolvedPiece, type Resolved } from '../resolved/resolved';
import { materialOf } from '../commission/lookup';
import type { Heap } from '../commission/schema';
import { densityOf } from '../hardscape/mass';
import { perimeter } from '../geometry/offset';
import type { Before } from '../difference/projected';
import type { LayerSurvey } from '../survey/layers';
import type { PieceSurvey } from '../survey/pieces';
import type { Survey } from '../survey/survey';
import { footprint } from '../vessel/footprint';

/** A surface that nitrifying bacteria live on, and whether it goes on the day. */
export interface BiofilterPart {
  part: 'media' | 'bed' | 'stone' | 'wood' | 'plants' | 'glass';
  /** Share of the whole, 0 to 1. */
  share: number;
  lost: boolean;
}

/**
 * What a square metre of each counts for, against wetted glass: an estimate, stated so that it can be argued with.
 * Stone and wood are rough; leaves carry a film on both sides; of a bed the uppermost grains that water passes
 * through count, more of them in a deep one up to a limit; media have the most, since all water goes through them.
 */
const WEIGHT = { glass: 1, stone: 3, wood: 4, plants: 4 } as const;
/** Weight of a millimetre of bed under a square metre, and the depth down to which there is oxygen, mm. */
const BED_PER_MM = 0.4;
const BED_MOST_MM = 20;
/** Weight of the media that a filter of usual size has for each litre of free water. */
const MEDIA_PER_L = 0.06;
/** A piece has this much more surface than a ball of its volume. */
const OVER_BALL = 1.5;

interface Grown {
  part: BiofilterPart['part'];
  weight: number;
  lost: boolean;
}

/**
 * Shares of the biofilter by surface, and which of them the work takes away: of what was there, where that was drawn.
 * Otherwise of what is marked as in the tank now; of bed, stone and wood that go, which nobody drew, as much as comes in
 * their place. Plants that are only bought were not there. A stone that is here and dry has nothing on it.
 */
export function biofilterOf(commission: Resolved, survey: Survey): BiofilterPart[] {
  const { vessel, brief, before } = commission;
  const waterL = (before?.survey ?? survey).freeWaterL;
  const parts: Grown[] = [
    { part: 'media', weight: MEDIA_PER_L * waterL, lost: mediaGo(brief) },
    ...(before ? grownBefore(commission, before) : grownByMarks(commission, survey)),
    { part: 'glass', weight: (WEIGHT.glass * perimeter(footprint(vessel)) * vessel.waterLineMm) / 1e6, lost: false }, // prettier-ignore
  ];
  const whole = parts.reduce((sum, p) => sum + p.weight, 0);
  return parts
    .filter((p) => p.weight > 0)
    .map(({ part, weight, lost }) => ({ part, share: weight / whole, lost }));
}

/** On everything that was drawn as it stood: what stays or is set again keeps it, what leaves takes it along. */
function grownBefore(commission: Resolved, { now, survey, difference: { lines } }: Before): Grown[] {
  const [layers, pieces, plantings] = [byId(survey.layers), byId(survey.pieces), byId(survey.plantings)];
  const weights = {
    bed: (id: string) => bedWeight(layers.get(id)!),
    pieces: (id: string) => pieceWeight(commission, pieces.get(id)!),
    plants: (id: string) => WEIGHT.plants * plantings.get(id)!.netM2,
    heaps: (id: string) =>
      heapWeight(
        commission,
        now.heaps!.find((h) => h.id === id)!,
      ),
  };
  return lines.flatMap((l): Grown[] => {
    const part = l.of === 'bed' ? 'bed' : l.of === 'plants' ? 'plants' : l.kind === 'wood' ? 'wood' : 'stone';
    const weight = weights[l.of](l.id);
    const goes = l.there > 0 ? l.left / l.there : 1;
    return [
      { part, weight: weight * (1 - goes), lost: false },
      { part, weight: weight * goes, lost: true },
    ];
  });
}

const byId = <T extends { id: string }>(list: readonly T[]) => new Map(list.map((one) => [one.id, one]));

/** As far as it is marked: what is here, and in the place of what goes as much as comes. */
function grownByMarks(commission: Resolved, survey: Survey): Grown[] {
  const { brief, option } = commission;
  const stays = new Set<string>(brief.rescape?.stays ?? []);
  const isLived = (id: string) => isLivedOn(pieceOf(commission, id));
  const pieces = (kind: 'stone' | 'wood', here: boolean) =>
    survey.pieces
      .filter((p) => materialOf(commission, p.material).kind === kind && isLived(p.id) === here)
      .reduce((sum, p) => sum + pieceWeight(commission, p), 0);
  const bed = (here: boolean) =>
    survey.layers
      .filter((_, i) => (layerOf(commission, option.bed[i].id).origin === 'here') === here)
      .reduce((sum, l) => sum + bedWeight(l), 0);
  const planted = survey.plantings
    .filter((p) => plantingOf(commission, p.id).origin === 'here')
    .reduce((m2, p) => m2 + p.netM2, 0);
  const kinds = [
    { part: 'bed', stays: 'substrate', weight: bed },
    { part: 'stone', stays: 'stone', weight: (here: boolean) => pieces('stone', here) },
    { part: 'wood', stays: 'wood', weight: (here: boolean) => pieces('wood', here) },
  ] as const;
  return [
    ...kinds.flatMap(({ part, stays: kind, weight }) => [
      { part, weight: weight(true), lost: false },
      { part, weight: stays.has(kind) ? 0 : weight(false), lost: true },
    ]),
    { part: 'plants', weight: WEIGHT.plants * planted, lost: false },
  ];
}

/** True where what lives on the media goes: new ones, or old ones under the tap. Rinsed in tank water they keep it. */
function mediaGo(brief: Resolved['brief']): boolean {
  const { filterCleaned, filterRinsed } = brief.rescape ?? {};
  return filterStateOf(brief) !== 'mature' || (filterCleaned === true && filterRinsed !== 'tank-water');
}

/** True for a piece that something lives on: it stands in this tank, or in another, and has not dried. */
function isLivedOn({ stateOnDay: state, origin }: ResolvedPiece): boolean {
  return state === 'living' || (state !== 'dry' && origin === 'here');
}

/** Weight of what lives on one piece, by its surface under water. */
function pieceWeight(commission: Resolved, { material, underWaterL }: PieceSurvey): number {
  const kind = materialOf(commission, material).kind === 'wood' ? 'wood' : 'stone';
  return WEIGHT[kind] * ballM2(underWaterL) * OVER_BALL;
}

/** Weight of what lives in the uppermost grains of a layer. */
function bedWeight(layer: LayerSurvey): number {
  return BED_PER_MM * layer.areaM2 * Math.min(BED_MOST_MM, meanMm(layer));
}

/** A heap counts as so many balls as it has pieces, of fist size where nobody counted them. */
function heapWeight(commission: Resolved, { material, massKg, count }: Heap): number {
  const of = materialOf(commission, material);
  const litres = massKg / densityOf(of);
  const pieces = count ?? Math.max(1, Math.round(litres / FIST_L));
  return WEIGHT[of.kind === 'wood' ? 'wood' : 'stone'] * pieces * ballM2(litres / pieces) * OVER_BALL;
}
/** A stone of the size of a fist, L (common practice). */
const FIST_L = 0.4;

/** Share of the biofilter that is on some pieces: what goes with them when they dry. */
export function shareOn(commission: Resolved, survey: Survey, pieces: readonly string[]): number {
  const all = survey.pieces;
  const weight = (list: readonly PieceSurvey[]) =>
    list.reduce((sum, p) => sum + pieceWeight(commission, p), 0);
  const hard = biofilterOf(commission, survey).filter((p) => p.part === 'stone' || p.part === 'wood');
  const here = all.filter((p) => isLivedOn(pieceOf(commission, p.id)));
  const whole = weight(here);
  if (whole <= 0) return 0;
  const kept = hard.filter((p) => !p.lost).reduce((sum, p) => sum + p.share, 0);
  return (kept * weight(here.filter((p) => pieces.includes(p.id)))) / whole;
}

/** Surface of a ball of so many litres, m²: 1 L has 0.0484. */
function ballM2(litres: number): number {
  return (36 * Math.PI) ** (1 / 3) * litres ** (2 / 3) * 0.01;
}

/** Mean thickness of a layer where it lies, mm. */
function meanMm({ volumeL, areaM2 }: LayerSurvey): number {
  return areaM2 > 0 ? volumeL / areaM2 : 0;
}
