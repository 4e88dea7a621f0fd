import request from 'supertest';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { START_SET } from '../core/catalogue/startSet';
import { testServer, type TestServer } from './testing';

describe('the studio over the network', () => {
  let server: TestServer;
  beforeAll(async () => void (server = await testServer()));
  afterAll(() => server.close());
  const api = () => request(server.app);
  const slate = { kind: 'stone', name: 'Ångström slate', densityKgPerL: 2.7 };
  const listed = async (list: string, q = '') => (await api().get(`/api/studio/${list}`).query({ q }).expect(200)).body; // prettier-ignore

  it('is given a house, and refuses one that is none', async () => {
    await api().put('/api/studio/house').send({ name: 'Fenwick Row', currency: 'GBP', locale: 'en-GB', crew: 2 }).expect(204); // prettier-ignore
    expect((await api().get('/api/studio')).body).toMatchObject({
      name: 'Fenwick Row',
      crew: 2,
      currency: 'GBP',
    });
    const bad = await api().put('/api/studio/house').send({ name: 'x', currency: 'pounds' }).expect(400);
    expect(bad.body.title).toMatch(/^currency is "pounds".*three capitals/);
    const crew = await api()
      .put('/api/studio/house')
      .send({ name: 'x', currency: 'GBP', crew: 9 })
      .expect(400);
    expect(crew.body.title).toBe('crew is 9, must be at most 4.');
  });

  it('says when it was backed up last, and that nothing follows it elsewhere', async () => {
    expect((await api().get('/api/studio/kept').expect(200)).body).toEqual({});
    await server.store.backUpDaily();
    const { backupAt } = (await api().get('/api/studio/kept')).body as { backupAt: string };
    expect(Date.parse(backupAt)).toBeLessThanOrEqual(Date.now());
  });

  it('knows its people, and animals of its own', async () => {
    const house = { name: 'Fenwick Row', currency: 'GBP', people: ['Ida', 'Olu'], weekBegins: 'sun' };
    await api().put('/api/studio/house').send(house).expect(204);
    await api().put('/api/studio/house').send({ ...house, weekBegins: 'someday' }).expect(400); // prettier-ignore
    const crab = { name: 'Moss crab', kind: 'shrimp', tempC: [22, 26], adultMm: 25 };
    expect((await api().post('/api/studio/animals').send(crab).expect(201)).body.id).toBe('moss-crab');
    const turned = await api().put('/api/studio/animals/moss-crab').send({ ...crab, tempC: [26, 22] }).expect(400); // prettier-ignore
    expect(turned.body.title).toMatch(/^tempC/);
    const { body } = await api().get('/api/studio');
    expect(body).toMatchObject({ ...house, catalogue: { animals: [{ id: 'moss-crab', ...crab }] }, counts: { animals: 1 } }); // prettier-ignore
    await api().delete('/api/studio/animals/moss-crab').expect(204);
  });

  it('gives a new entry an id of its own, also to two of one name at once', async () => {
    const ids = await Promise.all([1, 2, 3].map(() => api().post('/api/studio/materials').send({ ...slate, id: 'x' }).expect(201))); // prettier-ignore
    expect(ids.map((r) => r.body.id).sort()).toEqual([
      'angstrom-slate',
      'angstrom-slate-2',
      'angstrom-slate-3',
    ]);
    // Found in small letters and capitals, and not by what only looks like a pattern.
    expect([(await listed('materials', 'ÅNGSTRÖM sla')).total, (await listed('materials', 'å%slate')).total]).toEqual([3, 0]); // prettier-ignore
    await api().delete('/api/studio/materials/angstrom-slate').expect(204);
    const { body } = await api().post('/api/studio/materials').send(slate).expect(201);
    expect(body.id).toBe('angstrom-slate');
    // It is the last: what was dropped left no place that two have.
    expect((await listed('materials')).entries.map((m: { id: string }) => m.id)).toEqual(['angstrom-slate-2', 'angstrom-slate-3', 'angstrom-slate']); // prettier-ignore
  });

  it('takes the start set once, and what is wrong with an entry is said', async () => {
    expect((await api().post('/api/studio/start-set').expect(201)).body.added).toBe(START_SET.length);
    expect((await api().post('/api/studio/start-set').expect(201)).body.added).toBe(0);
    const bad = await api()
      .put('/api/studio/materials/x')
      .send({ ...slate, densityKgPerL: 90 })
      .expect(400);
    expect(bad.body.title).toBe('densityKgPerL is 90, must be at most 12.');
    await api()
      .put('/api/studio/materials/x')
      .send({ ...slate, kind: 'cheese' })
      .expect(400);
    await api().get('/api/studio/materials').query({ limit: 9_999 }).expect(400);
    await api().delete('/api/studio/materials/nobody').expect(404);
  });

  it('keeps a supplier as long as something is bought there', async () => {
    const { id } = (await api().post('/api/studio/suppliers').send({ name: 'Marl & Timber Yard' }).expect(201)).body; // prettier-ignore
    const packs = [{ id: 'kg', size: 1, unit: 'kg', priceMinor: 400, supplier: id, leadDays: 4 }];
    await api().put('/api/studio/materials/slate').send({ kind: 'stone', name: 'Slate', packs }).expect(204);
    const kept = await api().delete(`/api/studio/suppliers/${id}`).expect(409);
    expect(kept.body.title).toMatch(/^1 of the catalogue is bought there/);
    await api().put('/api/studio/materials/slate').send({ kind: 'stone', name: 'Slate' }).expect(204);
    await api().delete(`/api/studio/suppliers/${id}`).expect(204);
  });
});
