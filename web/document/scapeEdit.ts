import { isMoved, pieceOrigin } from '../../core/commission/origin';
import { turnedAbout, type Axis } from '../../core/geometry/rotation';
import type { Layer, Material, Option, Piece, Vessel } from '../../core/commission/schema';
import { withNewPath } from '../../core/substrate/path';
import { turnToSeat } from '../../core/yard/facing';
import type { Start } from '../../core/yard/starts';
import { standIn, type Form, type SizeClass } from '../../core/yard/pieceFrom';
import { forPlacing, type YardPiece } from '../../core/catalogue/studio';
import { useCommission } from './commissionStore';
import { copied, nextNumber } from './copiedPieces';
import { freshId } from './docEdit';
import { optionWith, sandAtHand, useMaterials } from './materials';
import { withPockets } from './pocketEdit';
import { useStudio } from './studioStore';

/** Everything that can be done to a scape on the bench, each an edit that can be undone. */
export function useScapeEdit() {
  const commission = useCommission();
  const studio = useStudio();
  const atHand = useMaterials();

  function piece(id: string, key: string, change: (piece: Piece) => Piece): void {
    commission.editOption(`${key} ${id}`, (o) => ({
      ...o,
      pieces: o.pieces.map((p) => (p.id === id ? change(p) : p)),
    }));
  }

  function tryPiece(id: string, key: string, change: (piece: Piece) => Piece): string | undefined {
    return commission.tryEditOption(`${key} ${id}`, (o) => ({
      ...o,
      pieces: o.pieces.map((p) => (p.id === id ? change(p) : p)),
    }));
  }

  /** Moves a piece to a spot, kept over the floor. */
  function place(id: string, x: number, y: number): void {
    const { length, width } = commission.document!.vessel.innerMm;
    const within = (v: number, most: number) => Math.round(Math.min(Math.max(v, 0), most) * 10) / 10;
    piece(id, 'move', (p) => movedTo(p, [within(x, length), within(y, width)], isHere(p)));
  }

  /** True for a piece that is in the tank now. */
  function isHere(p: Piece): boolean {
    return pieceOrigin(commission.document!, p) === 'here';
  }

  function nudge(id: string, dx: number, dy: number): void {
    const p = commission.option?.pieces.find((q) => q.id === id);
    if (p) place(id, p.at[0] + dx, p.at[1] + dy);
  }

  /** Lifts (or lowers) a piece: less or more of it is buried. One that stands on something keeps its height. */
  function lift(id: string, dz: number): void {
    piece(id, 'lift', (p) => lifted(p, dz));
  }

  function turn(id: string, by: number): void {
    piece(id, 'turn', (p) => ({ ...p, turnDeg: (((p.turnDeg + by) % 360) + 360) % 360 }));
  }

  /** Moves several pieces together, from where they were when they were taken hold of. */
  function moveAll(from: readonly Piece[], dx: number, dy: number): void {
    for (const p of from) place(p.id, p.at[0] + dx, p.at[1] + dy);
  }

  /** Turns pieces about an axis of the room: each about itself, and about the upright also around their common middle. */
  function turnAll(ids: readonly string[], axis: Axis, byDeg: number): void {
    const own = (commission.option?.pieces ?? []).filter((p) => ids.includes(p.id) && !p.fixed);
    const middle = ([0, 1] as const).map((k) => own.reduce((sum, p) => sum + p.at[k], 0) / own.length);
    for (const p of own) {
      piece(p.id, `turn ${axis}`, (q) => ({ ...q, ...turnedAbout(q, axis, byDeg) }));
      if (axis === 'z' && own.length > 1) {
        const [x, y] = around(p.at, middle, byDeg);
        place(p.id, x, y);
      }
    }
  }

  /** Copies pieces beside themselves, with what joins them and lies on them. */
  function copy(ids: readonly string[]): string[] {
    commission.endStep();
    const { option, named } = copied(commission.option!, ids, commission.document!.vessel.innerMm.length);
    commission.editOption(`copy ${ids.join()}`, () => option);
    return [...named.values()];
  }

  /** Sets pieces as in a mirror that stands in the middle of the tank; a stone itself has no mirror image. */
  function mirrorAll(ids: readonly string[]): void {
    const { length } = commission.document!.vessel.innerMm;
    for (const id of ids) {
      const p = commission.option?.pieces.find((q) => q.id === id);
      if (!p || p.fixed) continue;
      piece(id, 'mirror', (q) => ({
        ...q,
        turnDeg: (360 - q.turnDeg) % 360,
        ...(q.tiltDeg ? { tiltDeg: [q.tiltDeg[0], -q.tiltDeg[1] || 0] as [number, number] } : {}),
      }));
      place(id, length - p.at[0], p.at[1]);
      // What is heaped on it lies on its other side then.
      commission.editOption(`mirror ${id}`, (o) =>
        o.pockets
          ? {
              ...o,
              pockets: o.pockets.map((h) =>
                h.on === id ? { ...h, offsetMm: [-h.offsetMm[0] || 0, h.offsetMm[1]] } : h,
              ),
            }
          : o,
      );
    }
  }

  function remove(id: string): void {
    commission.endStep();
    commission.editOption(`remove ${id}`, (o) => withoutPiece(o, id));
  }

  /** Sets a piece of the yard in the middle of the bench, or where it was dropped. */
  function add(source: YardPiece, at?: [number, number]): string {
    const doc = commission.document!;
    const { length, width } = doc.vessel.innerMm;
    const taken = new Set(commission.option!.pieces.map((p) => p.id));
    const spot = at ?? [length / 2, width / 2];
    let id = source.id;
    for (let n = 2; taken.has(id); n++) id = `${source.id}.${n}`;
    const fresh: Piece = {
      ...forPlacing(source),
      id,
      at: spot,
      // Its best face is offered to who sits in front of it.
      turnDeg: source.faceDeg === undefined ? 0 : turnToSeat(source.faceDeg, spot, doc.brief.seats?.[0]?.at),
      stand: { kind: 'bed', buryMm: 20 },
      owned: true,
      ...(id === source.id ? {} : { yard: source.id }),
    };
    setOnBench(fresh);
    return id;
  }

  /** A new piece on the bench, and its material in the document where that has it not. */
  function setOnBench(fresh: Piece, of = studioMaterial(fresh.material)): void {
    commission.endStep();
    commission.edit(`add ${fresh.id}`, (d) =>
      optionWith(d, commission.optionId, [of], (o) => ({ ...o, pieces: [...o.pieces, fresh] })),
    );
  }
  const studioMaterial = (id: string) => studio.studio?.catalogue.materials.find((m) => m.id === id);

  /** A stand-in for a piece that is bought by its size class: plausible, and in the take-off. */
  function addStandIn(material: Material, size: SizeClass, form: Form): string {
    const { length, width } = commission.document!.vessel.innerMm;
    const id = nextNumber(commission.option!.pieces);
    const { mesh } = standIn(size, form, Number(id.slice(2)) * 7919);
    const corners = Array.from({ length: mesh.vertices.length / 3 }, (_, i) => [0, 1, 2].map((k) => Math.round(mesh.vertices[i * 3 + k] * 10) / 10)); // prettier-ignore
    const faces = Array.from({ length: mesh.faces.length / 3 }, (_, i) => [
      ...mesh.faces.slice(i * 3, i * 3 + 3),
    ]);
    setOnBench(
      {
        id,
        material: material.id,
        shape: { kind: 'mesh', vertices: corners, faces } as Piece['shape'],
        at: [length / 2, width / 2],
        turnDeg: 0,
        stand: { kind: 'bed', buryMm: 20 },
        origin: 'bought',
      },
      material,
    );
    return id;
  }

  /** Sets a first arrangement in the place of what stands there: one step, to be undone and changed. */
  function takeStart({ pieces, mounds, path, style }: Start): void {
    commission.endStep();
    const sand = path && sandAtHand(atHand.value);
    const brought = [...pieces.map((p) => studioMaterial(p.material)), sand];
    commission.edit(`start ${style}`, (d) =>
      optionWith(d, commission.optionId, brought, (o) => {
        const stays = o.pieces.filter((p) => p.fixed);
        const soil = o.bed.find((l) => !l.cuts && l.top.kind !== 'grid');
        return {
          // Heaps go with the pieces that they lie on.
          ...withPockets(
            o,
            (o.pockets ?? []).filter((h) => stays.some((p) => p.id === h.on)),
          ),
          pieces: [...stays, ...pieces],
          joints: [],
          plants: o.plants.map((p) => (p.on ? { ...p, on: undefined } : p)),
          bed: startBed(o.bed, soil, { mounds, path }, sand, d.vessel),
        };
      }),
    );
  }

  /** The real piece in the place of another: where it stands, how it is turned and what it is joined to stay. */
  function swap(id: string, source: YardPiece): string {
    const to = commission.option!.pieces.some((p) => p.id === source.id) ? id : source.id;
    const named = (other: string) => (other === id ? to : other);
    commission.endStep();
    commission.edit(`swap ${id}`, (d) =>
      optionWith(d, commission.optionId, [studioMaterial(source.material)], (o) => ({
        ...o,
        ...(o.pockets ? { pockets: o.pockets.map((p) => ({ ...p, on: named(p.on) })) } : {}),
        pieces: o.pieces.map((p): Piece => {
          if (p.id !== id)
            return p.stand.kind === 'on' ? { ...p, stand: { kind: 'on', piece: named(p.stand.piece) } } : p;
          const { origin: _o, massKg: _m, client: _c, faceDeg: _f, grainDeg: _g, ...place } = p;
          return {
            ...place,
            id: to,
            material: source.material,
            shape: source.shape,
            ...(source.massKg ? { massKg: source.massKg } : {}),
            ...(source.faceDeg === undefined ? {} : { faceDeg: source.faceDeg }),
            ...(source.grainDeg === undefined ? {} : { grainDeg: source.grainDeg }),
            origin: source.client ? 'client' : 'stock',
          };
        }),
        joints: o.joints.map((j) => ({ ...j, pieces: j.pieces.map(named) })),
        plants: o.plants.map((p) => (p.on ? { ...p, on: named(p.on) } : p)),
      })),
    );
    return to;
  }

  function layer(id: string, key: string, change: (layer: Layer) => Layer): void {
    commission.editOption(`${key} ${id}`, (o) => ({
      ...o,
      bed: o.bed.map((l) => (l.id === id ? change(l) : l)),
    }));
  }

  function tryLayer(id: string, key: string, change: (layer: Layer) => Layer): string | undefined {
    return commission.tryEditOption(`${key} ${id}`, (o) => ({
      ...o,
      bed: o.bed.map((l) => (l.id === id ? change(l) : l)),
    }));
  }

  /** Joins a piece to another, or takes the joint away. */
  function join(id: string, other: string): void {
    commission.editOption(`join ${id}`, (o) => {
      const between = (j: Option['joints'][number]) => j.pieces.includes(id) && j.pieces.includes(other);
      if (o.joints.some(between)) return { ...o, joints: o.joints.filter((j) => !between(j)) };
      const ids = new Set(o.joints.map((j) => j.id));
      let n = 1;
      while (ids.has(`J-${n}`)) n++;
      return { ...o, joints: [...o.joints, { id: `J-${n}`, pieces: [id, other], method: 'fibre-glue' }] };
    });
  }

  /** How a joint is made. */
  function joinBy(id: string, method: Option['joints'][number]['method'], accelerated?: boolean): void {
    commission.editOption(`method ${id}`, (o) => ({
      ...o,
      joints: o.joints.map((j) => (j.id === id ? { ...j, method, accelerated } : j)),
    }));
  }

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
    takeStart,
    swap,
    layer,
    tryLayer,
    join,
    joinBy,
  };
}

