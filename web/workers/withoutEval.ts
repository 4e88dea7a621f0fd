import { config } from 'zod';

/*
 * Imported before anything that has a schema. The page may not make code out of text (its content security policy), and
 * asking whether it might is an error each time, whose stack has the engine read the whole script once more.
 */
config({ jitless: true });
