import { eq, gt } from 'drizzle-orm';
import request from 'supertest';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Commission } from '../core/commission/schema';
import { example } from '../core/testing/scape';
import { openGlances } from './glances';
import type { Jobs } from './jobs/jobs';
import { columnsOf } from './store/columns';
import { createCommission, saveCommission } from './store/commissions';
import { keepGlance } from './store/glances';
import { glances } from './store/schema';
import { suppliedBy, testServer, type TestServer } from './testing';

let b: TestServer;
let id: string;
beforeAll(async () => {
  b = await testServer();
  ({ id } = await createCommission(b.store, columnsOf(example('held-root'))));
});
afterAll(() => b.close());
const glance = (day: string) => request(b.app).get(`/api/commissions/${id}/glance?today=${day}`);

describe('a list by what is worked out', () => {
  let own: TestServer;
  const ids: Record<string, string> = {};
  beforeAll(async () => {
    own = await testServer();
    const put = async (title: string, change: (c: Commission) => void) => {
      const c = structuredClone(example('held-root'));
      c.title = title;
      change(c);
      ids[title] = (await createCommission(own.store, columnsOf(c))).id;
    };
    await put('priced', () => {});
    await put('unpriced', (c) => c.catalogue.materials.forEach((m) => delete m.packs)); // prettier-ignore
    await put('later', (c) => (c.brief.buildDay = '2027-03-01'));
    await put('long built', (c) => (c.brief.buildDay = '2026-01-10'));
  });
  afterAll(() => own.close());
  const list = async (query: object) => {
    const { body } = await request(own.app).get('/api/commissions').query({ today: '2027-01-01', ...query }).expect(200); // prettier-ignore
    return { titles: body.commissions.map((c: { title: string }) => c.title), unknown: body.unknown };
  };

  it('says how many are not worked out yet, works them out by itself, and leaves the archive alone', async () => {
    expect((await list({})).unknown).toBeUndefined();
    expect((await list({ sort: 'cost' })).unknown).toBe(3);
    await own.glances.settled();
    const known = await own.store.db.select().from(glances);
    expect(known.map((g) => g.commissionId).sort()).toEqual([ids.priced, ids.unpriced, ids.later].sort());
    expect((await list({ sort: 'cost' })).unknown).toBe(0);
  });

  it('waits for nothing that cannot be worked out, and tries it once as it stands', async () => {
    let tries = 0;
    const failing = { run: () => (tries++, Promise.reject(new Error('too long'))) } as unknown as Jobs;
    const glancing = openGlances(own.store, failing);
    expect(await glancing.missing('2027-02-02')).toBe(3);
    await glancing.settled();
    expect([await glancing.missing('2027-02-02'), tries]).toEqual([0, 3]);
    await glancing.settled();
    expect(tries).toBe(3);
  });

  it('is sorted and chosen by it', async () => {
    const due = await list({ sort: 'due' });
    expect(due.titles.at(-1)).toBe('later');
    expect((await list({ sort: 'cost' })).titles.at(-1)).toBe('unpriced');
    const open = await own.store.db.select().from(glances).where(gt(glances.unpriced, 0));
    expect((await list({ show: 'unpriced' })).titles).toHaveLength(open.length);
    expect(open.map((g) => g.commissionId)).toContain(ids.unpriced);
    expect((await list({ show: 'order', sort: 'title' })).titles).toEqual(['later', 'priced', 'unpriced']);
    const known = await own.store.db.select().from(glances);
    const toSettle = (title: string) => known.find((g) => g.commissionId === ids[title])!.toSettle;
    const counts = (await list({ show: 'settle', sort: 'findings' })).titles.map(toSettle);
    expect(counts).toEqual([...counts].sort((a: number, b: number) => b - a));
    expect(counts[0]).toBeGreaterThan(0);
  });

  it('is not known any more of a client that was erased', async () => {
    await saveCommission(own.store, ids.priced, 1, columnsOf({ ...example('held-root'), brief: { ...example('held-root').brief, client: { name: 'Mrs Ash' } } })); // prettier-ignore
    await request(own.app).get(`/api/commissions/${ids.priced}/glance?today=2027-01-01`).expect(200);
    await request(own.app).post('/api/clients/erase').send({ name: 'Mrs Ash' }).expect(200);
    const left = await own.store.db.select().from(glances).where(eq(glances.commissionId, ids.priced));
    expect(left).toEqual([]);
  });
});

describe('a commission in the list', () => {
  it('shows its scape, what is due and what it costs, against the day that is asked for', async () => {
    const { body } = await glance('2027-01-01').expect(200);
    expect(body).toMatchObject({ bed: 'soil-granules', currency: 'GBP', confirmed: 0, toOrder: 2 });
    expect(body.ridgeMm).toHaveLength(48);
    expect(body.next.day).toBe('2027-01-06');
    // Late, and therefore still the first.
    expect((await glance('2027-01-10').expect(200)).body.next.day).toBe('2027-01-06');
    expect((await glance('2027-01-15').expect(200)).body.next.day > '2027-01-15').toBe(true);
    expect((await glance('2027-01-01')).body).toEqual(body);
  });

  it('follows what suppliers confirm', async () => {
    const { app, dispatch } = suppliedBy(
      b.store,
      { stock: { 'soil-9': 9, 'slate-kg': 99, 'branch-m': 9 } },
      { door: b.door },
    );
    await request(app).post(`/api/commissions/${id}/orders`).send({ supplier: 'marl-timber', today: '2027-01-01' }).expect(202); // prettier-ignore
    await dispatch.settled();
    // A list that is sorted by it knows that it has to be worked out anew.
    const [kept] = await b.store.db.select().from(glances).where(eq(glances.commissionId, id));
    expect(kept.revision).toBe(0);
    expect((await glance('2027-01-01')).body).toMatchObject({ confirmed: 1, toOrder: 1 });
  });

  it('is kept, and worked out anew when it is changed', async () => {
    const kept = async () => (await b.store.db.select().from(glances).where(eq(glances.commissionId, id)))[0];
    const whole = (row: Awaited<ReturnType<typeof kept>>) => ({
      ...row.glance,
      dues: row.dues,
      takes: row.takes,
    });
    await glance('2027-01-01').expect(200);
    expect(await kept()).toMatchObject({
      revision: 1,
      today: '2027-01-01',
      toOrder: 1,
      standing: 'ordering',
    });
    const bare = structuredClone(example('held-root'));
    bare.options[0].plants = [];
    await saveCommission(b.store, id, 1, columnsOf(bare));
    const { body } = await glance('2027-01-01').expect(200);
    expect(body.amounts.map((a: { what: string }) => a.what)).toEqual(['water', 'bed', 'stone', 'wood']);
    expect((await kept()).revision).toBe(2);
    // What was worked out from an earlier state is not kept over a later one.
    await keepGlance(b.store, { id, revision: 1, today: '2027-01-01' }, '', whole(await kept()));
    expect((await kept()).revision).toBe(2);
  });

  it('refuses no day, a day that is none, and nobody’s commission', async () => {
    await request(b.app).get(`/api/commissions/${id}/glance`).expect(400);
    await glance('2027-02-30').expect(400);
    await request(b.app).get('/api/commissions/nobody/glance?today=2027-01-01').expect(404);
  });
});
