/* npm run restore -- FILE: a backup in the place of the studio's data, which is kept beside it. */
import { built, failed, installed, program, run } from './ready.mjs';

try {
  await installed();
  await built();
  await run(process.execPath, [program('server/restore'), ...process.argv.slice(2)], {
    loud: true,
  });
} catch (error) {
  failed(error);
}
