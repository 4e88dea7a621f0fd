import type { Layer, Option, Vessel } from '../commission/schema';
import { withPath } from '../substrate/path';
import { asGrid, brushed, gridOf, type Dab, type GridTop } from '../substrate/sculpt';
import { groundOf } from '../substrate/stack';
import { freshId } from './ids';

type Bed = readonly Layer[];

/** One layer changed. */
export function withLayerChanged(bed: Bed, id: string, change: (layer: Layer) => Layer): Layer[] {
  return bed.map((l) => (l.id === id ? change(l) : l));
}

/** Without a layer, and without the bands along it. */
export function withoutLayer(bed: Bed, id: string): Layer[] {
  return bed.filter((l) => l.id !== id && l.path?.edgeOf !== id);
}

/** An option without a layer: what was said to stand on it stands where it comes to lie. */
export function optionWithoutLayer<O extends Pick<Option, 'bed' | 'pieces'>>(option: O, id: string): O {
  const bed = withoutLayer(option.bed, id);
  const there = new Set(bed.map((l) => l.id));
  const pieces = option.pieces.map((p) => {
    if (p.stand.kind !== 'bed' || p.stand.layer === undefined || there.has(p.stand.layer)) return p;
    const { layer: _layer, ...stand } = p.stand;
    return { ...p, stand };
  });
  return { ...option, bed, pieces };
}

/** A layer one place up or down in the stack; as it was at its ends. */
export function layerMoved(bed: Bed, id: string, by: 1 | -1): Layer[] {
  const next = [...bed];
  const at = next.findIndex((l) => l.id === id);
  const to = at + by;
  if (at < 0 || to < 0 || to >= next.length) return next;
  [next[at], next[to]] = [next[to], next[at]];
  return next;
}

/** Another material in the same place; what was said of the old one (where it comes from, a mixture, bags) goes with it. */
export function ofMaterial(bed: Bed, id: string, material: string): Layer[] {
  return withLayerChanged(bed, id, (l) => {
    if (l.material === material) return l;
    const { origin: _o, presentL: _p, used: _u, mix: _m, bagged: _b, now: _n, ...rest } = l;
    return { ...rest, material, origin: 'bought' };
  });
}

/** A mixture of two by the share of the second; of one alone where no second is said. */
export function mixedWith(l: Layer, other: string | undefined, share: number): Layer {
  const { mix: _m, ...alone } = l;
  if (!other) return alone;
  return { ...alone, mix: [{ material: l.material, share: 1 - share }, { material: other, share }] };
} // prettier-ignore

/** One touch of a brush: the layer's surface is from then on the heights of a grid. */
export function touched(bed: Bed, id: string, dab: Dab, vessel: Vessel): Layer[] {
  return withLayerChanged(bed, id, (l) => {
    const { mounds: _hills, ...flat } = l;
    return { ...flat, top: brushed(asGrid(l, vessel), vessel, dab) };
  });
}

/** A hill is first a third of the floor's shorter side wide at its foot, and so high, mm (common practice). */
const HILL_MM = 40;

/** A layer with one more hill, in its left third and behind its middle. */
export function withHill(l: Layer, { innerMm: { length, width } }: Vessel): Layer {
  const hill = {
    at: [Math.round(length / 3), Math.round(width * 0.6)] as [number, number],
    radiusMm: Math.round(Math.min(length, width) / 3),
    heightMm: HILL_MM,
  };
  return { ...l, mounds: [...(l.mounds ?? []), hill] };
}

/** A layer over the whole floor, or over the middle of it, whose corners are then taken hold of. */
export function overPart(l: Layer, isPart: boolean, { innerMm: { length, width } }: Vessel): Layer {
  const middle = [[0.3, 0], [0.7, 0], [0.7, 1], [0.3, 1]].map(([x, y]): [number, number] => [Math.round(x * length), Math.round(y * width)]); // prettier-ignore
  const { region: _r, cuts: _c, path: _p, ...whole } = l;
  return isPart ? { ...whole, region: middle } : whole;
}

/** A band of graded gravel between soil and sand, mm (common practice). */
const BAND_MM = 20;

/** A band of gravel along both edges of a path; the next one lies outside of those that are there. */
export function edgedWith(
  bed: Bed,
  of: string,
  material: string,
  vessel: Vessel,
  whose: Pick<Layer, 'origin'> = {},
): Layer[] {
  const own = bed.find((l) => l.id === of);
  if (!own?.path) return [...bed];
  const bands = bed.filter((l) => l.path?.edgeOf === of);
  const fresh: Layer = {
    ...own,
    id: freshId(`${of}-edge`, bed),
    material,
    origin: whose.origin,
    path: { ...own.path, edgeOf: of, bandMm: BAND_MM * (bands.length + 1) },
  };
  // The wider comes first: what follows is cut into it.
  const at = bed.findIndex((l) => l.id === of || l.path?.edgeOf === of);
  return [...withPath([...bed.slice(0, at), fresh, ...bed.slice(at)], of, own.path, vessel)];
}

/**
 * A bed in which a layer follows what it lies on, as thick as it is in the mean (or usually, where it is nowhere); or no longer
 * does: then it keeps the surface that it has by that, as heights of a grid, whatever becomes of the ground.
 */
export function followingGround(
  bed: Bed,
  id: string,
  follows: boolean,
  vessel: Vessel,
  usually: number,
): Layer[] {
  const at = bed.findIndex((l) => l.id === id);
  const surface = gridOf(groundOf(bed.slice(0, at + 1), vessel), vessel);
  const ground = gridOf(groundOf(bed.slice(0, at), vessel), vessel);
  const thick = surface.mm.map((z, i) => z - ground.mm[i]).filter((mm) => mm > 0);
  const mm = Math.round(thick.reduce((sum, t) => sum + t, 0) / Math.max(1, thick.length)) || usually;
  return withLayerChanged(bed, id, (l) => {
    const { over: _o, mounds: _m, ...rest } = l;
    return follows ? { ...rest, over: true, top: { kind: 'level', mm } } : { ...rest, top: surface };
  });
}

/** Mean height of a surface along the front and the back glass, mm: what a slope is typed by where heights are drawn one by one. */
export function meansAtEnds({ mm, columns, rows }: GridTop): { frontMm: number; backMm: number } {
  const mean = (row: number) =>
    mm.slice(row * columns, (row + 1) * columns).reduce((s, z) => s + z, 0) / columns;
  return { frontMm: Math.round(mean(0)), backMm: Math.round(mean(rows - 1)) };
}

/** A surface of heights with so much added at the front and at the back, between them evenly; never under the glass or over the rim. */
export function sloped(top: GridTop, frontBy: number, backBy: number, vessel: Vessel): GridTop {
  const { columns, rows } = top;
  const by = (row: number) => frontBy + ((backBy - frontBy) * row) / (rows - 1);
  const within = (z: number) => Math.min(Math.max(z, 0), vessel.innerMm.height);
  return { ...top, mm: top.mm.map((z, i) => Math.round(within(z + by(Math.floor(i / columns))) * 10) / 10) };
}
