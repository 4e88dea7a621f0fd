import { ref } from 'vue';

/** A part of this page is not to be had any more: the server has another version by now. */
export const newerHere = ref(false);

/** Watches for it from now on: what cannot be fetched leaves the page as it is, and says so. */
export function watchForNewer(): void {
  // Vite's own, where a part of the interface that is fetched when it is wanted could not be.
  window.addEventListener('vite:preloadError', () => void partMissing());
}

/** A part of the page could not be fetched: the server has another version by now, or it is away, which others say. */
export async function partMissing(): Promise<void> {
  const answers = await fetch('/api/health').then(
    (health) => health.ok,
    () => false,
  );
  if (answers) newerHere.value = true;
}
