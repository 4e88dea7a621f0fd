import { daysFrom } from '../calendar/day';
import type { Brief } from '../commission/schema';
import { FRESH_WATER_KG_PER_L } from '../hardscape/buoyancy';
import type { Resolved } from '../resolved/resolved';
import { homeOf, triedAheadDays } from '../sittings/homes';
import { bulkKgPerL } from '../survey/masses';
import type { Survey } from '../survey/survey';
import { glassKg } from '../vessel/glass';
import { isToBeTried, LEAK_TEST_DAYS } from '../vessel/secondHand';
import type { Finding } from '../words/finding';
import { PRACTICE, say, type Said } from '../words/text';
import { pieceWorks } from './ahead';
import { beginning } from './earlier';

/** A scape that is broken down elsewhere, and what of this one comes out of it. */
export interface BrokenDown {
  entry: NonNullable<Brief['brokenDown']>[number];
  /** Days before the build day on which it is broken down; negative after it. */
  aheadDays: number;
  pieces: { id: string; massKg: number }[];
  /** Something lives on one of them: they travel wet. */
  living: boolean;
  /** Litres of each layer as they are poured. */
  bed: { name: Said; litres: number }[];
  plants: { name: string; plugs: number }[];
  gear: { id: string; name: string }[];
  animals: { name: string; count: number }[];
  /** The tank itself, kg of glass. */
  tankKg?: number;
  /** What is carried, kg: pieces, and grain with the water that stays in it; not the tank. */
  massKg: number;
  /** Days before the build day by which all of it is wanted, and nights that what lives in it waits. */
  wantedDays: number;
  nights: number;
  /** What of it must not stand dry or without flow: animals, media, pieces that are lived on. */
  waits: Said[];
}

/** Part of a litre of drained grain that is water still (common practice: damp soil is a quarter heavier). */
const DAMP_SHARE = 0.25;

interface Wanted {
  thing?: string;
  onDay: number;
}

/**
 * What comes out of each scape that is broken down elsewhere, when it is wanted, and how long what lives waits.
 * Valid for parts that are carried wet. Leaves out: what of them breaks, melts or dies on the way.
 * Test: brokenDown.test.ts, "is everything that was said to come out of it, by pieces, litres and plugs".
 */
export function brokenDownOf(commission: Resolved, survey: Survey): BrokenDown[] {
  const { brokenDown = [], buildDay } = commission.brief;
  return brokenDown.map((entry) => {
    const of = <T extends { from?: string }>(thing: T) => thing.from === entry.id;
    const pieces = [...commission.pieces.values()].filter((p) => of(p.piece));
    const layers = [...commission.layers.values()].filter((l) => of(l.layer));
    const plantings = [...commission.plantings.values()].filter((p) => of(p.planting));
    const gear = commission.gear.filter((g) => of(g.device));
    const stock = (commission.brief.livestock ?? []).filter((s) => of(s) && !s.undecided && !s.present);
    const mass = new Map(survey.pieces.map((p) => [p.id, p.massKg]));
    const parts = layers.flatMap((l) => l.parts);
    const carried = pieces.map(({ piece: { id } }) => ({ id, massKg: mass.get(id)! }));
    const grainKg = parts.reduce((kg, p) => kg + p.pouredL * (bulkKgPerL(p.material) + DAMP_SHARE * FRESH_WATER_KG_PER_L), 0);
    const tried = (onDay: number) => (onDay > 0 ? onDay : Math.min(onDay, -triedAheadDays(commission)));
    const wanted: Wanted[] = [
      ...pieces.map((p) => ({ thing: p.piece.id, onDay: tried(p.onDay) })),
      ...layers.map((l) => ({ onDay: l.onDay })),
      ...plantings.map((p) => ({ onDay: p.onDay })),
      ...gear.map((g) => ({ thing: g.id, onDay: 0 })),
      ...stock.map((s) => ({ onDay: s.laterDays ?? 0 })),
      ...(entry.withTank ? [{ onDay: -(homeOf(commission, 'protect').aheadDays + (isToBeTried(commission) ? LEAK_TEST_DAYS : 0)) }] : []),
    ];
    const aheadDays = daysFrom(entry.day, buildDay);
    const living = pieces.filter((p) => p.state === 'living').map((p) => ({ said: p.piece.id as Said, onDay: p.onDay }));
    const animals = stock.map((s) => ({ name: commission.animals.get(s.species)?.name ?? s.species, count: s.count }));
    const held = [
      ...stock.map((s, i) => ({ said: say('brokenDown.animals', animals[i]), onDay: s.laterDays ?? 0 })),
      ...gear.filter((g) => g.kind === 'media').map((g) => ({ said: g.name as Said, onDay: 0 })),
      ...living,
    ];
    const nightsOf = (onDay: number) => aheadDays + onDay;
    const over = held.filter((h) => nightsOf(h.onDay) > 0);
    return {
      entry,
      aheadDays,
      pieces: carried,
      living: living.length > 0,
      bed: layers.map((l) => ({ name: l.name, litres: l.pouredL })),
      plants: plantings.map((p) => ({ name: p.plant.name, plugs: p.atHand })),
      gear: gear.map(({ id, name }) => ({ id, name })),
      animals,
      ...(entry.withTank ? { tankKg: glassKg(commission.vessel) } : {}),
      massKg: carried.reduce((kg, p) => kg + p.massKg, 0) + grainKg,
      wantedDays: wantedBy(commission, wanted),
      nights: Math.max(0, ...over.map((h) => nightsOf(h.onDay))),
      waits: over.map((h) => h.said),
    };
  });
} // prettier-ignore

/** Days before the build on which the first of it is worked on or set. */
function wantedBy(commission: Resolved, wanted: readonly Wanted[]): number {
  const things = wanted.flatMap((w) => w.thing ?? []);
  const first = Math.max(...wanted.map((w) => -w.onDay));
  const work = { kind: 'brokenDown' as const, things, takesDays: 0, aheadDays: first };
  return beginning([work, ...pieceWorks(commission)])[0].days;
}

/** Broken down too late, nothing in it that comes here, or nights in which what lives waits. */
export function brokenDownFindings(all: readonly BrokenDown[]): Finding[] {
  return all.flatMap((b): Finding[] => {
    const { entry, wantedDays, aheadDays, nights, waits } = b;
    const values = { name: entry.name, day: { day: entry.day } };
    const common = { at: { field: 'brief.brokenDown' } };
    if (isEmpty(b))
      return [{ ...common, id: 'brokenDown.empty', severity: 'note', measured: 0, limit: 1, unit: 'piece', says: say('brokenDown.empty.says', values), because: say('brokenDown.empty.because'), source: say('source.brief') }];
    const late = wantedDays - aheadDays;
    return [
      ...(late > 0
        ? [{ ...common, id: 'brokenDown.late' as const, severity: 'stop' as const, measured: late, limit: 0, unit: 'days', says: say('brokenDown.late.says', { ...values, days: late }), because: say('brokenDown.late.because'), source: say('source.brief') }]
        : []),
      ...(nights > 0
        ? [{ ...common, id: 'brokenDown.night' as const, severity: 'warn' as const, measured: nights, limit: 0, unit: 'nights', says: say('brokenDown.night.says', { ...values, things: waits, nights }), because: say('brokenDown.night.because'), source: PRACTICE }]
        : []),
    ];
  });
} // prettier-ignore

/** True where nothing of it comes here. */
export function isEmpty({ pieces, bed, plants, gear, animals, tankKg }: BrokenDown): boolean {
  return tankKg === undefined && [pieces, bed, plants, gear, animals].every((list) => list.length === 0);
}
