import { materialOf } from '../commission/lookup';
import { broughtL, layerName, partsOf } from '../commission/origin';
import type { Material } from '../commission/schema';
import type { Resolved } from '../resolved/resolved';
import { ABSENT_MM, topLayer } from '../substrate/faces';
import { onField } from '../substrate/onField';
import { pouredL } from '../substrate/pour';
import type { Said } from '../words/text';
import type { Survey } from '../survey/survey';

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

/** A layer that is poured. */
export interface Pour {
  layer: string;
  task: string;
  role: Role;
  material: Material;
  /** What it is called, and what is in it by litres: of a mixture all of it. */
  name: Said;
  parts: { material: Material; litres: number }[];
  litres: number;
  /** Something that is set on this day stands on it or above it. */
  carries: boolean;
  /** Thickness at its thinnest and thickest, mm. */
  spanMm: [number, number];
}

/**
 * What is poured, from the bottom up, each layer with its place in the order of work. A layer is cosmetic when it is
 * sand or gravel over or beside others, with nothing planted in it and nothing standing on it.
 */
export function poursOf(commission: Resolved, survey: Survey): Pour[] {
  const { bed } = commission.option;
  const carrying = survey.pieces.flatMap((p) => (p.restsIn ? [p.restsIn] : []));
  const highest = Math.max(-1, ...carrying.map((id) => bed.findIndex((l) => l.id === id)));
  const planted = new Set(survey.plantings.filter((p) => p.plugs > 0).flatMap((p) => p.over));
  const kinds = bed.map((l) => materialOf(commission, l.material).kind);
  const soil = bank(survey, kinds);
  const tasks = new Set<string>();
  return survey.layers.flatMap((layer, i): Pour[] => {
    const material = materialOf(commission, layer.material);
    const litres = broughtL(commission.brief, bed[i], pouredL(layer.volumeL, material.settles));
    if (litres <= 1e-6) return [];
    const isLookedAt =
      i > 0 && !planted.has(layer.id) && !carrying.includes(layer.id) && isBeside(kinds) && isSeen(survey, i);
    const role = roleOf(material.kind, i === soil, isLookedAt);
    const task = taskOf(role, material.kind, layer.id, tasks);
    tasks.add(task);
    return [
      {
        layer: layer.id,
        task,
        role,
        material,
        name: layerName(commission, bed[i]),
        parts: partsOf(bed[i]).map((part) => ({ material: materialOf(commission, part.material), litres: litres * part.share })), // prettier-ignore
        litres,
        carries: i <= highest && role !== 'cosmetic',
        spanMm: [layer.minMm, layer.maxMm],
      },
    ];
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

/** Filler, soil and the first sand have tasks of their names; others that of their layer. */
function taskOf(role: Role, kind: Material['kind'], layer: string, taken: ReadonlySet<string>): string {
  if (role === 'filler' || role === 'soil') return role;
  return kind === 'sand' && !taken.has('sand') ? 'sand' : `layer-${layer}`;
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

/** Layers that are there before anything is set, and those that come in around what stands; filler and cosmetics in neither. */
export function beforeAndAfter(pours: readonly Pour[], pieces: boolean): [Pour[], Pour[]] {
  const beds = pours.filter((p) => p.role === 'bed');
  const soil = pours.findIndex((p) => p.role === 'soil');
  const isBefore = (p: Pour) => !pieces || p.carries || soil < 0 || pours.indexOf(p) < soil;
  return [beds.filter(isBefore), beds.filter((p) => !isBefore(p))];
}
