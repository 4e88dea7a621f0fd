import { z } from 'zod';
import { figure, id, words, lengthMm, sizeMm, innerMm, point } from './primitives';

/* The vessel: its footprint, panes, top, chambers and what stays in it. */

export const VESSEL_KINDS = ['box', 'bow', 'cylinder', 'half-cylinder', 'hexagon', 'polygon'] as const;
export const VESSEL_SIDES = ['back', 'left', 'right'] as const;

/** A part of the vessel walled off from front to back or from side to side: filter chamber, return. */
const chamberSchema = z.looseObject({
  id,
  title: words.optional(),
  side: z.enum(VESSEL_SIDES),
  /** Clear depth of the chamber, and the wall between it and the display. */
  mm: sizeMm,
  wallMm: figure(0, 60).optional(),
  waterLineMm: lengthMm.optional(),
});

/** Something that was there before and stays: a weir, a glued-in background, an overflow box. */
const fixedSchema = z.looseObject({
  id,
  title: words,
  /** Its left front corner, size along x, y and z, and height of its foot above the glass. */
  at: point,
  sizeMm: z.tuple([sizeMm, sizeMm, sizeMm]),
  zMm: lengthMm.optional(),
});

export const vesselSchema = z.looseObject({
  kind: z.enum(VESSEL_KINDS),
  /** Clear inside: the box around the footprint, bow included, and the height. */
  innerMm: z.object({ length: innerMm, width: innerMm, height: innerMm }),
  /** Bow-fronted: how far the front pane stands out in its middle. */
  bowMm: sizeMm.optional(),
  /** Straight-sided footprint, corner by corner, within `innerMm`. */
  corners: z.array(point).min(3).max(60).optional(),
  glassMm: z.number().min(0.1).max(60),
  /** Bottom pane, when it is thicker than the walls. */
  baseMm: z.number().min(0.1).max(60).optional(),
  waterLineMm: figure(0, 10_000),
  labelL: z.number().min(0.1).max(1_000_000).optional(),
  standKg: figure(0, 5_000).optional(),
  /** What stands on the floor, when it is not the size of the tank's base. */
  footprintMm: z.object({ length: sizeMm, width: sizeMm }).optional(),
  /** Feet of the stand; without them it bears on its whole base. */
  feet: z.number().int().min(3).max(40).optional(),
  /** Glass or plastic that runs round the top edge inwards, mm. */
  rimMm: lengthMm.optional(),
  /** It lets no light through, as a plastic frame does. */
  rimOpaque: z.boolean().optional(),
  /** Braces across the top from front to back: from x to x. */
  braces: z
    .array(z.looseObject({ fromMm: lengthMm, toMm: lengthMm, opaque: z.boolean().optional() }))
    .max(10)
    .optional(),
  chambers: z.array(chamberSchema).max(6).optional(),
  /** Water in a sump below it while it runs: filled, changed, fed and weighed with the rest, L. */
  sumpL: figure(0, 5_000).optional(),
  fixed: z.array(fixedSchema).max(20).optional(),
  background: z
    .looseObject({
      colour: words,
      sides: z.array(z.enum(VESSEL_SIDES)).min(1).max(3),
      dryHours: figure(0, 240).optional(),
    })
    .optional(),
  mat: z.boolean().optional(),
  /** One that others had before: nobody knows how it was treated until it has stood full for a day. */
  secondHand: z
    .looseObject({
      ageYears: figure(0, 100).optional(),
      seams: z.enum(['sound', 'doubtful', 'renewed']).optional(),
      scratches: words.optional(),
      /** It stood full and dry outside for a day since it was bought. */
      leakTested: z.boolean().optional(),
    })
    .optional(),
  lid: z.boolean().optional(),
  backlightW: z.number().min(0.1).max(2_000).optional(),
});
