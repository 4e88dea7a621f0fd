import { mkdtemp, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { ElementHandle } from 'puppeteer-core';
import { beforeAll, describe, expect, it } from 'vitest';
import { withDemo } from './harness';

/* A supplier's price list: its columns matched once, its changes looked at, taken; then found, and held against a quote. */

const b = withDemo({ width: 1280, height: 800 });
let folder = '';
beforeAll(async () => void (folder = await mkdtemp(join(tmpdir(), 'utsuwa-prices-'))));

const SUPPLIER = 'marl-timber';
const door = `[data-prices="${SUPPLIER}"]`;
interface Sold {
  name: string;
  packs?: { id: string; size: number; unit: string; priceMinor: number; supplier: string }[];
}
const sold = () =>
  b.page.evaluate(async (id) => {
    const { catalogue } = (await (await fetch('/api/studio')).json()) as { catalogue: { materials: Sold[] } };
    return catalogue.materials.flatMap((m) => (m.packs ?? []).filter((p) => p.supplier === id).map((p) => ({ ...p, name: m.name }))); // prettier-ignore
  }, SUPPLIER);
const written = (minor: number) => (minor / 100).toFixed(2).replace('.', ',');

async function sent(name: string, text: string): Promise<void> {
  const path = join(folder, name);
  await writeFile(path, text);
  const input = (await b.page.waitForSelector(`${door} [data-test="prices-in"]`)) as ElementHandle<HTMLInputElement>; // prettier-ignore
  await input.uploadFile(path);
}

describe('a price list', () => {
  it('is matched once, looked at, taken; a line is bought by it, and a quote says what today’s price would be', async () => {
    await b.at.open('/studio/suppliers');
    await b.at.press(`[data-terms="${SUPPLIER}"]`);
    const packs = await sold();
    const [first] = packs;
    // As they are, with decimals after a comma, titles above, and one line that nobody can read.
    const rows = (times: number) => packs.map((p) => `${p.id};${p.name};${p.size};${p.unit};${written(Math.round(p.priceMinor * times))}`); // prettier-ignore
    const list = (times: number, ...more: string[]) => ['Marl & Timber Yard;;;;', ';;;;', 'Ref;What it is;Pack;Of;Net', ...rows(times), ...more, ''].join('\r\n'); // prettier-ignore
    await sent('spring.csv', list(1, 'T-900;River pebble, black, 10 kg;;;14,00', 'X;=1+1;;;3,00'));
    // Its words do not say which column is the name.
    await b.page.waitForSelector(`${door} [data-test="prices-columns"]`);
    for (const [heading, role] of [['What it is', 'name'], ['Ref', 'article'], ['Pack', 'size'], ['Of', 'unit'], ['Net', 'price']]) await b.page.select(`[data-column="${heading}"]`, role); // prettier-ignore
    await b.at.press('[data-test="prices-compare"]');
    await b.at.until(`${door} [data-group="bad"] summary`, (w) => w === 'one line not read');
    await b.at.press('[data-test="prices-take"]');
    await b.at.until(`${door} [data-test="prices-said"]`, (w) => w.startsWith(`${packs.length + 1} lines are kept`)); // prettier-ignore

    // The next one is known: dearer by a tenth, and said of what is bought.
    await sent('summer.csv', list(1.1));
    await b.at.until(
      `${door} [data-test="prices-used"]`,
      (w) => w.includes(first.name) && w.includes('+10.0 %'),
    );
    expect(await b.at.words(`${door} [data-group="gone"] summary`)).toBe('1 gone');
    expect((await sold()).map((p) => p.priceMinor)).toEqual(packs.map((p) => p.priceMinor));
    await b.at.press('[data-test="prices-take"]');
    await b.at.until(`${door} [data-test="prices-said"]`, (w) => /entries of the catalogue have their new prices/.test(w)); // prettier-ignore
    expect((await sold()).map((p) => p.priceMinor)).toEqual(packs.map((p) => Math.round(p.priceMinor * 1.1)));

    // The document has what was quoted, says what it would be, and takes it when asked.
    await b.at.open('/c/demo-cliff/order');
    const said = await b.at.until('[data-test="todays-prices"]', (w) => /£[\d.,]+ more/.test(w));
    // What is said of each pack, by how many are bought, is what is said of all.
    const pounds = (text: string) => Number(text.replace(',', ''));
    const each = [...said.matchAll(/£([\d.,]+) → £([\d.,]+), (\d+) of it/g)].map(([, was, is, n]) => (pounds(is) - pounds(was)) * Number(n)); // prettier-ignore
    expect(each.length).toBeGreaterThan(1);
    expect(each.reduce((n, x) => n + x, 0)).toBeCloseTo(pounds(/£([\d.,]+) more/.exec(said)![1]), 2);
    const quoted = await b.at.words('.total b');
    await b.at.press('[data-test="take-prices"]');
    await b.page.waitForSelector('[data-test="todays-prices"]', { hidden: true });
    await b.page.waitForFunction((was) => document.querySelector('.total b')!.textContent !== was, {}, quoted); // prettier-ignore
    await b.at.press('[aria-label="Undo"]');
    await b.page.waitForSelector('[data-test="todays-prices"]');
    await b.saved();
  });

  it('is asked about where two prices contradict, refused where it is none, and found by words', async () => {
    await b.at.open('/studio/suppliers');
    await b.at.press(`[data-terms="${SUPPLIER}"]`);
    await sent(
      'spring.csv',
      'Ref;What it is;Pack;Of;Net\r\nR-1;Root, giant;1;piece;14,00\r\nR-2;Root, small;1;piece;9.50\r\n',
    );
    await b.at.until(`${door} [data-test="prices-sign"]`, (w) => w.includes('“14,00” is £14.00'));
    await b.at.press('[data-sign="."]');
    await b.at.until(`${door} [data-group="bad"] summary`, (w) => w === 'one line not read');
    await b.at.clickText(`${door} [data-test="prices-report"]`, 'Leave it as it was');
    await b.page.waitForSelector(`${door} [data-test="prices-report"]`, { hidden: true });
    await sent('picture.csv', '\x89PNG\x00\x01');
    await b.at.until(`${door} [data-test="prices-said"]`, (w) => w.includes('It is no text'));
    // What the list of the first test has is bought from here.
    await b.at.open('/studio/materials');
    await b.at.clickText('.two', 'Slate');
    await b.at.press('[data-test="offer-search"] summary');
    await b.at.type('[data-test="offer-words"]', 'slate');
    await b.page.waitForSelector('[data-offer]');
  });
});
