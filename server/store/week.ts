import { and, eq, gt, isNull } from 'drizzle-orm';
import type { Day } from '../../core/calendar/day';
import { careEndedFor } from '../../core/regime/waterSchools';
import type { Dated } from '../../core/staging/week';
import { commissions, glances } from './schema';
import type { Store } from './store';

/**
 * What is due in every commission at work, as far as it is known of today and of the document as it stands; as `lastKnown`
 * whatever was found of it last: a calendar that asks early in the day is better served with yesterday's than with nothing.
 */
export async function dated({ db }: Store, today: Day, lastKnown = false): Promise<Dated[]> {
  const rows = await db
    .select({ id: commissions.id, title: commissions.title, client: commissions.client, dues: glances.dues })
    .from(glances)
    .innerJoin(commissions, eq(glances.commissionId, commissions.id))
    .where(
      and(
        isNull(commissions.removedAt),
        gt(commissions.buildDay, careEndedFor(today)),
        ...(lastKnown ? [] : [eq(glances.today, today), eq(glances.revision, commissions.revision)]),
      ),
    );
  return rows.map(({ client, ...row }) => ({ ...row, ...(client ? { client } : {}) }));
}
