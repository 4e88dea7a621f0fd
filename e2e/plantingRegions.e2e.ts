import { describe, expect, it } from 'vitest';
import { withDemo } from './harness';
import { onPlanting } from './plantingPage';

/* Where it is planted, with a real pointer and by keys: corners, drifts, belts, ground that is shared, cuts, spots on stone and wood. */

const b = withDemo({ width: 1280, height: 800 }, { shared: true, seat: true });
const { planting, count } = onPlanting(b);

describe('regions', () => {
  it('have corners that are drawn, and a belt goes round a stone', async () => {
    await planting();
    await b.at.press('[data-planted="P-6"]');
    await b.page.waitForSelector('[data-region-corner="3"]');
    const before = await count('P-6');
    await b.at.drag('[data-region-corner="3"]', 30, 0);
    await b.page.waitForFunction((n) => Number(document.querySelector('[data-plugs="P-6"]')!.getAttribute('data-count')) < n, {}, before); // prettier-ignore
    await b.page.click('[data-test="all-plants"]');
    await b.at.type('.plants .v-text-field', 'parva');
    await b.at.press('[data-plant="cryptocoryne-parva"]');
    await b.page.waitForSelector('[data-test="belt-along"]');
    await b.page.click('[data-test="belt-along"]');
    await b.page.waitForSelector('.v-list-item ::-p-text(S-14)');
    await b.at.press('.v-list-item ::-p-text(S-14)');
    await b.page.waitForSelector('[data-test="belt"]:not([disabled])');
    await b.at.press('[data-test="belt"]');
    await b.at.until(
      '[data-test="planting-card"]',
      (w) => /Cryptocoryne parva/.test(w) && /\d+ plugs on/.test(w),
    );
  });

  it('are drawn round in one stroke, as drifts', async () => {
    await planting();
    await b.at.type('.plants .v-text-field', 'lobelia');
    await b.at.press('[data-plant="lobelia-cardinalis-mini"]');
    const box = (await (await b.page.waitForSelector('[data-region="P-2"]'))!.boundingBox())!;
    const [cx, cy, r] = [box.x + box.width * 0.5, box.y + box.height * 0.5, box.height * 0.35];
    await b.page.mouse.move(cx + r, cy);
    await b.page.mouse.down();
    for (let i = 1; i <= 24; i++) await b.page.mouse.move(cx + r * Math.cos((i / 24) * 6.1), cy + r * Math.sin((i / 24) * 6.1)); // prettier-ignore
    await b.page.mouse.up();
    await b.at.until(
      '[data-test="planting-card"]',
      (w) => /Lobelia cardinalis/.test(w) && /\d+ plugs? on/.test(w),
    );
  });

  it('that lie on each other are shared or left to the other by one press', async () => {
    await planting();
    const whole = await count('P-2');
    await b.at.type('.plants .v-text-field', 'marsilea');
    await b.at.press('[data-plant="marsilea-hirsuta"]');
    const box = (await (await b.page.waitForSelector('[data-region="P-2"]'))!.boundingBox())!;
    for (const [fx, fy] of [
      [0.3, 0.4],
      [0.9, 0.4],
      [0.9, 0.9],
      [0.3, 0.9],
    ])
      // prettier-ignore
      await b.page.mouse.click(box.x + fx * box.width, box.y + fy * box.height);
    await b.page.keyboard.press('Enter');
    // What was drawn there before has its part of the ground as well.
    const on = await b.at.until('[data-test="on"]', (w) => /Lies on P-2/.test(w));
    const sharing = on.match(/P-\d+/g)!.length + 1;
    await b.at.press('[data-test="share-ground"]');
    await b.page.waitForFunction(() => !document.querySelector('[data-test="on"]'));
    await b.at.until('[data-test="share"]', (w) => /of the ground/.test(w));
    expect(await b.page.$eval('[data-test="share"] input', (e) => (e as HTMLInputElement).value)).toBe(
      String(Math.round(100 / sharing)),
    );
    await b.page.click('[aria-label="Undo"]');
    await b.at.press('[data-test="leave-ground"]');
    await b.page.waitForFunction(() => !document.querySelector('[data-test="on"]'));
    // Or the others give way to it.
    await b.page.click('[aria-label="Undo"]');
    await b.page.waitForFunction((n) => document.querySelector('[data-plugs="P-2"]')!.getAttribute('data-count') === String(n), {}, whole); // prettier-ignore
    await b.at.press('[data-test="take-ground"]');
    await b.page.waitForFunction(() => !document.querySelector('[data-test="on"]'));
    await b.page.waitForFunction((n) => Number(document.querySelector('[data-plugs="P-2"]')!.getAttribute('data-count')) < n, {}, whole); // prettier-ignore
  });

  it('are none on wood: moss is counted there, and stands on its upper faces', async () => {
    await planting();
    await b.at.press('[data-planted="P-8"]');
    await b.at.until('[data-test="planting-card"]', (w) => /12 plugs/.test(w));
    expect(await count('P-8')).toBe(12);
    await b.at.type('[data-test="portions"]', '20');
    await b.page.waitForFunction(
      () => document.querySelector('[data-plugs="P-8"]')?.getAttribute('data-count') === '20',
    );
  });
});

