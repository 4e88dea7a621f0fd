import type { Browser, Page } from 'puppeteer-core';

/** A page whose every error is noted, also those that only the window hears of. */
export async function watched(browser: Browser, wrong: string[], where: () => string): Promise<Page> {
  const page = await (await browser.createBrowserContext()).newPage();
  await page.evaluateOnNewDocument(() =>
    addEventListener('error', (event) => console.error(`window: ${event.message}`)),
  );
  page.on('pageerror', (error) => wrong.push(`${where()}: ${String(error)}`));
  page.on('console', (message) => {
    if (message.type() === 'error' && !message.text().startsWith('Failed to load resource'))
      wrong.push(`${where()}: ${message.text()}`);
  });
  return page;
}

/** Waits until a commission is open and its figures stand, or the page says why they do not. */
export async function settled(page: Page): Promise<void> {
  await page.waitForSelector('.head h2', { timeout: 15_000 });
  await page.waitForFunction(
    () => {
      const filled = document.querySelector('[data-test="tally"] [data-row]');
      return (
        filled ||
        document.querySelector('[data-test="trouble"]') ||
        !document.querySelector('[data-test="tally"]')
      );
    },
    { timeout: 20_000 },
  );
}

/** What of a page reaches beyond its width, by class; nothing when nothing scrolls sideways. */
export function sideways(page: Page): Promise<string[]> {
  return page.evaluate(() =>
    [document.documentElement, ...document.querySelectorAll('*')]
      .filter((el) => el.scrollWidth > el.clientWidth + 1)
      .filter(
        (el) =>
          el === document.documentElement || ['auto', 'scroll'].includes(getComputedStyle(el).overflowX),
      )
      .map((el) => `${el.className || el.tagName} ${el.scrollWidth} > ${el.clientWidth}`),
  );
}
