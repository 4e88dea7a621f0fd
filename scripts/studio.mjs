/* npm run studio -- out FILE | in FILE: the whole studio as one file. */
import { command } from './ready.mjs';

await command('server/studio');
