import { serverOn } from '../e2e/server';
import { created, inFolder, pause, send, stored, titled } from './http';
import { result, type Result } from './result';

/** Clients that save at the same time, each its own commission. */
const CLIENTS = 4;
/** For how long they save, once they do, until the kill. */
const LONGEST_MS = 3_000;

/**
 * Kills the server in the middle of saves until so many were confirmed, and looks whether each is there when
 * it is started again: the commission's revision must be the one that was confirmed, or one that arrived
 * without its answer getting back.
 */
export function kills(saves: number): Promise<Result> {
  return inFolder(async (folder) => {
    const wrong: string[] = [];
    const confirmed = new Map<string, number>();
    let total = 0;
    let killed = 0;
    while (total < saves) {
      const server = await serverOn(folder);
      for (const [id, revision] of confirmed) {
        const now = await stored(server.url, id);
        if (now.revision < revision || now.document.title !== titleOf(now.revision))
          wrong.push(`${id}: confirmed at ${revision}, has ${now.revision} "${now.document.title}"`);
        confirmed.set(id, now.revision);
      }
      while (confirmed.size < CLIENTS) confirmed.set(await created(server.url, titled(titleOf(1))), 1);
      const saving = async (id: string) => {
        for (;;) {
          const revision = confirmed.get(id)!;
          const body = { revision, document: titled(titleOf(revision + 1)) };
          const answer = await send('PUT', `${server.url}/api/commissions/${id}`, body);
          if (answer.status !== 200) return void wrong.push(`${id}: ${answer.status} ${await answer.text()}`);
          confirmed.set(id, ((await answer.json()) as { revision: number }).revision);
          total++;
        }
      };
      // A connection that breaks is the kill.
      const clients = [...confirmed.keys()].map((id) => saving(id).catch(() => {}));
      const before = total;
      for (let n = 0; total === before && n < 200; n++) await pause(50);
      await pause(LONGEST_MS * Math.random());
      await server.stop('SIGKILL');
      killed++;
      await Promise.all(clients);
    }
    return result(
      'kills during saves',
      { 'confirmed saves': total, kills: killed, lost: wrong.length },
      '0 lost',
      wrong,
    );
  });
}

const titleOf = (revision: number) => `save ${revision}`;
