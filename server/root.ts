import { existsSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath, pathToFileURL } from 'node:url';

/** The folder of the project, whether this runs from its sources or from what was built of them. */
export const ROOT = above(dirname(fileURLToPath(import.meta.url)));

function above(folder: string): string {
  if (existsSync(join(folder, 'package.json'))) return folder;
  const parent = dirname(folder);
  if (parent === folder) throw new Error('The folder of the project was not found: package.json is missing.');
  return above(parent);
}

/** What begins a thread or process of its own: its source without the ending, from the project's folder. */
export type Started = 'server/jobs/thread' | 'server/store/thread' | 'server/pictures/process';

/**
 * The file with which a thread or process begins. What was built begins with what was built; sources go through a few lines
 * that can read TypeScript, or take what UTSUWA_BUILT names, where tests have built it: it begins in a tenth of the time.
 */
export function threadFile(name: Started): URL {
  const fromSources = import.meta.url.endsWith('.ts');
  const built = fromSources ? process.env.UTSUWA_BUILT : join(ROOT, 'dist', 'node');
  return pathToFileURL(built ? join(built, `${name}.js`) : join(ROOT, `${name}.mjs`));
}
