import { describe, expect, it } from 'vitest';
import { withDemo } from './harness';

/* Plants and bags of the studio's own: counted on the shelf, held against what a commission takes. */

const b = withDemo({ width: 1280, height: 800 });

describe('the studio’s shelf', () => {
  it('says who takes what of it, and the commission says where that is too much', async () => {
    // Known once the week has worked out every commission.
    await b.at.open('/week');
    await b.page.waitForFunction(() => document.querySelectorAll('[data-day]').length === 7);
    await b.page.waitForSelector('.week [role="status"]', { hidden: true });
    await b.at.open('/studio/shelf');
    const crypts = '[data-shelf="cryptocoryne-wendtii"]';
    const said = await b.at.until(crypts, (w) => /\d+ plugs? for .+/.test(w) && w.includes('free'));
    const each = [...said.matchAll(/(\d+) plugs? for/g)].map(([, n]) => Number(n));
    const wanted = each.reduce((n, x) => n + x, 0);
    // Two commissions want of them.
    expect(each).toHaveLength(2);
    await b.at.type(`${crypts} [data-test="shelf-amount"]`, String(wanted - 3));
    await b.at.until(`${crypts} [data-test="shelf-free"]`, (w) => w === '3 plugs short');
    await b.at.open('/c/demo-root/planting');
    await b.at.until('[data-test="findings"]', (w) => w.includes(`come off the shelf, where ${wanted - 3} plugs stand and`)); // prettier-ignore
    await b.at.open('/studio/shelf');
    await b.at.type(`${crypts} [data-test="shelf-amount"]`, '40');
    await b.at.until(`${crypts} [data-test="shelf-free"]`, (w) => w.includes('free'));
    // One more thing: it is entered by what the catalogue calls it.
    await b.page.click('[data-test="new-shelf"] input');
    await b.page.keyboard.type('Gypsum');
    await b.page.waitForSelector('.v-overlay .v-list-item');
    await b.page.keyboard.press('ArrowDown');
    await b.page.keyboard.press('Enter');
    await b.at.press('[data-test="add-shelf"]');
    await b.at.until('[data-test="shelf-said"]', (w) => w.includes('Gypsum'));
    await b.page.waitForFunction(() => document.querySelectorAll('[data-shelf]').length === 5);
  });

  it('gives an opened bag for a line, and gets back what is over once it is built', async () => {
    await b.at.open('/c/demo-valley/take-off');
    const line = '[data-line="soil-granules"]';
    const packs = await b.at.words(`${line} .packs`);
    await b.at.press(`${line} .name`);
    await b.at.until('[data-test="line-shelf"]', (w) => w.includes('The studio’s shelf has 5.20 L'));
    await b.at.press('[data-test="line-shelf"] .act');
    await b.at.until('[data-test="line-shelf"]', (w) => w.includes('5.20 L come from there') && w.includes('Buy it instead')); // prettier-ignore
    await b.at.until(line, (w) => w.includes('own shelf'));
    // Of 33.7 L 28.5 are bought: a bag of nine and one of three less would do, four nines as before are not asked for.
    await b.at.open('/c/demo-valley/order');
    await b.at.until('.order', (w) => w.includes('Active soil') && !w.includes(`${packs}\tActive soil`));
    // Built yesterday.
    await b.at.open('/c/demo-valley/brief');
    const day = new Date(Date.now() - 86_400_000);
    const typed = new Intl.DateTimeFormat('en-GB').format(day);
    await b.at.type('[data-test="build-day"]', typed);
    await b.saved();
    await b.at.open('/c/demo-valley/order');
    const used = '[data-test="after-build"] [data-used="soil-granules"]';
    await b.at.until(used, (w) => w.includes('5.20 L came off the shelf'));
    await b.at.press(`${used} .act`);
    await b.at.until(used, (w) => w.includes('5.20 L written off the shelf'));
    const over = '[data-test="after-build"] [data-over="soil-granules"]';
    await b.at.type(over, '4.5');
    await b.at.press(`${over} .act`);
    await b.at.until(over, (w) => w.includes('on the studio’s shelf'));
    await b.at.open('/studio/shelf');
    await b.page.waitForFunction(
      () => document.querySelectorAll('[data-shelf="soil-granules"]').length === 2,
    );
    const amounts = await b.page.$$eval('[data-shelf="soil-granules"] [data-test="shelf-amount"] input', (all) => all.map((i) => (i as HTMLInputElement).value)); // prettier-ignore
    expect(amounts).toEqual(['0', '4.5']);
  });
});
