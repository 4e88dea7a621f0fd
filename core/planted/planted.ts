import { formOf } from '../commission/usual';
import { grownSpreadMm } from '../catalogue/sizes';
import { dayPlus, type Day } from '../calendar/day';
import { dliOf } from '../catalogue/knownPlants';
import type { Plant, Planting } from '../commission/schema';
import { plantingOf, type Resolved } from '../resolved/resolved';
import { meanSpeed, speedAt } from '../flow/tankFlow';
import { coverDays, growthOf, reachDays, trimDays, type Growth } from '../growth/growth';
import { dliOfPpfd } from '../light/ppfd';
import { arrangedPositions, closesLike, plugsOfGroup } from '../planting/arranged';
import { spotsOnPiece } from '../planting/onPieces';
import { inPlantingOrder, type Spots } from '../planting/positions';
import { reachFromFront } from '../planting/reach';
import { standsOn } from '../planting/standsOn';
import { remembered, type Slot } from '../survey/memo';
import { plantingSequence, type Turn } from './plantingSequence';
import type { Survey } from '../survey/survey';
import type { Finding } from '../words/finding';
import { livingOf, standsAs, type Living, type LivingMemo } from './conditions';
import { plantedFindings } from './findings';
import { dliAt } from './lightAt';
import { shadeOf } from './shade';
import { tabSpots } from './tabSpots';
import { waysOut, type WayOut } from './waysOut';

/** One planting as it will live: where each plug goes, what it has there, when it closes. */
export interface Planted extends Omit<Turn, 'measured'> {
  spacingMm?: number;
  netM2: number;
  /** Where each goes, in planting order; of what is counted and on nothing none. */
  spots: Spots;
  /** Where its root tabs are pushed in; none where nothing is fed by any. */
  tabs: Spots;
  /** Number of the first of them, over all plantings in their order. */
  firstNo: number;
  /** Light of a day at each spot, mol/m²; the darkest twentieth, the mean and the most of them. Without a spot that of the bed. */
  dli: Float32Array;
  leastDli: number;
  meanDli: number;
  mostDli: number;
  /** The mean once its neighbours have grown, and which of them takes most of the rest; undefined where nothing is lit. */
  grownDli?: number;
  shadedBy?: string;
  /** How the water moves at its spots against the mean of its height, 1 as the mean; undefined where no flow is known. */
  movesShare?: number;
  /** Surface that stays bare for want of packs, m². */
  bareM2: number;
  waysOut: WayOut[];
  growth: Growth;
  /** Days after the build until it has closed, with its range, and the day. */
  cover?: { days: number; from: number; to: number; on: Day };
  /** Days until stems that are not trimmed reach the surface; undefined where they do not. */
  surfaceDays?: number;
  /** Days of the first trims until week 16. */
  trims: number[];
}

export interface PlantedPlan {
  parts: Planted[];
  /** Their ids in the order in which they go in. */
  order: string[];
  living: Living;
  findings: Finding[];
}

/** How far ahead it is looked, days. */
export const LOOKED_AHEAD_DAYS = 16 * 7;

/** Kept between two looks at the same scape. */
export interface PlantedMemo extends LivingMemo {
  spots: Map<string, Slot<Spots>>;
  tabs: Map<string, Slot<Spots>>;
}
export const newPlantedMemo = (): PlantedMemo => ({ light: {}, flow: {}, spots: new Map(), tabs: new Map() });

/**
 * Everything that is asked of a planting before it is bought: where each plug goes, whether the packs suffice, what light
 * and flow it has, when it closes, and what is wrong with it.
 */
export function plantedPlan(commission: Resolved, survey: Survey, memo = newPlantedMemo()): PlantedPlan {
  const living = livingOf(commission, survey, memo);
  const option = commission.option;
  const taken = standsOn(survey.field, survey.standing);
  const turns = plantingSequence(commission, survey);
  const order = turns.map((turn) => turn.id);
  const parts = option.plants.map(({ id }) => partOf(commission, survey, living, turns[order.indexOf(id)], taken, memo)); // prettier-ignore
  const tabs = tabSpots(commission, survey, taken, memo.tabs);
  for (const part of parts) part.tabs = tabs.get(part.id) ?? part.tabs;
  let no = 1;
  for (const part of partsInOrder({ parts, order })) {
    part.firstNo = no;
    no += part.spots.length / 3;
  }
  if (living.lit) shade(commission, living, parts);
  return { parts, order, living, findings: plantedFindings(commission, living, parts) };
}

