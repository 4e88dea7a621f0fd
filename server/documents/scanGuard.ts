import { NoScan } from './noScan';

/*
 * What a scan says of itself, held against what is there before anything is made of it; one walk over the bytes. The
 * readers that follow take as much time and memory as a file declares, and more than in proportion where a line or a
 * part of it never ends.
 */

/** Triangles of a file at most. */
export const MOST_TRIANGLES = 2_000_000;
/** Corners: a closed surface has half as many as triangles, one that is not joined three times as many. */
const MOST_CORNERS = 3 * MOST_TRIANGLES;
/** Characters of a line that describes one corner, or one face of some hundred corners. */
const MOST_IN_LINE = 4_000;
/** Characters of text that are read; beyond it a scan is better sent as STL in its binary form, or as GLB. */
const MOST_TEXT = 40 * 1024 * 1024;

const [LF, CR, SPACE, TAB] = [10, 13, 32, 9];
const letter = (c: string) => c.charCodeAt(0);
const [V, F] = [letter('v'), letter('f')];

/** An STL in its binary form: 80 bytes of anything, how many triangles, 50 bytes each. */
export function isBinaryStl(bytes: Uint8Array): boolean {
  if (bytes.byteLength < 84) return false;
  const count = new DataView(bytes.buffer, bytes.byteOffset).getUint32(80, true);
  return 84 + count * 50 === bytes.byteLength;
}

/** @throws NoScan when it is neither form of STL, or too much */
export function guardStl(bytes: Uint8Array): void {
  if (isBinaryStl(bytes)) return guardTriangles((bytes.byteLength - 84) / 50);
  if (!startsWith(bytes, 'solid')) throw new NoScan('It could not be read as STL: is it whole?');
  guardText(bytes);
  const [facets, ends] = [countOf(bytes, 'facet'), countOf(bytes, 'endfacet')];
  // "endfacet" has "facet" in it.
  if (facets !== 2 * ends)
    throw new NoScan('It could not be read as STL: a triangle in it does not end. Is it whole?');
  if (countOf(bytes, 'vertex') !== 3 * ends)
    throw new NoScan('It could not be read as STL: a triangle in it has not three corners. Is it whole?');
  guardTriangles(ends);
}

/** @throws NoScan when it has more corners, faces or characters in a line than can be read */
export function guardObj(bytes: Uint8Array): void {
  guardText(bytes);
  let [corners, faces, from] = [0, 0, 0];
  for (let i = 0; i <= bytes.length; i++) {
    const end = i === bytes.length || bytes[i] === LF || bytes[i] === CR;
    if (!end) continue;
    if (i - from > MOST_IN_LINE)
      throw new NoScan(`It has a line of ${i - from} characters: export it with faces of three or four corners.`); // prettier-ignore
    const second = bytes[from + 1];
    if (second === SPACE || second === TAB) {
      if (bytes[from] === V) corners++;
      else if (bytes[from] === F) faces++;
    }
    from = i + 1;
  }
  if (corners > MOST_CORNERS / 3)
    throw new NoScan(
      `It has ${corners} corners, must have at most ${MOST_CORNERS / 3}: export it with fewer.`,
    );
  if (faces === 0) throw new NoScan('There is no face in it: is it the file of the scan?');
  guardTriangles(faces);
}

function guardTriangles(count: number): void {
  if (count > MOST_TRIANGLES)
    throw new NoScan(`It has ${count} triangles, must have at most ${MOST_TRIANGLES}: export it with fewer.`);
}

function guardText(bytes: Uint8Array): void {
  if (bytes.length > MOST_TEXT)
    throw new NoScan(`It has ${Math.ceil(bytes.length / 1024 / 1024)} MB of text, must have at most ${MOST_TEXT / 1024 / 1024}: export it as GLB or binary STL.`); // prettier-ignore
}

function startsWith(bytes: Uint8Array, word: string): boolean {
  return [...word].every((c, i) => bytes[i] === letter(c));
}

/** How often a word stands in it. */
function countOf(bytes: Uint8Array, word: string): number {
  const text = Buffer.from(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  let count = 0;
  for (let at = text.indexOf(word); at >= 0; at = text.indexOf(word, at + word.length)) count++;
  return count;
}
