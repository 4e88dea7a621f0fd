import { existsSync } from 'node:fs';
import { resolve } from 'node:path';
import { dataFolder } from './dataFolder';
import { signOutAll } from './people/people';
import { claimFolder } from './store/folder';
import { openStore } from './store/store';
import { studioIn, studioOut } from './store/wholeStudio';

/*
 * npm run studio -- out FILE | in FILE: the whole studio as one file, and such a file in the place of what is there, which is kept.
 */

const USE = 'Say what: npm run studio -- out FILE, or npm run studio -- in FILE.';

async function main(): Promise<void> {
  const [way, named] = process.argv.slice(2);
  if (!named || (way !== 'out' && way !== 'in')) throw new Error(USE);
  const [folder, file] = [dataFolder(), resolve(named)];
  if (way === 'out') {
    const { files, bytes } = await studioOut(folder, file);
    console.log(`${file}: ${files} files, ${Math.ceil(bytes / 1024 / 1024)} MB. It has clients and accounts in it: keep it as you keep those.`); // prettier-ignore
    return;
  }
  if (!existsSync(file)) throw new Error(`${file} is not there.`);
  const claim = await claimFolder(folder);
  let aside: string | undefined;
  try {
    aside = await studioIn(folder, file);
  } finally {
    await claim.release();
  }
  // Opened once, so that what an older version wrote is brought up to date now.
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
