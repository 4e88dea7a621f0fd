import type { IncomingHttpHeaders } from 'node:http';
import { symmetricDecrypt } from 'better-auth/crypto';
import { fromNodeHeaders } from 'better-auth/node';
import type { Store } from '../store/store';
import { isRefusal, type Auth } from './auth';
import { note, withoutCodes } from './people';
import { journal, twoFactor } from './tables';

/*
 * One-time codes as a second factor (RFC 6238): six figures that an app makes anew every half minute, and ten codes on paper for when the
 * device is lost, each good once. The library counts wrong ones: five for one signing in, ten in a row close the account's for a quarter of an hour.
 */

/** Codes on paper have a line in their middle; those of an app are figures. */
const isOnPaper = (code: string) => /[^\d\s]/.test(code.trim());

/** Whether a password is that of whoever is signed in. */
export async function isTheirs(auth: Auth, headers: IncomingHttpHeaders, password: string): Promise<boolean> {
  return (await refused(auth.api.verifyPassword({ body: { password }, headers: fromNodeHeaders(headers) })))?.status === true;
} // prettier-ignore

/** What an app makes codes from, as the address that it reads, and codes for paper; undefined where the password is another one. */
export async function beginCodes(auth: Auth, headers: IncomingHttpHeaders, password: string): Promise<{ uri: string; paper: string[] } | undefined> {
  const begun = await refused(auth.api.enableTwoFactor({ body: { password, method: 'totp' }, headers: fromNodeHeaders(headers) }));
  return begun?.method === 'totp' ? { uri: begun.totpURI, paper: begun.backupCodes } : undefined;
} // prettier-ignore

/** Who is let in by a code, or has shown that their app makes the right ones, with their cookies; undefined where it is not right. */
export async function byCode(auth: Auth, headers: IncomingHttpHeaders, code: string): Promise<{ who: string; headers: Headers } | undefined> {
  const asked = { body: { code: code.replace(/\s/g, '') }, headers: fromNodeHeaders(headers), returnHeaders: true as const };
  const shown = await refused(isOnPaper(code) ? auth.api.verifyBackupCode(asked) : auth.api.verifyTOTP(asked));
  return shown && { who: shown.response.user.id, headers: shown.headers };
} // prettier-ignore

/** No codes any more, by their own wish, with the cookies of a fresh session; undefined where the password is another one. */
export async function endCodes(auth: Auth, headers: IncomingHttpHeaders, password: string): Promise<Headers | undefined> {
  return (await refused(auth.api.disableTwoFactor({ body: { password }, headers: fromNodeHeaders(headers), returnHeaders: true })))?.headers;
} // prettier-ignore

/**
 * Sets back codes that this machine cannot read: they are kept as only the machine reads them that made them, and a backup was
 * brought to another one. Returns how many people that were.
 */
export async function dropUnreadable(store: Store, auth: Auth): Promise<number> {
  const { secretConfig: key } = await auth.$context;
  const rows = await store.db.select({ who: twoFactor.userId, data: twoFactor.secret }).from(twoFactor);
  const lost: string[] = [];
  for (const { who, data } of rows) await symmetricDecrypt({ key, data }).catch(() => void lost.push(who));
  if (lost.length === 0) return 0;
  await store.write((db) => db.batch([...withoutCodes(db, lost), db.insert(journal).values({ who: null, what: 'codes-lost' })])); // prettier-ignore
  return lost.length;
}

export const noteCodes = (store: Store, id: string, are: 'on' | 'off') => note(store, id, `codes-${are}`, id);

/** What was asked for; undefined where the library refuses it. */
async function refused<T>(asked: Promise<T>): Promise<T | undefined> {
  try {
    return await asked;
  } catch (error) {
    if (isRefusal(error)) return undefined;
    throw error;
  }
}
