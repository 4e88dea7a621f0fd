import { useDebounceFn, useTimeoutFn } from '@vueuse/core';
import { computed, ref, watch } from 'vue';
import type { Shown, Sort } from '../../../core/pipeline/listed';
import { api, type Listed } from '../../document/api';
import { today } from '../../units/days';

/** Rows that fill the first screen; the next come when its end is in sight. */
const FIRST = 16;
const MOST_AT_ONCE = 200;
/** How soon a list is asked for again while some of it is still being worked out, ms. */
const AGAIN_MS = 1_500;

/**
 * The list of commissions as it is asked for, page by page.
 * @param tell what is done with an error of the server.
 */
export function useListing(tell: (error: unknown) => void) {
  const search = ref('');
  const show = ref<Shown>('current');
  const sort = ref<Sort>('build');
  const list = ref<Listed[]>();
  const total = ref(0);
  const lately = ref<Listed[]>([]);
  const unknown = ref(0);
  let asked = 0;
  const again = useTimeoutFn(() => void load(list.value?.length), AGAIN_MS, { immediate: false });
  const ask = (page: { from?: number; limit?: number }) =>
    api.list({ q: search.value, show: show.value, sort: sort.value, today: today(), ...page });

  /** The list from its beginning, as long as it is on the page. */
  async function load(shown = 0): Promise<void> {
    const turn = ++asked;
    again.stop();
    try {
      const page = await ask({ limit: Math.min(MOST_AT_ONCE, Math.max(FIRST, shown)) });
      if (turn !== asked) return;
      [list.value, total.value, lately.value] = [page.commissions, page.total, page.lately ?? []];
      unknown.value = page.unknown ?? 0;
      if (unknown.value > 0) again.start();
    } catch (error) {
      tell(error);
    }
  }

  /** The next page, when the end of what is there comes in sight. */
  async function more(): Promise<void> {
    const have = list.value;
    if (!have || have.length >= total.value) return;
    const turn = asked;
    try {
      const page = await ask({ from: have.length });
      if (turn !== asked || list.value !== have) return;
      const known = new Set(have.map((c) => c.id));
      list.value = [...have, ...page.commissions.filter((c) => !known.has(c.id))];
      total.value = page.commissions.length > 0 ? page.total : list.value.length;
    } catch (error) {
      tell(error);
    }
  }

  const count = computed(() => {
    if (!list.value) return '';
    const shown = list.value.length;
    return shown < total.value ? `${shown} of ${total.value.toLocaleString('en-GB')}` : '';
  });
  watch(
    search,
    useDebounceFn(() => load(), 120),
  );
  watch([show, sort], () => load());
  return { search, show, sort, list, total, lately, unknown, count, load: () => load(), more };
}
