/* Documents that are wrong, odd or hostile in one to four places, the same ones for the same seed. */

/** A generator of numbers from 0 to 1 (mulberry32, from memory). */
export function dice(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = Math.imul(state ^ (state >>> 15), state | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

const NUMBERS = [
  0, -0, 1, -1, 0.1, 1e-8, 5e-324, 1e-300, 1e300, 1.7976931348623157e308, 9_999, 10_000, 2_147_483_648, 90,
  3_600, 0.5,
];
const WORDS = [
  '', ' ', '=1+1', 'a\r\nATTACH:file', '\u0000', '＝1', '../..', '2027-02-30', '0001-01-01', '9999-12-31', '2000-01-01',
  '2199-12-31', 'mesh', 'on', 'grid', 'x'.repeat(500), '__proto__', '<script>alert(1)</script>', 'soil', 'slate', 'a',
]; // prettier-ignore

type Fields = Record<string, unknown>;

/** A copy of a document with one to four of its values spoilt. */
export function mutant(document: unknown, seed: number): unknown {
  const roll = dice(seed);
  const copy = structuredClone(document);
  for (let n = 1 + Math.floor(roll() ** 3 * 4); n > 0; n--) spoil(copy, roll);
  return copy;
}

function spoil(document: unknown, roll: () => number): void {
  const places: [Fields, string][] = [];
  collect(document, places);
  const [holder, key] = places[Math.floor(roll() * places.length)];
  const next = spoilt(holder[key], roll);
  if (next === undefined) {
    if (Array.isArray(holder)) holder.splice(Number(key), 1);
    else delete holder[key];
  } else holder[key] = next;
}

/** Every field and entry, long lists of figures but a few of theirs. */
function collect(value: unknown, places: [Fields, string][]): void {
  if (value === null || typeof value !== 'object') return;
  const keys = Object.keys(value);
  const few = Array.isArray(value) && keys.length > 40 ? keys.filter((_, i) => i % 37 === 0) : keys;
  for (const key of few) {
    places.push([value as Fields, key]);
    collect((value as Fields)[key], places);
  }
}

function spoilt(value: unknown, roll: () => number): unknown {
  const pick = <T>(list: readonly T[]): T => list[Math.floor(roll() * list.length)];
  const any = roll();
  if (any < 0.08) return undefined;
  if (any < 0.12) return pick([null, [], {}, true, 'x', 7]);
  if (any < 0.13) return nested(pick([30, 45, 2_000]));
  if (typeof value === 'number')
    return roll() < 0.6 ? pick(NUMBERS) : value * pick([-1, 0.001, 0.3, 1.5, 4, 1_000, 1e-12]);
  if (typeof value === 'string') return pick(WORDS);
  if (typeof value === 'boolean') return !value;
  if (Array.isArray(value)) return list(value, roll);
  if (value !== null && typeof value === 'object')
    return { ...value, [pick(['kind', 'id', 'zzz'])]: pick(WORDS) };
  return pick(NUMBERS);
}

function list(value: unknown[], roll: () => number): unknown[] {
  const way = roll();
  if (way < 0.2) return [];
  if (way < 0.4) return value.toReversed();
  if (way < 0.6) return [...value, ...value];
  if (way < 0.7) return Array.from({ length: 60 }, (_, i) => copyOf(value[i % Math.max(1, value.length)], i));
  if (way < 0.85) return value.slice(0, Math.ceil(value.length / 2));
  return [...value, value[0]];
}

/** A copy with an id of its own, so that not all of them are refused for that alone. */
function copyOf(entry: unknown, i: number): unknown {
  if (entry === null || typeof entry !== 'object' || !('id' in entry)) return entry;
  return { ...entry, id: `${String(entry.id)}-${i}` };
}

function nested(depth: number): unknown {
  let value: unknown = 1;
  for (let i = 0; i < depth; i++) value = i % 2 ? [value] : { in: value };
  return value;
}
