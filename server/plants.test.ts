import { parse } from 'csv-parse/sync';
import request from 'supertest';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { KNOWN_PLANTS } from '../core/catalogue/knownPlants';
import { plantsCsv, plantsOfCsv } from './documents/plantsCsv';
import { testServer, type TestServer } from './testing';

const utf8 = (text: string) => new TextEncoder().encode(text);

describe('a list of plants as CSV', () => {
  it('is read by another program, and comes back as it went out', () => {
    const csv = plantsCsv(KNOWN_PLANTS);
    const rows = parse(csv, { columns: true }) as Record<string, string>[];
    expect(rows).toHaveLength(KNOWN_PLANTS.length);
    expect(rows.find((r) => r.name === 'Eleocharis pusilla')).toMatchObject({
      'height mm': '30-70',
      CO2: 'helped',
    });
    const back = plantsOfCsv(utf8(csv));
    if (!back.ok) throw new Error(back.says);
    for (const [i, plant] of back.plants.entries())
      expect(plant).toMatchObject({ id: KNOWN_PLANTS[i].id, dli: KNOWN_PLANTS[i].dli, heightMm: KNOWN_PLANTS[i].heightMm, plugsAPack: KNOWN_PLANTS[i].plugsAPack }); // prettier-ignore
  });

  it('is refused whole with line and reason: other columns, units in cells, formulas, no name', () => {
    const says = (text: string) => {
      const read = plantsOfCsv(utf8(text));
      return read.ok ? '' : read.says;
    };
    expect(says('plant,height\nA,3')).toMatch(/no column “name”; its columns are plant, height/);
    expect(says('name,height in inches\nA,3')).toMatch(/“height in inches” is not known/);
    expect(says('name,height mm\nAnubias,30 mm')).toMatch(/Line 2: height mm is “30 mm”, must be 2 figures/);
    expect(says('name,spread mm\nAnubias,wide')).toMatch(/Line 2: spread mm is “wide”/);
    expect(says('name\n=HYPERLINK("x")')).toMatch(/Line 2: .* is a formula/);
    expect(says('name,habit\nAnubias,tree')).toMatch(/Line 2: habit is "tree"/);
    expect(says('name,spread mm\n,5')).toMatch(/Line 2: the name is missing/);
    expect(says('')).toMatch(/no column “name”/);
    expect(says(`name\n${'\n'.repeat(30_000)}`)).toMatch(/more than 20000 lines/);
    expect(says(`name,height mm\nA,${' '.repeat(40_000)}x`)).toMatch(/Line 2: height mm is “x”/);
    expect(says(`name,height mm\nA,1${' '.repeat(40_000)}x`)).toMatch(
      /Line 2: height mm is longer than 2000/,
    );
    expect(says('name\nA\0B')).toMatch(/is no text/);
  });

  it('keeps its letters in whatever a spreadsheet writes it in', () => {
    const name = 'Cryptocoryne × willisii ‘Früh’';
    const named = (bytes: Uint8Array) => {
      const read = plantsOfCsv(bytes);
      return read.ok ? read.plants[0].name : read.says;
    };
    const text = `name,spread mm\r\n${name},80\r\n`;
    expect(named(utf8(`\uFEFF${text}`))).toBe(name);
    expect(named(Buffer.from(`\uFEFF${text}`, 'utf16le'))).toBe(name);
    const cp1252 = Buffer.from(text.replace('‘', '\x91').replace('’', '\x92'), 'latin1');
    expect(named(cp1252)).toBe(name);
  });
});

describe('the studio’s plants', () => {
  let t: TestServer;
  beforeAll(async () => void (t = await testServer()));
  afterAll(() => t.close());

  it('are added, changed in place, brought in as a list that leaves what it does not say, and dropped', async () => {
    const api = () => request(t.app);
    const plants = async () => (await api().get('/api/studio')).body.catalogue.plants;
    const before = (await plants()).length;
    const pack = { id: 'f-pot', size: 3, unit: 'plug', priceMinor: 500, supplier: 's', leadDays: 3 };
    await api()
      .put('/api/studio/plants/fern')
      .send({ name: 'Fern', roots: 'epiphyte', packs: [pack] })
      .expect(204);
    await api()
      .put('/api/studio/plants/fern')
      .send({ name: 'Fern', roots: 'epiphyte', habit: 'tree' })
      .expect(400);
    const csv = 'name,spread mm\nFern,120\nMoss sp.,60\n';
    const taken = await api()
      .post('/api/studio/plants.csv')
      .set('Content-Type', 'text/csv')
      .send(csv)
      .expect(201);
    expect(taken.body).toEqual({ taken: 2, fresh: 1 });
    const list = await plants();
    expect(list).toHaveLength(before + 2);
    expect(list.find((p: { id: string }) => p.id === 'fern')).toMatchObject({ spreadMm: 120, packs: [pack] });
    expect((await api().post('/api/studio/plants.csv').send('name,height mm\nA,x').expect(422)).body.title).toMatch(/Line 2/); // prettier-ignore
    const out = await api().get('/api/studio/plants.csv').expect(200);
    expect(out.text).toContain('Fern');
    await api().delete('/api/studio/plants/fern').expect(204);
    await api().delete('/api/studio/plants/fern').expect(404);
  });
});
