import {
  generateAuthenticationOptions,
  generateRegistrationOptions,
  verifyAuthenticationResponse,
  verifyRegistrationResponse,
  type AuthenticationResponseJSON,
  type RegistrationResponseJSON,
} from '@simplewebauthn/server';
import { asc, eq } from 'drizzle-orm';
import { touched } from '../store/commissions';
import type { Store } from '../store/store';
import type { Challenges, Place } from './challenges';
import type { Person } from './people';
import { journal, passkeys } from './tables';

/*
 * Passkeys (W3C WebAuthn, level 2): the device shows that it has the key, and that its owner is the one who holds it; so it stands for password
 * and code together. Which account it is for the key says itself: nobody's name is asked.
 */

const KNOWN = { id: passkeys.id, name: passkeys.name, madeAt: passkeys.madeAt, usedAt: passkeys.usedAt };
export const keysOf = ({ db }: Store, who: string) => db.select(KNOWN).from(passkeys).where(eq(passkeys.personId, who)).orderBy(asc(passkeys.madeAt)); // prettier-ignore

/** What a browser is asked for to make a key. */
export async function askForKey(store: Store, { id, name, email }: Person, { host }: Place, from: string, challenges: Challenges) {
  const own = await keysOf(store, id);
  const options = await generateRegistrationOptions({
    rpName: 'Utsuwa',
    rpID: host,
    userName: email,
    userDisplayName: name,
    userID: new TextEncoder().encode(id),
    attestationType: 'none',
    excludeCredentials: own.map((k) => ({ id: k.id })),
    authenticatorSelection: { residentKey: 'required', userVerification: 'required' },
  });
  challenges.asked(options.challenge, from, id);
  return options;
} // prettier-ignore

/** Keeps a key that was made; false where what came is none that was asked for. */
export async function addKey(
  store: Store,
  who: string,
  name: string,
  response: RegistrationResponseJSON,
  { origin, host }: Place,
  challenges: Challenges,
): Promise<boolean> {
  const found = await verifyRegistrationResponse({
    response,
    expectedChallenge: (challenge) => challenges.taken(challenge, who),
    expectedOrigin: origin,
    expectedRPID: host,
  }).catch(() => undefined);
  if (!found?.verified) return false;
  const { id, publicKey, counter } = found.registrationInfo.credential;
  const key = { id, personId: who, name, publicKey: Buffer.from(publicKey).toString('base64url'), counter };
  const done = await store.write((db) =>
    db.batch([
      db.insert(passkeys).values(key).onConflictDoNothing(),
      db.insert(journal).values({ who, what: 'key-added', of: who }),
    ]),
  );
  return touched(done[0]).rowsAffected === 1;
}

/** Takes a key away; false where they have none of that id. */
export async function dropKey(store: Store, who: string, id: string): Promise<boolean> {
  if (!(await keysOf(store, who)).some((k) => k.id === id)) return false;
  await store.write((db) =>
    db.batch([
      db.delete(passkeys).where(eq(passkeys.id, id)),
      db.insert(journal).values({ who, what: 'key-removed', of: who }),
    ]),
  );
  return true;
}

/** What a browser is asked for to sign somebody in with a key. */
export async function askToLetIn({ host }: Place, from: string, challenges: Challenges) {
  const options = await generateAuthenticationOptions({ rpID: host, userVerification: 'required' });
  challenges.asked(options.challenge, from);
  return options;
}

/** Whose key it is that answered; undefined where it is nobody's, or not one that was asked for. */
export async function keyHolder(
  store: Store,
  response: AuthenticationResponseJSON,
  { origin, host }: Place,
  challenges: Challenges,
): Promise<string | undefined> {
  const [key] = await store.db.select().from(passkeys).where(eq(passkeys.id, response.id)).limit(1);
  if (!key) return undefined;
  const found = await verifyAuthenticationResponse({
    response,
    expectedChallenge: (challenge) => challenges.taken(challenge),
    expectedOrigin: origin,
    expectedRPID: host,
    credential: {
      id: key.id,
      publicKey: new Uint8Array(Buffer.from(key.publicKey, 'base64url')),
      counter: key.counter,
    },
  }).catch(() => undefined);
  if (!found?.verified) return undefined;
  const { newCounter: counter } = found.authenticationInfo;
  await store.write((db) =>
    db.update(passkeys).set({ counter, usedAt: new Date() }).where(eq(passkeys.id, key.id)),
  );
  return key.personId;
}
