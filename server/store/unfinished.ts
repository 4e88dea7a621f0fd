import { readdir, rm } from 'node:fs/promises';
import { join } from 'node:path';
import { incomingFolder } from '../incoming';
import { backupFolder } from './backups';
import { DATABASE } from './folder';
import { meshFolder } from './meshes';

/**
 * Removes what something that was cut off has left in a folder: parts of a backup, of a mesh and of a restore, and
 * bodies of requests. Only for who has claimed the folder, before anything is begun in it and after all has ended.
 */
export async function removeUnfinished(folder: string): Promise<void> {
  const parts = await Promise.all(
    [backupFolder(folder), meshFolder(folder)].map(async (place) =>
      (await readdir(place).catch(() => []))
        // A part, and the journal that SQLite has beside it.
        .filter((name) => /\.part(?:-\w+)?$/.test(name))
        .map((name) => join(place, name)),
    ),
  );
  for (const file of [...parts.flat(), join(folder, `${DATABASE}.new`)]) await rm(file, { force: true });
  await rm(incomingFolder(folder), { recursive: true, force: true });
}
