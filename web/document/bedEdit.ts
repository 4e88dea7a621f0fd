import type { Layer, Material } from '../../core/commission/schema';
import { withLayer } from '../../core/substrate/freshLayer';
import { pathRegion, withNewPath, withPath, type PathLine } from '../../core/substrate/path';
import { asGrid, brushed, type Dab } from '../../core/substrate/sculpt';
import { useCommission } from './commissionStore';
import { freshId } from './docEdit';
import { optionWith, useMaterials } from './materials';

/** A path is first so wide at the front and at the back, mm (common practice). */
export const PATH_MM: [number, number] = [90, 35];
/** A band of graded gravel between soil and sand, mm (common practice). */
const BAND_MM = 20;

/** Everything that can be done to the layers of a bed, each an edit that can be undone. */
export function useBedEdit() {
  const commission = useCommission();
  const atHand = useMaterials();

  const vessel = () => commission.document!.vessel;
  const kindOf = (layer: Layer) =>
    commission.document!.catalogue.materials.find((m) => m.id === layer.material)?.kind ?? 'soil';
  /** A material of the document, or of the studio: then it is taken into the document with the edit. */
  const materialOf = (id: string): Material | undefined => atHand.value.find((m) => m.id === id);

  /** Changes the bed of the option, and brings the materials along that it then names. */
  function bed(key: string, change: (bed: readonly Layer[]) => readonly Layer[], uses: string[] = []): void {
    commission.edit(key, (d) =>
      optionWith(d, commission.optionId, uses.map(materialOf), (o) => ({
        ...o,
        bed: change(o.bed) as Layer[],
      })),
    );
  }

  const layers = () => commission.option!.bed;

  function add(materialId: string): string {
    const material = materialOf(materialId)!;
    const id = freshId(material.kind, layers());
    commission.endStep();
    bed(`add layer ${id}`, (b) => withLayer(b, material, id, kindOf), [materialId]);
    return id;
  }

  function drop(id: string): void {
    commission.endStep();
    bed(`drop layer ${id}`, (b) => b.filter((l) => l.id !== id && l.path?.edgeOf !== id));
  }

  /** One place up or down in the stack. */
  function move(id: string, by: 1 | -1): void {
    bed(`move layer ${id}`, (b) => {
      const at = b.findIndex((l) => l.id === id);
      const to = at + by;
      if (at < 0 || to < 0 || to >= b.length) return b;
      const next = [...b];
      [next[at], next[to]] = [next[to], next[at]];
      return next;
    });
  }

  /** Another material in the same place; what was said of the old one (where it comes from, a mixture) goes with it. */
  function setMaterial(id: string, material: string): void {
    commission.endStep();
    bed(
      `material ${id}`,
      (b) =>
        b.map((l) => {
          if (l.id !== id || l.material === material) return l;
          const { origin: _o, presentL: _p, used: _u, mix: _m, ...rest } = l;
          return { ...rest, material, origin: 'bought' };
        }),
      [material],
    );
  }

  /** One touch of a brush on a layer. */
  function touch(id: string, dab: Dab): void {
    bed(`sculpt ${id}`, (b) =>
      b.map((l) => {
        if (l.id !== id) return l;
        const { mounds: _hills, ...flat } = l;
        return { ...flat, top: brushed(asGrid(l, vessel()), vessel(), dab) };
      }),
    );
  }

  /** A path of sand along a line, cut into what lies there. */
  function addPath(line: PathLine['line'], material: string): string | undefined {
    // Beside the floor it would be a cut without an edge.
    if (pathRegion({ line, widthMm: PATH_MM }, vessel()).length < 3) return undefined;
    const id = freshId('path', layers());
    const path = { line, widthMm: PATH_MM };
    commission.endStep();
    bed(`add path ${id}`, (b) => withNewPath(b, id, material, path, vessel()), [material]);
    return id;
  }

  function setPath(id: string, path: Pick<PathLine, 'line' | 'widthMm'>): void {
    bed(`path ${id}`, (b) => withPath(b, id, path, vessel()));
  }

  /** A band of gravel along both edges of a path; the next one lies outside of those that are there. */
  function addEdge(of: string, material: string): void {
    const own = layers().find((l) => l.id === of);
    if (!own?.path) return;
    const bands = layers().filter((l) => l.path?.edgeOf === of);
    const id = freshId(`${of}-edge`, layers());
    const bandMm = BAND_MM * (bands.length + 1);
    const fresh: Layer = {
      ...own,
      id,
      material,
      origin: undefined,
      path: { ...own.path, edgeOf: of, bandMm },
    };
    commission.endStep();
    bed(
      `edge ${id}`,
      (b) => {
        // The wider comes first: what follows is cut into it.
        const at = b.findIndex((l) => l.id === of || l.path?.edgeOf === of);
        return withPath([...b.slice(0, at), fresh, ...b.slice(at)], of, own.path!, vessel());
      },
      [material],
    );
  }

  return { bed, add, drop, move, setMaterial, touch, addPath, setPath, addEdge, materialOf };
}
