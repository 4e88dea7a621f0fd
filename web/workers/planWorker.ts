import { expose } from 'comlink';
import type { Day } from '../../core/calendar/day';
import { plan, type Plan, type PlanAsk } from '../../core/pipeline/plan';
import type { Placed } from '../../core/ordering/confirmation';
import type { Shelf } from '../../core/stock/shelf';
import type { Elsewhere } from '../../core/yard/reserved';
import { newMemo } from '../../core/survey/memo';
import { materialOf, optionOf } from '../../core/commission/lookup';
import type { Candidate, Commission, Layer, Material, Piece, Supplier } from '../../core/commission/schema';
import { clearancesOf, type Clearance } from '../../core/hardscape/clearances';
import { gapMm, JOINABLE_MM } from '../../core/hardscape/contact';
import { loadsOf, type Load } from '../../core/hardscape/loads';
import { dropped } from '../../core/hardscape/drop';
import type { Standing } from '../../core/hardscape/settle';
import { slidApart } from '../../core/hardscape/slideApart';
import { settledBed, settling } from '../../core/hardscape/letSettle';
import { devicesOf } from '../../core/gear/gear';
import { gearSeen as seenOf, type Seen } from '../../core/view/gearSeen';
import type { Spot3 } from '../../core/view/sightLine';
import { fillUnder, type Filling } from '../../core/substrate/fillUnder';
import { jointsToHide, touched, touchedAt, type Hide, type Touched } from '../../core/planting/picked';
import type { LightMap } from '../../core/light/lightMap';
import type { Living } from '../../core/planted/conditions';
import { ppfdOnPiece } from '../../core/planted/lightAt';
import { lightOnDay } from '../../core/planted/lightOnDay';
import { resolve } from '../../core/resolved/resolved';
import { newPlantedMemo, plantedPlan, type PlantedPlan } from '../../core/planted/planted';
import { unfinished } from '../../core/pipeline/finite';
import { fixedStanding } from '../../core/survey/fixed';
import { survey, type Survey } from '../../core/survey/survey';
import { waterByHeight, type WaterHeight } from '../../core/survey/waterByHeight';
import type { BedField } from '../../core/substrate/bedField';
import { usualCellMm } from '../../core/substrate/cells';
import { buyingOf, swapsIn, trialIn } from './buyingWork';
import { unpacker, type Parcel } from './parcel';
import { scansAtHand } from './scans';
import { say, type Text } from '../../core/words/text';

/** The height field as the drawing views need it. */
export type FieldView = Pick<
  BedField,
  'columns' | 'rows' | 'dxMm' | 'dyMm' | 'cornerMm' | 'cornerThicknessMm' | 'cornerLayer'
> & {
  /** Which corners lie inside the glass; left out where all do. */
  inside?: Uint8Array;
};
/** A plan without what only the computation needs. */
export type ShownPlan = Omit<Plan, 'survey' | 'planted'> & { survey: Omit<Survey, 'field' | 'standing'> };
export interface Computed {
  /** Left out where a figure could not be worked out; `trouble` then says which value is to blame. */
  plan?: ShownPlan;
  trouble?: Text;
  /** Only when the bed has changed since the last answer. */
  field?: FieldView;
}

const unpack = unpacker();
const memo = newMemo();
/** While an edge of the vessel is dragged the bed is read in larger cells, and pieces as they last stood. */
const roughMemo = { ...newMemo(true), columns: memo.columns };
const ROUGHER = 4;
let sent: BedField | undefined;
/** What was last measured finely, and how: asked again for its water by height, and once it is known how plants live. */
let last: { survey: Survey; commission: Commission; id: string; ask: PlanAsk } | undefined;

/** What is being prepared; an answer waits for it and finds its work done. */
let preparing: Promise<unknown> = Promise.resolve();

