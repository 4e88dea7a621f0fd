import type { Layer, Vessel } from '../../../core/commission/schema';
import { layerTop, type HeightAt } from '../../../core/substrate/layerTop';

/** A place at which a layer is taken hold of, px in its view, and what moving it does. */
export interface Grip {
  key: string;
  name: string;
  x: number;
  y: number;
  /** The figure it changes, mm. */
  value: number;
  /** The layer after the grip has gone so many mm right and up from where it was. */
  moved: (from: Layer, right: number, up: number) => Layer;
}

export type GripView = 'section' | 'plan' | 'front';
type Mound = NonNullable<Layer['mounds']>[number];

const WIDEST_MM = 3000;
const NARROWEST_MM = 20;
/** A hill's foot is held to the right of it and in front, at 45°. */
const FOOT = Math.SQRT1_2;

const clamp = (v: number, most: number, least = 0) => Math.round(Math.min(Math.max(v, least), most));

/**
 * What a view offers: the section the heights at the front and the back glass, the plan each hill's middle
 * and foot, the front view its top. `ground` is what a layer lies on that is measured over it.
 */
export function gripsOf(
  view: GripView,
  layer: Layer,
  vessel: Vessel,
  k: number,
  ground: HeightAt = onGlass,
): Grip[] {
  return { section: heights, plan: floorGrips, front: summits }[view](
    layer,
    vessel,
    k,
    layer.over ? ground : onGlass,
  );
}
const onGlass: HeightAt = () => 0;

function heights({ top }: Layer, { innerMm }: Vessel, k: number, ground: HeightAt): Grip[] {
  const z = (mm: number, y: number) => (innerMm.height - mm - ground(innerMm.length / 2, y)) * k;
  const raised = (mm: number, up: number) => clamp(mm + up, innerMm.height);
  if (top.kind === 'level') {
    const moved: Grip['moved'] = (l, _right, up) => ({ ...l, top: { ...top, mm: raised(top.mm, up) } });
    return [{ key: 'level', name: 'Height of the bed', x: 0, y: z(top.mm, 0), value: top.mm, moved }];
  }
  if (top.kind !== 'ramp') return [];
  const end = (key: 'frontMm' | 'backMm', name: string, x: number): Grip => ({
    key: key === 'frontMm' ? 'front' : 'back',
    name,
    x,
    y: z(top[key], key === 'frontMm' ? 0 : innerMm.width),
    value: top[key],
    moved: (l, _right, up) => ({ ...l, top: { ...top, [key]: raised(top[key], up) } }),
  });
  return [end('frontMm', 'Height at the front', 0), end('backMm', 'Height at the back', innerMm.width * k)];
}

function changed(
  index: number,
  part: (m: Mound, right: number, up: number) => Partial<Mound>,
): Grip['moved'] {
  return (l, right, up) => ({
    ...l,
    mounds: (l.mounds ?? []).map((m, n) => (n === index ? { ...m, ...part(m, right, up) } : m)),
  });
}

function floorGrips(layer: Layer, vessel: Vessel, k: number): Grip[] {
  return [...hills(layer, vessel, k), ...pathGrips(layer, vessel, k), ...cornerGrips(layer, vessel, k)];
}

/** Points of a path's line, and its width at either end, held at its right-hand edge. */
function pathGrips({ path }: Layer, { innerMm }: Vessel, k: number): Grip[] {
  if (!path || path.edgeOf) return [];
  const { length, width } = innerMm;
  const points = path.line.map((p, i): Grip => ({
    key: `path ${i}`,
    name: `Point ${i + 1} of the path`,
    x: p[0] * k,
    y: (width - p[1]) * k,
    value: p[0],
    moved: (l, right, up) => ({
      ...l,
      path: { ...l.path!, line: l.path!.line.map((q, n) => (n === i ? [clamp(q[0] + right, length), clamp(q[1] + up, width)] : q)) }, // prettier-ignore
    }),
  }));
  const edges = ([0, 1] as const).map((end): Grip => {
    const [x, y] = path.line[end === 0 ? 0 : path.line.length - 1];
    const edge = x + path.widthMm[end] / 2;
    return {
      key: `path width ${end}`,
      name: end === 0 ? 'Width of the path in front' : 'Width of the path behind',
      x: Math.min(edge, length) * k,
      y: (width - y) * k,
      value: path.widthMm[end],
      moved: (l, right) => {
        const widthMm = [...l.path!.widthMm] as [number, number];
        widthMm[end] = clamp(widthMm[end] + 2 * right, length, LEAST_PATH_MM);
        return { ...l, path: { ...l.path!, widthMm } };
      },
    };
  });
  return [...points, ...edges];
}
/** A path is never narrower than a finger. */
const LEAST_PATH_MM = 10;
/** A region with more corners was traced, not drawn: its corners are too many to take hold of. */
const MOST_CORNERS = 24;

/** Corners of the part of the floor that a layer lies on. */
function cornerGrips({ region, path }: Layer, { innerMm }: Vessel, k: number): Grip[] {
  if (!region || path || region.length > MOST_CORNERS) return [];
  const { length, width } = innerMm;
  return region.map((p, i) => ({
    key: `corner ${i}`,
    name: `Corner ${i + 1}`,
    x: p[0] * k,
    y: (width - p[1]) * k,
    value: p[0],
    moved: (l, right, up) => ({
      ...l,
      region: l.region!.map((q, n) => (n === i ? [clamp(q[0] + right, length), clamp(q[1] + up, width)] : q)), // prettier-ignore
    }),
  }));
}

function hills({ mounds = [] }: Layer, { innerMm }: Vessel, k: number): Grip[] {
  const { length, width } = innerMm;
  const y = (mm: number) => Math.min((width - mm) * k, width * k);
  return mounds.flatMap((m, i): Grip[] => [
    {
      key: `hill ${i}`,
      name: `Hill ${i + 1}`,
      x: m.at[0] * k,
      y: y(m.at[1]),
      value: m.at[0],
      moved: changed(i, (q, right, up) => ({
        at: [clamp(q.at[0] + right, length), clamp(q.at[1] + up, width)],
      })),
    },
    {
      key: `foot ${i}`,
      name: `Foot of hill ${i + 1}`,
      x: Math.min(m.at[0] + m.radiusMm * FOOT, length) * k,
      y: y(m.at[1] - m.radiusMm * FOOT),
      value: m.radiusMm,
      moved: changed(i, (q, right) => ({ radiusMm: clamp(q.radiusMm + right, WIDEST_MM, NARROWEST_MM) })),
    },
  ]);
}

function summits(layer: Layer, vessel: Vessel, k: number, ground: HeightAt): Grip[] {
  const top = layerTop(layer, vessel);
  const { height } = vessel.innerMm;
  return (layer.mounds ?? []).map((m, i) => ({
    key: `top ${i}`,
    name: `Top of hill ${i + 1}`,
    x: m.at[0] * k,
    y: (height - ground(m.at[0], m.at[1]) - top(m.at[0], m.at[1])) * k,
    value: m.heightMm,
    moved: changed(i, (q, _right, up) => ({ heightMm: clamp(q.heightMm + up, height) })),
  }));
}
