/* npm run owner -- "NAME" ADDRESS: the first account, or a new password for one that is there. */
import { command } from './ready.mjs';

await command('server/owner');
