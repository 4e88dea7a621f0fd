import { mayOverlap } from '../hardscape/neighbours';
import { stabilityOf, type Side } from '../hardscape/stability';
import type { Standing } from '../hardscape/settle';
import type { SurveyInput } from './input';
import { remembered, type SurveyMemo } from './memo';

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
  return standing.flatMap((s): StandSurvey[] => {
    const { id, stand, fixed } = s.piece;
    if (fixed || held.has(id)) return [];
    const grown = reaching(s);
    const near = standing.filter((o) => o !== s && mayOverlap(o, grown));
    const place = (p: Standing) => [p.xMm, p.yMm, p.zMm];
    const key = [
      field,
      s.columns,
      ...near.map((n) => n.columns),
      JSON.stringify([place(s), near.map(place)]),
    ];
    const found = remembered(memo.slot(memo.areas, `stands ${id}`), key, () => stabilityOf(s, field, near));
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

/** A piece with a little more around it. */
function reaching(s: Standing): Standing {
  const { lo, hi } = s.columns.extent;
  const by = (v: readonly number[], mm: number) => v.map((x) => x + mm) as unknown as typeof lo;
  return { ...s, columns: { ...s.columns, extent: { lo: by(lo, -REACH_MM), hi: by(hi, REACH_MM) } } };
}
