import { openBrowser } from '../e2e/browser';
import { serverOn } from '../e2e/server';
import { columnsOf } from '../server/store/columns';
import { commissions } from '../server/store/schema';
import { openStore } from '../server/store/store';
import { created, inFolder, titled } from './http';
import { result, type Result } from './result';

/** Rows put in at once. */
const AT_ONCE = 250;
/** Until the first rows of the list are drawn, ms, from when the page was asked for. */
export const FIRST_ROWS_MS = 500;

/** Fills a folder with so many commissions, makes one more, and opens the list: how soon, how many, is it there? */
export function manyCommissions(many: number): Promise<Result> {
  return inFolder(async (folder) => {
    const store = await openStore(folder);
    for (let from = 0; from < many; from += AT_ONCE) await store.write((db) => db.insert(commissions).values(rows(from, Math.min(many, from + AT_ONCE)))); // prettier-ignore
    await store.close();
    const server = await serverOn(folder);
    const browser = await openBrowser();
    const wrong: string[] = [];
    const figures: Record<string, number> = {};
    try {
      await created(server.url, titled('The newest of all'));
      const times: number[] = [];
      for (let n = 0; n < 5; n++) {
        const page = await (await browser.createBrowserContext()).newPage();
        await page.evaluateOnNewDocument(noteFirstRows);
        await page.goto(server.url, { waitUntil: 'domcontentloaded' });
        const drawn = await page.waitForFunction(() => (window as unknown as Noted).firstRowsMs);
        times.push((await drawn.jsonValue())!);
        if (n === 0) {
          const words = await page.evaluate(() => document.body.innerText);
          if (!words.includes('The newest of all')) wrong.push('the newest is not there');
          const total = (many + 1).toLocaleString('en-GB');
          if (!words.includes(`of ${total}`)) wrong.push(`does not say that there are ${total}`);
          await page.$eval('.page', (el) => el.scrollTo(0, el.scrollHeight));
          await page.waitForFunction(() => document.querySelectorAll('li').length > 20, { timeout: 10_000 });
        }
        await page.browserContext().close();
      }
      figures['first rows, median ms'] = Math.round(times.sort((a, b) => a - b)[2]);
      figures.commissions = many + 1;
    } finally {
      await browser.close();
      await server.stop();
    }
    const holds = figures['first rows, median ms'] <= FIRST_ROWS_MS;
    return result(
      'many commissions',
      figures,
      `newest there, first rows in ${FIRST_ROWS_MS} ms`,
      wrong,
      holds,
    );
  });
}

interface Noted {
  firstRowsMs?: number;
}

/** In the page: when the frame in which the first row stands was handed over, ms since the page was asked for. */
function noteFirstRows(): void {
  const watching = new MutationObserver(() => {
    if (!document.querySelector('li')) return;
    watching.disconnect();
    // The frame after the one in which it came has been drawn.
    requestAnimationFrame(() =>
      setTimeout(() => ((window as unknown as Noted).firstRowsMs = performance.now())),
    );
  });
  watching.observe(document, { childList: true, subtree: true });
}

const DAY_MS = 86_400_000;

function rows(from: number, to: number) {
  return Array.from({ length: to - from }, (_, i) => {
    const document = titled(`Commission ${from + i}`);
    // All of them at work: what was built long ago is in the archive.
    const day = new Date(Date.now() + ((from + i) % 900) * DAY_MS).toISOString().slice(0, 10);
    document.brief.buildDay = day;
    const at = new Date(Date.UTC(2025, 0, 1, 0, 0, from + i)).toISOString();
    return {
      ...columnsOf(document),
      id: `many-${from + i}`,
      revision: 1,
      createdAt: at,
      updatedAt: at,
      removedAt: null,
      erasedAt: null,
    };
  });
}
