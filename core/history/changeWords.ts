import { placeOf, type Change, type Step } from '../commission/changes';
import { fieldUnit } from '../commission/fieldUnit';
import { measure } from '../words/measure';
import { say, type Said, type Text } from '../words/text';

/*
 * A change as it is told: what of the scape it concerns, and what it was before. Things go by their numbers, fields by the
 * names that the document's format has for them.
 */

/** A movement shorter than this is none that somebody made, mm. */
const MOVED_MM = 0.5;

/** What one change did, in words. */
export function changeWords(change: Change): Text {
  const { path, was, is, order } = change;
  const last = path.at(-1);
  if (order) return say('history.order', { thing: words(path) });
  if (typeof last === 'object') {
    if (was === undefined) return say('history.put', { thing: words(path, is) });
    if (is === undefined) return say('history.taken', { thing: words(path, was) });
  }
  const thing = words(path.slice(0, -1));
  if (last === 'at') {
    const ways = waysOf(was, is);
    if (ways.length > 0) return say('history.moved', { thing, ways });
  }
  const { stem, unit } = fieldUnit(String(last));
  const field = spaced(stem);
  const [before, after] = [valueOf(was, unit), valueOf(is, unit)];
  if (after !== undefined && before !== undefined) return say('history.from', { thing, field, was: before, is: after }); // prettier-ignore
  if (after !== undefined && was === undefined) return say('history.given', { thing, field, is: after });
  if (is === undefined && before !== undefined) return say('history.left-out', { thing, field, was: before });
  return say('history.changed', { thing, field });
}

/** How something went from one spot to another, as one stands before the tank. */
function waysOf(was: unknown, is: unknown): Text[] {
  if (!isSpot(was) || !isSpot(is)) return [];
  const [x, y] = [is[0] - was[0], is[1] - was[1]];
  const by = (mm: number) => measure('mm', 0)(Math.abs(mm));
  return [
    ...(Math.abs(x) >= MOVED_MM ? [say(x < 0 ? 'history.left' : 'history.right', { by: by(x) })] : []),
    ...(Math.abs(y) >= MOVED_MM ? [say(y < 0 ? 'history.front' : 'history.back', { by: by(y) })] : []),
  ];
}

const isSpot = (value: unknown): value is [number, number] => Array.isArray(value) && value.length >= 2 && value.slice(0, 2).every((n) => typeof n === 'number'); // prettier-ignore

/** A figure with its unit, or a word; what has parts is not put into one line. */
function valueOf(value: unknown, unit: string | undefined) {
  const known = MEASURES[unit ?? ''];
  // A turn stands close to its figure.
  if (typeof value === 'number') return known ? known(value) : `${value}${unit === '°' ? '°' : ''}`;
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  return typeof value === 'string' && value.length <= 60 ? value || undefined : undefined;
}
const MEASURES: Record<string, ReturnType<typeof measure> | undefined> = {
  mm: measure('mm', 0),
  kg: measure('kg', 1),
  L: measure('L', 1),
  '°C': measure('°C', 1),
};

/** The thing that a path leads to: the entry that is named last, in the option or list that it stands in. */
function words(path: readonly Step[], entry?: unknown): Said {
  const at = path.findLastIndex((step) => typeof step === 'object');
  if (at < 0) return path.length > 0 ? spaced(String(path[0])) : say('history.thing.commission');
  const { id } = path[at] as { id: string };
  const list = path[at - 1];
  const of = entry as { date?: string; item?: string } | undefined;
  if (list === 'log') return of?.date ? say('history.thing.note', { day: { day: of.date } }) : 'note';
  if (list === 'received' && of?.item) return say('history.thing.received', { item: of.item });
  if (list === 'taken' && of?.item) return say('history.thing.taken', { item: of.item });
  const rest = path.slice(at + 1).filter((step) => typeof step === 'string');
  const whole = list === 'options' ? say('history.thing.option', { id: id.toUpperCase() }) : id;
  return rest.length > 0 ? say('history.of', { thing: spaced(rest.join(' ')), whole }) : whole;
}

/** `spacingMm` without its unit as one writes it: `bow front` of `bowFront`. */
const spaced = (name: string) => name.replace(/([a-z])([A-Z])/g, '$1 $2').toLowerCase();

/** Changes of one save as lines, those of one place once. */
export function editWords(changes: readonly Change[]): { place: string; says: Text }[] {
  return changes.map((change) => ({ place: placeOf(change.path), says: changeWords(change) }));
}
