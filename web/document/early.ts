/*
 * What the first script of the page asks the server for before anything else of the page is there. Each answer is given once,
 * to whoever asks for it first, and to nobody who asks late: by then it may be another.
 */

/** How long an answer may take, and how long it is kept for whoever asks, ms. */
const KEPT_MS = 10_000;
const sent = new Map<string, { answer: Promise<unknown>; at: number }>();

/** Asks for something written in JSON; undefined where it did not come as it should: it is then asked for anew, and said. */
export function sendEarly(url: string): Promise<unknown> {
  const answer = fetch(url, { signal: AbortSignal.timeout(KEPT_MS) })
    .then((response): Promise<unknown> | undefined => (response.ok ? response.json() : undefined))
    .catch(() => undefined);
  sent.set(url, { answer, at: performance.now() });
  return answer;
}

/** What was asked for early, the very same object for everybody who has a part in it. */
export async function sentEarly(url: string): Promise<unknown> {
  const found = sent.get(url);
  sent.delete(url);
  return found && performance.now() - found.at < KEPT_MS ? found.answer : undefined;
}
