import { request } from 'node:http';
import { connect, type Socket } from 'node:net';
import { ACCESS, ANYBODY, isAllowed, ROLES } from '../server/people/access';
import { changesBetween } from '../core/commission/changes';
import { pause, titled } from './http';
import { result, type Result } from './result';
import { emailOf, inStudio, type Caller, type Studio } from './studioOfFive';

/** What somebody tried who wants in: what came of it where it should not have. */
type Tried = (studio: Studio, wrong: string[]) => Promise<Record<string, number>>;

/** Routes whose answer ends somebody's session, or the test's own people. */
const ENDS = /sign-out|DELETE \/api\/people|people\/:id|\/again$/;

/** Every role, and nobody, at every route, with ids that are none. */
const everyRoute: Tried = async ({ as, stranger }, wrong) => {
  let asked = 0;
  for (const route of ACCESS.keys()) {
    if (ACCESS.get(route) === ANYBODY || ENDS.test(route)) continue;
    const [method, path] = route.split(' ');
    const url = path.replace(/:\w+/g, 'none');
    for (const role of [undefined, ...ROLES]) {
      const { status } = await (role ? as[role] : stranger).ask(
        method,
        url,
        method === 'GET' ? undefined : {},
      );
      const isOpen = isAllowed(route, role);
      // Whom it is open to gets whatever it says to nonsense; nobody else more than a refusal.
      const refused = role === undefined ? status === 401 : status === 403;
      if (refused === isOpen || status >= 500) wrong.push(`${role ?? 'nobody'} at ${route}: ${status}`);
      asked++;
    }
  }
  return { 'routes × roles': asked };
};

/** What is not theirs, by its right id; and what a save must not carry. */
const notTheirs: Tried = async ({ as, on, off }, wrong) => {
  const expect = async (what: string, answer: Promise<Response>, status: number) => {
    const got = await answer;
    if (got.status !== status) wrong.push(`${what}: ${got.status}, not ${status}`);
  };
  const change = (path: unknown[], was: unknown, is: unknown) => ({ revision: 1, changes: [{ path, was, is }] });
  const at = (id: string) => `/api/commissions/${id}`;
  const now = titled('on');
  const moved = { revision: 1, changes: changesBetween(now, { ...now, options: now.options.map((o) => ({ ...o, pieces: [] })) }) };
  const parts = ['', '/head', '/history', '/links', '/people', '/live', '/calendar.ics', '/file', '/orders'];
  for (const part of parts) {
    await expect(`crew off it, ${part}`, as.crew.ask('GET', `${at(off)}${part}`), isAllowed(`GET /api/commissions/:id${part}`, 'crew') ? 404 : 403);
  }
  await expect('guest saves', as.guest.ask('PATCH', at(on), change(['title'], 'on', 'mine')), 403);
  for (const role of ['crew', 'books'] as const) {
    await expect(`${role} renames`, as[role].ask('PATCH', at(on), change(['title'], 'on', 'mine')), 403);
    await expect(`${role} moves`, as[role].ask('PATCH', at(on), moved), 403);
  }
  // A part that is theirs, and one that is not, in one save.
  const both = { revision: 1, changes: [{ path: ['log'], was: undefined, is: [] }, { path: ['brief', 'client'], was: undefined, is: { name: 'x' } }] };
  await expect('crew, both at once', as.crew.ask('PATCH', at(on), both), 403);
  await expect('crew replaces', as.crew.ask('PUT', at(on), { revision: 1, document: {} }), 403);
  // The commission is where it was, and a save of an old page does not go over a newer one.
  const first = { revision: 1, changes: [{ path: ['title'], was: 'on', is: 'once' }] };
  await expect('designer saves', as.designer.ask('PATCH', at(on), first), 200);
  await expect('the same save again', as.designer.ask('PATCH', at(on), first), 409);
  return { 'what is not theirs': parts.length + 9 };
}; // prettier-ignore

/** Sessions that were altered, ended, planted or are another's. */
const sessions: Tried = async ({ as, signIn, stranger, ids }, wrong) => {
  const me = async (cookie: string) =>
    (await (await stranger.ask('GET', '/api/people/me', undefined, { Cookie: cookie })).json()) as { person?: { id: string } }; // prettier-ignore
  const { cookie } = as.designer;
  const [name, value] = cookie.split(/=(.*)/s);
  const bent = [
    `${name}=${value.slice(0, -4)}AAAA`,
    `${name}=${value.replace(/^./, 'x')}`,
    `${name}=${value.split('.')[0]}`,
    `${name}=`,
    `${name}=${'a'.repeat(4_000)}`,
  ];
  for (const forged of bent) if ((await me(forged)).person) wrong.push(`let in by ${forged.slice(0, 60)}`);
  // A session that somebody planted before is not the one that they are signed in with.
  const planted = `${name}=planted.by-somebody`;
  const fresh = await signIn(emailOf('books'), planted);
  if (fresh.cookie.includes('planted') || (await me(planted)).person)
    wrong.push('a planted session was taken');
  await fresh.ask('POST', '/api/people/sign-out', {});
  if ((await me(fresh.cookie)).person) wrong.push('a session that was ended lets in');
  // Who becomes less is out at once.
  const crew = await signIn(emailOf('crew'));
  await as.owner.ask('PUT', `/api/people/${ids.crew}`, { role: 'guest' });
  if ((await me(crew.cookie)).person) wrong.push('a session goes on under another role');
  await as.owner.ask('PUT', `/api/people/${ids.crew}`, { role: 'crew' });
  return { sessions: bent.length + 3 };
};

