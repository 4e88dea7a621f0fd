import { closeSync, openSync, readdirSync, readSync } from 'node:fs';
import { join, relative } from 'node:path';

/** Read at once, bytes; what lies across the end of it is read again with the next. */
const PIECE = 4 * 1024 * 1024;
/** What is never looked into: surfaces of stones, figures alone. */
const FIGURES = /\.(?:mesh|drawn)$/;

/** A word of so many characters is found by chance nowhere; a shorter one has to stand by itself, among others. */
const TELLING = 8;
const AMONG = 6;

/**
 * Every file of a folder in which a word still stands, by its place in the folder, letter case aside. A short word counts
 * where it stands by itself in text, so that "Lee" is found neither in "Leeds" nor in a picture. Looked for in the bytes
 * as they are on the disk, freed pages and logs too.
 */
export function filesWith(folder: string, words: readonly string[]): string[] {
  const wanted = words.map((word) => word.toLocaleLowerCase('en')).filter((word) => word.length > 1);
  if (wanted.length === 0) return [];
  const files = readdirSync(folder, { withFileTypes: true, recursive: true });
  return files
    .filter((entry) => entry.isFile() && !FIGURES.test(entry.name))
    .map((entry) => join(entry.parentPath, entry.name))
    .filter((file) => isIn(file, wanted))
    .map((file) => relative(folder, file))
    .sort();
}

function isIn(file: string, words: readonly string[]): boolean {
  const longest = Math.max(...words.map((word) => Buffer.byteLength(word))) * 2 + 8;
  const buffer = Buffer.alloc(PIECE);
  const handle = openSync(file, 'r');
  try {
    for (let at = 0; ; at += PIECE - longest) {
      const read = readSync(handle, buffer, 0, PIECE, at);
      const text = buffer.toString('utf8', 0, read).toLocaleLowerCase('en');
      if (words.some((word) => standsIn(text, word))) return true;
      if (read < PIECE) return false;
    }
  } finally {
    closeSync(handle);
  }
}

const LETTER = /[\p{L}\p{N}]/u;
/** What is no text: control characters, and what cannot be read as UTF-8. */
const NO_TEXT = /(?![\n\r\t])\p{Cc}|\ufffd/u;

function standsIn(text: string, word: string): boolean {
  for (let at = text.indexOf(word); at >= 0; at = text.indexOf(word, at + 1)) {
    if (word.length >= TELLING) return true;
    const before = text.slice(Math.max(0, at - AMONG), at);
    const after = text.slice(at + word.length, at + word.length + AMONG);
    const byItself = !LETTER.test(before.at(-1) ?? '') && !LETTER.test(after.at(0) ?? '');
    if (byItself && !NO_TEXT.test(before + after)) return true;
  }
  return false;
}
