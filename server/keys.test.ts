import request from 'supertest';
import { afterAll, afterEach, beforeAll, describe, expect, it, vi } from 'vitest';
import { codeOf, softKey } from './softKey';
import { openChallenges } from './people/challenges';
import { dropUnreadable } from './people/codes';
import {
  addPerson,
  hasCodes,
  invite,
  journalLines,
  letInAgain,
  peopleOf,
  resetPassword,
} from './people/people';
import { testServer, type TestServer } from './testing';

/* What lets somebody in besides a password: passkeys, one-time codes, and a link of the owner when all is lost. */

const WORDS = 'slow river over slate';
const ORIGIN = 'http://localhost';
let b: TestServer;
let ines: string;
beforeAll(async () => {
  b = await testServer();
  const person = { name: 'Ines', email: 'ines@fenwick.example', password: WORDS, role: 'owner' as const };
  await addPerson(b.store, await b.door.auth(), person);
  ines = cookiesOf(await signIn().expect(204));
});
afterAll(() => b.close());

const cookiesOf = ({ headers }: { headers: Record<string, unknown> }) =>
  ((headers['set-cookie'] ?? []) as string[]).map((c) => c.split(';')[0]).join('; ');
/** As a page asks that was served under this machine's name. */
const ask = (path: string, body: object = {}, cookie = '') =>
  request(b.app).post(`/api/people/${path}`).set({ Host: 'localhost', Origin: ORIGIN, Cookie: cookie }).send(body); // prettier-ignore
const signIn = (password = WORDS, email = 'ines@fenwick.example') => ask('sign-in', { email, password });
const isIn = async (cookie: string) =>
  ((await request(b.app).get('/api/people/me').set('Cookie', cookie)).body as { person?: object }).person !== undefined; // prettier-ignore

describe('passkeys', () => {
  const key = softKey();
  const question = async (path: string, body: object = {}, cookie = '') =>
    ((await ask(path, body, cookie).expect(200)).body as { challenge: string }).challenge;

  it('are added by who knows the password, answer once, and sign in', async () => {
    await ask('keys/ask', { password: 'another river' }, ines).expect(422);
    const asked = await question('keys/ask', { password: WORDS }, ines);
    const made = { name: 'tablet', response: key.made(asked, ORIGIN) };
    await ask('keys', made, ines).expect(201);
    // The same answer again is none.
    await ask('keys', made, ines).expect(422);
    const { body } = await request(b.app).get('/api/people/keys').set('Cookie', ines);
    expect(body).toMatchObject({ keys: [{ id: key.id, name: 'tablet' }], codes: false });
    const shown = key.shown(await question('sign-in/key/ask'), ORIGIN);
    const answer = await ask('sign-in/key', { response: shown }).expect(204);
    expect(await isIn(cookiesOf(answer))).toBe(true);
    await ask('sign-in/key', { response: shown }).expect(401);
  });

  it('of another page, without their owner, of an old copy or of nobody let nobody in', async () => {
    const attempts = [
      (c: string) => key.shown(c, ORIGIN, { origin: 'https://fenwick.example' }),
      (c: string) => key.shown(c, ORIGIN, { host: 'fenwick.example' }),
      (c: string) => key.shown(c, ORIGIN, { unseen: true }),
      (c: string) => key.shown(c, ORIGIN, { counter: 1 }),
      (c: string) => softKey().shown(c, ORIGIN),
      () => key.shown('never-asked', ORIGIN),
    ];
    for (const twisted of attempts)
      await ask('sign-in/key', { response: twisted(await question('sign-in/key/ask')) }).expect(401);
    // A question for a new key of hers is not answered by signing in.
    const asked = await question('keys/ask', { password: WORDS }, ines);
    await ask('sign-in/key', { response: key.shown(asked, ORIGIN) }).expect(401);
    const unseen = softKey().made(await question('keys/ask', { password: WORDS }, ines), ORIGIN, { unseen: true }); // prettier-ignore
    await ask('keys', { name: 'x', response: unseen }, ines).expect(422);
    await ask('sign-in/key', { response: { id: key.id } }).expect(400);
    // Asked by no page.
    await request(b.app).post('/api/people/sign-in/key/ask').send({}).expect(400);
  });

  it('are taken away by who has them, and by nobody else', async () => {
    await addPerson(b.store, await b.door.auth(), { name: 'Tom', email: 'tom@fenwick.example', password: WORDS, role: 'designer' }); // prettier-ignore
    const tom = cookiesOf(await signIn(WORDS, 'tom@fenwick.example').expect(204));
    const drop = (cookie: string) =>
      request(b.app).delete(`/api/people/keys/${key.id}`).set('Cookie', cookie);
    await drop(tom).expect(404);
    await drop(ines).expect(204);
    const shown = key.shown(await question('sign-in/key/ask'), ORIGIN);
    await ask('sign-in/key', { response: shown }).expect(401);
  });

  it('are answered in time', () => {
    let now = 0;
    const challenges = openChallenges(() => now);
    challenges.asked('a', '::1');
    challenges.asked('b', '::1', 'ines');
    now = 4 * 60_000;
    expect([challenges.taken('a', 'tom'), challenges.taken('b', 'ines'), challenges.taken('b', 'ines')]).toEqual([false, true, false]); // prettier-ignore
    challenges.asked('c', '::1');
    now += 6 * 60_000;
    expect(challenges.taken('c')).toBe(false);
  });

  it('are not lost to who asks for many: of those the own oldest go', () => {
    const challenges = openChallenges();
    challenges.asked('hers', '10.0.0.2');
    for (let n = 0; n < 200; n++) challenges.asked(`x${n}`, '10.0.0.9');
    expect(['hers', 'x0', 'x159', 'x160', 'x199'].map((c) => challenges.taken(c))).toEqual([true, false, false, true, true]); // prettier-ignore
  });
});

