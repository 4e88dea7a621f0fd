import { readFile, rename, writeFile } from 'node:fs/promises';
import { join } from 'node:path';

/*
 * What is deleted for good after so many days must not go because a machine's clock was wrong for an hour. So the server
 * notes when it was last seen to run, and where the clock has leapt since it asks before it deletes anything.
 */

/** A clock that is further from when the server last ran than anybody closes a studio for, or behind it. */
export interface Leap {
  seen: string;
  now: string;
}

const DAY_MS = 86_400_000;
/** Ahead: a fortnight's holiday is none. Behind: a clock that is set right by minutes, or over a border, is none. */
const [MOST_AHEAD_MS, MOST_BEHIND_MS] = [16 * DAY_MS, DAY_MS];

/** Whether the clock has leapt between two moments. */
export function leapBetween(seen: Date, now: Date): Leap | undefined {
  const ms = now.getTime() - seen.getTime();
  return ms > MOST_AHEAD_MS || ms < -MOST_BEHIND_MS
    ? { seen: seen.toISOString(), now: now.toISOString() }
    : undefined;
}

/** The clock of the machine, as far as it can be trusted. */
export interface Clock {
  /** Notes that the server runs now; or says that the clock has leapt, until somebody says that it is right. */
  look(now?: Date): Promise<Leap | undefined>;
  /** Somebody has said that it is right. */
  accept(now?: Date): Promise<void>;
}

export function clockIn(folder: string): Clock {
  const file = join(folder, 'utsuwa.seen.json');
  const note = async (now: Date) => {
    await writeFile(`${file}.part`, JSON.stringify({ seen: now.toISOString() }), { mode: 0o600 });
    await rename(`${file}.part`, file);
  };
  return {
    async look(now = new Date()) {
      const seen = await seenIn(file);
      const leap = seen && leapBetween(seen, now);
      if (!leap) await note(now);
      return leap;
    },
    accept: (now = new Date()) => note(now),
  };
}

/** Undefined where it never ran, or the note cannot be read. */
async function seenIn(file: string): Promise<Date | undefined> {
  try {
    const { seen } = JSON.parse(await readFile(file, 'utf8')) as { seen: string };
    const at = new Date(seen);
    return Number.isNaN(at.getTime()) ? undefined : at;
  } catch {
    return undefined;
  }
}
