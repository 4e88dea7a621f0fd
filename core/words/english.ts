import { dayWords } from '../calendar/day';
import { amount } from '../units/money';
import { rounded } from '../units/quantity';
import { EN } from './en';
import { inWords, type Reader } from './render';
import { isText, type Said, type Text } from './text';

/** English and metric: for the terminal, for files, and for whoever reads the computation itself. */
export const ENGLISH: Reader = {
  locale: 'en',
  messages: EN,
  figure: (value, unit, places) => ({ text: String(rounded(value, places)), unit }),
  number: (value) => String(value),
  day: dayWords,
  money: ({ minor, currency }) => `${currency} ${amount(minor, currency)}`,
};

export const inEnglish = (said: Said): string => inWords(said, ENGLISH);

/** The same data with every message in it put into words, for programs that want sentences. */
export function spoken<T>(value: T, reader: Reader = ENGLISH): Spoken<T> {
  return walked(value, reader) as Spoken<T>;
}

/** The same shape with strings in the place of messages. */
export type Spoken<T> = T extends Text
  ? string
  : T extends readonly (infer U)[]
    ? Spoken<U>[]
    : T extends object
      ? { [K in keyof T]: Spoken<T[K]> }
      : T;

function walked(value: unknown, reader: Reader): unknown {
  if (isText(value)) return inWords(value, reader);
  if (Array.isArray(value)) return value.map((v) => walked(v, reader));
  if (value !== null && typeof value === 'object' && !ArrayBuffer.isView(value))
    return Object.fromEntries(Object.entries(value).map(([k, v]) => [k, walked(v, reader)]));
  return value;
}
