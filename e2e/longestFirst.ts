import { relative } from 'node:path';
import { BaseSequencer, type TestSpecification } from 'vitest/node';
import { root } from '../scripts/ready.mjs';
import { takes } from '../scripts/turns.mjs';

/** The files that take longest first: one that is begun last is waited for with half of the machine idle. */
export class LongestFirst extends BaseSequencer {
  override sort(files: TestSpecification[]): Promise<TestSpecification[]> {
    const s = ({ moduleId }: TestSpecification) => takes(relative(root, moduleId));
    return Promise.resolve([...files].sort((a, b) => s(b) - s(a)));
  }
}