/** A bed with the hills of a start and, where there is sand for it, its path in the place of those that were there. */
function startBed(
  bed: readonly Layer[],
  soil: Layer | undefined,
  { mounds, path }: Pick<Start, 'mounds' | 'path'>,
  sand: Material | undefined,
  vessel: Vessel,
): Layer[] {
  const hilly = bed.map((l) => (l === soil && mounds.length ? { ...l, mounds } : l));
  if (!path || !sand || hilly.length === 0) return hilly;
  const others = hilly.filter((l) => !l.path);
  return withNewPath(others, freshId('path', others), sand.id, path, vessel);
}

/** A spot turned around a middle, anticlockwise seen from above. */
function around(
  [x, y]: readonly [number, number],
  [mx, my]: readonly number[],
  deg: number,
): [number, number] {
  const [s, c] = [Math.sin((deg * Math.PI) / 180), Math.cos((deg * Math.PI) / 180)];
  return [mx + (x - mx) * c - (y - my) * s, my + (x - mx) * s + (y - my) * c];
}

/** What is fixed stays; what is in the tank now remembers where it stood, until it is put back there. */
function movedTo(p: Piece, at: [number, number], here: boolean): Piece {
  if (p.fixed) return p;
  if (!here) return { ...p, at };
  const moved = { ...p, at, wasAt: p.wasAt ?? p.at };
  return isMoved(moved) ? moved : { ...p, at: moved.wasAt, wasAt: undefined };
}

function lifted(p: Piece, dz: number): Piece {
  const tenth = (v: number) => Math.round(v * 10) / 10;
  switch (p.stand.kind) {
    case 'bed':
      return { ...p, stand: { ...p.stand, buryMm: tenth(p.stand.buryMm - dz) } };
    case 'at':
      return { ...p, stand: { ...p.stand, zMm: tenth(p.stand.zMm + dz) } };
    default:
      return p;
  }
}

/** An option without one piece: its joints go too, and what rested on it stands on the bed. */
function withoutPiece(whole: Option, id: string): Option {
  const o = withPockets(
    whole,
    (whole.pockets ?? []).filter((p) => p.on !== id),
  );
  const pieces = o.pieces
    .filter((p) => p.id !== id)
    .map((p) =>
      p.stand.kind === 'on' && p.stand.piece === id
        ? { ...p, stand: { kind: 'bed' as const, buryMm: 0 } }
        : p,
    );
  return {
    ...o,
    pieces,
    joints: o.joints.filter((j) => !j.pieces.includes(id)),
    plants: o.plants.map((p) => (p.on === id ? { ...p, on: undefined } : p)),
  };
}
