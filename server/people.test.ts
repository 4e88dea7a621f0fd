import type { Express } from 'express';
import request from 'supertest';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { example } from '../core/testing/scape';
import { ACCESS, ANYBODY, isAllowed, mayDo, ROLES, routeOf, type Role } from './people/access';
import {
  addPerson,
  changeRole,
  dropEnded,
  hasPeople,
  invite,
  journalLines,
  peopleOf,
  signOutAll,
} from './people/people';
import { testServer, type TestServer } from './testing';

const WORDS = 'slow river over slate';
const OWNER = { name: 'Ines', email: 'ines@fenwick.example', password: WORDS, role: 'owner' as Role };

let b: TestServer;
beforeAll(async () => void (b = await testServer()));
afterAll(() => b.close());

const signIn = (email: string, password = WORDS) => request(b.app).post('/api/people/sign-in').send({ email, password }); // prettier-ignore
async function cookieOf(email: string): Promise<string> {
  const { headers } = await signIn(email).expect(204);
  return (headers['set-cookie'] as unknown as string[]).map((c) => c.split(';')[0]).join('; ');
}

describe('without an account', () => {
  it('all is as before: nobody is asked who they are, and accounts are managed by nobody', async () => {
    expect((await request(b.app).get('/api/people/me').expect(200)).body).toEqual({ open: true });
    await request(b.app).get('/api/commissions').expect(200);
    await request(b.app).get('/api/people/sessions').expect(404);
    await request(b.app).post('/api/people/invitations').send({ name: 'x', role: 'owner' }).expect(404);
    expect(await hasPeople(b.store)).toBe(false);
  });
});

