import request from 'supertest';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { changesBetween } from '../core/commission/changes';
import type { Commission } from '../core/commission/schema';
import { example } from '../core/testing/scape';
import type { Role } from './people/access';
import { addMember } from './people/members';
import { addPerson, changeRole } from './people/people';
import { testServer, type TestServer } from './testing';

/* What crew, books and guests see of a commission, and what they may change in it. */

const WORDS = 'slow river over slate';
const doc = { ...example('held-root'), quote: { hourMinor: 4_500 } } as Commission;
let b: TestServer;
let [theirs, other] = ['', ''];
const ids = {} as Record<Role, string>;
const cookies = {} as Record<Role, string>;
const as = (role: Role) => ({
  get: (path: string) => request(b.app).get(path).set('Cookie', cookies[role]),
  send: (method: 'post' | 'put' | 'patch' | 'delete', path: string, body: object = {}) => request(b.app)[method](path).set('Cookie', cookies[role]).send(body), // prettier-ignore
});
/** A change of a commission as a page sends it. */
async function changed(role: Role, id: string, change: (d: Commission) => Commission) {
  const { body } = await as(role).get(`/api/commissions/${id}`).expect(200);
  const was = body.document as Commission;
  return as(role).send('patch', `/api/commissions/${id}`, { revision: body.revision, changes: changesBetween(was, change(was)) }); // prettier-ignore
}
const note = (id: string) => ({ id, date: '2027-01-14', text: 'Set on site.' });
const noted = (id: string) => (d: Commission): Commission => ({ ...d, log: [...(d.log ?? []), note(id)] }); // prettier-ignore

beforeAll(async () => {
  b = await testServer();
  const make = async (title: string) => (await request(b.app).post('/api/commissions').send({ ...doc, title }).expect(201)).body.id as string; // prettier-ignore
  [theirs, other] = [await make('Quiet hall'), await make('Loud stair')];
  for (const role of ['owner', 'designer', 'books', 'crew', 'guest'] as const) {
    const email = `${role}@fenwick.example`;
    ids[role] = (await addPerson(b.store, await b.door.auth(), {
      name: role,
      email,
      role,
      password: WORDS,
    }))!;
    const { headers } = await request(b.app).post('/api/people/sign-in').send({ email, password: WORDS }).expect(204); // prettier-ignore
    cookies[role] = (headers['set-cookie'] as unknown as string[]).map((c) => c.split(';')[0]).join('; ');
  }
  for (const role of ['crew', 'guest'] as const)
    await as('designer').send('put', `/api/commissions/${theirs}/people/${ids[role]}`).expect(204);
});
afterAll(() => b.close());

