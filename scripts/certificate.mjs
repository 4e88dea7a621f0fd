/* npm run certificate -- NAME [ADDRESS …]: a certificate of the studio’s own, so that tablets reach it safely. */
import { built, failed, installed, program, run } from './ready.mjs';

try {
  await installed();
  await built();
  await run(process.execPath, [program('server/certificate'), ...process.argv.slice(2)], {
    loud: true,
  });
} catch (error) {
  failed(error);
}
