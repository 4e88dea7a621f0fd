import { dliOf } from '../catalogue/knownPlants';
import { coverDays, dliForFactor, growthOf, spacingToCover } from '../growth/growth';
import { closesLike } from '../planting/arranged';
import { plugsFor } from '../planting/plugs';
import { rounded } from '../units/quantity';
import { inMm } from '../words/measure';
import { say, type Text } from '../words/text';
import type { Living } from './conditions';
import type { Planted } from './planted';

/** Nobody sets plugs closer than this: from here on a mat is laid, mm (common practice). */
const CLOSEST_MM = 12;
/** A build is moved by so much at most, days: six weeks (common practice). */
const MOST_SOONER = 42;

/** What would make a planting close within some days after the build, each of them by itself, the plainest first. */
export function inTime(part: Planted, until: number, living: Pick<Living, 'co2' | 'lit'>): Text[] {
  const { plant, cover, count, afterDays: later = 0 } = part;
  const ways: Text[] = [];
  if (cover && later > 0 && cover.days - later <= until) ways.push(say('plant.cover.first'));
  const mm = closeEnough(part, until - later);
  if (mm !== undefined) ways.push(say('plant.cover.denser', { mm: inMm(mm), plugs: plugsFor(part.netM2 * 1e6, mm), count })); // prettier-ignore
  if (living.lit) ways.push(...lightOrGas(part, until - later, living.co2));
  if (mm === undefined && plant.habit === 'carpet') ways.push(say('plant.cover.mat'));
  const sooner = cover ? Math.ceil(cover.days - until) : Infinity;
  if (sooner <= MOST_SOONER) ways.push(say('plant.cover.sooner', { days: sooner }));
  return ways;
}

/** How far apart, whole millimetres; undefined where that is closer than anybody plants. */
function closeEnough({ plant, planting, growth }: Planted, days: number): number | undefined {
  const even = spacingToCover(plant, growth, days);
  const mm = even === undefined ? 0 : Math.floor(even / closesLike(planting.set, 1));
  return mm < CLOSEST_MM ? undefined : mm;
}

/** With more light, with gas where there is none, or with both: what is the least of it. */
function lightOrGas(
  { plant, planting, growth, spacingMm, meanDli }: Planted,
  days: number,
  co2: boolean,
): Text[] {
  const { restsDays, grownMm } = growth;
  const best = { ...growthOf(plant, { dli: dliOf(plant)[1], co2: true }), restsDays, grownMm };
  const fastest = coverDays(plant, closesLike(planting.set, spacingMm!), best);
  if (!fastest || fastest.days > days) return [];
  const factor = (fastest.days - restsDays) / (days - restsDays);
  const bright = dliForFactor(plant, factor, co2);
  const fed = co2 ? undefined : dliForFactor(plant, factor, true);
  return [
    ...(fed !== undefined && fed <= meanDli ? [say('plant.cover.gas')] : []),
    ...(bright !== undefined && bright > meanDli ? [say('plant.cover.light', { dli: upTo(bright) })] : []),
    ...(bright === undefined && fed !== undefined && fed > meanDli ? [say('plant.cover.both', { dli: upTo(fed) })] : []), // prettier-ignore
  ];
}

/** Rounded up: less would not do. */
const upTo = (dli: number) => rounded(Math.ceil(dli * 10) / 10, 1);
