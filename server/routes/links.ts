import { Router, type Request } from 'express';
import { z } from 'zod';
import type { Day } from '../../core/calendar/day';
import type { ProposalView } from '../../core/pricing/proposalView';
import type { SheetView } from '../../core/commission/sheetView';
import { answerSchema, type Answer, type Offered } from '../../core/commission/quoteSchema';
import { METRIC } from '../../core/words/readers';
import { linkAskSchema } from '../../core/pricing/linkAsk';
import { smallJson } from '../body';
import { dayNow } from '../dayNow';
import type { Jobs } from '../jobs/jobs';
import { made } from '../jobs/made';
import type { Live } from '../live';
import { endLink, linkAnswered, linkOf, linksOf, linkUsed, makeLink } from '../links/links';
import { personIn } from '../people/door';
import { note } from '../people/people';
import { slowDown } from '../people/slowDown';
import { notFound, Problem } from '../problem';
import { getCommission, saveCommission } from '../store/commissions';
import { pictureOf } from '../store/pictures';
import type { Store } from '../store/store';
import { existing, known, living } from './commissions';
import { read } from './read';

const secretAsk = z.object({ secret: z.string().max(200) });
const pictureAsk = secretAsk.extend({ picture: z.string().max(64) });
const answerAsk = secretAsk.extend({ answer: answerSchema });

/** Withdrawn, ended or never there: nobody learns which. */
const NOT_GOOD = 'This link is not good any more. Ask whoever sent it for a new one.';

/** Links of a commission, for who works on it. */
export function linkRoutes(store: Store): Router {
  const routes = Router({ mergeParams: true });

  routes.get('/:id/links', async (req: Request<{ id: string }>, res) => {
    await known(store, req.params.id);
    res.json({ links: await linksOf(store, req.params.id) });
  });

  routes.post('/:id/links', smallJson(), async (req, res) => {
    const { id } = await living(store, req.params.id as string);
    const secret = await makeLink(store, { ...read(linkAskSchema, req.body), commissionId: id });
    await note(store, personIn(res)?.id ?? null, 'link-given', id);
    res.status(201).json({ secret });
  });

  routes.delete('/:id/links/:link', async (req: Request<{ id: string; link: string }>, res) => {
    const { id } = await known(store, req.params.id);
    if (!(await endLink(store, id, req.params.link))) throw notFound('link');
    await note(store, personIn(res)?.id ?? null, 'link-withdrawn', id);
    res.status(204).end();
  });
  return routes;
}

/** Pictures that stand in what a link shows. */
function picturesIn({ shows }: { shows: ProposalView[] | SheetView | null }): string[] {
  if (Array.isArray(shows)) return shows.flatMap((s) => s.pictures.map((p) => p.id));
  return (shows?.blocks ?? []).flatMap((b) => (b.as === 'picture' ? [b.id] : []));
}

/** How often a yes is tried again that meets somebody's save. */
const TRIES = 5;

/** What a link opens: its one view, the pictures in it, and a word back. Its secret comes in a body, never in an address. */
export function openedLinkRoutes(store: Store, jobs: Jobs, live: Live): Router {
  const routes = Router();
  const slow = slowDown();

  /** The link of a secret; wrong ones from one place wait longer and longer. */
  async function opened(req: Request, secret: string) {
    const place = req.ip ?? '';
    const waitS = slow.waitS(undefined, place);
    if (waitS > 0) throw new Problem(429, `Too many links that are none: try again in ${waitS} seconds.`);
    // Counted before it is looked for: forty at once are forty.
    slow.wrong(undefined, place);
    const link = await linkOf(store, secret, dayNow());
    if (!link) throw new Problem(404, NOT_GOOD);
    slow.right(undefined, place);
    return link;
  }

  routes.post('/', smallJson(), async (req, res) => {
    const link = await opened(req, read(secretAsk, req.body).secret);
    await linkUsed(store, link.id);
    const { kind, shows, answer, until } = link;
    res.json({ kind, shows, until, ...(answer ? { answer } : {}) });
  });

  // A calendar fetches by itself, and has nothing but an address: this one alone has its secret in it.
  routes.get('/dates/:secret.ics', async (req: Request<{ secret: string }>, res) => {
    const link = await opened(req, req.params.secret);
    if (link.kind !== 'dates') throw new Problem(404, NOT_GOOD);
    const id = link.commissionId;
    // With turns of its own: whoever has it keeps nobody waiting who works on the commission.
    const ask = async () => ({
      id,
      text: (await existing(store, id)).document,
      placed: [],
      part: 'care' as const,
      habits: METRIC,
    });
    const calendar = made(await jobs.run('calendar', { who: `link ${link.id}` }, ask));
    await linkUsed(store, link.id);
    res.type('text/calendar; charset=utf-8').setHeader('Cache-Control', 'private, no-store').send(calendar);
  });

  routes.post('/picture', smallJson(), async (req, res) => {
    const { secret, picture } = read(pictureAsk, req.body);
    const link = await opened(req, secret);
    const kept = picturesIn(link).includes(picture) && (await pictureOf(store, link.commissionId, picture)); // prettier-ignore
    if (!kept) throw notFound('picture');
    res.type('image/jpeg').setHeader('Cache-Control', 'private, no-store').send(kept.jpeg);
  });

  routes.post('/answer', smallJson(), async (req, res) => {
    const { secret, answer } = read(answerAsk, req.body);
    const link = await opened(req, secret);
    // A sheet asks nothing.
    if (link.kind !== 'proposal') throw new Problem(404, NOT_GOOD);
    if (answer.kind === 'yes' && !link.offers.some((o) => o.option === answer.option))
      throw new Problem(400, 'That option is not one of those that were shown.');
    const said = { ...answer, day: dayNow() };
    await intoDocument(link, said);
    await linkAnswered(store, link.id, said);
    res.status(204).end();
  });

  /** A yes freezes the version that was shown, a question stands in the log; over whatever somebody saves meanwhile. */
  async function intoDocument(
    { id, commissionId, offers }: { id: string; commissionId: string; offers: readonly Offered[] },
    answer: Answer & { day: Day },
  ): Promise<void> {
    for (let i = 0; i < TRIES; i++) {
      const row = await getCommission(store, commissionId);
      if (!row) throw new Problem(404, NOT_GOOD);
      const read = await jobs.run('readAnswer', { who: commissionId, by: `link ${id}` }, () => ({ text: row.document, answer, offers })); // prettier-ignore
      if (read === 'agreed already') throw new Problem(409, 'A yes to this is noted already.');
      // What is wrong with it is the studio's: an option that is not there any more, say.
      if (!read.ok) throw new Problem(409, 'This has changed since it was sent: ask for a new link.');
      const edit = { who: null, changes: read.changes };
      const saved = await saveCommission(store, commissionId, row.revision, read.kept, edit);
      if (saved.saved) return live.saved(commissionId, saved.revision);
    }
    throw new Problem(503, 'Somebody is working on it just now: try again in a moment.');
  }
  return routes;
}
