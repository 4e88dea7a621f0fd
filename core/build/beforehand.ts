import { dayPlus } from '../calendar/day';
import { materialOf, optionOf } from '../commission/lookup';
import type { Commission } from '../commission/schema';
import type { Survey } from '../survey/survey';
import { FILM_DRY_HOURS } from '../vessel/film';
import { rounded } from '../units/quantity';
import { recipeFor } from '../filling/filling';
import { inLitres, inLitresAnHour, inMm } from '../words/measure';
import { say } from '../words/text';
import { CAUTIONS } from './cautions';
import type { Beforehand } from './task';

/** Days before the build on which filter media start to mature (common practice: four weeks). */
const MATURE_DAYS = 28;

/** What has to happen on an earlier day, in order. */
export function beforehandOf(commission: Commission, survey: Survey): Beforehand[] {
  const { buildDay } = commission.brief;
  const option = optionOf(commission, survey.optionId);
  const list: Beforehand[] = [
    ...filmBeforehand(commission),
    ...roBeforehand(commission, survey),
    ...(commission.brief.rescape?.filterKept
      ? []
      : [
          {
            day: dayPlus(buildDay, -MATURE_DAYS),
            kind: 'media' as const,
            title: say('before.media.title'),
            detail: say('before.media.detail'),
          },
        ]),
  ];
  const soaking = new Map<number, string[]>();
  for (const piece of option.pieces) {
    const days = materialOf(commission, piece.material).soakDays;
    if (days) soaking.set(days, [...(soaking.get(days) ?? []), piece.id]);
  }
  for (const [days, ids] of soaking)
    list.push({
      day: dayPlus(buildDay, -days),
      kind: 'soak',
      title: say('before.soak.title', { pieces: ids }),
      detail: say('before.soak.detail', { days }),
    });
  const silicone = option.joints.filter((j) => j.method === 'silicone');
  if (silicone.length > 0)
    list.push({
      day: dayPlus(buildDay, -2),
      kind: 'silicone',
      title: say('before.silicone.title', { joints: silicone.map((j) => j.id) }),
      detail: say('before.silicone.detail', { caution: CAUTIONS.silicone }),
    });
  return list.sort((a, b) => a.day.localeCompare(b.day));
}

/** Film is applied wet, squeezed out, trimmed, and dry before the scape goes in. */
function filmBeforehand({ brief, vessel }: Commission): Beforehand[] {
  const { background, innerMm } = vessel;
  if (!background) return [];
  const dry = background.dryHours ?? FILM_DRY_HOURS;
  const size = (side: string) => inMm([side === 'back' ? innerMm.length : innerMm.width, innerMm.height], 1);
  return [
    {
      day: dayPlus(brief.buildDay, -Math.max(1, Math.ceil(dry / 24))),
      kind: 'film',
      title: say('before.film.title', { colour: background.colour }),
      detail: say('before.film.detail', {
        sides: background.sides.map((side) =>
          say('before.film.side', { side: say(`side.${side}`), size: size(side) }),
        ),
        hours: dry,
      }),
    },
  ];
}

/** Reverse-osmosis water for the first fill is made ahead. */
function roBeforehand(commission: Commission, survey: Survey): Beforehand[] {
  const { ro } = commission.site ?? {};
  if (!ro) return [];
  const { roL } = recipeFor(commission, survey.freeWaterL + survey.poreWaterL);
  if (roL < 1) return [];
  const hours = roL / ro.litresPerHour;
  return [
    {
      day: dayPlus(commission.brief.buildDay, -Math.max(1, Math.ceil(hours / 24))),
      kind: 'ro',
      title: say('before.ro.title', { litres: inLitres(roL, 0) }),
      detail: say('before.ro.detail', {
        hours: rounded(hours, 0),
        rate: inLitresAnHour(ro.litresPerHour),
      }),
    },
  ];
}
