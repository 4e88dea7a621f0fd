import request from 'supertest';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { example } from '../core/testing/scape';
import { dispatchOf } from './dispatch';
import type { Mood } from '../core/ordering/moods';
import { SimulatedSuppliers, type Behaviour } from './stand-ins/supplier';
import { columnsOf } from './store/columns';
import { createCommission } from './store/commissions';
import { orderAnswered, orderSent, ordersOf, releaseInterrupted, withdrawOrder } from './store/orders';
import { SupplierUnreachable, type SupplierRequest } from './supplierLink';
import { wordsOfPdf } from '../e2e/pdf';
import { PROMPT, suppliedBy, testServer, type TestServer } from './testing';

const REQUEST: SupplierRequest = {
  reference: 'yard-1',
  supplier: { id: 'yard', name: 'Marl & Timber Yard', days: ['tue', 'fri'], closed: ['2026-12-01'] },
  studio: 'Fenwick Row Planted Interiors',
  today: '2026-11-25',
  wantedBy: null,
  currency: 'GBP',
  lines: [
    { item: 'soil-9', pack: 'soil-9', name: 'Soil', count: 3, priceMinor: 9600, leadDays: 4 },
    { item: 'slate-kg', pack: 'slate-kg', name: 'Slate', count: 10, priceMinor: 4000, leadDays: 2 },
  ],
};
const signal = () => AbortSignal.timeout(1000);
const suppliers = (rest: Partial<Behaviour>) => new SimulatedSuppliers({ ...PROMPT, ...rest });

describe('the simulated suppliers', () => {
  it('deliver on one of their days after the lead time, not on a closed one', async () => {
    const answer = await suppliers({ stock: { 'soil-9': 9, 'slate-kg': 99 } }).place(REQUEST, signal());
    // Four days from Wednesday 25 November is the 29th; Tuesday 1 December is closed; then Friday the 4th.
    expect(answer).toMatchObject({ deliveryDay: '2026-12-04', totalMinor: 13_600 });
  });

  it('bring it on the day it is wanted, not weeks before', async () => {
    const wanted = await suppliers({}).place({ ...REQUEST, wantedBy: '2027-01-12' }, signal());
    expect(wanted.deliveryDay).toBe('2027-01-12');
    const tooSoon = await suppliers({}).place({ ...REQUEST, wantedBy: '2026-11-27' }, signal());
    expect(tooSoon.deliveryDay).toBe('2026-12-04');
  });

  it('give what is in stock, say what is not, and remember it', async () => {
    const link = suppliers({ stock: { 'soil-9': 2, 'slate-kg': 30 } });
    const first = await link.place(REQUEST, signal());
    expect(first.lines[0]).toEqual({
      item: 'soil-9',
      pack: 'soil-9',
      name: 'Soil',
      asked: 3,
      given: 2,
      remark: 'only 2 in stock',
    });
    expect(first.totalMinor).toBe(6400 + 4000);
    expect(await link.place(REQUEST, signal())).toBe(first);
    const second = await link.place({ ...REQUEST, reference: 'yard-2' }, signal());
    expect(second.lines.map((l) => l.given)).toEqual([0, 10]);
  });

  it('refuse, get lost and take too long', async () => {
    await expect(
      suppliers({ refusing: { yard: 'Account closed.' } }).place(REQUEST, signal()),
    ).rejects.toThrow('Account closed.');
    await expect(suppliers({ lostEvery: 1 }).place(REQUEST, signal())).rejects.toBeInstanceOf(
      SupplierUnreachable,
    );
    const slow = suppliers({ latencyMs: [5000, 5000] });
    await expect(slow.place(REQUEST, AbortSignal.timeout(20))).rejects.toThrow('too long');
  });
});

describe('a simulated supplier in a mood', () => {
  const STOCK = { 'soil-9': 9, 'slate-kg': 99 };
  const answer = (mood: Mood) => {
    const link = suppliers({ stock: STOCK });
    link.moods.set('yard', mood);
    return link.place(REQUEST, AbortSignal.timeout(50));
  };
  it('is a week late, sends half, offers something else, refuses in words, or never answers', async () => {
    // Friday the 4th as usual; a week later Friday the 11th, or the Tuesday before it where that is far enough.
    expect((await answer('late')).deliveryDay! > '2026-12-04').toBe(true);
    expect((await answer('half')).lines.map((l) => [l.asked, l.given])).toEqual([[3, 1], [10, 5]]); // prettier-ignore
    const [soil, slate] = (await answer('instead')).lines;
    expect([soil.given, slate.given]).toEqual([0, 10]);
    expect(soil.remark).toMatch(/would send another make of “Soil”/);
    await expect(answer('refuses')).rejects.toThrow('takes stock');
    await expect(answer('silent')).rejects.toBeInstanceOf(SupplierUnreachable);
  });
});

