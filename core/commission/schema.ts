import { z } from 'zod';
import {
  briefSchema,
  seatSchema,
  stockSchema,
  type DOSING_SCHOOLS,
  type SUPPLIES,
  type WATER_SCHOOLS,
} from './briefSchema';
import {
  currency,
  day,
  degrees,
  figure,
  id,
  laterDays,
  lengthMm,
  origin,
  point,
  positionMm,
  region,
  share,
  sizeMm,
  words,
} from './primitives';
import {
  catalogueSchema,
  type animalSchema,
  type materialSchema,
  type packSchema,
  type plantSchema,
  type supplierSchema,
} from './catalogueSchema';
import { logEntrySchema, type readingSchema } from './logSchema';
import { outOf } from './brokenDownSchema';
import { candidateSchema } from './candidateSchema';
import { pictureSchema, underlaySchema } from './pictureSchema';
import { quoteSchema } from './quoteSchema';
import { parcelSchema, receivedSchema } from './receivedSchema';
import { takenSchema } from './takenSchema';
import { shapeSchema, type scanSchema } from './shapeSchema';
import { siteSchema, waypointSchema } from './siteSchema';
import { inSitting, type SITTING_KINDS } from './sittingSchema';
import { strewnSchema } from './strewnSchema';
import { vesselSchema } from './vesselSchema';

/*
 * The commission document, version 1, as Zod schemas; the types the rest of the code uses are inferred from
 * them. Objects are loose: a field this version does not know is kept, so that a newer file loses nothing by
 * being opened and saved. Lengths mm, volumes L, masses kg, temperatures °C, money in minor units.
 */

export { WATER_SCHOOLS, DOSING_SCHOOLS, GEAR_SCHOOLS, MOISTURE_SCHOOLS, OCCASIONS, PICTURE_SUBJECTS, SUPPLIES } from './briefSchema'; // prettier-ignore
export { ABOUT } from './logSchema';
export { SITTING_KINDS } from './sittingSchema';
export { STREWN_KINDS } from './strewnSchema';
export { shapeSchema } from './shapeSchema';
export { VESSEL_KINDS, VESSEL_SIDES } from './vesselSchema';
export * from './catalogueSchema';

export const FORMAT = 'utsuwa.commission';
export const VERSION = 1;

/** The thing of the tank as it is now that this is: it stays, or is set again elsewhere. Nothing of it is bought. */
const ofNow = id.optional();

const mound = z.looseObject({ at: point, radiusMm: sizeMm, heightMm: z.number().min(-2_000).max(2_000) });

const topSchema = z.discriminatedUnion('kind', [
  z.looseObject({ kind: z.literal('level'), mm: lengthMm }),
  z.looseObject({ kind: z.literal('ramp'), frontMm: lengthMm, backMm: lengthMm }),
  z.looseObject({
    kind: z.literal('grid'),
    stepMm: sizeMm,
    columns: z.number().int().min(2).max(2_000),
    rows: z.number().int().min(2).max(2_000),
    mm: z.array(lengthMm).max(1_000_000),
  }),
]);

export const layerSchema = z.looseObject({
  id,
  material: id,
  top: topSchema,
  /** Its top and its hills are measured over what it lies on, not over the glass: a skin of sand that follows the ground. */
  over: z.boolean().optional(),
  mounds: z.array(mound).max(100).optional(),
  region: region.optional(),
  cuts: z.boolean().optional(),
  /** It comes in around what stands, or when the glue has set; by what it is when left out. */
  poured: z.enum(['around', 'glued']).optional(),
  floorMm: lengthMm.optional(),
  origin: origin.optional(),
  /** Litres of it that are there already, as poured: only the rest comes from elsewhere. */
  presentL: figure(0, 10_000).optional(),
  from: outOf,
  /** Soil that has run before gives less and holds its shape less well. */
  used: z.boolean().optional(),
  /** A mixture: materials with their shares, together 1; `material` says how it lies. */
  mix: z
    .array(z.looseObject({ material: id, share: z.number().min(0.001).max(1) }))
    .min(2)
    .max(8)
    .optional(),
  /** Filler is laid in mesh bags, unless it is poured loose. */
  bagged: z.boolean().optional(),
  laterDays: laterDays.optional(),
  sitting: inSitting,
  now: ofNow,
  /** A path as it was drawn; `region` is the floor that it takes. Or a band of gravel along the edge of one. */
  path: z
    .looseObject({
      line: z.array(point).min(2).max(60),
      /** Width at its first and its last point. */
      widthMm: z.tuple([sizeMm, sizeMm]),
      edgeOf: id.optional(),
      bandMm: z.number().min(1).max(500).optional(),
    })
    .optional(),
});

