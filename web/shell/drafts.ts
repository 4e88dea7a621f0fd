import { del, get, set } from 'idb-keyval';
import type { Commission } from '../../core/commission/schema';
import type { Day } from '../../core/calendar/day';

/** What this browser keeps of a commission: what is not yet confirmed, and what can be undone today. */
export interface Draft {
  day: Day;
  revision: number;
  document: Commission;
  /** True while the server has not confirmed the document. */
  open: boolean;
  past: Commission[];
  future: Commission[];
}

const key = (id: string) => `commission ${id}`;

/** Undefined where the browser keeps nothing (a private window, storage refused): work goes on without. */
export async function readDraft(id: string): Promise<Draft | undefined> {
  try {
    return await get<Draft>(key(id));
  } catch {
    return undefined;
  }
}

export async function writeDraft(id: string, draft: Draft): Promise<boolean> {
  try {
    await set(key(id), draft);
    return true;
  } catch {
    return false;
  }
}

export async function dropDraft(id: string): Promise<void> {
  await del(key(id)).catch(() => {});
}
