import { Router, type Request, type Response } from 'express';
import { fromNodeHeaders } from 'better-auth/node';
import type { AuthenticationResponseJSON, RegistrationResponseJSON } from '@simplewebauthn/server';
import { z } from 'zod';
import { words } from '../../core/commission/primitives';
import { smallJson } from '../body';
import { accountIn, handOver, type Door } from '../people/door';
import { openChallenges, type Place } from '../people/challenges';
import { hasCodes, note } from '../people/people';
import { notFound, Problem } from '../problem';
import type { Store } from '../store/store';
import { read } from './read';

/* Passkeys and one-time codes: what lets somebody in besides a password. What makes them is loaded when somebody wants it. */

const typed = z.string().max(1_000);
const codeAsk = z.object({ code: z.string().trim().min(6).max(40) });
const passwordAsk = z.object({ password: typed });
/** What a browser answers is looked at by the library that asked. */
const answered = z.looseObject({ id: z.string().max(2_000), response: z.looseObject({}) });
const keyAsk = z.object({ name: words.min(1), response: answered });

const keys = () => import('../people/keys');
const codes = () => import('../people/codes');
const WRONG_PASSWORD = 'The password that you have now is another one.';
const WRONG_CODE = 'That code is not right, or not any more: wait for the next one. After a few wrong ones begin with your password again.'; // prettier-ignore

export function keyRoutes(store: Store, door: Door): Router {
  const routes = Router();
  const { auth, slow } = door;
  const challenges = openChallenges();

  routes.post('/sign-in/code', smallJson(), async (req, res) => {
    const { code } = read(codeAsk, req.body);
    inTurn(req);
    const { byCode } = await codes();
    const shown = await byCode(await auth(), req.headers, code);
    if (!shown) throw new Problem(401, WRONG_CODE);
    handOver(shown.headers, res);
    slow.right(undefined, req.ip ?? '');
    await note(store, shown.who, 'signed-in');
    res.status(204).end();
  });

  routes.post('/sign-in/key/ask', smallJson(), async (req, res) => {
    res.json(await (await keys()).askToLetIn(placeOf(req), req.ip ?? '', challenges));
  });

  routes.post('/sign-in/key', smallJson(), async (req, res) => {
    const { response } = read(z.object({ response: answered }), req.body);
    inTurn(req);
    const { keyHolder } = await keys();
    const id = await keyHolder(
      store,
      response as unknown as AuthenticationResponseJSON,
      placeOf(req),
      challenges,
    );
    if (!id) throw new Problem(401, 'This passkey is not known here, or it took too long: try again, or use your password.'); // prettier-ignore
    const { headers } = await (await auth()).api.letIn({ body: { id }, headers: fromNodeHeaders(req.headers), returnHeaders: true }); // prettier-ignore
    handOver(headers, res);
    slow.right(undefined, req.ip ?? '');
    await note(store, id, 'signed-in');
    res.status(204).end();
  });

  routes.get('/keys', async (_req, res) => {
    const { id } = accountIn(res);
    const { keysOf } = await keys();
    res.json({ keys: await keysOf(store, id), codes: await hasCodes(store, id) });
  });

  routes.post('/keys/ask', smallJson(), async (req, res) => {
    await withPassword(req, res, read(passwordAsk, req.body).password);
    res.json(await (await keys()).askForKey(store, accountIn(res), placeOf(req), req.ip ?? '', challenges));
  });

  routes.post('/keys', smallJson(), async (req, res) => {
    const { name, response } = read(keyAsk, req.body);
    const { addKey } = await keys();
    const is = await addKey(store, accountIn(res).id, name, response as unknown as RegistrationResponseJSON, placeOf(req), challenges); // prettier-ignore
    if (!is) throw new Problem(422, 'That was no passkey that was asked for here: begin again.');
    res.status(201).end();
  });

  routes.delete('/keys/:id', async (req, res) => {
    const { dropKey } = await keys();
    if (!(await dropKey(store, accountIn(res).id, req.params.id))) throw notFound('passkey');
    res.status(204).end();
  });

  routes.post('/codes', smallJson(), async (req, res) => {
    const { password } = read(passwordAsk, req.body);
    if (await hasCodes(store, accountIn(res).id)) throw new Problem(409, 'Codes are asked for already.');
    await withPassword(req, res, password);
    const begun = await (await codes()).beginCodes(await auth(), req.headers, password);
    if (!begun) throw new Problem(422, WRONG_PASSWORD);
    res.json(begun);
  });

  routes.post('/codes/on', smallJson(), async (req, res) => {
    const { byCode, noteCodes } = await codes();
    const shown = await byCode(await auth(), req.headers, read(codeAsk, req.body).code);
    if (!shown) throw new Problem(422, 'That is not the code that the app shows now. Is its clock right?');
    handOver(shown.headers, res);
    await noteCodes(store, shown.who, 'on');
    res.status(204).end();
  });

  routes.post('/codes/off', smallJson(), async (req, res) => {
    const { password } = read(passwordAsk, req.body);
    await withPassword(req, res, password);
    const { endCodes, noteCodes } = await codes();
    const headers = await endCodes(await auth(), req.headers, password);
    if (!headers) throw new Problem(422, WRONG_PASSWORD);
    handOver(headers, res);
    await noteCodes(store, accountIn(res).id, 'off');
    res.status(204).end();
  });

  /** Guessing from one place is slowed like that of passwords. */
  function inTurn(req: Request): void {
    const place = req.ip ?? '';
    const waitS = slow.waitS(undefined, place);
    if (waitS > 0) throw new Problem(429, `Too many wrong ones: try again in ${waitS} seconds.`);
    slow.wrong(undefined, place);
  }

  /** Who changes how they get in shows once more that it is them: a tablet that lies about is signed in. */
  async function withPassword(req: Request, res: Response, password: string): Promise<void> {
    const { email } = accountIn(res);
    const waitS = slow.waitS(email, req.ip ?? '');
    if (waitS > 0) throw new Problem(429, `Too many wrong passwords: try again in ${waitS} seconds.`);
    const { isTheirs } = await codes();
    if (await isTheirs(await auth(), req.headers, password)) return;
    slow.wrong(email, req.ip ?? '');
    throw new Problem(422, WRONG_PASSWORD);
  }

  return routes;
}

/** Where the page that asks was served: the guard has looked that it is one of this server's own. */
function placeOf({ headers: { origin } }: Request): Place {
  if (!origin) throw new Problem(400, 'Only a page can ask for a passkey.');
  return { origin, host: new URL(origin).hostname };
}
