import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { withDemo } from './harness';
import { figure } from './page';
import { onPlanting } from './plantingPage';

/* What is planted, with a real pointer: too few cups and a way out, one selection, weeks, light, the studio’s list, the printed plan. */

const b = withDemo({ width: 1280, height: 800 }, { shared: true, seat: true });
const { planting, count, week } = onPlanting(b);
const ink = () => b.page.$eval('[data-test="planting-front"]', (e) => [...e.querySelectorAll('[data-grown] path')].reduce((n, p) => n + p.getAttribute('d')!.length, 0)); // prettier-ignore

describe('a carpet on a hill', () => {
  it('is short of cups: what stays bare is drawn, and a way out is taken and undone', async () => {
    await planting();
    await b.at.press('[data-planted="P-1"]');
    await b.at.until('[data-test="planting-card"]', (w) => /plugs on .* along the slope/.test(w));
    expect(await b.page.$('[data-test="bare"]')).toBeNull();
    await b.at.type('[data-test="packs"]', '3');
    const short = await b.at.until('[data-test="ways-out"]', (w) => /\d+ plugs short/.test(w));
    expect(figure(short)).toBe((await count('P-1')) - 3 * 8);
    await b.page.waitForSelector('[data-test="bare"]');
    await b.at.until('[data-test="findings"]', (w) =>
      /3 packs give 24 of \d+ plugs; \d+ cm² stay bare/.test(w),
    );
    await b.at.press('[data-way="wider"]');
    await b.page.waitForFunction(() => !document.querySelector('[data-test="ways-out"]'));
    expect(await count('P-1')).toBeLessThanOrEqual(24);
    await b.page.click('[aria-label="Undo"]');
    await b.at.until('[data-test="ways-out"]', (w) => w.includes(`${figure(short)} plugs short`));
    // Or what they do not reach is given to another plant, behind them.
    const all = await b.page.$$eval('[data-planted]', (l) => l.length);
    await b.at.press('[data-way="behind"]');
    await b.page.waitForFunction((n) => document.querySelectorAll('[data-planted]').length === n + 1, {}, all); // prettier-ignore
    await b.page.waitForFunction(() => Number(document.querySelector('[data-plugs="P-1"]')!.getAttribute('data-count')) <= 26); // prettier-ignore
    await b.page.click('[aria-label="Undo"]');
    await b.page.waitForFunction((n) => document.querySelectorAll('[data-planted]').length === n, {}, all);
  });
});

describe('one selection', () => {
  it('is reached by keys from the list: arrows move the patch, Delete takes it away, Escape returns', async () => {
    await planting();
    await b.at.focus('[data-planted="P-1"] button');
    await b.page.keyboard.press('Enter');
    await b.page.waitForFunction(() => document.activeElement?.getAttribute('data-region') === 'P-1');
    const left = () => b.page.$eval('[data-region="P-1"]', (e) => e.getBoundingClientRect().left);
    const from = await left();
    await b.page.keyboard.down('Shift');
    await b.page.keyboard.press('ArrowRight');
    await b.page.keyboard.up('Shift');
    await b.page.waitForFunction((was) => document.querySelector('[data-region="P-1"]')!.getBoundingClientRect().left > was + 1, {}, from); // prettier-ignore
    await b.page.keyboard.press('Delete');
    await b.page.waitForFunction(() => !document.querySelector('[data-region="P-1"]'));
    for (let n = 0; n < 2; n++) await b.page.click('[aria-label="Undo"]');
    await b.page.waitForSelector('[data-region="P-1"]');
    expect(await left()).toBe(from);
    // Before one is chosen arrows go on to the next.
    await b.page.evaluate(() => (document.querySelector('[data-region]') as SVGElement).focus());
    const first = await b.page.evaluate(() => document.activeElement!.getAttribute('data-region'));
    await b.page.keyboard.press('ArrowRight');
    expect(await b.page.evaluate(() => document.activeElement!.getAttribute('data-region'))).not.toBe(first);
  });

  it('is chosen in the table, in front or in the picture from the seat, and marked in all of them', async () => {
    await planting();
    const header = () => b.at.words('[data-test="planting-card"] header');
    const pale = () => b.page.$$eval('[data-test="planting-front"] [data-grown][opacity="1"]', (l) => [...new Set(l.map((e) => e.getAttribute('data-grown')))]); // prettier-ignore
    const at = async (selector: string, fx: number, fy: number) => {
      const box = (await (await b.page.waitForSelector(selector))!.boundingBox())!;
      await b.page.mouse.click(box.x + fx * box.width, box.y + fy * box.height);
    };
    // The carpet at the left stands in front on both.
    await at('[data-test="touch-front"]', 0.12, 0.84);
    await b.at.until('[data-test="planting-card"] header', (w) => w.includes('P-1'));
    expect(await pale()).toEqual(['P-1']);
    await b.page.waitForSelector('tr.chosen[data-planted="P-1"]');
    await b.at.press('[data-planted="P-5"]');
    expect(await header()).toContain('P-5');
    await b.page.waitForFunction(() => document.querySelectorAll('[data-test="planting-front"] [data-grown="P-1"][opacity="1"]').length === 0); // prettier-ignore
    await at('.seat canvas', 0.13, 0.78);
    await b.at.until('[data-test="planting-card"] header', (w) => w.includes('P-1'));
    await b.at.press('[data-test="all-plants"]');
    await b.page.waitForFunction(() => document.querySelectorAll('[data-grown]:not([opacity="1"])').length === 0); // prettier-ignore
  });
});