describe('one-time codes', () => {
  let [secret, paper]: [string, string[]] = ['', []];

  it('agree with the worked example of RFC 6238', () => {
    // Appendix B: at 59 s the secret "12345678901234567890" gives 94287082 with eight figures, of which these are the last six.
    expect(codeOf('GEZDGNBVGY3TQOJQGEZDGNBVGY3TQOJQ', 59_000)).toBe('287082');
  });

  it('are turned on with the password and a first code, and asked for from then on', async () => {
    await ask('codes', { password: 'another river' }, ines).expect(422);
    const begun = (await ask('codes', { password: WORDS }, ines).expect(200)).body as { uri: string; paper: string[] }; // prettier-ignore
    [secret, paper] = [new URL(begun.uri).searchParams.get('secret')!, begun.paper];
    expect(begun.uri).toMatch(/^otpauth:\/\/totp\/Utsuwa:ines/);
    expect(new Set(paper).size).toBe(10);
    // Begun is not on: nobody is locked out by an app that never saw it.
    cookiesOf(await signIn().expect(204));
    await ask('codes/on', { code: '000000' }, ines).expect(422);
    const on = await ask('codes/on', { code: codeOf(secret) }, ines).expect(204);
    ines = cookiesOf(on);
    expect(await isIn(ines)).toBe(true);
    await ask('codes', { password: WORDS }, ines).expect(409);
  });

  it('let in together with the password, and a code of the paper once', async () => {
    const half = await signIn().expect(200);
    expect(half.body).toEqual({ code: true });
    const cookie = cookiesOf(half);
    expect(await isIn(cookie)).toBe(false);
    await request(b.app).get('/api/commissions').set('Cookie', cookie).expect(401);
    await ask('sign-in/code', { code: '000000' }, cookie).expect(401);
    const whole = await ask('sign-in/code', { code: ` ${codeOf(secret)} ` }, cookie).expect(204);
    expect(await isIn(cookiesOf(whole))).toBe(true);
    // Used up: the half that was let in is none any more.
    await ask('sign-in/code', { code: codeOf(secret) }, cookie).expect(401);
    const byPaper = async () =>
      ask('sign-in/code', { code: paper[0] }, cookiesOf(await signIn().expect(200)));
    expect([(await byPaper()).status, (await byPaper()).status]).toEqual([204, 401]);
    // Without a password that was right a code is of no use.
    await ask('sign-in/code', { code: codeOf(secret) }).expect(401);
  });

  it('are not guessed: five wrong ones and the password is asked for anew', async () => {
    const cookie = cookiesOf(await signIn().expect(200));
    for (let n = 0; n < 5; n++) await ask('sign-in/code', { code: `00000${n}` }, cookie).expect(401);
    await ask('sign-in/code', { code: codeOf(secret) }, cookie).expect(401);
  });

  it('are set back where this machine cannot read them', async () => {
    expect(await dropUnreadable(b.store, await b.door.auth())).toBe(0);
    await b.store.write((db) => db.run(`UPDATE second_factors SET secret = 'of another machine'`));
    expect(await dropUnreadable(b.store, await b.door.auth())).toBe(1);
    ines = cookiesOf(await signIn().expect(204));
  });

  it('are turned off with the password', async () => {
    const begun = (await ask('codes', { password: WORDS }, ines).expect(200)).body as { uri: string };
    secret = new URL(begun.uri).searchParams.get('secret')!;
    ines = cookiesOf(await ask('codes/on', { code: codeOf(secret) }, ines).expect(204));
    await ask('codes/off', { password: 'another river' }, ines).expect(422);
    ines = cookiesOf(await ask('codes/off', { password: WORDS }, ines).expect(204));
    await signIn().expect(204);
    expect((await journalLines(b.store)).map((l) => l.what)).toEqual(expect.arrayContaining(['codes-on', 'codes-off', 'codes-lost', 'key-added', 'key-removed'])); // prettier-ignore
  });
});

