import { comesGrown } from '../commission/usual';
import type { Joint, Material, Option, Planting } from '../commission/schema';
import {
  isLeftStanding,
  pieceOf,
  plantingOf,
  type Resolved,
  type ResolvedStrewn,
} from '../resolved/resolved';
import { firstFill, type FirstFill } from '../filling/firstFill';
import { fillerToLay, type Hill } from '../takeoff/hills';
import type { PieceSurvey } from '../survey/pieces';
import type { PlantingSurvey } from '../survey/plantings';
import type { Survey } from '../survey/survey';
import { joinedBefore } from '../beforehand/ahead';
import { cureMin } from '../hardscape/joining';
import type { PocketSurvey } from '../hardscape/pocket';
import { jointsToMake } from '../takeoff/gluing';
import { say, type Said, type Text } from '../words/text';
import type { Working } from '../words/working';
import { laterLayers } from '../takeoff/later';
import { beforeAndAfter, poursOf, type Pour } from '../takeoff/pours';
import { waitingAnimals, type Waiting } from '../visit/waiting';

/** A scape as the build sees it: what has to be poured, set and planted, and by how many. What is there is not in it. */
export interface Job {
  commission: Resolved;
  option: Option;
  survey: Survey;
  crew: number;
  /** Layers that are poured on the day, from the bottom up, and the heaps of filler among them. */
  pours: Pour[];
  hills: Hill[];
  /** Heaviest first. */
  stones: PieceSurvey[];
  floorStones: PieceSurvey[];
  /** Pots and trays that stand in the bed. */
  ware: PieceSurvey[];
  wood: PieceSurvey[];
  /** In the tank now, and to stand elsewhere; and what of that is lifted before its bed goes, and set with the others. */
  moved: PieceSurvey[];
  lifted: PieceSurvey[];
  /** Pieces that something lives on: they are neither scrubbed nor left to dry. */
  living: PieceSurvey[];
  /** What is washed: all that is set and nothing lives on. */
  washed: PieceSurvey[];
  /** Joints that are made in the tank, and those that are scrubbed at once they have cured. */
  joints: Joint[];
  tested: Joint[];
  /** Heaps on top of pieces. */
  pockets: PocketSurvey[];
  /** What is strewn by hand up to the build day. */
  strewn: ResolvedStrewn[];
  /** What is planted up to the build day. */
  plantings: PlantingSurvey[];
  fill: FirstFill;
  /** Animals that live in it; left out where none do, or where nothing disturbs them. */
  waiting?: Waiting;
  /** Old water kept in tubs beside that in which animals wait. */
  kept: { litres: number; tubs: number };
  /** Poured through water, since it stands above the bed or animals stay in it. */
  wet: boolean;
  /** What work that does not grow with the scape takes, against a tank of middling size. */
  size: number;
}

export function jobOf(commission: Resolved, survey: Survey, crew = commission.brief.crew): Job {
  const { brief } = commission;
  const option = commission.option;
  const drawn = new Map(option.pieces.map((p) => [p.id, p]));
  const isThere = (id: string) => isLeftStanding(pieceOf(commission, id));
  const onFloor = (p: PieceSurvey) => drawn.get(p.id)!.stand.kind === 'floor';
  const isWood = (p: PieceSurvey) => pieceOf(commission, p.id).material.kind === 'wood';
  const isWare = (p: PieceSurvey) => pieceOf(commission, p.id).material.kind === 'ware';
  const isSet = (id: string) => !isThere(id) && pieceOf(commission, id).onDay <= 0;
  const heaviestFirst = survey.pieces.filter((p) => isSet(p.id)).sort((a, b) => b.massKg - a.massKg);
  const later = laterLayers(commission, survey);
  const fill = firstFill(commission, survey);
  const waiting = waitingAnimals(commission, survey);
  const pours = poursOf(commission, survey).filter((p) => !later.some((l) => l.id === p.layer));
  const living = heaviestFirst.filter((p) => pieceOf(commission, p.id).state === 'living');
  const outside = new Set(joinedBefore(commission).flatMap((j) => j.joints.map(({ id }) => id)));
  const joints = jointsToMake(option, isThere).filter((j) => !outside.has(j.id) && j.pieces.every((id) => isThere(id) || isSet(id))); // prettier-ignore
  return {
    commission,
    option,
    survey,
    crew,
    pours,
    hills: pours.some((p) => p.role === 'filler') ? fillerToLay(commission, survey) : [],
    stones: heaviestFirst.filter((p) => !isWood(p) && !isWare(p) && !onFloor(p)),
    ware: heaviestFirst.filter((p) => isWare(p) && !onFloor(p)),
    floorStones: heaviestFirst.filter((p) => !isWood(p) && onFloor(p)),
    wood: heaviestFirst.filter(isWood),
    moved: survey.pieces.filter((p) => pieceOf(commission, p.id).isMoved && isThere(p.id)),
    lifted: heaviestFirst.filter((p) => pieceOf(commission, p.id).isLifted),
    living,
    washed: heaviestFirst.filter((p) => !living.includes(p)),
    joints,
    tested: joints.filter((j) => cureMin(j) <= LONG_CURE_MIN),
    pockets: survey.pockets.filter((p) => isThere(p.on) || isSet(p.on)),
    strewn: commission.strewn.filter((s) => s.origin !== 'here' && s.onDay <= 0),
    plantings: survey.plantings.filter((p) => {
      const { origin, laterDays, planting } = plantingOf(commission, p.id);
      return origin !== 'here' && laterDays === 0 && !comesGrown(planting);
    }),
    fill,
    ...(waiting ? { waiting } : {}),
    kept: keptBeside(fill, brief.rescape?.inKept ? waiting : undefined),
    wet: fill.remainsL > 0 && (waiting?.where === 'stay' || fill.drainToMm > lowestBedMm(survey)),
    size: sizeFactor(survey.brimL),
  };
}

