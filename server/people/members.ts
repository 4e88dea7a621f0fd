import { and, asc, eq, inArray } from 'drizzle-orm';
import { touched } from '../store/commissions';
import type { Store } from '../store/store';
import { SCOPED } from './access';
import { members, user } from './tables';

/* Who is on which commission: crew and guests see those that they are on, and no others. */

const of = (commissionId: string, personId: string) => and(eq(members.commissionId, commissionId), eq(members.personId, personId)); // prettier-ignore

export async function isOn({ db }: Store, commissionId: string, personId: string): Promise<boolean> {
  return (await db.select({ id: members.personId }).from(members).where(of(commissionId, personId)).limit(1)).length > 0; // prettier-ignore
}

/** Those who can be on a commission, and whether they are. */
export async function membersOf({ db }: Store, commissionId: string) {
  const all = await db
    .select({ id: user.id, name: user.name, role: user.role, on: members.commissionId })
    .from(user)
    .leftJoin(members, and(eq(members.personId, user.id), eq(members.commissionId, commissionId)))
    .where(inArray(user.role, SCOPED))
    .orderBy(asc(user.name));
  return all.map((m) => ({ ...m, on: m.on !== null }));
}

/** Puts somebody on a commission; false where nobody has that id who can be. */
export async function addMember(store: Store, commissionId: string, personId: string): Promise<boolean> {
  const known = (await membersOf(store, commissionId)).some((m) => m.id === personId);
  if (known) await store.write((db) => db.insert(members).values({ commissionId, personId }).onConflictDoNothing()); // prettier-ignore
  return known;
}

/** Takes somebody off it; false where they were not on it. */
export async function dropMember(store: Store, commissionId: string, personId: string): Promise<boolean> {
  return touched(await store.write((db) => db.delete(members).where(of(commissionId, personId)))).rowsAffected === 1; // prettier-ignore
}