const standSchema = z.discriminatedUnion('kind', [
  z.looseObject({
    kind: z.literal('bed'),
    buryMm: z.number().min(-2_000).max(2_000),
    /** The layer on which it stands, where that is said: what lies higher comes in around it. */
    layer: id.optional(),
  }),
  z.looseObject({
    kind: z.literal('floor'),
    /** Thickness of the pad under it, mm. */ pad: z.number().min(0).max(100).optional(),
  }),
  z.looseObject({ kind: z.literal('at'), zMm: positionMm }),
  z.looseObject({ kind: z.literal('on'), piece: id }),
]);

export const pieceSchema = z.looseObject({
  id,
  material: id,
  shape: shapeSchema,
  at: point,
  turnDeg: degrees.default(0),
  /** Tilt about x, then about y, before turning. */
  tiltDeg: z.tuple([degrees, degrees]).optional(),
  stand: standSchema,
  /** As weighed; otherwise volume times density. */
  massKg: z.number().min(0.001).max(2_000).optional(),
  /** How it is turned when its best face looks to the front; where its grain runs when it is not turned. */
  faceDeg: degrees.optional(),
  grainDeg: degrees.optional(),
  /** From the studio's own yard or the client: not bought. `origin` says more, and goes before it. */
  owned: z.boolean().optional(),
  /** Its number in the studio's yard, where its own id in this scape is another. */
  yard: id.optional(),
  origin: origin.optional(),
  from: outOf,
  /** Wood dry, soaking, or long sunk; stone or wood that something lives on and that must stay wet. */
  state: z.enum(['dry', 'soaking', 'sunk', 'living']).optional(),
  /** Day since which it soaks. */
  soakingSince: day.optional(),
  /** Glued into the vessel: it is neither taken out nor moved, and cannot float. */
  fixed: z.boolean().optional(),
  /** Where a piece that is in the tank now stands now, when it is to stand elsewhere. */
  wasAt: point.optional(),
  sitting: inSitting,
  /** It holds something until that has soaked or set, and comes out so many days after the build. */
  outDays: z.int().min(1).max(365).optional(),
  now: ofNow,
});

const joinedBy = z.enum(['fibre-glue', 'gel-glue', 'silicone', 'impact', 'tie', 'wedge']);

export const jointSchema = z.looseObject({
  id,
  pieces: z.array(id).min(2).max(20),
  method: joinedBy,
  /** What else holds the same contacts: gel and a tie, fibre and silicone. */
  also: z.array(joinedBy).max(5).optional(),
  /** Days after the build on which a tie is cut, since what it held has set. */
  cutDays: z.int().min(1).max(365).optional(),
  /** Gel that an accelerator sets at once. */
  accelerated: z.boolean().optional(),
  /** It is made in the tank in that sitting, however long it cures. */
  sitting: inSitting,
});

/** Why plants from one's own tanks are left there. */
export const DECLINED_FOR = ['algae', 'snails', 'weak'] as const;

