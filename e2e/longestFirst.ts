import { basename } from 'node:path';
import { BaseSequencer, type TestSpecification } from 'vitest/node';

/** The files that take longest, longest first: one that is begun last is waited for with half of the machine idle. */
const LONGEST = [
  'endure.e2e.ts',
  'cutOff.e2e.ts',
  'job.e2e.ts',
  'visitsByKeyboard.e2e.ts',
  'commission.e2e.ts',
  'accessible.e2e.ts',
  'bench.e2e.ts',
  'visit.e2e.ts',
  'browser.e2e.ts',
  'visitsByTouch.e2e.ts',
  'plantingRegions.e2e.ts',
  'newcomer.e2e.ts',
  'buying.e2e.ts',
];

/** The order of the files: those named above, then the others. */
export class LongestFirst extends BaseSequencer {
  override sort(files: TestSpecification[]): Promise<TestSpecification[]> {
    const rank = ({ moduleId }: TestSpecification) => {
      const at = LONGEST.indexOf(basename(moduleId));
      return at < 0 ? LONGEST.length : at;
    };
    return Promise.resolve([...files].sort((a, b) => rank(a) - rank(b)));
  }
}
