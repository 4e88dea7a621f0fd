import type { Layer } from '../core/commission/schema';
import { describe, expect, it } from 'vitest';
import { Finger } from './briefs/hand';
import { withDemo } from './harness';
import { figure } from './page';
import { printed } from './pdf';

/* Composing on the bench with a real pointer: from an empty vessel to a scape, and what it does by itself. */

const b = withDemo({ width: 1280, height: 800, hasTouch: true }, { seat: true });
const row = (name: string) => `[data-row="${name}"]`;
const hand = () => new Finger(b.page);
const tab = (name: string) => b.at.clickText('[role="tablist"]', name);
const findings = '[data-test="findings"]';

/** A spot of the plan, as shares from the left and from the back. */
async function onPlan(x: number, y: number): Promise<[number, number]> {
  const box = (await (await b.page.waitForSelector('[data-test="plan"] .glass'))!.boundingBox())!;
  return [box.x + box.width * x, box.y + box.height * y];
}
async function newOne(): Promise<void> {
  await b.at.open('/');
  await b.page.waitForSelector('[data-test="new"]');
  await b.page.click('[data-test="new"]');
  await b.page.waitForSelector('[data-test="title"]');
  await b.at.open(`${new URL(b.page.url()).pathname.replace(/\/brief$/, '')}/bench`);
  await b.page.waitForSelector('[data-test="plan"]');
}

/** The line and the floor of each path as they were kept, the path before its edge. */
async function paths(): Promise<{ line: [number, number][]; region: [number, number][] }[]> {
  const id = new URL(b.page.url()).pathname.split('/')[2];
  const { document } = await (await fetch(`${b.server.url}/api/commissions/${id}`)).json();
  const laid = (document.options[0].bed as Layer[]).filter((l) => l.path);
  laid.sort((one, other) => Number(Boolean(one.path!.edgeOf)) - Number(Boolean(other.path!.edgeOf)));
  return laid.map((l) => ({
    line: l.path!.line as [number, number][],
    region: l.region as [number, number][],
  }));
}

describe('a first arrangement', () => {
  it('is taken, changed by hand, turned and copied, and taken back step by step', async () => {
    await newOne();
    await tab('Starts');
    await b.page.waitForSelector('[data-start="three"]');
    await b.page.click('[data-start="three"]');
    await b.page.waitForFunction(() => document.querySelectorAll('[data-piece]').length === 3);
    const [first, second] = await b.page.$$eval('[data-piece]', (l) => l.map((e) => e.getAttribute('data-piece')!)); // prettier-ignore
    // Keys go to the piece that the pointer chose, not to what had them before.
    await b.at.focus(`[data-piece="${second}"]`);
    // As it stands: what is drawn anew meanwhile takes its place under the pointer.
    await b.at.press(`[data-plan-piece="${first}"]`);
    const leftOf = async (id: string) => figure(/at ([\d.]+)/.exec((await b.page.$eval(`[data-piece="${id}"]`, (e) => e.getAttribute('aria-label')))!)![1]); // prettier-ignore
    const [one, other] = [await leftOf(first), await leftOf(second)];
    await b.page.keyboard.press('ArrowRight');
    await b.page.waitForFunction((s, n) => document.querySelector(s)!.getAttribute('aria-label')!.includes(`at ${n} mm`), {}, `[data-piece="${first}"]`, one + 5); // prettier-ignore
    expect(await leftOf(second)).toBe(other);
    await b.page.keyboard.press('ArrowLeft');
    // Two together, by Shift: what moves one moves both.
    await b.page.click(`[data-plan-piece="${first}"]`);
    await b.page.keyboard.down('Shift');
    await b.page.click(`[data-plan-piece="${second}"]`);
    await b.page.keyboard.up('Shift');
    await b.at.until('[data-test="inspector"]', (w) => w.includes('and 1 more'));
    await b.page.click('[data-test="copy"]');
    await b.page.waitForFunction(() => document.querySelectorAll('[data-piece]').length === 5);
    // The copies are bought: the yard has each stone once.
    await b.at.until(row('slate'), (w) => /\d kg/.test(w) && !/nothing to buy/.test(w));
    await b.page.click('[aria-label="Undo"]');
    await b.page.waitForFunction(() => document.querySelectorAll('[data-piece]').length === 3);
    await b.page.click(`[data-plan-piece="${first}"]`);
    // It tips at a smaller lean the more it leans already, until it is taken back.
    const tips = (w: string) => Number(/tips at (\d+)°/.exec(w)?.[1] ?? 0);
    const upright = tips(await b.at.until('[data-test="inspector"]', (w) => tips(w) > 0));
    await hand().fill('buried', '2');
    await b.at.type('[data-test="lean-right"]', '25');
    await b.at.until('[data-test="inspector"]', (w) => tips(w) < upright - 3);
    await b.page.click('[aria-label="Undo"]');
    await b.page.click('[aria-label="Undo"]');
    await b.at.until('[data-test="inspector"]', (w) => tips(w) === upright);
  });
});

