import { newOrigin } from '../../core/commission/origin';
import type { Layer, Material } from '../../core/commission/schema';
import { freshId } from '../../core/edits/ids';
import {
  edgedWith,
  followingGround,
  layerMoved,
  ofMaterial,
  touched,
  withLayerChanged,
  optionWithoutLayer,
} from '../../core/edits/layers';
import { usualMm, withLayer } from '../../core/substrate/freshLayer';
import { pathRegion, withNewPath, withPath, type PathLine } from '../../core/substrate/path';
import type { Dab } from '../../core/substrate/sculpt';
import { useCommission } from './commissionStore';
import { optionWith, useMaterials } from './materials';

/** A path is first so wide at the front and at the back, mm (common practice). */
export const PATH_MM: [number, number] = [90, 35];

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
  const brief = () => commission.document!.brief;
  /** What was just laid, as new. */
  const fresh = (b: readonly Layer[], id: string) =>
    withLayerChanged(b, id, (l) => ({ ...l, ...newOrigin(brief()) }));

  function add(materialId: string): string {
    const material = materialOf(materialId)!;
    const id = freshId(material.kind, layers());
    commission.endStep();
    bed(`add layer ${id}`, (b) => fresh(withLayer(b, material, id, kindOf), id), [materialId]);
    return id;
  }

  function drop(id: string): void {
    commission.endStep();
    commission.edit(`drop layer ${id}`, (d) => optionWith(d, commission.optionId, [], (o) => optionWithoutLayer(o, id))); // prettier-ignore
  }

  /** One place up or down in the stack. */
  function move(id: string, by: 1 | -1): void {
    bed(`move layer ${id}`, (b) => layerMoved(b, id, by));
  }

  /** Another material in the same place. */
  function setMaterial(id: string, material: string): void {
    commission.endStep();
    bed(`material ${id}`, (b) => ofMaterial(b, id, material), [material]);
  }

  /** A layer lies on others as they are, whatever becomes of them; or has a surface of its own from now on. */
  function follow(id: string, follows: boolean): void {
    commission.endStep();
    bed(`follow ${id}`, (b) => {
      const layer = b.find((l) => l.id === id);
      return layer ? followingGround(b, id, follows, vessel(), usualMm({ kind: kindOf(layer) })) : b;
    });
  }
  /** True of a layer below which another lies. */
  const isOnOthers = (id: string) => {
    const at = layers().findIndex((l) => l.id === id);
    return layers().slice(0, Math.max(0, at)).some((l) => !l.cuts); // prettier-ignore
  };

  /** One touch of a brush on a layer. */
  function touch(id: string, dab: Dab): void {
    bed(`sculpt ${id}`, (b) => touched(b, id, dab, vessel()));
  }

  /** A path of sand along a line, cut into what lies there. */
  function addPath(line: PathLine['line'], material: string): string | undefined {
    // Beside the floor it would be a cut without an edge.
    if (pathRegion({ line, widthMm: PATH_MM }, vessel()).length < 3) return undefined;
    const id = freshId('path', layers());
    const path = { line, widthMm: PATH_MM };
    commission.endStep();
    bed(`add path ${id}`, (b) => fresh(withNewPath(b, id, material, path, vessel()), id), [material]);
    return id;
  }

  function setPath(id: string, path: Pick<PathLine, 'line' | 'widthMm'>): void {
    bed(`path ${id}`, (b) => withPath(b, id, path, vessel()));
  }

  /** A band of gravel along both edges of a path. */
  function addEdge(of: string, material: string): void {
    commission.endStep();
    bed(`edge ${of} ${material}`, (b) => edgedWith(b, of, material, vessel(), newOrigin(brief())), [
      material,
    ]);
  }

  return {
    bed,
    add,
    drop,
    move,
    follow,
    isOnOthers,
    setMaterial,
    touch,
    addPath,
    setPath,
    addEdge,
    materialOf,
  };
}
