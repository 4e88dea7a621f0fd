import { materialOf } from '../commission/lookup';
import type { Joint } from '../commission/schema';
import { MM3_PER_L } from '../units/volume';
import { netLiftKgf } from '../hardscape/buoyancy';
import { gripOf, type Grip } from '../hardscape/carrying';
import { gapMm, JOINABLE_MM } from '../hardscape/contact';
import type { Standing } from '../hardscape/settle';
import { middleInTank } from '../hardscape/stability';
import type { SurveyInput } from './input';
import { massOnBuildDay } from './stateOnBuildDay';
import { remembered, type SurveyMemo } from './memo';

/** Pieces that joints tie together: they move, float and hold down as one. */
export interface GroupSurvey {
  pieces: string[];
  /** Upward pull of those that lift, as they go in and after soaking, kgf. */
  liftKgf: number;
  soakedLiftKgf: number;
  /** Downward pull of those that hold, and of what lies on the group, kgf. */
  holdKgf: number;
  soakedHoldKgf: number;
  /** Fixed in the vessel: whatever it lifts, it stays. */
  fixed: boolean;
  floats: boolean;
  floatsSoaked: boolean;
  /** How it is carried where it is more than one piece. */
  grip?: Grip;
}

/** A joint as it is: how far its pieces are apart at their closest, mm, as far as that is measured. */
export interface JointSurvey {
  id: string;
  gapMm: number;
  /** Mass that hangs on it, kg: pieces that nothing else bears. */
  hangsKg: number;
}

/** Every joint, with the gap that it has to bridge. */
export function surveyJoints({ option, standing, commission }: SurveyInput, memo: SurveyMemo): JointSurvey[] {
  const byId = new Map(standing.map((s) => [s.piece.id, s]));
  return option.joints.map((joint) => {
    const [first, ...rest] = joint.pieces.map((id) => byId.get(id)!);
    const known = [first];
    let widest = 0;
    for (const piece of rest) {
      const gaps = known.map((k) => gapBetween(k, piece, memo));
      widest = Math.max(widest, Math.min(...gaps));
      known.push(piece);
    }
    const hanging = known.filter((s) => s.piece.stand.kind === 'at' && !s.piece.fixed);
    const hangsKg = hanging.reduce((sum, s) => sum + massOnBuildDay(commission, s), 0);
    return { id: joint.id, gapMm: widest, hangsKg };
  });
}

/** The gap between two pieces, kept while they stand to each other as they did. */
function gapBetween(a: Standing, b: Standing, memo: SurveyMemo): number {
  const apart = JSON.stringify([a.xMm - b.xMm, a.yMm - b.yMm, a.zMm - b.zMm]);
  const slot = memo.slot(memo.areas, `gap ${a.piece.id} ${b.piece.id}`);
  return remembered(slot, [a.columns, b.columns, apart], () => gapMm(a, b)) as number;
}

/**
 * Lift and hold of every group in fresh water, as its pieces go in: each pulls up by the water it displaces and
 * down by its whole mass, that out of the water too; what lies on a group holds it down as well. Joints across a
 * gap hold nothing.
 */
export function surveyGroups(input: SurveyInput, joints: readonly JointSurvey[]): GroupSurvey[] {
  const { option } = input;
  const place = new Map(input.standing.map(({ piece }, i) => [piece.id, i]));
  const holding = option.joints.filter((_, i) => joints[i].gapMm <= JOINABLE_MM);
  const groups = jointed(
    option.pieces.map((p) => p.id),
    holding.map((j) => j.pieces),
  );
  const lying = lyingOnEach(input.standing);
  return groups.map((group) => {
    const fixed = group.some((id) => input.standing[place.get(id)!].piece.fixed);
    const asBuilt = pull(input, group, lying, place, false);
    const soaked = pull(input, group, lying, place, true);
    return {
      pieces: group,
      liftKgf: asBuilt.lift,
      soakedLiftKgf: soaked.lift,
      holdKgf: asBuilt.hold,
      soakedHoldKgf: soaked.hold,
      fixed,
      floats: !fixed && asBuilt.lift > asBuilt.hold + 1e-9,
      floatsSoaked: !fixed && soaked.lift > soaked.hold + 1e-9,
      ...(group.length > 1 && !fixed ? { grip: gripIn(input, group, place) } : {}),
    };
  });
}

function gripIn(
  { commission, standing }: SurveyInput,
  group: readonly string[],
  place: ReadonlyMap<string, number>,
): Grip {
  return gripOf(
    group.map((id) => {
      const s = standing[place.get(id)!];
      const massKg = massOnBuildDay(commission, s);
      return { id, massKg, middle: middleInTank(s) };
    }),
  );
}

function pull(
  input: SurveyInput,
  group: readonly string[],
  lying: Lying,
  place: ReadonlyMap<string, number>,
  soaked: boolean,
): { lift: number; hold: number } {
  const sums = { lift: 0, hold: 0 };
  for (const id of group) {
    const lift = liftOf(input, place.get(id)!, soaked);
    if (lift > 0) sums.lift += lift;
    else sums.hold -= lift;
  }
  for (const id of lyingOn(lying, group)) sums.hold += Math.max(0, -liftOf(input, place.get(id)!, soaked)); // prettier-ignore
  return sums;
}

/** Upward pull of one piece, kgf: as it goes in, or once it has soaked. */
function liftOf({ commission, standing, displaced }: SurveyInput, i: number, soaked: boolean): number {
  const { piece, columns } = standing[i];
  const material = materialOf(commission, piece.material);
  const volumeL = columns.volumeMm3 / MM3_PER_L;
  const asItIs = massOnBuildDay(commission, standing[i]);
  const wet = soaked ? (material.soakedKgPerL ?? 0) * volumeL : 0;
  return netLiftKgf(displaced[i].underWater / MM3_PER_L, Math.max(asItIs, wet));
}

/** What lies on what: the ids of the pieces on each. */
type Lying = ReadonlyMap<string, readonly string[]>;

function lyingOnEach(standing: readonly Standing[]): Lying {
  const lying = new Map<string, string[]>();
  for (const { piece, supported } of standing) {
    if (piece.stand.kind !== 'on' || !supported) continue;
    const there = lying.get(piece.stand.piece) ?? [];
    there.push(piece.id);
    lying.set(piece.stand.piece, there);
  }
  return lying;
}

/** Pieces that lie on a group, upon each other too, without being part of it. */
function lyingOn(lying: Lying, group: readonly string[]): string[] {
  const found = new Set(group);
  for (const id of found) for (const above of lying.get(id) ?? []) found.add(above);
  return [...found].slice(group.length);
}

/** Ids in groups: those that appear together in a joint, directly or through others, in order of first sight. */
export function jointed(ids: readonly string[], joints: readonly Joint['pieces'][]): string[][] {
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
