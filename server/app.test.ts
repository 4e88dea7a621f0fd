import ICAL from 'ical.js';
import { parse } from 'csv-parse/sync';
import request from 'supertest';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { MAX_DOCUMENT_BYTES } from '../core/commission/parse';
import { example } from '../core/testing/scape';
import { testServer, wholeBody, type TestServer } from './testing';

let b: TestServer;
beforeAll(async () => {
  b = await testServer();
});
afterAll(() => b.close());

const api = () => request(b.app);
const create = async (change: (doc: ReturnType<typeof example>) => void = () => {}): Promise<string> => {
  const doc = structuredClone(example('held-root'));
  change(doc);
  const { body } = await api().post('/api/commissions').send(doc).expect(201);
  return body.id;
};

describe('commissions over the network', () => {
  it('are created, read, saved, and come back as they were', async () => {
    const id = await create();
    const { body } = await api().get(`/api/commissions/${id}`).expect(200);
    expect(body).toMatchObject({ revision: 1, document: { title: 'Held root' } });
    const document = { ...body.document, title: 'Held root, again', later: { kept: [1, 2] } };
    const saved = await api().put(`/api/commissions/${id}`).send({ revision: 1, document }).expect(200);
    expect(saved.body.revision).toBe(2);
    expect((await api().get(`/api/commissions/${id}`)).body.document).toEqual(document);
  });

  it('answers a stale save with 409 and both versions, and changes nothing', async () => {
    const id = await create();
    const { body } = await api().get(`/api/commissions/${id}`);
    const mine = { ...body.document, title: 'mine' };
    const theirs = { ...body.document, title: 'theirs' };
    await api().put(`/api/commissions/${id}`).send({ revision: 1, document: theirs }).expect(200);
    const answer = await api()
      .put(`/api/commissions/${id}`)
      .send({ revision: 1, document: mine })
      .expect(409);
    expect(answer.type).toBe('application/problem+json');
    expect(answer.body).toMatchObject({
      status: 409,
      theirs: { revision: 2, document: { title: 'theirs' } },
    });
    expect((await api().get(`/api/commissions/${id}`)).body.document.title).toBe('theirs');
  });

  it('takes only one of many saves that race on one revision', async () => {
    const id = await create();
    const { body } = await api().get(`/api/commissions/${id}`);
    const answers = await Promise.all(
      Array.from({ length: 12 }, (_, i) =>
        api()
          .put(`/api/commissions/${id}`)
          .send({ revision: 1, document: { ...body.document, title: `save ${i}` } }),
      ),
    );
    expect(answers.filter((a) => a.status === 200)).toHaveLength(1);
    expect(answers.filter((a) => a.status === 409)).toHaveLength(11);
  });

  it('take the changes of a page that goes, and refuse what does not fit', async () => {
    const id = await create();
    const change = (was: string, is: string, revision = 1) =>
      api()
        .patch(`/api/commissions/${id}`)
        .send({ revision, changes: [{ path: ['title'], was, is }] });
    expect((await change('Held root', 'typed and gone').expect(200)).body.revision).toBe(2);
    expect((await api().get(`/api/commissions/${id}`)).body.document.title).toBe('typed and gone');
    const stale = await change('Held root', 'late').expect(409);
    expect(stale.body.theirs).toMatchObject({ revision: 2, document: { title: 'typed and gone' } });
    await change('something else', 'x', 2).expect(422);
    await change('typed and gone', '', 2).expect(422);
    await api().patch(`/api/commissions/${id}`).send({ revision: 2, changes: 'all' }).expect(400);
    // Changed and changed back: nothing is written.
    const same = await api().patch(`/api/commissions/${id}`).send({ revision: 2, changes: [] }).expect(200);
    expect(same.body.revision).toBe(2);
  });

  it('that were removed, erased or deleted answer 410 and say so; only the removed come back', async () => {
    const id = await create((d) => (d.brief.client = { name: 'Ms Gone' }));
    const { body } = await api().get(`/api/commissions/${id}`);
    const save = () => api().put(`/api/commissions/${id}`).send({ revision: 1, document: body.document });
    await api().delete(`/api/commissions/${id}`).expect(200);
    expect((await save().expect(410)).body).toMatchObject({ gone: 'removed', removed: 'Held root' });
    await api()
      .post(`/api/commissions/${id}/orders`)
      .send({ supplier: 'marl-timber', today: '2026-11-25' })
      .expect(410);
    expect((await api().get(`/api/commissions/${id}`).expect(200)).body.removedAt).not.toBeNull();
    await api().post(`/api/commissions/${id}/restore`).expect(200);
    await save().expect(200);
    await api().post('/api/clients/erase').send({ name: 'Ms Gone' }).expect(200);
    const after = await api()
      .put(`/api/commissions/${id}`)
      .send({ revision: 3, document: body.document })
      .expect(410);
    expect(after.body).toMatchObject({ gone: 'erased' });
    for (const path of ['', '/orders', '/file', '/takeoff.csv', `/pictures/${'0'.repeat(32)}`])
      expect((await api().get(`/api/commissions/${id}${path}`).expect(410)).body.gone).toBe('erased');
    expect(JSON.stringify((await api().get('/api/commissions')).body)).not.toContain('Ms Gone');
  });

  it('are listed page by page, those ahead first, with how many there are and the last worked on', async () => {
    const own = await testServer();
    const post = (title: string, buildDay: string) =>
      request(own.app)
        .post('/api/commissions')
        .send({ ...example('level-cube'), title, brief: { ...example('level-cube').brief, buildDay } })
        .expect(201);
    for (const [title, day] of [
      ['past', '2026-10-01'],
      ['soon', '2026-12-01'],
      ['long past', '2025-01-01'],
      ['late', '2027-05-01'],
      ['today', '2026-11-25'],
    ])
      await post(title, day);
    const page = async (query: object) =>
      (
        await request(own.app)
          .get('/api/commissions')
          .query({ today: '2026-11-25', ...query })
          .expect(200)
      ).body;
    const titles = (p: any) => p.commissions.map((c: any) => c.title);
    const whole = await page({});
    // What was built longer ago than its care takes is in the archive, and a search finds it there.
    expect([titles(whole), whole.total]).toEqual([['today', 'soon', 'late', 'past'], 4]);
    expect(titles(await page({ show: 'archive' }))).toEqual(['long past']);
    expect(whole.lately.map((c: any) => c.title)).toEqual(['today', 'late', 'long past']);
    const second = await page({ from: 2, limit: 2 });
    expect([titles(second), second.total, second.lately]).toEqual([['late', 'past'], 4, undefined]);
    expect(titles(await page({ q: 'past', from: 1, limit: 9 }))).toEqual(['long past']);
    expect(titles(await page({ sort: 'title' }))).toEqual(['late', 'past', 'soon', 'today']);
    expect(titles(await page({ sort: 'worked' }))).toEqual(['today', 'late', 'soon', 'past']);
    for (const bad of [
      'q=' + 'x'.repeat(201),
      'q=a&q=b',
      'show=removed&show=current',
      'show=all',
      'sort=size',
      'from=-1',
      'limit=5000',
      'today=soon',
    ])
      expect((await request(own.app).get(`/api/commissions?${bad}`).expect(400)).body.title).toMatch(
        /A list takes q/,
      );
    await own.close();
  });

  it('are searched, duplicated, removed and brought back', async () => {
    const id = await create((d) => {
      d.title = 'Zinnia House';
      d.brief.client = { name: 'Ms 100% Quill', place: 'stair hall' };
    });
    const titles = async (q: string, show = 'current') =>
      (await api().get('/api/commissions').query({ q, show })).body.commissions.map((c: any) => c.title);
    expect(await titles('zinnia')).toEqual(['Zinnia House']);
    expect(await titles('quill HALL')).toEqual(['Zinnia House']);
    expect(await titles('zinnia attic')).toEqual([]);
    await api().post(`/api/commissions/${id}/duplicate`).expect(201);
    expect(await titles('zinnia')).toEqual(['Zinnia House', 'Zinnia House, copy']);
    await api().delete(`/api/commissions/${id}`).expect(200);
    expect(await titles('zinnia')).toEqual(['Zinnia House, copy']);
    expect(await titles('zinnia', 'removed')).toEqual(['Zinnia House']);
    await api().post(`/api/commissions/${id}/restore`).expect(200);
    expect(await titles('zinnia')).toHaveLength(2);
  });

  it('refuses bad documents with the path and what is allowed, and goes on', async () => {
    const id = await create();
    const { body } = await api().get(`/api/commissions/${id}`);
    const spoilt = structuredClone(body.document);
    spoilt.vessel.innerMm.height = -1;
    const answer = await api()
      .put(`/api/commissions/${id}`)
      .send({ revision: 1, document: spoilt })
      .expect(422);
    expect(answer.body.faults).toEqual([
      { path: 'vessel.innerMm.height', says: 'is -1 mm, must be at least 20 mm' },
    ]);
    expect(JSON.stringify(answer.body)).not.toMatch(/ at .*\.ts/);
    await api().post('/api/commissions').send({ format: 'utsuwa.commission', version: 7 }).expect(422);
    await api().post('/api/commissions').type('json').send('{ "format": ').expect(422);
    await api().put(`/api/commissions/${id}`).send({ document: body.document }).expect(400);
    await api().put('/api/commissions/none').send({ revision: 1, document: body.document }).expect(404);
    await api().get('/api/nowhere').expect(404);
    const whole = await api()
      .post('/api/commissions/import')
      .type('text')
      .send('x'.repeat(21 * 1024 * 1024));
    expect([whole.status, whole.body.title]).toEqual([422, '(document): has 21 MB, must have at most 20 MB']);
    const more = await api()
      .post('/api/commissions/import')
      .type('text')
      .send('x'.repeat(81 * 1024 * 1024));
    expect([more.status, more.body.title]).toEqual([
      413,
      '(document): is too large, must have at most 80 MB',
    ]);
    expect((await api().get(`/api/commissions/${id}`)).body).toMatchObject({
      revision: 1,
      document: body.document,
    });
  });

  it('answers only its own pages and names', async () => {
    await api().get('/api/health').set('Host', 'elsewhere.example').expect(421);
    await api().post('/api/commissions').set('Origin', 'http://elsewhere.example').send({}).expect(403);
    for (const site of ['cross-site', 'same-site'])
      await api()
        .post('/api/commissions')
        .set('Sec-Fetch-Site', site)
        .send(example('level-cube'))
        .expect(403);
    await api()
      .post('/api/commissions')
      .set('Sec-Fetch-Site', 'same-origin')
      .send(example('level-cube'))
      .expect(201);
  });

  it('lets nothing run or frame it but what it sends itself', async () => {
    const { headers } = await api().get('/api/health').expect(200);
    expect(headers['content-security-policy']).toMatch(/script-src 'self';/);
    expect(headers['content-security-policy']).not.toMatch(/script-src[^;]*unsafe/);
    expect(headers['content-security-policy']).toMatch(/frame-ancestors 'none'/);
    expect(headers).toMatchObject({ 'x-content-type-options': 'nosniff', 'referrer-policy': 'no-referrer' });
  });

  it('asks engines that come by a link, or anywhere, not to list it', async () => {
    for (const path of ['/api/health', '/api/link/none', '/nowhere'])
      expect((await api().get(path)).headers['x-robots-tag']).toBe('noindex, nofollow');
  });
});

