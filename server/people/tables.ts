import { sql } from 'drizzle-orm';
import { index, integer, primaryKey, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { commissions } from '../store/schema';
import { ROLES } from './access';

/* People with an account, as the library that signs them in wants its tables; and what Utsuwa keeps beside them. */

const moment = (name: string) => integer(name, { mode: 'timestamp_ms' });
const now = sql`(cast(unixepoch('subsecond') * 1000 as integer))`;

export const user = sqliteTable('people', {
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  /** What one signs in with, in lower case. */
  email: text('email').notNull().unique(),
  emailVerified: integer('email_verified', { mode: 'boolean' }).notNull().default(false),
  image: text('image'),
  role: text('role', { enum: ROLES }).notNull(),
  /** A code is asked for after the password. */
  twoFactorEnabled: integer('two_factor', { mode: 'boolean' }).notNull().default(false),
  createdAt: moment('created_at').notNull().default(now),
  updatedAt: moment('updated_at').notNull().default(now),
});

/** What one-time codes are made from, and codes for when that is lost; both as only this machine reads them. */
export const twoFactor = sqliteTable(
  'second_factors',
  {
    id: text('id').primaryKey(),
    secret: text('secret').notNull(),
    backupCodes: text('backup_codes').notNull(),
    userId: text('user_id')
      .notNull()
      .references(() => user.id, { onDelete: 'cascade' }),
    verified: integer('verified', { mode: 'boolean' }).default(true),
    failedVerificationCount: integer('failed').default(0),
    lockedUntil: moment('locked_until'),
  },
  (t) => [index('second_factors_user').on(t.userId)],
);

/** A passkey: of it only the public half is here. */
export const passkeys = sqliteTable(
  'passkeys',
  {
    id: text('id').primaryKey(),
    personId: text('person_id')
      .notNull()
      .references(() => user.id, { onDelete: 'cascade' }),
    name: text('name').notNull(),
    publicKey: text('public_key').notNull(),
    /** How often it was used, as it says itself: one that counts back has been copied. */
    counter: integer('counter').notNull(),
    madeAt: moment('made_at').notNull().default(now),
    usedAt: moment('used_at'),
  },
  (t) => [index('passkeys_person').on(t.personId)],
);

/** A device on which somebody is signed in. */
export const session = sqliteTable(
  'sessions',
  {
    id: text('id').primaryKey(),
    token: text('token').notNull().unique(),
    userId: text('user_id')
      .notNull()
      .references(() => user.id, { onDelete: 'cascade' }),
    expiresAt: moment('expires_at').notNull(),
    ipAddress: text('ip_address'),
    userAgent: text('user_agent'),
    createdAt: moment('created_at').notNull().default(now),
    updatedAt: moment('updated_at').notNull().default(now),
  },
  (t) => [index('sessions_user').on(t.userId)],
);

/** How somebody signs in: a password, as its hash. */
export const account = sqliteTable(
  'sign_ins',
  {
    id: text('id').primaryKey(),
    accountId: text('account_id').notNull(),
    providerId: text('provider_id').notNull(),
    userId: text('user_id')
      .notNull()
      .references(() => user.id, { onDelete: 'cascade' }),
    accessToken: text('access_token'),
    refreshToken: text('refresh_token'),
    idToken: text('id_token'),
    accessTokenExpiresAt: moment('access_token_expires_at'),
    refreshTokenExpiresAt: moment('refresh_token_expires_at'),
    scope: text('scope'),
    password: text('password'),
    createdAt: moment('created_at').notNull().default(now),
    updatedAt: moment('updated_at').notNull().default(now),
  },
  (t) => [index('sign_ins_user').on(t.userId)],
);

export const verification = sqliteTable('verifications', {
  id: text('id').primaryKey(),
  identifier: text('identifier').notNull(),
  value: text('value').notNull(),
  expiresAt: moment('expires_at').notNull(),
  createdAt: moment('created_at').notNull().default(now),
  updatedAt: moment('updated_at').notNull().default(now),
});

/** Who of the crew and which guests are on a commission. */
export const members = sqliteTable(
  'members',
  {
    commissionId: text('commission_id')
      .notNull()
      .references(() => commissions.id, { onDelete: 'cascade' }),
    personId: text('person_id')
      .notNull()
      .references(() => user.id, { onDelete: 'cascade' }),
  },
  (t) => [primaryKey({ columns: [t.commissionId, t.personId] }), index('members_person').on(t.personId)],
);

/** A link with which somebody makes an account of their own, once; of its secret only the hash is kept. */
export const invitations = sqliteTable('invitations', {
  hash: text('hash').primaryKey(),
  /** For whom it was made, as the owner wrote it. */
  name: text('name').notNull(),
  role: text('role', { enum: ROLES }).notNull(),
  /** Who has an account already and gets in again with it. */
  personId: text('person_id').references(() => user.id, { onDelete: 'cascade' }),
  madeAt: moment('made_at').notNull().default(now),
  until: moment('until').notNull(),
  usedAt: moment('used_at'),
});

/** What can happen with accounts, links and the data of clients; the page says it in words. */
export const DONE = [
  'made',
  'signed-in',
  'invited',
  'invitation-withdrawn',
  'role-changed',
  'removed',
  'password-changed',
  'password-set-on-machine',
  'all-signed-out',
  'link-given',
  'link-withdrawn',
  'put-on',
  'taken-off',
  'file-taken',
  'studio-taken',
  'client-handed-over',
  'client-erased',
  'codes-on',
  'codes-off',
  'codes-lost',
  'key-added',
  'key-removed',
  'let-in-again',
  'got-in-again',
] as const;
export type Done = (typeof DONE)[number];

/** What happened with them, which nobody edits: when, who, what, of whom. */
export const journal = sqliteTable('journal', {
  id: integer('id').primaryKey({ autoIncrement: true }),
  at: moment('at').notNull().default(now),
  /** Ids, so that an erased person leaves no name behind. */
  who: text('who'),
  what: text('what', { enum: DONE }).notNull(),
  of: text('of'),
});
