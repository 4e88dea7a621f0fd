import { say, type Text } from '../words/text';

/** Nothing here is measured more finely; what is not 0 and below it only makes other figures overflow. */
export const FINEST = 1e-4;

/** What a field must be where the kind of value alone does not say it. */
const MUST = {
  whole: say('must.be.whole'),
  day: say('must.be.day'),
  clock: say('must.be.clock'),
  picture: say('must.be.picture'),
  mesh: say('must.be.mesh'),
  currency: say('must.be.currency'),
  language: say('must.be.language'),
  fine: say('must.be.fine', { finest: String(FINEST) }),
  rising: say('must.rise'),
  offers: say('must.be.offers'),
  grid: say('must.fill.grid'),
  timespan: say('must.begin.first'),
} as const;

/** The message of a schema's check, by which `mustText` knows what is to be said. */
export function must(what: keyof typeof MUST): string {
  return `must: ${what}`;
}

/** What the message of a check stands for, or undefined where it is the check's own. */
export function mustText(message: string): Text | undefined {
  const what = message.replace(/^must: /, '');
  return what !== message && Object.hasOwn(MUST, what) ? MUST[what as keyof typeof MUST] : undefined;
}
