import { AsyncLocalStorage } from 'node:async_hooks';

/*
 * Who asks for what is being done just now: computing time and what comes in have shares by them. Told once at the door rather than
 * handed through everything that lies between.
 */

const asking = new AsyncLocalStorage<string>();

/** Does something in the name of whoever asked. */
export const askedBy = <T>(id: string, work: () => T): T => asking.run(id, work);

/** The person who asked; undefined where nobody is signed in, and for what the server does by itself. */
export const asker = (): string | undefined => asking.getStore();
