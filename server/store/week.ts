import { and, eq, gt, isNull } from 'drizzle-orm';
import type { Day } from '../../core/calendar/day';
import { careEndedFor } from '../../core/regime/waterSchools';
import type { Dated } from '../../core/staging/week';
import { commissions, glances } from './schema';
import type { Store } from './store';

/** What is due in every commission at work, as far as it is known of today and of the document as it stands. */
export async function dated({ db }: Store, today: Day): Promise<Dated[]> {
  const rows = await db
    .select({ id: commissions.id, title: commissions.title, client: commissions.client, dues: glances.dues })
    .from(glances)
    .innerJoin(commissions, eq(glances.commissionId, commissions.id))
    .where(
      and(
        isNull(commissions.removedAt),
        gt(commissions.buildDay, careEndedFor(today)),
        eq(glances.today, today),
        eq(glances.revision, commissions.revision),
      ),
    );
  return rows.map(({ client, ...row }) => ({ ...row, ...(client ? { client } : {}) }));
}
