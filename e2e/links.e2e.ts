import { describe, expect, it } from 'vitest';
import { figure, onPage } from './page';
import { withDemo } from './harness';

/* A proposal sent by a link: read on a telephone by somebody without an account, asked about, said yes to, withdrawn while it is open. */

const b = withDemo({ width: 1280, height: 800 }, { seat: true });

/** A client's telephone: nothing of the studio's browser is there. */
async function telephone() {
  const page = b.watched(await (await b.browser.createBrowserContext()).newPage());
  await page.setViewport({ width: 390, height: 844, isMobile: true, hasTouch: true });
  return { page, at: onPage(page, b.server.url) };
}
async function linkMade(named: string): Promise<string> {
  await b.at.type('[data-test="link-named"]', named);
  const before = await b.page.$eval('[data-test="link"]', (el) => el.textContent).catch(() => '');
  await b.at.press('[data-test="link-make"]');
  return b.at.until('[data-test="link"]', (w) => w.includes('/l#') && w !== before, 90_000);
}

describe('a proposal by a link', () => {
  it('is read on a telephone with its pictures, asked about, said yes to, and stands as agreed', async () => {
    await b.at.open('/c/demo-valley/quote');
    const total = figure(await b.at.words('[data-test="proposal"] [data-test="total"]'));
    const link = await linkMade('Orchard Lane');
    const client = await telephone();
    await client.page.goto(link, { waitUntil: 'load' });
    expect(figure(await client.at.words('[data-test="link-proposal"] [data-test="total"]'))).toBe(total);
    await client.page.waitForFunction(() => [...document.querySelectorAll('img')].some((i) => i.naturalWidth > 300)); // prettier-ignore
    expect(await client.page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
    expect(await client.page.evaluate(() => document.body.innerText)).not.toMatch(
      /margin|cost of|Find or do/i,
    );
    await client.at.press('[data-test="answer-ask"]');
    await client.page.type('[data-test="answer-by"]', 'A. Orchard');
    await client.page.type('[data-test="answer-text"]', 'Does it hum at night?');
    await client.at.press('[data-test="answer-send"]');
    await client.at.until('[data-test="answer"]', (w) => w.includes('will answer you'));
    await client.at.press('[data-test="answer-yes"]');
    await client.at.until('[data-test="answer"]', (w) => w.includes('You said yes to Slate valley on'));
    await client.page.close();
    // The studio's page has it once it is loaded again; before it, it says so.
    await b.at.load('/c/demo-valley/quote');
    await b.at.until('[data-test="agreed"]', (w) => w.includes('A. Orchard'));
    await b.at.until('[data-link="Orchard Lane"]', (w) => w.includes('yes to Slate valley on'));
    await b.at.open('/c/demo-valley/log');
    await b.at.until('ol', (w) => w.includes('A. Orchard: Does it hum at night?'));
  });

  it('with two options lets them be compared, and the yes is to the one that is read', async () => {
    await b.at.open('/c/demo-cliff/options');
    await b.at.press('[data-test="duplicate"]');
    await b.at.open('/c/demo-cliff/quote');
    const link = await linkMade('Stair hall');
    const client = await telephone();
    await client.page.goto(link, { waitUntil: 'load' });
    await client.page.waitForFunction(() => document.querySelectorAll('[data-link-option] img').length === 2);
    await client.at.press('[data-link-option]:not([aria-pressed="true"])');
    const read = await client.at.words('[data-link-option][aria-pressed="true"] b');
    await client.page.type('[data-test="answer-by"]', 'B. Stair');
    await client.at.press('[data-test="answer-yes"]');
    await client.at.until('[data-test="answer"]', (w) => w.includes(`You said yes to ${read} on`));
    await client.page.close();
    await b.at.load('/c/demo-cliff/quote');
    await b.at.until('[data-link="Stair hall"]', (w) => w.includes(`yes to ${read} on`));
  });

  it('to a run sheet is read as it stands, with its ticks; to a care guide with its drawings', async () => {
    for (const [page, at, first, has] of [
      ['run-sheet', '[data-test="sheet-list"]', /Orchard Lane/, '.tick'],
      [
        'handover',
        '[data-test="care-guide"]',
        /first eight weeks[^]*Week 1: light[^]*take out \d+ L and replace it/,
        'img',
      ],
    ] as const) {
      await b.at.load(`/c/demo-valley/${page}`);
      await b.at.words(at);
      await b.at.press('[data-test="send-sheet"] summary');
      await b.at.type('[data-test="sheet-named"]', `Jo, ${page}`);
      await b.at.press('[data-test="sheet-make"]');
      const link = await b.at.until('[data-test="link"]', (w) => w.includes('/l#'), 30_000);
      const client = await telephone();
      await client.page.goto(link, { waitUntil: 'load' });
      await client.at.until('[data-test="link-sheet"]', (w) => first.test(w));
      await client.page.waitForFunction((s) => document.querySelectorAll(s).length > 0, {}, has);
      expect(await client.page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
      await client.page.close();
    }
  });

  it('to one picture shows that one, as it is seen from a seat', async () => {
    await b.at.open('/c/demo-cube/bench');
    await b.at.press('[data-test="looks"]');
    await b.at.press('[data-test="seat-send"]');
    await b.at.type('[data-test="sheet-named"]', 'the window dresser');
    await b.at.press('[data-test="sheet-make"]');
    const link = await b.at.until('[data-test="link"]', (w) => w.includes('/l#'), 90_000);
    const client = await telephone();
    await client.page.goto(link, { waitUntil: 'load' });
    await client.at.until('[data-test="link-sheet"]', (w) => w.includes('As it is seen from'));
    await client.page.waitForFunction(() => [...document.querySelectorAll('img')].some((i) => i.naturalWidth > 1_000)); // prettier-ignore
    expect(await client.page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  });

  it('withdrawn while it is open takes no answer any more, and opened again is the plain page', async () => {
    await b.at.open('/c/demo-desk/quote');
    await b.at.words('[data-test="proposal"] [data-test="total"]');
    const link = await linkMade('The desk');
    const client = await telephone();
    await client.page.goto(link, { waitUntil: 'load' });
    await client.page.waitForSelector('[data-test="answer-yes"]');
    await b.at.press('[data-link="The desk"] [data-test="link-end"]');
    await b.at.until('[data-link="The desk"]', (w) => w.includes('withdrawn'));
    await client.page.type('[data-test="answer-by"]', 'X');
    await client.at.press('[data-test="answer-yes"]');
    await client.at.until('[data-test="answer"] [role="alert"]', (w) => w.includes('not good any more'));
    await client.page.reload({ waitUntil: 'load' });
    await client.at.until('[data-test="link-fault"]', (w) => w.includes('not good any more'));
    expect(await client.page.evaluate(() => document.body.innerText)).not.toContain('desk');
    await client.page.close();
  });
});
