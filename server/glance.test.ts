import request from 'supertest';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { example } from '../core/testing/scape';
import { columnsOf } from './store/columns';
import { createCommission } from './store/commissions';
import { suppliedBy, testServer, type TestServer } from './testing';

let b: TestServer;
let id: string;
beforeAll(async () => {
  b = await testServer();
  ({ id } = await createCommission(b.store, columnsOf(example('held-root'))));
});
afterAll(() => b.close());
const glance = (day: string) => request(b.app).get(`/api/commissions/${id}/glance?today=${day}`);

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
    const { app, dispatch } = suppliedBy(b.store, { stock: { 'soil-9': 9, 'slate-kg': 99, 'branch-m': 9 } });
    await request(app).post(`/api/commissions/${id}/orders`).send({ supplier: 'marl-timber', today: '2027-01-01' }).expect(202); // prettier-ignore
    await dispatch.settled();
    expect((await glance('2027-01-01')).body).toMatchObject({ confirmed: 1, toOrder: 1 });
  });

  it('refuses no day, a day that is none, and nobody’s commission', async () => {
    await request(b.app).get(`/api/commissions/${id}/glance`).expect(400);
    await glance('2027-02-30').expect(400);
    await request(b.app).get('/api/commissions/nobody/glance?today=2027-01-01').expect(404);
  });
});
