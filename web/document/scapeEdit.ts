import { newOrigin, pieceOrigin } from '../../core/commission/origin';
import { NOW } from '../../core/commission/scapes';
import type { Layer, Material, Option, Piece } from '../../core/commission/schema';
import { copied } from '../../core/edits/copied';
import { withLayerChanged } from '../../core/edits/layers';
import {
  joinedOrNot,
  lifted,
  mirrored,
  movedTo,
  turnedBy,
  turnedTogether,
  withoutPiece,
  withPiece,
} from '../../core/edits/pieces';
import { fromYard, standInOnBench, wareOnBench, swapped } from '../../core/edits/placed';
import { started } from '../../core/edits/started';
import type { Axis } from '../../core/geometry/rotation';
import type { Start } from '../../core/yard/starts';
import type { Form, SizeClass } from '../../core/yard/pieceFrom';
import { insideGlass } from '../../core/edits/inside';
import { meshForDrawing } from './drawnMeshes';
import type { YardPiece } from '../../core/catalogue/studio';
import { useCommission } from './commissionStore';
import { optionWith, sandAtHand, useMaterials } from './materials';
import { useStudio } from './studioStore';

/** Everything that can be done to a scape on the bench, each an edit that can be undone; the rules are in `core/edits`. */
export function useScapeEdit() {
  const commission = useCommission();
  const studio = useStudio();
  const atHand = useMaterials();
  const doc = () => commission.document!;
  const vessel = () => doc().vessel;
  const studioMaterial = (id: string) => studio.studio?.catalogue.materials.find((m) => m.id === id);
  /** True for a piece that is in the tank now and has to remember where it stood; where that itself is drawn it has not. */
  const isHere = (p: Piece) => commission.optionId !== NOW && pieceOrigin(doc(), p) === 'here';

  const piece = (id: string, key: string, change: (piece: Piece) => Piece) =>
    commission.editOption(`${key} ${id}`, (o) => withPiece(o, id, change));
  const tryPiece = (id: string, key: string, change: (piece: Piece) => Piece) =>
    commission.tryEditOption(`${key} ${id}`, (o) => withPiece(o, id, change));
  const place = (id: string, x: number, y: number) =>
    piece(id, 'move', (p) => movedTo(p, [x, y], vessel(), isHere));
  function nudge(id: string, dx: number, dy: number): void {
    const p = commission.option?.pieces.find((q) => q.id === id);
    if (p) moveAll([p], dx, dy);
  }
  /** Moves several pieces together, from where they were when they were taken hold of. */
  function moveAll(from: readonly Piece[], dx: number, dy: number): void {
    const [x, y] = insideGlass(vessel(), from, [dx, dy], meshForDrawing);
    for (const p of from) place(p.id, p.at[0] + x, p.at[1] + y);
  }
  const lift = (id: string, dz: number) => piece(id, 'lift', (p) => lifted(p, dz));
  const turn = (id: string, by: number) => piece(id, 'turn', (p) => turnedBy(p, by));
  const turnAll = (ids: readonly string[], axis: Axis, byDeg: number) =>
    commission.editOption(`turn ${axis} ${ids.join()}`, (o) =>
      turnedTogether(o, ids, axis, byDeg, vessel(), isHere),
    );
  const mirrorAll = (ids: readonly string[]) =>
    commission.editOption(`mirror ${ids.join()}`, (o) => mirrored(o, ids, vessel(), isHere));

  /** Copies pieces beside themselves, with what joins them and lies on them. */
  function copy(ids: readonly string[]): string[] {
    commission.endStep();
    const { option, named } = copied(commission.option!, ids, vessel().innerMm.length);
    commission.editOption(`copy ${ids.join()}`, () => option);
    return [...named.values()];
  }
  function remove(id: string): void {
    commission.endStep();
    commission.editOption(`remove ${id}`, (o) => withoutPiece(o, id));
  }

  /** Sets a piece of the yard in the middle of the bench, or where it was dropped. */
  function add(source: YardPiece, at?: [number, number]): string {
    return setOnBench(
      fromYard(doc(), commission.option!, source, at, meshForDrawing),
      studioMaterial(source.material),
    );
  }
  function addStandIn(material: Material, size: SizeClass, form: Form): string {
    return setOnBench(standInOnBench(doc(), commission.option!, material, size, form), material);
  }
  function addWare(material: Material, sizeMm: [number, number, number]): string {
    return setOnBench(wareOnBench(doc(), commission.option!, material, sizeMm), material);
  }
  /** A new piece on the bench, and its material in the document where that has it not. */
  function setOnBench(fresh: Piece, of: Material | undefined): string {
    commission.endStep();
    commission.edit(`add ${fresh.id}`, (d) =>
      optionWith(d, commission.optionId, [of], (o) => ({ ...o, pieces: [...o.pieces, fresh] })),
    );
    return fresh.id;
  }

  /** Sets a first arrangement in the place of what stands there: one step, to be undone and changed. */
  function takeStart(start: Start): void {
    commission.endStep();
    const sand = start.path && sandAtHand(atHand.value);
    const brought = [...start.pieces.map((p) => studioMaterial(p.material)), sand];
    commission.edit(`start ${start.style}`, (d) =>
      optionWith(d, commission.optionId, brought, (o) =>
        started(o, start, sand, d.vessel, newOrigin(d.brief)),
      ),
    );
  }
  /** The real piece in the place of another. */
  function swap(of: string, source: YardPiece): string {
    const { option, id } = swapped(commission.option!, of, source);
    commission.endStep();
    commission.edit(`swap ${of}`, (d) =>
      optionWith(d, commission.optionId, [studioMaterial(source.material)], () => option),
    );
    return id;
  }

  const layer = (id: string, key: string, change: (layer: Layer) => Layer) =>
    commission.editOption(`${key} ${id}`, (o) => ({ ...o, bed: withLayerChanged(o.bed, id, change) }));
  const tryLayer = (id: string, key: string, change: (layer: Layer) => Layer) =>
    commission.tryEditOption(`${key} ${id}`, (o) => ({ ...o, bed: withLayerChanged(o.bed, id, change) }));

  /** Joins a piece to another, or takes the joint away. */
  const join = (id: string, other: string) =>
    commission.editOption(`join ${id}`, (o) => joinedOrNot(o, id, other));
  /** How a joint is made. */
  const joinBy = (id: string, method: Option['joints'][number]['method'], accelerated?: boolean) =>
    commission.editOption(`method ${id}`, (o) => ({
      ...o,
      joints: o.joints.map((j) => (j.id === id ? { ...j, method, accelerated } : j)),
    }));

  return {
    piece,
    tryPiece,
    place,
    nudge,
    lift,
    turn,
    moveAll,
    turnAll,
    copy,
    mirrorAll,
    remove,
    add,
    addStandIn,
    addWare,
    takeStart,
    swap,
    layer,
    tryLayer,
    join,
    joinBy,
  };
}
