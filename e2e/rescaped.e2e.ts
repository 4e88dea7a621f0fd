import { describe, expect, it } from 'vitest';
import { Finger } from './briefs/hand';
import { withDemo } from './harness';

/* A tank that stands there: looked at, begun from, and what becomes of each of its things. */

const b = withDemo({ width: 1280, height: 800, hasTouch: true });
const BENCH = '/c/demo-reading/bench';
const fate = (name: string) => `[data-fate="${name}"]`;
const lines = (name: string) =>
  b.page.$$eval(`${fate(name)} [data-line]`, (all) => all.map((e) => e.getAttribute('data-line')));

describe('a tank that stands there', () => {
  it('is under the scape in outline, and what becomes of it is said thing by thing', async () => {
    await b.at.open(BENCH);
    await b.page.waitForSelector('[data-ghost="L-7"]');
    await b.at.press('[data-tray="now"]');
    await b.at.until(`${fate('left')} h2`, (w) => w.includes('23.5 L'));
    expect(await lines('moved')).toEqual(['K-1', 'K-2', 'K-3', 'K-4', 'K-5', 'P-1', 'P-2']);
    await b.at.press('[data-test="ghost-toggle"]');
    await b.page.waitForSelector('[data-ghost]', { hidden: true });
  });

  it('asks where a thing goes that is taken away, has it back as it stood, and undoes both', async () => {
    await b.at.open(BENCH);
    await b.at.press('[data-tray="now"]');
    const goes = `${fate('left')} [data-line="L-3"] select`;
    await b.page.waitForSelector(goes);
    await b.page.select(goes, '');
    await b.page.waitForFunction(() => document.body.textContent!.includes('One thing comes out of the tank'));
    await b.at.press('[data-keep="L-3"]');
    await b.page.waitForSelector(`${fate('stays')} [data-line="L-3"]`);
    // It stands again in a bed that goes from under it.
    await b.page.waitForFunction(() => document.body.textContent!.includes('L-3 stays as it stands, and 23.5 L'));
    for (const _ of [1, 2]) await b.at.press('[aria-label="Undo"]');
    await b.page.waitForFunction((s) => document.querySelector<HTMLSelectElement>(s)?.value === 'dry', {}, goes);
    await b.saved();
  }); // prettier-ignore

  it('is a scape of its own on the same bench: a stone moved in it is no work; left for another stage it is out of sight', async () => {
    await b.at.open(BENCH);
    await b.page.waitForSelector('[data-piece="K-1"]');
    await b.at.clickText('.tabs', 'As it is now');
    await b.page.waitForSelector('[data-piece="L-7"]');
    await b.at.focus('[data-piece="K-1"]');
    await b.page.keyboard.press('ArrowLeft');
    const stored = () => b.page.evaluate(async () => (await (await fetch('/api/commissions/demo-reading')).json()).document); // prettier-ignore
    const left = (of: { pieces: { id: string; at: number[] }[] }) =>
      of.pieces.find((p) => p.id === 'K-1')!.at[0];
    while (left((await stored()).now) === 180) await b.saved();
    expect(left((await stored()).now)).toBeLessThan(180);
    expect(left((await stored()).options[0])).toBe(330);
    await b.at.press('[aria-label="Undo"]');
    await b.at.open('/c/demo-reading/build');
    await b.at.until('.workbench', (w) => w.includes('Lift what is set again'));
    expect(await b.page.$$eval('.tabs [role="tab"]', (all) => all.map((e) => e.textContent!.trim()))).toEqual([expect.stringContaining('Two readers')]); // prettier-ignore
    await b.saved();
  });

  it('is begun from: the option is as it stands, and everything stays', async () => {
    await b.at.open(BENCH);
    await b.page.waitForSelector('[data-piece="K-1"]');
    await b.at.clickText('.tabs', 'As it is now');
    await b.at.press('[data-tray="now"]');
    await b.at.press('[data-test="begin-from-now"]');
    // Nothing that is drawn is taken out; of the water so much is drained as was said.
    await b.page.waitForSelector(`${fate('left')} [data-line]`, { hidden: true });
    await b.at.until(`${fate('left')} [data-answered="water"]`, (w) => /80\.9 L/.test(w));
    expect((await lines('stays')).length).toBe(16);
    await b.at.press('[aria-label="Undo"]');
    await b.page.waitForSelector(`${fate('left')} [data-line="L-1"]`);
    await b.saved();
  });

  it('is begun from the marks of a job that has none, and stands beside its options', async () => {
    await b.at.open('/c/demo-rescape/brief');
    await b.at.press('[data-test="draw-now"]');
    await b.page.waitForSelector('[data-test="begin-from-now"]');
    await b.page.waitForSelector('[data-piece="S-14"]');
    expect(await b.page.$$eval('[data-piece]', (all) => all.length)).toBe(2);
    await b.saved();
    await b.at.open('/c/demo-rescape/options');
    await b.page.waitForSelector('[data-option="now"] svg');
    await b.at.until('[data-option="now"]', (w) => w.includes('As it is now'));
  });

  it('says of gear that goes and animals that stay what becomes of them, beside what is drawn', async () => {
    const hand = new Finger(b.page);
    await b.at.open('/c/demo-reading/vessel');
    await hand.touch('summary', 0);
    await hand.touch('[data-device="heater"] [data-test="device"]');
    await hand.choose('when the work begins', 'out, back to the client');
    await b.at.until('[data-device="heater"]', (w) => w.includes('is taken out'));
    await b.saved();
    await b.at.open(BENCH);
    await b.at.press('[data-tray="now"]');
    await b.at.until(`${fate('left')} [data-answered="heater"]`, (w) => w.includes('back to the client'));
    await b.at.until(`${fate('stays')} [data-answered="water"]`, (w) => /\d+\.\d L/.test(w));
    await b.at.until(fate('stays'), (w) => /13\s+Trigonostigma.*\s+in the water meanwhile/.test(w));
    await b.at.open('/c/demo-reading/run-sheet');
    await b.at.until('[data-test="sheet-list"]', (w) => /Old device off and out/.test(w));
  });
});

describe('a scape that is broken down elsewhere', () => {
  it('has its day in the brief and its parts on the bench, which nobody buys or sets aside', async () => {
    const hand = new Finger(b.page);
    await b.at.open('/c/demo-valley/brief');
    await b.at.press('[data-test="add-broken-down"]');
    await b.at.type('[data-test="broken-down-name"]', 'Spring window');
    await b.saved();
    await b.at.open('/c/demo-valley/bench');
    await b.at.press('[data-tray="pieces"]');
    await b.at.press('[data-listed="S-14"]');
    await hand.choose('comes from', 'out of Spring window');
    await b.saved();
    await b.at.open('/c/demo-valley/run-sheet');
    const sheet = await b.at.until('.workbench', (w) => w.includes('Break down Spring window'));
    expect(sheet).toMatch(/Break down Spring window: S-14 \(\d+(\.\d)? kg\)/);
    expect(sheet).not.toMatch(/Set aside:[^\n]*S-14\b/);
    // Off the list again, the stone is the studio's own.
    await b.at.open('/c/demo-valley/brief');
    await b.at.clickText('[data-broken-down]', 'Take away');
    await b.page.waitForSelector('[data-broken-down]', { hidden: true });
    await b.at.open('/c/demo-valley/run-sheet');
    await b.at.until('.workbench', (w) => /Set aside:[^\n]*S-14\b/.test(w));
    await b.saved();
  });
});
