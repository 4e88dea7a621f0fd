import { existsSync } from 'node:fs';
import { resolve } from 'node:path';
import { dataFolder } from './dataFolder';
import { putInPlace } from './putInPlace';
import { studioIn, studioOut } from './store/wholeStudio';

/*
 * npm run studio -- out FILE | in FILE: the whole studio as one file, and such a file in the place of what is there, which is kept.
 */

const USE = 'Say what: npm run studio -- out FILE, or npm run studio -- in FILE.';

async function main(): Promise<void> {
  const [way, named] = process.argv.slice(2);
  if (!named || (way !== 'out' && way !== 'in')) throw new Error(USE);
  const file = resolve(named);
  if (way === 'out') {
    const { files, bytes, isNoted } = await studioOut(dataFolder(), file);
    console.log(`${file}: ${files} files, ${Math.ceil(bytes / 1024 / 1024)} MB. It has clients and accounts in it: keep it as you keep those.`); // prettier-ignore
    if (!isNoted)
      console.log('The studio’s journal could not be written: it does not say that this was taken out.');
    return;
  }
  if (!existsSync(file)) throw new Error(`${file} is not there.`);
  await putInPlace(file, studioIn);
}

main().catch((error: unknown) => {
  console.error(error instanceof Error ? error.message : String(error));
  process.exit(1);
});
