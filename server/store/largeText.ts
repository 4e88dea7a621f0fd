/**
 * A long text as the bytes of its UTF-8. A string is copied and encoded anew wherever it goes, between threads
 * and onto the network, by the thread that must not wait; bytes are handed on as they are.
 */
export interface LargeText {
  utf8: Uint8Array<ArrayBuffer>;
}
export type Text = string | LargeText;

/** Characters from which on a text goes as bytes. */
const LARGE = 64 * 1024;
const encoder = new TextEncoder();
const decoder = new TextDecoder();

export function packed(text: string): Text {
  return text.length < LARGE ? text : { utf8: encoder.encode(text) };
}

export function isLargeText(value: unknown): value is LargeText {
  return value !== null && typeof value === 'object' && 'utf8' in value;
}

/** The text itself; only where it is worked on, never in the server's own thread. */
export function unpacked(text: Text): string {
  return typeof text === 'string' ? text : decoder.decode(text.utf8);
}

/** What goes onto the network. */
export function wire(text: Text): string | Uint8Array {
  return typeof text === 'string' ? text : text.utf8;
}

/**
 * The memory of the long texts that stand in a value or in the objects and lists within it: handed over with
 * it to another thread, it is not copied, and gone from this one.
 */
export function buffersIn(value: unknown, depth = 3): ArrayBuffer[] {
  if (value === null || typeof value !== 'object' || depth === 0) return [];
  if (isLargeText(value)) return [value.utf8.buffer];
  if (ArrayBuffer.isView(value)) return [];
  // A text that stands there twice is handed over once.
  return [...new Set(Object.values(value).flatMap((inner) => buffersIn(inner, depth - 1)))];
}
