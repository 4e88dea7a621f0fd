import axe from 'axe-core';
import type { Browser, Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { openBrowser } from './browser';
import { demoServer, type DemoServer } from './server';

/* Every page, on paper and dim, against the Web Content Accessibility Guidelines 2.1 at levels A and AA. */

let server: DemoServer;
let browser: Browser;
/** One page for all: what it has loaded once it need not load again. */
let page: Page;
beforeAll(async () => {
  [server, browser] = await Promise.all([demoServer(), openBrowser()]);
  page = await browser.newPage();
});
afterAll(async () => {
  await browser?.close();
  await server?.stop();
});
const RULES = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa'];

/** What of the page breaks a rule, an element a line. */
async function violations(rules: axe.RunOptions['runOnly']): Promise<string[]> {
  await page.evaluate(axe.source);
  return page.evaluate(async (runOnly) => {
    const { violations } = await (window as unknown as { axe: typeof axe }).axe.run({ runOnly });
    return violations.flatMap((v) =>
      v.nodes.map((n) => `${v.id}: ${n.target.join(' ')}: ${n.failureSummary?.replace(/\s+/g, ' ')}`),
    );
  }, rules);
}

/** Changes between paper and dim as a person does. */
async function otherTheme(): Promise<void> {
  const other = await page.evaluate(() =>
    document.documentElement.dataset.theme === 'dim' ? 'paper' : 'dim',
  );
  await page.keyboard.down('Control');
  await page.keyboard.press('k');
  await page.keyboard.up('Control');
  await page.waitForSelector('input[aria-label="Find or do"]', { visible: true });
  await page.keyboard.type('paper or dim');
  await page.keyboard.press('Enter');
  await page.waitForSelector(`[data-theme="${other}"]`);
  await page.waitForSelector('.v-overlay--active', { hidden: true });
}

const PAGES: [page: string, path: string, there: string][] = [
  ['the list', '/', 'li'],
  ['the studio’s house', '/studio/house', '[data-test="house-name"]'],
  ['the studio’s materials', '/studio/materials', '[data-material]'],
  ['the studio’s suppliers', '/studio/suppliers', '[data-supplier]'],
  ['the brief', '/c/demo-valley/brief', '[data-test="title"]'],
  ['the brief of a rescape', '/c/demo-rescape/brief', '[data-test="title"]'],
  ['the vessel', '/c/demo-valley/vessel', '[data-row="floor"]'],
  ['the site', '/c/demo-wall/vessel', '[data-row="floor"]'],
  ['the bench', '/c/demo-valley/bench', '[data-yard]'],
  ['planting', '/c/demo-valley/planting', '[data-region]'],
  ['the take-off', '/c/demo-valley/take-off', '[data-line]'],
  ['the order', '/c/demo-valley/order', '[data-supplier]'],
  ['the build day', '/c/demo-valley/build', '.title'],
  ['the handover', '/c/demo-valley/handover', '.key'],
  ['the log', '/c/demo-valley/log', '[data-test="note"]'],
  ['the options', '/c/demo-valley/options', '[data-option="b"] svg'],
  ['the visit sheet', '/c/demo-valley/visit-sheet', '.visit'],
];

describe('for everyone, on paper and dim', () => {
  it.each(PAGES)('%s', async (_page, path, there) => {
    await page.goto(`${server.url}${path}`, { waitUntil: 'load' });
    await page.waitForSelector(there);
    expect(await violations({ type: 'tag', values: RULES })).toEqual([]);
    await otherTheme();
    // Names and order are the same in both; colours are not.
    expect(await violations({ type: 'rule', values: ['color-contrast'] })).toEqual([]);
  });
});
