import { get } from 'node:http';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { serverOn } from '../e2e/server';
import { example } from '../core/testing/scape';
import { openAuth } from '../server/people/auth';
import { addPerson } from '../server/people/people';
import { newSecret } from '../server/people/secret';
import { columnsOf } from '../server/store/columns';
import { commissions, links } from '../server/store/schema';
import { openStore } from '../server/store/store';
import type { Row } from './timed';

/* A studio at work: thirty people who edit ten commissions, each with the page open, three hundred links read, beside five thousand commissions. */

const [PEOPLE, EDITED, LINKS, KEPT] = [30, 10, 300, 5_000];
/** How long they work, and how long one thinks between two edits at most, ms. */
const [WORK_MS, THINKS_MS] = [20_000, 1_500];
const PASSWORD = 'slow river over slate';
const emailOf = (n: number) => `p${n}@fenwick.example`;

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

export async function peopleRows(): Promise<Row[]> {
  const folder = await mkdtemp(join(tmpdir(), 'utsuwa-crowded-'));
  const secrets = await filled(folder);
  const server = await serverOn(folder);
  const times: Record<string, number[]> = { 'people.save': [], 'people.event': [], 'people.link': [], 'people.signIn': [] }; // prettier-ignore
  const sentAt = new Map<string, number>();
  const streams: { destroy(): void }[] = [];
  try {
    const cookies: string[] = [];
    for (let n = 0; n < PEOPLE; n++) {
      const from = performance.now();
      const { headers } = await post(`${server.url}/api/people/sign-in`, {
        email: emailOf(n),
        password: PASSWORD,
      });
      times['people.signIn'].push(performance.now() - from);
      cookies.push(headers.getSetCookie().map((c) => c.split(';')[0]).join('; ')); // prettier-ignore
    }
    for (let n = 0; n < PEOPLE; n++) streams.push(listens(server.url, `c-${n % EDITED}`, cookies[n], n));
    const end = performance.now() + WORK_MS;
    await Promise.all([...cookies.map((cookie, n) => edits(cookie, n, end)), readsLinks(end)]);
  } finally {
    for (const s of streams) s.destroy();
    await server.stop();
    await rm(folder, { recursive: true, force: true });
  }
  return Object.entries(times).flatMap(([name, all]) => [
    share(name, all, 0.5),
    share(`${name}.99`, all, 0.99),
  ]);

  /** A page that has a commission open: how long after a save was sent it hears of it. */
  function listens(url: string, id: string, cookie: string, n: number) {
    return get(`${url}/api/commissions/${id}/live?tab=t${n}`, { headers: { cookie } }, (res) => {
      res.setEncoding('utf8');
      res.on('data', (text: string) => {
        for (const [, revision] of text.matchAll(/event: saved\ndata: {"revision":(\d+)}/g)) {
          const since = sentAt.get(`${id} ${revision}`);
          if (since) times['people.event'].push(performance.now() - since);
        }
      });
    });
  }
  async function edits(cookie: string, n: number, end: number): Promise<void> {
    const at = `${server.url}/api/commissions/c-${n % EDITED}`;
    for (let i = 0; performance.now() < end; i++) {
      await new Promise((resolve) => setTimeout(resolve, Math.random() * THINKS_MS));
      const { revision } = (await (await fetch(`${at}/head`, { headers: { cookie } })).json()) as { revision: number }; // prettier-ignore
      const entry = { id: `n-${n}-${i}`, date: '2027-01-02', text: 'Looked at.' };
      const changes = [{ path: ['log', { id: entry.id }], is: entry, after: null }];
      const from = performance.now();
      sentAt.set(`c-${n % EDITED} ${revision + 1}`, from);
      const { status } = await post(at, { revision, changes }, cookie, 'PATCH');
      // Somebody else was first: a page lays its change over theirs then.
      if (status === 200) times['people.save'].push(performance.now() - from);
      else if (status !== 409) throw new Error(`a save was answered ${status}`);
    }
  }
  async function readsLinks(end: number): Promise<void> {
    for (let i = 0; performance.now() < end; i++) {
      const from = performance.now();
      const { status } = await post(`${server.url}/api/link`, { secret: secrets[i % LINKS] });
      if (status !== 200) throw new Error(`a link was answered ${status}`);
      times['people.link'].push(performance.now() - from);
      await new Promise((resolve) => setTimeout(resolve, 30));
    }
  }
}

const post = (url: string, body: object, cookie = '', method = 'POST') =>
  fetch(url, { method, body: JSON.stringify(body), headers: { 'content-type': 'application/json', cookie } });

/** The time within which a share of all was done. */
function share(name: string, times: number[], part: number): Row {
  const sorted = times.toSorted((a, b) => a - b);
  const at = sorted[Math.min(sorted.length - 1, Math.floor(part * sorted.length))];
  return { name, medianMs: Math.round(at * 10) / 10, runs: times.length };
}
