import { ppfdFrom, type Source, type Vector } from './ppfd';

/** An upright pane: at which x (axis 0) or y (axis 1) it stands, mm. */
export interface Pane {
  axis: 0 | 1;
  atMm: number;
}

/**
 * Light in water meets an upright pane so flatly that it is sent back whole (total reflection beyond 48.6° from the pane’s
 * normal, Snell’s law with n = 1.333): a ray that ran so far sideways in air, as share of its length, is not.
 */
const SIDEWAYS = 1.333 * Math.cos((48.6 * Math.PI) / 180);

/** A source as a pane shows it, behind the pane. */
export interface Image extends Source {
  axis: 0 | 1;
}

/** Every source behind every pane. */
export function imagesOf(sources: readonly Source[], panes: readonly Pane[]): Image[] {
  return panes.flatMap(({ axis, atMm }) =>
    sources.map((source): Image => {
      const [x, y, z] = source.at;
      const at: Vector = axis === 0 ? [2 * atMm - x, y, z] : [x, 2 * atMm - y, z];
      return { ...source, at, axis };
    }),
  );
}

/**
 * Photons that come to a surface by one upright pane each, µmol/m²/s: as from the lamp’s image behind it.
 * Valid for clear panes with air behind them, in the water. Leaves out: what goes from pane to pane, film, algae.
 * Test: light.test.ts, "a pane gives as much again to what touches it".
 */
export function mirrored(
  images: readonly Image[],
  at: Vector,
  normal: Vector,
  waterMm: number,
  fadesPerM: number,
): number {
  if (at[2] >= waterMm) return 0;
  let sum = 0;
  for (const image of images) {
    const [dx, dy, dz] = [image.at[0] - at[0], image.at[1] - at[1], image.at[2] - at[2]];
    const sideways = image.axis === 0 ? dx : dy;
    if (sideways * sideways > SIDEWAYS * SIDEWAYS * (dx * dx + dy * dy + dz * dz)) continue;
    sum += ppfdFrom(image, at, normal, waterMm, fadesPerM);
  }
  return sum;
}
