/* npm run screenshots: one current picture of each main view, from the demo's data, into docs/screenshots/. */
import { mkdir } from 'node:fs/promises';
import { join } from 'node:path';
import type { Page } from 'puppeteer-core';
import { built } from '../scripts/ready.mjs';
import { PASSES } from '../web/drawing/seat/samples';
import { openBrowser } from './browser';
import { demoServer } from './server';

const folder = join(import.meta.dirname, '..', 'docs', 'screenshots');

interface Shot {
  name: string;
  path: string;
  /** Brings the view into the state that is shown. */
  before?: (page: Page) => Promise<void>;
}

const valley = '/c/demo-valley';
const click = (selector: string) => async (page: Page) => {
  await page.waitForSelector(selector);
  await page.click(selector);
};

/** Until the picture from the seat is as fine as it becomes. */
async function photographed(page: Page): Promise<void> {
  await page.waitForFunction((name) => performance.getEntriesByName(name).length > 0, { timeout: 120_000 }, `seat.full.${PASSES}`); // prettier-ignore
}

const SHOTS: Shot[] = [
  {
    name: 'commissions',
    path: '/',
    before: async (page) => void (await page.waitForSelector('li:nth-child(7) [data-drawn="yes"]')),
  },
  { name: 'brief', path: `${valley}/brief` },
  { name: 'vessel', path: '/c/demo-desk/vessel' },
  {
    name: 'week',
    path: '/week',
    before: async (page) => {
      await page.waitForFunction(() => !document.querySelector('[role="status"]'), { timeout: 60_000 });
      await page.waitForSelector('[data-sort]');
    },
  },
  {
    name: 'proposal',
    path: `${valley}/quote`,
    before: async (page) => {
      await page.waitForSelector('[data-test="proposal-options"] svg', { timeout: 30_000 });
      await page.waitForSelector('[data-still="16"]', { timeout: 120_000 });
    },
  },
  {
    name: 'options',
    path: `${valley}/options`,
    before: async (page) => {
      await page.waitForSelector('[data-option="b"] svg', { timeout: 30_000 });
    },
  },
  { name: 'studio', path: '/studio/materials', before: click('[data-entry="soil-granules"]') },
  {
    name: 'bench',
    path: `${valley}/bench`,
    before: async (page) => {
      await page.waitForSelector('[data-piece="S-14"]');
      await page.$eval('[data-piece="S-14"]', (el) => (el as SVGElement).focus());
      await photographed(page);
    },
  },
  {
    name: 'sittings',
    path: '/c/demo-arch/build',
    before: click('[data-sitting="lintel"] .head'),
  },
  {
    name: 'now',
    path: '/c/demo-reading/bench',
    before: async (page) => {
      await page.waitForSelector('[data-ghost="L-7"]');
      await click('[data-tray="now"]')(page);
      await page.waitForSelector('[data-line="L-1"]');
    },
  },
  {
    name: 'seat',
    path: `${valley}/bench`,
    before: async (page) => {
      await click('[data-large="seat"]')(page);
      // In large it is another picture than the small one before.
      await page.evaluate(() => performance.clearMeasures());
      await photographed(page);
    },
  },
  {
    name: 'setting-out',
    path: `${valley}/setting-out`,
    before: async (page) => {
      await page.waitForSelector('[data-test="set-pieces"]');
    },
  },
  {
    name: 'planting',
    path: `${valley}/planting`,
    before: async (page) => {
      await page.waitForSelector('[data-plugs]');
      await page.focus('[data-test="week"]');
      for (let i = 0; i < 4; i++) await page.keyboard.press('ArrowRight');
      await page.evaluate(() => performance.clearMeasures());
      await photographed(page);
    },
  },
  { name: 'take-off', path: `${valley}/take-off`, before: click('[data-line="soil-granules"] button') },
  {
    name: 'order',
    path: `${valley}/order`,
    before: async (page) => {
      await click('[data-supplier="glasshouse-nine"] [data-test="order"]')(page);
      await page.waitForSelector('[data-test="send-order"]', { visible: true });
      // The sheet comes up from below.
      await new Promise((resolve) => setTimeout(resolve, 700));
      await page.click('[data-test="send-order"]');
      await page.waitForSelector('[data-test="coming"]', { timeout: 30_000 });
      await page.evaluate(() =>
        document.querySelector('[data-test="coming"]')!.scrollIntoView({ block: 'center' }),
      );
    },
  },
  { name: 'build-day', path: `${valley}/build` },
  { name: 'run-sheet', path: `${valley}/build`, before: click('[data-test="run-sheet"]') },
  { name: 'handover', path: `${valley}/handover` },
  { name: 'log', path: `${valley}/log` },
];

await built();
const [server, browser] = await Promise.all([demoServer(), openBrowser({}, { measured: true })]);
try {
  await mkdir(folder, { recursive: true });
  const page = await browser.newPage();
  for (const { name, path, before } of SHOTS) {
    await page.goto(`${server.url}${path}`, { waitUntil: 'networkidle0' });
    await before?.(page);
    await new Promise((resolve) => setTimeout(resolve, 1_200));
    await page.screenshot({ path: join(folder, `${name}.png`) as `${string}.png` });
  }
} finally {
  await browser.close();
  await server.stop();
}
