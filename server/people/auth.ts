import { randomBytes } from 'node:crypto';
import { readFile, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { betterAuth } from 'better-auth';
import { APIError } from 'better-auth/api';
import { drizzleAdapter } from 'better-auth/adapters/drizzle';
import { twoFactor as codes } from 'better-auth/plugins/two-factor';
import { ownFile } from '../store/folder';
import type { Store } from '../store/store';
import { PASSWORD } from './passwords';
import { letInPlugin } from './letIn';
import { account, session, twoFactor, user, verification } from './tables';

/** How long a device stays signed in after it was last used, s, and how often that is written down. */
const SIGNED_IN_S = 30 * 86_400;
const RENEWED_S = 86_400;

/**
 * What signs people in over the studio's own database. Its own addresses are not served: each of ours asks it for one thing, so
 * that nothing is open that nobody thought of.
 */
export async function openAuth(store: Store, { isSecure }: { isSecure: boolean }) {
  return betterAuth({
    appName: 'Utsuwa',
    baseURL: isSecure ? 'https://utsuwa.invalid' : 'http://utsuwa.invalid',
    secret: await secretOf(store.folder),
    database: drizzleAdapter(store.both, { provider: 'sqlite', schema: { user, session, account, verification, twoFactor } }),
    plugins: [codes({ issuer: 'Utsuwa' }), letInPlugin()],
    user: { additionalFields: { role: { type: 'string', input: false } } },
    emailAndPassword: {
      enabled: true,
      disableSignUp: true,
      minPasswordLength: PASSWORD.least,
      // Letters as a computer counts them: an emoji is more than one.
      maxPasswordLength: 4 * PASSWORD.most,
    },
    session: { expiresIn: SIGNED_IN_S, updateAge: RENEWED_S },
    // Counted by name and by place in `slowDown.ts`.
    rateLimit: { enabled: false },
    // Where a request comes from is looked at before anything else is.
    advanced: {
      cookiePrefix: 'utsuwa',
      useSecureCookies: isSecure,
      disableCSRFCheck: true,
      disableOriginCheck: true,
      defaultCookieAttributes: { sameSite: 'strict', httpOnly: true, path: '/' },
    },
    telemetry: { enabled: false },
    logger: { disabled: true },
  }); // prettier-ignore
}
/** What the library refuses: a password that is not theirs, a session that has ended. */
export const isRefusal = (error: unknown) => error instanceof APIError;

export type Auth = Awaited<ReturnType<typeof openAuth>>;

const SECRET = 'secret';
/** What cookies are signed with: made once, beside the database and out of its backups. */
async function secretOf(folder: string): Promise<string> {
  const file = join(folder, SECRET);
  const known = await readFile(file, 'utf8').catch(() => '');
  if (known.trim().length >= 32) return known.trim();
  const made = randomBytes(32).toString('base64url');
  await ownFile(file);
  await writeFile(file, made);
  return made;
}
