import { useEventListener, useDebounceFn } from '@vueuse/core';
import { onScopeDispose, shallowRef, watch, type Ref } from 'vue';
import { call } from './api';
import { useCommission } from './commissionStore';
import { me } from './people';
import { tabName } from './tab';

/** Where somebody else is in the commission that is open. */
export interface Here {
  name: string;
  stage?: string;
  chosen?: string;
}

/** Who else is at the commission that is open; nobody while there are no accounts. */
export const others = shallowRef<readonly Here[]>([]);

/** How long somebody has to be somewhere until the others are told, ms. */
const STAYS_MS = 250;

/**
 * Hears who else is at a commission and what they save, while the page is looked at: a page in the background catches up when
 * somebody comes back to it, and takes none of the few connections of its browser.
 */
export function useLive(id: Readonly<Ref<string>>, where: Readonly<Ref<Omit<Here, 'name'>>>): void {
  const commission = useCommission();
  let source: EventSource | undefined;
  let tab = '';

  function leave(): void {
    source?.close();
    source = undefined;
    others.value = [];
  }
  async function join(): Promise<void> {
    leave();
    if (me.value?.open !== false || !me.value.person || document.visibilityState !== 'visible') return;
    const joined = id.value;
    tab = `${await tabName()}`;
    if (joined !== id.value || source) return;
    const way = new EventSource(`${at(joined)}?${new URLSearchParams({ tab })}`);
    source = way;
    way.addEventListener('open', () => {
      say();
      // What was saved while nothing was heard.
      void commission.catchUp();
    });
    way.addEventListener('here', ({ data }: MessageEvent<string>) => (others.value = JSON.parse(data) as Here[])); // prettier-ignore
    way.addEventListener('saved', ({ data }: MessageEvent<string>) => void commission.catchUp((JSON.parse(data) as { revision: number }).revision)); // prettier-ignore
  }
  const at = (of: string) => `/api/commissions/${encodeURIComponent(of)}/live`;
  const say = () => {
    if (source?.readyState !== EventSource.OPEN) return;
    const body = JSON.stringify({ tab, ...where.value });
    void call('POST', `/commissions/${encodeURIComponent(id.value)}/live`, body).catch(() => undefined);
  };
  watch(where, useDebounceFn(say, STAYS_MS));
  watch([id, me], () => void join(), { immediate: true });
  useEventListener(document, 'visibilitychange', () => void join());
  onScopeDispose(leave);
}
