import { mkdir, rm } from 'node:fs/promises';
import { join } from 'node:path';
import { spawnSync } from 'node:child_process';
import { built, serverOn } from '../e2e/server';
import { created, inFolder, pause, send, stored, titled } from './http';
import { result, type Result } from './result';

/** At most so much of the last work may be gone with the machine, s. */
const LOST_S = 10;
/** For how long somebody saves before it happens, ms: at least, and at most. */
const [LEAST_MS, MOST_MS] = [3_000, 9_000];

/**
 * The machine is gone in the middle of saves: the server killed, its folder deleted. The replica is put into another folder, and it
 * is counted how old the last save is that came back, against the last one that was confirmed.
 */
export function machinesGone(times: number): Promise<Result> {
  return inFolder(async (home) => {
    const wrong: string[] = [];
    const figures = { machines: times, saves: 0, 'lost saves': 0, 'longest lost, s': 0 };
    for (let n = 0; n < times; n++) {
      const [folder, replica, fresh] = ['data', 'replica', 'fresh'].map((name) => join(home, `${name}-${n}`));
      for (const made of [folder, replica]) await mkdir(made);
      const server = await serverOn(folder, { UTSUWA_REPLICA: replica });
      const id = await created(server.url, titled('save 1'));
      const confirmed: number[] = [];
      const saving = (async () => {
        for (let revision = 1; ; revision++) {
          const answer = await send('PUT', `${server.url}/api/commissions/${id}`, { revision, document: titled(`save ${revision + 1}`) });
          if (answer.status !== 200) return void wrong.push(`${n}: ${answer.status} ${await answer.text()}`);
          confirmed.push(Date.now());
        }
      })().catch(() => {}); // A connection that breaks is the end of the machine.
      await pause(LEAST_MS + (MOST_MS - LEAST_MS) * Math.random());
      await server.stop('SIGKILL');
      await saving;
      await rm(folder, { recursive: true, force: true, maxRetries: 5 });
      const restored = spawnSync(process.execPath, [built('server/restore'), '--from', replica], { env: { ...process.env, UTSUWA_DATA: fresh }, encoding: 'utf8' });
      if (restored.status !== 0) wrong.push(`${n}: ${restored.stderr}`);
      const again = await serverOn(fresh);
      const { revision, document } = await stored(again.url, id);
      await again.stop('SIGKILL');
      if (document?.title !== `save ${revision}`) wrong.push(`${n}: has "${document?.title}" at ${revision}`);
      // The first confirmed save made revision 2.
      const lost = confirmed.slice(Math.max(0, (revision ?? 1) - 1));
      const longestS = lost.length === 0 ? 0 : (confirmed.at(-1)! - lost[0]) / 1_000;
      figures.saves += confirmed.length;
      figures['lost saves'] += lost.length;
      figures['longest lost, s'] = Math.max(figures['longest lost, s'], longestS);
      if (longestS > LOST_S) wrong.push(`${n}: ${longestS} s are lost`);
    }
    return result('machines gone, brought back from the replica', figures, `at most ${LOST_S} s lost`, wrong);
  });
} // prettier-ignore
