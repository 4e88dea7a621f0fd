import type { Glance } from '../core/pipeline/glance';
import type { Jobs } from './jobs/jobs';
import { made } from './routes/files';
import { archivedUntil, getCommission } from './store/commissions';
import { keepGlance, keptGlance, nextOutdated, placedKey, type GlanceOf } from './store/glances';
import { placedOf } from './store/orders';
import type { Store } from './store/store';

/** What the list shows of commissions: worked out once for a document, a day and its orders, then kept. */
export interface Glances {
  /** Of one commission, for whoever waits until `signal`. */
  of(asked: GlanceOf, signal?: AbortSignal): Promise<Glance>;
  /** Begins to work out what is not known of commissions at work, one after the other, unless it does so already. */
  fill(today: string): void;
  /** Resolves when nothing is being worked out. */
  settled(): Promise<void>;
}

export function openGlances(store: Store, jobs: Jobs): Glances {
  let filling: Promise<void> | undefined;

  async function of(asked: GlanceOf, signal?: AbortSignal): Promise<Glance> {
    const known = await keptGlance(store, asked);
    if (known) return known;
    const placed = await placedKey(store, asked.id);
    const input = async () => ({
      id: asked.id,
      text: (await getCommission(store, asked.id))!.document,
      placed: await placedOf(store, asked.id),
      today: asked.today,
    });
    // As a kind of work of its own: a list that is looked through takes nobody's turn.
    const glance = made(await jobs.run('glance', { who: 'glances', ...(signal ? { signal } : {}) }, input));
    await keepGlance(store, asked, placed, glance);
    return glance;
  }

  async function fillAll(today: string): Promise<void> {
    let after = '';
    for (;;) {
      const next = await nextOutdated(store, today, archivedUntil(today), after);
      if (!next) return;
      after = next.id;
      // What cannot be worked out stays unknown and is sorted last; whoever opens it is told why.
      await of(next).catch(() => undefined);
    }
  }

  return {
    of,
    fill: (today) => {
      // A folder that is closed meanwhile ends it; nobody waits for it.
      filling ??= fillAll(today)
        .catch(() => undefined)
        .finally(() => (filling = undefined));
    },
    settled: async () => filling,
  };
}
