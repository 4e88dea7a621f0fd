/*
 * Which tab this is, and which others live. A tab keeps its name over a reload; a duplicated one gets its own.
 * Living tabs hold a lock of the browser's that goes with them, however they end.
 */

const KEPT = 'utsuwa tab';
const LOCK = 'utsuwa tab ';

const locks = () => (typeof navigator === 'undefined' ? undefined : navigator.locks);

/** Holds a lock for as long as the page lives; false when another page has it. */
function held(name: string): Promise<boolean> {
  return new Promise((resolve) => {
    void locks()!.request(LOCK + name, { ifAvailable: true }, (lock) => {
      resolve(lock !== null);
      return lock ? new Promise(() => {}) : undefined;
    });
  });
}

async function named(): Promise<string> {
  const kept = sessionStorage.getItem(KEPT);
  const fresh = crypto.randomUUID();
  if (!locks()) return kept ?? fresh;
  if (kept && (await held(kept))) return kept;
  await held(fresh);
  sessionStorage.setItem(KEPT, fresh);
  return fresh;
}

let name: Promise<string> | undefined;

/** This tab's name. */
export function tabName(): Promise<string> {
  name ??= named().catch(() => crypto.randomUUID());
  return name;
}

/** Names of all tabs that are open now. */
export async function livingTabs(): Promise<Set<string>> {
  const { held = [] } = (await locks()?.query()) ?? {};
  return new Set(held.flatMap((l) => (l.name?.startsWith(LOCK) ? [l.name.slice(LOCK.length)] : [])));
}
