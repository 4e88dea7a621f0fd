import { materialOf } from '../commission/lookup';
import { MM3_PER_L } from '../units/volume';
import { liftKgf } from '../hardscape/buoyancy';
import { massKgOf } from '../hardscape/mass';
import type { SurveyInput } from './input';

/** Pieces that joints tie together: they move, float and hold down as one. */
export interface GroupSurvey {
  pieces: string[];
  /** Upward pull of those lighter than water, as built (dry) and after soaking, kgf. */
  liftKgf: number;
  soakedLiftKgf: number;
  /** Submerged weight of those heavier, kgf. */
  holdKgf: number;
  soakedHoldKgf: number;
  floats: boolean;
  floatsSoaked: boolean;
}

/**
 * Lift and hold of every group in fresh water, only as far as its pieces are under the water line. A piece's
 * density is its mass (as weighed, where it was) over its volume.
 */
export function surveyGroups(input: SurveyInput): GroupSurvey[] {
  const { commission, option, standing, displaced } = input;
  const place = new Map(standing.map(({ piece }, i) => [piece.id, i]));
  return jointed(
    option.pieces.map((p) => p.id),
    option.joints.map((j) => j.pieces),
  ).map((group) => {
    const sums = { dry: { lift: 0, hold: 0 }, soaked: { lift: 0, hold: 0 } };
    for (const id of group) {
      const i = place.get(id)!;
      const { piece, columns } = standing[i];
      const material = materialOf(commission, piece.material);
      const underWaterL = displaced[i].underWater / MM3_PER_L;
      const dry = massKgOf(piece, columns.volumeMm3, material) / (columns.volumeMm3 / MM3_PER_L);
      addTo(sums.dry, liftKgf(underWaterL, dry));
      addTo(sums.soaked, liftKgf(underWaterL, Math.max(dry, material.soakedKgPerL ?? dry)));
    }
    return {
      pieces: group,
      liftKgf: sums.dry.lift,
      soakedLiftKgf: sums.soaked.lift,
      holdKgf: sums.dry.hold,
      soakedHoldKgf: sums.soaked.hold,
      floats: sums.dry.lift > sums.dry.hold,
      floatsSoaked: sums.soaked.lift > sums.soaked.hold,
    };
  });
}

function addTo(sums: { lift: number; hold: number }, lift: number): void {
  if (lift > 0) sums.lift += lift;
  else sums.hold -= lift;
}

/** Ids in groups: those that appear together in a joint, directly or through others, in order of first sight. */
export function jointed(ids: readonly string[], joints: readonly (readonly string[])[]): string[][] {
  const groupOf = new Map(ids.map((id) => [id, [id]]));
  for (const joint of joints) {
    for (const id of joint.slice(1)) {
      const a = groupOf.get(joint[0]);
      const b = groupOf.get(id);
      if (!a || !b || a === b) continue;
      a.push(...b);
      for (const moved of b) groupOf.set(moved, a);
    }
  }
  const order = new Map(ids.map((id, i) => [id, i]));
  return [...new Set(groupOf.values())].map((group) => group.sort((a, b) => order.get(a)! - order.get(b)!));
}
