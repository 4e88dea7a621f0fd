import type { Layer, LayerTop, Material } from '../commission/schema';

/** Kinds of material that a bed is made of, from the glass up (common practice). */
export const BED_KINDS = ['filler', 'base', 'soil', 'sand', 'gravel'] as const;
type BedKind = (typeof BED_KINDS)[number];

/** How thick a layer is laid to begin with, mm (common practice: a band of base, rooting depth of soil, a skin of grain). */
const USUAL_MM: Record<BedKind, number> = { filler: 30, base: 15, soil: 50, sand: 25, gravel: 25 };

/** How thick a layer of a material is laid to begin with, mm. */
export function usualMm({ kind }: Pick<Material, 'kind'>): number {
  return USUAL_MM[isBedKind(kind) ? kind : 'soil'];
}

/** True for a material that can be a layer. */
export function isBedKind(kind: Material['kind']): kind is BedKind {
  return (BED_KINDS as readonly string[]).includes(kind);
}

/**
 * A bed with one more layer, where its kind belongs: filler and base under the soil, sand and gravel over it. On the glass it
 * is a level band; on others it follows the ground, whatever becomes of that.
 */
export function withLayer(
  bed: readonly Layer[],
  material: Pick<Material, 'id' | 'kind'>,
  id: string,
  kindOf: (layer: Layer) => Material['kind'],
): Layer[] {
  const kind = isBedKind(material.kind) ? material.kind : 'soil';
  const rank = (k: Material['kind']) => BED_KINDS.indexOf(k as BedKind);
  const above = bed.findIndex((l) => !l.cuts && rank(kindOf(l)) > rank(kind));
  const at = above < 0 ? bed.length : above;
  const isOver = bed.slice(0, at).some((l) => !l.cuts);
  const top: LayerTop = { kind: 'level', mm: USUAL_MM[kind] };
  const fresh: Layer = { id, material: material.id, top, ...(isOver ? { over: true } : {}) };
  return [...bed.slice(0, at), fresh, ...bed.slice(at)];
}
