import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { FINDINGS } from './findingIds';

const core = join(import.meta.dirname, '..');

/** Everything that is written in a folder of core, tests apart. */
function written(folder: string): string {
  return readdirSync(join(core, folder))
    .filter((name) => name.endsWith('.ts') && !name.endsWith('.test.ts'))
    .map((name) => readFileSync(join(core, folder, name), 'utf8'))
    .join('\n');
}

describe('the list of findings', () => {
  it('names for each the folder that raises it', () => {
    const lost = Object.entries(FINDINGS).filter(([id, folder]) => {
      const [area] = id.split('.');
      const text = written(folder);
      // Some ids are put together from their area and what was measured.
      return !text.includes(`'${id}'`) && !text.includes(`\`${area}.\${`);
    });
    expect(lost).toEqual([]);
  });
});
