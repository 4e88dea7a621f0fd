import { grownHeightMm, grownSpreadMm } from '../catalogue/sizes';
import type { Spot3 } from '../view/sightLine';
import type { Planted } from './planted';

/** Plants that stand somewhere and have grown so high and wide, mm. */
export interface Stand {
  spots: ArrayLike<number>;
  highMm: number;
  radiusMm: number;
}

/** A planting as high and wide as it grows. */
export const standOf = ({ spots, plant, spacingMm = 0 }: Pick<Planted, 'spots' | 'plant' | 'spacingMm'>): Stand => ({ spots, highMm: grownHeightMm(plant)[1], radiusMm: Math.max(grownSpreadMm(plant), spacingMm) / 2 }); // prettier-ignore

/** Ways into which it is looked from a seat, each one strip of a full turn. */
const STRIPS = 1440;
/** Nearer than this one plant stands beside another, not before it, mm. */
const BESIDE_MM = 30;

/** In each strip the highest that a stand reaches as seen from there: its rise over the distance, and that distance. */
interface Screen {
  rise: Float64Array;
  farMm: Float64Array;
}

/**
 * Share of some plants of which even the top is hidden from a seat by others before them: the sight line to the top passes
 * below theirs.
 * Valid for eyes outside of the plants. Leaves out: refraction, gaps between leaves, pieces.
 * Test: hiding.test.ts, "is hidden where the sight line to its top passes below the top before it".
 *
 * @returns 0 to 1
 */
export function hiddenShare(eye: Spot3, front: Stand, behind: Stand): number {
  const screen = screenOf(eye, front);
  const n = behind.spots.length / 3;
  let hidden = 0;
  for (let i = 0; i < n; i++) {
    const { strip, farMm, rise } = seen(eye, behind, i);
    if (screen.rise[strip] > rise && screen.farMm[strip] < farMm - BESIDE_MM) hidden++;
  }
  return n === 0 ? 0 : hidden / n;
}

function screenOf(eye: Spot3, stand: Stand): Screen {
  const screen = { rise: new Float64Array(STRIPS).fill(-Infinity), farMm: new Float64Array(STRIPS) };
  for (let i = 0; i < stand.spots.length / 3; i++) {
    const { strip, farMm, rise } = seen(eye, stand, i);
    const wide = Math.ceil((Math.atan(stand.radiusMm / farMm) / (2 * Math.PI)) * STRIPS);
    for (let s = strip - wide; s <= strip + wide; s++) {
      const at = (s + STRIPS) % STRIPS;
      if (rise <= screen.rise[at]) continue;
      screen.rise[at] = rise;
      screen.farMm[at] = farMm;
    }
  }
  return screen;
}

/** Which way and how far from the eye a plug stands, and how much its top rises over that way. */
function seen([ex, ey, ez]: Spot3, { spots, highMm }: Stand, i: number) {
  const [dx, dy] = [spots[3 * i] - ex, spots[3 * i + 1] - ey];
  const farMm = Math.max(1, Math.hypot(dx, dy));
  const turn = Math.atan2(dy, dx) / (2 * Math.PI);
  return {
    strip: Math.floor((turn + 1) * STRIPS) % STRIPS,
    farMm,
    rise: (spots[3 * i + 2] + highMm - ez) / farMm,
  };
}

/** Rounds in which a height is found. */
const ROUNDS = 9;

/** As high as plants in front may be kept so that no more than a share of those behind is hidden, mm. */
export function keptBelowMm(eye: Spot3, front: Stand, behind: Stand, share: number): number {
  let [low, high] = [0, front.highMm];
  for (let i = 0; i < ROUNDS; i++) {
    const middle = (low + high) / 2;
    if (hiddenShare(eye, { ...front, highMm: middle }, behind) > share) high = middle;
    else low = middle;
  }
  return low;
}
