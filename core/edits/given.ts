/** A thing with some of its fields changed; what is given as undefined is left out, and is as usual again. */
export function withGiven<T extends object>(thing: T, change: Partial<T>): T {
  const all = Object.entries({ ...thing, ...change });
  return Object.fromEntries(all.filter(([, value]) => value !== undefined)) as T;
}
