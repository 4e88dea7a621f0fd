import request from 'supertest';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import type { PriceToday } from '../core/catalogue/listed';
import type { PriceAnswer, PriceReport } from '../core/catalogue/priceList';
import type { Material } from '../core/commission/schema';
import { priceListOf } from './documents/priceListCsv';
import { entryOf } from './store/lists';
import { writeStudio } from './store/studio';
import { testServer, type TestServer } from './testing';

const utf8 = (text: string) => new TextEncoder().encode(text);
const COLUMNS = { name: 'Description', price: 'Net', article: 'Art. no.' };
const HEAD = 'Art. no.;Description;Net\n';
const read = (text: string, shape: Parameters<typeof priceListOf>[1] = { columns: COLUMNS }) =>
  priceListOf(utf8(text), shape, 'GBP');
const linesOf = (text: string) => {
  const found = read(text);
  if (found.kind !== 'lines') throw new Error(found.kind);
  return found;
};

describe('a price list as a supplier writes it', () => {
  it('has titles above its columns and headings between its lines', () => {
    const { lines, bad } = linesOf(`Marl & Timber Yard\nvalid from 1 March;;\n;;\n${HEAD}SUBSTRATE;;\nA-9;Soil, fine, 9 L;45,00\nA-3;Soil, fine, 3 L;17,50\n`); // prettier-ignore
    expect(bad).toEqual([]);
    expect(lines).toEqual([
      { article: 'A-9', name: 'Soil, fine, 9 L', size: 9, unit: 'L', priceMinor: 4_500 },
      { article: 'A-3', name: 'Soil, fine, 3 L', size: 3, unit: 'L', priceMinor: 1_750 },
    ]);
  });

  it('takes size, unit, currency and days from columns of their own', () => {
    const shape = { columns: { name: 'n', price: 'p', size: 's', unit: 'u', currency: 'c', leadDays: 'd' } };
    const found = read('n,p,s,u,c,d\nGravel,12.5,25,KG,gbp,3 days\nTwig,2,,,GBP,\n', shape);
    expect(found).toMatchObject({ kind: 'lines', bad: [], lines: [
      { article: 'Gravel', name: 'Gravel', size: 25, unit: 'kg', priceMinor: 1_250, leadDays: 3 },
      { article: 'Twig', name: 'Twig', priceMinor: 200 },
    ] }); // prettier-ignore
  });

  it('asks which column is what, with what its words suggest; and again when a column that was matched is gone', () => {
    expect(read(`${HEAD}A;b;1\n`, { columns: {} })).toEqual({ kind: 'columns', headings: ['Art. no.', 'Description', 'Net'], sample: [['A', 'b', '1']], guess: COLUMNS, missing: [] }); // prettier-ignore
    expect(read('Art. no.;Description;Net 2028\nA;b;1\n')).toMatchObject({ kind: 'columns', missing: ['Net'], guess: { name: 'Description', price: 'Net 2028' } }); // prettier-ignore
  });

  it('asks about 1,400, and takes it as it is told', () => {
    const list = `${HEAD}A;Wood;"1,400"\n`;
    expect(read(list)).toMatchObject({ kind: 'sign', open: ['1,400'] });
    const told = (sign: '.' | ',') => read(list, { columns: COLUMNS, sign });
    expect(told('.')).toMatchObject({ lines: [{ priceMinor: 140_000 }] });
    expect(told(',')).toMatchObject({ lines: [{ priceMinor: 140 }] });
    // As the supplier wrote before, unless this list says otherwise or contradicts itself.
    const usual = { columns: COLUMNS, usualSign: ',' as const };
    expect(read(list, usual)).toMatchObject({ lines: [{ priceMinor: 140 }] });
    expect(read(`${list}B;Twig;2.50\n`, usual)).toMatchObject({ lines: [{ priceMinor: 140_000 }, { priceMinor: 250 }] }); // prettier-ignore
    expect(read(`${HEAD}A;Wood;14,00\nB;Twig;2.50\n`, usual)).toMatchObject({ kind: 'sign', open: ['2.50', '14,00'] }); // prettier-ignore
  });

  it('leaves out what is wrong, line by line, with its reason', () => {
    const { lines, bad, unread } = linesOf(
      `${HEAD}A;Soil;4.50\nB;;1.00\nC;=HYPERLINK("x");2.00\nA;Soil again;4.60\nD;Gravel;on request\nE;${'x'.repeat(300)};1.00\nF;Sand;€ 2.00\n`,
    );
    expect(lines.map((l) => l.article)).toEqual(['A']);
    expect(bad.map(({ line, says }) => [line, says])).toEqual([
      [3, 'the name is missing.'],
      [4, '“=HYPERLINK("x")” is a formula, must be what it comes to.'],
      [5, '“A” is on line 2 already.'],
      [6, 'the price is “on request”, must be a figure.'],
      [7, 'the name is longer than 200 characters.'],
      [8, 'the price is in EUR, the studio pays in GBP.'],
    ]);
    expect(unread.has('D')).toBe(true);
  });

  it('is refused where it is no list', () => {
    expect(priceListOf(new Uint8Array([137, 80, 78, 71, 0, 0, 1]), undefined, 'GBP')).toMatchObject({ kind: 'refused', says: expect.stringContaining('no text') }); // prettier-ignore
    expect(read('1;2\n3;4\n')).toMatchObject({ kind: 'refused', says: expect.stringContaining('no line of headings') }); // prettier-ignore
    expect(read(HEAD + 'A;b;1\n'.repeat(60_031))).toMatchObject({ kind: 'refused', says: 'It has more than 60000 lines.' }); // prettier-ignore
  });
});

