import { describe, expect, it, vi } from 'vitest';
import { Finger } from './briefs/hand';
import { withDemo } from './harness';
import { figure } from './page';

/* A nano tank planned on a telephone with one finger: from the empty brief to the order, the run sheet and the guide. */

vi.setConfig({ testTimeout: 300_000 });
const b = withDemo({ width: 390, height: 844, hasTouch: true, isMobile: true });
const test = (name: string) => `[data-test="${name}"]`;

describe('a nano on a telephone', () => {
  it('goes by touch from the brief to its order, its run sheet and its guide', async () => {
    const { page, at } = b;
    const hand = new Finger(page);
    await at.open('/');
    await hand.touch(test('new'));
    await hand.fill('Commission', 'Nano on the shelf');
    await hand.fill('Client', 'Mx Ferro');
    await hand.fill('Crew', '1');
    await hand.animal('Neocaridina davidi', '10');
    await hand.fill('Budget for material', '160');

    await hand.go('Vessel');
    // A stage opens at its top, however far down the one before it was.
    await page.waitForFunction(() => document.querySelector('.workbench')!.scrollTop === 0);
    await hand.fill('length, left to right', '300');
    await hand.fill('width, front to back', '300');
    await hand.fill('height', '300');
    await hand.leave();
    await at.until('.vessel', (w) => /to the brim\s+27\.0 L/.test(w));

    await hand.go('Bench');
    await hand.touch('[data-tray="yard"]');
    await page.waitForSelector('[data-yard]');
    const stone = await handy();
    await hand.touch(`[data-yard="${stone}"]`);
    const onPlan = `[data-plan-piece="${stone}"]`;
    // A cube is looked at from one side at a time.
    await page.waitForSelector(`[data-piece="${stone}"]`);
    await hand.touch('[data-view="plan"]');
    await page.waitForSelector(onPlan);
    expect(await page.$('[data-piece]')).toBeNull();
    const x = () => page.$eval(onPlan, (el) => el.getBoundingClientRect().x);
    const before = await x();
    await dragged(onPlan, -24, -8);
    await page.waitForFunction((s, was) => document.querySelector(s)!.getBoundingClientRect().x < was - 15, {}, onPlan, before); // prettier-ignore
    await b.saved();

    await hand.go('Planting');
    await hand.touch('[data-plant="cryptocoryne-parva"]');
    await painted([0.55, 0.3], [0.9, 0.31], [0.9, 0.43], [0.55, 0.43]);
    expect(figure(await at.until(test('planting-count'), (w) => w.includes('plug')))).toBeGreaterThan(3);

    await hand.go('Take-off');
    await at.until('[data-line="cryptocoryne-parva"]', (w) => w.includes('pot'));
    // 30 × 30 cm under 50 to 90 mm of soil are 6.3 L in place, less what of the stone is buried.
    await at.until('.workbench', (w) => /1 material, 6\.[0-3]\d? L in place/.test(w));

    await hand.go('Order');
    await hand.touch(test('order'));
    await hand.touch(test('send-order'));
    await at.until(test('coming'), (w) => /comes \w{3} \d+ \w{3}/.test(w), 30_000);

    await hand.go('Build day');
    await at.until('.workbench', (w) => w.includes(stone));
    await hand.go('Handover');
    await at.until('.workbench', (w) => /shrimps and snails from/.test(w));
    console.info(
      `Nano by touch: ${hand.answers} answers, ${Math.round(hand.seconds / 6) / 10} min by the model`,
    );
  });
});

/** The stone of the yard that comes nearest to a kilogram, of those that stand nowhere. */
function handy(): Promise<string> {
  return b.page.$$eval('li:not(.used) > [data-yard^="S-"]', (all) => {
    const free = all.filter((e) => !/ in |built into/.test(e.querySelector('.quiet')!.textContent!));
    const kg = (e: Element) => Number(/([\d.]+)\s*kg/.exec(e.textContent!)![1]);
    return free.sort((a, b) => Math.abs(kg(a) - 1) - Math.abs(kg(b) - 1))[0].getAttribute('data-yard')!;
  });
}

/** A finger on the middle of something, moved by so many pixels, and off. */
async function dragged(selector: string, dx: number, dy: number): Promise<void> {
  const box = (await (await b.page.waitForSelector(selector))!.boundingBox())!;
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  const touch = await b.page.touchscreen.touchStart(x, y);
  for (const share of [0.25, 0.5, 0.75, 1]) await touch.move(x + dx * share, y + dy * share);
  await touch.end();
}

/** Corners of a region on the plan, as shares of the drawings' size; the first closes it. The plan comes up from above the list. */
async function painted(...corners: [number, number][]): Promise<void> {
  const sheet = `${test('planting-plan')} .sheet`;
  await b.page.waitForFunction((s) => document.querySelector(s)!.getBoundingClientRect().top > 60, {}, sheet);
  const box = (await (await b.page.waitForSelector(sheet))!.boundingBox())!;
  for (const [x, y] of [...corners, corners[0]])
    await b.page.touchscreen.tap(box.x + x * box.width, box.y + y * box.height);
}
