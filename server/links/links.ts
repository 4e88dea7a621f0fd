import { and, desc, eq, gte, isNull } from 'drizzle-orm';
import type { Day } from '../../core/calendar/day';
import type { Answer } from '../../core/commission/quoteSchema';
import type { LinkAsk } from '../../core/pricing/linkAsk';
import { hashOf, newSecret } from '../people/secret';
import { touched } from '../store/commissions';
import { commissions } from '../store/schema';
import type { Store } from '../store/store';
import { links } from './tables';

/* Links as they are kept: made, found by their secret, ended, answered. */

export async function makeLink(store: Store, link: LinkAsk & { commissionId: string }): Promise<string> {
  const { secret, hash } = newSecret();
  await store.write((db) => db.insert(links).values({ shows: [], offers: [], ...link, id: hash }));
  return secret;
}

/** Links of a commission without what they show, the newest first. */
export function linksOf({ db }: Store, commissionId: string) {
  const { id, kind, named, madeAt, until, endedAt, usedAt, answer } = links;
  return db
    .select({ id, kind, named, madeAt, until, endedAt, usedAt, answer })
    .from(links)
    .where(eq(links.commissionId, commissionId))
    .orderBy(desc(links.madeAt));
}

/** The link of a secret; undefined where it has ended, on any ground, or its commission was removed. */
export async function linkOf({ db }: Store, secret: string, today: Day) {
  const [row] = await db
    .select({ link: links })
    .from(links)
    .innerJoin(commissions, eq(links.commissionId, commissions.id))
    .where(and(eq(links.id, hashOf(secret)), isNull(links.endedAt), gte(links.until, today), isNull(commissions.removedAt)))
    .limit(1);
  return row?.link;
} // prettier-ignore

export async function linkUsed(store: Store, id: string): Promise<void> {
  await store.write((db) => db.update(links).set({ usedAt: new Date() }).where(eq(links.id, id)));
}

/** Ends it at once; false where the commission has none of that id that is open. */
export async function endLink(store: Store, commissionId: string, id: string): Promise<boolean> {
  const done = await store.write((db) =>
    db.update(links).set({ endedAt: new Date() }).where(and(eq(links.id, id), eq(links.commissionId, commissionId), isNull(links.endedAt))),
  ); // prettier-ignore
  return touched(done).rowsAffected === 1;
}

export async function linkAnswered(store: Store, id: string, answer: Answer & { day: Day }): Promise<void> {
  await store.write((db) => db.update(links).set({ answer }).where(eq(links.id, id)));
}
