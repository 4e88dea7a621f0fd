import { materialOf, optionOf } from '../commission/lookup';
import type { Commission, Material } from '../commission/schema';
import { ABSENT_MM, topLayer } from '../substrate/faces';
import { onField } from '../substrate/onField';
import type { Survey } from './survey';

/** What a layer is to the order of work. */
export type Role =
  /** Bags under everything. */
  | 'filler'
  /** The soil that plants grow in, or the bank of gravel where there is none: part of it before the hardscape, the rest behind and between what stands. */
  | 'soil'
  /** Base, gravel, powder, cap, a bed of sand: poured whole in its turn. */
  | 'bed'
  /** Sand or chips that are only looked at: nothing grows in them, nothing stands on them. */
  | 'cosmetic';

/**
 * What each layer of the bed is, from the bottom up. One is cosmetic when it is sand or gravel over or beside others, with
 * nothing planted in it and nothing standing on it.
 */
export function layerRoles(commission: Commission, survey: Survey): Role[] {
  const { bed } = optionOf(commission, survey.optionId);
  const carrying = new Set(survey.pieces.flatMap((p) => (p.restsIn ? [p.restsIn] : [])));
  const planted = new Set(survey.plantings.filter((p) => p.plugs > 0).flatMap((p) => p.over));
  const kinds = bed.map((l) => materialOf(commission, l.material).kind);
  const soil = bank(survey, kinds);
  return bed.map(({ id }, i) => {
    const isLookedAt = i > 0 && !planted.has(id) && !carrying.has(id) && isBeside(kinds) && isSeen(survey, i);
    return roleOf(kinds[i], i === soil, isLookedAt);
  });
}

/** Sand over nothing but filler is the bed itself. */
function isBeside(kinds: readonly Material['kind'][]): boolean {
  return kinds.filter((k) => k !== 'filler').length > 1;
}

function roleOf(kind: Material['kind'], isSoil: boolean, isLookedAt: boolean): Role {
  if (kind === 'filler') return 'filler';
  if (isSoil) return 'soil';
  return isLookedAt && (kind === 'sand' || kind === 'gravel') ? 'cosmetic' : 'bed';
}

/** True when a layer is uppermost over at least half of where it lies: what is buried is not there for its looks. */
function isSeen({ field }: Survey, layer: number): boolean {
  return onField(field, `seen ${layer}`, () => Number(seenShare(field, layer) >= 0.5)) === 1;
}

function seenShare(field: Survey['field'], layer: number): number {
  let there = 0;
  let seen = 0;
  field.thicknessMm[layer].forEach((mm, cell) => {
    if (mm <= ABSENT_MM) return;
    there++;
    if (topLayer(field, cell) === layer) seen++;
  });
  return there > 0 ? seen / there : 1;
}

/** Gravel that rises by so much is a bank that is shaped against what stands in it, mm (common practice). */
const BANK_RISES_MM = 40;

/** Place of the soil of which there is most; of the gravel bank where there is no soil; -1 where there is neither. */
function bank(survey: Survey, kinds: readonly Material['kind'][]): number {
  const most = (isOne: (i: number) => boolean) =>
    kinds.reduce(
      (best, _, i) =>
        isOne(i) && (best < 0 || survey.layers[i].volumeL > survey.layers[best].volumeL) ? i : best,
      -1,
    );
  const soil = most((i) => kinds[i] === 'soil');
  const rises = ({ minMm, maxMm }: Survey['layers'][number]) => maxMm - minMm >= BANK_RISES_MM;
  return soil >= 0 ? soil : most((i) => kinds[i] === 'gravel' && rises(survey.layers[i]));
}
