import { get } from 'node:http';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { example } from '../core/testing/scape';
import { openAuth } from '../server/people/auth';
import { addPerson } from '../server/people/people';
import { newSecret } from '../server/people/secret';
import { columnsOf } from '../server/store/columns';
import { commissions, links } from '../server/store/schema';
import { openStore } from '../server/store/store';
import { serverOn, type Running } from './server';

/* A studio as large as is promised: thirty people at ten commissions, three hundred links, beside five thousand commissions. */

export const [PEOPLE, EDITED, LINKS, KEPT] = [30, 10, 300, 5_000];
const PASSWORD = 'slow river over slate';
const emailOf = (n: number) => `p${n}@fenwick.example`;
/** The commission at which a person is. */
export const editedBy = (n: number) => `c-${n % EDITED}`;

export interface StudioOfThirty {
  server: Running;
  /** Of its links. */
  secrets: readonly string[];
  /** Signs a person in: the cookie of a device of theirs. */
  signIn(n: number): Promise<string>;
  post(path: string, body: object, cookie?: string, method?: string): Promise<Response>;
  /** A page of a person that has their commission open: what it hears, until it is closed. */
  listen(n: number, cookie: string, hears?: (text: string) => void): { destroy(): void };
}

/** Such a studio with its server, for one piece of work. */
export async function inStudioOfThirty<T>(work: (studio: StudioOfThirty) => Promise<T>): Promise<T> {
  const folder = await mkdtemp(join(tmpdir(), 'utsuwa-thirty-'));
  try {
    const secrets = await filled(folder);
    const server = await serverOn(folder);
    const post: StudioOfThirty['post'] = (path, body, cookie = '', method = 'POST') =>
      fetch(`${server.url}${path}`, { method, body: JSON.stringify(body), headers: { 'content-type': 'application/json', cookie } }); // prettier-ignore
    const signIn = async (n: number) => {
      const answer = await post('/api/people/sign-in', { email: emailOf(n), password: PASSWORD });
      if (answer.status !== 204) throw new Error(`${emailOf(n)}: ${answer.status} ${await answer.text()}`);
      return answer.headers.getSetCookie().map((c) => c.split(';')[0]).join('; '); // prettier-ignore
    };
    const listen: StudioOfThirty['listen'] = (n, cookie, hears = () => {}) =>
      get(`${server.url}/api/commissions/${editedBy(n)}/live?tab=t${n}`, { headers: { cookie } }, (res) => {
        res.setEncoding('utf8').on('data', hears);
      }).on('error', () => {});
    return await work({ server, secrets, signIn, post, listen }).finally(() => server.stop());
  } finally {
    await rm(folder, { recursive: true, force: true });
  }
}

/** A folder with all of that in it; the secrets of its links. */
async function filled(folder: string): Promise<string[]> {
  const store = await openStore(folder);
  const auth = await openAuth(store, { isSecure: false });
  const kept = columnsOf(example('held-root'));
  const at = new Date().toISOString();
  const row = (id: string) => ({ ...kept, id, revision: 1, createdAt: at, updatedAt: at, removedAt: null, erasedAt: null }); // prettier-ignore
  for (let from = 0; from < KEPT; from += 250)
    await store.write((db) => db.insert(commissions).values(Array.from({ length: 250 }, (_, i) => row(`k-${from + i}`)))); // prettier-ignore
  await store.write((db) => db.insert(commissions).values(Array.from({ length: EDITED }, (_, i) => row(`c-${i}`)))); // prettier-ignore
  for (let n = 0; n < PEOPLE; n++)
    await addPerson(store, auth, { name: `P ${n}`, email: emailOf(n), role: n === 0 ? 'owner' : 'designer', password: PASSWORD }); // prettier-ignore
  const secrets = Array.from({ length: LINKS }, () => newSecret());
  const sheet = { title: 'Run sheet', made: '2027-01-02', blocks: [{ as: 'h1' as const, text: 'Day' }] };
  await store.write((db) => db.insert(links).values(secrets.map(({ hash }, i) => ({ id: hash, commissionId: `c-${i % EDITED}`, kind: 'sheet' as const, named: 'x', until: '2099-01-01', shows: sheet, offers: [] })))); // prettier-ignore
  await store.close();
  return secrets.map((s) => s.secret);
}
