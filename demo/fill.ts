/* Puts the demo's data into the folder that UTSUWA_DATA names, before the server is started on it; with `--people`, accounts too. */
import { openStore } from '../server/store/store';
import { peopleOfDemo } from './people';
import { seedDemo } from './seed';

async function main(): Promise<void> {
  const folder = process.env.UTSUWA_DATA;
  if (!folder) throw new Error('UTSUWA_DATA: is missing, must name the folder for the demo’s data');
  const store = await openStore(folder);
  try {
    await seedDemo(store);
    if (process.argv.includes('--people')) console.log((await peopleOfDemo(store)).join('\n'));
  } finally {
    await store.close();
  }
}

main().catch((error: unknown) => {
  // One line that says what to do: another demo may be running on the same folder.
  console.error(error instanceof Error ? error.message : String(error));
  process.exit(1);
});
