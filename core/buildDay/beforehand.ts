import { dayPlus } from '../calendar/day';
import { plantOf } from '../catalogue/entries';
import { optionOf } from '../commission/lookup';
import { layerOrigin, namesOf, pieceOrigin, pieceState, plantingOrigin } from '../commission/origin';
import type { Commission, Joint, Option, Origin } from '../commission/schema';
import { gearOf } from '../gear/gear';
import { gripOf } from '../hardscape/carrying';
import { middleInTank } from '../hardscape/stability';
import { firstFill } from '../filling/firstFill';
import { peopleFor } from '../site/lifting';
import { aheadOf, joinedBefore } from '../survey/ahead';
import { MATURE_DAYS, maturesAhead, mediaToMature } from '../regime/maturing';
import { soakingOf } from '../survey/soaking';
import type { Survey } from '../survey/survey';
import { FILM_DRY_HOURS } from '../vessel/film';
import { rounded } from '../units/quantity';
import { recipeFor } from '../filling/filling';
import { inKg, inLitres, inLitresAnHour, inMm } from '../words/measure';
import { say } from '../words/text';
import { CAUTIONS } from './cautions';
import { ONE_PERSON_KG } from './rates';
import type { Beforehand } from './task';

/** What has to happen on an earlier day, in order. */
export function beforehandOf(commission: Commission, survey: Survey): Beforehand[] {
  const { buildDay } = commission.brief;
  const option = optionOf(commission, survey.optionId);
  const list: Beforehand[] = [
    ...filmBeforehand(commission),
    ...roBeforehand(commission, survey),
    ...ownBeforehand(commission, survey, option),
    ...(!maturesAhead(commission)
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
  for (const [id, days] of soakingOf(commission, survey))
    soaking.set(days, [...(soaking.get(days) ?? []), id]);
  for (const [days, ids] of soaking)
    list.push({
      day: dayPlus(buildDay, -days),
      kind: 'soak',
      title: say('before.soak.title', { pieces: ids }),
      detail: say('before.soak.detail', { days }),
    });
  list.push(...jointsBeforehand(commission, survey));
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
  const { roL } = recipeFor(commission, firstFill(commission, survey).newL);
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

/** Joints that take a day to cure, and what then is carried in as one: how heavy, by which end, with how many hands. */
function jointsBeforehand(commission: Commission, survey: Survey): Beforehand[] {
  return joinedBefore(commission, survey).map(({ pieces, joints, days }) => {
    const own = survey.pieces.filter((p) => pieces.includes(p.id));
    const { massKg: kg, by } = gripOf(
      own.map(({ id, massKg }) => ({
        id,
        massKg,
        middle: middleInTank(survey.standing.find((s) => s.piece.id === id)!),
      })),
    );
    return {
      day: dayPlus(commission.brief.buildDay, -days),
      kind: 'silicone' as const,
      title: say('before.joints.title', { joints: joints.map((j) => j.id), method: methodsOf(joints) }),
      detail: say('before.joints.detail', {
        mass: inKg(kg),
        pieces: by,
        count: peopleFor(kg, ONE_PERSON_KG),
        caution: CAUTIONS.silicone,
      }),
    };
  });
}

/** Ways of joining, each named once. */
function methodsOf(joints: readonly Joint[]) {
  return [...new Set(joints.map((j) => j.method))].map((m) => say(`method.${m}`));
}

/** Days before the build on which what is not bought is set aside and asked for (common practice). */
const ASIDE_DAYS = 7;
const ASIDE_BEFORE_WORK = 1;

/** What comes from the studio's own stock or from the client: nobody sells it, so nobody brings it. */
function ownBeforehand(commission: Commission, survey: Survey, option: Option): Beforehand[] {
  const { brief } = commission;
  // What soaks, cures or matures is there before it does.
  const ahead = aheadOf(commission, survey);
  const maturing = new Set(mediaToMature(commission).map((g) => g.id));
  const before = (days: number | undefined) => (days === undefined ? ASIDE_DAYS : days + ASIDE_BEFORE_WORK);
  const things: { name: string; origin: Origin; aheadDays: number }[] = [
    ...option.pieces.map((p) => ({ name: p.id, origin: pieceOrigin(commission, p), aheadDays: before(ahead.get(p.id)?.days) })), // prettier-ignore
    ...option.bed.flatMap((l) =>
      namesOf(commission, l).map((name) => ({ name, origin: layerOrigin(brief, l), aheadDays: ASIDE_DAYS })),
    ),
    ...option.plants.map((p) => ({
      name: plantOf(commission, p.plant).name,
      origin: plantingOrigin(brief, p),
      aheadDays: ASIDE_DAYS,
    })),
    // Media that have run stay wet where they are until the day.
    ...gearOf(commission).flatMap(({ id, origin, kind, name }) => {
      if (!origin || (kind === 'media' && !maturing.has(id))) return [];
      return [{ name, origin, aheadDays: before(maturing.has(id) ? MATURE_DAYS : undefined) }];
    }),
  ];
  const lives = option.plants.some((p) => plantingOrigin(brief, p) === 'client') || option.pieces.some((p) => pieceOrigin(commission, p) === 'client' && pieceState(p, 'client') === 'living'); // prettier-ignore
  return (['stock', 'client'] as const).flatMap((origin): Beforehand[] => {
    const these = things.filter((t) => t.origin === origin);
    if (these.length === 0) return [];
    const own = [...new Set(these.map((t) => t.name))];
    const day = dayPlus(brief.buildDay, -Math.max(ASIDE_DAYS, ...these.map((t) => t.aheadDays)));
    return origin === 'stock'
      ? [
          {
            day,
            kind: 'reserve',
            title: say('before.reserve.title', { things: own }),
            detail: say('before.reserve.detail'),
          },
        ]
      : [
          {
            day,
            kind: 'client',
            title: say('before.client.title', { things: own }),
            detail: say(lives ? 'before.client.detail.living' : 'before.client.detail'),
          },
        ];
  });
}
