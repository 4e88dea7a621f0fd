import { existsSync } from 'node:fs';
import { resolve } from 'node:path';
import { parseArgs } from 'node:util';
import { dataFolder } from './dataFolder';
import { putInPlace } from './putInPlace';
import { restore } from './store/backups';
import { fromReplica } from './store/replica/fromReplica';

/*
 * npm run restore -- FILE puts a backup in the place of the studio's data; npm run restore -- --from FOLDER [--at TIME] what a
 * replica has, as it was at that time or as it was last. What is there is kept.
 */

const USE =
  'Say which backup: npm run restore -- FILE; or a replica: npm run restore -- --from FOLDER, with --at 2026-05-04T16:30 as it was then.';

async function main(): Promise<void> {
  const { values, positionals } = parseArgs({
    options: { from: { type: 'string' }, at: { type: 'string' } },
    allowPositionals: true,
  });
  const from = values.from ?? process.env.UTSUWA_REPLICA;
  if (positionals[0] !== undefined) return putInPlace(there(positionals[0]), restore);
  if (!from || (values.at !== undefined && !isTime(values.at)))
    throw new Error(`${USE} Backups lie in ${dataFolder()}/backups.`);
  const at = values.at === undefined ? undefined : new Date(values.at);
  await putInPlace(there(from), (folder, replica) => fromReplica(folder, replica, at));
}

const isTime = (text: string) => /^\d{4}-\d\d-\d\dT\d\d:\d\d/.test(text) && !Number.isNaN(Date.parse(text));

function there(named: string): string {
  const file = resolve(named);
  if (!existsSync(file)) throw new Error(`${file} is not there. Backups lie in ${dataFolder()}/backups.`);
  return file;
}

main().catch((error: unknown) => {
  console.error(error instanceof Error ? error.message : String(error));
  process.exit(1);
});
