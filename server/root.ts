import { existsSync } from 'node:fs';
import { dirname, join, relative } from 'node:path';
import { fileURLToPath, pathToFileURL } from 'node:url';

/** The folder of the project, whether this runs from its sources or from what was built of them. */
export const ROOT = above(dirname(fileURLToPath(import.meta.url)));

function above(folder: string): string {
  if (existsSync(join(folder, 'package.json'))) return folder;
  const parent = dirname(folder);
  if (parent === folder) throw new Error('The folder of the project was not found: package.json is missing.');
  return above(parent);
}

/**
 * The file with which a thread or process of its own begins, beside the module at `url`. Sources go through a few lines
 * that can read TypeScript, or take what UTSUWA_BUILT names, where tests have built it: it begins in a tenth of the time.
 */
export function threadFile(url: string, name: 'thread' | 'process' = 'thread'): URL {
  if (!url.endsWith('.ts')) return new URL(`./${name}.js`, url);
  const built = process.env.UTSUWA_BUILT;
  if (!built) return new URL(`./${name}.mjs`, url);
  return pathToFileURL(join(built, relative(ROOT, dirname(fileURLToPath(url))), `${name}.js`));
}
