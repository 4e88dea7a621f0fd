import type { Finding } from '../words/finding';

/** What is found of the brief, the vessel and the site: everything that a first visit can settle. */
export function ofFirstVisit({ id, at }: Finding): boolean {
  const [area] = id.split('.');
  const areas = ['brief', 'vessel', 'site', 'route', 'power', 'water', 'heat', 'livestock', 'rescape'];
  return areas.includes(area) || id.endsWith('.passes') || (at.field ?? '').startsWith('brief.');
}
