import type { Page } from 'puppeteer-core';

/** What a test asks of a page, in the words of a person who uses it. */
export function onPage(page: Page, url: string) {
  // What is drawn (SVG) has no `innerText`.
  const read = (selector: string) =>
    page.$eval(selector, (el) => ((el as HTMLElement).innerText ?? el.textContent ?? '').trim());

  const load = async (path: string) => void (await page.goto(`${url}${path}`, { waitUntil: 'load' }));
  return {
    /** A page that knows nothing of the one before it. */
    load,
    /** Goes there as a person does: by the page's own ways, to another commission by the list; at first by the address. */
    open: async (path: string) => {
      if (!page.url().startsWith(url)) return load(path);
      // One that is just being loaded knows of no way yet.
      await page.waitForSelector('main');
      const [from, to] = [new URL(page.url()).pathname, path].map(commissionIn);
      if (from && from !== to) {
        await page.evaluate(goTo, '/');
        await page.waitForSelector('[data-test="new"]');
      }
      await page.evaluate(goTo, path);
      await page.waitForFunction((to) => location.pathname + location.search === to, {}, path);
    },
    /** Waits for something to be there and returns its words. */
    words: async (selector: string) => {
      await page.waitForSelector(selector);
      return read(selector);
    },
    /** Waits until the words of something satisfy a test, and returns them. */
    until: async (selector: string, test: (words: string) => boolean, ms = 30_000) => {
      const end = Date.now() + ms;
      let words = '';
      while (Date.now() < end) {
        words = await read(selector).catch(() => '');
        if (test(words)) return words;
        await new Promise((resolve) => setTimeout(resolve, 40));
      }
      throw new Error(`${selector} still says "${words.slice(0, 300)}"`);
    },
    /** Presses the mouse on something, moves it by so many pixels, lets go; `during` is asked before that. */
    drag: async (selector: string, dx: number, dy: number, during?: () => Promise<void>) => {
      const at = await middleOf(page, selector);
      await page.mouse.move(at.x, at.y);
      await page.mouse.down();
      await page.mouse.move(at.x + dx / 2, at.y + dy / 2, { steps: 4 });
      await page.mouse.move(at.x + dx, at.y + dy, { steps: 4 });
      await during?.();
      await page.mouse.up();
    },
    /** Drags something onto the middle of something else. */
    dragTo: async (selector: string, target: string) => {
      const from = await middleOf(page, selector);
      const box = (await (await page.waitForSelector(target))!.boundingBox())!;
      await page.mouse.move(from.x, from.y);
      await page.mouse.down();
      await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2, { steps: 6 });
      await page.mouse.up();
    },
    /** Types over what a field holds, and leaves it. */
    type: async (selector: string, text: string) => {
      await page.waitForSelector(`${selector} input, ${selector} textarea`, { visible: true });
      await page.click(`${selector} input, ${selector} textarea`, { count: 3 });
      await page.keyboard.type(text);
      await page.keyboard.press('Tab');
    },
    /** Clicks something once it has come to rest and nothing that is going away, a sheet say, lies over it. */
    press: async (selector: string) => {
      for (let tries = 3; ; tries--) {
        const handle = await page.waitForSelector(selector);
        await handle!.evaluate(atRest, MOST_COVERED_MS);
        const fault = await page.click(selector).catch((error: Error) => error);
        if (!fault) return;
        // Drawn anew between the two: what has taken its place is pressed.
        if (tries === 0 || !/not clickable|detached/.test(fault.message)) throw fault;
      }
    },
    /** Gives something the keyboard, a drawn piece too. */
    focus: async (selector: string) => {
      await page.waitForSelector(selector);
      await page.$eval(selector, (el) => (el as SVGElement | HTMLElement).focus());
    },
    clickText: async (within: string, text: string) => {
      await page.waitForSelector(`${within} ::-p-text(${text})`);
      await page.click(`${within} ::-p-text(${text})`);
    },
  };
}

const commissionIn = (path: string) => /^\/c\/([^/]+)/.exec(path)?.[1];

/** In the page: its own link, or the step in its history that Back and Forward make. */
function goTo(path: string): void {
  const way = document.querySelector<HTMLAnchorElement>(`a[href="${path}"]`);
  if (way) return way.click();
  history.pushState(null, '', path);
  dispatchEvent(new PopStateEvent('popstate'));
}

/** What lies over something for longer than this is there to stay, ms. */
const MOST_COVERED_MS = 3_000;
/**
 * In the page: waits until an element has stood still for some frames with nothing of a layer above the page over its
 * middle, or for `mostMs` where something is and stays there.
 */
async function atRest(el: Element, mostMs: number): Promise<void> {
  const covered = () => {
    el.scrollIntoView({ block: 'nearest', inline: 'nearest' });
    const box = el.getBoundingClientRect();
    const top = document.elementFromPoint(box.x + box.width / 2, box.y + box.height / 2);
    const layer = top?.closest('.v-overlay');
    return layer !== undefined && layer !== null && !layer.contains(el);
  };
  const end = performance.now() + mostMs;
  // A list that is still opening lets every press through, even where nobody sees it move.
  const opening = () => el.closest<HTMLElement>('.v-overlay__content')?.style.pointerEvents === 'none';
  let [still, last] = [0, ''];
  while (still < 4) {
    await new Promise((frame) => requestAnimationFrame(frame));
    const box = el.getBoundingClientRect();
    const now = JSON.stringify(box);
    // What is not laid out yet, or was taken out meanwhile, is not at rest.
    const isThere = box.width > 0 || performance.now() > end;
    still = now === last && isThere && !opening() && (performance.now() > end || !covered()) ? still + 1 : 0;
    last = now;
  }
}

/** A spot of an element where it is not covered: its middle, otherwise the first of a few around it; waits while what is being drawn lies over all of them. */
async function middleOf(page: Page, selector: string): Promise<{ x: number; y: number }> {
  const handle = (await page.waitForSelector(selector))!;
  const found = await page
    .waitForFunction(freeSpot, { timeout: MOST_COVERED_MS }, handle)
    .catch(() => undefined);
  if (!found) throw new Error(`${selector} is covered`);
  return (await found.jsonValue()) as { x: number; y: number };
}

/** In the page: where an element itself is hit, if anywhere. */
function freeSpot(el: Element): { x: number; y: number } | undefined {
  el.scrollIntoView({ block: 'nearest', inline: 'nearest' });
  const box = el.getBoundingClientRect();
  for (const [fx, fy] of [
    [0.5, 0.5],
    [0.4, 0.5],
    [0.6, 0.5],
    [0.5, 0.4],
    [0.5, 0.65],
    [0.35, 0.7],
    [0.65, 0.7],
  ]) {
    const [x, y] = [box.x + fx * box.width, box.y + fy * box.height];
    const hit = document.elementFromPoint(x, y);
    if (hit && (el === hit || el.contains(hit))) return { x, y };
  }
  return undefined;
}

/** The first number in a text: "21.8 L" is 21.8. */
export function figure(words: string): number {
  return Number(/-?[\d,]*\.?\d+/.exec(words.replaceAll(',', ''))?.[0]);
}