/** Measures a commission as soon as its document is there, before anybody can ask for its figures. What ails it is said to who asks. */
function prepare(id: string, parcel: Parcel): void {
  const commission = unpack(parcel);
  const measured = async () => {
    if (!(await scansAtHand(id, commission))) survey(commission, { memo });
  };
  preparing = measured().catch(() => undefined);
}

async function compute(
  id: string,
  parcel: Parcel,
  today: Day,
  rough = false,
  elsewhere: Elsewhere = {},
  placed: readonly Placed[] = [],
  shelf?: Shelf,
): Promise<Computed> {
  const commission = unpack(parcel);
  await preparing;
  const missing = await scansAtHand(id, commission);
  if (missing) return { trouble: missing };
  const cellMm = rough ? ROUGHER * usualCellMm(commission.vessel) : undefined;
  const ask = { today, cellMm, memo: rough ? roughMemo : memo, elsewhere, placed, shelf };
  let whole: Plan;
  try {
    whole = plan(commission, { ...ask, planted: plantedSoFar(id, commission) });
  } catch (error) {
    return { trouble: await troubleIn(commission, error instanceof Error ? error.message : String(error)) };
  }
  const { survey } = whole;
  if (!rough) last = { survey, commission, id, ask };
  const shown = shownOf(whole);
  const where = unfinished(shown);
  if (where) return { trouble: await troubleIn(commission, where) };
  const answer: Computed = { plan: shown };
  const { field } = survey;
  if (field !== sent) {
    const { columns, rows, dxMm, dyMm, cornerMm, cornerThicknessMm, cornerLayer } = field;
    answer.field = {
      columns,
      rows,
      dxMm,
      dyMm,
      cornerMm,
      cornerThicknessMm,
      cornerLayer,
      inside: field.floor?.corner,
    };
    sent = field;
  }
  return answer;
}

/** A plan as it is shown. */
function shownOf({ survey, planted: _planted, ...rest }: Plan): ShownPlan {
  const { field: _field, standing: _standing, ...figures } = survey;
  return { ...rest, survey: figures };
}

/** How plants of this option lived when it was last worked out: a hand that drags does not wait for their light. */
function plantedSoFar(id: string, { options: [option] }: Commission): PlantedPlan | 'later' {
  const known = lastPlanted?.id === id && lastPlanted.survey.optionId === option.id;
  return known && lastPlanted!.order.length === option.plants.length ? lastPlanted! : 'later';
}

/**
 * Which value keeps a figure from being worked out, as far as reading the document again can tell. What reads documents
 * comes only then: the page has read this one.
 */
async function troubleIn(commission: Commission, what: string): Promise<Text> {
  await import('./withoutEval');
  const { parseCommission } = await import('../../core/commission/parse');
  const parsed = parseCommission(commission);
  if (parsed.ok) return say('plan.failed', { what });
  const { path, says } = parsed.faults[0];
  return say('plan.failed.at', { where: path.replace('options[0]', 'this option'), says });
}

/** Heights at which the water is read. */
const STEPS = 24;

/**
 * Free water by height of the scape that was last measured, from the glass to the rim. One height at a time,
 * so that a plan that is wanted meanwhile comes first; given up when another scape has been measured.
 */
async function waterScale(): Promise<WaterHeight[]> {
  const mine = last;
  if (!mine) return [];
  const scale: WaterHeight[] = [];
  for (let i = 0; i <= STEPS; i++) {
    const mm = (mine.commission.vessel.innerMm.height * i) / STEPS;
    scale.push(...waterByHeight(mine.survey, mine.commission, [mm]));
    await new Promise((resolve) => setTimeout(resolve));
    if (last !== mine) return [];
  }
  return scale;
}

/** What the bed that was last measured does by itself, and the bed as it then lies. */
export interface SettledBed {
  movedL: number;
  onPathsL: number;
  settled: boolean;
  /** Cells from left to right and front to back, and by how much each has risen, mm. */
  columns: number;
  rows: number;
  risenMm: Float64Array;
  bed: Layer[];
}

