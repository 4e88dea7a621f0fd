/*
 * Guessing takes longer and longer: after some wrong passwords in a row nobody is let in under that name, or from that place, for a
 * while that doubles. Names that do not exist are treated alike, so that nobody learns which do.
 */

/** Wrong ones that are forgiven, the first wait after them and the longest, s; places have many people behind them. */
const NAME = { free: 5, firstS: 30, longestS: 900 };
const PLACE = { free: 30, firstS: 30, longestS: 900 };
/** Names and places that are remembered, and for how long after the last wrong one, ms. */
const MOST = 20_000;
const FORGOTTEN_MS = 24 * 3_600_000;

interface Failures {
  count: number;
  lastMs: number;
}

/** Counts wrong passwords, in memory: a server that is started anew begins anew, and nobody can start it from outside. */
export function slowDown(clock: () => number = Date.now) {
  const names = new Map<string, Failures>();
  const places = new Map<string, Failures>();
  return {
    /** How long somebody has to wait before a password is looked at, whole seconds; 0 where it is. */
    waitS(name: string | undefined, place: string): number {
      return Math.max(name === undefined ? 0 : waitOf(names.get(name), NAME), waitOf(places.get(place), PLACE));
    },
    wrong(name: string | undefined, place: string): void {
      for (const [map, key] of [[names, name], [places, place]] as const) {
        if (key === undefined) continue;
        const known = map.get(key);
        const count = known && clock() - known.lastMs < FORGOTTEN_MS ? known.count + 1 : 1;
        map.delete(key);
        map.set(key, { count, lastMs: clock() });
        if (map.size > MOST) map.delete(map.keys().next().value!);
      }
    },
    /** Somebody who knows the password has nothing to wait for; their place keeps what others did from it, without this one. */
    right(name: string | undefined, place: string): void {
      if (name !== undefined) names.delete(name);
      const known = places.get(place);
      if (known) places.set(place, { ...known, count: known.count - 1 });
    },
  }; // prettier-ignore

  function waitOf(failures: Failures | undefined, rule: typeof NAME): number {
    if (!failures || failures.count < rule.free) return 0;
    const whole = Math.min(rule.longestS, rule.firstS * 2 ** Math.min(20, failures.count - rule.free));
    return Math.max(0, Math.ceil(whole - (clock() - failures.lastMs) / 1_000));
  }
}
export type SlowDown = ReturnType<typeof slowDown>;