describe('a price list that is taken', () => {
  let server: TestServer;
  const soil: Material = {
    id: 'soil',
    name: 'Soil',
    kind: 'soil',
    packs: [
      { id: 'A-9', size: 9, unit: 'L', priceMinor: 4_000, supplier: 'marl', leadDays: 3 },
      { id: 'A-3', size: 3, unit: 'L', priceMinor: 1_500, supplier: 'marl', leadDays: 3 },
      { id: 'A-9', size: 9, unit: 'L', priceMinor: 3_900, supplier: 'other', leadDays: 3 },
    ],
  };
  beforeAll(async () => void (server = await testServer()));
  afterAll(() => server.close());
  beforeEach(async () => {
    await writeStudio(server.store, { name: '', currency: 'GBP', yard: [], catalogue: { materials: [soil], plants: [], suppliers: [{ id: 'marl', name: 'Marl' }, { id: 'other', name: 'Other' }] } }); // prettier-ignore
    await server.store.write((db) => db.run('DELETE FROM offers'));
  });

  const SAID = { shape: JSON.stringify({ columns: COLUMNS }) };
  const send = async (list: string, query: Record<string, string> = SAID, supplier = 'marl') => {
    const answer = await request(server.app)
      .post(`/api/studio/suppliers/${supplier}/prices`)
      .query({ today: '2027-03-01', ...query })
      .set('Content-Type', 'application/octet-stream')
      .send(Buffer.from(list));
    return { status: answer.status, lines: answer.text.trim().split('\n').map((l) => JSON.parse(l) as { done?: number; of?: number; answer?: PriceAnswer }) }; // prettier-ignore
  };
  const report = async (list: string) => {
    const { answer } = (await send(list)).lines.at(-1)!;
    if (answer?.kind !== 'report') throw new Error(JSON.stringify(answer));
    return answer.report;
  };
  const take = async (list: string, { digest }: PriceReport, today = '2027-03-01') =>
    (await send(list, { ...SAID, take: digest, today })).lines.at(-1)!.answer!;
  const today = async (...articles: string[]) => {
    const answer = await request(server.app).post('/api/studio/prices-today').send(articles.map((article) => ({ supplier: 'marl', article }))); // prettier-ignore
    return (answer.body as { prices: PriceToday[] }).prices;
  };
  const packs = async () =>
    (await entryOf<Material>(server.store, 'materials', 'soil'))!.packs!.map((p) => p.priceMinor);

  const FIRST = `${HEAD}A-9;Soil 9 L;45.00\nA-3;Soil 2.5 L;16.00\nB;Twig;3.00\n`;
  const SECOND = `${HEAD}A-9;Soil 9 L;49.50\nA-3;Soil 2.5 L;16.00\nC;Slate;1.00\n`;

  it('is shown first, and changes nothing until it is agreed to', async () => {
    const found = await report(FIRST);
    expect(found).toMatchObject({ lines: 3, fresh: { count: 3 }, gone: { count: 0 }, bad: { count: 0 } });
    expect(await packs()).toEqual([4_000, 1_500, 3_900]);
    expect((await today('B')).length).toBe(0);
    expect(await take(FIRST, found)).toEqual({ kind: 'taken', lines: 3, repriced: 1 });
    // The same article of another supplier is another thing, and a smaller bag for the same article is not its price.
    expect(await packs()).toEqual([4_500, 1_500, 3_900]);
  });

  it('is held against the one before: dearer, new and gone, and what of it is in use', async () => {
    await take(FIRST, await report(FIRST));
    const found = await report(SECOND);
    expect(found).toMatchObject({
      same: 1,
      dearer: { some: [{ article: 'A-9', wasMinor: 4_500, isMinor: 4_950 }] },
      fresh: { some: [{ article: 'C' }] },
      gone: { some: [{ article: 'B', name: 'Twig' }] },
      middle: 0.1,
      used: { dearer: [{ article: 'A-9' }], gone: [] },
    });
    await take(SECOND, found, '2027-04-01');
    const [twig] = await today('B');
    expect(twig).toMatchObject({ priceMinor: 300, goneOn: '2027-04-01' });
    const found2 = await request(server.app).get('/api/studio/offers').query({ q: 'TWIG' });
    expect(found2.body).toEqual({ offers: [], total: 0 });
  });

  it('is not taken where something else was agreed to', async () => {
    const found = await report(FIRST);
    expect(await take(SECOND, found)).toMatchObject({ kind: 'refused', says: expect.stringContaining('changed meanwhile') }); // prettier-ignore
    await take(SECOND, await report(SECOND));
    // The list is the same, what it is compared with is not.
    expect(await take(FIRST, found)).toMatchObject({ kind: 'refused' });
    expect((await today('B')).length).toBe(0);
  });

  it('sent twice is one list', async () => {
    const found = await report(FIRST);
    const both = await Promise.all([take(FIRST, found), take(FIRST, found)]);
    expect(both.map((b) => b.kind)).toContain('taken');
    const { body } = await request(server.app).get('/api/studio/offers').query({ supplier: 'marl' });
    expect((body as { total: number }).total).toBe(3);
  });

  it('has its columns remembered, and says how far it is', async () => {
    await take(FIRST, await report(FIRST));
    const many = HEAD + Array.from({ length: 3_500 }, (_, i) => `N${i};Twig ${i};${i % 90}.50\n`).join('');
    const { lines } = await send(many, {});
    expect(lines.filter((l) => l.of === 3_500).map((l) => l.done)).toEqual([0, 1_000, 2_000, 3_000, 3_500]);
    expect(lines.at(-1)!.answer).toMatchObject({ kind: 'report', report: { lines: 3_500, gone: { count: 3 }, shape: { columns: COLUMNS, sign: '.' } } }); // prettier-ignore
  });

  it('is found by words, cheapest first', async () => {
    const list = `${HEAD}A;Wood, knotted;40.00\nB;Wood, thin;9.00\nC;Stone 50% off;1.00\n`;
    await take(list, await report(list));
    const find = async (q: string) => {
      const { body } = await request(server.app).get('/api/studio/offers').query({ q });
      return (body as { offers: { article: string }[] }).offers.map((o) => o.article);
    };
    expect(await find('wood')).toEqual(['B', 'A']);
    expect(await find('KNOT wood')).toEqual(['A']);
    expect(await find('50%')).toEqual(['C']);
    expect(await find('%')).toEqual(['C']);
  });

  it('knows what the catalogue costs where no list has it', async () => {
    expect(await today('A-9', 'nothing')).toEqual([{ supplier: 'marl', article: 'A-9', priceMinor: 4_000, size: 9, unit: 'L', listedOn: null, goneOn: null }]); // prettier-ignore
  });

  it('is refused for who is no supplier, too large, or with a shape that is none', async () => {
    expect((await send(FIRST, SAID, 'nobody')).status).toBe(404);
    expect((await send(FIRST, { shape: '{' })).status).toBe(400);
    // As large as an export can become: refused before it is read, and binary is no list.
    expect((await send('x'.repeat(50 * 1024 * 1024))).status).toBe(413);
  });

  it('goes with its supplier', async () => {
    await take(FIRST, await report(FIRST));
    await writeStudio(server.store, { name: '', currency: 'GBP', yard: [], catalogue: { materials: [], plants: [], suppliers: [{ id: 'marl', name: 'Marl' }] } }); // prettier-ignore
    await request(server.app).delete('/api/studio/suppliers/marl').expect(204);
    expect((await request(server.app).get('/api/studio/offers')).body).toEqual({ offers: [], total: 0 });
  });

  it('a second supplier of one name is refused', async () => {
    await request(server.app).post('/api/studio/suppliers').send({ name: ' marl ' }).expect(409);
    await request(server.app).put('/api/studio/suppliers/other').send({ name: 'Marl' }).expect(409);
    await request(server.app).put('/api/studio/suppliers/marl').send({ name: 'Marl', days: ['mon'] }).expect(204); // prettier-ignore
  });
});
