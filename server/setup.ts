import { join } from 'node:path';
import { built, root } from '../scripts/ready.mjs';

/** Before the first test: the server as it is now, built, for those that start it or its threads. */
export default async function setup(): Promise<void> {
  await built('node');
  process.env.UTSUWA_BUILT = join(root, 'dist', 'node');
}
