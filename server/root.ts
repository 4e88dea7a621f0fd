import { existsSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

/** The folder of the project, whether this runs from its sources or from what was built of them. */
export const ROOT = above(dirname(fileURLToPath(import.meta.url)));

function above(folder: string): string {
  if (existsSync(join(folder, 'package.json'))) return folder;
  const parent = dirname(folder);
  if (parent === folder) throw new Error('The folder of the project was not found: package.json is missing.');
  return above(parent);
}

/** A thread's own file beside the module at `url`: sources go through a few lines that can read TypeScript. */
export function threadFile(url: string): URL {
  return new URL(url.endsWith('.ts') ? './thread.mjs' : './thread.js', url);
}
