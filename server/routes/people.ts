import { Router, type Request, type Response } from 'express';
import { fromNodeHeaders } from 'better-auth/node';
import { z } from 'zod';
import { words } from '../../core/commission/primitives';
import { smallJson } from '../body';
import { mayDo, ROLES } from '../people/access';
import { accountIn, handOver, signedIn, type Door } from '../people/door';
import { passwordFault } from '../people/passwords';
import {
  addPerson,
  changeRole,
  invitationOf,
  invite,
  journalLines,
  letInAgain,
  note,
  peopleOf,
  personOf,
  resetPassword,
  sessionsOf,
  signOutThere,
  useUp,
  waiting,
  withdraw,
  type Person,
} from '../people/people';
import { notFound, Problem } from '../problem';
import type { Store } from '../store/store';
import { read } from './read';

const email = z.email('is no address, must be like name@example.com').max(200);
/** What is typed to be looked up: nothing of it is told apart before it is. */
const typed = z.string().max(1_000);
const signInAsk = z.object({ email: typed, password: typed });
const secretAsk = z.object({ secret: z.string().max(200) });
const joinAsk = secretAsk.extend({ name: words.min(1), email, password: typed });
const againAsk = secretAsk.extend({ password: typed });
const passwordAsk = z.object({ current: typed, next: typed });
const roleAsk = z.object({ role: z.enum(ROLES) });
const inviteAsk = z.object({ name: words.min(1), role: z.enum(ROLES) });

/** Loaded with the library: who asks has met it. */
const isRefusal = async (error: unknown) => (await import('../people/auth')).isRefusal(error);

const NOT_LET_IN = 'That address and that password do not belong together.';
const NO_INVITATION =
  'This invitation is not good any more: it was used, withdrawn or has ended. Ask for a new one.';