describe('the bed', () => {
  it('is raised with a brush until it is too steep, let settle, kept, and put back', async () => {
    await newOne();
    await tab('Bed');
    const before = figure(await b.at.until(row('soil-granules'), (w) => figure(w) > 10));
    await b.page.click('[data-tool="raise"]');
    await b.at.type('[data-test="strength"]', '20');
    const [x, y] = await onPlan(0.3, 0.5);
    await b.page.mouse.move(x, y);
    await b.page.mouse.down();
    for (let i = 0; i < 12; i++) await b.page.mouse.move(x + (i % 2) * 40, y, { steps: 2 });
    await b.page.mouse.up();
    await b.at.until(row('soil-granules'), (w) => figure(w) > before);
    await b.at.until(findings, (w) => /rises at \d+°/.test(w));
    await b.saved();
    await b.page.click('[data-test="settle"]');
    expect(await b.at.until('[data-test="settled"]', (w) => /comes down/.test(w))).toMatch(
      /^0\.\d+ L comes down/,
    );
    await b.page.waitForSelector('[data-test="settled-marks"] circle');
    await b.page.click('[data-test="keep-settled"]');
    await b.at.until(findings, (w) => !/rises at/.test(w));
    // A stroke is one step, keeping another.
    await b.page.click('[aria-label="Undo"]');
    await b.page.click('[aria-label="Undo"]');
    await b.at.until(row('soil-granules'), (w) => figure(w) === before);
  });

  it('gets a path point after point, which narrows, is edged with gravel, and goes with its line', async () => {
    await newOne();
    await tab('Bed');
    await b.page.click('[data-tool="path"]');
    for (const [x, y] of [
      [0.45, 0.97],
      [0.58, 0.6],
      [0.5, 0.2],
    ] as const) {
      // prettier-ignore
      const [px, py] = await onPlan(x, y);
      await b.page.mouse.click(px, py);
    }
    await b.page.keyboard.press('Enter');
    const sand = figure(await b.at.until(row('quartz-sand'), (w) => figure(w) > 0.1));
    await b.at.type('[data-test="path-front"]', '160');
    await b.at.until(row('quartz-sand'), (w) => figure(w) > sand);
    // The field stands empty again afterwards, for the next band.
    await b.at.press('[data-test="edge"] input');
    await b.at.press('.v-overlay--active ::-p-text(River gravel, 3–8 mm)');
    await b.at.until(row('river-gravel'), (w) => figure(w) > 0.05);
    await b.saved();
    const was = await paths();
    await b.at.drag('[data-grip="path 1"]', 40, 0);
    await b.saved();
    const [path, edge] = await paths();
    expect(path.line[1][0]).toBeGreaterThan(was[0].line[1][0] + 10);
    expect(edge.line).toEqual(path.line);
    expect(path.region).not.toEqual(was[0].region);
    expect(edge.region).not.toEqual(was[1].region);
  });
});

describe('a stone', () => {
  it('carries soil on its top, which is bought with the rest, and goes with it', async () => {
    await b.at.open('/c/demo-valley/bench');
    const before = figure(await b.at.until(row('soil-granules'), (w) => figure(w) > 1));
    await b.page.click('[data-plan-piece="S-31"]');
    await b.at.press('[data-test="add-pocket"]');
    const small = figure(await b.at.until('[data-test="pocket-litres"]', (w) => figure(w) > 0));
    await b.at.type('[data-test="pocket-wide"]', '100');
    await b.at.until('[data-test="pocket-litres"]', (w) => figure(w) > small);
    await b.at.until(row('soil-granules'), (w) => figure(w) > before);
    await b.at.type('[data-test="pocket-high"]', '70');
    await b.at.until(findings, (w) => /The heap on S-31 is \d+° steep/.test(w));
    await b.page.waitForSelector('[data-test="front"] [data-pocket]');
    await b.page.click('[aria-label="Undo"]');
    await b.at.until(findings, (w) => !/steep/.test(w));
  });
});