describe.each(['crew', 'guest'] as const)('the %s', (role) => {
  it('sees the commissions that it is on, and of the others not that they are there', async () => {
    const { body } = await as(role).get('/api/commissions').expect(200);
    expect([body.total, body.commissions.map((c: { title: string }) => c.title)]).toEqual([1, ['Quiet hall']]); // prettier-ignore
    expect(JSON.stringify(body)).not.toContain('Loud');
    expect((await as(role).get('/api/commissions?q=loud')).body.total).toBe(0);
    for (const path of ['', '/head', '/pictures/x', '/orders'])
      for (const id of [other, 'none', `${other}%20`]) {
        const { status, body: said } = await as(role).get(`/api/commissions/${id}${path}`);
        if (role === 'guest' && path === '/orders') expect(status).toBe(403);
        else expect([status, said.title]).toEqual([404, (await as(role).get(`/api/commissions/none${path}`)).body.title]); // prettier-ignore
      }
    await as(role)
      .get(`/api/meshes?of=${other}&names=${'a'.repeat(32)}`)
      .expect(404);
    // Nor by the order of a list that money makes.
    await as(role).get('/api/commissions?sort=cost&today=2027-01-01').expect(403);
  });

  it('sees no money: in the document, in the studio’s lists, in what was ordered', async () => {
    const { body } = await as(role).get(`/api/commissions/${theirs}`).expect(200);
    const { body: studio } = await as(role).get('/api/studio').expect(200);
    for (const seen of [body.document, studio]) expect(JSON.stringify(seen)).not.toMatch(/Minor":[1-9]/);
    expect(body.document.quote).toBeUndefined();
    expect(JSON.stringify((await as('designer').get(`/api/commissions/${theirs}`)).body)).toMatch(/Minor":[1-9]/); // prettier-ignore
    expect(studio.used).toEqual({});
    for (const path of ['takeoff.csv', 'books.csv', 'file', 'links'])
      await as(role).get(`/api/commissions/${theirs}/${path}`).expect(403);
  });
});

describe('what is changed', () => {
  it('by the crew: a note over the whole document, which loses nothing that they do not see', async () => {
    await changed('crew', theirs, noted('n-1')).then((r) => expect(r.status).toBe(200));
    const { body } = await as('owner').get(`/api/commissions/${theirs}`);
    expect(body.document.log.at(-1)).toEqual(note('n-1'));
    expect(body.document.quote).toEqual({ hourMinor: 4_500 });
    expect(body.document.catalogue).toEqual(doc.catalogue);
  });

  it('by the crew and guests: nothing else, and never by a whole document', async () => {
    for (const role of ['crew', 'guest'] as const) {
      const moved = await changed(role, theirs, (d) => ({ ...d, title: 'Mine' }));
      expect(moved.status).toBe(403);
      const { body } = await as(role).get(`/api/commissions/${theirs}`);
      await as(role).send('put', `/api/commissions/${theirs}`, { revision: body.revision, document: body.document }).expect(403); // prettier-ignore
      await as(role).send('delete', `/api/commissions/${theirs}`).expect(403);
    }
    expect((await changed('guest', theirs, noted('n-2'))).status).toBe(403);
    expect((await as('owner').get(`/api/commissions/${theirs}`)).body.document.title).toBe('Quiet hall');
  });

  it('meanwhile by somebody else: what comes back is without money, too', async () => {
    const { body } = await as('crew').get(`/api/commissions/${theirs}`);
    const was = body.document as Commission;
    await changed('designer', theirs, noted('n-3')).then((r) => expect(r.status).toBe(200));
    const late = await as('crew').send('patch', `/api/commissions/${theirs}`, { revision: body.revision, changes: changesBetween(was, noted('n-4')(was)) }); // prettier-ignore
    expect(late.status).toBe(409);
    expect(late.body.theirs.document.log.at(-1)).toEqual(note('n-3'));
    expect(late.text).not.toMatch(/Minor":[1-9]/);
  });

  it('by the books: what was paid, on every commission; of homes they see no picture', async () => {
    const { body } = await as('books').get('/api/commissions').expect(200);
    expect(body.total).toBe(2);
    const paid = { id: 't-1', item: 'slate', amount: 1, day: '2027-01-02', paidMinor: 900 };
    expect((await changed('books', other, (d) => ({ ...d, taken: [paid] }))).status).toBe(200);
    expect((await changed('books', other, (d) => ({ ...d, title: 'Mine' }))).status).toBe(403);
    expect((await as('books').get(`/api/commissions/${other}`)).body.document.taken).toEqual([paid]);
    await as('books').get(`/api/commissions/${other}/pictures/x`).expect(403);
    await as('books').get(`/api/commissions/${other}/books.csv`).expect(200);
  });
});

describe('who is on a commission', () => {
  it('is said by designers, counts at once, and goes with the person', async () => {
    const path = `/api/commissions/${other}/people`;
    await as('crew').get(`/api/commissions/${other}`).expect(404);
    await as('designer').send('put', `${path}/${ids.crew}`).expect(204);
    await as('crew').get(`/api/commissions/${other}`).expect(200);
    await as('designer').send('delete', `${path}/${ids.crew}`).expect(204);
    await as('designer').send('delete', `${path}/${ids.crew}`).expect(404);
    await as('crew').get(`/api/commissions/${other}`).expect(404);
    // Who sees all is on none; who is nobody, neither.
    await as('designer').send('put', `${path}/${ids.books}`).expect(404);
    await as('designer').send('put', `${path}/nobody`).expect(404);
    expect((await as('designer').get(path)).body.people.map((p: { role: Role; on: boolean }) => [p.role, p.on])).toEqual([['crew', false], ['guest', false]]); // prettier-ignore
    await as('crew').get(`/api/commissions/${theirs}/people`).expect(403);
    await addMember(b.store, other, ids.guest);
    await changeRole(b.store, ids.owner, ids.guest, 'none');
    expect((await as('designer').get(path)).body.people).toHaveLength(1);
  });
});
