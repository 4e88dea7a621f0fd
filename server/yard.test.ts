import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { STLExporter } from 'three/addons/exporters/STLExporter.js';
import { OBJExporter } from 'three/addons/exporters/OBJExporter.js';
import { BoxGeometry, Mesh as Drawn } from 'three';
import { glbOf } from '../core/exchange/glb';
import { example } from '../core/testing/scape';
import { scanFile } from './documents/scanFile';
import request from 'supertest';
import { writeStudio } from './store/studio';
import { testServer, type TestServer } from './testing';

const block = new Drawn(new BoxGeometry(120, 80, 200));
const encoder = new TextEncoder();
const stl = () => encoder.encode(new STLExporter().parse(block));
const obj = () => encoder.encode(new OBJExporter().parse(block));
const volumeL = ({ vertices: v, faces }: { vertices: Float64Array; faces: Uint32Array }) => {
  let six = 0;
  for (let f = 0; f < faces.length; f += 3) {
    const [a, b, c] = [0, 1, 2].map((k) => v.subarray(faces[f + k] * 3, faces[f + k] * 3 + 3));
    six += a[0] * (b[1] * c[2] - b[2] * c[1]) - a[1] * (b[0] * c[2] - b[2] * c[0]) + a[2] * (b[0] * c[1] - b[1] * c[0]); // prettier-ignore
  }
  return six / 6e6;
};

describe('a scan from a file', () => {
  it('is read as STL and OBJ, written by another program, with its litres', async () => {
    for (const [name, bytes] of [
      ['a.stl', stl()],
      ['b.OBJ', obj()],
    ] as const) {
      // prettier-ignore
      const { mesh, notes } = await scanFile(bytes, name, 'mm');
      expect(volumeL(mesh)).toBeCloseTo(1.92, 6);
      expect(mesh.vertices).toHaveLength(24);
      expect(notes).toEqual([]);
    }
  });

  it('is read as GLB in its metres, z up again', async () => {
    const { mesh } = await scanFile(stl(), 'a.stl', 'mm');
    const glb = new Uint8Array(await glbOf(mesh, 'block'));
    const back = await scanFile(glb, 'c.glb', 'mm');
    expect(volumeL(back.mesh)).toBeCloseTo(1.92, 4);
    const high = back.mesh.vertices.filter((_, i) => i % 3 === 2);
    expect(Math.max(...high) - Math.min(...high)).toBeCloseTo(200, 2);
  });

  it('that faces inwards is turned round; an open one, another unit and no scan are refused with what to do', async () => {
    const { mesh } = await scanFile(stl(), 'a.stl', 'mm');
    const inward = new BoxGeometry(120, 80, 200);
    inward.scale(-1, 1, 1);
    const turned = await scanFile(encoder.encode(new STLExporter().parse(new Drawn(inward))), 'a.stl', 'mm');
    expect(turned.notes).toEqual(['faced inwards and was turned round']);
    expect(volumeL(turned.mesh)).toBeCloseTo(volumeL(mesh), 6);
    const open = encoder.encode(new TextDecoder().decode(stl()).replace(/facet[\s\S]*?endfacet\s*/, ''));
    await expect(scanFile(open, 'a.stl', 'mm')).rejects.toThrow(/is open along the edge.*Close its holes/);
    const metres = encoder.encode(new STLExporter().parse(new Drawn(new BoxGeometry(0.12, 0.08, 0.2))));
    await expect(scanFile(metres, 'a.stl', 'mm')).rejects.toThrow(
      /would be 0\.2 mm long: is the file in metres/,
    );
    expect(volumeL((await scanFile(metres, 'a.stl', 'm')).mesh)).toBeCloseTo(1.92, 4);
    await expect(scanFile(stl(), 'a.fbx', 'mm')).rejects.toThrow(/ends in \.stl, \.obj or \.glb/);
    await expect(scanFile(encoder.encode('nothing'), 'a.glb', 'mm')).rejects.toThrow(
      /file cannot be read, must be a GLB/,
    );
  });
});

