import type { Browser, Page } from 'puppeteer-core';
import { openBrowser } from '../e2e/browser';
import { serverOn } from '../e2e/server';
import { scanned } from '../core/testing/scanned';
import { created, inFolder, pause, stored, titled } from './http';
import { result, type Result } from './result';

/** A field that is typed into: where it is, and what the document has of it afterwards. */
interface Field {
  stage: string;
  selector: string;
  text: (n: number) => string;
  kept: (document: Awaited<ReturnType<typeof stored>>['document']) => string;
}
const FIELDS: Field[] = [
  { stage: 'brief', selector: '[data-test="title"] input', text: (n) => `Typed ${n}`, kept: (d) => d.title },
  { stage: 'vessel', selector: '[data-test="line"] input', text: (n) => String(200 + (n % 40)), kept: (d) => String(d.vessel.waterLineMm) },
]; // prettier-ignore

/** A document of several megabytes: a scanned stone of many triangles and a long story. */
function large(): ReturnType<typeof titled> {
  const document = titled('Large');
  document.options[0].pieces[1].shape = scanned(23_700, 120);
  return document;
}

async function type(page: Page, field: Field, text: string): Promise<void> {
  await page.waitForSelector(field.selector);
  await page.click(field.selector, { count: 3 });
  await page.keyboard.type(text);
}

/**
 * Types into a field, leaves it or not, and closes or reloads the page a moment later; opened again, the page
 * must show what was typed, and the server must come to have it.
 */
export function typedAndGone(rounds: number): Promise<Result> {
  return inFolder(async (folder) => {
    const server = await serverOn(folder);
    const browser = await openBrowser();
    const wrong: string[] = [];
    try {
      const ids = [await created(server.url, titled('Small')), await created(server.url, large())];
      const context = await browser.createBrowserContext();
      let page = await context.newPage();
      for (let n = 0; n < rounds; n++) {
        const [field, id] = [FIELDS[n % 2], ids[(n >> 1) % 2]];
        const [leaves, reloads, after] = [n % 3 === 0, n % 4 === 1, (n * 37) % 251];
        const text = field.text(n);
        const where = `round ${n}: ${field.stage}, ${n % 4 < 2 ? 'small' : 'large'}, ${leaves ? 'left' : 'not left'}, ${after} ms`;
        await page.goto(`${server.url}/c/${id}/${field.stage}`, { waitUntil: 'load' });
        await type(page, field, text);
        if (leaves) await page.keyboard.press('Tab');
        await pause(after);
        if (reloads) await page.reload({ waitUntil: 'load' });
        else {
          const next = await context.newPage();
          await page.close();
          page = next;
          await page.goto(`${server.url}/c/${id}/${field.stage}`, { waitUntil: 'load' });
        }
        await page.waitForSelector(field.selector);
        const shown = await page.$eval(field.selector, (el) => (el as HTMLInputElement).value);
        if (shown !== text) wrong.push(`${where}: shows "${shown}", typed "${text}"`);
        if (await page.$('[role="alertdialog"]')) wrong.push(`${where}: asks`);
        if (!(await arrives(server.url, id, field, text))) wrong.push(`${where}: not on the server`);
      }
    } finally {
      await browser.close();
      await server.stop();
    }
    return result('typed, closed 0 to 250 ms later', { rounds, lost: wrong.length }, 'all kept', wrong);
  });
}

async function arrives(url: string, id: string, field: Field, text: string): Promise<boolean> {
  for (let n = 0; n < 100; n++) {
    if (field.kept((await stored(url, id)).document) === text) return true;
    await pause(80);
  }
  return false;
}

