import { materialOf } from '../commission/lookup';
import { CANYON_MM } from '../commission/limits';
import type { Resolved } from '../resolved/resolved';
import { distanceTo, edgesOf } from '../geometry/offset';
import { polygonBounds, polygonContains, type Polygon } from '../geometry/polygon';
import { ringOf } from '../hardscape/planHull';
import type { Standing } from '../hardscape/settle';
import { rounded } from '../units/quantity';
import type { Finding } from '../words/finding';
import { inMm } from '../words/measure';
import { PRACTICE, say } from '../words/text';
import type { Survey } from '../survey/survey';

/** Stones of less than this share of the heaviest are details that lean on others, and no wall of a canyon. */
const LARGE_SHARE = 0.25;
/** Nearer than this two stones touch, mm: a group, not a gap. */
const TOUCH_MM = 5;

/** Large stones that stand apart, but nearer than a gap reads as one. */
export function canyonFindings(commission: Resolved, survey: Survey): Finding[] {
  const massOf = new Map(survey.pieces.map((p) => [p.id, p.massKg]));
  const stones = survey.standing.filter((s) => materialOf(commission, s.piece.material).kind === 'stone');
  const heaviest = Math.max(0, ...stones.map((s) => massOf.get(s.piece.id)!));
  const large = stones.filter((s) => massOf.get(s.piece.id)! >= LARGE_SHARE * heaviest);
  return large.flatMap((one, i) =>
    large.slice(i + 1).flatMap((other): Finding[] => {
      const mm = apartMm(one, other);
      if (mm < TOUCH_MM || mm >= CANYON_MM - 0.5) return [];
      return [
        {
          id: 'piece.canyon',
          severity: 'note',
          at: { piece: one.piece.id },
          measured: rounded(mm, 0),
          limit: CANYON_MM,
          unit: 'mm',
          says: say('piece.canyon.says', { one: one.piece.id, other: other.piece.id, gap: inMm(mm) }),
          because: say('piece.canyon.because', { canyon: inMm(CANYON_MM) }),
          source: PRACTICE,
        },
      ];
    }),
  );
}

/** How far two pieces are from each other seen from above, between the rings around them, mm; 0 where those meet. */
function apartMm(a: Standing, b: Standing): number {
  const [one, other] = [ringOf(a), ringOf(b)];
  const [la, fa, ra, ba] = polygonBounds(one);
  const [lb, fb, rb, bb] = polygonBounds(other);
  const boxes = Math.max(la - rb, lb - ra, fa - bb, fb - ba);
  if (boxes >= CANYON_MM) return boxes;
  const from = (points: Polygon, ring: Polygon) =>
    Math.min(...points.flatMap((p) => edgesOf(ring).map((edge) => distanceTo(p, edge))));
  const meet = one.some((p) => polygonContains(other, ...p)) || other.some((p) => polygonContains(one, ...p));
  return meet ? 0 : Math.min(from(one, other), from(other, one));
}
