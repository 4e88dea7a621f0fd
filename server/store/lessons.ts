import { sql } from 'drizzle-orm';
import type { Learnt, Lesson, Subject } from '../../core/commission/notes';
import type { Store } from './store';

/** More than these nobody reads beside a field. */
const MOST = 6;

/** What was decided and tried of a plant or a material in other commissions, the newest first; removed ones have none. */
export async function lessonsAbout({ db }: Store, { of, id }: Subject, besides: string): Promise<Learnt[]> {
  const rows = await db.values<[string, string, Lesson['kind'], string, string]>(sql`
    SELECT c.id, c.title, l.value ->> 'kind', l.value ->> 'date', l.value ->> 'text'
    FROM commissions c, json_each(c.lessons) l
    WHERE c.lessons <> '[]' AND c.removed_at IS NULL AND c.id <> ${besides} AND l.value ->> 'of' = ${of} AND l.value ->> 'id' = ${id}
    ORDER BY l.value ->> 'date' DESC, c.id LIMIT ${MOST}`);
  return rows.map(([commission, title, kind, date, text]) => ({ commission, title, kind, date, text }));
}
