import type { Change } from './changes';
import { faultsOfChange } from './change';
import { merged, type Clash, type Merged } from './merge';
import type { Commission } from './schema';

/**
 * Lays changes over a document like `merged`, and sees to it that the result is one: two sets of changes may
 * each be right and not go together, such as a joint made here to a stone that was taken out elsewhere. What
 * does not fit is left out and says why.
 */
export function fitting(document: Commission, changes: readonly Change[]): Merged<Commission> {
  const whole = merged(document, changes);
  if (faultsOfChange(document, whole.document).length === 0) return whole;
  let current = document;
  const clashes: Clash[] = [];
  for (const change of changes) {
    const one = merged(current, [change]);
    const [fault] = faultsOfChange(current, one.document);
    if (fault) clashes.push({ change, theirs: undefined, unfit: fault });
    else {
      current = one.document;
      clashes.push(...one.clashes);
    }
  }
  return { document: current, clashes };
}
