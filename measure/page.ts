import type { Page } from 'puppeteer-core';
import { bundle } from '../core/exchange/bundle';
import { openBrowser } from '../e2e/browser';
import { demoServer, serverOn } from '../e2e/server';
import { inFolder } from '../endure/http';
import { scansScape } from './scans';
import type { Row } from './timed';

const PIECES = 80;
const TRIANGLES = 20_000;
const MOVES = 60;

/** The demo's newest commission opened at the bench with an empty cache, until its figures stand there. */
export async function openedRow(): Promise<Row> {
  const [server, browser] = [await demoServer(), await openBrowser({}, { measured: true })];
  try {
    const listed = (await (await fetch(`${server.url}/api/commissions`)).json()) as { commissions: { id: string }[] }; // prettier-ignore
    const times: number[] = [];
    for (let run = 0; run < 5; run++) {
      const page = await (await browser.createBrowserContext()).newPage();
      const from = performance.now();
      await page.goto(`${server.url}/c/${listed.commissions[0].id}/bench`, { waitUntil: 'domcontentloaded' });
      await page.waitForSelector('[data-test="tally"] [data-row]');
      times.push(performance.now() - from);
      await page.browserContext().close();
    }
    const medianMs = Math.round(times.sort((a, b) => a - b)[2]);
    return { name: 'page.opened.demo', medianMs, runs: times.length };
  } finally {
    await browser.close();
    await server.stop();
  }
}

/** The bench of eighty scans in the browser: opened with an empty cache, and one stone dragged over it. */
export function pageRows(): Promise<Row[]> {
  return inFolder(async (folder) => {
    const { commission, meshes } = scansScape(PIECES, TRIANGLES);
    const file = await bundle(JSON.stringify(commission), meshes.keys(), (name) => meshes.get(name)!);
    const [server, browser] = [await serverOn(folder), await openBrowser({}, { measured: true })];
    try {
      const { id } = (await (await fetch(`${server.url}/api/commissions/import`, { method: 'POST', body: file.slice() })).json()) as { id: string }; // prettier-ignore
      const drawn: number[] = [];
      const told: number[] = [];
      let frame: Row | undefined;
      for (let run = 0; run < 3; run++) {
        const page = await (await browser.createBrowserContext()).newPage();
        const from = performance.now();
        await page.goto(`${server.url}/c/${id}/bench`, { waitUntil: 'domcontentloaded' });
        await page.waitForFunction((n) => document.querySelectorAll('[data-piece] path').length > n, {}, PIECES * 3); // prettier-ignore
        drawn.push(performance.now() - from);
        await page.waitForSelector('[data-test="tally"] [data-row]');
        told.push(performance.now() - from);
        if (run === 2) frame = await dragged(page);
        await page.browserContext().close();
      }
      const median = (times: number[]) => Math.round(times.sort((a, b) => a - b)[times.length >> 1]);
      const name = (what: string) => `${what}.${PIECES}×${TRIANGLES}`;
      return [
        { name: name('page.drawn'), medianMs: median(drawn), runs: drawn.length },
        { name: name('page.figures'), medianMs: median(told), runs: told.length },
        { ...frame!, name: name('page.drag') },
      ];
    } finally {
      await browser.close();
      await server.stop();
    }
  });
}

/** Script on the main thread for each frame of a drag, ms: what the browser itself counted. */
async function dragged(page: Page): Promise<Row> {
  const stone = (await page.waitForSelector('[data-view="plan"] [data-piece="S-40"], [data-piece="S-40"]'))!;
  const box = (await stone.boundingBox())!;
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  const script = async () => (await page.metrics()).ScriptDuration!;
  for (let i = 0; i < 10; i++) await step(page, x + i, y);
  const before = await script();
  for (let i = 0; i < MOVES; i++) await step(page, x + 10 + (i % 30), y + (i % 5));
  const spent = (await script()) - before;
  await page.mouse.up();
  return { name: '', medianMs: Math.round((spent / MOVES) * 100_000) / 100, runs: MOVES };
}

/** Moves the pointer and waits for the frame in which that was drawn. */
async function step(page: Page, x: number, y: number): Promise<void> {
  await page.mouse.move(x, y);
  await page.evaluate(() => new Promise((done) => requestAnimationFrame(() => setTimeout(done))));
}
