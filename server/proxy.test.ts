import request from 'supertest';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { openDoor } from './people/door';
import { addPerson } from './people/people';
import { reachedAs } from './reached';
import { suppliedBy, testServer, type TestServer } from './testing';

const NAME = 'studio.example';
const WORDS = 'slow river over slate';
let b: TestServer;
beforeAll(async () => {
  b = await testServer();
  await addPerson(b.store, await b.door.auth(), { name: 'Ines', email: 'ines@fenwick.example', role: 'owner', password: WORDS }); // prettier-ignore
});
afterAll(() => b.close());
/** The server behind proxies of these addresses; every request of a test comes from this machine. */
const behind = async (...proxies: string[]) =>
  suppliedBy(b.store, {}, { door: await openDoor(b.store, { isSecure: true }), names: [NAME], isSecure: true, proxies }).app; // prettier-ignore
const PASSED_ON = {
  'X-Forwarded-Host': NAME,
  'X-Forwarded-Proto': 'https',
  'X-Forwarded-For': '203.0.113.7',
};

describe('behind a proxy', () => {
  it('host and scheme are believed of it, and of nobody else', async () => {
    const [named, other] = [await behind('127.0.0.1', '::1', '::ffff:127.0.0.1'), await behind('10.9.9.9')];
    const me = (app: typeof named, headers: Record<string, string>) => request(app).get('/api/people/me').set(headers); // prettier-ignore
    await me(named, PASSED_ON).expect(200);
    await me(named, { ...PASSED_ON, 'X-Forwarded-Proto': 'http' }).expect(403);
    await me(named, { ...PASSED_ON, 'X-Forwarded-Host': 'elsewhere.example' }).expect(421);
    // Who asks for this machine itself through a proxy is no more here than anybody else.
    for (const here of ['127.0.0.1', 'localhost:4680']) await me(named, { ...PASSED_ON, 'X-Forwarded-Host': here }).expect(421); // prettier-ignore
    // The same headers from an address that is none of a proxy say nothing.
    await me(other, PASSED_ON).expect(421);
    await me(other, { ...PASSED_ON, Host: NAME }).expect(403);
    // Without a proxy named, nobody is believed.
    await request(b.app).get('/api/people/me').set(PASSED_ON).expect(200);
    await request(b.app).get('/api/people/me').set({ ...PASSED_ON, Host: NAME }).expect(421); // prettier-ignore
  });

  it('a write comes from the studio’s own pages, over TLS as the browser saw it', async () => {
    const app = await behind('127.0.0.1', '::1', '::ffff:127.0.0.1');
    const signIn = (origin?: string) => request(app).post('/api/people/sign-in').set({ ...PASSED_ON, ...(origin ? { Origin: origin } : {}) }).send({ email: 'ines@fenwick.example', password: WORDS }); // prettier-ignore
    await signIn().expect(403);
    await signIn(`http://${NAME}`).expect(403);
    const { headers } = await signIn(`https://${NAME}`).expect(204);
    expect(String(headers['set-cookie'])).toMatch(/Secure/);
  });

  it('guessing is slowed by the caller’s own address, whatever the caller says theirs is', async () => {
    const app = await behind('127.0.0.1', '::1', '::ffff:127.0.0.1');
    const guess = (from: string, n: number) => request(app).post('/api/people/sign-in').set({ ...PASSED_ON, 'X-Forwarded-For': from, Origin: `https://${NAME}` }).send({ email: `n${n}@one.example`, password: 'x' }); // prettier-ignore
    // The proxy adds who it was; what stood there before was made up.
    for (let n = 0; n < 30; n++) await guess(`198.51.100.${n}, 203.0.113.99`, n);
    await guess('192.0.2.1, 203.0.113.99', 99).expect(429);
    await guess('203.0.113.50', 100).expect(401);
  });

  it('is asked on the machine by whoever looks after it whether it is there and ready, and gives each answer an id', async () => {
    const app = await behind('10.9.9.9');
    const { body, headers } = await request(app).get('/api/ready').expect(200);
    expect([body, headers['x-request-id']]).toEqual([
      { ready: true },
      expect.stringMatching(/^[\da-f-]{36}$/),
    ]);
    await request(app).get('/api/health').expect(200);
  });

  it('is set by addresses; what is none is refused with what to do', async () => {
    const env = { UTSUWA_URL: `https://${NAME}/`, UTSUWA_PROXY: '127.0.0.1, 10.0.0.0/8' };
    expect(await reachedAs(env)).toMatchObject({ isBeyond: true, isSecure: true, proxies: ['127.0.0.1', '10.0.0.0/8'], names: [NAME] }); // prettier-ignore
    await expect(reachedAs({ ...env, UTSUWA_PROXY: 'nginx' })).rejects.toThrow('must be the address of the proxy'); // prettier-ignore
    await expect(reachedAs({ ...env, UTSUWA_URL: `http://${NAME}/` })).rejects.toThrow('https:');
    await expect(reachedAs({ UTSUWA_PROXY: '127.0.0.1' })).rejects.toThrow('UTSUWA_URL');
  });
});
