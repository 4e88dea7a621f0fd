import type { Vessel } from '../commission/schema';
import type { Device } from '../gear/gear';
import type { Resolved } from '../resolved/resolved';

/** A lamp as light comes from it: where it hangs, how much it gives and how wide. */
export interface Lamp {
  id: string;
  name: string;
  /** Middle of its lower side, mm: from the left, from the front, above the glass. */
  at: readonly [number, number, number];
  lengthMm: number;
  widthMm: number;
  /** Photons of 400 to 700 nm, µmol/s, at the output at which it runs. */
  umolPerS: number;
  /** Intensity falls as this power of the cosine from straight down: 1 for a bare panel, more for a lens. */
  power: number;
  /** PPFD as measured in a grid below it takes the place of flux and beam. */
  grid?: NonNullable<NonNullable<Device['light']>['grid']>;
  output: number;
  /** Nothing was typed: its watts were taken. */
  guessed: boolean;
}

/** Photons of a white lamp for each lumen: 1 µmol/s for about 70 lm (common practice for white LEDs of 6,500 K). */
export const UMOL_PER_LUMEN = 1 / 70;
/** Photons of a planted-tank lamp for each watt of its plug, µmol/J (from memory: 1.2 to 1.6; lamps of greenhouses reach 2.5 and more). */
export const UMOL_PER_W = 1.4;
/** Where a lamp hangs, as long and wide as it is and how wide it shines where nobody said (common practice). */
const USUAL = { aboveRimMm: 120, lengthShare: 0.7, widthMm: 90, beamDeg: 120 } as const;

/** The lamps of a commission, those that say nothing of their light by their watts. */
export function lampsOf(commission: Pick<Resolved, 'gear' | 'vessel'>): Lamp[] {
  return commission.gear
    .filter((g) => g.device.light !== undefined || (g.kind === 'lamp' && g.watts > 0))
    .map((g) => lampOf(g.device, commission.vessel));
}

function lampOf({ id, name, watts, light = {} }: Device, { innerMm }: Vessel): Lamp {
  const { length, width, height } = innerMm;
  const output = light.output ?? 1;
  const typed = light.umolPerS ?? (light.lumens === undefined ? undefined : light.lumens * UMOL_PER_LUMEN);
  const [x, y] = light.at ?? [length / 2, width / 2];
  return {
    id,
    name,
    at: [x, y, height + (light.aboveRimMm ?? USUAL.aboveRimMm)],
    lengthMm: light.lengthMm ?? USUAL.lengthShare * length,
    widthMm: light.widthMm ?? USUAL.widthMm,
    umolPerS: (typed ?? watts * UMOL_PER_W) * output,
    power: powerOf(light.beamDeg ?? USUAL.beamDeg),
    ...(light.grid ? { grid: light.grid } : {}),
    output,
    guessed: typed === undefined && !light.grid,
  };
}

/**
 * The power of the cosine at which a beam gives half of its middle at half of its full angle: 1 for 120°.
 * Test: light.test.ts, "a beam gives half at half of its angle".
 * Valid for beams without a dark middle. Leaves out: spill of a lens.
 */
export function powerOf(beamDeg: number): number {
  return Math.log(0.5) / Math.log(Math.cos((beamDeg * Math.PI) / 360));
}
