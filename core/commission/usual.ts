import { shareOfMinor } from '../units/shares';
import type { Brief, Commission, DosingSchool, Origin, Planting, WaterSchool } from './schema';

/*
 * What a brief means where it says nothing (common practice). Stated once: the build day, the care plan and the
 * fields that show them ask here.
 */

/** Clock time at which the crew starts. */
export function startTimeOf({ startTime = '08:30' }: Pick<Brief, 'startTime'>): string {
  return startTime;
}

/** The school by which water is changed: daily at first, then ever less often. */
export function waterSchoolOf({ schools }: Pick<Brief, 'schools'>): WaterSchool {
  return schools?.water ?? 'taper';
}

/** The school by which plants are fed: little, once the soil has given. */
export function dosingSchoolOf({ schools }: Pick<Brief, 'schools'>): DosingSchool {
  return schools?.dosing ?? 'lean';
}

/** What the CO2 set costs beside the material, minor units: nothing where there is none. */
export function co2CostOf({ co2, co2CostMinor = 0 }: Pick<Brief, 'co2' | 'co2CostMinor'>): number {
  return co2 ? co2CostMinor : 0;
}

/** What is paid for lots of which everything has one price, minor units. */
export function lotsCostOf({ brokenDown = [] }: Pick<Brief, 'brokenDown'>): number {
  return brokenDown.reduce((sum, b) => sum + lotMinor(b), 0);
}

/** What a commission bears of a lot: what it does not use of it is the studio's, minor units. */
export function lotMinor({ priceMinor = 0, share = 1 }: Pick<NonNullable<Brief['brokenDown']>[number], 'priceMinor' | 'share'>): number {
  return shareOfMinor(priceMinor, share);
} // prettier-ignore

/** How an epiphyte is held to its piece: by dots of gel where nothing is said. */
export function heldBy({ held = 'glue' }: Pick<Planting, 'held'>): NonNullable<Planting['held']> {
  return held;
}

/** True for what has grown onto its piece in another tank: it comes with that, and nobody buys or sets it. */
export function comesGrown({ held, on }: Pick<Planting, 'held' | 'on'>): boolean {
  return held === 'grown' && on !== undefined;
}

/** What a planting comes as: as was said; out of a tank, this one or another, its leaves have grown under water. */
export function formOf(planting: Planting, origin: Origin): Planting['form'] {
  const outOfTank = origin === 'here' || planting.from !== undefined || comesGrown(planting);
  return planting.form ?? (outOfTank ? 'running' : undefined);
}

/** Thickness of a chamber's wall when it is not given, mm (common practice). */
export const USUAL_WALL_MM = 5;

/** What of a running tank can stay in it, beside its water. */
export const STAYING_PARTS = ['stone', 'wood', 'substrate', 'plants'] as const;

/** True for a running tank of which nothing is taken out: whatever is added, what lives on its surfaces stays. */
export function everythingStays({ rescape }: Pick<Brief, 'rescape'>): boolean {
  return rescape !== undefined && STAYING_PARTS.every((part) => rescape.stays.includes(part));
}

type Stock = NonNullable<Brief['livestock']>;

/** The animals of a brief: those that live in it and stay, those that are to come, those that nobody has decided on, those that leave for good. */
export function animalsOf({ livestock = [] }: Pick<Brief, 'livestock'>): {
  here: Stock;
  coming: Stock;
  undecided: Stock;
  leaving: Stock;
} {
  const there = livestock.filter((s) => s.present);
  return {
    here: there.filter((s) => !s.leaves),
    coming: livestock.filter((s) => !s.present && !s.undecided),
    undecided: livestock.filter((s) => !s.present && s.undecided),
    leaving: there.filter((s) => s.leaves),
  };
}

/** True where animals live through work that takes something of their tank away. */
export function livesThrough(brief: Pick<Brief, 'rescape' | 'livestock'>): boolean {
  return brief.rescape !== undefined && !everythingStays(brief) && animalsOf(brief).here.length > 0;
}

/** Where animals of a running tank are while it is worked on. */
export type WaitWhere = 'stay' | 'tubs' | 'elsewhere';

/**
 * As it was said; otherwise in tubs where the bed under them goes, and in what water is left where it stays. Undefined for
 * a tank that does not run, or in which none lives.
 */
export function waitingOf(brief: Pick<Brief, 'rescape' | 'livestock'>): WaitWhere | undefined {
  const { rescape } = brief;
  if (!rescape || animalsOf(brief).here.length === 0) return undefined;
  return rescape.animals ?? (rescape.stays.includes('substrate') ? 'stay' : 'tubs');
}

/** How far the media of the filter are: those that stay in a rescape are mature, others new unless it is said. */
export function filterStateOf({
  rescape,
  filter,
}: Pick<Brief, 'rescape' | 'filter'>): 'new' | 'seeded' | 'mature' {
  if (rescape?.filterKept) return 'mature';
  return filter?.state ?? 'new';
}

/** A lived-in room over a year, coldest and warmest, when it was not asked, °C (common practice). */
const USUAL_ROOM_C = [17, 26] as const;

/** Coldest and warmest of the room, °C: water and tubs that stand in it are as cold as that. */
export function roomOf({ site }: Pick<Commission, 'site'>): readonly [number, number] {
  return site?.roomC ?? USUAL_ROOM_C;
}

/** Height of a stand when it was not measured, mm (common practice). */
export const USUAL_BASE_MM = 800;

/** Minutes that a crew takes for each of the usual ones: one where nobody said. */
export function paceOf({ pace = 1 }: Pick<Brief, 'pace'>): number {
  return pace;
}