describe('sending an order', () => {
  let b: TestServer;
  beforeAll(async () => {
    b = await testServer();
  });
  afterAll(() => b.close());
  const fresh = async () => (await createCommission(b.store, columnsOf(example('held-root')))).id;

  /** A commission of its own, and suppliers of its own. */
  async function sent(behaviour: Partial<Behaviour>) {
    const { app, dispatch } = suppliedBy(b.store, behaviour, { door: b.door });
    const id = await fresh();
    const send = () =>
      request(app)
        .post(`/api/commissions/${id}/orders`)
        .send({ supplier: 'marl-timber', today: '2026-11-25' });
    const list = async () => {
      await dispatch.settled();
      return (await request(app).get(`/api/commissions/${id}/orders`)).body.orders;
    };
    const mood = (mood: Mood) =>
      request(app).put('/api/stand-ins/suppliers').send({ supplier: 'marl-timber', mood });
    const take = (reference: string, line: object) =>
      request(app)
        .post(`/api/commissions/${id}/orders/${reference}/instead`)
        .send({ ...line, today: '2026-11-26' });
    const withdraw = (reference: string) =>
      request(app).post(`/api/commissions/${id}/orders/${reference}/withdraw`);
    return { id, send, list, mood, take, withdraw };
  }

  it('takes what is offered in place of something when somebody says yes, once however often they do', async () => {
    const o = await sent({ stock: {} });
    await o.mood('instead').expect(204);
    const { reference } = (await o.send().expect(202)).body;
    const [first] = await o.list();
    const line = first.confirmation.lines.find((l: { instead?: object }) => l.instead);
    expect(line).toMatchObject({
      given: 0,
      instead: { name: `${line.name}, another make`, count: line.asked },
    });
    const asked = { item: line.item, pack: line.pack };
    const { reference: taken } = (await o.take(reference, asked).expect(202)).body;
    await o.take(reference, asked).expect(202);
    const all = await o.list();
    expect(all).toHaveLength(2);
    expect(all.find((x: { reference: string }) => x.reference === taken)).toMatchObject({
      state: 'confirmed',
      confirmation: { totalMinor: line.instead.minor, lines: [{ ...asked, given: line.asked }] },
    });
    // Of another line nothing was offered; what is withdrawn is not had back by it; another commission has no such order.
    await o.take(reference, { item: line.item, pack: 'another' }).expect(409);
    await o.withdraw(taken).expect(204);
    await o.take(reference, asked).expect(409);
    await o.take('nobody', asked).expect(404);
    await (await sent({})).take(reference, asked).expect(404);
  });

  it('brings a confirmation back, once, however often it is sent', async () => {
    const { send, list } = await sent({ stock: { 'soil-9': 9, 'slate-kg': 9, 'branch-m': 1 } });
    await send().expect(202);
    const [order] = await list();
    expect(order).toMatchObject({
      state: 'confirmed',
      supplier: 'marl-timber',
      confirmation: { totalMinor: 6400 + 1200 + 4200 },
    });
    // It stands: there is nothing more to ask for.
    expect((await send().expect(404)).text).toMatch(/nothing to order/);
    expect(await list()).toEqual([order]);
  });

  it('asks for the rest where something is missing, as an order of its own, and has both in the calendar', async () => {
    const { send, list, id } = await sent({
      stock: { 'soil-9': 1, 'soil-3': 9, 'slate-kg': 9, 'branch-m': 1 },
    });
    await send().expect(202);
    const [first] = await list();
    expect(first.state).toBe('partly');
    await send().expect(202);
    const [second, ...more] = await list();
    expect(more).toEqual([first]);
    expect(second.reference).not.toBe(first.reference);
    // 16.12 L are wanted, 9 come: three bags of 3 L hold the rest, of 9 L there are none left.
    expect(second.request.lines.map((l: { pack: string; count: number }) => [l.pack, l.count])).toEqual([['soil-3', 3]]); // prettier-ignore
    const calendar = await request(b.app).get(`/api/commissions/${id}/calendar.ics`).expect(200);
    const unfolded = calendar.text.replace(/\r\n /g, '');
    for (const o of [first, second]) expect(unfolded).toContain(`Delivery from Marl & Timber Yard\\, ${o.confirmation.supplierReference}`); // prettier-ignore
    expect(unfolded).not.toContain('Order from Marl');
    expect(unfolded).toContain('Order from Glasshouse Nine');
  });

  it('tries again when it got lost, and then says so and keeps the reference', async () => {
    const once = await sent({ lostEvery: 2 });
    await once.send();
    expect((await once.list())[0].state).not.toBe('unreachable');
    const never = await sent({ lostEvery: 1 });
    await never.send();
    const [lost] = await never.list();
    expect(lost).toMatchObject({ state: 'unreachable', reason: expect.stringContaining('Send it again') });
    await never.send();
    expect(await never.list()).toHaveLength(1);
  });

  it('that got lost goes out again as it was, whatever was drawn meanwhile, and nothing besides while one is under way', async () => {
    const never = await sent({ lostEvery: 1 });
    await never.send();
    const [lost] = await never.list();
    const { document, revision } = (await request(b.app).get(`/api/commissions/${never.id}`)).body;
    document.options[0].bed[0].top.backMm += 60;
    await request(b.app).put(`/api/commissions/${never.id}`).send({ revision, document }).expect(200);
    expect((await never.send().expect(202)).body.reference).toBe(lost.reference);
    const [again, ...more] = await never.list();
    expect(more).toEqual([]);
    expect(again.request.lines).toEqual(lost.request.lines);
    // One that has no answer yet: what was drawn since is not ordered beside it.
    await orderSent(b.store, never.id, again.request);
    await never.send().expect(409);
    expect(await ordersOf(b.store, never.id)).toHaveLength(1);
  });

  it('shows a refusal, and an order in part', async () => {
    const refused = await sent({ refusing: { 'marl-timber': 'Closed until spring.' } });
    await refused.send();
    expect((await refused.list())[0]).toMatchObject({ state: 'refused', reason: 'Closed until spring.' });
    const partly = await sent({ stock: { 'soil-9': 1, 'slate-kg': 9, 'branch-m': 1 } });
    await partly.send();
    expect((await partly.list())[0].state).toBe('partly');
  });

  it('is sent by hand: noted, as a file, confirmed by their word, and then like any other', async () => {
    const { list, id } = await sent({});
    const ask = { supplier: 'marl-timber', today: '2026-11-25', by: 'hand' };
    const { body } = await request(b.app).post(`/api/commissions/${id}/orders`).send(ask).expect(202);
    const [order] = await list();
    expect(order).toMatchObject({ reference: body.reference, state: 'sent', confirmation: null });
    const csv = await request(b.app).get(`/api/commissions/${id}/orders/${order.reference}.csv`).expect(200);
    expect(csv.text).toMatch(/^\uFEFForder,article,name,packs,sold as,price GBP,wanted by\r\n/);
    expect(csv.text.trim().split('\r\n')).toHaveLength(1 + order.request.lines.length);
    const pdf = await request(b.app).get(`/api/commissions/${id}/orders/${order.reference}.pdf`).expect(200);
    const { text, sheets } = await wordsOfPdf(pdf.body as Buffer);
    expect(sheets).toBe(1);
    expect(text).toContain(`Order ${order.reference}, 25 Nov 2026`);
    for (const l of order.request.lines)
      for (const words of [l.name, l.words, l.pack]) expect(text).toContain(words);
    expect(text).toContain('Please confirm');
    // Twice is once, and nothing besides while their word is out.
    await request(b.app).post(`/api/commissions/${id}/orders`).send(ask).expect(202);
    expect(await list()).toEqual([order]);
    const word = (body: object) => request(b.app).post(`/api/commissions/${id}/orders/${order.reference}/confirmed`).send(body); // prettier-ignore
    await word({ supplierReference: '', deliveryDay: null }).expect(400);
    await word({ supplierReference: 'MT 77', deliveryDay: '2026-12-04' }).expect(204);
    const [said] = await list();
    expect(said).toMatchObject({ state: 'confirmed', confirmation: { supplierReference: 'MT 77', deliveryDay: '2026-12-04' } }); // prettier-ignore
    expect(said.confirmation.totalMinor).toBe(order.request.lines.reduce((n: number, l: { priceMinor: number }) => n + l.priceMinor, order.request.carriageMinor ?? 0)); // prettier-ignore
    expect((await request(b.app).get(`/api/commissions/${id}/calendar.ics`)).text.replace(/\r\n /g, '')).toContain('MT 77'); // prettier-ignore
    await word({ supplierReference: 'MT 78', deliveryDay: null }).expect(409);
  });

  it('is withdrawn: what was confirmed does not count, and the same once more is another order', async () => {
    const { send, list, id } = await sent({});
    await send().expect(202);
    const [first] = await list();
    expect(first.confirmation).not.toBeNull();
    const withdraw = (reference: string) => request(b.app).post(`/api/commissions/${id}/orders/${reference}/withdraw`); // prettier-ignore
    await withdraw(first.reference).expect(204);
    const [gone] = await list();
    expect(gone).toMatchObject({ state: 'withdrawn', confirmation: null, reason: expect.stringContaining(first.confirmation.supplierReference) }); // prettier-ignore
    await withdraw(first.reference).expect(204);
    expect(await list()).toEqual([gone]);
    await send().expect(202);
    const [again, before] = await list();
    expect(again.reference).not.toBe(first.reference);
    expect(before).toEqual(gone);
    await withdraw('nothing').expect(404);
    // Of another commission it is no order.
    await request(b.app)
      .post(`/api/commissions/${await fresh()}/orders/${again.reference}/withdraw`)
      .expect(404);
  });

  it('that was withdrawn stays so when it is answered afterwards, and says whom to tell', async () => {
    const id = await fresh();
    const wanted = { ...REQUEST, reference: 'yard-9' };
    await orderSent(b.store, id, wanted);
    await withdrawOrder(b.store, id, 'yard-9');
    const confirmation = await suppliers({}).place(wanted, signal());
    await orderAnswered(b.store, 'yard-9', 'confirmed', { confirmation });
    expect((await ordersOf(b.store, id))[0]).toMatchObject({ state: 'withdrawn', confirmation: null, reason: expect.stringContaining('tell them') }); // prettier-ignore
  });

  it('meets a supplier in whatever mood it was put', async () => {
    const moods = (body: object) => request(b.app).put('/api/stand-ins/suppliers').send(body);
    await moods({ supplier: 'marl-timber', mood: 'half' }).expect(204);
    expect((await request(b.app).get('/api/stand-ins/suppliers')).body).toEqual({ moods: { 'marl-timber': 'half' } }); // prettier-ignore
    await moods({ supplier: 'marl-timber', mood: 'cheerful' }).expect(400);
    await moods({ supplier: 'marl-timber', mood: 'usual' }).expect(204);
    expect((await request(b.app).get('/api/stand-ins/suppliers')).body).toEqual({ moods: {} });
  });

  it('refuses a supplier that the order does not have', async () => {
    const id = await fresh();
    const ask = { supplier: 'nobody', today: '2026-11-25' };
    await request(b.app).post(`/api/commissions/${id}/orders`).send(ask).expect(404);
    await request(b.app).post(`/api/commissions/${id}/orders`).send({ supplier: 'marl-timber' }).expect(400);
  });

  it('lets go of what was on its way when the server stopped', async () => {
    const id = await fresh();
    await orderSent(b.store, id, REQUEST);
    expect((await ordersOf(b.store, id))[0].state).toBe('sending');
    await releaseInterrupted(b.store);
    expect((await ordersOf(b.store, id))[0]).toMatchObject({
      state: 'unreachable',
      reason: expect.stringContaining('stopped'),
    });
  });

  it('gives up on a supplier that never answers', async () => {
    const id = await fresh();
    const dispatch = dispatchOf(b.store, suppliers({ latencyMs: [60_000, 60_000] }), 30);
    await dispatch.send(id, { ...REQUEST, reference: 'yard-3' });
    await dispatch.settled();
    expect((await ordersOf(b.store, id))[0].reason).toMatch(/too long/);
  });
});
