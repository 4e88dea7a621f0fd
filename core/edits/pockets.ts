import type { Material, Option, Pocket } from '../commission/schema';
import { freshId } from './ids';

/** A heap is first so wide and so high, mm: its sides are at 27°, which soil holds (common practice). */
const FIRST = { radiusMm: 40, heightMm: 20 };

/** An option with these heaps; without the list where there is none. */
export function withPockets(o: Option, pockets: Pocket[]): Option {
  const { pockets: _was, ...rest } = o;
  return pockets.length > 0 ? { ...rest, pockets } : rest;
}

/** A heap on top of a piece, of the soil that the bed has, or else of the first soil at hand; undefined where none is. */
export function heapOn(o: Option, piece: string, atHand: readonly Material[]): Pocket | undefined {
  const soils = atHand.filter((m) => m.kind === 'soil');
  const material = soils.find((m) => o.bed.some((l) => l.material === m.id)) ?? soils[0];
  if (!material) return undefined;
  return {
    id: freshId('pocket', o.pockets ?? []),
    on: piece,
    material: material.id,
    offsetMm: [0, 0],
    ...FIRST,
  };
}
