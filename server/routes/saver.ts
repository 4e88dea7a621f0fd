import type { Asker } from '../jobs/jobs';
import type { Body } from '../incoming';

/** A save whose body is in a file is a large one. */
const LARGE = 'large saves';

/** Whose turn a save is: its commission's; all large ones have one turn together, so that small ones pass them. */
export function saver(id: string, body: Body): Asker {
  return { who: body instanceof Uint8Array ? id : LARGE };
}
