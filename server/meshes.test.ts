import { readdir, rm, utimes } from 'node:fs/promises';
import request from 'supertest';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Commission } from '../core/commission/schema';
import { scansOf } from '../core/exchange/apart';
import { meshesOfBytes, meshOfBytes } from '../core/exchange/meshBlob';
import { scanned } from '../core/testing/scanned';
import { piece, scape } from '../core/testing/scape';
import { dropUnwantedMeshes } from './store/meshCare';
import { meshFile, meshFolder } from './store/meshes';
import { testServer, wholeBody, type TestServer } from './testing';

let b: TestServer;
beforeAll(async () => {
  b = await testServer();
});
afterAll(() => b.close());
const api = () => request(b.app);

/** A commission with one scanned stone of so many triangles, as a file with its mesh inside. */
const withScan = (triangles = 5_000): Commission =>
  scape({ option: { pieces: [piece({ id: 'S-1', shape: scanned(triangles, 180) })] } });

async function imported(document: object = withScan()) {
  const { body } = await api().post('/api/commissions/import').send(document).expect(201);
  const id = body.id as string;
  return { id, ...(await read(id)) };
}
async function read(id: string) {
  const { body } = await api().get(`/api/commissions/${id}`).expect(200);
  return { document: body.document as Commission, revision: body.revision as number };
}
const bytesAt = async (path: string) => {
  const { body, headers } = await api().get(path).expect(200);
  return { bytes: new Uint8Array(body as Buffer), headers };
};

