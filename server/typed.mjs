/*
 * Threads begin in JavaScript: Node 20 does not hand its loader for TypeScript on to them, so each registers
 * its own before it opens the file it is there for.
 */
import { register } from 'tsx/esm/api';

register();
