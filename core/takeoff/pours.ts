import type { Material } from '../commission/schema';
import { layerOf, type Resolved, type ResolvedLayer } from '../resolved/resolved';
import type { Role } from '../survey/layerRoles';
import type { Survey } from '../survey/survey';
import type { Said } from '../words/text';

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
  /** It comes in around what stands, or when the glue has set, since that was said. */
  poured?: 'around' | 'glued';
  /** Thickness at its thinnest and thickest, mm. */
  spanMm: [number, number];
}

/** What is poured, from the bottom up, each layer with its place in the order of work. */
export function poursOf(commission: Resolved, survey: Survey): Pour[] {
  const { bed } = commission.option;
  const carrying = survey.pieces.flatMap((p) => (p.restsIn ? [p.restsIn] : []));
  const highest = Math.max(-1, ...carrying.map((id) => bed.findIndex((l) => l.id === id)));
  const around = pouredAround(
    survey.layers.map(({ id }) => layerOf(commission, id)),
    highest,
  );
  return survey.layers.flatMap(({ id, minMm, maxMm }, i): Pour[] => {
    const { role, material, name, parts, broughtL, task } = layerOf(commission, id);
    const poured = around[i];
    if (task === undefined) return [];
    return [
      {
        layer: id,
        task,
        role,
        material,
        name,
        parts: parts.map((part) => ({ material: part.material, litres: part.broughtL })),
        litres: broughtL,
        carries: i <= highest && role !== 'cosmetic',
        ...(poured ? { poured } : {}),
        spanMm: [minMm, maxMm],
      },
    ];
  });
}

/**
 * Which layers come in around what stands, or when the glue has set, as it was said of them. Not those on which something
 * stands, or on which another lies that does not: what carries is there before what it carries.
 */
function pouredAround(layers: readonly ResolvedLayer[], highest: number): Pour['poured'][] {
  const around: Pour['poured'][] = layers.map(() => undefined);
  for (let i = layers.length - 1; i > highest; i--) {
    if (layers[i].role === 'cosmetic') continue;
    const { poured } = layers[i].layer;
    // Filler is under all of it.
    if (poured === undefined || layers[i].role === 'filler') break;
    around[i] = poured;
  }
  return around;
}

/** Layers that are there before anything is set, and those that come in around what stands; filler and cosmetics in neither. */
export function beforeAndAfter(pours: readonly Pour[], pieces: boolean): [Pour[], Pour[]] {
  const beds = pours.filter((p) => p.role === 'bed');
  const soil = pours.findIndex((p) => p.role === 'soil');
  const isBefore = (p: Pour) =>
    !pieces || (p.poured === undefined && (p.carries || soil < 0 || pours.indexOf(p) < soil));
  return [beds.filter(isBefore), beds.filter((p) => !isBefore(p))];
}
