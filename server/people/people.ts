import { randomBytes } from 'node:crypto';
import { and, asc, count, desc, eq, gt, inArray, lt, isNull, ne } from 'drizzle-orm';
import { touched } from '../store/commissions';
import type { Store } from '../store/store';
import type { Role } from './access';
import type { Auth } from './auth';
import { hashOf, newSecret } from './secret';
import { account, invitations, journal, passkeys, session, twoFactor, user, type Done } from './tables';

/* Accounts, invitations and the journal of both, as the studio keeps them. */

/** Somebody who is signed in. */
export interface Person {
  id: string;
  name: string;
  email: string;
  role: Role;
  /** The device on which they are. */
  sessionId: string;
}

/** What of a person may be told to the owner. */
const KNOWN = { id: user.id, name: user.name, email: user.email, role: user.role, since: user.createdAt };

export const peopleOf = ({ db }: Store) => db.select(KNOWN).from(user).orderBy(asc(user.createdAt));

/** Whether anybody has an account: as long as nobody has, all is open to whoever sits at the machine. */
export async function hasPeople({ db }: Store): Promise<boolean> {
  return (await db.select({ id: user.id }).from(user).limit(1)).length > 0;
}

export async function personOf({ db }: Store, email: string) {
  return (
    await db
      .select(KNOWN)
      .from(user)
      .where(eq(user.email, plain(email)))
      .limit(1)
  )[0];
}

const plain = (email: string) => email.trim().toLowerCase();

/** A new account; undefined where that address has one. The password has been looked at. */
export async function addPerson(
  store: Store,
  auth: Auth,
  { name, email, role, password }: { name: string; email: string; role: Role; password: string },
): Promise<string | undefined> {
  const { password: hashing, generateId } = await auth.$context;
  const hash = await hashing.hash(password);
  const fresh = () => generateId({ model: 'user' }) || randomBytes(16).toString('hex');
  const id = fresh();
  if (await personOf(store, email)) return undefined;
  await store.write((db) =>
    db.batch([
      db.insert(user).values({ id, name, email: plain(email), role }),
      db.insert(account).values({ id: fresh(), accountId: id, providerId: 'credential', userId: id, password: hash }),
      db.insert(journal).values({ who: id, what: 'made', of: id }),
    ]),
  );
  return id;
} // prettier-ignore

/** Whether somebody is asked for a code behind their password. */
export async function hasCodes({ db }: Store, id: string): Promise<boolean> {
  return (await db.select({ on: user.twoFactorEnabled }).from(user).where(eq(user.id, id)).limit(1))[0]?.on ?? false;
} // prettier-ignore

/** Takes one-time codes from people: they were lost with a device, or cannot be read. */
export const withoutCodes = (db: Store['db'], ids: string[]) =>
  [
    db.delete(twoFactor).where(inArray(twoFactor.userId, ids)),
    db.update(user).set({ twoFactorEnabled: false }).where(inArray(user.id, ids)),
  ] as const;

/**
 * Another password, said by whoever may, for somebody who does not get in any more: all their devices are signed out, and codes
 * and passkeys, which may be lost or in other hands, are taken from them.
 */
export async function resetPassword(
  store: Store,
  auth: Auth,
  id: string,
  password: string,
  how: 'password-set-on-machine' | 'got-in-again' = 'password-set-on-machine',
): Promise<void> {
  const hash = await (await auth.$context).password.hash(password);
  await store.write((db) =>
    db.batch([
      db.update(account).set({ password: hash, updatedAt: new Date() }).where(eq(account.userId, id)),
      db.delete(session).where(eq(session.userId, id)),
      db.delete(passkeys).where(eq(passkeys.personId, id)),
      ...withoutCodes(db, [id]),
      // A link that was made before and not used would undo it.
      db
        .update(invitations)
        .set({ usedAt: new Date() })
        .where(and(eq(invitations.personId, id), isNull(invitations.usedAt))),
      db.insert(journal).values({ who: id, what: how, of: id }),
    ]),
  );
}

/** How many owners there are besides one. */
export async function otherOwners({ db }: Store, id: string): Promise<number> {
  const [{ n }] = await db
    .select({ n: count() })
    .from(user)
    .where(and(eq(user.role, 'owner'), ne(user.id, id)));
  return n;
}

/**
 * Another role, or none any more; asked and done in one statement, so that of two owners who do it to each other in the same moment
 * one stays. False where nobody has that id or it is the last owner.
 */
