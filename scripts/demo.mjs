/* npm run demo: install what is missing, build, and serve the demo's data. `-- --fresh` begins them anew, `-- --people` has people with accounts. */
import { rmSync } from 'node:fs';
import { join } from 'node:path';
import { built, failed, installed, program, root, run, serve } from './ready.mjs';

try {
  await installed();
  await built();
  // Of its own: the one without a password stays without.
  const people = process.argv.includes('--people');
  const folder = join(root, 'data', people ? 'demo-people' : 'demo');
  if (process.argv.includes('--fresh')) rmSync(folder, { recursive: true, force: true });
  await run(process.execPath, [program('demo/fill'), ...(people ? ['--people'] : [])], {
    env: { UTSUWA_DATA: folder },
    loud: people,
  });
  serve({ UTSUWA_DATA: folder });
} catch (error) {
  failed(error);
}
