import type { Change, Step } from '../../core/commission/changes';
import { fieldUnit } from '../../core/commission/fieldUnit';
import type { Clash } from '../../core/commission/merge';
import type { Text } from '../../core/words/text';

/** What was changed in two places, in words. */
export interface ClashRow {
  place: string;
  mine: string;
  theirs: string;
  unfit?: string;
}

const LONGEST = 160;

/** Each with what is to be said of it; `words` puts a fault into the reader's units. */
export function clashRows(clashes: readonly Clash[], words: (said: Text) => string): ClashRow[] {
  return clashes.map(({ change, theirs, unfit }) => ({
    place: placeWords(change.path),
    mine: change.order ? 'in the order set here' : valueWords(change.is, isEntry(change)),
    theirs: change.order ? 'in the order set elsewhere' : valueWords(theirs, isEntry(change)),
    ...(unfit ? { unfit: `${unfit.path} ${words(unfit.says)}` } : {}),
  }));
}

/** A change of a field inside an entry that is gone elsewhere is about the entry, too. */
function isEntry({ path }: Change): boolean {
  return typeof path.at(-1) === 'object';
}

/** Lists that say nothing of their own: their entries are named. */
const UNSAID = new Set(['options', 'brief', 'bed', 'pieces', 'plants', 'joints']);

/** `options[a].pieces[S-1].turnDeg` is "a, S-1, turn (deg)". */
export function placeWords(path: readonly Step[]): string {
  return path
    .flatMap((step) => (typeof step === 'object' ? [step.id] : UNSAID.has(step) ? [] : [fieldWords(step)]))
    .join(', ');
}

/** `waterLineMm` is "water line (mm)". */
function fieldWords(name: string): string {
  const { stem, unit } = fieldUnit(name);
  const words = stem.replace(/([a-z])([A-Z])/g, (_, a: string, b: string) => `${a} ${b.toLowerCase()}`);
  return unit && unit !== stem ? `${words} (${unit})` : words;
}

function valueWords(value: unknown, entry: boolean): string {
  if (value === undefined || value === null) return entry ? 'taken out' : 'nothing';
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (typeof value === 'object') return objectWords(value);
  const text = String(value);
  return text.length > LONGEST ? `${text.slice(0, LONGEST)} …` : text;
}

function objectWords(value: object): string {
  if (Array.isArray(value)) {
    const flat = value.every((v) => typeof v !== 'object');
    return flat && value.length <= 12 ? value.join(', ') : `${value.length} entries`;
  }
  const { title, name, text, id } = value as Record<string, unknown>;
  const said = [title, name, text, id].find((v) => typeof v === 'string');
  if (said) return String(said).slice(0, LONGEST);
  return Object.entries(value)
    .filter(([, v]) => typeof v !== 'object')
    .map(([k, v]) => `${fieldWords(k)} ${String(v)}`)
    .join(', ');
}