describe('with accounts', () => {
  let owner: string;
  beforeAll(async () => {
    await addPerson(b.store, await b.door.auth(), OWNER);
    owner = await cookieOf(OWNER.email);
  });
  const as = (cookie: string) => ({
    get: (path: string) => request(b.app).get(path).set('Cookie', cookie),
    post: (path: string, body: object = {}) => request(b.app).post(path).set('Cookie', cookie).send(body),
    put: (path: string, body: object) => request(b.app).put(path).set('Cookie', cookie).send(body),
    delete: (path: string) => request(b.app).delete(path).set('Cookie', cookie),
  });
  const invited = async (email: string, role: Role = 'designer') => {
    const { secret } = (await as(owner).post('/api/people/invitations', { name: 'Tom', role }).expect(201)).body as { secret: string }; // prettier-ignore
    const joined = await request(b.app).post('/api/people/join').send({ secret, name: 'Tom', email, password: WORDS }); // prettier-ignore
    return { secret, joined };
  };

  it('have every route in the table, and nothing in it that is no route', () => {
    const routes = routesOf(b.app).filter((r) => !r.endsWith('/api'));
    expect([...new Set(routes)].sort()).toEqual([...ACCESS.keys()].filter((r) => !r.includes('stand-ins') || routes.includes(r)).sort()); // prettier-ignore
  });

  it('every route answers every role as the table says, and nobody who is signed out', async () => {
    const cookies = { owner } as Record<Role, string>;
    for (const role of ROLES.filter((r) => r !== 'owner')) {
      await addPerson(b.store, await b.door.auth(), { ...OWNER, email: `${role}@fenwick.example`, role });
      cookies[role] = await cookieOf(`${role}@fenwick.example`);
    }
    for (const route of ACCESS.keys()) {
      // What would sign them out or send them away is tried by itself.
      if (ACCESS.get(route) === ANYBODY || /sign-out/.test(route)) continue;
      const [method, path] = route.split(' ');
      const url = path.replace(/:\w+/g, 'none');
      const ask = (cookie?: string) => {
        const asked = request(b.app)[method.toLowerCase() as 'get'](url);
        return cookie ? asked.set('Cookie', cookie) : asked;
      };
      expect([(await ask()).status, route]).toEqual([401, route]);
      for (const role of ROLES) {
        const { status } = await ask(cookies[role]);
        expect([isAllowed(route, role) ? status !== 403 && status !== 401 : status === 403, route, role, status]).toEqual([true, route, role, status]); // prettier-ignore
      }
    }
    await as(owner).get('/api/none').expect(404);
    await request(b.app).get('/api/none').expect(404);
  });

  it('a password that is wrong, and a name that nobody has, are refused in the same words', async () => {
    const [wrong, unknown] = [await signIn(OWNER.email, 'wrong words here'), await signIn('no@one.example')];
    expect([wrong.status, wrong.body]).toEqual([unknown.status, unknown.body]);
    expect(wrong.status).toBe(401);
    await signIn(`  ${OWNER.email.toUpperCase()} `).expect(204);
  });

  it('waits longer and longer for who guesses, be there such a name or not, and lets nobody in meanwhile', async () => {
    for (const email of ['guessed@fenwick.example', 'no-such@one.example']) {
      if (email.startsWith('guessed')) await addPerson(b.store, await b.door.auth(), { ...OWNER, email });
      const all = await Promise.all(Array.from({ length: 9 }, () => signIn(email, 'guess guess guess')));
      expect(all.filter((a) => a.status === 401)).toHaveLength(5);
      const waits = all.filter((a) => a.status === 429);
      expect(waits).toHaveLength(4);
      expect(Number(waits[0].headers['retry-after'])).toBeGreaterThan(20);
      await signIn(email).expect(429);
    }
  });

  it('an invitation makes one account, with its role, and is then not good any more; a full stop behind it is none of it', async () => {
    const { secret, joined } = await invited('tom@fenwick.example');
    expect(joined.status).toBe(201);
    const again = await request(b.app).post('/api/people/join').send({ secret, name: 'T', email: 't2@fenwick.example', password: WORDS }); // prettier-ignore
    expect([again.status, again.body.title]).toEqual([404, expect.stringContaining('not good any more')]);
    expect((await request(b.app).post('/api/people/invitation').send({ secret: 'guess' })).status).toBe(404);
    const other = await invite(b.store, 'x', { name: 'Ruth', role: 'designer' });
    expect((await request(b.app).post('/api/people/invitation').send({ secret: `${other}.` }).expect(200)).body).toEqual({ name: 'Ruth', role: 'designer', isAgain: false }); // prettier-ignore
    // Two who use it in the same moment: one account.
    const both = await Promise.all(['r1', 'r2'].map((n) => request(b.app).post('/api/people/join').send({ secret: other, name: n, email: `${n}@fenwick.example`, password: WORDS }))); // prettier-ignore
    expect(both.map((r) => r.status).sort()).toEqual([201, 404]);
    // Withdrawn.
    const third = await as(owner).post('/api/people/invitations', { name: 'Lee', role: 'designer' });
    const { invitations } = (await as(owner).get('/api/people')).body as { invitations: { id: string; name: string }[] }; // prettier-ignore
    await as(owner).delete(`/api/people/invitations/${invitations.find((i) => i.name === 'Lee')!.id}`).expect(204); // prettier-ignore
    expect((await request(b.app).post('/api/people/invitation').send({ secret: third.body.secret })).status).toBe(404); // prettier-ignore
  });

  it('refuses passwords that are short, long, common or ten megabytes, says why, and takes emoji', async () => {
    const secret = await invite(b.store, 'x', { name: 'Pat', role: 'designer' });
    const join = (password: string) => request(b.app).post('/api/people/join').send({ secret, name: 'Pat', email: 'pat@fenwick.example', password }); // prettier-ignore
    const said = async (password: string) => (await join(password).expect(422)).body.title as string;
    expect(await said('short')).toMatch(/too short/);
    expect(await said('🌿🌿')).toMatch(/too short/);
    expect(await said('x'.repeat(300))).toMatch(/too long/);
    expect(await said('qwertyuiop12345')).not.toContain('qwerty');
    expect(await said('qwertyuiop12345')).toMatch(/guessed first/);
    expect(await said('aaaaaaaaaaaaaaa')).toMatch(/guessed first/);
    expect((await join('x'.repeat(10_000_000))).status).toBe(413);
    await join('🌿🪨🪵🐟🌿🪨🪵🐟🌿🪨🪵🐟').expect(201);
    await signIn('pat@fenwick.example', '🌿🪨🪵🐟🌿🪨🪵🐟🌿🪨🪵🐟').expect(204);
  });

  it('shows the devices of a person, signs one out there at once, and all others with another password', async () => {
    const [here, there] = [await cookieOf('tom@fenwick.example'), await cookieOf('tom@fenwick.example')];
    const { sessions } = (await as(here).get('/api/people/sessions').expect(200)).body as { sessions: { id: string; isThis: boolean }[] }; // prettier-ignore
    expect(sessions.filter((s) => s.isThis)).toHaveLength(1);
    const theirs = (await as(there).get('/api/people/sessions')).body as { sessions: typeof sessions };
    const other = theirs.sessions.find((s) => s.isThis)!;
    // Nobody signs out somebody else.
    await as(owner).delete(`/api/people/sessions/${other.id}`).expect(404);
    await as(here).delete(`/api/people/sessions/${other.id}`).expect(204);
    await as(there).get('/api/commissions').expect(401);
    const third = await cookieOf('tom@fenwick.example');
    const next = 'moss on old branches';
    expect((await as(here).post('/api/people/password', { current: 'not this one', next })).status).toBe(422);
    await as(here).post('/api/people/password', { current: WORDS, next }).expect(204);
    await as(third).get('/api/commissions').expect(401);
    await signIn('tom@fenwick.example', next).expect(204);
    // Signing out ends the session itself, not only the cookie.
    const last = (await signIn('tom@fenwick.example', next)).headers['set-cookie'] as unknown as string[];
    const cookie = last.map((c) => c.split(';')[0]).join('; ');
    await as(cookie).post('/api/people/sign-out').expect(204);
    await as(cookie).get('/api/commissions').expect(401);
  });

  it('keeps its cookies from scripts and other sites, forged ones open nothing', async () => {
    const [cookie] = (await signIn(OWNER.email)).headers['set-cookie'] as unknown as string[];
    expect(cookie).toMatch(/HttpOnly/i);
    expect(cookie).toMatch(/SameSite=Strict/i);
    const forged = cookie.split(';')[0].replace(/.$/, (c) => (c === 'A' ? 'B' : 'A'));
    for (const c of [
      forged,
      'utsuwa.session_token=x',
      'utsuwa.session_token=',
      `${forged.split('.')[0]}.${'a'.repeat(43)}`,
    ])
      // prettier-ignore
      await as(c).get('/api/commissions').expect(401);
    expect((await as(owner).get('/api/commissions').expect(200)).headers['cache-control']).toBe('no-store');
  });

  it('never loses its last owner, also when two send each other away in the same moment', async () => {
    const people = await peopleOf(b.store);
    const me = people.find((p) => p.email === OWNER.email)!;
    for (const p of people.filter((x) => x.role === 'owner' && x.id !== me.id)) await changeRole(b.store, me.id, p.id, 'none'); // prettier-ignore
    const said = await as(owner).put(`/api/people/${me.id}`, { role: 'designer' }).expect(409);
    expect(said.body.title).toMatch(/last owner/);
    await as(owner).delete(`/api/people/${me.id}`).expect(409);
    const id = (await addPerson(b.store, await b.door.auth(), {
      ...OWNER,
      email: 'second@fenwick.example',
    }))!;
    const done = await Promise.all([changeRole(b.store, id, me.id, 'none'), changeRole(b.store, me.id, id, 'none')]); // prettier-ignore
    expect(done.filter(Boolean)).toHaveLength(1);
    expect((await peopleOf(b.store)).filter((p) => p.role === 'owner')).toHaveLength(1);
  });

  it('keeps no session that has ended by itself', async () => {
    const cookie = await cookieOf((await peopleOf(b.store))[0].email);
    await dropEnded(b.store, new Date(Date.now() + 29 * 86_400_000));
    await as(cookie).get('/api/commissions').expect(200);
    await dropEnded(b.store, new Date(Date.now() + 31 * 86_400_000));
    await as(cookie).get('/api/commissions').expect(401);
  });

  it('signs everybody out where a backup was put in place: what was ended since stays ended', async () => {
    const cookie = await cookieOf((await peopleOf(b.store))[0].email);
    await as(cookie).get('/api/commissions').expect(200);
    await signOutAll(b.store);
    await as(cookie).get('/api/commissions').expect(401);
  });

  it('notes what was done with accounts, by whom', async () => {
    const { email } = (await peopleOf(b.store)).find((p) => p.role === 'owner')!;
    const me = await cookieOf(email);
    await as(me).get('/api/clients/export?name=Nobody').expect(200);
    await as(me).post('/api/clients/erase', { name: 'Nobody' }).expect(200);
    const { body } = await as(me).post('/api/commissions', example('level-cube')).expect(201);
    await as(me).get(`/api/commissions/${body.id}/takeoff.csv`).expect(200);
    expect((await journalLines(b.store))[0]).toMatchObject({ what: 'file-taken', of: body.id });
    const what = (await journalLines(b.store)).map((l) => l.what);
    for (const line of [
      'made',
      'signed-in',
      'invited',
      'invitation-withdrawn',
      'password-changed',
      'removed',
      'client-handed-over',
      'client-erased',
    ] as const)
      // prettier-ignore
      expect(what).toContain(line);
  });
});

