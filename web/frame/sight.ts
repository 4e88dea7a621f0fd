import type { Sight } from '../../core/commission/sight';
import { mySight } from '../document/people';
import { STAGES } from './stages';

/*
 * Which pages of a commission somebody sees who does not design: what is read from, not what is drawn on. By the stage that
 * leads to them, the one first that they open a commission for.
 */
const PAGES: Record<Sight, Readonly<Record<string, string>>> = {
  crew: { build: 'run-sheet', bench: 'setting-out', planting: 'planting-plan', order: 'order', handover: 'handover', log: 'log' },
  books: { 'take-off': 'take-off', order: 'order' },
  guest: { build: 'run-sheet', bench: 'setting-out', planting: 'planting-plan', handover: 'handover', log: 'log' },
}; // prettier-ignore
/** Pages that such a page leads to. */
const ALSO: Record<Sight, readonly string[]> = { crew: ['build'], books: ['quote', 'shopping'], guest: [] };

/** The stages that whoever is here sees, in their order, each with the page that it leads to. */
export function stagesSeen(): { name: string; title: string; page: string }[] {
  const sight = mySight();
  const pages = sight && PAGES[sight];
  return STAGES.flatMap(([name, title]) => {
    if (!pages) return [{ name, title, page: name }];
    return pages[name] ? [{ name, title, page: pages[name] }] : [];
  });
}

/** Where somebody is led who may not see a page of a commission; undefined where they may. */
export function instead(page: string): string | undefined {
  const sight = mySight();
  if (!sight) return undefined;
  const theirs = Object.values(PAGES[sight]);
  return theirs.includes(page) || ALSO[sight].includes(page) ? undefined : theirs[0];
}