describe('a planting', () => {
  it('is cut in two along a line that is drawn across it, and joined again', async () => {
    await planting();
    const plantings = () => b.page.$$eval('[data-planted]', (l) => l.length);
    await b.at.press('[data-planted="P-1"]');
    const [whole, n] = [await count('P-1'), await plantings()];
    await b.at.press('[data-test="split-region"]');
    const box = (await (await b.page.waitForSelector('[data-region="P-1"]'))!.boundingBox())!;
    await b.page.mouse.move(box.x + box.width * 0.4, box.y - 4);
    await b.page.mouse.down();
    await b.page.mouse.move(box.x + box.width * 0.45, box.y + box.height * 0.5, { steps: 4 });
    await b.page.mouse.move(box.x + box.width * 0.4, box.y + box.height + 4, { steps: 4 });
    await b.page.mouse.up();
    await b.page.waitForFunction((m) => document.querySelectorAll('[data-planted]').length === m, {}, n + 1);
    await b.page.waitForFunction((m) => Number(document.querySelector('[data-plugs="P-1"]')!.getAttribute('data-count')) < 0.7 * m, {}, whole); // prettier-ignore
    await b.page.click('[data-join]');
    await b.page.waitForFunction((m) => document.querySelectorAll('[data-planted]').length === m, {}, n);
    await b.page.waitForFunction((m) => Math.abs(Number(document.querySelector('[data-plugs="P-1"]')!.getAttribute('data-count')) - m) <= 1, {}, whole); // prettier-ignore
    // One step each: two of them back it is what it was.
    await b.page.click('[aria-label="Undo"]');
    await b.page.click('[aria-label="Undo"]');
    await b.page.waitForFunction((m) => document.querySelector('[data-plugs="P-1"]')?.getAttribute('data-count') === String(m), {}, whole); // prettier-ignore
    expect(await plantings()).toBe(n);
  });

  it('opens no pack for plugs of one’s own, stands in threes, and says what its packs gave', async () => {
    await planting();
    await b.at.press('[data-planted="P-2"]');
    const plugs = await count('P-2');
    await b.at.type('[data-test="own-plugs"]', '20');
    await b.at.until('[data-test="planting-card"]', (w) => w.includes(`20 of your own, ${Math.ceil((plugs - 20) / 8)} packs`)); // prettier-ignore
    const before = await b.page.$eval('[data-plugs="P-2"] path', (e) => e.getAttribute('d'));
    await b.at.press('[data-test="stands"]');
    await b.at.press('.v-list-item ::-p-text(in threes)');
    await b.page.waitForFunction((d) => document.querySelector('[data-plugs="P-2"] path')!.getAttribute('d') !== d, {}, before); // prettier-ignore
    expect(await count('P-2')).toBe(plugs);
    await b.at.type('[data-test="gave"]', '60');
    await b.saved();
    const { recorded } = await (await fetch(`${b.server.url}/api/studio`)).json();
    const packs = Math.ceil((plugs - 20) / 8);
    expect(recorded['eleocharis-pusilla']).toEqual({ plugsAPack: Array(3).fill(Math.round(60 / packs)), packs }); // prettier-ignore
  });

  it('sits on stone where it is touched from above, from the front and from the seat, and hides a joint', async () => {
    await planting();
    await b.at.type('.plants .v-text-field', 'anubias');
    await b.at.press('[data-plant="anubias-barteri-petite"]');
    await b.at.press('[data-test="pick"]');
    const spots = (n: number) => b.at.until('[data-test="spots"]', (w) => w.includes(`${n} set`));
    const inBox = async (selector: string, fx: number, fy: number) => {
      const box = (await (await b.page.waitForSelector(selector))!.boundingBox())!;
      await b.page.mouse.click(box.x + fx * box.width, box.y + fy * box.height);
    };
    await inBox('[data-plan-piece="S-14"]', 0.5, 0.5);
    await spots(1);
    await inBox('[data-piece="S-14"]', 0.5, 0.6);
    await spots(2);
    await inBox('.seat canvas', 0.32, 0.5);
    await spots(3);
    // What sits there stays there: another stone is another planting.
    await inBox('[data-plan-piece="S-03"]', 0.5, 0.5);
    await b.at.until('[data-test="fault"]', (w) => /has its spots on S-14: plant another/.test(w));
    await b.page.keyboard.press('Escape');
    await b.at.press('[data-test="forget"]');
    await b.at.press('[data-hide]');
    await spots(1);
  });
});

