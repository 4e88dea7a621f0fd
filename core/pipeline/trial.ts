import { sizeMmOf } from '../hardscape/extent';
import type { Candidate, Commission, Material, Piece } from '../commission/schema';
import { clearancesOf } from '../hardscape/clearances';
import { asActual, withOwn, type Actual } from '../yard/candidate';
import { planChanges, type PlanChanges, type Was } from './planChanges';
import { plan, type Plan, type PlanAsk } from './plan';

/** What an actual piece changes of the scape as it is drawn. */
export interface Trial extends PlanChanges {
  as: Actual;
  sizeMm: [number, number, number];
  massKg: Was;
  /** How far it is from glass and neighbours, mm; only where that changes by a millimetre and more. */
  clear: (Was & { to: string })[];
}

/**
 * An actual piece tried in the place of the one that is drawn: both scapes planned, and held against each other. Undefined
 * where the piece is not there, or nobody knows yet how large the actual one is.
 * Valid for one piece at a time. Leaves out: how plants would live round it.
 * Test: trial.test.ts, "says what a heavier and longer stone changes".
 */
export function trialOf(
  commission: Commission,
  candidate: Candidate,
  material: Material,
  ask: PlanAsk,
): Trial | undefined {
  const option = commission.options.find((o) => o.id === candidate.option);
  const drawn = option?.pieces.find((p) => p.id === candidate.piece);
  if (!option || !drawn) return undefined;
  const before = candidate.was ? withOwn(drawn, candidate.was) : drawn;
  const as = asActual(before, candidate, material);
  if (!as) return undefined;
  const planned = (piece: Piece) => {
    const pieces = option.pieces.map((p) => (p.id === piece.id ? piece : p));
    const doc = {
      ...commission,
      options: commission.options.map((o) => (o === option ? { ...o, pieces } : o)),
    };
    return plan(doc, { ...ask, optionId: option.id, planted: 'later' });
  };
  const [was, is] = [planned(before), planned(withOwn(before, as))];
  const massOf = (p: Plan) => p.survey.pieces.find(({ id }) => id === drawn.id)?.massKg ?? 0;
  const sizes = sizeMmOf(as.shape);
  return {
    as,
    sizeMm: [sizes[0], sizes[1], sizes[2]],
    massKg: { was: massOf(was), is: massOf(is) },
    clear: clearChanges(drawn.id, was, is, commission),
    ...planChanges(was, is),
  };
}

function clearChanges(id: string, was: Plan, is: Plan, { vessel }: Commission): Trial['clear'] {
  const clearIn = ({ survey: { standing } }: Plan) => {
    const own = standing.find((s) => s.piece.id === id);
    return new Map(own ? clearancesOf(own, standing.filter((s) => s !== own), vessel).map((c) => [c.to, c.mm]) : []); // prettier-ignore
  };
  const [before, after] = [clearIn(was), clearIn(is)];
  return [...after].flatMap(([to, mm]) => {
    const old = before.get(to);
    return old === undefined || Math.abs(old - mm) < 1 ? [] : [{ to, was: old, is: mm }];
  });
}
