import { neighboursWithin } from '../hardscape/neighbours';
import { feetOf, stabilityOf, type Feet, type Side } from '../hardscape/stability';
import type { SurveyInput } from './input';
import { placesOf, remembered, type SurveyMemo } from './memo';

/** How surely a piece stands by itself; those that are joined or fixed are not asked. */
export interface StandSurvey {
  id: string;
  /** Middle of its mass within what carries it, mm; negative outside; left out where nothing does. */
  insideMm?: number;
  /** Drawn at a height: it stays there only where that carries it. */
  isHeld?: boolean;
  /** The lean that would tip it, degrees, and to which side. */
  tipsAtDeg: number;
  towards: Side;
}

/** What carries a piece may be that far below or beside it, mm. */
const REACH_MM = 3;

/** How every piece stands that has to by itself. While a vessel is dragged nobody asks. */
export function surveyStands({ option, standing, field }: SurveyInput, memo: SurveyMemo): StandSurvey[] {
  if (memo.rough) return [];
  const held = new Set(option.joints.flatMap((j) => j.pieces));
  const neighbours = neighboursWithin(standing, REACH_MM);
  return standing.flatMap((s, i): StandSurvey[] => {
    const { id, stand, fixed } = s.piece;
    if (fixed || held.has(id)) return [];
    const near = neighbours[i];
    const slot = memo.slot(memo.areas, `stands ${id}`);
    const own = memo.slot(memo.areas, `feet ${id}`);
    const found = remembered(slot, [field, ...placesOf(s, near)], () => {
      const feet = remembered(own, [field, ...placesOf(s, [])], () => feetOf(s, field)) as Feet;
      return stabilityOf(s, field, near, feet);
    });
    const { base, insideMm, tipsAtDeg, towards } = found as ReturnType<typeof stabilityOf>;
    return [
      {
        id,
        ...(stand.kind === 'at' ? { isHeld: true } : {}),
        ...(base.length > 0 ? { insideMm } : {}),
        tipsAtDeg,
        towards,
      },
    ];
  });
}
