import { placeOf, type Change, type Step } from '../commission/changes';
import { nameOfEntry } from '../commission/lookup';
import type { Commission } from '../commission/schema';
import { fieldUnit } from '../commission/fieldUnit';
import { inMm, measure } from '../words/measure';
import { say, type Said, type Text, type Value } from '../words/text';

/*
 * A change as it is told: what of the scape it concerns, and what it was before. Things go by their numbers, fields by the
 * names that the document's format has for them.
 */

/** A movement shorter than this is none that somebody made, mm. */
const MOVED_MM = 0.5;

/** Whose money it is, and what its materials and plants are called. */
type Known = Pick<Commission, 'currency' | 'catalogue'>;

/** What one change of a commission did, in words. */
export function changeWords(change: Change, known: Known): Text {
  const { path, was, is, order } = change;
  const last = path.at(-1);
  if (order) return say('history.order', { thing: words(path, known) });
  if (typeof last === 'object') {
    if (was === undefined) return say('history.put', { thing: words(path, known, is) });
    if (is === undefined) return say('history.taken', { thing: words(path, known, was) });
  }
  const thing = words(path.slice(0, -1), known);
  if (last === 'at') {
    const ways = waysOf(was, is);
    if (ways.length > 0) return say('history.moved', { thing, ways });
  }
  const { field, told } = fieldOf(String(last), known);
  const [before, after] = [told(was), told(is)];
  if (after !== undefined && before !== undefined) return say('history.from', { thing, field, was: before, is: after }); // prettier-ignore
  if (after !== undefined && was === undefined) return say('history.given', { thing, field, is: after });
  if (is === undefined && before !== undefined) return say('history.left-out', { thing, field, was: before });
  return say('history.changed', { thing, field });
}

/** How something went from one spot to another, as one stands before the tank. */
function waysOf(was: unknown, is: unknown): Text[] {
  if (!isSpot(was) || !isSpot(is)) return [];
  const [x, y] = [is[0] - was[0], is[1] - was[1]];
  const by = (mm: number) => inMm(Math.abs(mm));
  return [
    ...(Math.abs(x) >= MOVED_MM ? [say(x < 0 ? 'history.left' : 'history.right', { by: by(x) })] : []),
    ...(Math.abs(y) >= MOVED_MM ? [say(y < 0 ? 'history.front' : 'history.back', { by: by(y) })] : []),
  ];
}

const isSpot = (value: unknown): value is [number, number] => Array.isArray(value) && value.length >= 2 && value.slice(0, 2).every((n) => typeof n === 'number'); // prettier-ignore

/** Digits with which a figure is told, by its unit. */
const PLACES: Readonly<Record<string, number>> = { kg: 1, L: 1, m: 2, '°C': 1, '°d': 1, 'mg/L': 2 };

/** A field as it is called, and how its values are told: money as money, what is measured with its unit. */
function fieldOf(name: string, known: Known): { field: Said; told: (value: unknown) => Value | undefined } {
  const { stem, unit } = fieldUnit(name);
  const [, priced] = /^(.*)minor$/i.exec(name) ?? [];
  const figure = (value: number): Value => {
    if (priced !== undefined) return { minor: value, currency: known.currency };
    // A turn stands close to its figure.
    if (unit === '°') return `${value}°`;
    return unit ? measure(unit, PLACES[unit] ?? 0)(value) : value;
  };
  return {
    field: priced === '' ? say('history.field.sum') : spaced(priced ?? stem),
    told: (value) => {
      if (typeof value === 'number') return figure(value);
      if (typeof value === 'boolean') return say(value ? 'history.yes' : 'history.no');
      // What has parts, and what is long, is not put into one line.
      return typeof value === 'string' && value !== '' && value.length <= MOST_LETTERS
        ? nameOfEntry(known, value)
        : undefined;
    },
  };
}
const MOST_LETTERS = 60;

/** The thing that a path leads to: the entry that is named last, in the option or list that it stands in. */
function words(path: readonly Step[], known: Known, entry?: unknown): Said {
  const at = path.findLastIndex((step) => typeof step === 'object');
  if (at < 0) return path.length > 0 ? spaced(String(path[0])) : say('history.thing.commission');
  const { id } = path[at] as { id: string };
  const list = path[at - 1];
  const of = entry as { date?: string; item?: string } | undefined;
  if (list === 'log')
    return of?.date ? say('history.thing.note', { day: { day: of.date } }) : say('history.thing.anyNote');
  if (list === 'received' && of?.item)
    return say('history.thing.received', { item: nameOfEntry(known, of.item) });
  if (list === 'taken' && of?.item) return say('history.thing.taken', { item: nameOfEntry(known, of.item) });
  const rest = path.slice(at + 1).filter((step) => typeof step === 'string');
  const whole = list === 'options' ? say('history.thing.option', { id: id.toUpperCase() }) : id;
  return rest.length > 0 ? say('history.of', { thing: spaced(rest.join(' ')), whole }) : whole;
}

/** `spacingMm` without its unit as one writes it: `bow front` of `bowFront`. */
const spaced = (name: string) => name.replace(/([a-z])([A-Z])/g, '$1 $2').toLowerCase();

/** Changes of one save as lines, those of one place once. */
export function editWords(changes: readonly Change[], known: Known): { place: string; says: Text }[] {
  return changes.map((change) => ({ place: placeOf(change.path), says: changeWords(change, known) }));
}
