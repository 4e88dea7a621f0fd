import { mkdtemp, readFile, rm } from 'node:fs/promises';
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
    // A tab that nobody looks at does not ask by itself.
    await page.evaluate(() => Object.defineProperty(document, 'visibilityState', { value: 'hidden' }));
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

  it('is taken off a page that is left open, without a key pressed', async () => {
    await send('POST', `${server.url}/api/clients/erase`, { name: ' mrs  HAZEL' });
    // As when somebody comes back to the tab; otherwise it asks every twenty seconds.
    await page.evaluate(() => document.dispatchEvent(new Event('visibilitychange')));
    expect(await sheet('No longer kept')).toMatch(/Its client was erased/);
    const seen = await page.evaluate(() => `${document.title} ${document.body.innerText}`);
    expect(seen).not.toMatch(/Hazel/i);
    const fields = await page.$$eval('input, textarea', (all) =>
      all.map((e) => (e as HTMLInputElement).value),
    );
    expect(fields.join()).not.toMatch(/Hazel/i);
  });
});

describe('a page that was open while Utsuwa was brought up to date', () => {
  it('says that a newer version is here, keeps what was typed, and loads it when it is asked to', async () => {
    // What a page of an earlier version asks for is not there any more.
    const missing = await fetch(`${server.url}/assets/BenchStage-earlier.js`);
    expect([missing.status, missing.headers.get('content-type')]).toEqual([404, expect.stringContaining('json')]); // prettier-ignore
    let earlier = true;
    await page.setRequestInterception(true);
    page.on('request', (request) => {
      const gone = earlier && /\/assets\/TakeOffStage/.test(request.url());
      void (gone ? request.respond({ status: 404, body: '{}' }) : request.continue());
    });
    await retitle('Hazel study');
    await page.click('a[href$="/take-off"]');
    const at = onPage(page, server.url);
    expect(await at.words('[data-test="newer"]')).toMatch(/newer version of Utsuwa is here.*What you typed is kept/s); // prettier-ignore
    earlier = false;
    await Promise.all([page.waitForNavigation(), at.press('[data-test="newer"] button')]);
    await page.waitForSelector('[data-test="newer"]', { hidden: true });
    await page.waitForFunction(() => document.querySelector('.head h2')?.textContent === 'Hazel study');
  });

  it('says so too where the thread that plans is not to be had', async () => {
    await page.setRequestInterception(true);
    page.on('request', (request) => {
      const gone = /\/assets\/planWorker/.test(request.url());
      void (gone ? request.respond({ status: 404, body: '{}' }) : request.continue());
    });
    await page.reload();
    await page.waitForSelector('[data-test="newer"]');
  });
});

describe('a file to take away', () => {
  it('is asked for again where the server has no room, and a refusal is said beside its link', async () => {
    await page.setRequestInterception(true);
    const answers = [503, 200, 404];
    page.on('request', (request) => {
      if (!request.url().includes('takeoff.csv')) return void request.continue();
      const status = answers.shift();
      if (status === 200) return void request.continue();
      const headers = { 'Retry-After': '0.1' };
      void request.respond({
        status,
        headers,
        contentType: 'application/json',
        body: '{"title":"No such list."}',
      });
    });
    const downloads = await mkdtemp(join(tmpdir(), 'utsuwa-downloads-'));
    const session = await page.createCDPSession();
    await session.send('Browser.setDownloadBehavior', { behavior: 'allow', downloadPath: downloads, eventsEnabled: true, browserContextId: page.browserContext().id }); // prettier-ignore
    const done = new Promise<string>((resolve) => {
      let name = '';
      session.on('Browser.downloadWillBegin', (event) => (name = event.suggestedFilename));
      session.on('Browser.downloadProgress', ({ state }) => state === 'completed' && resolve(name));
    });
    const at = onPage(page, server.url);
    await page.click('a[href$="/take-off"]');
    await at.press('a[href*="takeoff.csv"]');
    const name = await done;
    expect(name).toBe('Hazel-hall.csv');
    expect(await readFile(join(downloads, name), 'utf8')).toContain('group,item,measured');
    await at.press('a[href*="takeoff.csv"]');
    expect(await at.words('a[href*="takeoff.csv"] [role="alert"]')).toContain('No such list.');
    await rm(downloads, { recursive: true });
  });
});
