import { homedir } from 'node:os';
import { join } from 'node:path';

/** The folder of the studio's data: as UTSUWA_DATA names it, otherwise the user's own. */
export function dataFolder(): string {
  return process.env.UTSUWA_DATA ?? join(homedir(), '.local', 'share', 'utsuwa');
}
