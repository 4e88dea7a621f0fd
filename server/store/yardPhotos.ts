import { eq, sql } from 'drizzle-orm';
import { entries, yardPhotos } from './schema';
import type { Store } from './store';

/** Keeps a photograph of a piece; the same one twice is kept once. */
export async function keepYardPhoto(store: Store, row: typeof yardPhotos.$inferInsert): Promise<void> {
  await store.write((db) => db.insert(yardPhotos).values(row).onConflictDoNothing());
}

export async function yardPhotoOf({ db }: Store, id: string) {
  return (await db.select().from(yardPhotos).where(eq(yardPhotos.id, id)).limit(1))[0];
}

/** Photographs that no piece has any more go. */
export async function dropUnseenPhotos(store: Store): Promise<void> {
  const seen = sql`(SELECT json_extract(value, '$.photo') FROM ${entries} WHERE kind <> 'given' AND json_extract(value, '$.photo') IS NOT NULL)`;
  await store.write((db) => db.delete(yardPhotos).where(sql`${yardPhotos.id} NOT IN ${seen}`));
}
