import { strFromU8, unzipSync, zipSync } from 'fflate';
import fc from 'fast-check';
import Module from 'manifold-3d';
import { beforeAll, describe, expect, it } from 'vitest';
import { meshVolume, type Mesh } from '../geometry/mesh';
import { volumeMm3Of } from '../hardscape/columns';
import { heldMesh, isHeld, MeshMissing } from '../hardscape/heldMeshes';
import { exactVolumeMm3, solidMesh } from '../hardscape/solid';
import { plan } from '../pipeline/plan';
import type { Commission, Shape } from '../commission/schema';
import { scape, piece } from '../testing/scape';
import { scanned } from '../testing/scanned';
import { apart, scansOf, shapeApart } from './apart';
import { bundle, opened, type Keep } from './bundle';
import { drawnMesh } from './drawn';
import { glbOf, meshOfGlb } from './glb';
import { scanFaults } from './known';
import { meshBytes, meshName, meshOfBytes } from './meshBlob';
import { takenIn, type ScanFigures } from './scan';
import { inEnglish } from '../words/english';

/** In tenths of a millimetre, as the demo has it: what is kept are thousandths. */
function inTenths(shape: Shape): Shape {
  if (shape.kind !== 'mesh') return shape;
  const tenths = (v: number) => Math.round(v * 10) / 10;
  return { ...shape, vertices: shape.vertices.map(([x, y, z]) => [tenths(x), tenths(y), tenths(z)]) };
}
const STONE = inTenths(scanned(2_000, 180));
const json = (document: Commission) => new TextEncoder().encode(JSON.stringify(document));
const commission = (...shapes: Shape[]): Commission =>
  scape({
    option: { pieces: shapes.map((shape, i) => piece({ id: `S-${i}`, shape, at: [150 + 90 * i, 180] })) },
  });

/** A zip whose list says of each mesh that it has so many bytes (PKWARE, APPNOTE 4.3.12: offset 24 of an entry). */
function claiming(zip: Uint8Array, bytes: number): Uint8Array<ArrayBuffer> {
  const copy = zip.slice() as Uint8Array<ArrayBuffer>;
  const view = new DataView(copy.buffer);
  for (let at = 0; at + 46 < copy.length; at++) {
    if (view.getUint32(at, true) !== 0x02014b50) continue;
    const name = strFromU8(copy.subarray(at + 46, at + 46 + view.getUint16(at + 28, true)));
    if (name.startsWith('meshes/')) view.setUint32(at + 24, bytes, true);
  }
  return copy;
}

/** A commission, its scans apart, and its file. */
async function exported(document: Commission) {
  const { commission, meshes } = apart(document);
  const file = await bundle(JSON.stringify(commission), meshes.keys(), (name) => meshes.get(name)!);
  return { commission, meshes, file };
}

describe('a mesh as bytes', () => {
  const mm = fc.integer({ min: -9_999_999, max: 9_999_999 }).map((n) => n / 1_000);
  it('gives the very corners that were written, to a thousandth of a millimetre, within 10 m', () => {
    fc.assert(
      fc.property(fc.array(mm, { minLength: 12, maxLength: 30 }), (list) => {
        const vertices = new Float64Array(list.slice(0, list.length - (list.length % 3)));
        const back = meshOfBytes(meshBytes({ vertices, faces: new Uint32Array([0, 1, 2]) }));
        expect([...back.vertices]).toEqual([...vertices].map((v) => v + 0));
      }),
    );
  });

  it('is little-endian: letters, counts, float32 corners, uint32 triangles', () => {
    const bytes = meshBytes({ vertices: new Float64Array([0, 1.5, -2]), faces: new Uint32Array([7, 8, 9]) });
    expect(Buffer.from(bytes).toString('hex')).toBe(
      '5554534d' + '01000000' + '01000000' + '00000000' + '0000c03f' + '000000c0' + '07000000' + '08000000' + '09000000', // prettier-ignore
    );
  });

  it('has a name that another mesh does not have', () => {
    const one = meshBytes(solidMesh(STONE));
    const other = one.slice();
    other[40] ^= 1;
    expect(meshName(one)).toMatch(/^[a-f0-9]{32}$/);
    expect(meshName(other)).not.toBe(meshName(one));
  });

  it('is refused when it is cut off, open or turned inside out', () => {
    const bytes = meshBytes(solidMesh(STONE));
    const { vertices, faces } = solidMesh(STONE);
    expect(() => takenIn(bytes.slice(0, -4))).toThrow('blob.cut.off');
    expect(() => takenIn(new Uint8Array(8))).toThrow('blob.other');
    expect(() => takenIn(meshBytes({ vertices, faces: faces.slice(3) }))).toThrow('mesh.open');
    expect(() => takenIn(meshBytes({ vertices, faces: faces.slice().reverse() }))).toThrow('mesh.inwards');
    expect(() => takenIn(meshBytes({ vertices: vertices.map(() => NaN), faces }))).toThrow('mesh.far');
  });
});

