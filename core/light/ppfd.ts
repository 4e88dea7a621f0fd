import type { Lamp } from './lamps';

export type Vector = readonly [number, number, number];

/** A spot from which light comes: a piece of a lamp with its share of the flux. */
export interface Source {
  at: Vector;
  umolPerS: number;
  power: number;
  lamp: Lamp;
}

/** What of the light goes through the surface of still water, straight down (Fresnel: 98 %; a little for waves and film). */
const THROUGH_SURFACE = 0.96;
/** How fast PAR fades on its way through water, 1/m (from memory: clear tap water 0.3 to 0.5; tinted by wood three to five times that). */
export const FADES_PER_M = { clear: 0.4, tinted: 1.7 } as const;
/** Wood of this share of the water tints it as much as that (common practice). */
const TINTS_SHARE = 0.02;

/** How fast light fades in water with some fresh wood in it, 1/m. */
export function fadesWith(woodShare: number): number {
  const { clear, tinted } = FADES_PER_M;
  return clear + (tinted - clear) * Math.min(1, woodShare / TINTS_SHARE);
}
const MM_PER_M = 1000;

/** A lamp as several spots over its length and width, each with an even share of its flux. */
export function sourcesOf(lamp: Lamp, most: number): Source[] {
  // What was measured in a grid is taken as coming from the middle.
  if (lamp.grid || most < 2) return [{ at: lamp.at, umolPerS: lamp.umolPerS, power: lamp.power, lamp }];
  const across = lamp.widthMm > 150 && most >= 8 ? 2 : 1;
  const along = Math.max(1, Math.min(9, Math.floor(most / across)));
  const spots: Source[] = [];
  const [x, y, z] = lamp.at;
  for (let i = 0; i < along; i++)
    for (let j = 0; j < across; j++)
      spots.push({
        at: [x + ((i + 0.5) / along - 0.5) * lamp.lengthMm, y + ((j + 0.5) / across - 0.5) * lamp.widthMm, z],
        umolPerS: lamp.umolPerS / (along * across),
        power: lamp.power,
        lamp,
      });
  return spots;
}

/**
 * Photons on a surface from one source, µmol/m²/s: intensity straight down from the flux, falling with a power of the
 * cosine; inverse square of the distance; cosine to the surface; and Beer and Lambert’s law on the way through the water.
 * Valid for sources small against their distance, straight rays. Leaves out: light that panes and
 * bed send back, bending at the surface, waves.
 * Test: light.test.ts, "falls with the square of the distance and the cosine".
 *
 * @param normal of length 1
 * @param waterMm height of the water above the glass; nothing fades where there is none
 */
export function ppfdFrom(source: Source, at: Vector, normal: Vector, waterMm = 0, fadesPerM = 0): number {
  const [dx, dy, dz] = [source.at[0] - at[0], source.at[1] - at[1], source.at[2] - at[2]];
  if (dz <= 0) return 0;
  const long = Math.sqrt(dx * dx + dy * dy + dz * dz);
  const cosToSurface = (dx * normal[0] + dy * normal[1] + dz * normal[2]) / long;
  if (cosToSurface <= 0) return 0;
  const cosDown = dz / long;
  const bare = source.lamp.grid
    ? fromGrid(source, [-dx, -dy, dz], cosToSurface / cosDown)
    : (source.umolPerS * (source.power + 1) * powerOfCos(cosDown, source.power) * cosToSurface) /
      (2 * Math.PI * (long / MM_PER_M) ** 2);
  const under = Math.max(0, waterMm - at[2]);
  if (under === 0) return bare;
  return bare * THROUGH_SURFACE * Math.exp((-fadesPerM * under) / cosDown / MM_PER_M);
}

/** A bare panel has the power 1: that is no work. */
const powerOfCos = (cos: number, power: number) => (power === 1 ? cos : cos ** power);

/** As measured in a grid: along the same ray light fades with the square of the distance. */
function fromGrid({ lamp }: Source, [dx, dy, down]: Vector, tilt: number): number {
  const { columns, rows, stepMm, belowMm, ppfd } = lamp.grid!;
  const k = belowMm / down;
  const u = (dx * k) / stepMm + (columns - 1) / 2;
  const v = (dy * k) / stepMm + (rows - 1) / 2;
  const at = (i: number, j: number) => ppfd[within(j, rows) * columns + within(i, columns)];
  const [i, j] = [Math.floor(u), Math.floor(v)];
  const [fu, fv] = [u - i, v - j];
  // Beyond what was measured nothing is known to arrive.
  if (u < -0.5 || v < -0.5 || u > columns - 0.5 || v > rows - 0.5) return 0;
  const level =
    (at(i, j) * (1 - fu) + at(i + 1, j) * fu) * (1 - fv) +
    (at(i, j + 1) * (1 - fu) + at(i + 1, j + 1) * fu) * fv;
  return level * k * k * tilt * lamp.output;
}

const within = (i: number, n: number) => Math.min(Math.max(i, 0), n - 1);

/** Light of a day, mol/m², by what arrives in a second for so many hours. */
export function dliOfPpfd(ppfd: number, hours: number): number {
  return (ppfd * hours * 3600) / 1e6;
}
