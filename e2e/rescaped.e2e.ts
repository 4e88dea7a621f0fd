import { describe, expect, it } from 'vitest';
import { withDemo } from './harness';

/* A tank that stands there: looked at, begun from, and what becomes of each of its things. */

const b = withDemo({ width: 1280, height: 800 });
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
    await b.at.until(fate('left'), (w) => w.includes('nothing'));
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
});
