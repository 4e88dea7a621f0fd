/* npm run restore -- FILE: a backup in the place of the studio's data, which is kept beside it. */
import { command } from './ready.mjs';

await command('server/restore');
