import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import sharp from 'sharp';
import { beforeAll, describe, expect, it } from 'vitest';
import { withDemo } from './harness';
import { figure } from './page';

/* Pieces into the yard with a telephone and a scale, parted there; and a scape set by the keyboard alone. */

const b = withDemo({ width: 1280, height: 800 });
const folder = mkdtempSync(join(tmpdir(), 'utsuwa-photos-'));
const photo = (name: string) => join(folder, `${name}.jpg`);

/** A dark shape on a plain ground with a bar of known length, as JPEG. */
async function photograph(name: string, shapes: string): Promise<void> {
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="1200" height="900"><rect width="100%" height="100%" fill="#d9d4c8"/>${shapes}</svg>`; // prettier-ignore
  await sharp(Buffer.from(svg)).jpeg().toFile(photo(name));
}
const stone = (l: number, r: number) =>
  `<path d="M${l} 760 L${l + 40} 420 L600 160 L${r - 30} 400 L${r} 760 Z" fill="#4e5357"/>`;

beforeAll(async () => {
  await photograph('front', stone(300, 860));
  await photograph('side', stone(420, 760));
  await photograph('table', '<polygon points="300,200 900,200 1100,800 100,800" fill="#b9a98a"/><circle cx="600" cy="400" r="60" fill="#333"/>'); // prettier-ignore
});

async function choose(selector: string, file: string): Promise<void> {
  const input = await b.page.waitForSelector(selector);
  await (input as { uploadFile(path: string): Promise<void> } & typeof input)!.uploadFile(file);
}
async function commissionOf(): Promise<any> {
  const id = new URL(b.page.url()).pathname.split('/')[2];
  return (await (await fetch(`${b.server.url}/api/commissions/${id}`)).json()).document;
}

describe('a stone of the studio’s', () => {
  it('comes in by two photographs, is set on the bench, and is split there; the yard keeps what it was', async () => {
    await b.at.open('/c/demo-valley/bench');
    await b.at.press('[data-test="into-yard"]');
    await b.at.type('[data-test="yard-id"]', 'S-70');
    await b.at.press('[data-test="by-photos"]');
    await choose('[data-test="photo-From the front"]', photo('front'));
    await choose('[data-test="photo-From its right side"]', photo('side'));
    // A photograph without a scale gives no sizes until one is typed.
    await b.at.until('[data-photo="From the front"]', (w) => /Without a scale/.test(w));
    expect(await b.page.$('[data-test="use-outlines"]:not([disabled])')).toBeNull();
    await b.at.type('[data-test="measure-From the front"]', '100');
    await b.at.type('[data-test="measure-From its right side"]', '100');
    const read = await b.at.until('[data-test="outlines-read"]', (w) => /wide.+deep/s.test(w));
    // 560 of 1200 px wide; the measure lies over 360 px, three tenths of the picture, and is 100 mm.
    expect(figure(read)).toBeGreaterThan(150);
    expect(figure(read)).toBeLessThan(160);
    // A measure of twice that makes everything twice as large.
    await b.at.type('[data-test="measure-From the front"]', '200');
    await b.at.until('[data-test="outlines-read"]', (w) => figure(w) > 300);
    await b.at.type('[data-test="measure-From the front"]', '100');
    await b.at.until('[data-test="outlines-read"]', (w) => figure(w) < 160);
    await b.at.press('[data-test="use-outlines"]');
    await b.at.until('[data-test="yard-said"]', (w) => w.startsWith('Two outlines are taken'));
    await b.at.press('[data-test="yard-add"]');
    await b.at.until('[data-test="yard-said"]', (w) => /is in the yard\.$/.test(w));
    await b.at.press('[data-test="yard-close"]');
    await b.at.press('[data-yard="S-70"]');
    await b.page.waitForSelector('[data-plan-piece="S-70"]');
    await b.page.waitForSelector('[data-yard="S-70"] img');
    await b.at.press('[data-test="split"]');
    await b.at.press('[data-test="split-now"]');
    await b.page.waitForSelector('[data-plan-piece="S-70a"]');
    expect(await b.page.$('[data-plan-piece="S-70"]')).toBeNull();
    const { yard, parted } = await (await fetch(`${b.server.url}/api/studio`)).json();
    expect(yard.map((p: any) => p.id)).toEqual(expect.arrayContaining(['S-70a', 'S-70b']));
    expect(parted).toMatchObject([{ id: 'S-70', into: ['S-70a', 'S-70b'] }]);
  });
});

describe('several stones of a size', () => {
  it('go into the yard at once, each with its number, and the form stays for the next', async () => {
    await b.at.open('/c/demo-valley/bench');
    await b.at.press('[data-test="into-yard"]');
    const before = (await (await fetch(`${b.server.url}/api/studio`)).json()).yard.length;
    const form = '[data-test="yard-form"]';
    await typedInto('wide', '90');
    await typedInto('deep', '70');
    await typedInto('high', '60');
    await b.at.type('[data-test="yard-alike"]', '3');
    await b.at.press('[data-test="yard-add"]');
    const said = await b.at.until('[data-test="yard-said"]', (w) => /in the yard/.test(w));
    expect(said).toMatch(/^S-(\d+) to S-(\d+) are in the yard\./);
    const { yard } = await (await fetch(`${b.server.url}/api/studio`)).json();
    expect(yard).toHaveLength(before + 3);
    // Refused is what cannot be counted, and nothing goes in for it.
    await b.at.type('[data-test="yard-alike"]', '99');
    await b.at.until('[data-test="yard-alike"]', (w) => w.includes('from 1 to 24'));
    await b.at.press('[data-test="yard-close"]');

    async function typedInto(label: string, mm: string): Promise<void> {
      const fields = await b.page.$$(`${form} .v-text-field`);
      for (const field of fields)
        if ((await field.evaluate((e) => e.querySelector('label')?.textContent?.trim())) === label) {
          await (await field.$('input'))!.click({ count: 3 });
          await b.page.keyboard.type(mm);
          await b.page.keyboard.press('Tab');
        }
    }
  });
});

describe('the photograph of a mock-up', () => {
  it('lies under the plan, squared up by the corners that are drawn onto it', async () => {
    await b.at.open('/c/demo-valley/bench');
    await b.at.press('[data-test="underlay"]');
    await choose('[data-test="underlay-file"]', photo('table'));
    await b.page.waitForSelector('[data-corner="0"]');
    const box = (await (await b.page.$('[data-test="underlay-corners"]'))!.boundingBox())!;
    const corner = (await (await b.page.$('[data-corner="0"] circle'))!.boundingBox())!;
    const [dx, dy] = [box.x + box.width * 0.25 - corner.x - corner.width / 2, box.y + box.height * (200 / 900) - corner.y - corner.height / 2]; // prettier-ignore
    await b.at.drag('[data-corner="0"] circle', dx, dy);
    await b.page.keyboard.press('Escape');
    await b.page.waitForSelector('[data-test="underlay-above"]');
    await b.saved();
    const { options } = await commissionOf();
    const [x, y] = options[0].underlays[0].corners[0];
    expect(x).toBeCloseTo(0.25, 1.5);
    expect(y).toBeCloseTo(200 / 900, 1.5);
  });
});

describe('gear', () => {
  it('is drawn aside on the plan, and goes by arrows', async () => {
    await b.at.open('/c/demo-rescape/bench');
    const handle = '[data-test="sheet"] g [data-gear-handle]';
    await b.page.waitForSelector(handle);
    const said = () => b.page.$eval(handle, (e) => e.getAttribute('aria-label')!);
    const before = await said();
    await b.at.focus(handle);
    await b.page.keyboard.press('ArrowLeft');
    await b.page.waitForFunction((s, was) => document.querySelector(s)!.getAttribute('aria-label') !== was, {}, handle, before); // prettier-ignore
    const left = (w: string) => figure(/ ([\d.]+ mm) from the left/.exec(w)![1]);
    expect(left(before) - left(await said())).toBe(5);
    await b.at.drag(handle, -40, 0);
    expect(left(await said())).toBeLessThan(left(before) - 20);
  });
});

describe('by the keyboard alone', () => {
  it('a stone comes from the yard to its place within 15 keys, and Escape leads back', async () => {
    await b.at.open('/c/demo-valley/bench');
    await b.page.waitForSelector('[data-yard]');
    const keys = b.page.keyboard;
    let pressed = 0;
    const press = async (...names: Parameters<typeof keys.press>[0][]) => {
      for (const name of names) await keys.press(name);
      pressed += names.length;
    };
    const free = await b.page.$$eval('li:not(.used) > [data-yard^="S-"]', (l) =>
      l[0].getAttribute('data-yard')!,
    );
    // A chord is one key pressed with another held.
    await keys.down('Control');
    await press('k');
    await keys.up('Control');
    await b.page.waitForSelector('input[aria-label="Find or do"]');
    await press(...(free.toLowerCase().split('') as 's'[]));
    await b.page.waitForFunction((id) => document.querySelector('[role="dialog"] li, [role="option"]')?.textContent?.includes(id), {}, free); // prettier-ignore
    await press('Enter');
    const has = `[data-plan-piece="${free}"]`;
    await b.page.waitForFunction((s) => document.activeElement?.matches(s), {}, has);
    await press('x', '4', '5', '0', 'Tab', '2', '2', '0', 'Enter');
    await b.page.waitForFunction((s) => document.activeElement?.matches(s), {}, has);
    expect(pressed).toBeLessThanOrEqual(15);
    const at = await b.page.$$eval('[data-test="inspector"] .fields input', (l) => l.slice(0, 2).map((e) => (e as HTMLInputElement).value)); // prettier-ignore
    expect(at).toEqual(['450', '220']);
    // From the yard's own list: letters find it, Enter sets it, Escape leads back to the list.
    await b.at.focus('li:not(.used) > [data-yard^="S-"]');
    await press('End', 'Home', 'r');
    // Those that stand already are passed by.
    while (await b.page.evaluate(() => document.activeElement!.closest('li')!.matches('.used')))
      await press('ArrowRight');
    const root = await b.page.evaluate(() => document.activeElement!.getAttribute('data-yard')!);
    expect(root).toMatch(/^R-/);
    await press('Enter');
    await b.page.waitForFunction(
      (s) => document.activeElement?.matches(s),
      {},
      `[data-plan-piece="${root}"]`,
    );
    await press('Escape');
    expect(await b.page.evaluate(() => document.activeElement!.getAttribute('data-yard'))).toBe(root);
    for (const key of ['z', 'z', 'y'] as const) {
      await keys.down('Control');
      await keys.press(key);
      await keys.up('Control');
    }
    await b.page.waitForFunction(
      (id) => document.querySelector(`[data-plan-piece="${id}"]`) === null,
      {},
      root,
    );
    await b.saved();
  });

  it('a root is set over two stones: taken, moved, let down, taken off and brought back', async () => {
    await b.at.open('/');
    await b.page.waitForSelector('[data-test="new"]');
    const keys = b.page.keyboard;
    /** Tab, until what has the focus is what is looked for. */
    const to = async (selector: string, most = 90) => {
      for (let n = 0; n < most; n++) {
        if (await b.page.evaluate((s) => document.activeElement?.closest(s) !== null, selector)) return;
        await keys.press('Tab');
      }
      throw new Error(`${selector} is not reached by Tab`);
    };
    await to('[data-test="new"]');
    await keys.press('Enter');
    await b.page.waitForSelector('[data-test="title"]');
    await to('[href$="/bench"]');
    await keys.press('Enter');
    await b.page.waitForSelector('[data-test="plan"]');
    const pieces = () => b.page.$$eval('[data-piece]', (l) => l.map((e) => e.getAttribute('data-piece')!));
    for (const id of ['S-14', 'S-03', 'R-02']) {
      await to(`[data-yard="${id}"]`);
      await keys.press('Enter');
      await b.page.waitForSelector(`[data-plan-piece="${id}"]`);
    }
    // From the list: the stones to the sides, the root between them.
    await keys.down('Control');
    await keys.press('k');
    await keys.up('Control');
    await b.page.waitForSelector('[role="dialog"] input');
    await keys.type('list of pieces');
    await keys.press('Enter');
    await b.page.waitForSelector('[data-listed]');
    await to('[data-listed="S-14"]');
    for (let n = 0; n < 6; n++) await press('Shift', 'ArrowLeft');
    await to('[data-listed="S-03"]');
    for (let n = 0; n < 3; n++) await press('Shift', 'ArrowRight');
    await to('[data-listed="R-02"]');
    await keys.press('d');
    await b.page.waitForFunction(() => document.querySelector('[data-test="inspector"]')?.textContent?.includes('R-02')); // prettier-ignore
    expect((await pieces()).sort()).toEqual(['R-02', 'S-03', 'S-14']);
    // They stand apart by what was pressed, and the root rests on one of them.
    const at = async (id: string) =>
      figure(/at ([\d.]+)/.exec(await b.at.words(`[data-listed="${id}"]`))![1]);
    expect((await at('S-03')) - (await at('S-14'))).toBe(9 * 20);
    await keys.press('Delete');
    await b.page.waitForFunction(() => document.querySelectorAll('[data-piece]').length === 2);
    await keys.down('Control');
    await keys.press('z');
    await keys.up('Control');
    await b.page.waitForFunction(() => document.querySelectorAll('[data-piece]').length === 3);
    async function press(held: 'Shift', key: 'ArrowLeft' | 'ArrowRight') {
      await keys.down(held);
      await keys.press(key);
      await keys.up(held);
    }
  });

  it('stands in for a stone that is not bought yet, and a pot is set by its outer sizes', async () => {
    await b.at.open('/c/demo-desk/bench');
    await b.at.until('[data-test="tally"]', (w) => /Stone/.test(w));
    await b.at.clickText('[aria-label="Tray"]', 'Not bought yet');
    await b.at.press('[data-test="set-stand-in"]');
    await b.page.waitForSelector('[data-plan-piece="N-1"]');
    await b.at.press('[data-test="stand-in-form"] .v-field');
    await b.page.keyboard.type('Clay');
    await b.at.press('.v-overlay-container .v-list-item ::-p-text(Clay pot)');
    await b.at.type('[data-test="ware-high"]', '140');
    await b.at.press('[data-test="set-stand-in"]');
    await b.page.waitForSelector('[data-plan-piece="N-2"]');
    // Of 120 × 120 × 140 mm, as it is worked out.
    await b.at.until('[data-test="tally"]', (w) => /Pots\s*3\.2\s*kg/.test(w));
    await b.saved();
  });
});
