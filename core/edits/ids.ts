/** An id of its own in a list: `door`, `door-2`, … */
export function freshId(base: string, list: readonly { id: string }[]): string {
  const taken = new Set(list.map((x) => x.id));
  let id = base;
  for (let n = 2; taken.has(id); n++) id = `${base}-${n}`;
  return id;
}

/** A number in a row of its own: `N-1`, `N-2`, … for what is not of the yard, `J-1`, … for joints; the first free from `n` on. */
export function nextNumber(list: readonly { id: string }[], letter = 'N', n = 1): string {
  const taken = new Set(list.map((p) => p.id));
  while (taken.has(`${letter}-${n}`)) n++;
  return `${letter}-${n}`;
}