describe('the table', () => {
  it('tells a name from an address, and what is in none is nobody’s', () => {
    expect(routeOf('POST', '/api/commissions/import')).toBe('POST /api/commissions/import');
    expect(routeOf('GET', '/api/commissions/abc')).toBe('GET /api/commissions/:id');
    expect(routeOf('HEAD', '/api/commissions/abc/')).toBe('GET /api/commissions/:id');
    expect(routeOf('GET', '/api/commissions/a/b/c/d')).toBeUndefined();
    expect(isAllowed('GET /api/none', 'owner')).toBe(false);
    const [all, design] = [mayDo('owner'), mayDo('designer')];
    expect(all.filter((what) => !design.includes(what))).toEqual(['house', 'kept', 'priceLists', 'erase', 'standIns', 'people']); // prettier-ignore
    expect([mayDo('books'), mayDo('crew'), mayDo('guest')]).toEqual([
      ['change', 'week', 'prices', 'glances', 'order'],
      ['change', 'photograph', 'pictures'],
      ['pictures'],
    ]);
  });
});

/** Every route of the server, as Express has them, with the addresses of their routers. */
function routesOf(app: Express): string[] {
  interface Layer {
    route?: { path: string; methods: Record<string, boolean> };
    handle?: { stack?: Layer[] };
    matchers?: ((path: string) => { path: string } | false)[];
  }
  const mounted = ['/api/people', '/api/link', '/api/studio', '/api/lessons', '/api/week', '/api/commissions', '/api/meshes', '/api/clients', '/api/clock', '/api/stand-ins']; // prettier-ignore
  const stack = (app as unknown as { router: { stack: Layer[] } }).router.stack;
  return stack.flatMap((layer): string[] => {
    if (layer.route) return named('', layer.route);
    const at = mounted.find(
      (m) => layer.matchers?.some((is) => is(m)) && m.length > 4 && layer.handle?.stack,
    );
    return at === undefined ? [] : layer.handle!.stack!.flatMap((l) => (l.route ? named(at, l.route) : []));
  });
}

function named(at: string, { path, methods }: { path: string; methods: Record<string, boolean> }): string[] {
  const whole = `${at}${path}`.replace(/(.)\/$/, '$1');
  return whole.startsWith('/api') ? Object.keys(methods).map((m) => `${m.toUpperCase()} ${whole}`) : [];
}
