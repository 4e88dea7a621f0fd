import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { parseCommission } from '../commission/parse';
import type { Layer, Option, Piece } from '../commission/schema';
import type { YardPiece } from '../catalogue/studio';
import { newOrigin } from '../commission/origin';
import { piece, scape, soil } from '../testing/scape';
import { copied } from './copied';
import { bedField } from '../substrate/bedField';
import { edgedWith, meansAtEnds, followingGround, layerMoved, mixedWith, ofMaterial, overPart, sloped, withHill, withoutLayer } from './layers'; // prettier-ignore
import { joinedOrNot, lifted, mirrored, movedTo, turnedBy, turnedTogether, withoutPiece } from './pieces';
import { fromYard, standInOnBench, swapped } from './placed';
import { heapOn } from './pockets';
import { started } from './started';

/* Edits are from an option to an option: what they keep is held over drawn scapes, and what comes of them is a sound document. */

const bed = [soil({ kind: 'level', mm: 60 })];
const heap = (on: string, x: number) => ({ id: `heap-${on}`, on, material: 'soil', offsetMm: [x, 5] as [number, number], radiusMm: 30, heightMm: 15 }); // prettier-ignore
const three = (part: Partial<Piece> = {}): Option => ({
  ...scape({
    option: {
      bed,
      pieces: [
        piece({ at: [200, 180], tiltDeg: [4, -7], turnDeg: 30, ...part }),
        piece({ id: 'S-2', at: [330, 150] }),
        piece({ id: 'S-3', at: [210, 190], stand: { kind: 'on', piece: 'S-1' } }),
      ],
      joints: [{ id: 'J-1', pieces: ['S-1', 'S-2'], method: 'tie' }],
      plants: [{ id: 'P-1', plant: 'grass', count: 3, on: 'S-1' }],
    },
  }).options[0],
  pockets: [heap('S-1', 10)],
});
const doc = scape();
const { vessel } = doc;
const nowhere = () => false;
const sound = (o: Option) => parseCommission({ ...doc, options: [o], catalogue: doc.catalogue });
const spot = fc.tuple(fc.integer({ min: -200, max: 900 }), fc.integer({ min: -200, max: 600 }));

describe('a piece that is moved', () => {
  it('stays over the floor, and stays where it is when it is fixed', () => {
    fc.assert(
      fc.property(spot, ([x, y]) => {
        const { at } = movedTo(piece({}), [x, y], vessel, nowhere);
        expect(at[0]).toBe(Math.min(Math.max(x, 0), 600));
        expect(at[1]).toBe(Math.min(Math.max(y, 0), 360));
        expect(movedTo(piece({ fixed: true }), [x, y], vessel, nowhere).at).toEqual([300, 180]);
      }),
    );
  });

  it('remembers where it stood when it is here, and forgets it when it is put back', () => {
    const away = movedTo(piece({}), [100, 100], vessel, () => true);
    expect(away).toMatchObject({ at: [100, 100], wasAt: [300, 180] });
    const further = movedTo(away, [400, 100], vessel, () => true);
    expect(further.wasAt).toEqual([300, 180]);
    expect(movedTo(further, [302, 181], vessel, () => true)).toMatchObject({
      at: [300, 180],
      wasAt: undefined,
    });
  });

  it('is buried less when it is lifted; one that stands on another keeps its height', () => {
    expect(lifted(piece({}), 5).stand).toEqual({ kind: 'bed', buryMm: 15 });
    expect(lifted(piece({ stand: { kind: 'at', zMm: 40 } }), 5).stand).toEqual({ kind: 'at', zMm: 45 });
    const on = piece({ stand: { kind: 'on', piece: 'S-2' } });
    expect(lifted(on, 5)).toBe(on);
  });

  it('turns to 0 to 360°, and together with others around their middle without coming nearer to it', () => {
    expect([turnedBy(piece({}), -30).turnDeg, turnedBy(piece({ turnDeg: 350 }), 20).turnDeg]).toEqual([
      330, 10,
    ]);
    fc.assert(
      fc.property(fc.integer({ min: -180, max: 180 }), (by) => {
        const before = three();
        const after = turnedTogether(before, ['S-1', 'S-2'], 'z', by, vessel, nowhere);
        const apart = ([a, b]: readonly Piece[]) => Math.hypot(a.at[0] - b.at[0], a.at[1] - b.at[1]);
        expect(apart(after.pieces)).toBeCloseTo(apart(before.pieces), 0);
        expect(after.pieces[2]).toBe(before.pieces[2]);
      }),
    );
  });
});