/** Who is there, what they may, signing in and out, and invitations. */
export function peopleRoutes(store: Store, door: Door): Router {
  const routes = Router();
  const { auth, slow } = door;

  /** Whether somebody has to sign in, who is, and what they may ask: the page shows nothing else. */
  routes.get('/me', async (req, res) => {
    if (!(await door.isLocked())) return void res.json({ open: true });
    const person = await signedIn(req, res, await auth());
    res.json(person ? { open: false, person: told(person), may: mayDo(person.role) } : { open: false });
  });

  routes.post('/sign-in', smallJson(), async (req, res) => {
    const { email, password } = read(signInAsk, req.body);
    const name = email.trim().toLowerCase();
    const place = req.ip ?? '';
    const waitS = slow.waitS(name, place);
    if (waitS > 0) {
      res.setHeader('Retry-After', waitS);
      throw new Problem(429, `Too many wrong passwords: try again in ${waitS < 90 ? `${waitS} seconds` : `${Math.ceil(waitS / 60)} minutes`}.`); // prettier-ignore
    }
    // Counted before it is looked at: a hundred at once are a hundred.
    slow.wrong(name, place);
    const { headers, wantsCode } = await letIn(req, name, password);
    slow.right(name, place);
    handOver(headers, res);
    if (wantsCode) return void res.json({ code: true });
    const known = (await personOf(store, name))!;
    await note(store, known.id, 'signed-in');
    res.status(204).end();
  });

  /** The library's own sign-in, which takes as long for a name that nobody has; with it nobody is in who has to show a code. */
  async function letIn(
    req: Request,
    name: string,
    password: string,
  ): Promise<{ headers: Headers; wantsCode: boolean }> {
    try {
      const body = { email: name, password };
      const { headers, response } = await (await auth()).api.signInEmail({ body, headers: fromNodeHeaders(req.headers), returnHeaders: true }); // prettier-ignore
      return { headers, wantsCode: 'twoFactorRedirect' in response };
    } catch (error) {
      if (await isRefusal(error)) throw new Problem(401, NOT_LET_IN);
      throw error;
    }
  }

  routes.post('/sign-out', async (req, res) => {
    const { headers } = await (
      await auth()
    ).api.signOut({
      headers: fromNodeHeaders(req.headers),
      returnHeaders: true,
    });
    handOver(headers, res);
    res.status(204).end();
  });

  // Asked in a body: an address stands in histories and logs.
  routes.post('/invitation', smallJson(), async (req, res) => {
    const found = await invitationOf(store, read(secretAsk, req.body).secret);
    if (!found) throw new Problem(404, NO_INVITATION);
    res.json({ name: found.name, role: found.role, isAgain: found.personId !== null });
  });

  routes.post('/again', smallJson(), async (req, res) => {
    const { secret, password } = read(againAsk, req.body);
    const found = await invitationOf(store, secret);
    if (!found?.personId) throw new Problem(404, NO_INVITATION);
    good(password);
    if (!(await useUp(store, found.id))) throw new Problem(404, NO_INVITATION);
    await resetPassword(store, await auth(), found.personId, password, 'got-in-again');
    const them = (await peopleOf(store)).find((p) => p.id === found.personId)!;
    handOver((await letIn(req, them.email, password)).headers, res);
    res.status(204).end();
  });

  routes.post('/:id/again', smallJson(), async (req: Request<{ id: string }>, res) => {
    const secret = await letInAgain(store, accountIn(res).id, req.params.id);
    if (!secret) throw notFound('person');
    res.status(201).json({ secret });
  });

  routes.post('/join', smallJson(), async (req, res) => {
    const { secret, ...asked } = read(joinAsk, req.body);
    const found = await invitationOf(store, secret);
    if (!found || found.personId) throw new Problem(404, NO_INVITATION);
    good(asked.password);
    if (await personOf(store, asked.email))
      throw new Problem(409, 'There is an account with this address already: sign in with it.');
    if (!(await useUp(store, found.id))) throw new Problem(404, NO_INVITATION);
    if (!(await addPerson(store, await auth(), { ...asked, role: found.role })))
      throw new Problem(409, 'There is an account with this address already: sign in with it.');
    handOver((await letIn(req, asked.email.toLowerCase(), asked.password)).headers, res);
    res.status(201).end();
  });

  routes.post('/password', smallJson(), async (req, res) => {
    const { current, next } = read(passwordAsk, req.body);
    const person = accountIn(res);
    good(next);
    const waitS = slow.waitS(person.email, req.ip ?? '');
    if (waitS > 0) throw new Problem(429, `Too many wrong passwords: try again in ${waitS} seconds.`);
    try {
      const body = { currentPassword: current, newPassword: next, revokeOtherSessions: true };
      const { headers } = await (await auth()).api.changePassword({ body, headers: fromNodeHeaders(req.headers), returnHeaders: true }); // prettier-ignore
      handOver(headers, res);
    } catch (error) {
      if (!(await isRefusal(error))) throw error;
      slow.wrong(person.email, req.ip ?? '');
      throw new Problem(422, 'The password that you have now is another one.');
    }
    await note(store, person.id, 'password-changed', person.id);
    res.status(204).end();
  });

  routes.get('/sessions', async (_req, res) => {
    const { id, sessionId } = accountIn(res);
    res.json({ sessions: (await sessionsOf(store, id)).map((s) => ({ ...s, isThis: s.id === sessionId })) });
  });

  routes.delete('/sessions/:id', async (req, res) => {
    if (!(await signOutThere(store, accountIn(res).id, req.params.id))) throw notFound('device');
    res.status(204).end();
  });

  routes.get('/', async (_req, res) => {
    res.json({ people: await peopleOf(store), invitations: await waiting(store) });
  });

  routes.get('/journal', async (_req, res) => {
    res.json({ lines: await journalLines(store) });
  });

  routes.post('/invitations', smallJson(), async (req, res) => {
    res.status(201).json({ secret: await invite(store, accountIn(res).id, read(inviteAsk, req.body)) });
  });

  routes.delete('/invitations/:id', async (req, res) => {
    if (!(await withdraw(store, accountIn(res).id, req.params.id))) throw notFound('invitation');
    res.status(204).end();
  });

  routes.put('/:id', smallJson(), async (req: Request<{ id: string }>, res) => {
    await changed(res, req.params.id, read(roleAsk, req.body).role);
  });

  routes.delete('/:id', async (req: Request<{ id: string }>, res) => {
    await changed(res, req.params.id, 'none');
  });

  async function changed(res: Response, id: string, role: (typeof ROLES)[number] | 'none'): Promise<void> {
    if (!(await peopleOf(store)).some((p) => p.id === id)) throw notFound('person');
    if (!(await changeRole(store, accountIn(res).id, id, role)))
      throw new Problem(409, 'That is the last owner: make somebody else one first.');
    res.status(204).end();
  }
  return routes;
}

/** A new password that will do; what is wrong with one that will not is said without it. */
function good(password: string): void {
  const fault = passwordFault(password);
  if (fault) throw new Problem(422, fault);
}

const told = ({ id, name, email, role }: Person) => ({ id, name, email, role });