describe('the yard', () => {
  let t: TestServer;
  beforeAll(async () => {
    t = await testServer();
    const materials = [{ id: 'slate', kind: 'stone' as const, name: 'Slate', densityKgPerL: 2.75 }];
    await writeStudio(t.store, { name: 'S', currency: 'GBP', catalogue: { materials, plants: [], suppliers: [] }, yard: [] }); // prettier-ignore
  });
  afterAll(() => t.close());
  const api = () => request(t.app);

  it('takes a piece by three sizes and a mass, once, and gives it up again', async () => {
    const ask = { id: 'S-90', material: 'slate', sizeMm: [200, 140, 180], massKg: 6.6 };
    const made = await api().post('/api/studio/yard').send(ask).expect(201);
    expect(made.body).toMatchObject({
      piece: { id: 'S-90', massKg: 6.6, shape: { kind: 'scan' } },
      doubts: [],
    });
    expect(made.body.piece.shape.volumeL).toBeCloseTo(2.4, 1);
    expect((await api().get('/api/studio')).body.yard).toMatchObject([{ id: 'S-90' }]);
    await api().get(`/api/meshes?names=${made.body.piece.shape.mesh}`).expect(200);
    const again = await api().post('/api/studio/yard').send(ask).expect(409);
    expect(again.body.title).toMatch(/S-90 is or was a piece of the yard already/);
    const bad = await api()
      .post('/api/studio/yard')
      .send({ ...ask, id: 'S-91', massKg: -1 })
      .expect(400);
    expect(bad.body.title).toMatch(/massKg is -1 kg, must be at least 0\.001 kg/);
    // What is found out about it in the hand is kept with it.
    await api().patch('/api/studio/yard/S-90').send({ faceDeg: 140 }).expect(204);
    await api().patch('/api/studio/yard/S-90').send({ grainDeg: 20 }).expect(204);
    // Known already: nothing is written, and nothing is wrong.
    await api().patch('/api/studio/yard/S-90').send({ grainDeg: 20 }).expect(204);
    expect((await api().get('/api/studio')).body.yard).toMatchObject([{ id: 'S-90', massKg: 6.6, faceDeg: 140, grainDeg: 20 }]); // prettier-ignore
    expect((await api().patch('/api/studio/yard/S-90').send({ faceDeg: 999 }).expect(400)).body.title).toMatch(/faceDeg is 999°, must be at most 360°/); // prettier-ignore
    await api().patch('/api/studio/yard/S-99').send({ faceDeg: 1 }).expect(404);
    await api().delete('/api/studio/yard/S-90').expect(204);
    await api().delete('/api/studio/yard/S-90').expect(404);
  });

  it('says of a typing error, and takes a scan with what was done to it', async () => {
    const odd = { id: 'S-92', material: 'slate', sizeMm: [200, 140, 180], massKg: 9, litres: 2 };
    const { body } = await api().post('/api/studio/yard').send(odd).expect(201);
    expect(body.doubts).toEqual(['9 kg and 2 L are 4.5 kg/L; Slate is 2.75: is one of them mistyped?']);
    const scan = await api().post('/api/studio/yard/scans?file=block.stl').set('Content-Type', 'application/octet-stream').send(Buffer.from(stl())).expect(201); // prettier-ignore
    expect(scan.body).toMatchObject({ scan: { kind: 'scan', triangles: 12 }, notes: [] });
    const made = await api().post('/api/studio/yard').send({ id: 'S-93', material: 'slate', scan: scan.body.scan.mesh }).expect(201); // prettier-ignore
    expect(made.body.piece.shape.volumeL).toBeCloseTo(1.92, 4);
    const none = await api()
      .post('/api/studio/yard/scans?file=x.stl')
      .send(Buffer.from('nonsense'))
      .expect(422);
    expect(none.body.title).toMatch(/could not be read as STL|fewer than four triangles/);
  });

  it('takes a piece by two outlines, with the litres of its mass, and wood by its branches', async () => {
    const oval = (w: number) => Array.from({ length: 40 }, (_, i) => [(w / 2) * Math.cos((i * Math.PI) / 20), 90 * Math.sin((i * Math.PI) / 20)]); // prettier-ignore
    const ask = {
      id: 'S-94',
      material: 'slate',
      massKg: 5.5,
      outlines: { front: oval(200), side: oval(150) },
    };
    const made = (await api().post('/api/studio/yard').send(ask).expect(201)).body;
    expect(made.doubts).toEqual([]);
    // 5.5 kg of 2.75 kg/L.
    expect(made.piece.shape.volumeL).toBeCloseTo(2, 2);
    expect(made.piece.shape.sizeMm.map(Math.round)).toEqual([200, 150, 180]);
    const wood = { id: 'S-95', material: 'slate', branches: [{ longMm: 300, thickMm: [40, 40], bearingDeg: 0, riseDeg: 0 }] }; // prettier-ignore
    const root = (await api().post('/api/studio/yard').send(wood).expect(201)).body;
    expect(root.piece.shape.volumeL).toBeCloseTo(
      (Math.PI * 20 * 20 * 300 + (4 / 3) * Math.PI * 20 ** 3) / 1e6,
      1,
    );
    const astray = { ...wood, id: 'S-96', branches: [...wood.branches, { ...wood.branches[0], from: 0, alongMm: 900 }] }; // prettier-ignore
    expect((await api().post('/api/studio/yard').send(astray).expect(422)).body.title).toMatch(/must be within the 300 mm/); // prettier-ignore
    const two = { ...ask, id: 'S-97', outlines: { front: [[0, 0], [1, 1]], side: oval(9) } }; // prettier-ignore
    await api().post('/api/studio/yard').send(two).expect(400);
  });

  it('parts a piece: two of the whole’s mass in its place, its number kept; one that stands elsewhere is left alone', async () => {
    const ask = { way: 'upright', bearingDeg: 0, share: 0.4, massKg: [null, null] };
    const { body } = await api().post('/api/studio/yard/S-94/parts').send(ask).expect(201);
    expect(body.parts.map((p: any) => [p.id, p.partOf])).toEqual([['S-94a', 'S-94'], ['S-94b', 'S-94']]); // prettier-ignore
    expect(body.parts[0].massKg + body.parts[1].massKg).toBeCloseTo(5.5, 2);
    expect(body.parts[0].massKg).toBeGreaterThan(body.parts[1].massKg);
    const { yard, parted } = (await api().get('/api/studio')).body;
    expect(yard.map((p: any) => p.id)).not.toContain('S-94');
    expect(parted).toMatchObject([{ id: 'S-94', massKg: 5.5, into: ['S-94a', 'S-94b'] }]);
    await api()
      .post('/api/studio/yard')
      .send({ id: 'S-94', material: 'slate', sizeMm: [9, 9, 9] })
      .expect(409);
    await api().post('/api/studio/yard/S-94/parts').send(ask).expect(404);
    const doc = structuredClone(example('held-root'));
    doc.options[0].pieces = [{ ...doc.options[0].pieces[0], id: 'S-95', owned: true }];
    doc.options[0].joints = [];
    const { id } = (await api().post('/api/commissions').send(doc).expect(201)).body;
    const held = await api().post('/api/studio/yard/S-95/parts').send(ask).expect(409);
    expect(held.body.title).toMatch(/S-95 stands in .+: take it out there first/);
    await api()
      .post('/api/studio/yard/S-95/parts')
      .send({ ...ask, commission: id })
      .expect(201);
  });

  it('gives a number to one of eight who ask for it at once, and parts a piece once', async () => {
    const all = async (ask: () => request.Test, many: number) =>
      (await Promise.all(Array.from({ length: many }, ask))).map((answer) => answer.status).sort();
    const ask = { id: 'DOT.2', material: 'slate', sizeMm: [200, 140, 180] };
    expect(await all(() => api().post('/api/studio/yard').send(ask), 8)).toEqual([
      201,
      ...Array(7).fill(409),
    ]);
    const half = { way: 'upright', bearingDeg: 0, share: 0.5, massKg: [null, null] };
    const parted = await all(() => api().post('/api/studio/yard/DOT.2/parts').send(half), 6);
    // Who comes after it is done hears that it is not there any more.
    expect(parted[0]).toBe(201);
    expect(parted.slice(1).every((status) => status === 409 || status === 404)).toBe(true);
  });

  it('refuses what encloses nothing, a trunk that leaves itself and half a character', async () => {
    const refused = async (ask: object, status: number) => {
      const answer = await api()
        .post('/api/studio/yard')
        .send({ id: 'S-70', material: 'slate', ...ask });
      expect(answer.status).toBe(status);
      return answer.body.title as string;
    };
    const point = Array(5).fill([10, 10]);
    const oval = [[0, 0], [90, 0], [90, 90], [0, 90]]; // prettier-ignore
    expect(await refused({ outlines: { front: point, side: oval } }, 422)).toMatch(/from the front encloses nothing/); // prettier-ignore
    expect(await refused({ outlines: { front: oval, side: point } }, 422)).toMatch(/from the side encloses nothing/); // prettier-ignore
    const trunk = { from: 0, longMm: 300, thickMm: [40, 40], bearingDeg: 0, riseDeg: 0 };
    expect(await refused({ branches: [trunk] }, 422)).toMatch(/trunk leaves a branch, must leave none/);
    expect(await refused({ id: 'S-\ud800', sizeMm: [9, 9, 9] }, 400)).toMatch(/whole characters/);
  });

  it('says with a save who else has a stone, and keeps its number from others once it is given away', async () => {
    const doc = (id: string, buildDay: string) => {
      const d = structuredClone(example('held-root'));
      d.brief.buildDay = buildDay;
      d.options[0] = {
        ...d.options[0],
        joints: [],
        pieces: [{ ...d.options[0].pieces[0], id, owned: true }],
      };
      return d;
    };
    await api().post('/api/studio/yard').send({ id: 'S-60', material: 'slate', sizeMm: [200, 140, 180] }).expect(201); // prettier-ignore
    const created = async (d: object) => (await api().post('/api/commissions').send(d).expect(201)).body.id as string; // prettier-ignore
    const first = await created({ ...doc('S-60', '2199-01-01'), title: 'First' });
    const second = await created({ ...doc('S-61', '2026-01-01'), title: 'Second' });
    const save = { revision: 1, document: doc('S-60', '2026-01-01') };
    const { body } = await api().put(`/api/commissions/${second}`).send(save).expect(200);
    expect(body.also).toEqual({ 'S-60': [{ id: first, title: 'First', buildDay: '2199-01-01' }] });
    expect((await api().delete('/api/studio/yard/S-60').expect(409)).body.title).toMatch(/stands in First: take it out/); // prettier-ignore
    await api().delete(`/api/commissions/${first}`).expect(200);
    // Built in long ago: it is gone from the yard, and its number stays that stone's.
    await api().delete('/api/studio/yard/S-60').expect(204);
    expect((await api().get('/api/studio')).body.yard.map((p: any) => p.id)).not.toContain('S-60');
    const other = await api().post('/api/studio/yard').send({ id: 'S-60', material: 'slate', sizeMm: [90, 90, 90] }); // prettier-ignore
    expect(other.status).toBe(409);
  });

  it('taken by two in the same moment is lost for neither: whoever came second is told', async () => {
    const own = structuredClone(example('held-root'));
    const none = { ...own, options: [{ ...own.options[0], joints: [], pieces: [] }] };
    const withStone = { ...none, options: [{ ...none.options[0], pieces: [{ ...own.options[0].pieces[0], id: 'S-70', owned: true }] }] };
    await api().post('/api/studio/yard').send({ id: 'S-70', material: 'slate', sizeMm: [200, 140, 180] }).expect(201);
    const made = async (title: string) => (await api().post('/api/commissions').send({ ...none, title }).expect(201)).body.id as string;
    const ids = [await made('Left'), await made('Right')];
    const save = (id: string, i: number) => api().put(`/api/commissions/${id}`).send({ revision: 1, document: { ...withStone, title: ['Left', 'Right'][i] } }).expect(200);
    const answers = await Promise.all(ids.map(save));
    const told = answers.filter((a) => a.body.also?.['S-70']?.length === 1);
    expect(told.length).toBeGreaterThan(0);
    const { used } = (await api().get('/api/studio')).body;
    expect(used['S-70'].map((u: { title: string }) => u.title).sort()).toEqual(['Left', 'Right']);
  }); // prettier-ignore

  it('keeps a photograph of a piece, and lets it go with the piece', async () => {
    const { default: sharp } = await import('sharp');
    const png = await sharp({ create: { width: 40, height: 30, channels: 3, background: '#776655' } }).png().toBuffer(); // prettier-ignore
    const put = (id: string, body: Buffer) => api().put(`/api/studio/yard/${id}/photo`).set('Content-Type', 'application/octet-stream').send(body); // prettier-ignore
    const { photo } = (await put('S-93', png).expect(201)).body;
    await api().get(`/api/studio/yard/photos/${photo}`).expect(200).expect('Content-Type', 'image/jpeg');
    expect((await api().get('/api/studio')).body.yard.find((p: any) => p.id === 'S-93').photo).toBe(photo);
    await put('S-93', Buffer.from('none')).expect(415);
    await put('S-999', png).expect(404);
    await api().delete('/api/studio/yard/S-93').expect(204);
    await api().get(`/api/studio/yard/photos/${photo}`).expect(404);
  });

  it('knows in which commissions a piece stands', async () => {
    const doc = structuredClone(example('held-root'));
    doc.options[0].pieces[0] = { ...doc.options[0].pieces[0], id: 'S-90', owned: true };
    doc.options[0].joints = [];
    const created = await api().post('/api/commissions').send({ ...doc, options: [{ ...doc.options[0], pieces: [doc.options[0].pieces[0]] }] }); // prettier-ignore
    expect(created.status).toBe(201);
    const { used } = (await api().get('/api/studio')).body;
    expect(used['S-90']).toEqual([{ id: created.body.id, title: doc.title, buildDay: doc.brief.buildDay }]);
  });
});
