import type { NextFunction, Request, RequestHandler, Response } from 'express';
import { fromNodeHeaders } from 'better-auth/node';
import { notFound, Problem } from '../problem';
import type { Sight } from '../../core/commission/sight';
import type { Store } from '../store/store';
import { ANYBODY, ACCESS, isAllowed, routeOf, SCOPED, sightOf, type Role } from './access';
import type { Auth } from './auth';
import { askedBy } from './asker';
import { isOn } from './members';
import { hasPeople, type Person } from './people';
import { slowDown, type SlowDown } from './slowDown';

/** What lets people in: who is signed in, and how long somebody has to wait who guesses. */
export interface Door {
  /** The library that signs people in; loaded when it is first wanted, which without accounts is never. */
  auth(): Promise<Auth>;
  slow: SlowDown;
  /** Whether anybody has an account: until then all is open, on this machine alone. */
  isLocked(): Promise<boolean>;
  /** Lets through who may. */
  guard: RequestHandler;
  /** Whether who asked once may still ask the same: devices are signed out, and people taken off a commission. */
  mayStill(req: Request, res: Response): Promise<boolean>;
}

export async function openDoor(store: Store, { isSecure = false } = {}): Promise<Door> {
  let loaded: Promise<Auth> | undefined;
  const auth = () => (loaded ??= import('./auth').then(({ openAuth }) => openAuth(store, { isSecure })));
  let locked = false;
  const isLocked = async () => (locked ||= await hasPeople(store));
  return {
    auth,
    slow: slowDown(),
    isLocked,
    guard: (req, res, next) => void guarded(req, res, next).catch(next),
    async mayStill(req, res) {
      const asked = personIn(res);
      const now = await signedIn(req, undefined, await auth());
      if (!asked || now?.id !== asked.id || now.role !== asked.role) return false;
      const commission = commissionIn(req);
      return !SCOPED.includes(now.role) || commission === undefined || isOn(store, commission, now.id);
    },
  };

  async function guarded(req: Request, res: Response, next: NextFunction): Promise<void> {
    if (!(await isLocked())) return next();
    // Whose answer it was is nobody else's, on a device that several use.
    res.setHeader('Cache-Control', 'no-store');
    // As it came in, be it that the router that asks has taken its part of it.
    const route = routeOf(req.method, `${req.baseUrl}${req.path}`);
    if (!route) throw notFound('address');
    if (ACCESS.get(route) === ANYBODY) return next();
    const person = await signedIn(req, res, await auth());
    if (!person) throw new Problem(401, 'Sign in first.');
    if (!isAllowed(route, person.role))
      throw new Problem(403, 'Your account is not for that: the owner of the studio can say who may.');
    if (SCOPED.includes(person.role)) await mustBeOn(commissionIn(req), person.id);
    res.locals.person = person;
    askedBy(person.id, next);
  }

  /** For who is not on it a commission is not there. */
  async function mustBeOn(commission: string | undefined, person: string): Promise<void> {
    if (commission !== undefined && !(await isOn(store, commission, person))) throw notFound('commission');
  }
}

/** The commission that a request is about, by its address or by what it asks for. */
function commissionIn(req: Request): string | undefined {
  const path = `${req.baseUrl}${req.path}`;
  const [, named] = /^\/api\/commissions\/([^/]+)/i.exec(path) ?? [];
  // What cannot be read is the id of none.
  if (named !== undefined) return decoded(named) ?? '';
  return /^\/api\/meshes\/?$/i.test(path) ? String(req.query.of) : undefined;
}

function decoded(part: string): string | undefined {
  try {
    return decodeURIComponent(part);
  } catch {
    return undefined;
  }
}

/** Who is signed in on the device that asks; a session that is renewed is told to it. */
export async function signedIn(
  req: Request,
  res: Response | undefined,
  auth: Auth,
): Promise<Person | undefined> {
  if (!req.headers.cookie) return undefined;
  const { response, headers } = await auth.api.getSession({ headers: fromNodeHeaders(req.headers), returnHeaders: true }); // prettier-ignore
  if (res) handOver(headers, res);
  if (!response) return undefined;
  const { user, session } = response;
  return { id: user.id, name: user.name, email: user.email, role: user.role as Role, sessionId: session.id };
}

/** Cookies that the library sets. */
export function handOver(headers: Headers, res: Response): void {
  for (const cookie of headers.getSetCookie()) res.append('Set-Cookie', cookie);
}

/** The person who asked; there is one behind the guard, unless nobody has an account yet. */
export const personIn = (res: Response): Person | undefined => res.locals.person as Person | undefined;

/** Only who has an account manages accounts: without one, all that is about them is closed. */
export function accountIn(res: Response): Person {
  const person = personIn(res);
  if (!person) throw notFound('account');
  return person;
}

/** With how much in it who asked sees a commission; undefined for all of it. */
export const sightIn = (res: Response): Sight | undefined => sightOf(personIn(res)?.role);

/** The person whose own commissions alone are there for who asked; undefined where all are. */
export function scopeIn(res: Response): string | undefined {
  const person = personIn(res);
  return person && SCOPED.includes(person.role) ? person.id : undefined;
}