/** What is left of the light of each once all have grown. */
function shade({ vessel }: Resolved, living: Living, parts: Planted[]): void {
  const { length, width } = vessel.innerMm;
  const found = shadeOf(parts, living, [length, width], vessel.waterLineMm, floatingShare(parts, length * width)); // prettier-ignore
  for (const part of parts) {
    const { dli, by } = found.get(part.id) ?? {};
    if (dli === undefined) continue;
    part.grownDli = dli;
    if (by !== undefined) part.shadedBy = by;
  }
}

/** Share of the surface that floats cover once each has its spread. */
export function floatingShare(
  parts: readonly Pick<Planted, 'plant' | 'count'>[],
  surfaceMm2: number,
): number {
  const mm2 = parts.reduce(
    (sum, p) => sum + (p.plant.roots === 'float' ? p.count * floatMm2(p.plant) : 0),
    0,
  );
  return Math.min(1, mm2 / surfaceMm2);
}

/** Portions of a floating plant that cover a share of the surface once grown. */
export const floatingCount = (plant: Plant, share: number, surfaceMm2: number): number =>
  Math.max(1, Math.round((share * surfaceMm2) / floatMm2(plant)));

/** Surface that one portion of a floating plant covers once it has its spread, mm². */
export const floatMm2 = (plant: Pick<Plant, 'spreadMm'>): number => Math.PI * (grownSpreadMm(plant) / 2) ** 2;

/** The parts in the order in which they go in. */
export function partsInOrder({ parts, order }: Pick<PlantedPlan, 'parts' | 'order'>): Planted[] {
  return order.map((id) => parts.find((p) => p.id === id)!);
}

function partOf(
  commission: Resolved,
  survey: Survey,
  living: Living,
  turn: Turn,
  taken: Float64Array,
  memo: PlantedMemo,
): Planted {
  const { measured, ...rest } = turn;
  const { plant, planting, count, missing } = rest;
  const { spacingMm } = measured;
  const { spots, normals } = spotsOf(
    survey,
    planting,
    plant,
    count,
    spacingMm,
    taken,
    memo,
    commission.vessel.waterLineMm,
  );
  // What floats anywhere has the light of the surface.
  const anywhere = plant.roots === 'float' && spots.length === 0;
  const dli = anywhere
    ? dliAt(surfaceSpots(commission.vessel), undefined, living)
    : dliAt(spots, normals, living);
  const [leastDli, meanDli, mostDli] = spread(dli, living);
  const { origin, laterDays: later, onDay } = plantingOf(commission, planting.id);
  const form = formOf(planting, origin);
  // Where no light is known it is taken as it should be: the date is then that of a tank with the right lamp.
  const dliToGrow = living.lit ? meanDli : dliOf(plant)[1];
  const growth = growthOf(plant, { dli: dliToGrow, co2: living.co2, form, dryDays: Math.max(0, -onDay) });
  const closes =
    spacingMm === undefined ? undefined : coverDays(plant, closesLike(planting.set, spacingMm), growth);
  const bareM2 = spacingMm === undefined ? 0 : (missing * spacingMm * spacingMm) / 1e6;
  const part: Planted = {
    ...rest,
    ...(spacingMm === undefined ? {} : { spacingMm }),
    netM2: measured.netM2,
    spots,
    tabs: new Float64Array(0),
    firstNo: 1,
    dli,
    leastDli,
    meanDli,
    mostDli,
    ...(living.flow.length > 0 && spots.length > 0 && plant.habit !== 'emersed'
      ? { movesShare: movesAt(spots, living) }
      : {}),
    bareM2,
    waysOut: [],
    growth,
    ...(closes
      ? {
          cover: {
            ...shifted(closes, later),
            on: dayPlus(commission.brief.buildDay, Math.round(closes.days) + later),
          },
        }
      : {}),
    trims: trimDays(plant, growth, LOOKED_AHEAD_DAYS).map((d) => d + later),
  };
  if (plant.habit === 'stem' && spots.length > 0) {
    const reach = reachDays(plant, growth, commission.vessel.waterLineMm - spots[2]);
    if (reach !== undefined) part.surfaceDays = reach + later;
  }
  const reachOf = (share: number) => reachFromFront(survey.field, planting.region ?? [], share, taken);
  part.waysOut = waysOut(part, commission.brief.buildDay, reachOf);
  return part;
}

