/* npm run demo: install what is missing, build, and serve the demo's data. `-- --fresh` begins them anew. */
import { rmSync } from 'node:fs';
import { join } from 'node:path';
import { built, failed, installed, program, root, run, serve } from './ready.mjs';

try {
  await installed();
  await built();
  const folder = join(root, 'data', 'demo');
  if (process.argv.includes('--fresh')) rmSync(folder, { recursive: true, force: true });
  await run(process.execPath, [program('demo/fill')], { env: { UTSUWA_DATA: folder } });
  serve({ UTSUWA_DATA: folder });
} catch (error) {
  failed(error);
}
