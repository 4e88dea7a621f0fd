import { mkdtemp, rm } from 'node:fs/promises';
import { join } from 'node:path';
import { existsSync } from 'node:fs';
import { restore } from '../backups';
import { DATABASE } from '../folder';
import { broughtBack } from './engine';
import { databaseIn } from './place';
import { scansOver } from './scans';

/**
 * Puts the studio of a replica in the place of a folder's, as it was at a time or as it was last; what was there is kept beside it and its
 * place returned. The folder must have been claimed.
 *
 * @throws an Error in words, with nothing changed, where the replica has none of that time
 */
export async function fromReplica(folder: string, to: string, at?: Date, now = new Date()): Promise<string | undefined> {
  if (!existsSync(databaseIn(to))) throw new Error(`${to} holds no replica.`);
  const staged = await mkdtemp(join(folder, '.incoming-'));
  try {
    const database = join(staged, DATABASE);
    const said = await broughtBack(databaseIn(to), database, at);
    if (!existsSync(database)) throw new Error(`Nothing was changed: ${to} has ${at ? `nothing of ${at.toISOString()}, or it` : 'nothing, or it'} is damaged (${said.at(-1)?.msg ?? 'no word'}).`);
    // Scans first: one that nothing names yet harms nobody.
    await scansOver(to, folder);
    return await restore(folder, database, now);
  } finally {
    await rm(staged, { recursive: true, force: true });
  }
} // prettier-ignore
