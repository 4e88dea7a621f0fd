import type { Layer, Material, Option, Vessel } from '../commission/schema';
import { withNewPath } from '../substrate/path';
import type { Start } from '../yard/starts';
import { freshId } from './ids';
import { withLayerChanged } from './layers';
import { withPockets } from './pockets';
import { strewnRound } from './strewn';

/** A first arrangement in the place of what stands there; what is fixed stays, and heaps go with what they lie on. */
export function started(
  o: Option,
  { pieces, mounds, path }: Pick<Start, 'pieces' | 'mounds' | 'path'>,
  sand: Material | undefined,
  vessel: Vessel,
  whose: Pick<Layer, 'origin'> = {},
): Option {
  const stays = o.pieces.filter((p) => p.fixed);
  return {
    ...withPockets(
      strewnRound(o, (id) => (stays.some((p) => p.id === id) ? [id] : [])),
      (o.pockets ?? []).filter((h) => stays.some((p) => p.id === h.on)),
    ),
    pieces: [...stays, ...pieces],
    joints: [],
    plants: o.plants.map((p) => (p.on ? { ...p, on: undefined } : p)),
    bed: startBed(o.bed, { mounds, path }, sand, vessel, whose),
  };
}

/** A bed with the hills of a start and, where there is sand for it, its path in the place of those that were there. */
function startBed(
  bed: readonly Layer[],
  { mounds, path }: Pick<Start, 'mounds' | 'path'>,
  sand: Material | undefined,
  vessel: Vessel,
  whose: Pick<Layer, 'origin'>,
): Layer[] {
  const soil = bed.find((l) => !l.cuts && l.top.kind !== 'grid');
  const hilly = bed.map((l) => (l === soil && mounds.length ? { ...l, mounds } : l));
  if (!path || !sand || hilly.length === 0) return hilly;
  const others = hilly.filter((l) => !l.path);
  const id = freshId('path', others);
  return withLayerChanged(withNewPath(others, id, sand.id, path, vessel), id, (l) => ({ ...l, ...whose }));
}