describe('scans', () => {
  it('leave a document that comes in, and are there by name: whole, and with fewer triangles', async () => {
    const { id, document } = await imported();
    const [scan] = scansOf(document);
    expect(JSON.stringify(document).length).toBeLessThan(8_000);
    const whole = await bytesAt(`/api/meshes?names=${scan.mesh}&of=${id}`);
    expect(meshOfBytes(whole.bytes).faces.length / 3).toBe(scan.triangles);
    expect(whole.headers['cache-control']).toBe('private, no-store');
    const drawn = await bytesAt(`/api/meshes?names=${scan.mesh}&part=drawn&of=${id}`);
    expect(meshOfBytes(drawn.bytes).faces.length / 3).toBeLessThanOrEqual(600);
    for (const name of ['0'.repeat(32), '..%2Futsuwa.db', 'x'])
      await api().get(`/api/meshes?names=${name}`).expect(404);
    // Of several they come in their order; none where one of them is not to be had.
    const twice = await bytesAt(`/api/meshes?names=${scan.mesh},${scan.mesh}&of=${id}`);
    expect(meshesOfBytes(twice.bytes).map((m) => m.faces.length / 3)).toEqual([scan.triangles, scan.triangles]); // prettier-ignore
    await api()
      .get(`/api/meshes?names=${scan.mesh},${'0'.repeat(32)}&of=${id}`)
      .expect(404);
    await api()
      .get(`/api/meshes?names=${Array(41).fill(scan.mesh).join()}&of=${id}`)
      .expect(404);
  });

  it('of the tank as it is now are measured with every option, and go out with the file', async () => {
    const stone = piece({ id: 'K-1', shape: scanned(1_700, 140) });
    const { id, document } = await imported({
      ...scape(),
      now: { bed: [], pieces: [stone], joints: [], plants: [] },
    });
    expect(document.now!.pieces[0].shape.kind).toBe('scan');
    await api().get(`/api/commissions/${id}/takeoff.csv`).expect(200);
    const { headers } = await api().get(`/api/commissions/${id}/file`).expect(200);
    expect(headers['content-type']).toMatch(/zip/);
  });

  it('are given for the commission that names them, and not once its client is erased', async () => {
    const doc = withScan(2_200);
    const { id, document, revision } = await imported({ ...doc, brief: { ...doc.brief, client: { name: 'Mr Rowan' } } }); // prettier-ignore
    const [{ mesh }] = scansOf(document);
    const answer = async (of: string) => (await api().get(`/api/meshes?names=${mesh}&of=${of}`)).status;
    expect([await answer(id), await answer('another'), await answer('')]).toEqual([200, 404, 404]);
    // Taken out, and perhaps put back: until it is tidied away it is there.
    const [option] = document.options;
    const without = { ...document, options: [{ ...option, pieces: [] }] };
    await api().put(`/api/commissions/${id}`).send({ revision, document: without }).expect(200);
    expect(await answer(id)).toBe(200);
    await api()
      .put(`/api/commissions/${id}`)
      .send({ revision: revision + 1, document })
      .expect(200);
    await api().post('/api/clients/erase').send({ name: 'Mr Rowan' }).expect(200);
    expect(await answer(id)).toBe(404);
  });

  it('go out with their commission in one file, and come in with it elsewhere', async () => {
    const { id, document } = await imported();
    const { body, headers } = await api().get(`/api/commissions/${id}/file`).buffer(true).parse(wholeBody);
    expect(headers['content-disposition']).toContain('.zip');
    const other = await testServer();
    const copy = await request(other.app)
      .post('/api/commissions/import')
      .type('application/zip')
      .send(body as Buffer)
      .expect(201);
    const there = await request(other.app).get(`/api/commissions/${copy.body.id}`);
    expect(there.body.document).toEqual(document);
    await request(other.app)
      .get(`/api/meshes?names=${scansOf(document)[0].mesh}&of=${copy.body.id}`)
      .expect(200);
    await request(other.app).get(`/api/commissions/${copy.body.id}/takeoff.csv`).expect(200);
    await other.close();
  });

  it('are measured by the server as inside the document', async () => {
    const { id } = await imported();
    const inside = scape({ option: { pieces: [piece({ id: 'S-1', shape: scanned(5_000, 180) })] } });
    const plain = await api().post('/api/commissions').send(inside).expect(201);
    const csv = async (of: string) => (await api().get(`/api/commissions/${of}/takeoff.csv`)).text;
    expect(await csv(id)).toBe(await csv(plain.body.id));
  });

  it('that are not kept here, or not as they are said to be, are refused with their place', async () => {
    const { id, document, revision } = await imported();
    const save = (change: (shape: any) => void) => {
      const copy = structuredClone(document);
      change(copy.options[0].pieces[0].shape);
      return api().put(`/api/commissions/${id}`).send({ revision, document: copy }).expect(422);
    };
    const at = 'options[0].pieces[0].shape';
    const unknown = await save((s) => (s.mesh = 'e'.repeat(32)));
    expect(unknown.body.faults[0]).toMatchObject({ path: `${at}.mesh`, says: expect.stringContaining('not kept here') }); // prettier-ignore
    expect((await save((s) => (s.volumeL *= 2))).body.faults[0].path).toBe(`${at}.volumeL`);
    expect((await save((s) => (s.mesh = '../utsuwa.db'))).body.faults[0].path).toBe(`${at}.mesh`);
  });

  it('stay while a commission, a copy or a backup names them, and go when none does', async () => {
    // A scan that nobody else here has.
    const scan = withScan(4_000);
    const { id, document } = await imported(scan);
    const [{ mesh }] = scansOf(document);
    const later = Date.now() + 3 * 86_400_000;
    const copy = await api().post(`/api/commissions/${id}/duplicate`).expect(201);
    await b.store.backUpDaily();
    const without = async (of: string) => {
      const { document, revision } = await read(of);
      document.options[0].pieces = [];
      await api().put(`/api/commissions/${of}`).send({ revision, document }).expect(200);
    };
    await without(id);
    expect(await dropUnwantedMeshes(b.store, later)).toEqual([]);
    await without(copy.body.id as string);
    // Only the backup knows it now.
    expect(await dropUnwantedMeshes(b.store, later)).toEqual([]);

    await rm(`${b.folder}/backups`, { recursive: true });
    expect(await dropUnwantedMeshes(b.store)).toEqual([]);
    const old = new Date(Date.now() - 3 * 86_400_000);
    await utimes(meshFile(b.folder, mesh, 'json'), old, old);
    // Brought in again it counts as new, whoever names it next.
    await b.jobs.run('readFile', { who: 'import' }, () => new TextEncoder().encode(JSON.stringify(scan)));
    expect(await dropUnwantedMeshes(b.store)).toEqual([]);
    await utimes(meshFile(b.folder, mesh, 'json'), old, old);
    expect(await dropUnwantedMeshes(b.store)).toEqual([mesh]);
    expect((await readdir(meshFolder(b.folder))).filter((file) => file.includes(mesh))).toEqual([]);
  });

  it('come with what is kept about a client, and stay when the client is erased', async () => {
    const { id } = await imported({ ...withScan(), brief: { ...withScan().brief, client: { name: 'Ada' } } });
    const { body } = await api().get('/api/clients/export?name=Ada').expect(200);
    const [{ scans }] = body.commissions;
    expect(meshOfBytes(new Uint8Array(Buffer.from(scans[0].meshBase64, 'base64'))).faces.length).toBeGreaterThan(9); // prettier-ignore
    await b.store.backUpDaily();
    await api().post('/api/clients/erase').send({ name: 'Ada' }).expect(200);
    await api().get(`/api/commissions/${id}`).expect(410);
  });
});