/** Edits, closes, reopens, edits, closes at once, reopens: the newest words are there and nothing is asked. */
export function closedAndReopened(rounds: number): Promise<Result> {
  return inFolder(async (folder) => {
    const server = await serverOn(folder);
    const browser = await openBrowser();
    const wrong: string[] = [];
    try {
      const id = await created(server.url, titled('Small'));
      for (let n = 0; n < rounds; n++) {
        const context = await browser.createBrowserContext();
        const open = async () => {
          const page = await context.newPage();
          await page.goto(`${server.url}/c/${id}/brief`, { waitUntil: 'load' });
          await page.waitForSelector(FIELDS[0].selector);
          return page;
        };
        const first = await open();
        await type(first, FIELDS[0], `first of ${n}`);
        await first.keyboard.press('Tab');
        await pause(n % 2 ? 0 : 750);
        await first.close();
        const second = await open();
        await type(second, FIELDS[0], `second of ${n}`);
        if (n % 3) await second.keyboard.press('Tab');
        await second.close();
        const third = await open();
        await pause(300);
        const shown = await third.$eval(FIELDS[0].selector, (el) => (el as HTMLInputElement).value);
        if (shown !== `second of ${n}`) wrong.push(`round ${n}: shows "${shown}"`);
        if (await third.$('[role="alertdialog"]')) wrong.push(`round ${n}: asks`);
        if (!(await arrives(server.url, id, FIELDS[0], `second of ${n}`)))
          wrong.push(`round ${n}: not on the server`);
        await context.close();
      }
    } finally {
      await browser.close();
      await server.stop();
    }
    return result(
      'close at once and reopen',
      { rounds, 'false conflicts or losses': wrong.length },
      '0',
      wrong,
    );
  });
}

/** Two browsers on one commission, each in fields of its own: everything of both is kept and nothing asked. */
export function twoBrowsers(edits: number): Promise<Result> {
  return inFolder(async (folder) => {
    const server = await serverOn(folder);
    const browsers: Browser[] = [await openBrowser(), await openBrowser()];
    const wrong: string[] = [];
    try {
      const two = titled('Two');
      two.brief.client = { name: 'Mrs Alder', place: 'hall' };
      const id = await created(server.url, two);
      const fields = ['[data-test="title"] input', '#story textarea'];
      await Promise.all(
        browsers.map(async (browser, who) => {
          const page = await browser.newPage();
          await page.goto(`${server.url}/c/${id}/brief`, { waitUntil: 'load' });
          await page.waitForSelector(fields[who]);
          for (let n = 1; n <= edits; n++) {
            await page.click(fields[who], { count: 3 });
            await page.keyboard.type(`${who}-${n}`);
            await page.keyboard.press('Tab');
            await pause(60 + 200 * Math.random());
            if (await page.$('[role="alertdialog"]'))
              return void wrong.push(`browser ${who}, edit ${n}: asks`);
          }
          await page.waitForFunction(
            () => document.querySelector('[data-test="save-state"]')?.textContent?.startsWith('saved'),
            { timeout: 20_000 },
          );
        }),
      );
      const now = (await stored(server.url, id)).document;
      if (now.title !== `0-${edits}`) wrong.push(`the first browser’s title: "${now.title}"`);
      if (now.brief.story !== `1-${edits}`) wrong.push(`the second browser’s story: "${now.brief.story}"`);
    } finally {
      await Promise.all(browsers.map((b) => b.close()));
      await server.stop();
    }
    return result(
      'two browsers, different fields',
      { 'edits each': edits, wrong: wrong.length },
      'all kept, unasked',
      wrong,
    );
  });
}

/** The whole browser is killed a tenth of a second after the last key; its profile is opened by another. */
export function browserKilled(rounds: number): Promise<Result> {
  return inFolder(async (folder) => {
    const server = await serverOn(`${folder}/data`);
    const wrong: string[] = [];
    try {
      const id = await created(server.url, titled('Small'));
      for (let n = 0; n < rounds; n++) {
        const field = FIELDS[n % 2];
        const text = field.text(n + 5);
        const userDataDir = `${folder}/profile-${n}`;
        let browser = await openBrowser({ userDataDir });
        const page = await browser.newPage();
        await page.goto(`${server.url}/c/${id}/${field.stage}`, { waitUntil: 'load' });
        await type(page, field, text);
        await pause(100);
        browser.process()!.kill('SIGKILL');
        await pause(300);
        browser = await openBrowser({ userDataDir });
        const again = await browser.newPage();
        await again.goto(`${server.url}/c/${id}/${field.stage}`, { waitUntil: 'load' });
        await again.waitForSelector(field.selector);
        const shown = await again.$eval(field.selector, (el) => (el as HTMLInputElement).value);
        if (shown !== text) wrong.push(`round ${n}: ${field.stage} shows "${shown}", typed "${text}"`);
        await browser.close();
      }
    } finally {
      await server.stop();
    }
    return result(
      'browser killed 100 ms after the last key',
      { rounds, lost: wrong.length },
      'all kept',
      wrong,
    );
  });
}
