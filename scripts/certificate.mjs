/* npm run certificate -- NAME [ADDRESS …]: a certificate of the studio’s own, so that tablets reach it safely. */
import { command } from './ready.mjs';

await command('server/certificate');
