import { z } from 'zod';
import {
  clock,
  co2Part,
  day,
  figure,
  gearKind,
  id,
  origin,
  words,
  lengthMm,
  point,
  sizeMm,
  degrees,
} from './primitives';
import { outOf } from './brokenDownSchema';
import { must } from './must';

/* The place: floor, way in, power, water, warmth. */

/** Where a device goes that was in the tank and is not any more. */
export const GEAR_GOES = ['client', 'waste', 'stock'] as const;

const celsius = figure(-5, 45);
const hardness = figure(0, 60);

/** Something on the way from the van to the place. */
export const waypointSchema = z.looseObject({
  id,
  kind: z.enum(['door', 'lift', 'stairs', 'turn']),
  name: words,
  /** Clear width and height; a lift has a depth, a turn the width of the passage after it. */
  widthMm: sizeMm.optional(),
  heightMm: sizeMm.optional(),
  depthMm: sizeMm.optional(),
  loadKg: z.number().min(0.1).max(20_000).optional(),
  steps: z.number().int().min(1).max(1_000).optional(),
});

/** Light of a lamp: its flux by a beam, or as it was measured in a grid below it. */
const lightSchema = z.looseObject({
  /** Middle of the lamp over the floor; over the middle of the tank when left out. */
  at: point.optional(),
  /** Its lower side above the rim, mm. */
  aboveRimMm: lengthMm.optional(),
  lengthMm: lengthMm.optional(),
  widthMm: lengthMm.optional(),
  /** Photons of 400 to 700 nm, µmol/s; or lumens of a white lamp; else its watts tell. */
  umolPerS: figure(0, 10_000).optional(),
  lumens: figure(0, 500_000).optional(),
  /** Full angle at which it gives half of what it gives straight down; a lens makes it narrow. */
  beamDeg: z.number().min(5).max(170).optional(),
  /** Share of its full output at which it runs. */
  output: z.number().min(0).max(1).optional(),
  /** PPFD as measured in air on a level grid, µmol/m²/s, rows from the front, its middle under the lamp’s. */
  grid: z
    .looseObject({
      columns: z.int().min(1).max(200),
      rows: z.int().min(1).max(200),
      stepMm: sizeMm,
      /** How far below the lamp it was measured. */
      belowMm: sizeMm,
      ppfd: z.array(figure(0, 4_000)).max(40_000),
    })
    .refine((g) => g.ppfd.length === g.columns * g.rows, must('grid'))
    .optional(),
});

const deviceSchema = z.looseObject({
  id,
  name: words,
  watts: figure(0, 10_000),
  /** Where its warmth goes: into the water, from above by day, or elsewhere. */
  warms: z.enum(['water', 'above', 'elsewhere']).optional(),
  kind: gearKind.optional(),
  /** Part of a CO2 set that it is, or the whole `set`; left out, a whole set where no other device is one or a part of one. */
  part: co2Part.optional(),
  /** Which article of the catalogue it is: with its packs it has price, supplier and lead time. */
  material: id.optional(),
  origin: origin.optional(),
  from: outOf,
  /** It is in the tank now and is taken out: back to the client, away, or into the studio's stock. */
  leaves: z.enum(GEAR_GOES).optional(),
  /** What a filter or pump moves, L an hour. */
  litresPerHour: figure(0, 100_000).optional(),
  /** Where a flow pump blows, seen from above: 0 to the right, 90 to the back. */
  towardsDeg: degrees.optional(),
  /** The device in whose place it comes, for its looks or since that was lent: until its day that one is there. */
  replaces: id.optional(),
  /** Day on which it comes, where that is known: what cannot start without it waits. */
  arrives: day.optional(),
  /** Proposed, and touched by nobody since: it follows the tank. */
  proposed: z.boolean().optional(),
  /** What a lamp gives, and where it hangs. */
  light: lightSchema.optional(),
  /** Its body inside the vessel: size, the corner nearest to the front and left, and the side a hand comes from. */
  body: z
    .looseObject({
      sizeMm: z.tuple([sizeMm, sizeMm, sizeMm]),
      at: point,
      zMm: lengthMm,
      servedFrom: z.enum(['above', 'left', 'right', 'front']),
    })
    .optional(),
});

export const siteSchema = z.looseObject({
  /** Height of the tank's base above the floor; storey, 0 at the ground. */
  baseHeightMm: lengthMm.optional(),
  storey: z.number().int().min(-5).max(200).optional(),
  use: z.enum(['home', 'office', 'shop', 'assembly']).optional(),
  route: z.array(waypointSchema).max(30).optional(),
  cylinderKg: z.number().min(0.1).max(100).optional(),
  devices: z.array(deviceSchema).max(30).optional(),
  sockets: z.number().int().min(0).max(40).optional(),
  circuitA: z.number().min(0.1).max(125).optional(),
  volts: z.number().min(90).max(260).optional(),
  residualCurrent: z.boolean().optional(),
  dripLoops: z.boolean().optional(),
  tap: z
    .looseObject({
      gh: hardness.optional(),
      kh: hardness.optional(),
      ph: z.number().min(3).max(11).optional(),
      nitrateMgL: figure(0, 500).optional(),
      disinfectant: z.enum(['none', 'chlorine', 'chloramine']).optional(),
      winterC: celsius.optional(),
      summerC: celsius.optional(),
      hotC: z.number().min(20).max(80).optional(),
      /** Hot water that the house gives at once, L: what the boiler holds. */
      hotL: figure(0, 5_000).optional(),
    })
    .optional(),
  target: z
    .looseObject({ gh: hardness.optional(), kh: hardness.optional(), tempC: celsius.optional() })
    .optional(),
  /** Reverse-osmosis unit: litres an hour, and what can be kept. */
  ro: z
    .looseObject({
      litresPerHour: z.number().min(0.1).max(2_000),
      storageL: figure(0, 20_000),
      /** The studio's own unit: other commissions want it too. */
      ofStudio: z.boolean().optional(),
    })
    .optional(),
  tapM: figure(0, 500).optional(),
  drainM: figure(0, 500).optional(),
  carry: z.enum(['hose', 'cans']).optional(),
  roomC: z.tuple([celsius, celsius]).optional(),
  /** Nobody heats it, by choice: the water is as warm as the room. */
  unheated: z.boolean().optional(),
  /** Hours in which the house lets somebody work, whole or half hours: `["08:00", "18:00"]`. */
  hours: z
    .tuple([clock, clock])
    .refine(([from, to]) => from < to, must('timespan'))
    .optional(),
});
