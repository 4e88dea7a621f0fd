import { and, eq, sql } from 'drizzle-orm';
import { pictures, type PictureRow } from './schema';
import type { Store } from './store';

/** Keeps a picture; the same one twice is kept once. */
export async function keepPicture(store: Store, row: PictureRow): Promise<void> {
  await store.write((db) => db.insert(pictures).values(row).onConflictDoNothing());
}

export async function pictureOf(
  { db }: Store,
  commissionId: string,
  id: string,
): Promise<PictureRow | undefined> {
  const there = and(eq(pictures.commissionId, commissionId), eq(pictures.id, id));
  return (await db.select().from(pictures).where(there).limit(1))[0];
}

export function picturesOf({ db }: Store, commissionId: string): Promise<PictureRow[]> {
  return db.select().from(pictures).where(eq(pictures.commissionId, commissionId));
}

/** A copied commission has its own copies. */
export async function copyPictures(store: Store, from: string, to: string): Promise<void> {
  await store.write((db) =>
    db.run(
      sql`INSERT OR IGNORE INTO pictures (id, commission_id, width_px, height_px, added_at, jpeg)
          SELECT id, ${to}, width_px, height_px, added_at, jpeg FROM pictures WHERE commission_id = ${from}`,
    ),
  );
}