describe('the views', () => {
  it('cut at any angle, by the foot of its line and by the arrows', async () => {
    await b.at.open('/c/demo-valley/bench');
    await b.at.until('[data-test="cut-where"]', (w) => /mm/.test(w) && !/turned/.test(w));
    await b.at.drag('[data-test="cutfoot"]', 120, -10);
    await b.at.until('[data-test="cut-where"]', (w) => /turned [2-6]\d°/.test(w));
    await b.at.focus('[data-test="cutline"]');
    for (let i = 0; i < 12; i++) await b.page.keyboard.press('ArrowUp');
    await b.at.until('[data-test="cut-where"]', (w) => !/turned [2-6]\d°/.test(w));
  });

  it('tell how much of the gear is seen from a seat, and what hides it', async () => {
    await b.at.open('/c/demo-rescape/bench');
    await b.at.until('[data-test="gear-seen"]', (w) => /^heater (\d+ % seen|hidden by [A-Z]-)/.test(w));
    await b.page.select('[data-test="seat"]', ' above');
    await b.at.until('[data-test="gear-seen"]', (w) => w === 'heater 100 % seen');
  });

  it('of two options lie one over the other, and a line is moved between them', async () => {
    await b.at.open('/c/demo-valley/options');
    await b.at.press('[data-test="show-between"]');
    await b.page.waitForFunction(
      () => document.querySelectorAll('[data-test="between"] canvas').length === 2,
    );
    const cuts = () => b.page.$$eval('[data-test="between"] .side', (l) => l.map((e) => (e as HTMLElement).style.clipPath)); // prettier-ignore
    expect(await cuts()).toEqual(['inset(0px 50% 0px 0px)', 'inset(0px 0px 0px 50%)']);
    await b.at.focus('[data-test="between-share"]');
    await b.page.keyboard.press('Home');
    expect(await cuts()).toEqual(['inset(0px 100% 0px 0px)', 'inset(0px 0px 0px 0%)']);
  });

  it('are made large, looked at up close, and measured in; the seat has its own light and picture', async () => {
    await b.at.open('/c/demo-valley/bench');
    await b.page.waitForSelector('[data-large="plan"]');
    const k = () => b.page.$eval('[data-test="sheet"]', (el) => Number(el.getAttribute('data-scale')));
    const all = await k();
    await b.page.click('[data-large="plan"]');
    await b.page.waitForFunction(() => !document.querySelector('[data-test="front"]'));
    expect(await k()).toBeGreaterThan(all * 1.5);
    const large = await k();
    await b.page.click('[data-test="nearer"]');
    await b.page.waitForFunction((was) => Number(document.querySelector('[data-test="sheet"]')!.getAttribute('data-scale')) > was * 1.4, {}, large); // prettier-ignore
    await b.page.click('[data-test="measure"]');
    const box = (await (await b.page.waitForSelector('[data-test="measuring"] rect'))!.boundingBox())!;
    const at = [Math.max(box.x, 140) + 60, Math.max(box.y, 60) + 80] as const;
    await b.page.mouse.click(at[0], at[1]);
    await b.page.mouse.click(at[0] + 100, at[1]);
    const measured = await b.at.until('[data-test="measured"]', (w) => /mm/.test(w));
    expect(figure(measured)).toBeCloseTo(100 / (await k()), -1);
    await b.page.click('[data-test="all-views"]');
    await b.page.waitForSelector('canvas[aria-label*="in perspective"]');
    await b.at.press('[data-test="looks"]');
    await b.page.select('[data-test="seat-light"]', 'night');
    await b.page.select('[data-test="seat"]', ' above');
    await b.page.waitForSelector('canvas[aria-label$="from above"]');
  });

  it('are printed: numbered pieces with their places, and the floor in its own size', async () => {
    await b.at.open('/c/demo-valley/setting-out');
    const table = await b.at.until('[data-test="set-pieces"]', (w) => /S-14/.test(w));
    expect(table).toMatch(/^No\.[\s\S]*1\s+S-14, Slate\s+\d+ mm\s+\d+ mm\s+turned \d+°/);
    await b.page.click('[data-test="what-footprint"]');
    expect(await b.at.words('[data-test="tiles"]')).toMatch(/^10 sheets of A4, 5 across and 2 deep/);
    const [{ w, h }] = await b.page.$$eval('[data-test="tile"] svg', (l) => l.map((e) => ({ w: e.getBoundingClientRect().width, h: e.getBoundingClientRect().height }))); // prettier-ignore
    // 96 px an inch: a millimetre on paper is a millimetre of the floor.
    expect([w / h, Math.round((w * 25.4) / 96)]).toEqual([expect.closeTo(190 / 277, 3), 190]);
    // Each sheet is a page of its paper, whatever the printer is set to.
    const small = await printed(b.page);
    expect([small.sheets, small.sizeMm]).toEqual([10, [210, 297]]);
    await b.page.select('[data-test="paper"]', 'A3');
    const sheets = figure(await b.at.until('[data-test="tiles"]', (t) => t.includes('A3')));
    const large = await printed(b.page);
    expect([large.sheets, [...large.sizeMm].sort()]).toEqual([sheets, [297, 420]]);
  });
});
