import { grownHeightMm, grownSpreadMm } from '../catalogue/sizes';
import { isClump } from '../growth/growth';
import { canopyOf, throughLeaves } from '../light/canopy';
import type { Living } from './conditions';
import type { Planted } from './planted';

/** Light of a planting once its neighbours have grown, and who takes most of what is missing. */
export interface Shade {
  /** Light of a day on the mean, mol/m². */
  dli: number;
  by?: string;
}

/** Spots of a planting that are asked: more say nothing new. */
const ASKED = 24;
/** Light falls on a plant at this share of its height. */
const AT_HEIGHT = 0.7;
/** Only what grows higher than this throws a shadow worth the name, mm. */
export const SHADES_FROM_MM = 60;
/** Rosettes, bulbs and epiphytes let more through than stems and grasses that stand close (common practice). */
const CLUMP_SHARE = 0.4;
/** What floats and has closed lets so little through (common practice). */
const UNDER_FLOATING = 0.25;

/**
 * The light of each planting once all have grown to their height: leaves that stand between it and the lamps take their part.
 * Valid for lamps and pieces as `lightMap` has them. Leaves out: trims in between, what leaves scatter.
 * Test: shade.test.ts, "a hedge in front of the lamp takes the light of what stands behind it".
 *
 * @param floatingShare share of the surface that floating plants cover once grown
 */
export function shadeOf(
  parts: readonly Planted[],
  { light, windowDli }: Pick<Living, 'light' | 'windowDli'>,
  size: readonly [number, number],
  waterMm: number,
  floatingShare: number,
): Map<string, Shade> {
  const rooted = parts.filter((p) => p.spots.length > 0 && p.plant.roots !== 'float');
  const tall = rooted.filter((p) => grownMm(p, waterMm) > SHADES_FROM_MM);
  const canopy = canopyOf(
    size,
    tall.map((p) => ({
      spots: p.spots,
      radiusMm: Math.max(grownSpreadMm(p.plant) / 2, (p.spacingMm ?? 0) / 2),
      heightMm: grownMm(p, waterMm),
      cover: denseOf(p),
    })),
  );
  const above = underFloating(floatingShare);
  return new Map(
    rooted.map((p) => {
      const own = tall.indexOf(p) + 1;
      const met = new Float64Array(tall.length + 1);
      let [now, then] = [0, 0];
      const n = p.spots.length / 3;
      const every = Math.max(1, Math.floor(n / ASKED));
      for (let i = 0; i < n; i += every) {
        const [x, y, z] = p.spots.subarray(i * 3, i * 3 + 3);
        const spot = [x, y, Math.min(z + AT_HEIGHT * grownMm(p, waterMm), waterMm - 1)] as const;
        const open = light.at(spot);
        now += open;
        then += open * light.share(spot, (from, to) => throughLeaves(canopy, from, to, own, met));
      }
      const share = now > 0 ? (then / now) * above : 1;
      const most = met.indexOf(Math.max(...met));
      // What comes in by a window is left as it is.
      const dli = Math.max(0, p.meanDli - windowDli) * share + windowDli;
      return [p.id, { dli, ...(most > 0 && met[most] > 0 ? { by: tall[most - 1].id } : {}) }];
    }),
  );
}

/** What is left under plants that float over a share of the surface, 0 to 1. */
export const underFloating = (share: number) => 1 - (1 - UNDER_FLOATING) * Math.min(1, share);
/** How dense the leaves of a planting stand, 0 to 1. */
export const denseOf = ({ plant, growth }: Pick<Planted, 'plant' | 'growth'>) =>
  Math.min(1, growth.factor) * (isClump(plant) ? CLUMP_SHARE : 1);

/** As high as it grows under the water. */
function grownMm({ plant, spots }: Planted, waterMm: number): number {
  const [, high] = grownHeightMm(plant);
  return Math.max(0, Math.min(high, waterMm - (spots[2] ?? 0)));
}