/** Days after the build of what goes in later. */
const shifted = (c: { days: number; from: number; to: number }, later: number) => ({ days: c.days + later, from: c.from + later, to: c.to + later }); // prettier-ignore

/** Where the plugs of one planting go; remembered while nothing of it changed. */
function spotsOf(
  survey: Survey,
  planting: Planting,
  plant: Plant,
  count: number,
  spacingMm: number | undefined,
  taken: Float64Array,
  memo: PlantedMemo,
  waterMm: number,
): { spots: Spots; normals?: Float64Array } {
  const seed = seedOf(planting.id);
  const { region, set } = planting;
  if (region && spacingMm !== undefined) {
    const floats = plant.roots === 'float';
    const slot = memo.spots.get(planting.id) ?? {};
    memo.spots.set(planting.id, slot);
    const key = [survey.field, JSON.stringify(region), count, spacingMm, set, floats, waterMm, ...standsAs(survey)]; // prettier-ignore
    const spots = remembered(slot, key, () => {
      const found = arrangedPositions(set, survey.field, region, count, spacingMm, seed, floats ? undefined : taken); // prettier-ignore
      if (floats) for (let i = 2; i < found.length; i += 3) found[i] = waterMm;
      return inPlantingOrder(found, spacingMm, plugsOfGroup(set));
    });
    return { spots };
  }
  const on = survey.standing.find((s) => s.piece.id === planting.on);
  // What grows in air sits above the water, everything else below it.
  const between = plant.habit === 'emersed' ? ([waterMm, Infinity] as const) : ([0, waterMm] as const);
  return on
    ? spotsOnPiece(on, survey.field, count, seed, between, planting.at)
    : { spots: new Float64Array(0) };
}

/** Spots a side at which the surface is asked for its light. */
const SURFACE_SPOTS = 6;

function surfaceSpots({ innerMm, waterLineMm }: Resolved['vessel']): Spots {
  const spots = new Float64Array(SURFACE_SPOTS * SURFACE_SPOTS * 3);
  for (let i = 0; i < SURFACE_SPOTS * SURFACE_SPOTS; i++) {
    const [column, row] = [i % SURFACE_SPOTS, Math.floor(i / SURFACE_SPOTS)];
    spots.set([((column + 0.5) / SURFACE_SPOTS) * innerMm.length, ((row + 0.5) / SURFACE_SPOTS) * innerMm.width, waterLineMm], i * 3); // prettier-ignore
  }
  return spots;
}

/** The same planting gives the same spots. */
function seedOf(id: string): number {
  return [...id].reduce((n, c) => (n * 31 + c.charCodeAt(0)) % 1_000_003, 11);
}

/** Least (the darkest twentieth), mean and most; of what has no spot that of the bed as a whole. */
function spread(dli: Float32Array, { light, hours, windowDli }: Living): [number, number, number] {
  if (dli.length === 0) {
    const mean = light.ppfd.reduce((a, b) => a + b, 0) / Math.max(1, light.ppfd.length);
    const day = dliOfPpfd(mean, hours) + windowDli;
    return [day, day, day];
  }
  const sorted = Float32Array.from(dli).sort();
  const mean = sorted.reduce((a, b) => a + b, 0) / sorted.length;
  return [sorted[Math.floor(sorted.length * 0.05)], mean, sorted[sorted.length - 1]];
}

/** Speed of the water at some spots against the mean of the height that is nearest, the mean of them. */
function movesAt(spots: Spots, { flow }: Living): number | undefined {
  const means = flow.map(meanSpeed);
  let [sum, n] = [0, 0];
  for (let i = 0; i < spots.length; i += 3) {
    const far = flow.map((layer) => Math.abs(layer.zMm - spots[i + 2]));
    const at = far.indexOf(Math.min(...far));
    const speed = speedAt(flow[at], spots[i], spots[i + 1]) ?? besides(flow[at], spots[i], spots[i + 1]);
    if (speed === undefined || means[at] === 0) continue;
    sum += speed / means[at];
    n++;
  }
  return n === 0 ? undefined : sum / n;
}

/** What sits on a piece has the water beside it: the fastest within two hands. */
function besides(layer: Living['flow'][number], x: number, y: number): number | undefined {
  const found = [-1, 0, 1].flatMap((i) => [-1, 0, 1].map((j) => speedAt(layer, x + i * 30, y + j * 30)));
  const open = found.filter((v) => v !== undefined);
  return open.length === 0 ? undefined : Math.max(...open);
}