describe('a mirror in the middle of the tank', () => {
  it('gives the same scape again when it is looked into twice, heaps too', () => {
    fc.assert(
      fc.property(fc.subarray(['S-1', 'S-2', 'S-3']), (ids) => {
        const before = three();
        const twice = mirrored(mirrored(before, ids, vessel, nowhere), ids, vessel, nowhere);
        expect(twice).toEqual(before);
      }),
    );
    const once = mirrored(three(), ['S-1'], vessel, nowhere);
    expect(once.pieces[0]).toMatchObject({ at: [400, 180], turnDeg: 330, tiltDeg: [4, 7] });
    expect(once.pockets![0].offsetMm).toEqual([-10, 5]);
  });
});

describe('a piece that comes or goes', () => {
  it('takes its joints and heaps along, and what rested on it stands on the bed', () => {
    const o = withoutPiece(three(), 'S-1');
    expect(o).toMatchObject({ joints: [], plants: [{ on: undefined }] });
    expect(o.pockets).toBeUndefined();
    expect(o.pieces.find((p) => p.id === 'S-3')!.stand).toEqual({ kind: 'bed', buryMm: 0 });
    expect(sound(o)).toMatchObject({ ok: true });
  });

  it('is swapped for the real one with its place, its joints and all that is on it; what was known of the old one goes', () => {
    const source: YardPiece = { id: 'S-77', material: 'slate', shape: { kind: 'box', sizeMm: [90, 80, 70] }, massKg: 1.4, faceDeg: 40 }; // prettier-ignore
    const { option: o, id } = swapped(three({ massKg: 9, grainDeg: 12, origin: 'bought' }), 'S-1', source);
    expect(id).toBe('S-77');
    expect(o.pieces[0]).toMatchObject({ id: 'S-77', at: [200, 180], turnDeg: 30, tiltDeg: [4, -7], massKg: 1.4, faceDeg: 40, origin: 'stock' }); // prettier-ignore
    expect(o.pieces[0]).not.toHaveProperty('grainDeg');
    expect([o.joints[0].pieces, o.plants[0].on, o.pockets![0].on, o.pieces[2].stand]).toEqual([['S-77', 'S-2'], 'S-77', 'S-77', { kind: 'on', piece: 'S-77' }]); // prettier-ignore
    expect(sound(o)).toMatchObject({ ok: true });
    // Its number is in use on the bench: the old name stays.
    expect(swapped(three(), 'S-1', { ...source, id: 'S-2' }).id).toBe('S-1');
  });

  it('has a number of its own, from the yard, as a stand-in, as a copy, as a joint', () => {
    const o = three();
    const source: YardPiece = { id: 'S-2', material: 'slate', shape: { kind: 'box', sizeMm: [90, 80, 70] } };
    expect(fromYard(doc, o, source)).toMatchObject({ id: 'S-2.2', yard: 'S-2', at: [300, 180], owned: true });
    const stone = doc.catalogue.materials.find((m) => m.id === 'slate')!;
    const stood = standInOnBench(doc, o, stone, 'm', 'tall');
    expect(stood).toMatchObject({ id: 'N-1', origin: 'bought', material: 'slate' });
    const { option: twice } = copied({ ...o, pieces: [...o.pieces, stood] }, ['S-1', 'S-2'], 600);
    expect(new Set(twice.pieces.map((p) => p.id)).size).toBe(6);
    expect(sound(twice)).toMatchObject({ ok: true });
    expect(joinedOrNot(o, 'S-1', 'S-3').joints[1]).toMatchObject({ id: 'J-2', method: 'fibre-glue' });
    expect(joinedOrNot(o, 'S-2', 'S-1').joints).toEqual([]);
  });

  it('is a start: what is fixed stays, with what lies on it', () => {
    const fresh = piece({ id: 'A', at: [100, 100] });
    const path = { line: [[300, 0], [300, 360]] as [number, number][], widthMm: [90, 40] as [number, number] }; // prettier-ignore
    const sand = doc.catalogue.materials.find((m) => m.kind === 'sand');
    const mounds = [{ at: [100, 200] as [number, number], radiusMm: 90, heightMm: 30 }];
    const o = started(three({ fixed: true }), { pieces: [fresh], mounds, path }, sand, vessel);
    expect(o.pieces.map((p) => p.id)).toEqual(['S-1', 'A']);
    expect(o.pockets).toHaveLength(1);
    expect(o.bed.map((l) => l.id)).toEqual(['soil', 'path']);
    expect(o.bed[0].mounds).toEqual(mounds);
    expect(started(three(), { pieces: [fresh], mounds: [], path }, undefined, vessel).bed).toEqual(bed);
  });
});

