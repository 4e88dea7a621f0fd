import { editedBy, inStudioOfThirty, LINKS, PEOPLE } from '../e2e/studioOfThirty';
import type { Row } from './timed';

/* A studio at work: thirty people who edit ten commissions, each with the page open, three hundred links read, beside five thousand commissions. */

/** How long they work, and how long one thinks between two edits at most, ms. */
const [WORK_MS, THINKS_MS] = [20_000, 1_500];

export async function peopleRows(): Promise<Row[]> {
  const times: Record<string, number[]> = { 'people.save': [], 'people.event': [], 'people.link': [], 'people.signIn': [] }; // prettier-ignore
  const sentAt = new Map<string, number>();
  await inStudioOfThirty(async ({ server, secrets, signIn, post, listen }) => {
    const streams: { destroy(): void }[] = [];
    const cookies: string[] = [];
    for (let n = 0; n < PEOPLE; n++) {
      const from = performance.now();
      cookies.push(await signIn(n));
      times['people.signIn'].push(performance.now() - from);
    }
    for (let n = 0; n < PEOPLE; n++) streams.push(listen(n, cookies[n], heardOf(editedBy(n))));
    const end = performance.now() + WORK_MS;
    await Promise.all([...cookies.map((cookie, n) => edits(cookie, n)), readsLinks()]);
    for (const s of streams) s.destroy();

    async function edits(cookie: string, n: number): Promise<void> {
      const at = `/api/commissions/${editedBy(n)}`;
      for (let i = 0; performance.now() < end; i++) {
        await new Promise((resolve) => setTimeout(resolve, Math.random() * THINKS_MS));
        const head = await fetch(`${server.url}${at}/head`, { headers: { cookie } });
        const { revision } = (await head.json()) as { revision: number };
        const entry = { id: `n-${n}-${i}`, date: '2027-01-02', text: 'Looked at.' };
        const changes = [{ path: ['log', { id: entry.id }], is: entry, after: null }];
        const from = performance.now();
        sentAt.set(`${editedBy(n)} ${revision + 1}`, from);
        const { status } = await post(at, { revision, changes }, cookie, 'PATCH');
        // Somebody else was first: a page lays its change over theirs then.
        if (status === 200) times['people.save'].push(performance.now() - from);
        else if (status !== 409) throw new Error(`a save was answered ${status}`);
      }
    }
    async function readsLinks(): Promise<void> {
      for (let i = 0; performance.now() < end; i++) {
        const from = performance.now();
        const { status } = await post('/api/link', { secret: secrets[i % LINKS] });
        if (status !== 200) throw new Error(`a link was answered ${status}`);
        times['people.link'].push(performance.now() - from);
        await new Promise((resolve) => setTimeout(resolve, 30));
      }
    }
  });
  return Object.entries(times).flatMap(([name, all]) => [
    share(name, all, 0.5),
    share(`${name}.99`, all, 0.99),
  ]);

  /** How long after a save was sent a page hears of it. */
  function heardOf(id: string) {
    return (text: string) => {
      for (const [, revision] of text.matchAll(/event: saved\ndata: {"revision":(\d+)}/g)) {
        const since = sentAt.get(`${id} ${revision}`);
        if (since) times['people.event'].push(performance.now() - since);
      }
    };
  }
}

/** The time within which a share of all was done. */
function share(name: string, times: number[], part: number): Row {
  const sorted = times.toSorted((a, b) => a - b);
  const at = sorted[Math.min(sorted.length - 1, Math.floor(part * sorted.length))];
  return { name, medianMs: Math.round(at * 10) / 10, runs: times.length };
}