describe('who does not get in any more', () => {
  it('gets a link of the owner, with which a new password lets them in, once, and nothing of before', async () => {
    const tom = (await peopleOf(b.store)).find((p) => p.email === 'tom@fenwick.example')!;
    let old = cookiesOf(await signIn(WORDS, tom.email).expect(204));
    const begun = (await ask('codes', { password: WORDS }, old).expect(200)).body as { uri: string };
    old = cookiesOf(await ask('codes/on', { code: codeOf(new URL(begun.uri).searchParams.get('secret')!) }, old).expect(204)); // prettier-ignore
    await ask(`${tom.id}/again`, {}, old).expect(403);
    await ask('none/again', {}, ines).expect(404);
    const { secret } = (await ask(`${tom.id}/again`, {}, ines).expect(201)).body as { secret: string };
    expect((await ask('invitation', { secret }).expect(200)).body).toEqual({ name: 'Tom', role: 'designer', isAgain: true }); // prettier-ignore
    // It makes no second account, and an invitation lets nobody in again.
    await ask('join', { secret, name: 'X', email: 'x@fenwick.example', password: WORDS }).expect(404);
    const invited = await invite(b.store, tom.id, { name: 'Jo', role: 'crew' });
    await ask('again', { secret: invited, password: WORDS }).expect(404);
    await ask('again', { secret, password: 'short' }).expect(422);
    const next = 'quiet moss under glass';
    const fresh = cookiesOf(await ask('again', { secret, password: next }).expect(204));
    expect([await isIn(fresh), await isIn(old), await hasCodes(b.store, tom.id)]).toEqual([true, false, false]); // prettier-ignore
    await signIn(WORDS, tom.email).expect(401);
    await ask('again', { secret, password: next }).expect(404);
    // Of two links the second is of no use once the first was used.
    const two = await Promise.all([1, 2].map(async () => ((await ask(`${tom.id}/again`, {}, ines).expect(201)).body as { secret: string }).secret)); // prettier-ignore
    await ask('again', { secret: two[1], password: WORDS }).expect(204);
    await ask('again', { secret: two[0], password: next }).expect(404);
  });

  it('has links and codes gone with the account, and a new password on the machine takes codes and keys along', async () => {
    const tom = (await peopleOf(b.store)).find((p) => p.email === 'tom@fenwick.example')!;
    const secret = (await letInAgain(b.store, tom.id, tom.id))!;
    await resetPassword(b.store, await b.door.auth(), tom.id, WORDS);
    await signIn(WORDS, tom.email).expect(204);
    await request(b.app).delete(`/api/people/${tom.id}`).set('Cookie', ines).expect(204);
    await ask('again', { secret, password: WORDS }).expect(404);
  });
});

describe('a clock that leaps', () => {
  afterEach(() => vi.useRealTimers());

  it('signs nobody in who was out; whoever is in stays in or signs in again; an invitation ends by it and is good again', async () => {
    const cookie = cookiesOf(await signIn().expect(204));
    vi.useFakeTimers({ toFake: ['Date'] });
    const now = Date.now();
    const at = (days: number) => vi.setSystemTime(now + days * 86_400_000);
    at(-3);
    expect(await isIn(cookie)).toBe(true);
    // Looked at, it is renewed; two months on it has ended, and is not there again when the clock is set right.
    at(29);
    expect(await isIn(cookie)).toBe(true);
    at(95);
    expect(await isIn(cookie)).toBe(false);
    at(0);
    expect(await isIn(cookie)).toBe(false);
    const secret = await invite(b.store, 'x', { name: 'Ruth', role: 'designer' });
    at(30);
    await ask('invitation', { secret }).expect(404);
    at(1);
    await ask('invitation', { secret }).expect(200);
  });
});