describe('a document whose meshes lie beside it', () => {
  it('has the same figures as one that carries them', () => {
    const whole = commission(STONE, inTenths(scanned(1_200, 140)));
    const { commission: light, meshes } = apart(whole);
    expect(meshes.size).toBe(2);
    expect(JSON.stringify(light).length).toBeLessThan(JSON.stringify(whole).length / 10);
    const [a, b] = [whole, light].map((c) => plan(c, { today: '2026-11-25' }));
    expect(b.takeOff).toEqual(a.takeOff);
    expect(b.findings).toEqual(a.findings);
    const masses = (p: typeof a) => p.survey.pieces.map((s) => s.massKg);
    masses(b).forEach((kg, i) => expect(kg).toBeCloseTo(masses(a)[i], 6));
  });

  it('says size, triangles and litres of a scan without its mesh', () => {
    const scan = shapeApart(STONE, new Map());
    expect(scan).toMatchObject({ kind: 'scan', triangles: solidMesh(STONE).faces.length / 3 });
    expect(volumeMm3Of({ ...scan, mesh: '0'.repeat(32) } as Shape)).toBeCloseTo(exactVolumeMm3(STONE)!, -1);
    expect(() => solidMesh({ ...scan, mesh: '0'.repeat(32) } as Shape)).toThrow(MeshMissing);
  });

  it('leaves alone what has no mesh, and keeps fields that it does not know', () => {
    const box: Shape = { kind: 'box', sizeMm: [1, 2, 3] };
    expect(shapeApart(box, new Map())).toBe(box);
    expect(shapeApart({ ...STONE, seen: 'yes' } as Shape, new Map())).toMatchObject({ seen: 'yes' });
  });
});

describe('one file for a commission and its scans', () => {
  it('comes back as it went, and lets any reader of glTF see the stone in metres, y up', async () => {
    const { commission: light, meshes, file } = await exported(commission(STONE, STONE));
    const kept = new Map<string, Uint8Array>();
    const figures = new Map<string, ScanFigures>();
    const keep: Keep = async (name, bytes, measured) => {
      kept.set(name, bytes);
      figures.set(name, measured);
    };
    const back = await opened(file.slice(), undefined, keep);
    if (!back.ok) throw new Error(inEnglish(back.faults[0].says));
    expect(back.commission).toEqual(light);
    expect([...kept]).toEqual([...meshes]);
    // Digits that got lost in the document are not lost in what is kept of the mesh.
    const less = JSON.stringify(light).replace(/"volumeL":(\d\.\d{3})\d+/g, '"volumeL":$1');
    const digits = (await bundle(less, meshes.keys(), (name) => meshes.get(name)!)).slice();
    expect(await opened(digits, undefined, keep)).toMatchObject({ ok: true });
    const [{ mesh, volumeL }] = scansOf(light);
    expect(figures.get(mesh)!.volumeL).toBe(volumeL);
    expect(less).not.toContain(String(volumeL));
    const parts = unzipSync(file);
    expect(Object.keys(parts)).toEqual(['commission.json', `meshes/${[...meshes.keys()][0]}.glb`]);
    expect(JSON.parse(strFromU8(parts['commission.json']))).toEqual(light);
  });

  it('reads a plain document with its meshes inside', async () => {
    const whole = commission(STONE);
    const back = await opened(json(whole).slice());
    if (!back.ok) throw new Error(inEnglish(back.faults[0].says));
    expect(scansOf(back.commission)).toHaveLength(1);
    expect(isHeld(scansOf(back.commission)[0].mesh)).toBe(true);
  });

  const says = async (bytes: Uint8Array<ArrayBuffer>) => {
    const back = await opened(bytes);
    return back.ok ? 'read' : `${back.faults[0].path} ${inEnglish(back.faults[0].says)}`;
  };

  it('says what is wrong with a file that was tampered with', async () => {
    const { file, meshes, commission: light } = await exported(commission(STONE));
    const [name] = meshes.keys();
    const parts = unzipSync(file);
    const repacked = (change: (p: typeof parts) => void) => {
      const copy = { ...parts };
      change(copy);
      return zipSync(copy).slice();
    };
    const path = `meshes/${name}.glb`;
    expect(await says(file.slice(0, 200))).toContain('cannot be unpacked');
    expect(await says(repacked((p) => delete p['commission.json']))).toContain('has no commission.json');
    expect(await says(repacked((p) => delete p[path]))).toContain('.mesh is not kept here');
    expect(await says(repacked((p) => (p[path] = p[path].slice(0, 900))))).toContain(`${path} is cut off`);
    const other = await glbOf(solidMesh(scanned(800, 90)), 'other');
    expect(await says(repacked((p) => (p[path] = other.slice())))).toContain(
      'not the mesh that it is named after',
    );
    const heavier = JSON.stringify(light).replace(/"volumeL":[\d.]+/, '"volumeL":99');
    expect(await says(repacked((p) => (p['commission.json'] = new TextEncoder().encode(heavier))))).toMatch(
      /volumeL is 99 L, must be the mesh’s/,
    );
  });

  it('drops what the document does not name, and does not unpack what is too much', async () => {
    const { file } = await exported(commission(STONE));
    const parts = unzipSync(file);
    const more = zipSync({ ...parts, '../../etc/passwd': new Uint8Array(9), [`meshes/${'0'.repeat(32)}.glb`]: new Uint8Array(9) }); // prettier-ignore
    const names: string[] = [];
    expect(await opened(more.slice(), undefined, async (name) => void names.push(name))).toMatchObject({
      ok: true,
    });
    expect(names).toHaveLength(1);
    expect(await says(claiming(more, 230 * 1024 * 1024))).toMatch(/glb with more than 24 MB/);
    const blanks = zipSync({ ...parts, 'commission.json': new Uint8Array(60 * 1024 * 1024) }, { level: 1 });
    expect(await says(blanks.slice())).toMatch(/has commission.json with more than 20 MB/);
    const crowd = Object.fromEntries(Array.from({ length: 2_100 }, (_, i) => [`${i}`, new Uint8Array()]));
    expect(await says(zipSync(crowd).slice())).toContain('more than 2000 files');
    // One that says it is small and is not: no more is written than it said.
    expect(await says(claiming(more, 100))).toMatch(/cannot be|cut off/);
  });

  it('holds what is said of a scan against what is kept', () => {
    const light = apart(commission(STONE)).commission;
    const [scan] = scansOf(light);
    expect(scanFaults(light, () => scan)).toEqual([]);
    expect(scanFaults(light, () => ({ ...scan, triangles: 4 }))[0].path).toBe('options[0].pieces[0].shape.triangles'); // prettier-ignore
    expect(scanFaults(light, () => ({ ...scan, sizeMm: [scan.sizeMm[0], 1, 180] }))[0].path).toContain(
      'sizeMm[1]',
    );
  });
});

