/** How many pictures become one: with as many, no step is seen in the edge of a shadow. */
export const PASSES = 16;
/** Pictures after which it is shown while the others are drawn: lamp and room once each, a first softness, all. */
export const SHOWN = new Set([1, 5, PASSES - 1]);

/** Where one picture of many is taken, and how it is lit: every figure from 0 to 1. */
export interface Pass {
  /** Place within a pixel. */
  pixel: readonly [x: number, y: number];
  /** What shines: the lamp, or the room around, in turn. */
  shines: 'lamp' | 'room';
  /** Place on the lamp, across and deep; direction of the room's light, around and from above down. */
  at: readonly [u: number, v: number];
}

const DIMENSIONS = 2;

/**
 * The pass of a picture: all of them spread evenly over the pixel, the lamp and the room, however many are taken.
 * Source: M. Roberts, "The Unreasonable Effectiveness of Quasirandom Sequences", 2018: multiples of the powers of 1/g,
 * where g^(d+1) = g + 1 for d dimensions.
 */
export function passOf(i: number): Pass {
  return { pixel: evenly(i), shines: i % 2 === 0 ? 'lamp' : 'room', at: evenly(i >> 1) };
}

/** The root of g^(d+1) = g + 1, by its own iteration, which comes nearer with every turn. */
const GOLDEN = Array.from({ length: 40 }).reduce<number>((g) => (1 + g) ** (1 / (DIMENSIONS + 1)), 2);
const evenly = (i: number): [number, number] => [(0.5 + i / GOLDEN) % 1, (0.5 + i / GOLDEN ** 2) % 1];
