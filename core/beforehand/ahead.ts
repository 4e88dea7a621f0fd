import type { Joint } from '../commission/schema';
import { pieceOf, type Resolved } from '../resolved/resolved';
import { isMadeBefore } from '../hardscape/joining';
import { beginning, type Begins, type EarlierWork } from './earlier';
import { jointed } from '../survey/groups';

/** Days before the build on which joints are made that cure for one (common practice). */
const JOINED_DAYS = 2;

/** Pieces that are joined outside and carried in as one, and their joints. */
export interface JoinedBefore {
  pieces: string[];
  joints: Joint[];
}

/** What is joined beforehand. Joints with what stands in the tank now, or that have a sitting of their own, are made in it. */
export function joinedBefore(commission: Resolved): JoinedBefore[] {
  const isHere = (id: string) => pieceOf(commission, id).origin === 'here';
  const together = (pieces: readonly string[]) => new Set(pieces.map((id) => pieceOf(commission, id).sitting)).size === 1; // prettier-ignore
  const joints = commission.option.joints.filter(
    (j) => isMadeBefore(j) && j.sitting === undefined && !j.pieces.some(isHere) && together(j.pieces),
  );
  return jointed(
    [...new Set(joints.flatMap((j) => j.pieces))],
    joints.map((j) => j.pieces),
  ).map((pieces) => ({ pieces, joints: joints.filter((j) => pieces.includes(j.pieces[0])) }));
}

/** Joining or soaking of pieces, with its joints where it is joining. */
export type PieceWork = EarlierWork & Begins & { kind: 'silicone' | 'soak'; joints: Joint[] };

/** What is done with pieces before the day, and when it begins. What is joined beforehand soaks as one, as long as its slowest. */
export function pieceWorks(commission: Resolved): PieceWork[] {
  const soaking = new Map([...commission.pieces].flatMap(([id, { soakDays }]) => (soakDays > 0 ? [[id, soakDays] as const] : []))); // prettier-ignore
  const joined = joinedBefore(commission);
  const alone = [...soaking.keys()].filter((id) => !joined.some((j) => j.pieces.includes(id)));
  const tubs = [...joined.map((j) => j.pieces), ...alone.map((id) => [id])].flatMap((pieces) => {
    const days = pieces.flatMap((id) => soaking.get(id) ?? []);
    return days.length === 0 ? [] : [{ pieces, days: Math.max(...days) }];
  });
  const aheadDays = (pieces: readonly string[]) =>
    Math.max(...pieces.map((id) => -pieceOf(commission, id).onDay));
  return beginning([
    ...joined.map(({ pieces, joints }) => ({ kind: 'silicone' as const, things: pieces, joints, takesDays: JOINED_DAYS, aheadDays: aheadDays(pieces) })), // prettier-ignore
    ...tubs.map(({ pieces, days }) => ({ kind: 'soak' as const, things: pieces, joints: [], takesDays: days, aheadDays: aheadDays(pieces) })), // prettier-ignore
  ]);
}

/** Why a piece is needed before the day, and how many days. */
export interface Ahead {
  why: 'soaks' | 'cures' | 'cures-soaks';
  days: number;
}

/** Pieces that are worked on before the day: whoever sells, lends or stores them is asked so much sooner. */
export function aheadOf(commission: Resolved): Map<string, Ahead> {
  const works = pieceWorks(commission);
  const ids = new Set(works.flatMap((w) => w.things));
  return new Map(
    [...ids].map((id): [string, Ahead] => {
      const own = works.filter((w) => w.things.includes(id));
      const why = own.length > 1 ? 'cures-soaks' : own[0].kind === 'soak' ? 'soaks' : 'cures';
      return [id, { why, days: Math.max(...own.map((w) => w.days)) }];
    }),
  );
}
