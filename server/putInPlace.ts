import { dataFolder } from './dataFolder';
import { signOutAll } from './people/people';
import { claimFolder } from './store/folder';
import { openStore } from './store/store';

/**
 * Puts something in the place of the studio's data, which no server may be using meanwhile, and says what became of it. `put`
 * returns where it kept what was there.
 */
export async function putInPlace(
  file: string,
  put: (folder: string, file: string) => Promise<string | undefined>,
): Promise<void> {
  const folder = dataFolder();
  const claim = await claimFolder(folder);
  let aside: string | undefined;
  try {
    aside = await put(folder, file);
  } finally {
    await claim.release();
  }
  // Opened once, so that what an older version wrote is brought up to date now and not found wanting later.
  const store = await openStore(folder);
  await signOutAll(store);
  await store.close();
  console.log(`${file} is in place in ${folder}.`);
  if (aside) console.log(`What was there is kept in ${aside}.`);
}
