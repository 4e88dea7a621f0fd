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
 * The demo served for one file of tests, on one page that goes back to the list between them as a person does: what a page
 * takes to open is most of what a test takes. One that failed, or kept something beyond the commissions, has a new page
 * after it. With `shared` nothing happens between tests. In a browser that draws the view from a `seat` where that is
 * looked at; an error on a page fails its test.
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
    if (bench.page && !bench.page.isClosed()) return;
    bench.page = watched(await cleanPage(bench), wrong);
    bench.watched = (page) => watched(page, wrong);
    if (viewport) await bench.page.setViewport({ deviceScaleFactor: COARSE, ...viewport });
    bench.at = onPage(bench.page, bench.server.url);
    bench.saved = () => bench.at.until('[data-test="save-state"]', (w) => w.startsWith('saved'));
  });
  afterEach(async ({ task }) => {
    if (task.result?.state === 'fail') await left(bench);
    else if (!shared && !(await backAtList(bench, viewport))) await allClosed(bench);
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

/** Leaves the commission; false where the page is not what it was when it came. */
async function backAtList(bench: Bench, viewport: Viewport | undefined): Promise<boolean> {
  const { page, at } = bench;
  if (page.isClosed() || (await kept.get(bench)!.pages()).length > 1) return false;
  if (!page.url().startsWith(bench.server.url)) return true;
  if (viewport && page.viewport()?.width !== viewport.width) return false;
  await at.open('/');
  return page.evaluate((usual) => Object.values(localStorage).every((v) => usual.includes(v)), USUAL_LOOKS);
}

/** What a browser keeps of somebody who has changed nothing: units, gallons, hardness and light as they come. */
const USUAL_LOOKS = ['metric', 'as-units', 'degree', 'paper'];

async function allClosed(bench: Bench): Promise<void> {
  for (const page of await kept.get(bench)!.pages()) await page.close();
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
