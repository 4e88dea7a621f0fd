import { and, eq, gt, isNull, ne } from 'drizzle-orm';
import type { Day } from '../../core/calendar/day';
import type { Reserved } from '../../core/stock/shelf';
import { commissions, glances } from './schema';
import type { Store } from './store';

/** What commissions take off the shelf whose build is not over on `today`, as far as it was worked out; `besides` one of them. */
export async function reservedOnShelf({ db }: Store, today: Day, besides = ''): Promise<Reserved[]> {
  const rows = await db
    .select({ title: commissions.title, takes: glances.takes })
    .from(glances)
    .innerJoin(commissions, eq(glances.commissionId, commissions.id))
    .where(and(isNull(commissions.removedAt), ne(commissions.id, besides), ne(glances.takes, []), gt(commissions.buildDay, today))); // prettier-ignore
  return rows.flatMap(({ title, takes }) => takes.map((take) => ({ ...take, title })));
}
