import { describe, expect, it } from 'vitest';
import { withDemo } from './harness';

/* The work in sittings: days side by side, tasks carried between them, each with its own clock. */

const b = withDemo({ width: 1280, height: 800, hasTouch: true });
const day = (id: string) => `[data-sitting="${id}"]`;
const chip = (of: string, key: string) => `${day(of)} [data-chip="${key}"]`;
const chips = (of: string) =>
  b.page.$$eval(`${day(of)} [data-chip]`, (all) => all.map((e) => e.getAttribute('data-chip')));
const stored = (id: string) =>
  b.page.evaluate(async (id) => (await (await fetch(`/api/commissions/${id}`)).json()).document.brief, id);

/** Takes a task by the mouse, holds it over a day, and lets it go there. */
async function carry(from: string, to: string, meanwhile: () => Promise<unknown>): Promise<void> {
  const x = (of: string) =>
    b.page.$eval(of, (el) => el.getBoundingClientRect().x + el.getBoundingClientRect().width / 2);
  await b.page.waitForSelector(from);
  await b.at.drag(from, (await x(to)) - (await x(from)), 0, async () => void (await meanwhile()));
}

describe('the work in sittings', () => {
  it('is one day until another is added, and one day again when it is taken away', async () => {
    await b.at.open('/c/demo-valley/build');
    await b.page.waitForSelector('[data-task="stones"]');
    expect(await b.page.$(day('build'))).toBeNull();
    await b.at.press('[data-test="sitting-add"]');
    await b.at.press('[data-kind="hardscape"]');
    await b.page.waitForSelector(chip('hardscape', 'stones'));
    expect(await chips('build')).not.toContain('stones');
    // It has a clock of its own, and says how it leaves the tank.
    await b.at.until(day('hardscape'), (w) => w.includes('Dry: bed and pieces as they stand'));
    await b.page.waitForSelector('.chart [data-task="leave"]');
    await b.at.press('[data-test="sitting-gone"]');
    await b.page.waitForSelector(day('build'), { hidden: true });
    await b.page.waitForSelector('.chart [data-task="fill"]');
    await b.saved();
  });

  it('shows what goes along with a task before it is let go, moves it, and has it back with one undo', async () => {
    await b.at.open('/c/demo-arch/build');
    await b.page.waitForSelector(chip('pillars', 'soil'));
    const goesAlong = () => b.page.waitForSelector(`${day('pillars')} .along[data-chip="stones"]`);
    await carry(chip('pillars', 'soil'), day('build'), goesAlong);
    await b.page.waitForSelector(chip('build', 'soil'));
    expect(await chips('build')).toEqual(expect.arrayContaining(['soil', 'stones']));
    await b.at.until('.said', (w) => w.includes('Moved: Soil'));
    await b.at.press('[aria-label="Undo"]');
    await b.page.waitForSelector(chip('pillars', 'soil'));
    // Escape puts it back where it was.
    await carry(chip('pillars', 'soil'), day('build'), async () => {
      await goesAlong();
      await b.page.keyboard.press('Escape');
    });
    expect(await chips('pillars')).toContain('soil');
    await b.saved();
  });

  it('refuses what the water cannot do without, by its reason; by keys a plant goes to the day after', async () => {
    await b.at.open('/c/demo-arch/build');
    await b.page.waitForSelector(chip('pillars', 'floor-stones'));
    await carry(chip('pillars', 'floor-stones'), day('after'), () =>
      b.page.waitForSelector(`${day('after')}.refuses`),
    );
    await b.at.until('[data-test="move-refused"]', (w) => w.includes('belongs to the day of the water'));
    await b.at.focus(chip('build', 'plant-rotala-rotundifolia'));
    await b.page.keyboard.press('ArrowRight');
    await b.page.waitForSelector(chip('after', 'plant-rotala-rotundifolia'));
    await b.saved();
    const { sittings } = await stored('demo-arch');
    expect(sittings.find((s: { id: string }) => s.id === 'after').tasks).toContain(
      'plant-rotala-rotundifolia',
    );
    await b.at.press('[aria-label="Undo"]');
    await b.page.waitForSelector(chip('build', 'plant-rotala-rotundifolia'));
    await b.saved();
  });

  it('is carried by a finger as well, and left where it is by one that only touches', async () => {
    await b.at.open('/c/demo-arch/build');
    const from = (await (await b.page.waitForSelector(chip('pillars', 'soil')))!.boundingBox())!;
    const to = (await (await b.page.waitForSelector(day('build')))!.boundingBox())!;
    const at = [from.x + from.width / 2, from.y + from.height / 2] as const;
    await b.page.touchscreen.tap(...at);
    const finger = await b.page.touchscreen.touchStart(...at);
    for (const share of [0.2, 0.6, 1])
      await finger.move(at[0] + share * (to.x + to.width / 2 - at[0]), at[1]);
    await b.page.waitForSelector(`${day('pillars')} .along[data-chip="stones"]`);
    expect(await chips('pillars')).toContain('soil');
    await finger.end();
    await b.page.waitForSelector(chip('build', 'soil'));
    await b.at.press('[aria-label="Undo"]');
    await b.page.waitForSelector(chip('pillars', 'soil'));
    await b.saved();
  });

  it('takes no day that is over, and says two sittings at one hour with a way out', async () => {
    await b.at.open('/c/demo-arch/build');
    await b.at.press(`${day('lintel')} .head`);
    const on = '[data-test="sitting-day"]';
    await b.at.type(on, '3 March 2020');
    await b.at.until('[data-test="sitting-form"]', (w) =>
      w.includes('is over: a sitting is planned for today or later'),
    );
    const { sittings } = await stored('demo-arch');
    const dayOf = (id: string): string => sittings.find((s: { id: string }) => s.id === id).day;
    expect(dayOf('lintel') > dayOf('pillars')).toBe(true);
    const asWritten = { day: 'numeric', month: 'long', year: 'numeric' } as const;
    await b.at.type(on, new Date(`${dayOf('pillars')}T12:00`).toLocaleDateString('en-GB', asWritten));
    await b.at.until('.notes', (w) =>
      /Two sittings on .*: the one from 18:30 still lasts when the next begins at 18:30/.test(w),
    );
    await b.at.press('[aria-label="Undo"]');
    await b.saved();
  });

  it('is on the run sheet day by day, with how the tank is left and what must not be', async () => {
    await b.at.open('/c/demo-arch/run-sheet');
    await b.at.until('[data-test="sheet-list"]', (w) =>
      /Pillars and bed.*Leave it for.*No water in it to try/s.test(w),
    );
    const days = await b.page.$$eval('[data-test="sheet-day"] h2', (all) => all.map((e) => e.textContent!));
    expect(days).toHaveLength(4);
    expect(days[0]).toMatch(/: Trial on the table$/);
  });

  it('has a thing set on a day of its own, and what was decided of it beside it and in the log', async () => {
    await b.at.open('/c/demo-arch/bench');
    await b.at.focus('[data-piece="S-63"]');
    await b.page.keyboard.press('Enter');
    await b.page.waitForSelector('[data-test="inspector"]');
    await b.at.type('[data-test="thing-note"]', 'Turned in: it opens the gate.');
    await b.at.until('[data-test="thing-notes"]', (w) => w.includes('Decided Turned in: it opens the gate.'));
    await b.at.press('[data-test="in-sitting"] .v-field');
    await b.at.press('.v-overlay-container .v-list-item ::-p-text(Lintel)');
    await b.at.until('[data-test="in-sitting"]', (w) => w.includes('Lintel'));
    await b.saved();
    const piece = await b.page.evaluate(async () => (await (await fetch('/api/commissions/demo-arch')).json()).document.options[0].pieces.find((p: { id: string }) => p.id === 'S-63')); // prettier-ignore
    expect(piece.sitting).toBe('lintel');
    await b.at.open('/c/demo-arch/build');
    await b.page.waitForSelector(chip('lintel', 'stones'));
    await b.at.open('/c/demo-arch/log');
    await b.at.until('.log', (w) => /Decided, S-63\s+Turned in: it opens the gate\./.test(w));
    // Found again beside the next stone of that kind, in another commission.
    await b.at.open('/c/demo-valley/bench');
    await b.page.waitForSelector('[data-piece]');
    await b.page.$eval('[data-piece]', (el) => (el as SVGElement).focus());
    await b.page.keyboard.press('Enter');
    await b.at.until('[data-test="thing-notes"]', (w) => /Decided before Turned in: it opens the gate\.\s+Corvane prints/.test(w)); // prettier-ignore
  });

  it('has loose stone strewn round two pieces, in litres and on the plan, and in a day of its own', async () => {
    await b.at.open('/c/demo-arch/bench');
    const water = () => b.page.$eval('[data-row="water"]', (e) => e.textContent!);
    await b.page.waitForSelector('[data-row="water"]');
    const before = await water();
    await b.at.press('[data-tray="loose"]');
    expect(await b.page.$$('[data-strewn]')).toHaveLength(2);
    await b.at.press('[data-test="strew-stone"]');
    await b.page.waitForSelector('[data-strewn="strewn"].chosen');
    await b.at.type('[data-test="strewn-amount"]', '4');
    await b.at.until('.lot.chosen', (w) => w.includes('4.0 kg'));
    await b.at.press('[data-test="strewn-around"] .v-field');
    await b.at.press('.v-overlay-container .v-list-item ::-p-text(S-63)');
    await b.page.keyboard.press('Escape');
    await b.page.waitForFunction(() => document.querySelectorAll('[data-strewn-drawn]').length === 3);
    // 4 kg of slate are nearly a litre and a half of stone.
    await b.page.waitForFunction((was) => document.querySelector('[data-row="water"]')!.textContent !== was, {}, before); // prettier-ignore
    await b.saved();
    await b.at.open('/c/demo-arch/build');
    await b.page.waitForSelector(chip('pillars', 'rubble'));
    await b.at.open('/c/demo-arch/bench');
    await b.at.press('[data-tray="loose"]');
    await b.at.press('[data-strewn="strewn"] [aria-label^="Strew"]');
    await b.page.waitForFunction(() => document.querySelectorAll('[data-strewn]').length === 2);
    await b.saved();
  });

  it('keeps a width free that was measured, and says what comes into it', async () => {
    await b.at.open('/c/demo-arch/bench');
    await b.page.waitForSelector('[data-piece="S-64"]');
    await b.at.clickText('.views', 'Measure');
    const box = (await (await b.page.waitForSelector('[data-keeps]'))!.boundingBox())!;
    for (const x of [0.93, 0.99]) await b.page.mouse.click(box.x + x * box.width, box.y + 0.65 * box.height);
    await b.at.press('[data-test="keep-free"]');
    await b.page.waitForSelector('[data-free]');
    await b.at.clickText('.views', 'Measure');
    await b.at.focus('[data-piece="S-64"]');
    for (let i = 0; i < 8; i++) {
      await b.page.keyboard.down('Shift');
      await b.page.keyboard.press('ArrowRight');
      await b.page.keyboard.up('Shift');
    }
    await b.page.waitForFunction(() =>
      /S-64 stands in a width of \d+ mm that is kept free/.test(document.body.textContent!),
    );
    await b.at.press('[data-free] text');
    await b.page.waitForSelector('[data-free]', { hidden: true });
    await b.saved();
  });
});
