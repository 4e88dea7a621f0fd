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
});