/** Secrets of links: guessed, of another commission, withdrawn; and a yes that was not asked for. */
const links: Tried = async ({ as, stranger, on, off }, wrong) => {
  const made = async (id: string) => {
    const shows = { title: 'Sheet', made: '2026-12-01', blocks: [{ as: 'p', text: 'Only this.' }] };
    const answer = await as.designer.ask('POST', `/api/commissions/${id}/links`, { kind: 'sheet', named: 'x', until: '2099-01-01', shows }); // prettier-ignore
    if (answer.status !== 201) throw new Error(`no link: ${answer.status} ${await answer.text()}`);
    return ((await answer.json()) as { secret: string }).secret;
  };
  const [one, other] = [await made(on), await made(off)];
  const open = (secret: string) => stranger.ask('POST', '/api/link', { secret });
  if ((await open(one)).status !== 200) wrong.push('a good link does not open');
  const picture = await as.designer.ask('POST', `/api/commissions/${off}/pictures`, PNG, {'Content-Type': 'image/png'}).then(async (r) => ((await r.json()) as { id?: string }).id ?? 'none'); // prettier-ignore
  const across = await stranger.ask('POST', '/api/link/picture', { secret: one, picture });
  if (across.status !== 404) wrong.push(`a picture of another commission by a link: ${across.status}`);
  const yes = { kind: 'yes', option: 'a', by: 'x' };
  const said = await stranger.ask('POST', '/api/link/answer', { secret: other, answer: yes });
  if (said.status !== 404) wrong.push(`a yes to a sheet: ${said.status}`);
  const [{ id }] = ((await (await as.designer.ask('GET', `/api/commissions/${off}/links`)).json()) as { links: { id: string }[] }).links; // prettier-ignore
  // By its right id, but of another commission: there is none.
  if ((await as.designer.ask('DELETE', `/api/commissions/${on}/links/${id}`)).status !== 404) wrong.push('a link ended through another commission'); // prettier-ignore
  await as.designer.ask('DELETE', `/api/commissions/${off}/links/${id}`);
  if ((await open(other)).status !== 404) wrong.push('a withdrawn link opens');
  let [guesses, slowed] = [0, 0];
  for (; guesses < 120; guesses++) {
    const { status } = await open(`guess${guesses}`.padEnd(27, 'x'));
    if (status === 429) slowed++;
    else if (status !== 404) wrong.push(`a guess: ${status}`);
  }
  if (slowed < 60) wrong.push(`of ${guesses} guesses ${slowed} were slowed`);
  return { guesses, slowed };
};
/** One pixel. */
const PNG = Buffer.from('iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==', 'base64') as unknown as string; // prettier-ignore

/** Hosts, origins and proxies that are none. */
const names: Tried = async ({ server, as }, wrong) => {
  const { port } = new URL(server.url);
  const ask = (headers: Record<string, string>, method = 'GET') =>
    new Promise<number>((resolve, reject) => {
      const req = request({ port, method, path: '/api/commissions', headers: { Cookie: as.owner.cookie, ...headers } }, (res) => {
        res.resume();
        resolve(res.statusCode!);
      });
      req.on('error', reject);
      req.end();
    }); // prettier-ignore
  const own = `127.0.0.1:${port}`;
  const tried: [Record<string, string>, string, number][] = [
    [{ Host: own }, 'GET', 200],
    [{ Host: 'studio.evil.example' }, 'GET', 421],
    [{ Host: `127.0.0.1.evil.example:${port}` }, 'GET', 421],
    [{ Host: own, 'X-Forwarded-Host': 'studio.evil.example', 'X-Forwarded-Proto': 'https' }, 'GET', 200],
    [{ Host: 'studio.evil.example', 'X-Forwarded-Host': own }, 'GET', 421],
    [{ Host: own, Origin: 'http://evil.example' }, 'POST', 403],
    [{ Host: own, Origin: 'null' }, 'POST', 403],
    [{ Host: own, 'Sec-Fetch-Site': 'cross-site' }, 'POST', 403],
  ];
  for (const [headers, method, status] of tried) {
    const got = await ask(headers, method);
    if (got !== status) wrong.push(`${JSON.stringify(headers)}: ${got}, not ${status}`);
  }
  return { 'forged heads': tried.length };
};

