import { readdir, readFile } from 'node:fs/promises';
import { join } from 'node:path';
import sharp from 'sharp';
import request from 'supertest';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { parseCommission } from '../core/commission/parse';
import { example } from '../core/testing/scape';
import { getCommission, KEPT_DAYS, purgeRemoved } from './store/commissions';
import { unpacked } from './store/largeText';
import { testServer, type TestServer } from './testing';

let b: TestServer;
beforeAll(async () => {
  b = await testServer();
});
afterAll(() => b.close());
const api = () => request(b.app);

async function commissionOf(name: string): Promise<string> {
  const doc = structuredClone(example('held-root'));
  doc.title = `${name}, hall`;
  doc.brief.client = { name, place: 'Linden Way 4', contact: '01 632 960 001' };
  doc.brief.story = `${name} grew up beside a brook.`;
  doc.site = { storey: 2 };
  doc.log = [{ id: 'l', date: '2027-01-02', text: `${name} rang.` }];
  const { id } = (await api().post('/api/commissions').send(doc).expect(201)).body;
  const png = await sharp({ create: { width: 40, height: 30, channels: 3, background: '#556' } })
    .png()
    .toBuffer();
  await api()
    .post(`/api/commissions/${id}/pictures`)
    .set('Content-Type', 'application/octet-stream')
    .send(png);
  return id;
}

describe('what is kept about a client', () => {
  it('is handed over in one file: documents, orders, pictures, removed ones too', async () => {
    const [one, two] = [await commissionOf('Ms Ash'), await commissionOf('Ms Ash')];
    await commissionOf('Mr Birch');
    await api().delete(`/api/commissions/${two}`).expect(200);
    const { body, headers } = await api().get('/api/clients/export?name=Ms%20Ash').expect(200);
    expect(headers['content-disposition']).toMatch(/Ms-Ash-everything\.json/);
    expect(body.commissions.map((c: { id: string }) => c.id).sort()).toEqual([one, two].sort());
    const picture = Buffer.from(body.commissions[0].pictures[0].jpegBase64, 'base64');
    expect((await sharp(picture).metadata()).width).toBe(40);
    expect(JSON.stringify(body)).not.toMatch(/Birch/);
  });

  it('is erased in one act: nothing of the person is left, and the books still add up', async () => {
    const id = await commissionOf('Mrs Cedar');
    const other = await commissionOf('Mr Dogwood');
    const before = JSON.parse(unpacked((await getCommission(b.store, id))!.document));
    const { body } = await api().post('/api/clients/erase').send({ name: 'Mrs Cedar' }).expect(200);
    expect(body.erased).toEqual([id]);
    const row = (await getCommission(b.store, id))!;
    expect(JSON.stringify(row)).not.toMatch(/Cedar|Linden|632 960|brook/);
    const left = JSON.parse(unpacked(row.document));
    expect(parseCommission(left)).toMatchObject({ ok: true });
    expect(left.options).toEqual([{ ...before.options[0], title: 'Option 1' }]);
    expect(left.catalogue).toEqual(before.catalogue);
    const { body: after } = await api().get('/api/clients/export?name=Mrs%20Cedar').expect(200);
    expect(after.commissions).toEqual([]);
    expect((await getCommission(b.store, other))!.client).toBe('Mr Dogwood');
  });

  it('is not left in the file either, in a freed page or in the log', async () => {
    const id = await commissionOf('Ms Quillfeather');
    for (let revision = 1; revision < 6; revision++) {
      const document = JSON.parse(unpacked((await getCommission(b.store, id))!.document));
      document.brief.story = 'Quillfeather '.repeat(200 * revision);
      await api().put(`/api/commissions/${id}`).send({ revision, document }).expect(200);
    }
    const bytes = async () => {
      const files = (await readdir(b.folder)).filter((f) => f.startsWith('utsuwa.db'));
      return Buffer.concat(await Promise.all(files.map((f) => readFile(join(b.folder, f)))));
    };
    expect((await bytes()).includes('Quillfeather')).toBe(true);
    await api().post('/api/clients/erase').send({ name: 'Ms Quillfeather' }).expect(200);
    expect((await bytes()).includes('Quillfeather')).toBe(false);
    expect(await getCommission(b.store, id)).toBeDefined();
  });

  it('does not come back once erased, nor is it listed', async () => {
    const id = await commissionOf('Ms Elm');
    await api().post('/api/clients/erase').send({ name: 'Ms Elm' }).expect(200);
    await api().post(`/api/commissions/${id}/restore`).expect(410);
    for (const show of ['current', 'removed']) {
      const { body } = await api().get(`/api/commissions?show=${show}`);
      expect(body.commissions.map((c: { id: string }) => c.id)).not.toContain(id);
    }
  });

  it('asks whose', async () => {
    await api().post('/api/clients/erase').send({}).expect(400);
    const nobodys = await commissionOf('');
    await api().post('/api/clients/erase').send({ name: ' \t' }).expect(400);
    expect((await getCommission(b.store, nobodys))!.erasedAt).toBeNull();
    await api().get('/api/clients/export').expect(400);
  });
});

describe('a removed commission', () => {
  it('comes back for 30 days and is gone for good after them', async () => {
    const [early, late] = [await commissionOf('Mr Fir'), await commissionOf('Mr Fir')];
    await api().delete(`/api/commissions/${early}`).expect(200);
    await api().delete(`/api/commissions/${late}`).expect(200);
    const soon = new Date(Date.now() + (KEPT_DAYS - 1) * 86_400_000);
    expect(await purgeRemoved(b.store, soon)).toBe(0);
    await api().post(`/api/commissions/${early}/restore`).expect(200);
    const after = new Date(Date.now() + (KEPT_DAYS + 1) * 86_400_000);
    await purgeRemoved(b.store, after);
    expect(await getCommission(b.store, late)).toBeUndefined();
    expect(await getCommission(b.store, early)).toBeDefined();
  });
});
