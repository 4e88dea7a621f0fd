import type { Limb } from '../../../../core/yard/branches';

/** A branch as it is drawn: a tapered band, and a disc at each end. */
interface Drawn {
  points: string;
  discs: { x: number; y: number; r: number }[];
}

/** Room around the ends of the centre lines, mm: half of a thick branch. */
const ROOM_MM = 40;

/** Branches from the front and from above in one scale, px; and what they reach between their ends, mm. */
export function limbsDrawn(
  limbs: readonly Limb[],
  widthPx: number,
  heightPx: number,
): { front: Drawn[]; above: Drawn[]; longMm: number; deepMm: number; highMm: number } {
  const ends = limbs.flatMap((l) => [l.from, l.to]);
  const spans = [0, 1, 2].map((k) => {
    const along = ends.map((p) => p[k]);
    return [Math.min(...along) - ROOM_MM, Math.max(...along) + ROOM_MM] as const;
  });
  const [longMm, deepMm, highMm] = spans.map(([from, to]) => Math.round(to - from - 2 * ROOM_MM));
  const reach = (k: number) => spans[k][1] - spans[k][0];
  const scale = Math.min(widthPx / reach(0), heightPx / reach(1), heightPx / reach(2));
  const view = (up: 1 | 2) =>
    limbs.map(({ from, to, thickMm }): Drawn => {
      const [a, b] = [from, to].map((p) => [(p[0] - spans[0][0]) * scale, (spans[up][1] - p[up]) * scale]);
      const [ra, rb] = thickMm.map((mm) => (mm / 2) * scale);
      const long = Math.hypot(b[0] - a[0], b[1] - a[1]) || 1;
      const [nx, ny] = [(a[1] - b[1]) / long, (b[0] - a[0]) / long];
      const corner = ([x, y]: number[], r: number) => `${x + nx * r},${y + ny * r}`;
      return {
        points: [corner(a, ra), corner(b, rb), corner(b, -rb), corner(a, -ra)].join(' '),
        discs: [
          { x: a[0], y: a[1], r: ra },
          { x: b[0], y: b[1], r: rb },
        ],
      };
    });
  return { front: view(2), above: view(1), longMm, deepMm, highMm };
}
