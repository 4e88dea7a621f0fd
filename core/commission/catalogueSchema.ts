import { z } from 'zod';
import {
  clock,
  figure,
  id,
  words,
  text,
  day,
  lengthMm,
  gearKind,
  co2Part,
  share,
  minor,
  weekday,
} from './primitives';
import { must } from './must';

/* What can be bought and kept: packs, materials, plants, suppliers, animals; part of the document (`schema.ts`). */

export const packSchema = z.looseObject({
  id,
  size: z.number().min(0.001).max(1e6),
  unit: z.enum(['L', 'kg', 'piece', 'plug', 'mL', 'g', 'm']),
  priceMinor: minor,
  supplier: id,
  leadDays: z.number().int().min(0).max(365),
  /** Price of one by how many are bought: that of the last step that is reached. */
  steps: z
    .array(z.looseObject({ from: z.int().min(2).max(100_000), priceMinor: minor }))
    .max(6)
    .optional(),
  keepsDays: z.number().int().min(0).max(3_650).optional(),
  /** What it is sold as: bag, cup, pot, bunch, bottle. */
  name: words.optional(),
});

/** Small things that hold others or are used up: they follow from the scape and are not seen in it. */
export const SMALL_KINDS = [
  'glue',
  'fibre',
  'mesh-bag',
  'conditioner',
  'pad',
  'tie',
  'bacteria',
  'root-tab',
  'plant-food',
  'gypsum',
  'bicarbonate',
  'test',
] as const;

export const MATERIAL_KINDS = [
  'soil',
  'base',
  'sand',
  'gravel',
  'filler',
  'stone',
  'wood',
  /** Pots, trays, dishes: what stands in it and is neither stone nor wood. */
  'ware',
  'equipment',
  ...SMALL_KINDS,
] as const;

/** Kinds of glue. */
export const GLUES = ['liquid', 'gel', 'silicone', 'impact'] as const;

export const materialSchema = z.looseObject({
  id,
  kind: z.enum(MATERIAL_KINDS),
  name: words,
  bulkKgPerL: z.number().min(0.01).max(12).optional(),
  densityKgPerL: z.number().min(0.01).max(12).optional(),
  /** Wood after soaking, when it differs from dry. */
  soakedKgPerL: z.number().min(0.01).max(12).optional(),
  soakDays: z.number().int().min(0).max(365).optional(),
  /** Equipment: what it is, draws and moves. */
  gear: gearKind.optional(),
  /** Part of a CO2 set that it is; a whole set when left out. */
  part: co2Part.optional(),
  watts: figure(0, 10_000).optional(),
  litresPerHour: figure(0, 100_000).optional(),
  /** What kind of glue a glue is; liquid when left out. */
  glue: z.enum(GLUES).optional(),
  /** Bacteria: millilitres a day for each 100 L. */
  bacteriaPer100L: z.number().min(0.001).max(10_000).optional(),
  settles: share.optional(),
  reposeDeg: z.number().min(1).lt(90).optional(),
  /** Share of the poured volume that water fills. */
  pores: share.optional(),
  /** Conditioner and plant food: millilitres for each 100 L, of one dose. */
  dosePer100L: z.number().min(0.001).max(10_000).optional(),
  /** Gives off carbonate and hardens the water. */
  hardens: z.boolean().optional(),
  colour: words.optional(),
  packs: z.array(packSchema).max(40).optional(),
  notes: text.optional(),
});

/** Shapes by which leaves are drawn. */
export const LEAVES = ['lance', 'round', 'needle', 'feather', 'strap', 'frond', 'tuft'] as const;