export const plantingSchema = z.looseObject({
  id,
  plant: id,
  region: region.optional(),
  spacingMm: z.number().min(5).max(2_000).optional(),
  /** Placed one by one instead of by area: so many, on a piece or in the bed. */
  count: z.number().int().min(0).max(100_000).optional(),
  on: id.optional(),
  origin: origin.optional(),
  from: outOf,
  /** The studio's own stock of it was looked at, and declined for what lives on it. */
  declined: z.enum(DECLINED_FOR).optional(),
  /** As it comes: tissue culture, grown above water, or out of a running tank. */
  form: z.enum(['tissue', 'emersed', 'running']).optional(),
  /** Part of the surface that it takes where plantings share it; the whole when left out. */
  share: z.number().min(0.001).max(1).optional(),
  laterDays: laterDays.optional(),
  sitting: inSitting,
  /** It is set when the water stands so high, or through all of it where that is higher than the line, mm. */
  inWaterMm: z.number().min(1).max(5_000).optional(),
  /** So many plugs a day, from its day on, until all are in. */
  aDay: z.number().int().min(1).max(1_000).optional(),
  /** Packs that there are for it, where that is settled: what they do not cover stays bare. */
  packs: z.number().int().min(0).max(10_000).optional(),
  /** How finely its packs are split. */
  splits: z.enum(['coarse', 'usual', 'fine']).optional(),
  /** Stems are halved: the tops are planted, and the bottoms too. */
  halved: z.boolean().optional(),
  /** Plugs at hand that go in before any pack is opened: trimmings, or kept from the client's tank. */
  ownPlugs: z.number().int().min(0).max(100_000).optional(),
  now: ofNow,
  /** What its packs gave when they were split, counted: the studio plans the next by it. */
  gave: z
    .looseObject({ packs: z.number().int().min(1).max(10_000), plugs: z.number().int().min(1).max(100_000) })
    .optional(),
  /** How an epiphyte is held to its piece: by dots of gel where nothing is said, tied, wedged into a gap, or grown onto it already in another tank. */
  held: z.enum(['glue', 'tie', 'wedge', 'grown']).optional(),
  /** How plugs stand in a region: evenly scattered where nothing is said, in rows, or in groups of two or three. */
  set: z.enum(['rows', 'twos', 'threes']).optional(),
  /** Spots on its piece that were chosen one by one, mm from the piece's own place, before it is turned. */
  at: z
    .array(z.tuple([positionMm, positionMm, positionMm]))
    .max(500)
    .optional(),
});

/** Soil or grain heaped on top of a piece, for what is planted there. */
export const pocketSchema = z.looseObject({
  id,
  on: id,
  material: id,
  /** Middle of the heap from the piece's own place, mm, before the piece is turned: it goes along with it. */
  offsetMm: point,
  radiusMm: z.number().min(5).max(1_000),
  heightMm: z.number().min(1).max(500),
});

/** What a scape is made of. */
const scapeParts = {
  bed: z.array(layerSchema).max(20),
  pieces: z.array(pieceSchema).max(300).default([]),
  joints: z.array(jointSchema).max(300).default([]),
  plants: z.array(plantingSchema).max(300).default([]),
  pockets: z.array(pocketSchema).max(60).optional(),
  underlays: z.array(underlaySchema).max(2).optional(),
};

/** Where what is taken out goes: kept wet in tank water, dry, in a tub with what lives on it; thrown away, to the studio's stock. */
export const WHERETO = ['wet', 'dry', 'tub', 'waste', 'stock'] as const;
/** A thing of the tank as it is now that leaves, and where it goes. */
const leavingSchema = z.looseObject({
  of: z.enum(['bed', 'pieces', 'plants', 'heaps']),
  id,
  to: z.enum(WHERETO),
});

export const optionSchema = z.looseObject({
  id,
  title: words,
  ...scapeParts,
  /** Stone bought for each kilogram placed; spare plants as a share of those planted. */
  allowances: z
    .looseObject({ stoneFactor: z.number().min(1).max(5).optional(), plantSpare: share.optional() })
    .optional(),
  /** Where what is in the tank now and not in this scape goes, as far as it is said. */
  leaving: z.array(leavingSchema).max(600).optional(),
  /** What is strewn by hand. */
  strewn: z.array(strewnSchema).max(60).optional(),
  /** What of the heaps that nobody drew stays in it. */
  heaps: z.array(id).max(40).optional(),
  /** Widths in which nothing may stand: a canyon, a way to swim through, the blade along the glass; from one point of the floor to another. */
  free: z
    .array(z.looseObject({ id, from: point, to: point }))
    .max(40)
    .optional(),
});

