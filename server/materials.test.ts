import { parse } from 'csv-parse/sync';
import request from 'supertest';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Material } from '../core/commission/schema';
import { MATERIALS } from '../demo/catalogue/materials';
import { suppliersOn } from '../demo/catalogue/suppliers';
import { materialsCsv, materialsOfCsv, type Selling } from './documents/materialsCsv';
import { writeStudio } from './store/studio';
import { testServer, type TestServer } from './testing';

const utf8 = (text: string) => new TextEncoder().encode(text);
const CATALOGUE = { materials: [...MATERIALS], plants: [], suppliers: suppliersOn('2026-12-01') };
const SELLING: Selling = {
  currency: 'GBP',
  suppliers: CATALOGUE.suppliers,
  materials: CATALOGUE.materials.map((m) => [m.id, m.name] as const),
};
const says = (text: string, selling = SELLING) => {
  const read = materialsOfCsv(utf8(text), selling);
  return read.ok ? '' : read.says;
};

describe('a list of materials and prices as CSV', () => {
  it('is read by another program, and comes back as it went out, every pack', () => {
    const csv = materialsCsv(CATALOGUE.materials, SELLING);
    const rows = parse(csv, { columns: true }) as Record<string, string>[];
    const packs = CATALOGUE.materials.reduce((n, m) => n + Math.max(1, m.packs?.length ?? 0), 0);
    expect(rows).toHaveLength(packs);
    const back = materialsOfCsv(utf8(csv), SELLING);
    if (!back.ok) throw new Error(back.says);
    expect(back.materials).toEqual(
      CATALOGUE.materials.map((m) => (m.packs?.length ? m : { ...m, packs: undefined })).map(plain),
    );
  });

  it('takes prices with point or comma, and asks about what may be two prices', () => {
    const price = (text: string, currency = 'GBP') => {
      const list = `name,kind,size,unit,price,supplier\nX,soil,9,L,"${text}",Marl & Timber Yard\n`;
      const read = materialsOfCsv(utf8(list), { ...SELLING, currency });
      return read.ok ? read.materials[0].packs![0].priceMinor : read.says;
    };
    expect([price('14'), price('14.5'), price('14,50'), price('1400', 'JPY')]).toEqual([1400, 1450, 1450, 1400]); // prettier-ignore
    expect(price('1,400')).toBe('Line 2: price is “1,400”, must be like 1450.00, without signs before it or between thousands.'); // prettier-ignore
    expect(price('14.5', 'JPY')).toMatch(/must be like 145000,/);
    expect([price('£14'), price('-3'), price('')].map((p) => typeof p)).toEqual(['string', 'string', 'string']); // prettier-ignore
  });

  it('asks about every figure that may be two', () => {
    const flow = (text: string) => says(`name,kind,moves L/h\nPump,equipment,"${text}"\n`);
    expect(flow('1,400')).toBe(
      'Line 2: moves L/h is “1,400”, which may be two figures: write 1400 or 1.400.',
    );
    expect([flow('1400'), flow('1400,5'), flow('1400.5')]).toEqual(['', '', '']);
  });

  it('keeps a long note of several lines as it is', () => {
    const notes = `${'Rinse it twice, then once more.\n'.repeat(100)}Dry it.`;
    const [soil] = CATALOGUE.materials;
    const back = materialsOfCsv(utf8(materialsCsv([{ ...soil, notes }], SELLING)), SELLING);
    expect(back.ok && back.materials[0].notes).toBe(notes);
  });

  it('is refused whole with line and reason', () => {
    expect(says('name,kind\nX,')).toMatch(/Line 2: kind is missing, must be soil, base/);
    expect(says('name,kind\nX,mud')).toMatch(/Line 2: kind is “mud”/);
    expect(says('name,kind,density\nX,soil,1')).toMatch(/The column “density” is not known/);
    expect(says('name,kind,poured kg/L\nX,soil,90')).toMatch(/Line 2: bulkKgPerL is 90, must be at most 12/);
    const pack = 'name,kind,size,unit,price,supplier\n';
    expect(says(`${pack}X,soil,9,L,14,Nobody`)).toMatch(/Line 2: no supplier is called “Nobody”/);
    expect(says(`${pack}X,soil,9,L,14,`)).toMatch(/Line 2: supplier is missing/);
    expect(says(`${pack}X,soil,9,gallon,14,Marl & Timber Yard`)).toMatch(/unit is “gallon”/);
    expect(says('name,kind,size,unit,price,currency,supplier\nX,soil,9,L,14,EUR,Marl & Timber Yard')).toMatch(
      /the price is in EUR, must be in GBP/,
    );
    expect(says('name,kind\nRed stone,stone\nRed  Stone!,stone')).toMatch(/Line 3: .* too much alike/);
    expect(says('name,kind\n=1+1,stone')).toMatch(/Line 2: .* is a formula/);
    expect(says('name,kind\n')).toBe('There is no material in it.');
  });
});

describe('the studio’s materials', () => {
  let b: TestServer;
  beforeAll(async () => {
    b = await testServer();
    await writeStudio(b.store, { name: 'Fenwick Row', currency: 'GBP', catalogue: CATALOGUE, yard: [] });
  });
  afterAll(() => b.close());
  const take = (csv: string) => request(b.app).post('/api/studio/materials.csv').type('application/octet-stream').send(Buffer.from(csv)); // prettier-ignore
  const named = async (name: string) =>
    (await request(b.app).get('/api/studio/materials').query({ q: name })).body.entries as Material[];

  it('go out, and come in again with another price: figures and place in the list stay', async () => {
    const out = await request(b.app).get('/api/studio/materials.csv').expect(200);
    expect(out.headers['content-disposition']).toMatch(/materials\.csv/);
    const [first] = (await request(b.app).get('/api/studio/materials')).body.entries as Material[];
    const list = `name,article,size,unit,price,supplier,lead days\n"${first.name}",${first.packs![0].id},9,L,99.90,Marl & Timber Yard,4\n`;
    expect((await take(list).expect(201)).body).toEqual({ taken: 1, fresh: 0 });
    const [now] = (await request(b.app).get('/api/studio/materials')).body.entries as Material[];
    expect(now).toMatchObject({ id: first.id, bulkKgPerL: first.bulkKgPerL });
    expect(now.packs).toEqual([
      { id: first.packs![0].id, size: 9, unit: 'L', priceMinor: 9990, supplier: 'marl-timber', leadDays: 4 },
    ]);
  });

  it('are taken in twice without a fault: what is as it was is no write', async () => {
    const list = 'name,kind,solid kg/L\nTwice rock,stone,2.4\n';
    expect([(await take(list).expect(201)).body.fresh, (await take(list).expect(201)).body.fresh]).toEqual([
      1, 0,
    ]);
    const [own] = await named('Twice rock');
    const put = () => request(b.app).put('/api/studio/materials/twice-rock').send(own).expect(204);
    await put();
    await put();
  });

  it('take in new ones, and nothing of a list with one wrong line', async () => {
    expect((await take('name,kind,solid kg/L\nRust rock,stone,2.4\n').expect(201)).body).toEqual({
      taken: 1,
      fresh: 1,
    });
    expect((await named('Rust rock'))[0]).toMatchObject({ id: 'rust-rock', densityKgPerL: 2.4 });
    expect((await take('name,kind\nGrey rock,stone\nBlue rock,rock\n').expect(422)).body.title).toMatch(/Line 3/); // prettier-ignore
    expect(await named('Grey rock')).toEqual([]);
  });
});

/** Without what is undefined, as it comes out of JSON. */
const plain = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T;
