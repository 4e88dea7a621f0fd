import type { Resolved } from '../resolved/resolved';
import { isBought, type Gear } from '../gear/gear';
import { MATURE_DAYS, mediaToMature } from '../regime/maturing';
import { say } from '../words/text';
import { homeOf } from '../sittings/homes';
import { lineOf, neededFrom, type TakeOffLine } from './line';

/** A line for each article of gear that is bought; a device that is no article has a line without a price. */
export function gearLines(commission: Resolved): TakeOffLine[] {
  const bought = commission.gear.filter(isBought);
  const maturing = new Set(mediaToMature(commission).map((g) => g.id));
  const ids = [...new Set(bought.map((d) => d.article?.id ?? `gear-${d.id}`))];
  return ids.map((id) => {
    const own = bought.filter((d) => (d.article?.id ?? `gear-${d.id}`) === id);
    const { article } = own[0];
    return lineOf({
      id,
      kind: 'gear',
      name: article?.name ?? own[0].name,
      measured: { value: own.length, unit: 'piece' },
      needed: { value: own.length, unit: 'piece' },
      packs: article?.packs,
      ...(own.some((d) => maturing.has(d.id))
        ? { ahead: 'matures' as const, aheadDays: MATURE_DAYS }
        : neededFrom([Math.min(0, ...own.map((d) => -neededAhead(commission, d.kind)))])),
      workings: [
        { step: say('gear.listed'), value: own.length, unit: 'piece', note: say('gear.listed.note') },
      ],
    });
  });
}

/** Nights from which plants without water over them want light of their own: a dry start (common practice). */
const LIT_FROM_NIGHTS = 2;

/** Days before the build on which a device is wanted: when gear goes in, and light already over a dry start. */
function neededAhead(commission: Resolved, kind: Gear['kind']): number {
  const gear = homeOf(commission, 'equipment').aheadDays;
  const planted = Math.max(0, ...[...commission.plantings.values()].map((p) => -p.onDay));
  const lights = (kind === 'lamp' || kind === 'timer') && planted >= LIT_FROM_NIGHTS;
  return lights ? Math.max(gear, planted) : gear;
}
