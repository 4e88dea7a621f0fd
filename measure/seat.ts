import { openBrowser } from '../e2e/browser';
import { demoServer } from '../e2e/server';
import { PASSES } from '../web/drawing/seat/samples';
import type { Row } from './timed';

/** A window in which the view from the seat is about 1280 × 800 px. */
const WINDOW = { width: 1_770, height: 1_130 };
/** Pictures drawn, each after the last has come to rest. */
const RUNS = 3;
/** What the page works out after it has opened is done by then, ms: otherwise that is what is measured. */
const SETTLES_MS = 15_000;

/** The view from the seat: drawn quickly as while something is dragged, the first whole picture, and the finest one. */
export async function seatRows(): Promise<Row[]> {
  const [server, browser] = [await demoServer(), await openBrowser({ defaultViewport: WINDOW }, { measured: true })];
  try {
    const page = await browser.newPage();
    await page.goto(`${server.url}/c/demo-valley/bench`);
    await page.waitForSelector('[data-large="seat"]');
    await page.click('[data-large="seat"]');
    await new Promise((resolve) => setTimeout(resolve, SETTLES_MS));
    const found: Record<string, number[]> = {};
    for (let run = 0; run < RUNS; run++) {
      await page.evaluate(() => performance.clearMeasures());
      await page.select('[data-test="seat"]', run % 2 ? '' : ' above');
      await page.waitForFunction(
        (name) => performance.getEntriesByName(name).length > 0,
        { timeout: 120_000 },
        `seat.full.${PASSES}`,
      );
      const times = await page.evaluate(() =>
        performance.getEntriesByType('measure').map((m) => [m.name, m.duration] as const),
      );
      for (const [name, ms] of times) if (name.startsWith('seat.')) (found[name] ??= []).push(ms);
    }
    const { width, height } = (await (await page.$('canvas'))!.boundingBox())!;
    return Object.entries(found).map(([name, all]) => ({
      name: `${name}.${Math.round(width)}×${Math.round(height)}`,
      medianMs: Math.round(all.sort((a, b) => a - b)[all.length >> 1]),
      runs: all.length,
    }));
  } finally {
    await browser.close();
    await server.stop();
  }
} // prettier-ignore
