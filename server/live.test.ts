import { request as ask } from 'node:http';
import type { AddressInfo, Server } from 'node:net';
import request from 'supertest';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { changesBetween } from '../core/commission/changes';
import type { Commission } from '../core/commission/schema';
import { example } from '../core/testing/scape';
import { addMember, dropMember } from './people/members';
import { addPerson } from './people/people';
import { testServer, type TestServer } from './testing';

/* Two people at one commission: who is there, what was saved, and what was changed by whom. */

const WORDS = 'slow river over slate';
const doc = example('held-root');
let b: TestServer;
let server: Server;
let id: string;
const cookies: Record<string, string> = {};
const ids: Record<string, string> = {};
beforeAll(async () => {
  b = await testServer();
  id = (await request(b.app).post('/api/commissions').send(doc).expect(201)).body.id as string;
  for (const [name, role] of [
    ['Ines', 'owner'],
    ['Tom', 'designer'],
    ['Jo', 'crew'],
  ] as const) {
    const email = `${name}@fenwick.example`.toLowerCase();
    ids[name] = (await addPerson(b.store, await b.door.auth(), { name, email, role, password: WORDS }))!;
    const { headers } = await request(b.app).post('/api/people/sign-in').send({ email, password: WORDS }).expect(204); // prettier-ignore
    cookies[name] = (headers['set-cookie'] as unknown as string[]).map((c) => c.split(';')[0]).join('; ');
  }
  server = b.app.listen(0);
});
afterAll(async () => {
  server.close();
  await b.close();
});

/** A page that listens: what it has heard, event by event. */
function listening(name: string, tab: string) {
  const heard: { event: string; data: unknown }[] = [];
  const waits: { n: number; done: () => void }[] = [];
  const port = (server.address() as AddressInfo).port;
  const asked = ask({ port, path: `/api/commissions/${id}/live?tab=${tab}`, headers: { cookie: cookies[name] } }, (res) => {
    res.setEncoding('utf8');
    let text = '';
    res.on('data', (part: string) => {
      text += part;
      for (let end = text.indexOf('\n\n'); end >= 0; end = text.indexOf('\n\n')) {
        const [, event, data] = /^event: (\w+)\ndata: (.*)$/.exec(text.slice(0, end)) ?? [];
        text = text.slice(end + 2);
        if (event) heard.push({ event, data: JSON.parse(data) });
        for (const w of waits) if (heard.length >= w.n) w.done();
      }
    });
  }); // prettier-ignore
  asked.on('error', () => {}).end();
  return {
    heard,
    /** Once so many events have come. */
    until: (n: number) => new Promise<void>((done) => (heard.length >= n ? done() : waits.push({ n, done }))),
    close: () => asked.destroy(),
  };
}
const as = (name: string) => ({
  get: (path: string) => request(b.app).get(path).set('Cookie', cookies[name]),
  send: (method: 'post' | 'patch', path: string, body: object) => request(b.app)[method](path).set('Cookie', cookies[name]).send(body), // prettier-ignore
});
async function saves(name: string, change: (d: Commission) => Commission) {
  const { body } = await as(name).get(`/api/commissions/${id}`).expect(200);
  const changes = changesBetween(body.document, change(body.document));
  return as(name).send('patch', `/api/commissions/${id}`, { revision: body.revision, changes });
}

describe('two people at one commission', () => {
  it('see who else is there and where, hear of each save, and of who went', async () => {
    const ines = listening('Ines', 'a');
    await ines.until(1);
    const tom = listening('Tom', 'b');
    await Promise.all([ines.until(2), tom.until(1)]);
    expect([ines.heard[1], tom.heard[0]]).toEqual([
      { event: 'here', data: [{ name: 'Tom' }] },
      { event: 'here', data: [{ name: 'Ines' }] },
    ]);
    await as('Tom').send('post', `/api/commissions/${id}/live`, { tab: 'b', stage: 'bench', chosen: 'S-1' }).expect(204); // prettier-ignore
    await ines.until(3);
    expect(ines.heard[2].data).toEqual([{ name: 'Tom', stage: 'bench', chosen: 'S-1' }]);
    // Nobody speaks for the page of somebody else.
    await as('Ines').send('post', `/api/commissions/${id}/live`, { tab: 'b', stage: 'log' }).expect(404);
    const { body } = await saves('Tom', (d) => ({ ...d, title: 'Hall' })).then(
      (r) => (expect(r.status).toBe(200), r),
    );
    await Promise.all([ines.until(4), tom.until(3)]);
    const said = { event: 'saved', data: { revision: body.revision } };
    expect([ines.heard.at(-1), tom.heard.at(-1)]).toEqual([said, said]);
    tom.close();
    await ines.until(5);
    expect(ines.heard.at(-1)).toEqual({ event: 'here', data: [] });
    ines.close();
  });

  it('are so many pages at most, and only who may see the commission', async () => {
    const path = `/api/commissions/${id}/live?tab=x`;
    await as('Jo').get(path).expect(404);
    await request(b.app).get(path).expect(401);
    await addMember(b.store, id, ids.Jo);
    const pages = Array.from({ length: 12 }, (_, i) => listening('Jo', `p${i}`));
    await Promise.all(pages.map((p) => p.until(1)));
    await as('Jo').get(path).expect(429);
    pages.forEach((p) => p.close());
    await dropMember(b.store, id, ids.Jo);
  });
});

describe('the history of a commission', () => {
  it('has each save with who made it and what it changed, the newest first, for who designs', async () => {
    const { revision } = (await saves('Ines', (d) => ({ ...d, title: 'Stair' }))).body;
    const { edits } = (await as('Tom').get(`/api/commissions/${id}/history`).expect(200)).body;
    expect(edits.slice(0, 2).map((e: { who: string; revision: number; changes: string }) => [e.who, e.revision, JSON.parse(e.changes)])).toEqual([
      ['Ines', revision, [{ path: ['title'], was: 'Hall', is: 'Stair' }]],
      ['Tom', revision - 1, [{ path: ['title'], was: doc.title, is: 'Hall' }]],
    ]); // prettier-ignore
    const older = (await as('Tom').get(`/api/commissions/${id}/history?before=${edits[0].id}`)).body.edits;
    expect(older).toEqual(edits.slice(1));
    await as('Jo').get(`/api/commissions/${id}/history`).expect(403);
    await as('Tom').get(`/api/commissions/${id}/history?before=x`).expect(400);
  });

  it('goes with its client', async () => {
    const client = { name: 'Halvard Quill' };
    await saves('Tom', (d) => ({ ...d, brief: { ...d.brief, client } }));
    expect((await as('Tom').get(`/api/commissions/${id}/history`)).text).toContain('Quill');
    await as('Ines').send('post', '/api/clients/erase', client).expect(200);
    const left = await b.store.db.all('SELECT * FROM edits');
    expect(left).toEqual([]);
  });
});
