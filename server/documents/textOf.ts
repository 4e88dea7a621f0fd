/** What cannot be read as text, with what to do. */
export class NoText extends Error {}

/**
 * The text of a file from outside. Spreadsheets write UTF-8, UTF-16 with its mark in front, or the character set of
 * Western Europe (windows-1252, Latin 1 within it): what is no UTF-8 is read as that, so that a name keeps its letters.
 *
 * @throws NoText for what is no text at all
 */
export function textOf(bytes: Uint8Array): string {
  if (bytes[0] === 0xff && bytes[1] === 0xfe) return new TextDecoder('utf-16le').decode(bytes);
  if (bytes[0] === 0xfe && bytes[1] === 0xff) return new TextDecoder('utf-16be').decode(bytes);
  if (bytes.includes(0)) throw new NoText('It is no text: export the list as CSV.');
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    return ofWindows1252(bytes);
  }
}

/**
 * What 0x80 to 0x9f are in windows-1252 (WHATWG, "Encoding Standard", index windows-1252); all other bytes are the
 * characters of the same number. By a table of its own: Node 20 reads these as control characters.
 */
const C1 = '€\u0081‚ƒ„…†‡ˆ‰Š‹Œ\u008dŽ\u008f\u0090‘’“”•–—˜™š›œ\u009džŸ';

function ofWindows1252(bytes: Uint8Array): string {
  return Buffer.from(bytes)
    .toString('latin1')
    .replace(/[\u0080-\u009f]/g, (c) => C1[c.charCodeAt(0) - 0x80]);
}
