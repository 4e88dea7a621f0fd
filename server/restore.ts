import { existsSync } from 'node:fs';
import { resolve } from 'node:path';
import { dataFolder } from './dataFolder';
import { signOutAll } from './people/people';
import { restore } from './store/backups';
import { claimFolder } from './store/folder';
import { openStore } from './store/store';

/*
 * npm run restore -- FILE: puts a backup in the place of the studio's data. What is there is kept.
 */

async function main(): Promise<void> {
  const [named] = process.argv.slice(2);
  const folder = dataFolder();
  if (!named) throw new Error(`Say which backup: npm run restore -- FILE. They lie in ${folder}/backups.`);
  const file = resolve(named);
  if (!existsSync(file)) throw new Error(`${file} is not there. Backups lie in ${folder}/backups.`);
  const claim = await claimFolder(folder);
  let aside: string | undefined;
  try {
    aside = await restore(folder, file);
  } finally {
    await claim.release();
  }
  // Opened once, so that a backup of an older version is brought up to date now and not found wanting later.
  const store = await openStore(folder);
  await signOutAll(store);
  await store.close();
  console.log(`${file} is in place in ${folder}.`);
  if (aside) console.log(`What was there is kept in ${aside}.`);
}

main().catch((error: unknown) => {
  console.error(error instanceof Error ? error.message : String(error));
  process.exit(1);
});
