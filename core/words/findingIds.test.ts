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
    // Put together from their area and what was measured; the types hold that nothing else can come of it.
    const composed = /^(route\.(width|height|depth|turn|mass)|livestock\.(temperature|gh|kh|ph))$/;
    const lost = Object.entries(FINDINGS).filter(([id, folder]) => {
      const [area] = id.split('.');
      return !written(folder).includes(composed.test(id) ? `\`${area}.\${` : `'${id}'`);
    });
    expect(lost).toEqual([]);
  });
});
