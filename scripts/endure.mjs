/* npm run endure: what is promised of saving and of whatever is accepted, measured by attack. Some twenty minutes. */
import { join } from 'node:path';
import { built, failed, installed, root, run } from './ready.mjs';

try {
  await installed();
  await built();
  await run(
    process.execPath,
    ['--import', 'tsx', join(root, 'endure', 'endure.ts'), ...process.argv.slice(2)],
    {
      loud: true,
    },
  );
} catch (error) {
  failed(error);
}
