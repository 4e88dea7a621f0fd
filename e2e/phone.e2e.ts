import { describe, expect, it } from 'vitest';
import { withDemo } from './harness';

/* A telephone in a wet hand: what is asked most is a touch away wherever one is. */

const b = withDemo({ width: 390, height: 844, hasTouch: true, isMobile: true });
const STAGES = ['brief', 'vessel', 'bench', 'planting', 'take-off', 'order', 'build', 'handover', 'log'];
const sheet = '[role="dialog"]';

describe('on a telephone', () => {
  it.each(STAGES)(
    '%s has figures and findings, option and build day, units and the palette within a touch',
    async (stage) => {
      await b.at.open(`/c/demo-wall/${stage}`);
      await b.page.waitForSelector('[data-test="phone-figures"] i');
      await b.page.tap('[data-test="phone-figures"]');
      expect(await b.at.until(sheet, (w) => /Findings/.test(w))).toMatch(
        /Water\s*\d+\.\d L[\s\S]*Material\s*£[\d,]+/,
      );
      expect(await b.page.$eval('[data-test="phone-figures"] i', (e) => e.textContent)).toMatch(/^\d+$/);
      await closed();
      await b.page.tap('[data-test="phone-option"]');
      expect(await b.at.until(sheet, (w) => /build day/.test(w))).toMatch(
        /\w{3} \d+ \w{3} build day, in \d+ days/,
      );
      await closed();
      await b.page.tap('[data-test="phone-units"]');
      await b.page.waitForFunction(
        () => document.querySelector('[data-test="phone-units"]')!.textContent!.trim() === 'in',
      );
      await b.page.tap('[data-test="phone-units"]');
      await b.page.tap('[data-test="phone-find"]');
      await b.page.waitForSelector('input[aria-label="Find or do"]', { visible: true });
      await closed(780);
      // Everything of it can be pressed with a finger, and nothing stands out to the side.
      expect(await small()).toEqual([]);
      expect(await b.page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
    },
  );

  it('leads from a finding to what it is about', async () => {
    await b.at.open('/c/demo-wall/log');
    await b.page.waitForSelector('[data-test="phone-figures"] i');
    await b.page.tap('[data-test="phone-figures"]');
    await b.page.waitForSelector(`${sheet} [data-finding]`);
    await b.page.tap(`${sheet} [data-finding^="piece."]`);
    await b.page.waitForFunction(() => window.location.pathname.endsWith('/bench'));
    await b.page.waitForSelector(sheet, { hidden: true });
  });
});

/** What is pressed and is less than 44 px high or wide, by its words; parts of a field and marks of a drawing are not counted. */
function small(): Promise<string[]> {
  return b.page.$$eval('button:not(.task), a[href], summary, select', (all) =>
    all
      .filter((el) => !el.closest('.sr, .v-field'))
      .map((el) => ({
        words: el.textContent || el.getAttribute('aria-label'),
        box: el.getBoundingClientRect(),
      }))
      .filter(({ box }) => box.width > 0 && (box.height < 43.5 || box.width < 43.5))
      .map(({ words, box }) => `${words} ${Math.round(box.width)} × ${Math.round(box.height)}`),
  );
}

/** Beside the sheet: above it, or below the palette. */
async function closed(y = 24): Promise<void> {
  await b.page.waitForSelector('.v-overlay--active .v-overlay__scrim');
  await b.page.touchscreen.tap(195, y);
  await b.page.waitForSelector('.v-overlay--active', { hidden: true });
}
