import { describe, expect, it } from 'vitest';
import { withDemo } from './harness';

/*
 * What can be pressed stays where it is: nothing that comes later moves it from under a finger. Looked at with every frame,
 * on pages that are opened from cold, until what comes last is there.
 */

/** Of each page what comes last. */
const LAST: [path: string, last: string][] = [
  ['/studio/materials', '[data-entry]'],
  ['/c/demo-reading/bench', '[data-ghost="L-7"]'],
  ['/c/demo-desk/planting', '[data-test="lives-here"]'],
  ['/c/demo-desk/take-off', '[data-test="to-quote"]'],
  ['/c/demo-reading/order', '[data-test="buying"]'],
  ['/c/demo-reading/shopping', '[data-test="running"]'],
  ['/c/demo-desk/quote', '[data-test="make-film"]'],
  ['/c/demo-reading/options', '[data-test="show-between"]'],
];

interface Watching {
  moved: string[];
  /** Frames that were looked at. */
  frames: number;
}
declare const watching: Watching;

/** In the page, before anything else: notes whatever can be pressed, was in sight and still for some frames, and moves with no hand at it. */
function watchMoves(): void {
  const [STILL, PX] = [4, 3];
  const seen = new Map<Element, { x: number; y: number; still: number }>();
  const notes: Watching = { moved: [], frames: 0 };
  Object.assign(globalThis, { watching: notes });
  const look = () => {
    for (const el of document.querySelectorAll('button, a, input, select, summary')) {
      const { x, y, width, height } = el.getBoundingClientRect();
      if (!width || !height || y > window.innerHeight) continue;
      const was = seen.get(el);
      const moves = was !== undefined && Math.hypot(x - was.x, y - was.y) > PX;
      if (moves && was.still >= STILL)
        notes.moved.push(`${el.textContent?.trim().slice(0, 40)} by ${x - was.x}, ${y - was.y} px`);
      seen.set(el, { x, y, still: was && !moves ? was.still + 1 : 0 });
    }
    notes.frames += 1;
    requestAnimationFrame(look);
  };
  requestAnimationFrame(look);
}

describe.each([
  ['a wide window', { width: 1280, height: 800 }],
  ['a telephone', { width: 390, height: 844, isMobile: true, hasTouch: true }],
])('what can be pressed, in %s', (_where, viewport) => {
  const b = withDemo(viewport);

  it('is not pushed away by what comes later', async () => {
    const { page, at } = b;
    await page.evaluateOnNewDocument(`globalThis.__name = (f) => f; (${watchMoves.toString()})()`);
    for (const [path, last] of LAST) {
      await at.load(path);
      await page.waitForSelector(last);
      // What came with the last of it is drawn.
      const then = await page.evaluate(() => watching.frames);
      await page.waitForFunction((n) => watching.frames > n + 6, {}, then);
      expect(await page.evaluate(() => watching.moved), path).toEqual([]);
    }
  });
});
