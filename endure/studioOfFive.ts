import { openAuth } from '../server/people/auth';
import { addMember } from '../server/people/members';
import { addPerson } from '../server/people/people';
import { ROLES, type Role } from '../server/people/access';
import { createCommission } from '../server/store/commissions';
import { columnsOf } from '../server/store/columns';
import { openStore } from '../server/store/store';
import { serverOn, type Running } from '../e2e/server';
import { inFolder, titled } from './http';

export const WORDS = 'slow river over slate';
export const emailOf = (name: string) => `${name}@fenwick.example`;

/** One who is signed in, or a stranger: asks as a page of the studio does. */
export interface Caller {
  cookie: string;
  ask(method: string, path: string, body?: unknown, headers?: Record<string, string>): Promise<Response>;
}
export interface Studio {
  server: Running;
  /** Two commissions: crew and guest are on the first. */
  on: string;
  off: string;
  ids: Record<Role, string>;
  as: Record<Role, Caller>;
  stranger: Caller;
  signIn(email: string, cookie?: string): Promise<Caller>;
}

/** A studio with one of each role, each signed in, for one piece of work. */
export function inStudio<T>(work: (studio: Studio) => Promise<T>): Promise<T> {
  return inFolder(async (folder) => {
    const store = await openStore(folder);
    const auth = await openAuth(store, { isSecure: false });
    const ids = {} as Record<Role, string>;
    for (const role of ROLES)
      ids[role] = (await addPerson(store, auth, {
        name: role,
        email: emailOf(role),
        role,
        password: WORDS,
      }))!;
    const [on, off] = [
      await createCommission(store, columnsOf(titled('on'))),
      await createCommission(store, columnsOf(titled('off'))),
    ].map((c) => c.id);
    for (const role of ['crew', 'guest'] as const) await addMember(store, on, ids[role]);
    await store.close();
    const server = await serverOn(folder);
    const callerOf = (cookie: string): Caller => ({
      cookie,
      ask: (method, path, body, headers) =>
        fetch(`${server.url}${path}`, {
          method,
          redirect: 'manual',
          headers: { 'Content-Type': 'application/json', ...(cookie ? { Cookie: cookie } : {}), ...headers },
          ...(body === undefined ? {} : { body: typeof body === 'string' ? body : JSON.stringify(body) }),
        }),
    });
    const signIn = async (email: string, cookie = '') => {
      const answer = await callerOf(cookie).ask('POST', '/api/people/sign-in', { email, password: WORDS });
      if (answer.status !== 204) throw new Error(`${email}: ${answer.status} ${await answer.text()}`);
      return callerOf(answer.headers.getSetCookie().map((c) => c.split(';')[0]).join('; ')); // prettier-ignore
    };
    try {
      const as = {} as Record<Role, Caller>;
      for (const role of ROLES) as[role] = await signIn(emailOf(role));
      return await work({ server, on, off, ids, as, stranger: callerOf(''), signIn });
    } finally {
      await server.stop('SIGKILL');
    }
  });
}
