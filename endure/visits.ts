import { openBrowser } from '../e2e/browser';
import { demoServer } from '../e2e/server';
import { pause } from './http';
import { settled, sideways, watched } from './pages';
import { result, type Result } from './result';

export const STAGES = [
  'brief',
  'vessel',
  'bench',
  'planting',
  'take-off',
  'order',
  'build',
  'handover',
  'log',
  'options',
  'visit-sheet',
];
const WIDTHS = [1280, 390];

/** Opens every page of so many commissions, wide and on a telephone, and notes every error and sideways scroll. */
export async function visits(
  commissions: readonly string[],
  stages: readonly string[] = STAGES,
): Promise<Result> {
  const server = await demoServer();
  const browser = await openBrowser();
  const wrong: string[] = [];
  let at = '';
  let pages = 0;
  try {
    for (const width of WIDTHS) {
      const page = await watched(browser, wrong, () => at);
      await page.setViewport({ width, height: 800 });
      for (const path of ['/', ...commissions.flatMap((c) => stages.map((s) => `/c/${c}/${s}`))]) {
        at = `${path} at ${width}`;
        pages++;
        await page.goto(server.url + path, { waitUntil: 'load' });
        if (path === '/') await page.waitForSelector('li');
        else await settled(page);
        await pause(250);
        // Narrower and back, as a window or a telephone is turned: what is drawn to measure follows.
        await page.setViewport({ width: width - 60, height: 760 });
        await pause(120);
        await page.setViewport({ width, height: 800 });
        await pause(120);
        if (width < 500)
          for (const wide of await sideways(page)) wrong.push(`${at} scrolls sideways: ${wide}`);
      }
      await page.browserContext().close();
    }
  } finally {
    await browser.close();
    await server.stop();
  }
  return result('errors on pages, 1280 and 390 wide', { pages, errors: wrong.length }, '0 errors', wrong);
}
