import type { Candidate, Material } from '../commission/schema';

import { say, type Text } from '../words/text';

/*
 * What stands in the place of a supplier's word where a stone or a branch is not of the trade: tests that are done in the
 * hand, and what each outcome means. All of it common practice.
 */

/** Tests by what they are made on. Vinegar is none of them: it is too weak to fizz on much that hardens water. */
export const TESTS = ['acid', 'magnet', 'edges', 'veins', 'soundness', 'sap', 'kind', 'soaks'] as const;
export type FoundTest = (typeof TESTS)[number];
/** `good` and `bad` as they came out; not there as long as nobody has made it. */
export type Outcome = 'good' | 'bad';

const ON: Readonly<Record<'stone' | 'wood', readonly FoundTest[]>> = {
  stone: ['acid', 'magnet', 'edges', 'veins'],
  wood: ['soundness', 'sap', 'kind', 'soaks', 'edges'],
};
/** What comes out bad and has no remedy: it is not used. */
const NEVER: ReadonlySet<FoundTest> = new Set(['magnet', 'veins', 'soundness', 'sap', 'kind']);

/** Tests that a piece of a material needs; none of one that nobody tests in the hand. */
export function testsFor({ kind }: Pick<Material, 'kind'>): readonly FoundTest[] {
  return kind === 'stone' || kind === 'wood' ? ON[kind] : [];
}

/** A test with what to do, and what its outcome means where there is one. */
export interface FoundCheck {
  test: FoundTest;
  how: Text;
  outcome?: Outcome;
  means?: Text;
  /** It came out so that the piece is not used. */
  never: boolean;
}

/** Every test of a piece that was found, in the order in which they are made. */
export function foundChecks({ tests = {} }: Pick<Candidate, 'tests'>, material: Pick<Material, 'kind'>): FoundCheck[] {
  return testsFor(material).map((test): FoundCheck => {
    const outcome = tests[test];
    return {
      test,
      how: say(`found.${test}.how`),
      ...(outcome ? { outcome, means: say(`found.${test}.${outcome}`) } : {}),
      never: outcome === 'bad' && NEVER.has(test),
    };
  });
} // prettier-ignore

/** Fit to go in, not yet known, or not to be used at all. */
export function foundVerdict(checks: readonly FoundCheck[]): 'fit' | 'untested' | 'never' {
  if (checks.some((c) => c.never)) return 'never';
  return checks.some((c) => c.outcome === undefined) ? 'untested' : 'fit';
}
