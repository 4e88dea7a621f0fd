import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Browser, Page } from 'puppeteer-core';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { created, pause, send, stored, titled } from '../endure/http';
import { openBrowser } from './browser';
import { onPage } from './page';
import { serverOn, type Running } from './server';

/* What becomes of a commission in a tab that is left open while somebody removes or erases it elsewhere. */

const TITLE = '[data-test="title"] input';
let folder: string;
let server: Running;
let browser: Browser;
let page: Page;
let id: string;

beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'utsuwa-elsewhere-'));
  [server, browser] = await Promise.all([serverOn(folder), openBrowser()]);
});
afterAll(async () => {
  await browser?.close();
  await server?.stop();
  await rm(folder, { recursive: true, force: true });
});

/** A commission of Mrs Hazel, open in a tab of a browser that knows nothing yet. */
beforeEach(async () => {
  const document = titled('Hazel hall');
  document.brief.client = { name: 'Mrs Hazel', place: 'hall', contact: 'bell beside the door' };
  id = await created(server.url, document);
  page = await (await browser.createBrowserContext()).newPage();
  await page.setViewport({ width: 1280, height: 800 });
  await page.goto(`${server.url}/c/${id}/brief`, { waitUntil: 'load' });
  await page.waitForSelector(TITLE);
  return () => page.browserContext().close();
});

async function retitle(text: string): Promise<void> {
  await page.click(TITLE, { count: 3 });
  await page.keyboard.type(text);
  await page.keyboard.press('Tab');
}
const api = (path: string) => `${server.url}/api/commissions/${id}${path}`;
const sheet = async (name: string) => {
  const found = await page.waitForSelector(`[role="alertdialog"][aria-label="${name}"]`, { visible: true });
  return found!.evaluate((el) => (el as HTMLElement).innerText);
};
const saved = () =>
  page.waitForFunction(() =>
    document.querySelector('[data-test="save-state"]')?.textContent?.startsWith('saved'),
  );

/** Everything that a browser keeps for the page, as one text. */
function keptInBrowser(of = page): Promise<string> {
  return of.evaluate(async () => {
    const kept: unknown[] = [{ ...localStorage }, { ...sessionStorage }];
    for (const { name } of await indexedDB.databases()) {
      const db = await new Promise<IDBDatabase>((resolve, reject) => {
        const request = indexedDB.open(name!);
        request.onsuccess = () => resolve(request.result);
        request.onerror = () => reject(request.error);
      });
      for (const store of db.objectStoreNames)
        kept.push(
          await new Promise((resolve) => {
            const request = db.transaction(store).objectStore(store).getAll();
            request.onsuccess = () => resolve(request.result);
          }),
        );
      db.close();
    }
    return JSON.stringify(kept);
  });
}

/** Another browser, in which one step can be undone and nothing waits; it is back at the list. */
async function worksOnItToo(): Promise<Page> {
  const other = await (await browser.createBrowserContext()).newPage();
  await other.goto(`${server.url}/c/${id}/brief`, { waitUntil: 'load' });
  await other.waitForSelector(TITLE);
  await other.click(TITLE, { count: 3 });
  await other.keyboard.type('Hazel cellar');
  await other.keyboard.press('Tab');
  await other.waitForFunction(() =>
    document.querySelector('[data-test="save-state"]')?.textContent?.startsWith('saved'),
  );
  await other.goto(server.url, { waitUntil: 'load' });
  await other.waitForSelector('[data-test="new"]');
  expect(await keptInBrowser(other)).toContain('Hazel cellar');
  return other;
}

describe('a commission that was removed elsewhere', () => {
  it('is brought back with what was typed since', async () => {
    await send('DELETE', api(''));
    await retitle('Hazel stairs');
    expect(await sheet('Removed elsewhere: bring it back?')).toMatch(/Removed elsewhere: bring it back\?/);
    expect((await stored(server.url, id)).document.title).toBe('Hazel hall');
    await onPage(page, server.url).press('[data-test="bring-back"]');
    await page.waitForSelector('[role="alertdialog"]', { hidden: true });
    await saved();
    const now = await stored(server.url, id);
    expect([now.document.title, now.removedAt]).toEqual(['Hazel stairs', null]);
  });

  it('is left removed, and what was typed since is forgotten', async () => {
    await send('DELETE', api(''));
    await retitle('Hazel stairs');
    await sheet('Removed elsewhere: bring it back?');
    await onPage(page, server.url).press('[data-test="leave-gone"]');
    await page.waitForSelector('[data-test="new"]');
    expect(await keptInBrowser()).not.toContain('Hazel stairs');
    const now = await stored(server.url, id);
    expect(now.document.title).toBe('Hazel hall');
    expect(now.removedAt).toBeTruthy();
  });
});

describe('a commission whose client was erased elsewhere', () => {
  it('is not saved again, and nothing of it stays in the browser', async () => {
    await retitle('Hazel landing');
    await saved();
    const other = await worksOnItToo();
    await send('POST', `${server.url}/api/clients/erase`, { name: 'Mrs Hazel' });
    expect(await keptInBrowser()).toContain('Hazel landing');
    await retitle('Hazel loft');
    expect(await sheet('No longer kept')).toMatch(/Its client was erased/);
    expect((await fetch(api(''))).status).toBe(410);
    expect(await keptInBrowser()).not.toMatch(/Hazel/);
    await onPage(page, server.url).press('[data-test="leave-gone"]');
    await page.waitForSelector('[data-test="new"]');
    expect(await page.evaluate(() => document.body.innerText)).not.toMatch(/Hazel l|Mrs Hazel/);
    // Neither in a browser that worked on it once and does not open it again.
    await other.goto(server.url, { waitUntil: 'load' });
    for (let n = 0; n < 60 && /Hazel/.test(await keptInBrowser(other)); n++) await pause(100);
    expect(await keptInBrowser(other)).not.toMatch(/Hazel/);
    await other.browserContext().close();
    await page.goto(`${server.url}/c/${id}/brief`, { waitUntil: 'load' });
    expect(await sheet('No longer kept')).toMatch(/Its client was erased/);
  });
});
