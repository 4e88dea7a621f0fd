import { nameOfEntry, packOf, wholeOf } from '../commission/lookup';
import { packWordsOf } from '../takeoff/line';
import { comesGrown } from '../commission/usual';
import { dayPlus, daysFrom } from '../calendar/day';
import type { Joint, Origin } from '../commission/schema';
import type { Resolved } from '../resolved/resolved';
import { sizeMmOf } from '../hardscape/extent';
import { meansOf } from '../hardscape/joining';
import { gripOf } from '../hardscape/carrying';
import { middleInTank } from '../hardscape/stability';
import { firstFill } from '../filling/firstFill';
import { peopleFor } from '../site/lifting';
import { pieceWorks } from '../beforehand/ahead';
import { brokenDownOf } from '../beforehand/brokenDown';
import { beginning, type EarlierWork } from '../beforehand/earlier';
import type { Held } from '../beforehand/held';
import { tubsFor } from '../beforehand/tubsFor';
import { MATURE_DAYS, maturesAhead, mediaToMature } from '../regime/maturing';
import type { Survey } from '../survey/survey';
import { homeOf, triedAheadDays } from '../sittings/homes';
import { FILM_DRY_HOURS } from '../vessel/film';
import { litresToHeight } from '../vessel/litres';
import { isToBeTried, LEAK_TEST_DAYS } from '../vessel/secondHand';
import { rounded } from '../units/quantity';
import { recipeFor } from '../filling/filling';
import { inKg, inLitres, inLitresAnHour, inMm } from '../words/measure';
import { say } from '../words/text';
import { brokenDownWork } from './brokenDownWork';
import { CAUTIONS } from './cautions';
import { ONE_PERSON_KG } from './rates';
import type { Beforehand } from './task';

/** Work before the day, as it is said. */
type Said = EarlierWork & Pick<Beforehand, 'title' | 'detail'> & { holds?: Omit<Held, 'until'> };

/** What has to happen on an earlier day, in order: when each begins at the latest follows from what waits for it (`earlier.ts`). */
export function beforehandOf(commission: Resolved, survey: Survey): Beforehand[] {
  const { buildDay } = commission.brief;
  const works: Said[] = [
    ...leakBeforehand(commission),
    ...filmBeforehand(commission),
    ...roBeforehand(commission, survey),
    ...mediaBeforehand(commission),
    ...soakBeforehand(commission, survey),
    ...jointsBeforehand(commission, survey),
  ];
  const list = beginning([...ownBeforehand(commission, works), ...works]).map(
    ({ kind, title, detail, days, because, holds, aheadDays = 0 }): Beforehand => ({
      day: dayPlus(buildDay, -days),
      kind,
      title,
      detail,
      ...(because ? { because } : {}),
      ...(holds ? { holds: { ...holds, until: dayPlus(buildDay, -aheadDays) } } : {}),
    }),
  );
  const elsewhere = brokenDownWork(brokenDownOf(commission, survey), buildDay);
  return [...elsewhere, ...bringAlong(commission), ...list].sort((a, b) => a.day.localeCompare(b.day));
}

/** What was received at the studio and is used on site: it comes along on the day. */
function bringAlong(commission: Resolved): Beforehand[] {
  const here = (commission.received ?? []).filter((r) => r.at === 'studio');
  const things = here.flatMap((r) => {
    const { item, pack } = r;
    const count = wholeOf(r);
    const known = packOf(commission, item, pack);
    return count > 0 && known ? [say('calendar.line', { packs: packWordsOf(count, known), name: nameOfEntry(commission, item) })] : [];
  });
  if (things.length === 0) return [];
  return [{ day: commission.brief.buildDay, kind: 'bring', title: say('before.bring.title', { things }), detail: say('before.bring.detail') }];
} // prettier-ignore

/** A second-hand tank is tried so early that another can still be found (common practice), once it is there. */
const LEAK_TEST_AHEAD = 14;

