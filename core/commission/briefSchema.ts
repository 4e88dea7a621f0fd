import { z } from 'zod';
import {
  clock,
  crew,
  day,
  figure,
  id,
  laterDays,
  lengthMm,
  minor,
  origin,
  pace,
  point,
  sizeMm,
  text,
  weekday,
  words,
} from './primitives';
import { brokenDownSchema, outOf } from './brokenDownSchema';
import { buildTasksSchema, sittingSchema } from './sittingSchema';

/* What was asked on the first visit, every answer but three optional. */

export const WATER_SCHOOLS = ['taper', 'large-ro', 'weekly', 'every-week', 'light', 'fish-in'] as const;
export const DOSING_SCHOOLS = ['none', 'ramp', 'lean', 'excess'] as const;
export const MOISTURE_SCHOOLS = ['dry', 'misted', 'wet', 'flooded'] as const;
export const PLANTING_SCHOOLS = ['front', 'transition'] as const;
export const SPACING_SCHOOLS = ['dense', 'economical'] as const;
export const SPECIES_SCHOOLS = ['three', 'many'] as const;
export const SAND_SCHOOLS = ['last', 'before', 'later'] as const;
/** Intake, outflow and heater go in before the plants are out of their pots, or after the last is set. */
export const GEAR_SCHOOLS = ['before', 'after'] as const;

const schools = z.looseObject({
  water: z.enum(WATER_SCHOOLS).optional(),
  dosing: z.enum(DOSING_SCHOOLS).optional(),
  moisture: z.enum(MOISTURE_SCHOOLS).optional(),
  /** Which plants go in first. */
  planting: z.enum(PLANTING_SCHOOLS).optional(),
  /** How far apart plugs stand where a region says nothing, and how many species a scape may have. */
  spacing: z.enum(SPACING_SCHOOLS).optional(),
  species: z.enum(SPECIES_SCHOOLS).optional(),
  /** When a sand that is only looked at goes in. */
  sand: z.enum(SAND_SCHOOLS).optional(),
  gear: z.enum(GEAR_SCHOOLS).optional(),
  /** The hardscape is set once for a trial, photographed and taken out again. */
  trial: z.boolean().optional(),
  /** Minutes after the fill until the water is clear enough for a picture. */
  clearMin: z.number().int().min(1).max(600).optional(),
  /** Everybody rests for so many minutes between hardscape and planting, on a day that is long enough for it. */
  breakMin: z.number().int().min(5).max(180).optional(),
  /** A visit on the day after the water: what has slid, floated, silted. */
  lookAfter: z.boolean().optional(),
});

/** For what suppliers are chosen: the least in all, the soonest there, the fewest parcels. */
export const BUYING_AIMS = ['cheapest', 'soonest', 'fewest'] as const;

export const OCCASIONS = ['opening', 'show', 'photograph', 'birthday', 'other'] as const;
export const PICTURE_SUBJECTS = [
  'story',
  'place',
  'floor',
  'route',
  'power',
  'water',
  'tank',
  'owned',
  'mock-up',
  'offered',
  'received',
  'log',
] as const;

/** A place from which the tank is looked at; x from its left end, y negative towards the room, mm. */
export const seatSchema = z.looseObject({
  id,
  name: words,
  at: point,
  /** Height of the eyes above the floor: 1200 sitting, 1600 standing. */
  eyeMm: z.number().min(300).max(2_500),
});

/** An animal wished for, or living in it already. */
export const stockSchema = z.looseObject({
  species: id,
  count: z.number().int().min(1).max(1_000),
  present: z.boolean().optional(),
  /** It lives in the tank now and goes elsewhere for good when the work begins. */
  leaves: z.boolean().optional(),
  /** Weeks or days after the build when it is wished for: animals come in stages. */
  laterDays: laterDays.optional(),
  /** Nobody has decided on it yet: it is in no load and in no date. */
  undecided: z.boolean().optional(),
  /** It lives in a scape that is broken down elsewhere, and comes out of that. */
  from: outOf,
});

/** Something of the client's that goes into the new scape. */
const ownedSchema = z.looseObject({
  id,
  name: words,
  material: id,
  sizeMm: z.tuple([sizeMm, sizeMm, sizeMm]),
  massKg: z.number().min(0.001).max(2_000).optional(),
});

/** A running tank that is taken apart and built anew. */
const rescapeSchema = z.looseObject({
  stays: z.array(z.enum(['stone', 'wood', 'substrate', 'plants', 'water'])).max(5),
  filterKept: z.boolean(),
  /** Tubs or tank in which animals wait. */
  holdingL: figure(0, 10_000).optional(),
  /** Where animals are meanwhile: in the tank, in tubs, or with somebody else. */
  animals: z.enum(['stay', 'tubs', 'elsewhere']).optional(),
  /** Animals in tubs wait in the water that is kept: one lot of tubs, not two. */
  inKept: z.boolean().optional(),
  /** Share of the old water that is kept; all of it where water stays and nothing is said. */
  waterKept: z.number().min(0).max(1).optional(),
  /** Height above the glass to which the water is drained before the work, mm. */
  drainToMm: lengthMm.optional(),
  /** What one tub for old water holds, L. */
  tubL: z.number().min(1).max(2_000).optional(),
  /** The filter is cleaned on the same day. */
  filterCleaned: z.boolean().optional(),
  /** How it is cleaned: in tank water its media keep what lives on them, under the tap they do not. */
  filterRinsed: z.enum(['tank-water', 'tap']).optional(),
});