describe('files', () => {
  it('names a field that it does not know and the one that was probably meant, and keeps it', async () => {
    const doc = { ...structuredClone(example('level-cube')), tilte: 'x' };
    const { body } = await api()
      .post('/api/commissions/import')
      .type('text')
      .send(JSON.stringify(doc))
      .expect(201);
    expect(body.notes).toEqual([
      { path: 'tilte', says: 'is not known here and was kept as it is; was "title" meant?' },
    ]);
    expect((await api().get(`/api/commissions/${body.id}`)).body.document.tilte).toBe('x');
  });

  it('refuses a document nested thousands deep by name, as a file and as a save', async () => {
    const deep = '['.repeat(5_000) + ']'.repeat(5_000);
    const text = JSON.stringify({ ...example('level-cube'), later: 'HERE' }).replace('"HERE"', deep);
    const file = await api().post('/api/commissions/import').type('text').send(text).expect(422);
    expect(file.body.title).toMatch(/^later: is nested deeper than 40/);
    const id = await create();
    const body = `{"revision":1,"document":${text}}`;
    await api().put(`/api/commissions/${id}`).type('json').send(body).expect(422);
  });

  it('saves what it imported though it is just under the limit, and names limits in their own size', async () => {
    const doc = { ...structuredClone(example('level-cube')), padding: '' };
    doc.padding = 'x'.repeat(MAX_DOCUMENT_BYTES - JSON.stringify(doc).length - 200);
    const { body } = await api()
      .post('/api/commissions/import')
      .type('text')
      .send(JSON.stringify(doc))
      .expect(201);
    const { document } = (await api().get(`/api/commissions/${body.id}`)).body;
    await api().put(`/api/commissions/${body.id}`).send({ revision: 1, document }).expect(200);
    const erase = await api()
      .post('/api/clients/erase')
      .type('json')
      .send(`"${'x'.repeat(11_000)}"`)
      .expect(413);
    expect(erase.body.title).toBe('The request is too large, must have at most 10 kB.');
  });

  it('hands the whole scape out for other programs, and says which options there are', async () => {
    const id = await create();
    const glb = (await api().get(`/api/commissions/${id}/scape.glb`).buffer(true).parse(wholeBody).expect(200)).body as Buffer; // prettier-ignore
    expect(glb.subarray(0, 4).toString('latin1')).toBe('glTF');
    const stl = (await api().get(`/api/commissions/${id}/scape.stl`).buffer(true).parse(wholeBody).expect(200)).body as Buffer; // prettier-ignore
    expect(stl.length).toBe(84 + 50 * stl.readUInt32LE(80));
    expect(stl.readUInt32LE(80)).toBeGreaterThan(100);
    expect((await api().get(`/api/commissions/${id}/scape.stl?option=zz`).expect(404)).body.title).toMatch(/option: is "zz", must be one of/); // prettier-ignore
  });

  it('exports a document that imports as the same', async () => {
    const id = await create();
    const file = await api().get(`/api/commissions/${id}/file`).expect(200);
    expect(file.headers['content-disposition']).toContain('Held-root.json');
    const copy = await api().post('/api/commissions/import').type('text').send(file.text).expect(201);
    const { body } = await api().get(`/api/commissions/${copy.body.id}`);
    expect(body.document).toEqual(JSON.parse(file.text));
  });

  it('writes the books as CSV, with the day by which a supplier is late, and refuses what is no day', async () => {
    const id = await create();
    const { text, type } = await api().get(`/api/commissions/${id}/books.csv?today=2027-01-02`).expect(200);
    expect(type).toBe('text/csv');
    const rows = parse(text, { bom: true, columns: true, record_delimiter: '\r\n' }) as Record<
      string,
      string
    >[];
    expect(new Set(rows.map((r) => r.side))).toEqual(new Set(['asked of the client', 'still to be bought']));
    await api().get(`/api/commissions/${id}/books.csv?today=tomorrow`).expect(400);
    await api().get(`/api/commissions/${id}/books.csv?option=none`).expect(404);
  });

  it('writes the take-off as CSV that an independent reader reads, and defuses formulas', async () => {
    const id = await create((d) => {
      d.catalogue.materials[0].name = '=HYPERLINK("x")';
      d.catalogue.materials[1].name = 'Slate, "split"\nplates';
    });
    const { text, type } = await api().get(`/api/commissions/${id}/takeoff.csv`).expect(200);
    expect(type).toBe('text/csv');
    expect(text.split('\r\n').length).toBeGreaterThan(5);
    const rows = parse(text, { bom: true, columns: true, record_delimiter: '\r\n' }) as Record<
      string,
      string
    >[];
    expect(rows[0]).toMatchObject({
      item: `'=HYPERLINK("x")`,
      packs: '2 × 9 L',
      'order by': '2027-01-08',
      'price GBP': '64.00',
    });
    expect(rows[1].item).toBe('Slate, "split"\nplates');
  });

  it('writes dates that an independent calendar reader reads', async () => {
    const id = await create();
    const { text } = await api().get(`/api/commissions/${id}/calendar.ics`).expect(200);
    const events = new ICAL.Component(ICAL.parse(text))
      .getAllSubcomponents('vevent')
      .map((e) => new ICAL.Event(e));
    const on = (day: string) => events.filter((e) => e.startDate.toString() === day).map((e) => e.summary);
    expect(on('2027-01-08')).toEqual(['Order from Marl & Timber Yard · Held root']);
    expect(on('2027-01-14')).toEqual(['Build day · Held root']);
    expect(on('2027-01-15')).toEqual(['Change 32 L of water · Held root']);
    expect(events.every((e) => e.startDate.isDate)).toBe(true);
    expect(new Set(events.map((e) => e.uid)).size).toBe(events.length);
    const care = await api().get(`/api/commissions/${id}/calendar.ics?part=care`);
    expect(care.text).not.toContain('Order from');
    await api().get(`/api/commissions/${id}/calendar.ics?option=z`).expect(404);
    // Who reads gallons gets gallons: 1 US gal is 3.785 L (NIST Handbook 44, appendix C).
    const litres = Number(/change (\d+) L of water/.exec(care.text)![1]);
    const us = await api().get(`/api/commissions/${id}/calendar.ics?part=care&units=us`).expect(200);
    expect(Number(/change ([\d.]+) US gal of water/i.exec(us.text)![1]) * 3.785412).toBeCloseTo(litres, -0.5);
    expect(us.text).not.toMatch(/\d L of water/);
    await api().get(`/api/commissions/${id}/calendar.ics?units=stone`).expect(400);
  });
});
