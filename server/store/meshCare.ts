import { sql, type SQL } from 'drizzle-orm';
import { backupsIn, within } from './backups';
import type { Database } from './connection';
import { deleteMesh, unwantedMeshes } from './meshes';
import type { Store } from './store';

/**
 * Deletes meshes that neither a commission, the studio's yard nor a backup names any more. Backups are only
 * opened where there may be something to delete. Returns the names.
 */
export async function dropUnwantedMeshes(store: Store, now?: number): Promise<string[]> {
  const wanted = await namedIn(store.db);
  if ((await unwantedMeshes(store.folder, wanted, now)).length === 0) return [];
  for (const { file } of await backupsIn(store.folder))
    for (const name of await within(file, ({ reading }) => namedIn(reading))) wanted.add(name);
  const gone = await unwantedMeshes(store.folder, wanted, now);
  for (const name of gone) await deleteMesh(store.folder, name);
  return gone;
}

/**
 * Who names a mesh: a commission that was not erased, the studio's yard, nobody at all (it was taken in just now, or
 * its stone was taken out and may be put back), or only others.
 */
export async function whoNames({ db }: Store, name: string, of: string): Promise<'commission' | 'yard' | 'nobody' | 'others'> {
  const any = async (query: SQL) => (await db.values(query)).length > 0;
  const named = sql`FROM commissions, json_each(commissions.meshes) WHERE json_each.value = ${name}`;
  if (await any(sql`SELECT 1 ${named} AND commissions.id = ${of} AND commissions.erased_at IS NULL LIMIT 1`)) return 'commission';
  const inYard = sql`SELECT 1 FROM entries WHERE kind IN ('yard', 'parted', 'given') AND json_extract(value, '$.shape.mesh') = ${name} LIMIT 1`;
  if (await any(inYard)) return 'yard';
  return (await any(sql`SELECT 1 ${named} LIMIT 1`)) ? 'others' : 'nobody';
} // prettier-ignore

/** Every mesh that a database names; one made before there were any names none. */
async function namedIn(db: Database): Promise<Set<string>> {
  const columns = await db.values<[string]>(sql`SELECT name FROM pragma_table_info('commissions')`);
  if (!columns.some(([name]) => name === 'meshes')) return new Set();
  const ofCommissions = await db.values<[string]>(
    sql`SELECT DISTINCT value FROM commissions, json_each(commissions.meshes)`,
  );
  const ofYard = await db.values<[string | null]>(
    sql`SELECT json_extract(value, '$.shape.mesh') FROM entries WHERE kind IN ('yard', 'parted', 'given')`,
  );
  return new Set([...ofCommissions, ...ofYard].flatMap(([name]) => name ?? []));
}