function leakBeforehand(commission: Resolved): Said[] {
  const { vessel } = commission;
  if (!isToBeTried(commission)) return [];
  return [
    {
      kind: 'leak',
      things: ['vessel'],
      takesDays: LEAK_TEST_DAYS,
      usualDays: Math.min(LEAK_TEST_AHEAD, ...tankFetchedDays(commission)),
      aheadDays: homeOf(commission, 'protect').aheadDays,
      title: say('before.leak.title'),
      detail: say('before.leak.detail', {
        litres: inLitres(litresToHeight(vessel, vessel.waterLineMm), 0),
      }),
    },
  ];
}

/** Days before the build on which a tank that is part of a lot is fetched. */
function tankFetchedDays({ brief }: Resolved): number[] {
  return (brief.brokenDown ?? []).filter((b) => b.withTank).map((b) => daysFrom(b.day, brief.buildDay));
}

/** Film is applied wet, squeezed out, trimmed, and dry before the scape goes in. */
function filmBeforehand(commission: Resolved): Said[] {
  const { background, innerMm } = commission.vessel;
  if (!background) return [];
  const dry = background.dryHours ?? FILM_DRY_HOURS;
  const size = (side: string) => inMm([side === 'back' ? innerMm.length : innerMm.width, innerMm.height], 1);
  return [
    {
      kind: 'film',
      things: ['vessel'],
      takesDays: wholeDays(dry),
      aheadDays: homeOf(commission, 'protect').aheadDays,
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

/** Hours as the days that they take, at least one. */
const wholeDays = (hours: number) => Math.max(1, Math.ceil(hours / 24));

/** Reverse-osmosis water for the first fill is made ahead. */
function roBeforehand(commission: Resolved, survey: Survey): Said[] {
  const { ro } = commission.site ?? {};
  if (!ro) return [];
  const { roL } = recipeFor(commission, firstFill(commission, survey).newL);
  if (roL < 1) return [];
  const hours = roL / ro.litresPerHour;
  return [
    {
      kind: 'ro',
      things: [],
      takesDays: wholeDays(hours),
      ...(ro.ofStudio ? { holds: { what: 'ro' as const, amount: Math.round(roL) } } : {}),
      title: say('before.ro.title', { litres: inLitres(roL, 0) }),
      detail: say('before.ro.detail', { hours: rounded(hours, 0), rate: inLitresAnHour(ro.litresPerHour) }),
    },
  ];
}

function mediaBeforehand(commission: Resolved): Said[] {
  if (!maturesAhead(commission)) return [];
  return [
    {
      kind: 'media',
      things: mediaToMature(commission).map((g) => g.id),
      takesDays: MATURE_DAYS,
      title: say('before.media.title'),
      detail: say('before.media.detail'),
    },
  ];
}

/** Into the tub, those that soak equally long for the same sitting together. */
function soakBeforehand(commission: Resolved, survey: Survey): Said[] {
  const soaks = pieceWorks(commission).filter((w) => w.kind === 'soak');
  const lotOf = ({ takesDays, aheadDays }: EarlierWork) => `${takesDays} ${aheadDays}`;
  return [...new Set(soaks.map(lotOf))].map((lot) => {
    const own = soaks.filter((w) => lotOf(w) === lot);
    const { takesDays: days, aheadDays } = own[0];
    const things = own.flatMap((w) => w.things);
    const { tubs, tooLong } = tubsFor(
      things.map((id) => ({
        id,
        sizeMm: sizeMmOf(survey.standing.find((s) => s.piece.id === id)!.piece.shape),
      })),
    );
    return {
      kind: 'soak',
      things,
      takesDays: days,
      aheadDays,
      holds: { what: 'tub' as const, amount: tubs },
      title: say('before.soak.title', { pieces: things }),
      detail:
        tooLong.length > 0
          ? say('before.soak.long', { days, count: tubs, pieces: tooLong })
          : say('before.soak.detail', { days, count: tubs }),
    };
  });
}

/** Joints that take a day to cure, and what then is carried in as one: how heavy, by which end, with how many hands. */
function jointsBeforehand(commission: Resolved, survey: Survey): Said[] {
  const joined = pieceWorks(commission).filter((w) => w.kind === 'silicone');
  return joined.map(({ things, joints, takesDays, aheadDays }) => {
    const own = survey.pieces.filter((p) => things.includes(p.id));
    const { massKg: kg, by } = gripOf(
      own.map(({ id, massKg }) => ({
        id,
        massKg,
        middle: middleInTank(survey.standing.find((s) => s.piece.id === id)!),
      })),
    );
    return {
      kind: 'silicone',
      things,
      takesDays,
      aheadDays,
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
  return [...new Set(joints.flatMap(meansOf))].map((m) => say(`method.${m}`));
}

/** Days before the build on which what is not bought is set aside and asked for, and before it is worked on (common practice). */
const ASIDE_DAYS = 7;
const ASIDE_BEFORE_WORK = 1;

/** What comes from the studio's own stock or from the client: nobody sells it, so nobody brings it. */
function ownBeforehand(commission: Resolved, works: readonly EarlierWork[]): Said[] {
  const maturing = new Set(mediaToMature(commission).map((g) => g.id));
  // What comes out of a scape that is broken down is neither on the shelf nor at the client's.
  const things: { id?: string; name: string; origin: Origin; onDay?: number }[] = [
    ...[...commission.pieces].filter(([, p]) => !p.piece.from).map(([id, { origin, onDay }]) => ({ id, name: id, origin, onDay: onDay > 0 ? onDay : Math.min(onDay, -triedAheadDays(commission)) })), // prettier-ignore
    ...[...commission.layers.values()]
      .filter((l) => !l.layer.from)
      .flatMap(({ parts, origin, onDay }) =>
        parts.map(({ material }) => ({ name: material.name, origin, onDay })),
      ),
    ...[...commission.plantings.values()]
      .filter((p) => !comesGrown(p.planting) && !p.planting.from)
      .map(({ plant, origin, onDay }) => ({ name: plant.name, origin, onDay })),
    ...commission.strewn.map(({ material, origin, onDay }) => ({ name: material.name, origin, onDay })),
    // Media that have run stay wet where they are until the day.
    ...commission.gear.flatMap(({ id, origin, kind, name, device }) =>
      !origin || device.from || (kind === 'media' && !maturing.has(id)) ? [] : [{ id, name, origin }],
    ),
  ];
  const worked = new Set(works.flatMap((w) => w.things));
  const living =
    [...commission.plantings.values()].some((p) => p.origin === 'client') ||
    [...commission.pieces.values()].some((p) => p.origin === 'client' && p.state === 'living');
  return (['stock', 'client'] as const).flatMap((origin): Said[] => {
    const these = things.filter((t) => t.origin === origin);
    if (these.length === 0) return [];
    const own = these.flatMap((t) => t.id ?? []);
    const names = [...new Set(these.map((t) => t.name))];
    const byStock = origin === 'stock';
    const isSooner = own.some((id) => worked.has(id)) || these.some((t) => (t.onDay ?? 0) < 0);
    const ready = say(isSooner ? 'before.client.worked' : 'before.client.ready');
    return [
      {
        kind: byStock ? 'reserve' : 'client',
        things: own,
        takesDays: ASIDE_BEFORE_WORK,
        usualDays: ASIDE_DAYS,
        aheadDays: Math.max(0, ...these.map((t) => -(t.onDay ?? 0))),
        title: say(byStock ? 'before.reserve.title' : 'before.client.title', { things: names }),
        detail: byStock
          ? say('before.reserve.detail')
          : living
            ? say('before.client.living', { ready })
            : ready,
      },
    ];
  });
}
