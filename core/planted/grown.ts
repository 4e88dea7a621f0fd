import { coverShare, heightMm, plugRadiusMm, radiusMm } from '../growth/growth';
import type { Plant } from '../commission/schema';
import { closesLike } from '../planting/arranged';
import type { Spots } from '../planting/positions';
import type { Planted } from './planted';

/** A planting on one day: what a drawing of it needs. */
export interface Grown {
  id: string;
  plant: Plant;
  /** Spots of the plugs that are there by then; those that the packs do not give are not. */
  spots: Spots;
  heightMm: number;
  radiusMm: number;
  /** Share of its ground that it covers. */
  cover: number;
  /** Share of its leaves that it has lost to the change from air to water. */
  melted: number;
  /** Last trim before the day, days after the build; undefined where there was none. */
  trimmed?: number;
}

/** Melt begins, is worst and is over on these days after planting (common practice: one to four weeks). */
const MELT_DAYS = [4, 14, 32] as const;
/** Share of the leaves that are lost at its worst. */
const MELTS = { melt: 0.7, change: 0.3, stay: 0 } as const;

/** A planting some days after the build. What goes in later is not there before. */
export function grownAt(part: Planted, day: number): Grown {
  const { plant, planting, growth, spots, spacingMm, count, plugsAtHand } = part;
  const age = day - (part.afterDays ?? 0);
  const there = age < 0 ? 0 : Math.min(count, plugsAtHand, spots.length / 3);
  const melted = planting.form === 'emersed' ? meltedShare(age) * MELTS[plant.emersedLeaves ?? 'change'] : 0;
  const trimmed = part.trims.filter((d) => d <= day).at(-1);
  return {
    id: part.id,
    plant,
    spots: spots.subarray(0, there * 3),
    heightMm: heightMm(plant, growth, Math.max(0, age)),
    radiusMm: age < 0 ? plugRadiusMm(plant) : radiusMm(plant, growth, age),
    cover:
      spacingMm === undefined || age < 0
        ? 0
        : coverShare(plant, closesLike(planting.set, spacingMm), growth, age) * (there / Math.max(1, count)),
    melted,
    ...(trimmed === undefined ? {} : { trimmed }),
  };
}

/** From nothing to the worst and back again, 0 to 1. */
function meltedShare(age: number): number {
  const [begins, worst, over] = MELT_DAYS;
  if (age <= begins || age >= over) return 0;
  return age <= worst ? (age - begins) / (worst - begins) : (over - age) / (over - worst);
}

/** A planting’s own trimmings: plugs that each trim gives (common practice: a stem gives a top, a carpet a tenth of its plugs). */
export function trimmingsOf({ plant, count, growth }: Pick<Planted, 'plant' | 'count' | 'growth'>): number {
  if (growth.factor < 0.2) return 0;
  if (plant.habit === 'stem') return count;
  if (plant.habit === 'float') return Math.round(count / 2);
  return ['carpet', 'grass', 'creeper', 'moss'].includes(plant.habit ?? '') ? Math.floor(count / 10) : 0;
}
