/** Builds interface and server where a source is newer than the last build. */
export function built(): Promise<void>;
