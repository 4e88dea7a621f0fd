import type { Resolved } from '../resolved/resolved';
import { perimeter } from '../geometry/offset';
import { footprint } from '../vessel/footprint';
import { bringing, canMinutes } from '../filling/filling';
import { say, type Text } from '../words/text';
import type { Growing } from './carePlan';
import type { CareDay } from './careDay';

/** One kind of work of a week and what it takes, min. */
export interface UpkeepPart {
  kind: 'changes' | 'panes' | 'trimming' | 'filter' | 'tests' | 'food';
  what: Text;
  minutes: number;
}

/** How long upkeep takes (common practice); the studio's own pace may differ. */
export const UPKEEP = {
  /** Setting up and clearing away for one change; a siphon's litres a minute. */
  changeSetUp: 8,
  siphonLPerMin: 8,
  /** Wiping a square metre of glass. */
  panesPerM2: 8,
  /** Cutting and replanting one stem; a carpet or moss by the square metre. */
  trimPerStem: 0.5,
  trimPerM2: 60,
  /** Cleaning a filter and pipes, every so many weeks. */
  filter: 30,
  filterEveryWeeks: 6,
  test: 10,
  dose: 1,
} as const;

/** Minutes that one week asks of the keeper, part by part, from this very scape. */
export function upkeepOf(
  commission: Resolved,
  parts: readonly Growing[],
  days: readonly CareDay[],
): UpkeepPart[] {
  const changes = days.flatMap((d) => (d.change ? [d.change.litres] : []));
  const changing = changes.reduce(
    (sum, l) => sum + UPKEEP.changeSetUp + takingOut(commission, l) + bringing(commission, l).minutes,
    0,
  );
  const doses = days.reduce((sum, d) => sum + d.doses, 0);
  const tests = days.filter((d) => d.test).length;
  const trims = parts.reduce((sum, p) => sum + trimsOn(p, days) * trimMin(p), 0);
  return [
    { kind: 'changes' as const, what: say('upkeep.changes', { count: changes.length }), minutes: changing },
    part('panes', panesM2(commission) * UPKEEP.panesPerM2),
    part('trimming', trims),
    part('filter', UPKEEP.filter / UPKEEP.filterEveryWeeks),
    part('tests', tests * UPKEEP.test),
    part('food', doses * UPKEEP.dose),
  ].filter((p) => p.minutes > 0.05);
}

function part(kind: Exclude<UpkeepPart['kind'], 'changes'>, minutes: number): UpkeepPart {
  return { kind, what: say(`upkeep.${kind}`), minutes };
}

/** Old water by siphon to the drain, or carried there in cans. */
function takingOut({ site }: Resolved, litres: number): number {
  const siphon = litres / UPKEEP.siphonLPerMin;
  return site?.carry === 'cans' ? siphon + canMinutes(litres, site.drainM) : siphon;
}

function panesM2({ vessel }: Resolved): number {
  return (perimeter(footprint(vessel)) * vessel.waterLineMm) / 1e6;
}

/** How many trims of a planting fall on some days: as planting has them. */
function trimsOn({ trims }: Growing, days: readonly CareDay[]): number {
  return trims.filter((after) => days.some((d) => d.afterDays === after)).length;
}

/** One trim of a planting, min: stem by stem, or by its area. */
function trimMin({ plant: { habit }, count, netM2 }: Growing): number {
  if (habit === 'stem') return count * UPKEEP.trimPerStem;
  const cut = habit === 'carpet' || habit === 'moss' || habit === 'creeper' || habit === 'grass';
  return cut ? netM2 * UPKEEP.trimPerM2 : 0;
}