/** Rounds go on for so long before anything else that is wanted has its turn, ms. */
const TURN_MS = 40;
let stopSettle = false;

/** Lets the bed creep; `onRound` hears how far it is. Nothing where nothing was measured, or it was stopped. */
async function settleBed(onRound: (round: number) => void): Promise<SettledBed | undefined> {
  if (!last) return undefined;
  stopSettle = false;
  const { survey, commission } = last;
  const { bed } = optionOf(commission, survey.optionId);
  const { field } = survey;
  const materials = bed.map((l) => materialOf(commission, l.material));
  const rounds = settling(field, bed, materials, survey.standing);
  let since = performance.now();
  let step = rounds.next();
  while (!step.done) {
    if (performance.now() - since > TURN_MS) {
      onRound(step.value);
      await new Promise((resolve) => setTimeout(resolve));
      if (stopSettle) return undefined;
      since = performance.now();
    }
    step = rounds.next();
  }
  const { movedL, onPathsL, settled, risenMm } = step.value;
  const { columns, rows } = field;
  const lies = settledBed(bed, field, step.value, commission.vessel);
  return { movedL, onPathsL, settled, columns, rows, risenMm, bed: lies };
}

function stopSettling(): void {
  stopSettle = true;
}

/** Filler as high as it may lie under the bed that was last measured, and how much soil it saves. */
async function fillBed(): Promise<Filling | undefined> {
  if (!last) return undefined;
  const { survey, commission } = last;
  return fillUnder(survey.field, optionOf(commission, survey.optionId).bed, commission.vessel);
}

/** What is around one piece of the scape that was last measured. */
export interface Around {
  clear: Clearance[];
  /** Pieces within reach of glue, and how far they are, mm. */
  touching: { id: string; gapMm: number }[];
  /** What bears it, and how much of it. */
  loads: Load[];
}

function standsWith(
  id: string,
): { own: Standing; others: Standing[]; measured: NonNullable<typeof last> } | undefined {
  const own = last?.survey.standing.find((s) => s.piece.id === id);
  return own && last && { own, others: last.survey.standing.filter((s) => s !== own), measured: last };
}

/** What is clear around a piece, and what it could be joined to. */
async function around(id: string): Promise<Around | undefined> {
  const found = standsWith(id);
  if (!found) return undefined;
  const { own, others, measured } = found;
  const touching = others
    .map((o) => ({ id: o.piece.id, gapMm: gapMm(own, o) }))
    .filter((t) => t.gapMm <= JOINABLE_MM);
  const { survey, commission } = measured;
  const { massKg } = survey.pieces.find((p) => p.id === id)!;
  return {
    clear: clearancesOf(own, others, commission.vessel),
    touching,
    loads: loadsOf(own, massKg, survey.field, others),
  };
}

/** A device inside the vessel as an eye sees it. */
export interface GearSeen extends Seen {
  id: string;
  name: string;
}

/** How much an eye sees of each device that has a place inside the vessel. */
async function gearSeen(eye: Spot3): Promise<GearSeen[] | undefined> {
  if (!last) return undefined;
  const { survey, commission } = last;
  const { vessel } = commission;
  const way = { standing: [...fixedStanding(vessel), ...survey.standing], field: survey.field };
  return devicesOf(commission).flatMap(({ id, name, body }) =>
    body ? [{ id, name, ...seenOf(eye, body, vessel, way) }] : [],
  );
}

/** How a piece stands when it is let down where it is. */
async function letDown(id: string): Promise<Piece['stand'] | undefined> {
  const found = standsWith(id);
  if (!found) return undefined;
  const { own, others, measured } = found;
  const { stand } = own.piece;
  // What rests on it does not carry it.
  const below = others.filter((o) => o.piece.stand.kind !== 'on' || o.piece.stand.piece !== id);
  const buryMm = stand.kind === 'bed' ? stand.buryMm : undefined;
  return dropped(
    own.piece,
    own.columns,
    measured.survey.field,
    below,
    measured.commission.vessel,
    buryMm === undefined ? {} : { buryMm },
  );
}

