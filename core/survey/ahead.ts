import { pieceOrigin } from '../commission/origin';
import { optionOf } from '../commission/lookup';
import type { Commission, Joint } from '../commission/schema';
import { isMadeBefore } from '../hardscape/joining';
import { jointed } from './groups';
import { soakingOf } from './soaking';
import type { Survey } from './survey';

/** Days before the build on which joints are made that cure for one (common practice). */
const JOINED_DAYS = 2;

/** Pieces that are joined outside and carried in as one, their joints, and how many days before the build that is. */
export interface JoinedBefore {
  pieces: string[];
  joints: Joint[];
  days: number;
}

/**
 * What is joined beforehand: glue and silicone cure on dry pieces, so that a group that has to soak is joined before it does.
 */
export function joinedBefore(commission: Commission, survey: Survey): JoinedBefore[] {
  const option = optionOf(commission, survey.optionId);
  const here = new Set(option.pieces.filter((p) => pieceOrigin(commission, p) === 'here').map((p) => p.id));
  const joints = option.joints.filter((j) => isMadeBefore(j) && !j.pieces.some((id) => here.has(id)));
  if (joints.length === 0) return [];
  const soaking = soakingOf(commission, survey);
  return jointed(
    [...new Set(joints.flatMap((j) => j.pieces))],
    joints.map((j) => j.pieces),
  ).map((pieces) => ({
    pieces,
    joints: joints.filter((j) => pieces.includes(j.pieces[0])),
    days: JOINED_DAYS + Math.max(0, ...pieces.map((id) => soaking.get(id) ?? 0)),
  }));
}

/** Why a piece is needed before the day, and how many days. */
export interface Ahead {
  why: 'soaks' | 'cures' | 'cures-soaks';
  days: number;
}

/** Pieces that are worked on before the day: whoever sells, lends or stores them is asked so much sooner. */
export function aheadOf(commission: Commission, survey: Survey): Map<string, Ahead> {
  const soaking = soakingOf(commission, survey);
  const ahead = new Map([...soaking].map(([id, days]): [string, Ahead] => [id, { why: 'soaks', days }]));
  for (const { pieces, days } of joinedBefore(commission, survey))
    for (const id of pieces) ahead.set(id, { why: days > JOINED_DAYS ? 'cures-soaks' : 'cures', days });
  return ahead;
}
