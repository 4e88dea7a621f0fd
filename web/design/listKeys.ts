/** What was typed so far to find an entry, and when. */
let typed = { text: '', at: 0 };
/** A pause after which typing begins anew, ms. */
const PAUSE_MS = 900;

const STEPS: Record<string, number> = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 };

/**
 * A list by keys: arrows go from entry to entry, Home and End to the ends, letters and digits to the next whose words begin
 * with them. `entries` are what takes the keyboard, in their order; true when it did something.
 */
export function listKey(event: KeyboardEvent, entries: readonly HTMLElement[], now = Date.now()): boolean {
  const { key, ctrlKey, metaKey, altKey, target } = event;
  if (ctrlKey || metaKey || altKey || entries.length === 0) return false;
  const from = entries.findIndex((e) => e === target || e.contains(target as Node));
  if (from < 0) return false;
  const to = entries[placeOf(key, from, entries, now)];
  if (!to) return false;
  event.preventDefault();
  event.stopPropagation();
  to.focus();
  return true;
}

function placeOf(key: string, from: number, entries: readonly HTMLElement[], now: number): number {
  const last = entries.length - 1;
  if (key === 'Home') return 0;
  if (key === 'End') return last;
  if (STEPS[key]) return Math.min(last, Math.max(0, from + STEPS[key]));
  return /^[\p{L}\p{N}-]$/u.test(key) ? found(key, from, entries, now) : -1;
}

/** The next entry that begins with what was typed; the one that has the keyboard while it still does. */
function found(key: string, from: number, entries: readonly HTMLElement[], now: number): number {
  const goesOn = now - typed.at < PAUSE_MS;
  typed = { text: (goesOn ? typed.text : '') + key.toLowerCase(), at: now };
  const first = goesOn ? from : from + 1;
  const round = entries.map((_, i) => (first + i) % entries.length);
  const begins = (e: HTMLElement) => (e.textContent ?? '').trim().toLowerCase().startsWith(typed.text);
  return round.find((i) => begins(entries[i])) ?? -1;
}
