import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { createClient } from '@libsql/client';
import { serverOn } from '../e2e/server';
import { created, inFolder, send, stored, titled } from './http';
import { result, type Result } from './result';

/**
 * Another program holds the database's lock for longer than a save waits; then so many saves follow, the
 * server is killed, and what was confirmed is looked for.
 */
export function lockedElsewhere(saves: number): Promise<Result> {
  return inFolder(async (folder) => {
    const wrong: string[] = [];
    let server = await serverOn(folder);
    const id = await created(server.url, titled('before'));
    const other = createClient({ url: pathToFileURL(join(folder, 'utsuwa.db')).href });
    const lock = await other.transaction('write');
    const save = (revision: number) =>
      send('PUT', `${server.url}/api/commissions/${id}`, { revision, document: titled(`save ${revision}`) });
    const during = await save(1);
    if (during.status !== 503) wrong.push(`while locked: ${during.status}, not 503`);
    await lock.rollback();
    other.close();
    let confirmed = 1;
    for (let n = 0; n < saves; n++) {
      const answer = await save(confirmed);
      if (answer.status === 200) confirmed = ((await answer.json()) as { revision: number }).revision;
      else wrong.push(`after the lock: ${answer.status}`);
    }
    await server.stop('SIGKILL');
    server = await serverOn(folder);
    const { revision } = await stored(server.url, id);
    await server.stop();
    const lost = confirmed - revision;
    if (lost !== 0) wrong.push(`confirmed to revision ${confirmed}, has ${revision}`);
    return result(
      'lock held elsewhere, then saves and a kill',
      { saves: confirmed - 1, lost },
      '0 lost',
      wrong,
    );
  });
}

/** A second server on the same folder must not start; the first loses nothing of so many saves. */
export function twoServers(saves: number): Promise<Result> {
  return inFolder(async (folder) => {
    const wrong: string[] = [];
    const first = await serverOn(folder);
    const id = await created(first.url, titled('first'));
    const second = serverOn(folder).then(
      async (running) => {
        wrong.push('the second server started');
        await running.stop();
      },
      (error: Error) => {
        if (!error.message.includes(`in use by process ${first.child.pid}`))
          wrong.push(`the second server said: ${error.message}`);
      },
    );
    let revision = 1;
    for (let n = 0; n < saves; n++) {
      const body = { revision, document: titled(`save ${n}`) };
      const answer = await send('PUT', `${first.url}/api/commissions/${id}`, body);
      if (answer.status === 200) revision = ((await answer.json()) as { revision: number }).revision;
      else wrong.push(`save ${n}: ${answer.status}`);
    }
    await second;
    await first.stop('SIGKILL');
    const again = await serverOn(folder);
    const now = await stored(again.url, id);
    await again.stop();
    const lost = revision - now.revision;
    if (lost !== 0) wrong.push(`confirmed to revision ${revision}, has ${now.revision}`);
    return result(
      'two servers on one folder',
      { saves: revision - 1, lost },
      '0 lost, the second refuses',
      wrong,
    );
  });
}
