import { plantOf } from '../catalogue/entries';
import type { Commission } from '../commission/schema';
import { perimeter } from '../geometry/offset';
import type { Survey } from '../survey/survey';
import { footprint } from '../vessel/footprint';
import { bringing, canMinutes } from '../filling/filling';
import { say, type Text } from '../words/text';
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
  /** Cutting and replanting one stem; a carpet or moss by the square metre; weeks between trims. */
  trimPerStem: 0.5,
  trimPerM2: 60,
  trimEveryWeeks: 3,
  /** Cleaning a filter and pipes, every so many weeks. */
  filter: 30,
  filterEveryWeeks: 6,
  test: 10,
  dose: 1,
} as const;

/** Week in which stems and carpets are first cut (common practice). */
const FIRST_TRIM_WEEK = 3;

/** Minutes that one week asks of the keeper, part by part, from this very scape. */
export function upkeepOf(
  commission: Commission,
  survey: Survey,
  days: readonly CareDay[],
  week: number,
): UpkeepPart[] {
  const changes = days.flatMap((d) => (d.change ? [d.change.litres] : []));
  const changing = changes.reduce(
    (sum, l) => sum + UPKEEP.changeSetUp + takingOut(commission, l) + bringing(commission, l).minutes,
    0,
  );
  const doses = days.reduce((sum, d) => sum + d.doses, 0);
  const tests = days.filter((d) => d.test).length;
  const trims = week < FIRST_TRIM_WEEK ? 0 : trimMin(commission, survey) / UPKEEP.trimEveryWeeks;
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
function takingOut({ site }: Commission, litres: number): number {
  const siphon = litres / UPKEEP.siphonLPerMin;
  return site?.carry === 'cans' ? siphon + canMinutes(litres, site.drainM) : siphon;
}

function panesM2({ vessel }: Commission): number {
  return (perimeter(footprint(vessel)) * vessel.waterLineMm) / 1e6;
}

/** One trim of everything that grows to be cut, min. */
function trimMin(commission: Commission, survey: Survey): number {
  return survey.plantings.reduce((sum, planting) => {
    const { habit } = plantOf(commission, planting.plant);
    if (habit === 'stem') return sum + planting.plugs * UPKEEP.trimPerStem;
    const cut = habit === 'carpet' || habit === 'moss' || habit === 'creeper' || habit === 'grass';
    return cut ? sum + planting.netM2 * UPKEEP.trimPerM2 : sum;
  }, 0);
}
