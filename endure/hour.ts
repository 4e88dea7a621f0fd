import { EDITED, editedBy, inStudioOfThirty, LINKS, PEOPLE } from '../e2e/studioOfThirty';
import { example } from '../core/testing/scape';
import { grown, MOST_MORE_MB } from './grown';
import { result, type Result } from './result';

/** Of an hour of thirty people: a save of each every minute and a half, each link opened four times, all sign in twice. */
const SAVES_A_COMMISSION = 120;
const [LINKS_A_ROUND, SIGN_IN_EVERY] = [(4 * LINKS) / SAVES_A_COMMISSION, SAVES_A_COMMISSION / (2 * PEOPLE)];

/**
 * So many hours' worth of what thirty people ask of the server, as fast as it answers: saves of ten commissions, heard by thirty pages
 * that close and open again, links read, people who sign in and out; and what the server has of the machine's memory meanwhile.
 */
export function hour(hours: number): Promise<Result> {
  return inStudioOfThirty(async ({ server, secrets, signIn, post, listen }) => {
    const wrong: string[] = [];
    let [asked, heard] = [0, 0];
    const ask = async (what: string, answer: Promise<Response>) => {
      asked++;
      const got = await answer;
      await got.arrayBuffer();
      if (got.status >= 300) wrong.push(`${what}: ${got.status}`);
    };
    const people: string[] = [];
    for (let n = 0; n < PEOPLE; n++) people.push(await signIn(n));
    const open = (n: number) => listen(n, people[n], (text) => (heard += text.split('event: saved').length - 1)); // prettier-ignore
    const pages = people.map((_, n) => open(n));
    const titles = [example('held-root').title, 'one', 'another'];
    const titleAt = (round: number) => titles[round === 0 ? 0 : 1 + (round % 2)];
    const { atEnd, more } = await grown(server.child.pid!, hours * SAVES_A_COMMISSION, async (round) => {
      const changes = [{ path: ['title'], was: titleAt(round), is: titleAt(round + 1) }];
      await Promise.all(
        Array.from({ length: EDITED }, (_, i) => {
          const n = (i + EDITED * round) % PEOPLE;
          const at = `/api/commissions/${editedBy(n)}`;
          return ask('save', post(at, { revision: round + 1, changes }, people[n], 'PATCH'));
        }),
      );
      for (let i = 0; i < LINKS_A_ROUND; i++)
        await ask('link', post('/api/link', { secret: secrets[(round * LINKS_A_ROUND + i) % LINKS] }));
      if (round % SIGN_IN_EVERY > 0) return;
      // A page closes, its person signs out, comes back and opens it again.
      const n = (round / SIGN_IN_EVERY) % PEOPLE;
      pages[n].destroy();
      await ask('sign out', post('/api/people/sign-out', {}, people[n]));
      people[n] = await signIn(n);
      pages[n] = open(n);
    });
    for (const page of pages) page.destroy();
    const saves = hours * SAVES_A_COMMISSION * EDITED;
    // Each is heard by the other pages that have that commission open, but for the one that is just opened again.
    if (heard < saves) wrong.push(`of ${saves} saves ${heard} were heard`);
    if (more > MOST_MORE_MB) wrong.push(`${more} MB more, ${atEnd} MB`);
    const figures = { hours, requests: asked, saves, heard, 'memory, MB': atEnd, 'more, MB': more };
    return result('hours of thirty people at once', figures, `at most ${MOST_MORE_MB} MB more in the last third`, wrong); // prettier-ignore
  });
}