describe('weeks', () => {
  it('go by under the slider: plugs spread on the plan and stand higher in front', async () => {
    await planting();
    await week(0);
    await b.at.until('.weeks', (w) => w.startsWith('planting day'));
    const [young, spread] = [await ink(), await radius()];
    await week(8);
    await b.at.until('.weeks', (w) => w.startsWith('week 8'));
    await b.page.waitForFunction((r) => Number(/a([\d.]+) /.exec(document.querySelector('[data-plugs="P-1"] path')!.getAttribute('d')!)![1]) > r, {}, spread); // prettier-ignore
    expect(await ink()).toBeGreaterThan(young);
    function radius() {
      return b.page.$eval('[data-plugs="P-1"] path', (e) =>
        Number(/a([\d.]+) /.exec(e.getAttribute('d')!)![1]),
      );
    }
  });
});

describe('light and flow', () => {
  it('lie over the plan; the light under the pointer is said, and a lamp with half its output gives half', async () => {
    await planting();
    await b.page.click('[data-overlay="light"]');
    await b.page.waitForSelector('[data-test="light-map"]');
    const box = (await (await b.page.$('[data-test="light-map"]'))!.boundingBox())!;
    const point = async () => {
      await b.page.mouse.move(box.x + box.width * 0.5, box.y + box.height * 0.7);
      await b.page.mouse.move(box.x + box.width * 0.5, box.y + box.height * 0.72);
      return figure(await b.at.until('[data-test="spot"]', (w) => /\d+ µmol/.test(w)));
    };
    await week(0);
    await b.at.until('.tell', (w) => /as planted/.test(w));
    const full = await point();
    expect(full).toBeGreaterThan(20);
    // On a stone it is the light on the stone that is said, from above and from the front.
    for (const stone of ['[data-plan-piece="S-14"]', '[data-piece="S-14"]']) {
      const over = (await (await b.page.$(stone))!.boundingBox())!;
      await b.page.mouse.move(over.x + over.width * 0.5, over.y + over.height * 0.6, { steps: 3 });
      expect(figure(await b.at.until('[data-test="spot"]', (w) => /on S-14$/.test(w)))).toBeGreaterThan(5);
    }
    // Under stems and grasses less is left by week 12; the words say which week it is.
    const bright = () => b.page.$eval('[data-test="light-map"]', (e) => e.getAttribute('href'));
    const asPlanted = await bright();
    await week(12);
    await b.at.until('.tell', (w) => /week 12, under what has grown/.test(w));
    expect(await bright()).not.toBe(asPlanted);
    await week(0);
    await b.page.click('[data-overlay="flow"]');
    await b.page.waitForSelector('[data-test="flow-map"]');
    await b.at.until('.tell', (w) => /900 L an hour, \d+\.\d times the free water/.test(w));
    const id = new URL(b.page.url()).pathname.split('/')[2];
    const { document: doc, revision } = await (await fetch(`${b.server.url}/api/commissions/${id}`)).json();
    doc.site.devices[0].light.output = 0.5;
    const saved = await fetch(`${b.server.url}/api/commissions/${id}`, { method: 'PUT', headers: { 'Content-Type': 'application/json' }, body: JSON.stringify({ revision, document: doc }) }); // prettier-ignore
    expect(saved.status).toBe(200);
    await planting({ anew: true });
    await b.page.click('[data-overlay="light"]');
    await b.page.waitForSelector('[data-test="light-map"]');
    await week(0);
    await b.at.until('.tell', (w) => /as planted/.test(w));
    expect((await point()) / full).toBeCloseTo(0.5, 1);
  });
});

