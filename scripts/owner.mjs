/* npm run owner -- "NAME" ADDRESS: the first account, or a new password for one that is there. */
import { built, failed, installed, program, run } from './ready.mjs';

try {
  await installed();
  await built();
  await run(process.execPath, [program('server/owner'), ...process.argv.slice(2)], {
    loud: true,
  });
} catch (error) {
  failed(error);
}
