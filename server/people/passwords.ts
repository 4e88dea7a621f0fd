import { createRequire } from 'node:module';

/** Least and most letters of a password: longer than can be guessed, short enough to be hashed at once (OWASP ASVS 4.0.3, 2.1.1 and 2.1.2). */
export const PASSWORD = { least: 12, most: 128 } as const;

/** Tens of thousands that are guessed first, in small letters; a data file of a package, read when it is first wanted. */
let common: ReadonlySet<string> | undefined;
function isCommon(password: string): boolean {
  common ??= new Set((createRequire(import.meta.url)('@zxcvbn-ts/language-common') as { dictionary: { 'passwords-common': string[] } }).dictionary['passwords-common']); // prettier-ignore
  const plain = password.toLowerCase();
  const half = plain.slice(0, plain.length / 2);
  // Alone, with figures and signs behind it, or twice; one letter again and again.
  const known = [plain, withoutEnd(plain), half.repeat(2) === plain ? half : plain];
  return known.some((p) => common!.has(p)) || [...plain].every((letter, _, all) => letter === all[0]);
}

/** A text without what is no letter at its end. */
function withoutEnd(text: string): string {
  let end = text.length;
  while (end > 0 && !/\p{L}/u.test(text[end - 1])) end--;
  return text.slice(0, end);
}

/**
 * What is wrong with a new password, in words that do not say it; undefined where nothing is. Letters are counted as they are seen.
 * Test: people.test.ts, "refuses passwords that are short, long, common or ten megabytes, says why, and takes emoji".
 */
export function passwordFault(password: string): string | undefined {
  const letters = password.length > 4 * PASSWORD.most ? Infinity : [...password].length;
  if (letters < PASSWORD.least)
    return `The password is too short: it must have at least ${PASSWORD.least} letters, three or four words do.`;
  if (letters > PASSWORD.most)
    return `The password is too long: it must have at most ${PASSWORD.most} letters.`;
  if (isCommon(password))
    return 'The password is one of those that are guessed first: take some words that nobody would put together.';
  return undefined;
}
