import type { Finding } from './finding';
import type { FindingId } from './findingIds';

/** By when a finding has to be settled: before anything is bought, before the build day, or at its own step. */
export const SETTLE_BY = ['order', 'day', 'step'] as const;
export type SettleBy = (typeof SETTLE_BY)[number];

/** What need not be settled before the order: hands, hours and guards before the day, keeping when it comes to it. */
const LATER: Partial<Record<FindingId, SettleBy>> = {
  'power.loops': 'day',
  'power.protection': 'day',
  'power.sockets': 'day',
  'note.open': 'day',
  'now.open': 'day',
  'rescape.filter': 'day',
  'rescape.holding': 'day',
  'rescape.surfaces': 'day',
  'route.mass': 'day',
  'route.team': 'day',
  'water.conditioner': 'day',
  'water.hot': 'day',
  'water.store': 'day',
  'order.after': 'day',
  'build.hour': 'day',
  'order.noday': 'day',
  'order.over': 'day',
  'build.hands': 'day',
  'build.house': 'day',
  'build.long': 'day',
  'build.midnight': 'day',
  'build.out': 'day',
  'sitting.limit': 'day',
  'sitting.night': 'day',
  'sitting.past': 'day',
  'gear.late': 'day',
  'brief.sun': 'step',
  'care.light': 'step',
  'care.minutes': 'step',
  'care.reading': 'step',
  'water.ro': 'step',
};

/** By when a finding has to be settled. */
export function settleBy({ id }: Pick<Finding, 'id'>): SettleBy {
  return LATER[id] ?? 'order';
}

/** Findings one by one in the order in which they are settled and counted, each with its number: list and drawing ask here. */
export function numbered<T extends Pick<Finding, 'id'>>(findings: readonly T[]): { n: number; finding: T }[] {
  return SETTLE_BY.flatMap((by) => findings.filter((f) => settleBy(f) === by)).map((finding, i) => ({
    n: i + 1,
    finding,
  }));
}

/** The same in groups. */
export function grouped<T extends Pick<Finding, 'id'>>(
  findings: readonly T[],
): { by: SettleBy; list: { n: number; finding: T }[] }[] {
  const all = numbered(findings);
  return SETTLE_BY.map((by) => ({ by, list: all.filter(({ finding }) => settleBy(finding) === by) })).filter(
    ({ list }) => list.length > 0,
  );
}
