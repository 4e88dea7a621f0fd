import type { KeyInput } from 'puppeteer-core';
import { describe, expect, it } from 'vitest';
import { withDemo } from './harness';

const b = withDemo();

/** One key after the other, counted; a chord is one key pressed with another held. */
let pressed = 0;
async function press(...names: KeyInput[]): Promise<void> {
  for (const name of names) await b.page.keyboard.press(name);
  pressed += names.length;
}
async function type(text: string): Promise<void> {
  await b.page.keyboard.type(text);
  pressed += text.length;
}
/** What is found by the first of these words is done. */
async function find(words: string, says: string): Promise<void> {
  await b.page.keyboard.down('Control');
  await press('k');
  await b.page.keyboard.up('Control');
  await b.page.waitForSelector('input[aria-label="Find or do"]');
  await type(words);
  await b.page.waitForFunction((t) => document.querySelector('.palette li')?.textContent?.includes(t), {}, says); // prettier-ignore
  await press('Enter');
  await b.page.waitForSelector('.v-overlay--active', { hidden: true });
}
const focused = (selector: string) =>
  b.page.waitForFunction((s) => document.activeElement?.matches(s), {}, selector);

/** A stone of the yard to its place, turned and let down. */
async function stone(id: string, x: string, y: string, turns: number): Promise<void> {
  const onPlan = `[data-plan-piece="${id}"]`;
  await find(id.toLowerCase(), id);
  await focused(onPlan);
  await press('x');
  await focused('.inspector input');
  await type(x);
  await press('Tab');
  await type(y);
  await press('Enter');
  await focused(onPlan);
  await press(...Array<KeyInput>(turns).fill(']'), 'd');
  await b.page.waitForFunction((s, at) => document.querySelector<HTMLInputElement>(s)?.value === at, {}, '[data-test="inspector"] .fields input', x); // prettier-ignore
}

describe('a composition by the keyboard alone', () => {
  it('goes from an empty list to three stones and a carpet, without a pointer', async () => {
    await b.at.open('/');
    await find('new commission', 'New commission');
    await b.page.waitForSelector('[data-test="title"]');
    const { pathname } = new URL(b.page.url());
    await find('bench', 'Bench');
    await b.page.waitForSelector('li:not(.used) > [data-yard^="S-"]');
    const free = await b.page.$$eval('li:not(.used) > [data-yard^="S-"]', (l) => l.map((e) => e.getAttribute('data-yard')!)); // prettier-ignore
    await stone(free[0], '200', '230', 3);
    await stone(free[1], '330', '200', 0);
    await stone(free[2], '140', '180', 6);
    expect(await b.page.$$eval('[data-plan-piece]', (l) => l.length)).toBe(3);
    // A carpet in front of them, corner by corner.
    await find('eleocharis pusilla', 'Plant Eleocharis pusilla');
    await focused('[data-test="planting-plan"]');
    for (const way of [['ArrowLeft', 'ArrowDown'], ['ArrowRight', 'ArrowRight'], ['ArrowUp', 'ArrowLeft']] as const) {
      await b.page.keyboard.down('Shift');
      await press(...way, ...way);
      await b.page.keyboard.up('Shift');
      await press('Space');
    } // prettier-ignore
    await press('Enter');
    await b.at.until('[data-test="planting-card"]', (w) => /Eleocharis pusilla/.test(w) && /\d+ plugs on/.test(w)); // prettier-ignore
    await b.saved();
    console.info(`Three stones and a carpet: ${pressed} keys, no pointer`);
    expect(pressed).toBeLessThan(160);
    const id = pathname.split('/')[2];
    const { document } = await (await fetch(`${b.server.url}/api/commissions/${id}`)).json();
    const [option] = document.options;
    expect(option.pieces.map((p: { at: number[] }) => p.at)).toEqual([[200, 230], [330, 200], [140, 180]]); // prettier-ignore
    expect(option.pieces[0].turnDeg).toBe(15);
    expect(option.plants).toHaveLength(1);
  });
});
