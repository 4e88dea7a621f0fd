import { existsSync } from 'node:fs';
import { resolve } from 'node:path';
import { dataFolder } from './dataFolder';
import { putInPlace } from './putInPlace';
import { restore } from './store/backups';

/*
 * npm run restore -- FILE: puts a backup in the place of the studio's data. What is there is kept.
 */

async function main(): Promise<void> {
  const [named] = process.argv.slice(2);
  const folder = dataFolder();
  if (!named) throw new Error(`Say which backup: npm run restore -- FILE. They lie in ${folder}/backups.`);
  const file = resolve(named);
  if (!existsSync(file)) throw new Error(`${file} is not there. Backups lie in ${folder}/backups.`);
  await putInPlace(file, restore);
}

main().catch((error: unknown) => {
  console.error(error instanceof Error ? error.message : String(error));
  process.exit(1);
});