describe('by keys', () => {
  it('a patch is laid, moved by a corner, given another plant and taken away', async () => {
    await planting();
    await b.at.type('.plants .v-text-field', 'staurogyne');
    await b.at.focus('[data-plant="staurogyne-repens"]');
    await b.page.keyboard.press('Enter');
    await b.at.focus('[data-test="patch"]');
    await b.page.keyboard.press('Enter');
    await b.at.until(
      '[data-test="planting-card"]',
      (w) => /Staurogyne repens/.test(w) && /\d+ plugs on/.test(w),
    );
    const id = (await b.at.words('[data-test="planting-card"] header .quiet')).trim();
    const before = await count(id);
    await b.at.focus('[data-region-corner="0"]');
    for (let i = 0; i < 4; i++) {
      await b.page.keyboard.down('Shift');
      await b.page.keyboard.press('ArrowLeft');
      await b.page.keyboard.up('Shift');
    }
    await b.page.waitForFunction((s, n) => Number(document.querySelector(s)!.getAttribute('data-count')) > n, {}, `[data-plugs="${id}"]`, before); // prettier-ignore
    await b.at.focus('[data-test="take-away"]');
    await b.page.keyboard.press('Enter');
    await b.page.waitForFunction((s) => !document.querySelector(s), {}, `[data-plugs="${id}"]`);
  });
});

describe('corners by keys', () => {
  it('are set with a cross that arrows move', async () => {
    await planting();
    await b.at.type('.plants .v-text-field', 'marsilea');
    await b.at.focus('[data-plant="marsilea-hirsuta"]');
    await b.page.keyboard.press('Enter');
    const go = async (...keys: ('ArrowLeft' | 'ArrowRight' | 'ArrowUp' | 'ArrowDown')[]) => {
      await b.page.keyboard.down('Shift');
      for (const key of keys) await b.page.keyboard.press(key);
      await b.page.keyboard.up('Shift');
      await b.page.keyboard.press('Space');
    };
    await go('ArrowLeft', 'ArrowLeft');
    await go('ArrowRight', 'ArrowRight', 'ArrowRight');
    await go('ArrowUp', 'ArrowUp');
    await b.page.keyboard.press('Enter');
    await b.at.until(
      '[data-test="planting-card"]',
      (w) => /Marsilea hirsuta/.test(w) && /\d+ plugs on/.test(w),
    );
  });
});
