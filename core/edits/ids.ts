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

/** The longest id that is made of a name: a number behind it still fits. */
const LONGEST = 60;

/** An id out of a name, small letters and figures: `Lava, red` is `lava-red`; `other` where nothing of it is a letter. */
export function idOfName(name: string, other = 'entry'): string {
  const plain = name.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase(); // prettier-ignore
  return plain.replace(/[^a-z0-9]+/g, ' ').trim().replaceAll(' ', '-').slice(0, LONGEST) || other; // prettier-ignore
}