/** Nobody waits in a sitting for what takes longer than this, min: it is scrubbed in the next. */
export const LONG_CURE_MIN = 180;

/** What is kept of the old water, less that in which animals wait where it is part of it. */
function keptBeside({ keptL, tubL }: FirstFill, inKept: Waiting | undefined): Job['kept'] {
  const theirs = inKept?.where === 'tubs' ? inKept.litres : 0;
  const litres = Math.max(0, keptL - theirs);
  return { litres, tubs: Math.ceil(litres / tubL - 1e-9) };
}

/** Litres at which fixed minutes are as they stand in the rates, and the least that a small tank takes of them. */
const MIDDLING_L = 120;
const LEAST_SIZE = 0.35;

/**
 * Part of the fixed minutes that a tank takes: all of them from 120 L on, with the root of its litres below, so that
 * a cube of 20 L is not a day's work (common practice: one to three hours).
 */
export function sizeFactor(brimL: number): number {
  return Math.min(1, Math.max(LEAST_SIZE, Math.sqrt(brimL / MIDDLING_L)));
}

/** Lowest spot of the bed's surface, mm; 0 where there is no bed. */
function lowestBedMm({ field }: Survey): number {
  return field.surfaceMm.reduce((least, mm) => Math.min(least, mm), Infinity);
}

/** Everything that is set: stones, pots and wood. */
export function setOf({
  stones,
  floorStones,
  ware,
  wood,
}: Pick<Job, 'stones' | 'floorStones' | 'ware' | 'wood'>): PieceSurvey[] {
  return [...stones, ...floorStones, ...ware, ...wood];
}

/** Layers that lie before anything is set, and those that come in around what stands. */
export function bedHalves(job: Job): [Pour[], Pour[]] {
  return beforeAndAfter(job.pours, setOf(job).length > 0);
}

/** Litres of a material's kinds among what is poured. */
export function litresOf(pours: readonly Pour[], ...kinds: Material['kind'][]): number {
  return pours.flatMap((p) => p.parts).filter((p) => kinds.includes(p.material.kind)).reduce((sum, p) => sum + p.litres, 0); // prettier-ignore
}

/** True where plants are set when all the water is in, as the school has it. At half fill hands reach better. */
export function isFlooded({ commission, wet }: Job): boolean {
  return !wet && commission.brief.schools?.moisture === 'flooded';
}

/**
 * When plants go into water that was still to come: once it stands so high, mm, or through all of it, as where a school
 * plants flooded. Undefined for those of which nothing is said.
 */
export function inWater(
  job: Job,
  { inWaterMm }: Pick<Planting, 'inWaterMm'>,
): 'partly' | 'submerged' | undefined {
  if (inWaterMm === undefined) return undefined;
  return !isFlooded(job) && inWaterMm < job.commission.vessel.waterLineMm ? 'partly' : 'submerged';
}

/** Height to which it is filled first, where some are set in water that does not stand at its line yet: the least that is asked. */
export function firstHeightMm(job: Job): number | undefined {
  const heights = job.plantings.map((p) => plantingOf(job.commission, p.id).planting).filter((p) => inWater(job, p) === 'partly'); // prettier-ignore
  return heights.length > 0 ? Math.min(...heights.map((p) => p.inWaterMm!)) : undefined;
}

/** A working of a task: a measured quantity, and the rate it is multiplied by. */
export function step(name: Said, value: number, unit: string, note?: Said): Working {
  return { step: name, value, unit, ...(note ? { note } : {}) };
}

/** How long one takes, and a litre, as a step says it. */
export const each = (minutes: number): Text => say('rate.each', { minutes });
export const perLitre = (minutes: number): Text => say('rate.litre', { minutes });
