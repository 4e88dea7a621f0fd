import { IntlMessageFormat, type PrimitiveType } from 'intl-messageformat';
import { isText, type DayValue, type Money, type Said, type Text, type Value } from './text';
import type { Measure } from './measure';

/** Messages of one language. */
export interface Catalogue {
  /** A language tag (BCP 47), for plurals. */
  locale: string;
  /** Messages in ICU message syntax, by key. */
  messages: Readonly<Record<string, string>>;
}

/** Everything that a reader's language, units and habits decide. */
export interface Reader extends Catalogue {
  /** One figure in the reader's unit, and that unit's name. */
  figure(value: number, unit: string, places: number): { text: string; unit: string };
  number(value: number): string;
  day(day: string): string;
  money(money: Money): string;
}

/** A message as it was parsed, and which of its names are counts. */
interface Parsed {
  format: IntlMessageFormat;
  counts: ReadonlySet<string>;
}
/** Parsed once for each set of messages. */
const parsed = new WeakMap<Reader['messages'], Map<string, Parsed>>();

/** A plural is type 6 in the parser's tree. */
const PLURAL = 6;

function messageOf({ messages, locale }: Catalogue, key: string): Parsed {
  const known = parsed.get(messages) ?? new Map<string, Parsed>();
  parsed.set(messages, known);
  const old = known.get(key);
  if (old) return old;
  if (messages[key] === undefined) throw new RangeError(`no message "${key}"`);
  const format = new IntlMessageFormat(messages[key], locale, undefined, { ignoreTag: true });
  const tree = format.getAst() as { type: number; value?: string }[];
  const counts = new Set(tree.flatMap((e) => (e.type === PLURAL && e.value ? [e.value] : [])));
  known.set(key, { format, counts });
  return { format, counts };
}

/**
 * Puts a message into words for a reader. A name of the document stays as it is.
 *
 * @throws RangeError when the catalogue has no such message, or a value that it names is missing
 */
export function inWords(said: Said, reader: Reader): string {
  if (typeof said === 'string') return said;
  const { counts } = messageOf(reader, said.say);
  const values: Record<string, PrimitiveType> = {};
  for (const [name, value] of Object.entries(said.with ?? {}))
    values[name] = typeof value === 'number' && counts.has(name) ? value : valueInWords(value, reader);
  return formatted(reader, said.say, values);
}

/**
 * A message filled in with what is in words already, or a count.
 *
 * @throws RangeError when the catalogue has no such message, or a value that it names is missing
 */
export function formatted(
  catalogue: Catalogue,
  key: string,
  values: Readonly<Record<string, PrimitiveType>>,
): string {
  return String(messageOf(catalogue, key).format.format({ ...values }));
}

function valueInWords(value: Value, reader: Reader): string {
  if (typeof value === 'string') return value;
  if (typeof value === 'number') return reader.number(value);
  if (Array.isArray(value))
    return value.map((v: string | Text) => inWords(v, reader)).join(reader.messages['list.between']);
  if (isText(value)) return inWords(value, reader);
  if ('day' in value) return reader.day((value as DayValue).day);
  if ('minor' in value) return reader.money(value as Money);
  return measureInWords(value as Measure, reader);
}

function measureInWords({ value, unit, places, between }: Measure, reader: Reader): string {
  const figures = typeof value === 'number' ? [value] : value;
  const shown = figures.map((v) => reader.figure(v, unit, places));
  const word = between === 'to' ? reader.messages['measure.to'] : ` ${between ?? '×'} `;
  return `${shown.map((s) => s.text).join(word)} ${shown[0].unit}`;
}