describe('GLB', () => {
  it('is what glTF 2.0 asks for, and gives back what went in', async () => {
    const mesh = meshOfBytes(meshBytes(solidMesh(STONE)));
    const glb = await glbOf(mesh, 'S-1');
    const view = new DataView(glb.buffer, glb.byteOffset);
    // Khronos Group, glTF 2.0 specification, 4.4: magic, version, length.
    expect([view.getUint32(0, true), view.getUint32(4, true), view.getUint32(8, true)]).toEqual([0x46546c67, 2, glb.length]); // prettier-ignore
    const back = meshOfBytes(meshBytes(await meshOfGlb(glb)));
    expect(back).toEqual(mesh);
    await expect(meshOfGlb(new Uint8Array(40))).rejects.toThrow('glb.unreadable');
  });
});

describe('a mesh as it is drawn', () => {
  let wasm: Awaited<ReturnType<typeof Module>>;
  beforeAll(async () => {
    wasm = await Module();
    wasm.setup();
  });
  const solid = ({ vertices, faces }: Mesh) =>
    new wasm.Manifold(
      new wasm.Mesh({ numProp: 3, vertProperties: new Float32Array(vertices), triVerts: faces }),
    );

  it('has a thirtieth of the triangles, the same outline and nearly the same litres', async () => {
    const mesh = solidMesh(scanned(20_000, 260));
    const drawn = await drawnMesh(mesh);
    expect(drawn.faces.length / 3).toBeLessThanOrEqual(600);
    // manifold-3d takes closed surfaces only.
    expect(solid(drawn).volume() / solid(mesh).volume()).toBeCloseTo(1, 1);
    expect(Math.abs(meshVolume(drawn) / meshVolume(mesh) - 1)).toBeLessThan(0.02);
    const reach = (m: Mesh) => Math.max(...m.vertices);
    expect(reach(drawn) / reach(mesh)).toBeGreaterThan(0.98);
  });

  it('stays as it is where it has few', async () => {
    const mesh = solidMesh({ kind: 'box', sizeMm: [10, 20, 30] });
    expect(await drawnMesh(mesh)).toBe(mesh);
  });
});

it('meshes that are held are found, others are missed by name', () => {
  const { mesh } = takenIn(meshBytes(solidMesh(scanned(600, 70))));
  expect(heldMesh(mesh).faces.length).toBeGreaterThan(0);
  expect(() => heldMesh('f'.repeat(32))).toThrow('not at hand');
});