describe('a bed', () => {
  const sand = { id: 'sand', material: 'sand', top: { kind: 'level' as const, mm: 80 } };

  it('keeps its layers in order, each one place up or down and never over the ends', () => {
    const both = [...bed, sand];
    expect(layerMoved(both, 'soil', 1).map((l) => l.id)).toEqual(['sand', 'soil']);
    expect(layerMoved(both, 'soil', -1)).toEqual(both);
    expect(layerMoved(layerMoved(both, 'soil', 1), 'soil', -1)).toEqual(both);
  });

  it('forgets with a material what was said of it, and mixes two by their shares', () => {
    const said = { ...bed[0], origin: 'here' as const, presentL: 5, used: true };
    expect(ofMaterial([said], 'soil', 'sand')[0]).toEqual({ ...bed[0], material: 'sand', origin: 'bought' });
    expect(ofMaterial([said], 'soil', 'soil')[0]).toBe(said);
    const mixed = mixedWith(sand, 'soil', 0.3);
    expect(mixed.mix).toEqual([{ material: 'sand', share: 0.7 }, { material: 'soil', share: 0.3 }]); // prettier-ignore
    expect(mixedWith(mixed, undefined, 0.3)).toEqual(sand);
  });

  it('follows the ground or keeps the surface that it has by it, and is sloped where its heights are drawn', () => {
    const hilly = withHill(bed[0], vessel);
    const skin: Layer = { id: 'sand', material: 'sand', top: { kind: 'level', mm: 20 }, over: true };
    const surface = (b: Layer[]) => bedField(vessel, b).cornerMm;
    const own = followingGround([hilly, skin], 'sand', false, vessel, 25);
    expect(own[1].over).toBeUndefined();
    const [before, after] = [surface([hilly, skin]), surface(own)];
    expect(Math.max(...before.map((z, i) => Math.abs(z - after[i])))).toBeLessThan(0.5);
    // 20 mm everywhere, and so thick again; where it is nowhere it is as thick as usual.
    expect(followingGround(own, 'sand', true, vessel, 25)[1]).toEqual(skin);
    const nowhere: Layer = { id: 'sand', material: 'sand', top: { kind: 'level', mm: 0 } };
    expect(followingGround([hilly, nowhere], 'sand', true, vessel, 25)[1].top).toEqual({
      kind: 'level',
      mm: 25,
    });
    const { top } = own[1];
    if (top.kind !== 'grid') throw new Error('no grid');
    const ends = meansAtEnds(top);
    const up = sloped(top, 0, 30, vessel);
    expect(meansAtEnds(up)).toEqual({ frontMm: ends.frontMm, backMm: ends.backMm + 30 });
    // Nothing goes under the glass.
    expect(Math.min(...sloped(top, -500, 0, vessel).mm)).toBe(0);
  });

  it('has hills and parts within the vessel, and bands outside of each other along a path', () => {
    const hill = withHill(bed[0], vessel).mounds![0];
    expect(hill).toEqual({ at: [200, 216], radiusMm: 120, heightMm: 40 });
    const part = overPart(bed[0], true, vessel);
    expect(part.region).toEqual([[180, 0], [420, 0], [420, 360], [180, 360]]); // prettier-ignore
    expect(overPart(part, false, vessel)).toEqual(bed[0]);
    const path = started({ ...three(), bed }, { pieces: [], mounds: [], path: { line: [[300, 0], [300, 360]], widthMm: [90, 40] } }, doc.catalogue.materials.find((m) => m.kind === 'sand'), vessel).bed; // prettier-ignore
    const twice = edgedWith(edgedWith(path, 'path', 'granite', vessel), 'path', 'slate', vessel);
    expect(twice.map((l) => [l.id, l.path?.bandMm])).toEqual([['soil', undefined], ['path-edge-2', 40], ['path-edge', 20], ['path', undefined]]); // prettier-ignore
    expect(withoutLayer(twice, 'path').map((l) => l.id)).toEqual(['soil']);
  });

  it('laid anew in a tank that runs is new, whatever stays there of its kind', () => {
    const whose = newOrigin({ rescape: { stays: ['substrate', 'plants'], filterKept: true } });
    expect([whose, newOrigin({})]).toEqual([{ origin: 'bought' }, {}]);
    const sandOf = doc.catalogue.materials.find((m) => m.kind === 'sand');
    const path = { line: [[300, 0], [300, 360]] as [number, number][], widthMm: [90, 40] as [number, number] }; // prettier-ignore
    const laid = started(three(), { pieces: [], mounds: [], path }, sandOf, vessel, whose).bed;
    expect(laid.map((l) => l.origin)).toEqual([undefined, 'bought']);
    expect(edgedWith(laid, 'path', 'slate', vessel, whose).map((l) => l.origin)).toEqual([undefined, 'bought', 'bought']); // prettier-ignore
  });

  it('gives a heap of the soil that it has, and none where no soil is at hand', () => {
    const { materials } = doc.catalogue;
    expect(heapOn(three(), 'S-2', materials)).toMatchObject({ id: 'pocket', on: 'S-2', material: 'soil' });
    expect(heapOn(three(), 'S-2', [])).toBeUndefined();
  });
});
