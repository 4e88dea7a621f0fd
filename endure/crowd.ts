import { serverOn } from '../e2e/server';
import { scanned } from '../core/testing/scanned';
import { created, inFolder, send, stored, titled } from './http';
import { hostileScans } from './hostileScans';
import { result, type Result } from './result';

/** How long a save may take whatever else waits, ms. */
export const MOST_SAVE_MS = 1_000;

/**
 * Six hostile scans, so many take-offs at once and a large import; meanwhile one commission is saved again and again.
 * Each save is confirmed within a second, and nothing is refused for what is not its own fault: a plan is made, or there
 * was no room for it (503 with when to ask again); a scan is refused as the scan it is.
 */
export function crowd(takeOffs: number, scale = 1): Promise<Result> {
  return inFolder(async (folder) => {
    const server = await serverOn(folder);
    const { url } = server;
    const wrong: string[] = [];
    const answers: Record<string, number> = {};
    try {
      const planned = await created(url, titled('planned'));
      const id = await created(url, titled('saved'));
      const count = (what: string, status: number) => {
        answers[`${what} ${status}`] = (answers[`${what} ${status}`] ?? 0) + 1;
      };
      const scans = hostileScans(scale).slice(-8, -2).map(async ({ name, bytes }) => {
        const answer = await fetch(`${url}/api/studio/yard/scans?file=${encodeURIComponent(name)}`, { method: 'POST', body: bytes() });
        const { title = '' } = (await answer.json()) as { title?: string };
        count('scan', answer.status);
        if (answer.status !== 422 || title.includes('too much to work out')) wrong.push(`${name}: ${answer.status} ${title}`);
      }); // prettier-ignore
      const plans = Array.from({ length: takeOffs }, async () => {
        const answer = await fetch(`${url}/api/commissions/${planned}/takeoff.csv`);
        const text = await answer.text();
        count('take-off', answer.status);
        const room = answer.status === 503 && answer.headers.get('Retry-After');
        if (answer.status !== 200 && !room) wrong.push(`take-off: ${answer.status} ${text}`);
      });
      const imports = send('POST', `${url}/api/commissions/import`, JSON.stringify(large(scale))).then(
        (answer) => {
          count('import', answer.status);
          if (answer.status !== 201) wrong.push(`import: ${answer.status}`);
        },
      );
      let going = true;
      const rest = Promise.all([...scans, ...plans, imports]).finally(() => (going = false));
      const times: number[] = [];
      let { revision } = await stored(url, id);
      while (going) {
        const from = performance.now();
        const answer = await send('PATCH', `${url}/api/commissions/${id}`, {
          revision,
          changes: [{ path: ['title'], was: revision === 1 ? 'saved' : `save ${revision - 1}`, is: `save ${revision}` }],
        }); // prettier-ignore
        times.push(performance.now() - from);
        if (answer.status !== 200) wrong.push(`save: ${answer.status} ${await answer.text()}`);
        else revision = ((await answer.json()) as { revision: number }).revision;
        if (answer.status !== 200) break;
      }
      await rest;
      const slowest = Math.max(...times);
      if (slowest > MOST_SAVE_MS) wrong.push(`a save was held for ${Math.round(slowest)} ms`);
      const figures = { ...answers, saves: times.length, 'slowest save, ms': Math.round(slowest) };
      return result('a save while scans, take-offs and an import wait', figures, `each within ${MOST_SAVE_MS} ms, 0 wrong refusals`, wrong); // prettier-ignore
    } finally {
      await server.stop();
    }
  });
}

/** A document with stones inside, which takes a while to be taken in. */
function large(scale: number) {
  const d = titled('imported');
  const [option] = d.options;
  const stones = Array.from({ length: Math.max(1, Math.round(20 * scale)) }, (_, i) => ({
    ...option.pieces[0],
    id: `S-${i}`,
    shape: scanned(4_000, 60 + i),
  }));
  return { ...d, options: [{ ...option, pieces: stones, joints: [] }] };
}
