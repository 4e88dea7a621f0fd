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
  /** Days before the build day by which all of it is wanted. */
  wantedDays: number;
  /** What of it must not stand dry or without flow, and for how many nights it waits: animals, media, pieces that are lived on. */
  waits: { said: Said; nights: number }[];
}

/** Part of a litre of drained grain that is water still (common practice: damp soil is a quarter heavier). */
const DAMP_SHARE = 0.25;

interface Wanted {
  thing?: string;
  onDay: number;
}

type Entry = BrokenDown['entry'];
type Out = ReturnType<typeof outOf>;

/**
 * What comes out of each scape that is broken down elsewhere, when it is wanted, and how long what lives waits.
 * Valid for parts that are carried wet. Leaves out: what of them breaks, melts or dies on the way.
 * Test: brokenDown.test.ts, "is everything that was said to come out of it, by pieces, litres and plugs".
 */
export function brokenDownOf(commission: Resolved, survey: Survey): BrokenDown[] {
  const { brokenDown = [], buildDay } = commission.brief;
  return brokenDown.map((entry) => {
    const out = outOf(commission, entry);
    const mass = new Map(survey.pieces.map((p) => [p.id, p.massKg]));
    const pieces = out.pieces.map(({ piece: { id } }) => ({ id, massKg: mass.get(id)! }));
    const aheadDays = daysFrom(entry.day, buildDay);
    const waits = waitingOf(commission, out).map((h) => ({ said: h.said, nights: aheadDays + h.onDay }));
    return {
      entry,
      aheadDays,
      pieces,
      living: out.pieces.some((p) => p.state === 'living'),
      bed: out.layers.map((l) => ({ name: l.name, litres: l.pouredL })),
      plants: out.plantings.map((p) => ({ name: p.plant.name, plugs: p.atHand })),
      gear: out.gear.map(({ id, name }) => ({ id, name })),
      animals: out.stock.map((s) => ({ name: nameOf(commission, s.species), count: s.count })),
      ...(entry.withTank ? { tankKg: glassKg(commission.vessel) } : {}),
      massKg: pieces.reduce((kg, p) => kg + p.massKg, 0) + dampKg(out),
      wantedDays: wantedBy(commission, wantedOf(commission, entry, out)),
      waits: waits.filter((w) => w.nights > 0),
    };
  });
}

/** Everything that says it comes out of one scape. */
function outOf(commission: Resolved, { id }: Entry) {
  const of = <T extends { from?: string }>(thing: T) => thing.from === id;
  return {
    pieces: [...commission.pieces.values()].filter((p) => of(p.piece)),
    layers: [...commission.layers.values()].filter((l) => of(l.layer)),
    plantings: [...commission.plantings.values()].filter((p) => of(p.planting)),
    gear: commission.gear.filter((g) => of(g.device)),
    stock: (commission.brief.livestock ?? []).filter((s) => of(s) && !s.undecided && !s.present),
  };
}

const nameOf = ({ animals }: Resolved, species: string) => animals.get(species)?.name ?? species;

/** Grain as it is carried, drained and still damp, kg. */
function dampKg({ layers }: Out): number {
  const perL = (material: (typeof layers)[number]['material']) => bulkKgPerL(material) + DAMP_SHARE * FRESH_WATER_KG_PER_L; // prettier-ignore
  return layers.flatMap((l) => l.parts).reduce((kg, p) => kg + p.pouredL * perL(p.material), 0);
}

/** The day on which each of it is set, poured or put in; pieces by their first trial, the tank so early that it can be tried. */
function wantedOf(commission: Resolved, { withTank }: Entry, { pieces, layers, plantings, gear, stock }: Out): Wanted[] {
  const tried = (onDay: number) => (onDay > 0 ? onDay : Math.min(onDay, -triedAheadDays(commission)));
  const tankDays = homeOf(commission, 'protect').aheadDays + (isToBeTried(commission) ? LEAK_TEST_DAYS : 0);
  return [
    ...pieces.map((p) => ({ thing: p.piece.id, onDay: tried(p.onDay) })),
    ...layers.map((l) => ({ onDay: l.onDay })),
    ...plantings.map((p) => ({ onDay: p.onDay })),
    ...gear.map((g) => ({ thing: g.id, onDay: 0 })),
    ...stock.map((s) => ({ onDay: s.laterDays ?? 0 })),
    ...(withTank ? [{ onDay: -tankDays }] : []),
  ];
} // prettier-ignore

/** What of it must not stand dry or without flow, and the day until which it would. */
function waitingOf(commission: Resolved, { pieces, gear, stock }: Out): { said: Said; onDay: number }[] {
  return [
    ...stock.map((s) => ({ said: say('brokenDown.animals', { count: s.count, name: nameOf(commission, s.species) }), onDay: s.laterDays ?? 0 })),
    ...gear.filter((g) => g.kind === 'media').map((g) => ({ said: g.name, onDay: 0 })),
    ...pieces.filter((p) => p.state === 'living').map((p) => ({ said: p.piece.id, onDay: p.onDay })),
  ];
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
    const { entry, wantedDays, aheadDays, waits } = b;
    const values = { name: entry.name, day: { day: entry.day } };
    const common = { at: { field: 'brief.brokenDown' } };
    if (isEmpty(b))
      return [{ ...common, id: 'brokenDown.empty', severity: 'note', measured: 0, limit: 1, unit: 'piece', says: say('brokenDown.empty.says', values), because: say('brokenDown.empty.because'), source: say('source.brief') }];
    const late = wantedDays - aheadDays;
    return [
      ...(late > 0
        ? [{ ...common, id: 'brokenDown.late' as const, severity: 'stop' as const, measured: late, limit: 0, unit: 'days', says: say('brokenDown.late.says', { ...values, days: late }), because: say('brokenDown.late.because'), source: say('source.brief') }]
        : []),
      // Each for as long as it waits: shrimps that come two weeks later are another matter than a stone over night.
      ...[...new Set(waits.map((w) => w.nights))].sort((a, c) => a - c).map((nights): Finding => {
        const things = waits.filter((w) => w.nights === nights).map((w) => w.said);
        return { ...common, id: 'brokenDown.night', severity: 'warn', measured: nights, limit: 0, unit: 'nights', says: say('brokenDown.night.says', { ...values, things, nights }), because: say('brokenDown.night.because'), source: PRACTICE };
      }),
    ];
  });
} // prettier-ignore

/** True where nothing of it comes here. */
export function isEmpty({ pieces, bed, plants, gear, animals, tankKg }: BrokenDown): boolean {
  return tankKg === undefined && [pieces, bed, plants, gear, animals].every((list) => list.length === 0);
}
