import type { Browser, BrowserContext, Page, Viewport } from 'puppeteer-core';
import { afterAll, afterEach, beforeAll, beforeEach, expect } from 'vitest';
import { COARSE, openBrowser } from './browser';
import { onPage } from './page';
import { demoServer, type DemoServer } from './server';

export interface Bench {
  server: DemoServer;
  browser: Browser;
  page: Page;
  at: ReturnType<typeof onPage>;
  saved: () => Promise<string>;
  /** A further page whose errors fail the test too. */
  watched: (page: Page) => Page;
}

/**
 * The demo served for one file of tests, with a page of its own for each, or one `shared` by all where what a page takes to
 * open is more than what is done on it, in a browser that draws the view from a `seat` where that is looked at; an error
 * on a page fails its test.
 */
export function withDemo(viewport?: Viewport, { shared = false, seat = false } = {}): Bench {
  const bench = {} as Bench;
  const wrong: string[] = [];
  beforeAll(async () => {
    [bench.server, bench.browser] = await Promise.all([demoServer(), openBrowser({}, { seat })]);
  });
  afterAll(async () => {
    await bench.browser?.close();
    await bench.server?.stop();
  });
  beforeEach(async () => {
    if (shared && bench.page && !bench.page.isClosed()) return;
    bench.page = watched(await cleanPage(bench), wrong);
    bench.watched = (page) => watched(page, wrong);
    if (viewport) await bench.page.setViewport({ deviceScaleFactor: COARSE, ...viewport });
    bench.at = onPage(bench.page, bench.server.url);
    bench.saved = () => bench.at.until('[data-test="save-state"]', (w) => w.startsWith('saved'));
  });
  afterEach(async ({ task }) => {
    if (task.result?.state === 'fail') await left(bench);
    else if (!shared) for (const page of await kept.get(bench)!.pages()) await page.close();
    expect(wrong.splice(0)).toEqual([]);
  });
  return bench;
}

/** Where the pages of one file live, one after the other: what they have fetched and compiled is there for the next. */
const kept = new WeakMap<Bench, BrowserContext>();

/** A page that knows of nothing before it. */
async function cleanPage(bench: Bench): Promise<Page> {
  const context = kept.get(bench) ?? (await bench.browser.createBrowserContext());
  kept.set(bench, context);
  const page = await context.newPage();
  const session = await page.createCDPSession();
  // All but what was fetched.
  await session.send('Storage.clearDataForOrigin', {
    origin: bench.server.url,
    storageTypes: 'cookies,local_storage,indexeddb,cache_storage,service_workers',
  });
  await session.detach();
  return page;
}

/** A page on which a test failed may be in any state, and so may what it kept. */
async function left(bench: Bench): Promise<void> {
  await kept.get(bench)?.close();
  kept.delete(bench);
}

/** A page whose errors are noted. */
function watched(page: Page, wrong: string[]): Page {
  page.on('pageerror', (error) => wrong.push(String(error)));
  page.on('console', (message) => {
    // The browser itself reports answers that the interface expects and handles.
    if (message.type() === 'error' && !message.text().startsWith('Failed to load resource'))
      wrong.push(message.text());
  });
  return page;
}
