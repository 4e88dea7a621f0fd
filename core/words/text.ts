import type { EN } from './en';
import type { Measure } from './measure';

/*
 * What is to be said, before it is put into words: the key of a message, and what stands in it. Nothing in
 * `core` writes sentences; the catalogue (`en`) has them, and `inWords` puts them into a reader's units.
 */

export type MessageKey = keyof typeof EN;

/** A day of the calendar, and money, so that each reader has them as usual there. */
export interface DayValue {
  day: string;
}
export interface Money {
  minor: number;
  currency: string;
}

/** What may stand in a message: a name as the document has it, a count or plain figure, a quantity, another message. */
export type Value = string | number | Measure | DayValue | Money | Text | readonly (string | Text)[];

export interface Text {
  say: MessageKey;
  with?: Readonly<Record<string, Value>>;
}

/** A name from the document, or something that has to be put into words. */
export type Said = string | Text;

/** The names that stand in a message: `{litres}`, `{count, plural, …}`; what has a space in it is a branch. */
export type Names<S extends string> = S extends `${string}{${infer Rest}`
  ? Name<Head<Rest>> | Names<Rest>
  : never;
type Head<S extends string> = S extends `${infer A},${string}`
  ? A extends `${infer B}}${string}` ? B : A
  : S extends `${infer B}}${string}` ? B : never; // prettier-ignore
type Name<S extends string> = S extends `${string} ${string}` ? never : S extends '' ? never : S;

export type ValuesOf<K extends MessageKey> = Readonly<Record<Names<(typeof EN)[K]>, Value>>;

/** A message with exactly the values that it names. */
export function say<K extends MessageKey>(
  key: K,
  ...[values]: Names<(typeof EN)[K]> extends never ? [] : [values: ValuesOf<K>]
): Text {
  return values === undefined ? { say: key } : { say: key, with: values };
}

export function isText(value: unknown): value is Text {
  return value !== null && typeof value === 'object' && 'say' in value && typeof value.say === 'string';
}

/** Where most limits come from. */
export const PRACTICE: Text = { say: 'source.practice' };
