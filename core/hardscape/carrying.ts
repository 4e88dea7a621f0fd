/** A piece of a glued group as it is carried: its mass and where its middle is, mm. */
export interface Carried {
  id: string;
  massKg: number;
  middle: readonly [number, number, number];
}

/** Where hands take hold of a group: under its heaviest piece, and under the one across its middle from there. */
export interface Grip {
  massKg: number;
  /** One piece where it carries nearly all, else two. */
  by: string[];
}

/** From this share of the mass on a group is carried by one piece. */
const NEARLY_ALL = 0.8;
/** A second hand goes under a piece that has at least this share: a twig or chip breaks off. */
const BEARS = 0.12;

/**
 * By which end a glued group is carried: never by what hangs on a joint, but under the heaviest piece and, where that has
 * not nearly all of it, under the piece that lies farthest from it across the middle of the whole and bears something.
 * Valid for groups of two or three hands’ width. Leaves out: what the joints hold, where fingers fit (common practice).
 * Test: carrying.test.ts, "an arch is carried by both feet".
 */
export function gripOf(group: readonly Carried[]): Grip {
  const massKg = group.reduce((sum, p) => sum + p.massKg, 0);
  const [first, ...others] = [...group].sort((a, b) => b.massKg - a.massKg || a.id.localeCompare(b.id));
  if (first.massKg >= NEARLY_ALL * massKg) return { massKg, by: [first.id] };
  // Seen from above: hands come from the sides.
  const middle = [0, 1].map((k) => group.reduce((sum, p) => sum + p.massKg * p.middle[k], 0) / massKg);
  const way = middle.map((v, k) => v - first.middle[k]);
  const across = (p: Carried) => way.reduce((sum, w, k) => sum + (p.middle[k] - first.middle[k]) * w, 0);
  const bearing = others.filter((p) => p.massKg >= BEARS * massKg);
  const second = (bearing.length > 0 ? bearing : others).reduce((best, p) =>
    across(p) > across(best) ? p : best,
  );
  return { massKg, by: [first.id, second.id] };
}
