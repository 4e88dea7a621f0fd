/** A soaking tub as most studios have it, length, width and height inside, mm (common practice). */
export const TUB_MM = [900, 500, 400] as const;

/** Tubs that a lot of pieces soaks in, and which of them go into none, however they lie. */
export interface InTubs {
  tubs: number;
  tooLong: string[];
}

/** A piece as it lies in the hand: length, width and height of the box around it, mm. */
export interface Soaked {
  id: string;
  sizeMm: readonly [number, number, number];
}

const volume = (sizeMm: readonly number[]) => sizeMm.reduce((a, b) => a * b, 1);

/**
 * Pieces into tubs, the largest first, each into the first tub that has room for the box around it. A piece that is longer than
 * a tub from corner to corner has a trough of its own and counts as one.
 * Valid for wood that is weighted down: boxes of branches lie through each other about as much as they leave gaps (common
 * practice). Leaves out: in which way each lies.
 * Test: tubsFor.test.ts, "holds no tub fuller than it is, with never more tubs than pieces".
 */
export function tubsFor(
  pieces: readonly Soaked[],
  tubMm: readonly [number, number, number] = TUB_MM,
): InTubs {
  const corner = Math.hypot(...tubMm);
  const tooLong = pieces.filter((p) => Math.max(...p.sizeMm) > corner).map((p) => p.id);
  const loose = pieces.filter((p) => !tooLong.includes(p.id)).map((p) => volume(p.sizeMm));
  const room: number[] = [];
  for (const needs of loose.sort((a, b) => b - a)) {
    const into = room.findIndex((left) => left >= needs);
    if (into >= 0) room[into] -= needs;
    // What fills more than a tub by itself stands out of it and is turned.
    else room.push(Math.max(0, volume(tubMm) - needs));
  }
  return { tubs: room.length + tooLong.length, tooLong };
}