/** Two owners who remove each other in the same moment, again and again: one always stays. */
const lastOwner: Tried = async ({ as, ids, signIn }, wrong) => {
  const ROUNDS = 20;
  for (let n = 0; n < ROUNDS; n++) {
    await as.owner.ask('PUT', `/api/people/${ids.designer}`, { role: 'owner' });
    const second = await signIn(emailOf('designer'));
    await Promise.all([
      as.owner.ask('PUT', `/api/people/${ids.designer}`, { role: 'designer' }),
      second.ask('PUT', `/api/people/${ids.owner}`, { role: 'designer' }),
    ]);
    const [a, b] = [await signIn(emailOf('owner')), await signIn(emailOf('designer'))];
    const owners = (await Promise.all([a, b].map(async (c) => (await c.ask('GET', '/api/people')).status))).filter((s) => s === 200); // prettier-ignore
    if (owners.length !== 1) wrong.push(`round ${n}: ${owners.length} owners`);
    // Back to where it began, by whoever is the owner now.
    if ((await a.ask('GET', '/api/people')).status !== 200) await b.ask('PUT', `/api/people/${ids.owner}`, { role: 'owner' });
    as.owner = await signIn(emailOf('owner'));
    await as.owner.ask('PUT', `/api/people/${ids.designer}`, { role: 'designer' });
  }
  as.designer = await signIn(emailOf('designer'));
  return { 'owners against each other': ROUNDS };
}; // prettier-ignore

/** How long somebody waits who asks for their own while others hold the server, ms. */
const MOST_WAIT_MS = 2_000;

/** Two hundred connections that are held open, and forty bodies that never end. */
const held: Tried = async ({ server, as }, wrong) => {
  const { port } = new URL(server.url);
  const open: Socket[] = [];
  const hold = async (count: number, words: string) => {
    for (let n = 0; n < count; n++) {
      const socket = connect(Number(port), '127.0.0.1');
      socket.on('error', () => {});
      socket.write(words);
      open.push(socket);
    }
    await pause(300);
  };
  const waits = async (caller: Caller) => {
    const from = performance.now();
    const answer = await caller.ask('GET', '/api/commissions').catch(() => undefined);
    if (answer?.status !== 200) wrong.push(`held: ${answer?.status ?? 'no answer'}`);
    return performance.now() - from;
  };
  try {
    await hold(160, `GET /api/health HTTP/1.1\r\nHost: 127.0.0.1:${port}\r\n`);
    await hold(40, `POST /api/commissions/import HTTP/1.1\r\nHost: 127.0.0.1:${port}\r\nCookie: ${as.designer.cookie}\r\nContent-Type: application/json\r\nContent-Length: 9000000\r\n\r\n{`); // prettier-ignore
    const times: number[] = [];
    for (let n = 0; n < 10; n++) times.push(await waits(as.books));
    const slowest = Math.round(Math.max(...times));
    if (slowest > MOST_WAIT_MS) wrong.push(`an answer took ${slowest} ms`);
    return { connections: open.length, 'slowest answer, ms': slowest };
  } finally {
    open.forEach((socket) => socket.destroy());
  }
};

/** One with an account asks for as much as they can; another's work goes on. */
const greedy: Tried = async ({ as, on, off }, wrong) => {
  let going = true;
  const asks = Array.from({ length: 120 }, () => as.owner.ask('GET', `/api/commissions/${off}/takeoff.csv`).then((r) => r.text()));
  const rest = Promise.all(asks).finally(() => (going = false));
  const times: number[] = [];
  while (going) {
    const from = performance.now();
    const { status } = await as.books.ask('GET', `/api/commissions/${on}/takeoff.csv`);
    times.push(performance.now() - from);
    if (status !== 200) wrong.push(`beside somebody greedy: ${status}`);
  }
  await rest;
  const slowest = Math.round(Math.max(...times));
  if (slowest > 2 * MOST_WAIT_MS) wrong.push(`beside somebody greedy an answer took ${slowest} ms`);
  return { 'answers beside somebody greedy': times.length, 'slowest of them, ms': slowest };
}; // prettier-ignore

/** Who wants in and is not to be, and who holds the door so that nobody else gets in. */
export function doors(): Promise<Result> {
  return inStudio(async (studio) => {
    const wrong: string[] = [];
    const figures: Record<string, number> = {};
    for (const tried of [everyRoute, notTheirs, sessions, names, lastOwner, links, greedy, held])
      Object.assign(figures, await tried(studio, wrong));
    return result('strangers, people who want more, and people who hold the door', figures, 'nobody gets what is not theirs, everybody else is answered', wrong); // prettier-ignore
  });
}
