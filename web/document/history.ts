import { asItWas } from '../../core/history/asItWas';
import type { Change } from '../../core/commission/changes';
import type { Commission } from '../../core/commission/schema';
import { api, type Edit } from './api';

/** What a save changed; null where that was too much to be kept. */
export const changesOf = (e: Edit) => (e.changes === null ? null : (JSON.parse(e.changes) as Change[]));

/** A save, and the commission as it was before it. */
export interface Before {
  edit: Edit;
  document: Commission;
}

/** The commission as it was before a save; undefined where there is no such save, or one since then is not known in full. */
export async function before(id: string, now: Commission, edit: number): Promise<Before | undefined> {
  const since: Edit[] = [];
  for (;;) {
    const { edits, more } = await api.history(id, since.at(-1)?.id);
    since.push(...edits);
    const at = since.findIndex((e) => e.id === edit);
    const document = at < 0 ? undefined : asItWas(now, since.slice(0, at + 1).map(changesOf)); // prettier-ignore
    if (document) return { edit: since[at], document };
    if (at >= 0 || !more) return undefined;
  }
}