describe('the section', () => {
  it('goes through the spot last touched, with what stands there in a week', async () => {
    await planting();
    await b.at.press('[data-test="section"]');
    const line = () => b.page.$eval('[data-test="section-line"]', (e) => e.getAttribute('d'));
    const first = await line();
    const box = (await (await b.page.waitForSelector('[data-region="P-2"]'))!.boundingBox())!;
    await b.page.mouse.click(box.x + box.width * 0.7, box.y + box.height * 0.6);
    await b.page.waitForFunction((d) => document.querySelector('[data-test="section-line"]')!.getAttribute('d') !== d, {}, first); // prettier-ignore
    await b.page.waitForSelector('[data-test="planting-section"] [data-grown="P-2"]');
    await b.page.click('[data-overlay="cover"]');
    const percent = async () => figure(await b.at.words('[data-cover="P-2"]'));
    const young = await percent();
    await week(12);
    await b.page.waitForFunction((n) => parseInt(document.querySelector('[data-cover="P-2"]')!.textContent!) > n, {}, young); // prettier-ignore
  });
});

describe('the studio’s list', () => {
  it('has a plant changed in place, and takes one in from a CSV; a wrong one changes nothing', async () => {
    await planting();
    await b.at.press('[data-test="studio-list"]');
    // The sheet has to come to rest before it is typed into.
    await b.at.press('[data-test="new-plant"]');
    await b.at.type('[data-test="new-plant"]', 'Ranunculus inundatus');
    await b.at.press('[data-test="add-plant"]');
    await b.at.until('[data-test="plants-said"]', (w) => w === 'Ranunculus inundatus is kept.');
    await b.at.type('[data-test="plant-spread"]', '90');
    const plants = async () => (await (await fetch(`${b.server.url}/api/studio`)).json()).catalogue.plants;
    await b.page.waitForFunction(async () => (await (await fetch('/api/studio')).json()).catalogue.plants.some((p: any) => p.id === 'ranunculus-inundatus' && p.spreadMm === 90)); // prettier-ignore
    const folder = mkdtempSync(join(tmpdir(), 'utsuwa-plants-'));
    const take = async (text: string) => {
      writeFileSync(join(folder, 'plants.csv'), text);
      const input = await b.page.$('[data-test="plants-in"]');
      await (input as unknown as { uploadFile(path: string): Promise<void> }).uploadFile(
        join(folder, 'plants.csv'),
      );
    };
    await take('name,spread mm\nMoss sp.,60 mm\n');
    await b.at.until('[data-test="plants-said"]', (w) => /Nothing was taken in.*Line 2.*spread mm/.test(w));
    await take('name,habit,spread mm\nMoss sp.,moss,60\n');
    await b.at.until('[data-test="plants-said"]', (w) => w === '1 plant was taken in, 1 of them new.');
    expect((await plants()).find((p: any) => p.id === 'moss')).toMatchObject({
      roots: 'epiphyte',
      spreadMm: 60,
    });
    await b.page.click('[data-test="close-list"]');
    await b.page.waitForFunction(() => !document.querySelector('[data-test="close-list"]'));
  });
});

describe('on paper', () => {
  it('the planting plan numbers every plug and says what is prepared', async () => {
    await planting();
    const plugs = await b.page.$$eval('[data-plugs]', (l) => l.reduce((n, e) => n + Number(e.getAttribute('data-count')), 0)); // prettier-ignore
    await b.at.press('[data-test="planting-plan-link"]');
    await b.page.waitForSelector('[data-test="plan-plugs"]');
    expect(await b.page.$$eval('[data-plug]', (l) => l.length)).toBe(plugs);
    const rows = await b.at.words('[data-test="plan-rows"]');
    expect(rows).toMatch(/1–\d+/);
    expect(rows).toMatch(/rinse the gel off/);
  });
});
