/* npm start: the studio's own data, in the folder that UTSUWA_DATA names. */
import { built, failed, installed, serve } from './ready.mjs';

try {
  await installed();
  await built();
  serve();
} catch (error) {
  failed(error);
}
