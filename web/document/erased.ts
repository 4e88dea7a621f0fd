import { shallowRef } from 'vue';

/*
 * What is erased in one tab must not stay on the screen of another: tabs of one browser tell each other at once; those of
 * others hear it when they next ask (`commissionStore.ts`, `look`).
 */

const channel = typeof BroadcastChannel === 'undefined' ? undefined : new BroadcastChannel('utsuwa erased');

/** What came of the erasing done last in this tab, for the next screen to say; without the name. */
export const lastErasure = shallowRef<{ count: number; left: string[] }>();

/** Tells the other tabs which commissions are no more. */
export function tellErased(ids: readonly string[]): void {
  channel?.postMessage(ids);
}

/** Calls with the ids of what was erased in another tab. Returns how to stop. */
export function onErased(heard: (ids: readonly string[]) => void): () => void {
  const listen = (event: MessageEvent<string[]>) => heard(event.data);
  channel?.addEventListener('message', listen);
  return () => channel?.removeEventListener('message', listen);
}