/** The tank as it stands there before any work: a scape of its own, drawn as exactly as one cares to. */
export const nowSchema = z.looseObject({
  ...scapeParts,
  /** What lies about without a shape, by its weight: “about 20 kg of lava”. It is in no litres. */
  heaps: z
    .array(
      z.looseObject({
        id,
        material: id,
        massKg: z.number().min(0.001).max(2_000),
        /** Of how many pieces, as far as it was counted. */
        count: z.number().int().min(1).max(10_000).optional(),
      }),
    )
    .max(40)
    .optional(),
});

export const commissionSchema = z.looseObject({
  format: z.literal(FORMAT),
  version: z.literal(VERSION),
  title: words.min(1),
  currency,
  studio: z
    .looseObject({ name: words, phone: words.optional(), address: z.string().max(500).optional() })
    .optional(),
  brief: briefSchema,
  vessel: vesselSchema,
  site: siteSchema.optional(),
  quote: quoteSchema.optional(),
  taken: z.array(takenSchema).max(3_000).optional(),
  candidates: z.array(candidateSchema).max(300).optional(),
  received: z.array(receivedSchema).max(3_000).optional(),
  parcels: z.array(parcelSchema).max(1_000).optional(),
  pictures: z.array(pictureSchema).max(200).optional(),
  /** Options put aside; each can be brought back. */
  shelved: z.array(optionSchema).max(50).optional(),
  chosen: id,
  now: nowSchema.optional(),
  options: z.array(optionSchema).min(1).max(50),
  catalogue: catalogueSchema,
  log: z.array(logEntrySchema).max(10_000).optional(),
});

export type Commission = z.infer<typeof commissionSchema>;
export type Brief = z.infer<typeof briefSchema>;
export type SittingKind = (typeof SITTING_KINDS)[number];
export type Vessel = z.infer<typeof vesselSchema>;
export type Site = z.infer<typeof siteSchema>;
export type Picture = z.infer<typeof pictureSchema>;
export type Stock = z.infer<typeof stockSchema>;
export type Seat = z.infer<typeof seatSchema>;
export type Waypoint = z.infer<typeof waypointSchema>;
export type Option = z.infer<typeof optionSchema>;
export type Now = z.infer<typeof nowSchema>;
export type Heap = NonNullable<Now['heaps']>[number];
export type Whereto = (typeof WHERETO)[number];
export type KeptFree = NonNullable<Option['free']>[number];
export type Layer = z.infer<typeof layerSchema>;
export type LayerTop = Layer['top'];
export type Origin = z.infer<typeof origin>;
export type Piece = z.infer<typeof pieceSchema>;
export type Shape = z.infer<typeof shapeSchema>;
export type Candidate = NonNullable<Commission['candidates']>[number];
export type Scan = z.infer<typeof scanSchema>;
export type Joint = z.infer<typeof jointSchema>;
export type Underlay = z.infer<typeof underlaySchema>;
export type Pocket = z.infer<typeof pocketSchema>;
export type Strewn = z.infer<typeof strewnSchema>;
export type Planting = z.infer<typeof plantingSchema>;
export type Material = z.infer<typeof materialSchema>;
export type Animal = z.infer<typeof animalSchema>;
export type Plant = z.infer<typeof plantSchema>;
export type Pack = z.infer<typeof packSchema>;
export type Supplier = z.infer<typeof supplierSchema>;
export type Catalogue = z.infer<typeof catalogueSchema>;
export type LogEntry = z.infer<typeof logEntrySchema>;
export type Reading = z.infer<typeof readingSchema>;
export type WaterSchool = (typeof WATER_SCHOOLS)[number];
export type SupplyKind = (typeof SUPPLIES)[number];
export type DosingSchool = (typeof DOSING_SCHOOLS)[number];
