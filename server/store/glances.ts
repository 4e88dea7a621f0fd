import { and, eq, gt, isNull, ne, or, type SQL } from 'drizzle-orm';
import type { Glance } from '../../core/pipeline/glance';
import { placedOf } from './orders';
import { commissions, glances } from './schema';
import type { Store } from './store';

/** What a glance was worked out from: it stands as long as all of it is so. */
export interface GlanceOf {
  id: string;
  revision: number;
  today: string;
}

/** The confirmed orders that a glance counts, in one text. */
export async function placedKey(store: Store, id: string): Promise<string> {
  return (await placedOf(store, id)).map((p) => p.reference).join(' ');
}

/** What was worked out of a commission as it stands, or nothing. */
export async function keptGlance(
  store: Store,
  { id, revision, today }: GlanceOf,
): Promise<Glance | undefined> {
  const [row] = await store.db.select().from(glances).where(eq(glances.commissionId, id)).limit(1);
  if (row?.revision !== revision || row.today !== today) return undefined;
  return row.placed === (await placedKey(store, id))
    ? { ...row.glance, dues: row.dues, takes: row.takes }
    : undefined;
}

export async function keepGlance(
  store: Store,
  { id, revision, today }: GlanceOf,
  placed: string,
  glance: Glance,
): Promise<void> {
  const { dues, takes, ...rest } = glance;
  const { toSettle, costMinor, unpriced, toOrder, standing, next } = rest;
  const set = { revision, today, placed, glance: rest, dues, takes, toSettle, costMinor, unpriced, toOrder, standing, nextDay: next?.day ?? null }; // prettier-ignore
  await store.write(async (db) => {
    // Of what was changed or erased meanwhile nothing is kept.
    const [there] = await db.select({ now: commissions.revision }).from(commissions).where(eq(commissions.id, id)); // prettier-ignore
    if (there?.now !== revision) return;
    // Worked out twice at once: the same again is no write, and would be taken for one that went missing.
    const [kept] = await db.select().from(glances).where(eq(glances.commissionId, id));
    if (kept?.revision === revision && kept.today === today && kept.placed === placed) return;
    await db
      .insert(glances)
      .values({ commissionId: id, ...set })
      .onConflictDoUpdate({ target: glances.commissionId, set });
  });
}

/** True of a commission whose glance is not of today, or of another revision, or not there. */
function outdated(today: string): SQL {
  return or(
    isNull(glances.commissionId),
    ne(glances.today, today),
    ne(glances.revision, commissions.revision),
  )!;
}

/** Commissions at work that are not known as they stand today, by their ids: those after an id, or all of them. */
export async function outdatedOnes(
  { db }: Store,
  today: string,
  since: string,
  { after = '', limit = -1 } = {},
): Promise<GlanceOf[]> {
  const rows = await db
    .select({ id: commissions.id, revision: commissions.revision })
    .from(commissions)
    .leftJoin(glances, eq(glances.commissionId, commissions.id))
    .where(
      and(isNull(commissions.removedAt), gt(commissions.buildDay, since), outdated(today), gt(commissions.id, after)), // prettier-ignore
    )
    .orderBy(commissions.id)
    .limit(limit);
  return rows.map((row) => ({ ...row, today }));
}
