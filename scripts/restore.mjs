/* npm run restore -- FILE: a backup in the place of the studio's data, which is kept beside it. */
import { join } from 'node:path';
import { failed, installed, root, run } from './ready.mjs';

try {
  await installed();
  await run(
    process.execPath,
    ['--import', 'tsx', join(root, 'server', 'restore.ts'), ...process.argv.slice(2)],
    {
      loud: true,
    },
  );
} catch (error) {
  failed(error);
}
