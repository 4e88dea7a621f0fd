import { dataFolder } from './dataFolder';
import { hasPeople, signOutAll } from './people/people';
import { claimFolder } from './store/folder';
import { openStore, type Store } from './store/store';

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
  const lost = (await hasPeople(store)) ? await codesLost(store) : 0;
  await store.close();
  if (lost > 0)
    console.log(
      `One-time codes of ${lost} ${lost === 1 ? 'account' : 'accounts'} were made on another machine and cannot be read on this one: they are set back, the password alone lets in.`,
    );
  console.log(`${file} is in place in ${folder}.`);
  if (aside) console.log(`What was there is kept in ${aside}.`);
}

/** The library that reads them is wanted only here. */
async function codesLost(store: Store): Promise<number> {
  const [{ openAuth }, { dropUnreadable }] = await Promise.all([import('./people/auth'), import('./people/codes')]);
  return dropUnreadable(store, await openAuth(store, { isSecure: false }));
} // prettier-ignore