export async function changeRole(store: Store, by: string, id: string, role: Role | 'none'): Promise<boolean> {
  const isLast = (db: Store['db']) => db.select({ id: user.id }).from(user).where(and(eq(user.role, 'owner'), ne(user.id, id))).limit(1);
  const done = await store.write(async (db) => {
    const others = await isLast(store.db);
    const [them] = await store.db.select({ role: user.role }).from(user).where(eq(user.id, id)).limit(1);
    if (!them || (them.role === 'owner' && role !== 'owner' && others.length === 0)) return [];
    const note = db.insert(journal).values({ who: by, what: role === 'none' ? ('removed' as const) : ('role-changed' as const), of: id });
    if (role === 'none') return db.batch([db.delete(user).where(eq(user.id, id)), note]);
    // Who may less is asked to sign in again, so that no page goes on showing what it may not.
    return db.batch([db.update(user).set({ role, updatedAt: new Date() }).where(eq(user.id, id)), db.delete(session).where(eq(session.userId, id)), note]);
  });
  return (done as unknown[]).length > 0;
} // prettier-ignore

const [INVITED_MS, AGAIN_MS] = [7 * 86_400_000, 86_400_000];

/** A link's secret, of which only the hash is kept. */
export async function invite(store: Store, by: string, { name, role }: { name: string; role: Role }): Promise<string> {
  const { secret, hash } = newSecret();
  const until = new Date(Date.now() + INVITED_MS);
  await store.write((db) =>
    db.batch([
      db.insert(invitations).values({ hash, name, role, until }),
      db.insert(journal).values({ who: by, what: 'invited' }),
    ]),
  );
  return secret;
} // prettier-ignore

/** A link with which somebody who has an account gets in again, with a new password; undefined where nobody has that id. */
export async function letInAgain(store: Store, by: string, id: string): Promise<string | undefined> {
  const [them] = await store.db.select(KNOWN).from(user).where(eq(user.id, id)).limit(1);
  if (!them) return undefined;
  const { secret, hash } = newSecret();
  const { name, role } = them;
  const until = new Date(Date.now() + AGAIN_MS);
  await store.write((db) =>
    db.batch([
      db.insert(invitations).values({ hash, name, role, personId: id, until }),
      db.insert(journal).values({ who: by, what: 'let-in-again', of: id }),
    ]),
  );
  return secret;
}

/** Invitations that wait, the newest first. */
export async function waiting({ db }: Store) {
  return db
    .select({
      id: invitations.hash,
      name: invitations.name,
      role: invitations.role,
      until: invitations.until,
      personId: invitations.personId,
    })
    .from(invitations)
    .where(and(isNull(invitations.usedAt), gt(invitations.until, new Date())))
    .orderBy(desc(invitations.madeAt));
}

/** What a secret invites to, as long as it does. */
export async function invitationOf(store: Store, secret: string) {
  const id = hashOf(secret);
  return (await waiting(store)).find((i) => i.id === id);
}

/** Uses an invitation up; false where somebody else just did. */
export async function useUp(store: Store, id: string): Promise<boolean> {
  const done = await store.write((db) =>
    db
      .update(invitations)
      .set({ usedAt: new Date() })
      .where(and(eq(invitations.hash, id), isNull(invitations.usedAt))),
  );
  return touched(done).rowsAffected === 1;
}

export async function withdraw(store: Store, by: string, id: string): Promise<boolean> {
  if (!(await useUp(store, id))) return false;
  await note(store, by, 'invitation-withdrawn');
  return true;
}

/** One more line of the journal. */
export async function note(store: Store, who: string | null, what: Done, of?: string): Promise<void> {
  await store.write((db) => db.insert(journal).values({ who, what, of: of ?? null }));
}

const MOST_LINES = 500;
/** The journal's newest lines, with names of those who are still there. */
export async function journalLines({ db }: Store) {
  return db
    .select({ at: journal.at, what: journal.what, who: user.name, of: journal.of })
    .from(journal)
    .leftJoin(user, eq(user.id, journal.who))
    .orderBy(desc(journal.id))
    .limit(MOST_LINES);
}

/** Devices on which somebody is signed in, the one used last first. */
export async function sessionsOf({ db }: Store, id: string) {
  return db
    .select({ id: session.id, since: session.createdAt, used: session.updatedAt, device: session.userAgent })
    .from(session)
    .where(and(eq(session.userId, id), gt(session.expiresAt, new Date())))
    .orderBy(desc(session.updatedAt));
}

/** Signs a device of somebody out; false where they have none of that id. */
export async function signOutThere(store: Store, who: string, id: string): Promise<boolean> {
  const done = await store.write((db) => db.delete(session).where(and(eq(session.id, id), eq(session.userId, who))));
  return touched(done).rowsAffected === 1;
} // prettier-ignore

/** Signs everybody out: what a backup knows of sessions is older than what has been ended since. */
export async function signOutAll(store: Store): Promise<void> {
  await store.write((db) => db.batch([db.delete(session), db.insert(journal).values({ who: null, what: 'all-signed-out' })])); // prettier-ignore
}

/** Lets go of sessions that have ended by themselves, and of invitations that nobody can use any more. */
export async function dropEnded(store: Store, now = new Date()): Promise<void> {
  await store.write((db) => db.batch([db.delete(session).where(lt(session.expiresAt, now)), db.delete(invitations).where(lt(invitations.until, now))])); // prettier-ignore
}
