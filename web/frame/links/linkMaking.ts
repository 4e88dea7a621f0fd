import { ref, shallowRef } from 'vue';
import { dayPlus } from '../../../core/calendar/day';
import type { LinkAsk } from '../../../core/pricing/linkAsk';
import { useAttempt } from '../../design/attempt';
import { useCommission } from '../../document/commissionStore';
import { links, type Link } from '../../document/links';
import { today } from '../../units/days';

/** What a link is made for, without whom it is for and until when. */
type What<T = LinkAsk> = T extends unknown ? Omit<T, 'named' | 'until'> : never;

/**
 * Links of the open commission, and a new one: for whom, and good for so many days unless another day is said. What it is to show
 * is asked for once the last edit is with the server: what they read is what the studio has.
 */
export function useLinkMaking(goodDays: number, forWhom?: string) {
  const commission = useCommission();
  const all = shallowRef<readonly Link[]>([]);
  const load = () => links.of(commission.id).then((l) => void (all.value = l.links));
  void load().catch(() => undefined);

  const named = ref(forWhom);
  const until = ref(dayPlus(today(), goodDays));
  /** The one that was just made: of its secret the server keeps only a hash. */
  const made = ref<{ named: string; link: string }>();
  const { fault, busy, attempt } = useAttempt();
  const make = (what: () => What | Promise<What>) =>
    attempt(async () => {
      const who = { named: named.value?.trim() ?? '', until: until.value };
      await commission.flush();
      const ask = await what();
      const { secret } = await links.make(commission.id, { ...ask, ...who } as LinkAsk);
      // A calendar has nothing but an address; a page is told what no server is sent.
      const path = ask.kind === 'dates' ? `/api/link/dates/${secret}.ics` : `/l#${secret}`;
      made.value = { named: who.named, link: `${window.location.origin}${path}` };
      await load();
    });
  return { all, named, until, made, fault, busy, make, reload: () => attempt(load) };
}
