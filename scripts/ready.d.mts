/** Builds interface and server, or `web` or `node` alone, where a source is newer than the last build. */
export function built(only?: 'web' | 'node'): Promise<void>;
/** Where a program of the project is when it is built. */
export function program(name: string): string;
export const root: string;
