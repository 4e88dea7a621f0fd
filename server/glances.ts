import type { Glance } from '../core/pipeline/glance';
import { careEndedFor } from '../core/regime/waterSchools';
import type { Jobs } from './jobs/jobs';
import { made } from './jobs/made';
import { getCommission } from './store/commissions';
import { keepGlance, keptGlance, outdatedOnes, placedKey, type GlanceOf } from './store/glances';
import { placedOf } from './store/orders';
import type { Store } from './store/store';

/** What the list shows of commissions: worked out once for a document, a day and its orders, then kept. */
export interface Glances {
  /** Of one commission, for whoever waits until `signal`. */
  of(asked: GlanceOf, signal?: AbortSignal): Promise<Glance>;
  /**
   * How many commissions at work are not known yet, which begin to be worked out, one after the other. What could not be
   * is not tried again as it stands, and nobody waits for it.
   */
  missing(today: string): Promise<number>;
  /** Resolves when nothing is being worked out. */
  settled(): Promise<void>;
}

export function openGlances(store: Store, jobs: Jobs): Glances {
  let filling: Promise<void> | undefined;
  const failed = new Set<string>();
  const keyOf = ({ id, revision, today }: GlanceOf) => `${id} ${revision} ${today}`;

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
      const [next] = await outdatedOnes(store, today, careEndedFor(today), { after, limit: 1 });
      if (!next) return;
      after = next.id;
      // What cannot be worked out stays unknown and is sorted last; whoever opens it is told why.
      if (!failed.has(keyOf(next))) await of(next).catch(() => failed.add(keyOf(next)));
    }
  }

  return {
    of,
    missing: async (today) => {
      const open = await outdatedOnes(store, today, careEndedFor(today));
      const count = open.filter((one) => !failed.has(keyOf(one))).length;
      // A folder that is closed meanwhile ends it; nobody waits for it.
      if (count > 0)
        filling ??= fillAll(today)
          .catch(() => undefined)
          .finally(() => (filling = undefined));
      return count;
    },
    settled: async () => filling,
  };
}