/** Where a piece no longer runs into others. */
async function apart(id: string): Promise<[number, number] | undefined> {
  const found = standsWith(id);
  if (!found) return undefined;
  const { own, others, measured } = found;
  return slidApart(own, others, measured.survey.field, measured.commission.vessel);
}

/** What is planted as it will live, without what only the computation needs. */
export type ShownPlanted = Omit<PlantedPlan, 'living'> & {
  optionId: string;
  living: Omit<Living, 'light'> & { light: Omit<LightMap, 'at' | 'share'> };
};
const plantedMemo = newPlantedMemo();
let lastPlanted: (PlantedPlan & { survey: Survey; commission: Commission; id: string }) | undefined;

/** Light on the piece that a finger meets, as planted, µmol/m²/s; undefined where it meets none. */
async function lightUnder(finger: Finger): Promise<{ piece: string; ppfd: number } | undefined> {
  const met = lastPlanted && (await touch(finger));
  const ppfd = met && ppfdOnPiece(lastPlanted!.survey.standing, lastPlanted!.living.light, met);
  return ppfd === undefined ? undefined : { piece: met!.piece, ppfd };
}

/** Light in the cells of the bed in a week after planting, under what has grown by then, µmol/m²/s. */
async function lightInWeek(week: number): Promise<Float32Array | undefined> {
  if (!lastPlanted) return undefined;
  const { parts, living, survey, commission } = lastPlanted;
  return lightOnDay(parts, living, commission.vessel, survey.field, week * 7);
}

/** Where each plug goes and what it has there, of the scape that was last measured. */
async function planted(): Promise<ShownPlanted | undefined> {
  if (!last) return undefined;
  const { survey, commission, id } = last;
  const whole = plantedPlan(resolve(commission, survey), survey, plantedMemo);
  lastPlanted = { ...whole, survey, commission, id };
  const { living, ...rest } = whole;
  const { light, ...water } = living;
  const { at: _at, share: _share, ...map } = light;
  return { ...rest, optionId: survey.optionId, living: { ...water, light: map } };
}

/** The plan that follows from what is planted, as it was last worked out: build day and guide. */
async function followed(): Promise<ShownPlan | undefined> {
  if (!last || lastPlanted?.survey !== last.survey) return undefined;
  return shownOf(plan(last.commission, { ...last.ask, planted: lastPlanted }));
}

const buying = async () => last && buyingOf(last);
const trial = async (candidate: Candidate) => last && trialIn(last, candidate);
const swaps = async (from: string, others: Material[], sellers: Supplier[]) =>
  last ? swapsIn(last, from, others, sellers) : [];

/** Which piece a finger meets, and where on it: from above, from the front, or where a look from a seat ends. */
export type Finger =
  | { from: 'above' | 'front'; spot: [number, number] }
  | { from: 'seat'; spot: [number, number, number] };
async function touch(finger: Finger): Promise<Touched | undefined> {
  const standing = last?.survey.standing ?? [];
  return finger.from === 'seat'
    ? touchedAt(standing, finger.spot)
    : touched(standing, finger.from, ...finger.spot);
}

/** Glued joints of the scape that was last measured that a plant can hide. */
async function hides(): Promise<Hide[]> {
  if (!last) return [];
  return jointsToHide(optionOf(last.commission, last.survey.optionId).joints, last.survey.standing);
}

const worker = {
  prepare,
  touch,
  hides,
  compute,
  planted,
  followed,
  buying,
  trial,
  swaps,
  lightInWeek,
  lightUnder,
  waterScale,
  settleBed,
  stopSettling,
  fillBed,
  around,
  gearSeen,
  letDown,
  apart,
};
export type PlanWorker = typeof worker;
expose(worker);
