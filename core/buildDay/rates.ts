import { recommendedKg } from '../site/lifting';

/**
 * How long work takes, minutes; starting values (common practice) that a studio replaces by its own pace.
 * Every duration of the build plan is one of these times something measured.
 */
export const RATES = {
  /** Floor sheet, stand level, mat. */
  protect: 20,
  /** Gear unpacked, rinsed, laid out. */
  unpack: 25,
  /** Soil, base or gravel, for each litre poured and shaped. */
  pourPerL: 1.9,
  /** The same through water, by the half litre in a cup held low. */
  pourWetPerL: 3,
  /** Filler: each litre rinsed, and each bag tied and laid. */
  fillerPerL: 1.2,
  perBag: 3,
  /** Sand: each litre rinsed, and each litre laid and brushed. */
  rinsePerL: 1.5,
  bucket: 5,
  sandPerL: 5,
  /** A piece scrubbed and laid out. */
  washPerPiece: 2,
  /** Part of the setting time that a trial takes, out again with it. */
  trial: 0.8,
  /** A piece chosen, turned and seated, and each kilogram of it. */
  setPerPiece: 5,
  setPerKg: 0.7,
  /** Share of that time when a second person hands, holds and looks from the seat. */
  setWithHelper: 0.7,
  /** Soaked wood dried enough for glue and fitted. */
  setPerWood: 12,
  /** One contact of a joint. */
  jointFibre: 4,
  jointGel: 5,
  jointTie: 6,
  jointWedge: 3,
  /** A contact cleaned, a bead laid, smoothed and propped; impact glue on both faces, left to tack. */
  jointSilicone: 8,
  jointImpact: 12,
  /** Nothing may move when scrubbed: each joint. */
  wigglePerJoint: 1,
  wiggle: 5,
  /** Floss in the gaps: each stone in the bed. */
  gapPerPiece: 2,
  /** A heap of soil on top of a piece, with a rim of small stones. */
  pocket: 6,
  /** Loose stone: each size sorted and strewn, and each kilogram rinsed and placed by hand. */
  strewnPerLot: 3,
  strewnPerKg: 2.5,
  /** Grain brought into holes by the spoon, for each litre. */
  sprinklePerL: 8,
  /** A root tab pushed two fingers deep, and the bed closed over it. */
  tab: 0.3,
  /** One plug set. */
  plug: 0.4,
  /** Plants set through water take so much longer: what is not held down at once comes up. */
  underWater: 1.5,
  /** One epiphyte or patch of moss glued, tied or wedged. */
  epiphyte: 2,
  /** Intake, outflow, heater, diffuser, unpowered. */
  equipment: 20,
  refloat: 20,
  start: 20,
  clearUp: 25,
  /** A portion of floating plants laid on the water. */
  floater: 0.2,
  /** Rescape: tubs set up, each animal caught, the tank emptied and each litre siphoned. */
  holding: 20,
  /** Boxes and bags made ready for those that leave. */
  leaving: 10,
  perAnimal: 1.5,
  /** A device that leaves: off the mains, out, its hoses drained. */
  oldDevice: 6,
  drain: 8,
  strip: 30,
  /** What is set again, out of the old bed and into a tub: tubs and covers, a stone, a plug. */
  lift: 10,
  liftPiece: 3,
  liftPlug: 0.3,
  /** Old sand or soil out by siphon, each litre. */
  siphonBedPerL: 1.5,
  /** A tub of old water poured back. */
  perTub: 6,
  stripPerL: 0.15,
  photograph: 20,
  /** Between sittings: tools out and what stands looked over; what is left made safe for the night, and a picture. */
  arrive: 10,
  /** A tank with its scape from the van to its stand, levelled. */
  carry: 30,
  leave: 12,
  /** A later visit on which nothing is set: what has slid, floated, silted. */
  look: 15,
} as const;

/** Share of the soil laid before the hardscape; the rest closes gaps and makes the slope (common practice). */
export const FIRST_SOIL_SHARE = 0.6;

/** Minutes that filter media may be out of water (common practice: one to two hours). */
export const MEDIA_OUT_MIN = 120;

/** Minutes that stone and wood from a running tank may be out of water (common practice: two hours kill). */
export const LIVING_OUT_MIN = 120;

/** Minutes after which plants that are misted still suffer (common practice: an afternoon). */
export const PLANTS_OUT_MIN = 240;

/**
 * Mass one person lifts over a rim at arm's length, kg: the load constant of the NIOSH lifting equation,
 * 23 kg, times its horizontal multiplier 25/H at 50 cm (Waters et al., Ergonomics 36, 1993; from memory).
 */
export const ONE_PERSON_KG = recommendedKg({
  horizontalCm: 50,
  verticalCm: 75,
  travelCm: 25,
  asymmetryDeg: 0,
  grip: 'good',
});
