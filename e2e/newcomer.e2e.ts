import type { Browser, Page } from 'puppeteer-core';
import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { openBrowser } from './browser';
import { figure, onPage } from './page';
import { demoServer, type DemoServer } from './server';

let server: DemoServer;
let browser: Browser;
let page: Page;
let at: ReturnType<typeof onPage>;
const wrong: string[] = [];

beforeAll(async () => {
  [server, browser] = await Promise.all([demoServer(), openBrowser()]);
});
afterAll(async () => {
  await browser?.close();
  await server?.stop();
});
beforeEach(async () => {
  page = await (await browser.createBrowserContext()).newPage();
  page.on('pageerror', (error) => wrong.push(String(error)));
  at = onPage(page, server.url);
});
afterEach(async () => {
  await page.browserContext().close();
  expect(wrong.splice(0)).toEqual([]);
});

const saved = () => at.until('[data-test="save-state"]', (w) => w.startsWith('saved'));
const row = (name: string) => `[data-row="${name}"]`;

describe('somebody who begins', () => {
  it('makes a commission, answers the brief, and sees what follows', async () => {
    await at.open('/');
    await page.waitForSelector('[data-test="new"]');
    await page.click('[data-test="new"]');
    await page.waitForSelector('[data-test="title"]');
    expect(page.url()).toMatch(/\/c\/[\w-]+\/brief$/);
    await at.type('[data-test="title"]', 'Lime Court, hall');
    await at.until('.head h2', (w) => w === 'Lime Court, hall');
    await at.until('.follows', (w) => w.includes('Marl & Timber Yard must have the order by'));
    await at.type('[data-test="crew"]', '9');
    expect(await at.until('[data-test="crew"]', (w) => w.includes('is 9'))).toMatch(/must be at most 4/);
    await at.type('[data-test="crew"]', '2');
    await at.until('.follows', (w) => w.includes('Person 1 and Person 2'));
    await saved();
    await at.open('/');
    await at.until('ul', (w) => w.includes('Lime Court, hall'));
  });

  it('changes the vessel by hand and by typing; a size that cannot be stays and is explained', async () => {
    await at.open('/c/demo-cube/vessel');
    const before = figure(await at.until(row('water'), (w) => figure(w) > 10));
    await at.drag('[data-test="water-line"]', 0, 60);
    const lower = figure(await at.until(row('water'), (w) => figure(w) < before - 1));
    await page.focus('body');
    await at.focus('[data-test="water-line"]');
    await page.keyboard.press('ArrowUp');
    await at.until(row('water'), (w) => figure(w) > lower);
    await at.type('[data-test="line"]', '400');
    expect(await at.until('[data-test="line"]', (w) => w.includes('is 400'))).toMatch(
      /must be at most the inner height, 300/,
    );
    await at.type('[data-test="length"]', '360');
    await at.until('.vessel', (w) => w.includes('32.4 L to the brim'));
    await saved();
  });

  it('shows both options side by side in the head, each with its own figures', async () => {
    await at.open('/c/demo-valley/bench');
    const valley = await at.until(row('soil-granules'), (w) => figure(w) > 20);
    await at.clickText('.options', 'Island root');
    await at.until(row('soil-granules'), (w) => w !== valley);
    await page.waitForFunction(() => !document.querySelector('[data-piece="S-14"]'));
    await at.clickText('.options', 'Slate valley');
    await at.until(row('soil-granules'), (w) => w === valley);
  });

  it('goes from a finding to what it is about', async () => {
    await at.open('/c/demo-cliff/bench');
    await page.waitForSelector('[data-finding="piece.glass"] button');
    await page.click('[data-finding="piece.glass"] button');
    expect(await at.words('[data-test="inspector"]')).toMatch(/^S-22/);
    await page.click('[data-finding="bed.shallow"] button');
    await page.waitForSelector('[data-test="planting-plan"]');
    await page.click('[data-finding="order.late"] button');
    await page.waitForSelector('[data-supplier="marl-timber"]');
  });

  it('raises a hill by its top, and moves it on the plan', async () => {
    await at.open('/c/demo-valley/bench');
    await page.waitForSelector('[data-tray="bed"]');
    await page.click('[data-tray="bed"]');
    const before = figure(await at.until(row('soil-granules'), (w) => figure(w) > 20));
    await at.drag('[data-grip="top 1"]', 0, -24);
    await at.until(row('soil-granules'), (w) => figure(w) > before);
    await at.until('[data-test="findings"]', (w) => w.includes('it holds 32°'));
    await page.click('[aria-label="Undo"]');
    await at.until('[data-test="findings"]', (w) => w.includes('Nothing measured'));
    const box = async () => (await (await page.waitForSelector('[data-grip="hill 1"]'))!.boundingBox())!.x;
    const from = await box();
    await at.drag('[data-grip="hill 1"]', -40, 0);
    expect(await box()).toBeCloseTo(from - 40, -1);
    await page.click('[aria-label="Undo"]');
    await saved();
  });

  it('reads the run sheet and the care guide on a phone', async () => {
    await page.setViewport({ width: 390, height: 844, isMobile: true, hasTouch: true });
    await at.open('/c/demo-valley/build');
    expect(await at.words('[data-test="sheet-list"]')).toMatch(/08:30–08:50/);
    await at.open('/c/demo-valley/handover');
    expect(await at.words('[data-test="care-guide"]')).toMatch(/Week 1\s*7 h, 50 %/);
    const [wide, screen] = await page.evaluate(() => [document.body.scrollWidth, window.innerWidth]);
    expect(wide).toBeLessThanOrEqual(screen);
  });

  it('fits a tablet: nothing of the bench is cut off', async () => {
    await page.setViewport({ width: 1024, height: 768 });
    await at.open('/c/demo-valley/bench');
    await page.waitForSelector('[data-test="sheet"]');
    const [sheet, area] = await Promise.all(
      ['[data-test="sheet"]', '.area'].map(
        async (s) => (await (await page.waitForSelector(s))!.boundingBox())!,
      ),
    );
    expect(sheet.width).toBeLessThanOrEqual(area.width);
    expect(sheet.height).toBeLessThanOrEqual(area.height);
  });

  it('opens a list of keys with ?, and dims the room', async () => {
    await at.open('/c/demo-valley/log');
    await page.waitForSelector('[data-test="note"]');
    await page.keyboard.type('?');
    expect(await at.words('[aria-label="Keyboard shortcuts"]')).toMatch(/nudge 5 mm/);
    // The list has the keyboard once it has come to rest.
    await page.waitForFunction(() => document.activeElement?.classList.contains('v-overlay__content'));
    await page.keyboard.press('Escape');
    await page.waitForSelector('[aria-label="Keyboard shortcuts"]', { hidden: true });
    await page.click('.find');
    await page.waitForSelector('input[aria-label="Find or do"]');
    await page.keyboard.type('dim');
    await page.keyboard.press('Enter');
    await page.waitForSelector('.v-theme--dim');
  });
});
