import { isEmpty, type BrokenDown } from '../beforehand/brokenDown';
import { dayPlus, type Day } from '../calendar/day';
import { GLASS_LIFT, peopleFor, recommendedKg } from '../site/lifting';
import { inKg, inLitres } from '../words/measure';
import { say, type Text } from '../words/text';
import { CAUTIONS, together } from './cautions';
import { ONE_PERSON_KG, RATES } from './rates';
import type { Beforehand } from './task';

/** The day on which another scape is broken down: what is taken out of it, how long that takes two hands, what is carried. */
export function brokenDownWork(all: readonly BrokenDown[], buildDay: Day): Beforehand[] {
  return all
    .filter((b) => !isEmpty(b))
    .map((b) => ({
      day: dayPlus(buildDay, -b.aheadDays),
      kind: 'brokenDown',
      title: say(b.entry.priceMinor === undefined ? 'before.brokenDown.title' : 'before.lot.title', {
        name: b.entry.name,
        things: outOf(b),
      }),
      detail: detailOf(b),
      handMin: minutesOf(b),
    }));
}

/** What comes out of it, as it is counted. */
function outOf({ pieces, bed, plants, gear, animals, tankKg }: BrokenDown): Text[] {
  const mass = inKg(pieces.reduce((kg, p) => kg + p.massKg, 0));
  return [
    ...(tankKg === undefined ? [] : [say('brokenDown.tank', { mass: inKg(tankKg) })]),
    ...animals.map((a) => say('brokenDown.animals', a)),
    ...(pieces.length > 0 ? [say('lift.pieces', { pieces: pieces.map((p) => p.id), mass })] : []),
    ...plants.map((p) => say('lift.plants', { count: p.plugs, plant: p.name })),
    ...bed.map((l) => say('strip.out.bed', { litres: inLitres(l.litres), name: l.name })),
    ...(gear.length > 0 ? [say('brokenDown.gear', { devices: gear.map((g) => g.name) })] : []),
  ];
}

/** How long it takes, what weighs how much, how it travels; hands and law at each. */
function detailOf(b: BrokenDown): Text {
  const values = { minutes: minutesOf(b), mass: inKg(b.massKg), how: travelsOf(b) };
  const stones = peopleFor(Math.max(0, ...b.pieces.map((p) => p.massKg)), ONE_PERSON_KG);
  const tank = peopleFor(b.tankKg ?? 0, recommendedKg(GLASS_LIFT));
  const isWet = b.animals.length + b.plants.length + b.gear.length > 0 || b.entry.priceMinor === undefined;
  return together([
    say(b.massKg > 0 ? 'before.brokenDown.detail' : 'before.brokenDown.light', values),
    ...(b.animals.length > 0 ? [say('before.brokenDown.animals'), CAUTIONS.welfare] : []),
    ...(Math.max(stones, tank) > 1 ? [say('before.brokenDown.heavy', { count: Math.max(stones, tank) })] : []),
    ...(b.bed.length > 0 ? [CAUTIONS.strip] : isWet ? [CAUTIONS.mains] : []),
  ]);
} // prettier-ignore

/** How what comes out of it travels. */
function travelsOf({ living, pieces, bed, plants, gear, tankKg }: BrokenDown): Text[] {
  return [
    ...(pieces.length > 0 ? [say(living ? 'brokenDown.travels.pieces' : 'brokenDown.travels.dry')] : []),
    ...(plants.length > 0 ? [say('brokenDown.travels.plants')] : []),
    ...(bed.length > 0 ? [say('brokenDown.travels.bed')] : []),
    ...(gear.length > 0 ? [say('brokenDown.travels.gear')] : []),
    ...(tankKg === undefined ? [] : [say('brokenDown.travels.tank')]),
  ];
}

/** Minutes of one pair of hands: tubs and covers, animals, each piece and plug, each litre by the siphon, devices. */
export function minutesOf({ pieces, bed, plants, gear, animals }: BrokenDown): number {
  const plugs = plants.reduce((sum, p) => sum + p.plugs, 0);
  const litres = bed.reduce((sum, l) => sum + l.litres, 0);
  const count = animals.reduce((sum, a) => sum + a.count, 0);
  const each = pieces.length * RATES.liftPiece + plugs * RATES.liftPlug + gear.length * RATES.oldDevice;
  return Math.round(RATES.lift + each + litres * RATES.siphonBedPerL + count * RATES.perAnimal);
}
