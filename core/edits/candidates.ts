import type { Day } from '../calendar/day';
import { soldBy } from '../catalogue/materialFields';
import { materialOf } from '../commission/lookup';
import type { Candidate, Commission, Piece } from '../commission/schema';
import { knownOf, ownOf, withOwn, type Actual, type OwnOf } from '../yard/candidate';
import { withGiven } from './given';
import { nextNumber } from './ids';
import { withoutTaken, withTaken, withTakenChanged } from './taken';

/*
 * Actual pieces for those that are drawn: noted, put on the bench for trial and taken off again, said yes or no to, measured
 * when they come. From a document to a document.
 */

const allOf = (document: Commission) => document.candidates ?? [];

/** The document with an actual piece noted; its number follows from those that are there. */
export function withCandidate(document: Commission, entry: Omit<Candidate, 'id'>): Commission {
  const all = allOf(document);
  return { ...document, candidates: [...all, { ...entry, id: nextNumber(all, 'C') } as Candidate] };
}

/**
 * The document with some of what is said of one changed; what is given as undefined is not said any more. What was bought for
 * it is what it is: its material, its weight and its price follow.
 */
export function withCandidateChanged(
  document: Commission,
  id: string,
  change: Partial<Candidate>,
): Commission {
  const candidates = allOf(document).map((c) => (c.id === id ? withGiven(c, change) : c));
  const next = { ...document, candidates };
  const changed = candidates.find((c) => c.id === id)!;
  return changed.taken === undefined ? next : withTakenChanged(next, changed.taken, boughtAs(next, changed));
}

/** What is bought for one: its weight where its kind is sold by weight, else a piece; no amount while nobody has weighed it. */
function boughtAs(document: Commission, candidate: Candidate) {
  const { material: item, supplier, priceMinor: paidMinor } = candidate;
  const isWeighed = soldBy(materialOf(document, item).kind) === 'kg';
  const amount = isWeighed ? knownOf(candidate).massKg : 1;
  return { item, supplier, paidMinor, ...(amount === undefined ? {} : { amount }) };
}

/** One on the bench, as it is known: the piece that it takes the place of is remembered. Anything tried for that piece before goes. */
export function withTried(document: Commission, id: string, as: Actual): Commission {
  const candidate = allOf(document).find((c) => c.id === id)!;
  const cleared = allOf(document)
    .filter((c) => c.was && c.id !== id && c.option === candidate.option && c.piece === candidate.piece)
    .reduce((doc, c) => withoutTried(doc, c.id), document);
  const piece = pieceIn(cleared, candidate);
  if (!piece) return document;
  const was = candidate.was ?? withGiven(ownOf(piece), {});
  return withCandidateChanged(withPieceAs(cleared, candidate, as), id, { was });
}

/** One off the bench again, and the piece as it was drawn. */
export function withoutTried(document: Commission, id: string): Commission {
  const candidate = allOf(document).find((c) => c.id === id);
  if (!candidate?.was) return document;
  return withCandidateChanged(withPieceAs(document, candidate, candidate.was), id, { was: undefined });
}

/** One said yes to: it is bought, by its weight where its kind is, at its own price. */
export function withApproved(document: Commission, id: string, day: Day): Commission {
  const candidate = allOf(document).find((c) => c.id === id)!;
  const said = withCandidateChanged(document, id, { approvedOn: day, declined: undefined });
  const { amount, ...rest } = boughtAs(document, candidate);
  if (candidate.taken !== undefined || amount === undefined) return said;
  const bought = withTaken(said, withGiven({ ...rest, amount, day }, {}));
  return withCandidateChanged(bought, id, { taken: bought.taken!.at(-1)!.id });
}

/** One said no to: off the bench, and not bought. */
export function withDeclined(document: Commission, id: string): Commission {
  const { taken } = allOf(document).find((c) => c.id === id)!;
  const off = withoutTried(document, id);
  const back = taken === undefined ? off : withoutTaken(off, taken);
  return withCandidateChanged(back, id, { declined: true, approvedOn: undefined, taken: undefined });
}

/** One not noted any more. */
export function withoutCandidate(document: Commission, id: string): Commission {
  const { candidates: _all, ...rest } = withDeclined(document, id);
  const left = allOf(document).filter((c) => c.id !== id);
  return left.length > 0 ? { ...rest, candidates: left } : rest;
}

function pieceIn({ options }: Commission, { option, piece }: Candidate): Piece | undefined {
  return options.find((o) => o.id === option)?.pieces.find((p) => p.id === piece);
}

function withPieceAs(document: Commission, { option, piece }: Candidate, as: OwnOf): Commission {
  const pieces = (all: Piece[]) => all.map((p) => (p.id === piece ? withOwn(p, as) : p));
  return {
    ...document,
    options: document.options.map((o) => (o.id === option ? { ...o, pieces: pieces(o.pieces) } : o)),
  };
}
