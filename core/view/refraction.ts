/** Refractive index of water for light that the eye sees by, at room temperature (from memory: 1.333). */
export const WATER_INDEX = 1.333;

type Spot = readonly [number, number, number];

/** The way is found to a part of this, mm. */
const CLOSE_MM = 1e-6;
const MOST_STEPS = 80;

/**
 * Where a spot in the water seems to be to an eye in front of a flat pane that stands in the plane y = 0, the water
 * behind it: on the line from the eye through the place at which the ray leaves the pane, as far behind it as the way in
 * water over the index. The pane itself shifts by less than a millimetre and is left out.
 * Valid for an eye in front of the pane and a spot behind it. Leaves out: the glass, other panes, the water's surface.
 * Test: refraction.test.ts, "keeps Snell’s law at the pane".
 */
export function seenThroughPane(eye: Spot, spot: Spot, index = WATER_INDEX): Spot {
  const [before, behind] = [-eye[1], spot[1]];
  if (before <= 0 || behind <= 0) return spot;
  const [dx, dz] = [spot[0] - eye[0], spot[2] - eye[2]];
  const across = Math.hypot(dx, dz);
  const r = crossingMm(across, before, behind, index);
  const share = across > 0 ? r / across : 0;
  const cross: Spot = [eye[0] + dx * share, 0, eye[2] + dz * share];
  const inAir = Math.hypot(r, before);
  const inWater = Math.hypot(across - r, behind) / index;
  const on = (k: 0 | 1 | 2) => cross[k] + ((cross[k] - eye[k]) / inAir) * inWater;
  return [on(0), on(1), on(2)];
}

/**
 * How far from the eye's foot on the pane the ray crosses it, mm: where sin α = n · sin β. The difference of both falls
 * evenly along the way, so it is halved until it is found.
 */
export function crossingMm(across: number, before: number, behind: number, index = WATER_INDEX): number {
  const off = (r: number) =>
    r / Math.hypot(r, before) - (index * (across - r)) / Math.hypot(across - r, behind);
  let [low, high] = [0, across];
  for (let i = 0; i < MOST_STEPS && high - low > CLOSE_MM; i++) {
    const middle = (low + high) / 2;
    if (off(middle) < 0) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
