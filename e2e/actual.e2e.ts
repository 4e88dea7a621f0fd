import { beforeAll, describe, expect, it } from 'vitest';
import sharp from 'sharp';
import { mkdtemp } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Commission } from '../core/commission/schema';
import type { ElementHandle } from 'puppeteer-core';
import { withDemo } from './harness';

/* A real piece for one that is drawn: offered with a photograph, tried, taken, come shorter; and one found in a shop. */

const b = withDemo({ width: 1280, height: 800, hasTouch: true });
let picture = '';
beforeAll(async () => {
  picture = join(await mkdtemp(join(tmpdir(), 'utsuwa-actual-')), 'root.png');
  await sharp({ create: { width: 600, height: 400, channels: 3, background: '#6b4f33' } })
    .png()
    .toFile(picture);
});
const stored = (id: string) =>
  b.page.evaluate(async (id) => ((await (await fetch(`/api/commissions/${id}`)).json()) as { document: Commission }).document, id); // prettier-ignore
const woodOf = (doc: Commission) => {
  const kinds = new Map(doc.catalogue.materials.map((m) => [m.id, m.kind]));
  return doc.options.find((o) => o.id === doc.chosen)!.pieces.find((p) => kinds.get(p.material) === 'wood' && !p.owned)!; // prettier-ignore
};

describe('the actual piece', () => {
  it('is offered with its picture, tried, said yes to, comes 60 mm shorter, and is on the bench as it came', async () => {
    await b.at.open('/c/demo-cliff/bench');
    const wood = woodOf(await stored('demo-cliff'));
    await b.at.focus(`[data-piece="${wood.id}"]`);
    await b.at.press('[data-test="actual-piece"]');
    await b.at.press('[data-test="note-actual"]');
    const one = '[data-candidate="C-1"]';
    for (const [i, mm] of ['420', '200', '180'].entries()) await b.at.type(`${one} [data-test="actual-${i}"]`, mm); // prettier-ignore
    await b.at.type(`${one} [data-test="actual-mass"]`, '1.4');
    await b.at.type(`${one} [data-test="actual-costs"]`, '38');
    await b.at.until(`${one} [data-test="trial"]`, (w) => /It weighs [\d.]+ kg → 1.4 kg/.test(w) && /to front/.test(w)); // prettier-ignore
    const photo = (await b.page.$(`${one} input[type="file"]`))!;
    await (photo as unknown as { uploadFile: (path: string) => Promise<void> }).uploadFile(picture);
    await b.page.waitForSelector(`${one} img`);
    await b.at.press(`${one} [data-test="take-it"]`);
    await b.page.waitForSelector(`${one}[data-standing="approved"]`);
    await b.saved();
    const taken = await stored('demo-cliff');
    expect(taken.taken).toMatchObject([{ item: wood.material, amount: 1, paidMinor: 3_800 }]);
    expect(taken.candidates![0].was).toBeDefined();
    await b.at.press(`${one} [data-test="measure-it"]`);
    await b.at.type(`${one} [data-test="actual-0"]`, '360');
    await b.at.until(`${one} [data-test="differs"]`, (w) => w.includes('60 mm shorter'));
    await b.at.press(`${one} [data-test="try-measured"]`);
    await b.page.waitForSelector(`${one} [data-test="try-measured"]`, { hidden: true });
    await b.saved();
    const came = await stored('demo-cliff');
    const { shape } = came.options.find((o) => o.id === came.chosen)!.pieces.find((p) => p.id === wood.id)!;
    const x = shape.kind === 'mesh' ? shape.vertices.map((v) => v[0]) : [];
    expect(Math.max(...x) - Math.min(...x)).toBeCloseTo(360, 0);
    // Said no to it is as it was drawn, and nothing was bought.
    await b.at.press(`${one} [data-test="say-no"]`);
    await b.saved();
    const after = await stored('demo-cliff');
    expect(woodOf(after).shape).toEqual(wood.shape);
    expect(after.taken).toBeUndefined();
  });
});

describe('one found in a shop', () => {
  it('is measured at the counter where nothing reaches the studio, stands on the bench at once, and is off the order', async () => {
    await b.at.open('/studio/suppliers');
    await b.at.press('[data-terms="marl-timber"]');
    await b.at.press('details[open] [data-test="is-shop"] input');
    await b.page.waitForFunction(async () => (await (await fetch('/api/studio')).json()).catalogue.suppliers.find((s: { id: string }) => s.id === 'marl-timber').shop === true); // prettier-ignore
    await b.at.open('/c/demo-cliff/order');
    await b.at.press('[data-test="take-terms"]');
    await b.saved();
    const wood = woodOf(await stored('demo-cliff'));
    await b.at.press('[data-supplier="marl-timber"] [data-test="to-shopping"]');
    await b.page.setViewport({ width: 390, height: 844, hasTouch: true });
    await b.page.setOfflineMode(true);
    const row = `[data-shop-line="${wood.material}"]`;
    await b.at.press(`${row} [data-test="instead"] summary`);
    await b.at.press(`${row} [data-test="note-actual"]`);
    const one = `${row} [data-candidate]:last-of-type`;
    for (const [i, mm] of ['300', '180', '160'].entries()) await b.at.type(`${one} [data-test="actual-${i}"]`, mm); // prettier-ignore
    await b.at.type(`${one} [data-test="actual-mass"]`, '0.9');
    await b.at.type(`${one} [data-test="actual-costs"]`, '29');
    await b.at.until(`${one} [data-test="trial"]`, (w) => /It weighs/.test(w));
    await b.at.press(`${one} [data-test="take-it"]`);
    await b.page.waitForSelector(`${one}[data-standing="arrived"]`);
    expect(await b.page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
    // Not of the trade: a conifer is never used.
    await b.at.press(`${one} [data-test="found"] input`);
    await b.at.press(`${one} [data-found="kind"] [data-outcome="bad"]`);
    await b.at.until(`${one} [data-found="kind"]`, (w) => /never/.test(w));
    const photo = (await b.page.$(`${one} input[type="file"]`)) as ElementHandle<HTMLInputElement>;
    await photo.uploadFile(join(import.meta.dirname, '..', 'docs', 'screenshots', 'order.png'));
    await b.at.until(`${one} [data-test="photo-waits"]`, (w) => /waits here/.test(w));
    await b.page.setOfflineMode(false);
    await b.page.waitForSelector(`${one} img`, { timeout: 30_000 });
    await b.page.waitForSelector(`${one} [data-test="photo-waits"]`, { hidden: true });
    await b.page.setViewport({ width: 1280, height: 800, hasTouch: true });
    await b.saved();
    const doc = await stored('demo-cliff');
    expect(doc.taken).toMatchObject([{ item: wood.material, supplier: 'marl-timber', amount: 1, paidMinor: 2_900 }]); // prettier-ignore
    expect(doc.candidates!.at(-1)).toMatchObject({ measured: { sizeMm: [300, 180, 160], massKg: 0.9 } });
    expect(woodOf(doc).massKg).toBe(0.9);
    await b.at.open('/c/demo-cliff/bench');
    await b.page.waitForSelector(`[data-piece="${wood.id}"]`);
  });
});
