import type { Brief } from '../commission/schema';
import { say, type Said } from '../words/text';

/** Who comes: by name where the brief has names, otherwise by number. */
export function crewNamesOf({ crewNames }: Pick<Brief, 'crewNames'>, crew: number): Said[] {
  return Array.from({ length: crew }, (_, i) => crewNames?.[i] ?? say('person', { number: i + 1 }));
}
