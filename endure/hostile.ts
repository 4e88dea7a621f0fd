import { mutant } from '../core/testing/mutants';
import { example } from '../core/testing/scape';
import { demoCommissions } from '../demo/commissions';
import { openBrowser } from '../e2e/browser';
import { serverOn } from '../e2e/server';
import { inFolder, pause, send } from './http';
import { settled, watched } from './pages';
import { result, type Result } from './result';

const FILES = ['takeoff.csv', 'calendar.ics', 'file'];
/** A request that has no answer by then hangs, ms. */
const HANGS_MS = 25_000;

/**
 * Imports so many spoilt documents. Each is refused with what is wrong, or accepted; what was accepted is
 * planned and exported, and the first of them, `drawn` many, are opened on the Vessel and the Bench.
 */
export function hostileDocuments(many: number, drawn: number): Promise<Result> {
  return inFolder(async (folder) => {
    const server = await serverOn(folder);
    const browser = await openBrowser();
    const wrong: string[] = [];
    const accepted: string[] = [];
    let at = '';
    try {
      const own = [example('held-root'), example('level-cube'), ...demoCommissions('2026-11-25')];
      for (let seed = 0; seed < many; seed++) {
        const id = await imported(server.url, mutant(own[seed % own.length], seed), (says) =>
          wrong.push(`${seed}: ${says}`),
        );
        if (!id) continue;
        accepted.push(id);
        for (const file of FILES) {
          const answer = await asked(`${server.url}/api/commissions/${id}/${file}`);
          if (answer !== 200) wrong.push(`${seed}: ${file} answers ${answer}`);
        }
      }
      const page = await watched(browser, wrong, () => at);
      for (const [n, id] of accepted.slice(0, drawn).entries())
        for (const stage of ['vessel', 'bench']) {
          at = `accepted ${n} on ${stage}`;
          await page.goto(`${server.url}/c/${id}/${stage}`, { waitUntil: 'load' });
          await settled(page).catch((error: unknown) => wrong.push(`${at}: ${String(error)}`));
          await pause(100);
          const trouble = await page.$('[data-test="trouble"]');
          if (trouble) wrong.push(`${at}: ${await trouble.evaluate((el) => el.textContent)}`);
        }
    } finally {
      await browser.close();
      await server.stop();
    }
    const figures = {
      documents: many,
      accepted: accepted.length,
      drawn: Math.min(drawn, accepted.length),
      wrong: wrong.length,
    };
    return result('mutated documents', figures, '0 answers of 500, 0 that hang, 0 that fail later', wrong);
  });
}

async function imported(
  url: string,
  document: unknown,
  tell: (says: string) => void,
): Promise<string | undefined> {
  const answer = await send('POST', `${url}/api/commissions/import`, JSON.stringify(document)).catch(
    () => undefined,
  );
  if (!answer) return void tell('no answer');
  const body = (await answer.json()) as { id?: string; faults?: unknown[] };
  if (answer.status === 201) return body.id;
  if (answer.status !== 422 || !body.faults?.length) tell(`import answers ${answer.status}`);
  return undefined;
}

async function asked(url: string): Promise<number | string> {
  try {
    const answer = await fetch(url, { signal: AbortSignal.timeout(HANGS_MS) });
    await answer.arrayBuffer();
    return answer.status;
  } catch {
    return 'nothing in time';
  }
}