export const plantSchema = z.looseObject({
  id,
  name: words,
  roots: z.enum(['bed', 'epiphyte', 'float']),
  minBedMm: figure(0, 1_000).optional(),
  habit: z
    .enum(['carpet', 'rosette', 'stem', 'epiphyte', 'moss', 'bulb', 'grass', 'float', 'creeper', 'emersed'])
    .optional(),
  heightMm: z.tuple([lengthMm, lengthMm]).optional(),
  /** How far across one plug grows, mm. */
  spreadMm: z.number().min(1).max(5_000).optional(),
  light: z.enum(['low', 'medium', 'high']).optional(),
  needsCo2: z.boolean().optional(),
  /** Grows as well as it can only with CO2, though it lives without. */
  helpedByCo2: z.boolean().optional(),
  /** Light of a day with which it lives, and with which it grows well, mol/m². */
  dli: z.tuple([figure(0, 60), figure(0, 60)]).optional(),
  /** Hardness in which it grows well, °d. */
  gh: z.tuple([figure(0, 60), figure(0, 60)]).optional(),
  /** What leaves that were grown above water do under it. */
  emersedLeaves: z.enum(['stay', 'change', 'melt']).optional(),
  /** Red or brown where it has its light, green in the shade. */
  red: z.boolean().optional(),
  leaf: z.enum(LEAVES).optional(),
  /** Days from one trim to the next. */
  trimEveryDays: z.number().int().min(1).max(365).optional(),
  /** Temperatures in which it grows well, °C. */
  tempC: z.tuple([figure(0, 45), figure(0, 45)]).optional(),
  growth: z.enum(['slow', 'medium', 'fast']).optional(),
  spacingMm: z.number().min(5).max(2_000).optional(),
  /** Plugs that one cup or pot splits into: few, usual, many. */
  plugsAPack: z.tuple([z.int().min(1).max(500), z.int().min(1).max(500), z.int().min(1).max(500)]).optional(),
  firstTrimDays: z.number().int().min(1).max(365).optional(),
  colour: words.optional(),
  packs: z.array(packSchema).max(40).optional(),
  notes: text.optional(),
});

const closedSpan = z.union([day, z.looseObject({ from: day, to: day })]);

export const supplierSchema = z.looseObject({
  id,
  name: words,
  /** Days on which it delivers; every day when left out. */
  days: z.array(weekday).max(7).optional(),
  /** Days on which it neither works nor delivers: single days or spans, both ends included. */
  closed: z.array(closedSpan).max(400).optional(),
  /** Days on which it delivers plants and animals; on all of its days when left out. */
  livingDays: z.array(weekday).max(7).optional(),
  /** One goes there and chooses in the hand: no parcel, no lead time; between which hours it is open. */
  shop: z.boolean().optional(),
  open: z
    .tuple([clock, clock])
    .refine(([from, until]) => from < until, must('timespan'))
    .optional(),
  /** Orders that come later in the day count as of the next. */
  cutOff: clock.optional(),
  /** The least it sends for, and carriage by what the goods come to. */
  minimumMinor: minor.optional(),
  carriage: z
    .array(z.looseObject({ fromMinor: minor, minor }))
    .max(10)
    .optional(),
  /** Whom one rings or writes to there. */
  contact: words.optional(),
});

const span = (least: number, most: number) =>
  z.tuple([figure(least, most), figure(least, most)]).refine(([from, to]) => from <= to, must('rising'));

/** Kinds of animal. */
export const ANIMAL_KINDS = ['fish', 'shrimp', 'snail'] as const;

/** An animal that the list does not have, with what is known of it: nothing is judged by what is left out. */
export const animalSchema = z.looseObject({
  id,
  name: words.min(1),
  kind: z.enum(ANIMAL_KINDS),
  adultMm: z.number().min(1).max(2_000).optional(),
  group: z.int().min(1).max(200).optional(),
  leastMm: lengthMm.optional(),
  zone: z.enum(['top', 'middle', 'bottom']).optional(),
  tempC: span(0, 45).optional(),
  ph: span(3, 11).optional(),
  gh: span(0, 60).optional(),
  kh: span(0, 60).optional(),
  digs: z.boolean().optional(),
  eatsShrimps: z.boolean().optional(),
  eatsPlants: z.boolean().optional(),
  jumps: z.boolean().optional(),
});

export const catalogueSchema = z.looseObject({
  materials: z.array(materialSchema).max(2_000),
  plants: z.array(plantSchema).max(2_000).default([]),
  suppliers: z.array(supplierSchema).max(500),
  /** Animals beside those that everybody has. */
  animals: z.array(animalSchema).max(200).optional(),
});
