import { describe, expect, it, vi } from 'vitest';
import { Finger } from './briefs/hand';
import { withDemo } from './harness';

/* A stand of wood that rises out of the water, planted dry, flooded in week four: from the empty brief to the care guide. */

vi.setConfig({ testTimeout: 300_000 });
const b = withDemo({ width: 1280, height: 800, hasTouch: true });
const test = (name: string) => `[data-test="${name}"]`;
const day = (id: string) => `[data-sitting="${id}"]`;
const chips = (of: string) =>
  b.page.$$eval(`${day(of)} [data-chip]`, (all) => all.map((e) => e.getAttribute('data-chip')));
const tray = (name: string) => b.at.press(`[data-tray="${name}"]`);
/** A picture on the way, where somebody wants to look. */
const seen = async (name: string) => {
  const folder = process.env.UTSUWA_LOOK;
  if (!folder) return;
  await new Promise((resolve) => setTimeout(resolve, 1_500));
  await b.page.screenshot({ path: `${folder}/${name}.png` });
};

/** Corners of a region on the planting plan, as shares of its size; the first closes it. */
async function painted(...corners: [number, number][]): Promise<void> {
  const box = (await (await b.page.waitForSelector(`${test('planting-plan')} .sheet`))!.boundingBox())!;
  for (const [x, y] of [...corners, corners[0]])
    await b.page.mouse.click(box.x + x * box.width, box.y + y * box.height);
}

describe('a stand of wood that is planted dry', () => {
  it('goes from its brief to its guide: weeks under film, then the water, then eight weeks of care', async () => {
    const { page, at } = b;
    const hand = new Finger(page);
    await at.open('/');
    await hand.touch(test('new'));
    await hand.fill('Commission', 'Stand by the stair');
    await hand.fill('Client', 'Mrs Larch');
    await hand.fill('Build day', '15 Mar 2030');
    await hand.leave();
    await hand.fill('Crew', '1');
    await hand.leave();
    await seen('1-brief');

    await hand.go('Vessel');
    for (const [name, mm] of [['length', '600'], ['width', '450'], ['height', '400'], ['line', '300']]) await at.type(test(name), mm); // prettier-ignore
    await b.saved();

    await hand.go('Bench');
    await page.waitForSelector(test('plan'));
    await tray('bed');
    await hand.choose('of', 'Active soil, granules');
    await at.type(test('ramp-back'), '110');
    await tray('yard');
    const woods = await page.$$eval('li:not(.used) > [data-yard^="R-"]', (all) =>
      all.map((e) => e.getAttribute('data-yard')!),
    );
    for (const wood of woods.slice(0, 2)) {
      await at.press(`[data-yard="${wood}"]`);
      await page.waitForSelector(`[data-piece="${wood}"]`);
    }
    await at.clickText(test('inspector'), 'Touches');
    await b.saved();
    await seen('2-bench');

    await hand.go('Planting');
    await hand.touch('[data-plant="cryptocoryne-parva"]');
    await painted([0.12, 0.3], [0.6, 0.3], [0.6, 0.4], [0.12, 0.4]);
    await at.until(test('planting-count'), (w) => w.includes('plug'));
    await b.saved();
    await seen('3-planting');

    await hand.go('Build day');
    await at.press(test('sitting-add'));
    await at.press('[data-kind="dry-start"]');
    await page.waitForSelector(`${day('planting')} [data-chip]`);
    await seen('4-build');
    // Bed, wood and plants go in four weeks ahead; the gear and the water on the day of the water.
    expect(await chips('planting')).toEqual(
      expect.arrayContaining(['soil', 'wood', 'plant-cryptocoryne-parva']),
    );
    const onTheDay = await chips('build');
    expect(onTheDay).toEqual(expect.arrayContaining(['equipment', 'fill', 'start']));
    expect(onTheDay).not.toContain('plant-cryptocoryne-parva');
    const dry = await at.until(day('planting'), (w) => w.includes('A dry start'));
    expect(dry).toMatch(/Fri 15 Feb/);
    await b.saved();
    await at.clickText('main', 'Run sheet');
    const sheet = await at.until('.workbench', (w) => /15 March 2030, the water/.test(w));
    // 27 dm² under 50 to 110 mm are 21.6 L in place; with what it settles 23.2 are poured, the first 60 % below.
    expect(sheet).toMatch(/Soil, first 13\.\d L[\s\S]*Last 9\.\d L of soil/);
    expect(sheet).toMatch(/Friday, 15 February 2030: Planting[\s\S]*Friday, 15 March 2030, the water/);
    await seen('5-sheet');

    await hand.go('Order');
    // What is laid and planted weeks before the water has come weeks before it.
    await at.until('.workbench', (w) => /15 Feb/.test(w));
    await seen('6-order');
    await hand.go('Handover');
    const guide = await at.until(
      test('care-guide'),
      (w) => /Planted/i.test(w) && /15 March 2030|15 Mar/.test(w),
    );
    await seen('7-guide');
    expect(guide).toMatch(/15 Feb/);
    expect(guide).toMatch(/Changing 29 L/);
    expect(guide).not.toMatch(/Planted for you on 15 March/);
  });
});