/** What is used up while a tank is kept: it is bought for the build and the eight weeks after it, or is the client's. */
export const SUPPLIES = ['conditioner', 'plant-food', 'bacteria', 'gypsum', 'bicarbonate', 'test'] as const;

/** How the client wants to keep it; what is not said is as usual. */
const careSchema = z.looseObject({
  /** Clock time at which the light comes on, hours it stays on, and hours by which gas goes before it. */
  lightsOn: clock.optional(),
  lightHours: z.number().min(2).max(12).optional(),
  /** Share of full output in the first week; it rises to full over four. */
  firstOutput: z.number().min(0.1).max(1).optional(),
  /** The light has no dimmer: it begins with fewer hours instead. */
  undimmed: z.boolean().optional(),
  co2AheadHours: z.number().min(0).max(4).optional(),
  /** Weekday of the weekly change. */
  changeDay: weekday.optional(),
  /** What of the things that are used up the client has and buys: it is not bought for the job. */
  clientHas: z.array(z.enum(SUPPLIES)).max(SUPPLIES.length).optional(),
  /** Days after the build from which gas is on; with the light from the first day when left out. */
  co2FromDay: z.int().min(0).max(60).optional(),
  /** Root tabs: never, or in soil too; where nothing is said only in a bed that gives nothing. */
  rootTabs: z.enum(['none', 'also']).optional(),
  /** Days by which a change may come sooner or later than its day. */
  slackDays: z.int().min(0).max(3).optional(),
});

/** The filter of the new scape: whose, and how far its media are. */
const filterSchema = z.looseObject({
  origin: origin.optional(),
  state: z.enum(['new', 'seeded', 'mature']).optional(),
});

export const briefSchema = z.looseObject({
  buildDay: day,
  co2: z.boolean(),
  crew,
  /** Clock time at which the crew starts, `08:30` unless told otherwise. */
  startTime: clock.optional(),
  crewNames: z.array(words).max(4).optional(),
  /** Days beside the build day on which a part of the work is done. */
  sittings: z.array(sittingSchema).max(30).optional(),
  /** Tasks that somebody moved to the build day. */
  buildTasks: buildTasksSchema.optional(),
  /** The last of them is learning: what that person does alone takes longer. */
  learner: z.boolean().optional(),
  /** Minutes that this crew takes for each of the usual ones. */
  pace: pace.optional(),
  client: z.looseObject({ name: words, contact: words.optional(), place: words.optional() }).optional(),
  handover: day.optional(),
  story: text.optional(),
  budgetMinor: minor.optional(),
  /** Light that falls on the tank from outside: beside a window the photoperiod starts shorter. */
  daylight: z.enum(['none', 'indirect', 'window']).optional(),
  /** The nearest window: on which side of the tank, how far, and hours of sun on the glass. */
  window: z
    .looseObject({
      side: z.enum(['front', 'back', 'left', 'right']),
      distanceMm: figure(0, 50_000),
      sunHours: figure(0, 16),
    })
    .optional(),
  occasion: z
    .looseObject({ kind: z.enum(OCCASIONS), day: day.optional(), note: words.optional() })
    .optional(),
  rescape: rescapeSchema.optional(),
  filter: filterSchema.optional(),
  /** Scapes that are broken down elsewhere, of which parts come here. */
  brokenDown: z.array(brokenDownSchema).max(10).optional(),
  /** From whom it is bought: line by line as it is cheapest when left out, otherwise chosen for the whole order. */
  buying: z
    .looseObject({
      aim: z.enum(BUYING_AIMS).optional(),
      /** Lines that are bought from one supplier, whatever is chosen. */
      pins: z
        .array(z.looseObject({ line: id, supplier: id }))
        .max(300)
        .optional(),
    })
    .optional(),
  /** Water from another tank that goes into a new one, L. */
  otherWaterL: figure(0, 10_000).optional(),
  care: careSchema.optional(),
  seats: z.array(seatSchema).max(8).optional(),
  livestock: z.array(stockSchema).max(40).optional(),
  /** What a CO2 set costs, as quoted; part of the cost when there is to be CO2. */
  co2CostMinor: minor.optional(),
  owned: z.array(ownedSchema).max(60).optional(),
  keeper: words.optional(),
  minutesAWeek: figure(0, 10_000).optional(),
  schools: schools.optional(),
});
