import { mkdtemp, readFile, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { withDemo } from './harness';
import { printed } from './pdf';
import { figure, onPage } from './page';

const b = withDemo();
const tally = (row: string) => `[data-row="${row}"]`;
const saved = () => b.saved();
const plugged = '[data-test="findings"]';

describe('a commission, from the list to the care guide', () => {
  it('is found by search and opened on the bench, sound', async () => {
    await b.at.open('/');
    await b.at.type('.search', 'orchard');
    await b.at.until('ul', (w) => w.includes('Orchard Lane') && !w.includes('Quillet'));
    // The scape itself, what is due, what it costs: once the row is looked at.
    const row = 'li:has(a[href="/c/demo-valley/bench"])';
    await b.page.waitForSelector(`${row} [data-drawn="yes"]`);
    expect(await b.at.words(`${row} [data-test="stands"]`)).toMatch(/Drawn, nothing ordered\s*£\d+\.\d\d/);
    expect(await b.at.words(`${row} [data-test="next"]`)).toMatch(/^\S.+ \d+ \w{3}, /);
    await b.at.clickText('ul', 'Orchard Lane practice');
    expect(await b.at.until(tally('soil-granules'), (w) => figure(w) > 20)).toMatch(
      /Soil\s*31\.\d L\s*4 × 9 L bag/,
    );
    expect(await b.at.words(plugged)).toMatch(/Nothing measured lies outside its limit/);
  });

  it('changes soil and findings while a stone is dragged, and undo brings it back', async () => {
    await b.at.open('/c/demo-valley/bench');
    const before = await b.at.until(tally('soil-granules'), (w) => figure(w) > 20);
    // Deeper into the bed: the soil moves before the button is let go.
    await b.at.drag('[data-piece="S-14"]', 0, 22, async () => {
      await b.at.until(tally('soil-granules'), (w) => figure(w) < figure(before));
    });
    // Towards the front glass: so do the findings.
    await b.at.drag('[data-plan-piece="S-33"]', 10, 80, async () => {
      await b.at.until(plugged, (w) => w.includes('S-33'));
    });
    expect(await b.at.words('[data-finding="piece.glass"]')).toMatch(
      /S-33 (leaves \d+ mm to the front pane|goes \d+ mm through the glass)/,
    );
    await saved();
    for (let step = 0; step < 2; step++) {
      await b.page.keyboard.down('Control');
      await b.page.keyboard.press('z');
      await b.page.keyboard.up('Control');
    }
    await b.at.until(plugged, (w) => !w.includes('S-33'));
    expect(await b.at.until(tally('soil-granules'), (w) => w === before)).toBe(before);
    // The page of this test goes with all that its browser keeps.
    await saved();
  });

  it('is worked by keyboard alone: nudged, turned, buried, taken off', async () => {
    await b.at.open('/c/demo-cube/bench');
    await b.page.waitForSelector('[data-piece="S-44"]');
    await b.at.focus('[data-piece="S-44"]');
    const left = '[data-test="inspector"] input';
    const value = () =>
      b.page.$$eval(left, (list) => list.slice(0, 4).map((el) => (el as HTMLInputElement).value));
    expect(await value()).toEqual(['150', '92', '15', '10']);
    await b.page.keyboard.press('ArrowRight');
    await b.page.keyboard.down('Shift');
    await b.page.keyboard.press('ArrowLeft');
    await b.page.keyboard.up('Shift');
    await b.page.keyboard.press(']');
    await b.page.keyboard.press('ArrowDown');
    expect(await value()).toEqual(['135', '92', '20', '15']);
    await b.page.keyboard.press('Delete');
    await b.page.waitForFunction(() => !document.querySelector('[data-piece="S-44"]'));
    await b.page.click('[aria-label="Undo"]');
    await b.page.waitForSelector('[data-piece="S-44"]');
    await saved();
  });

  it('changes the slope by a handle and by a typed value; a bad value stays and is explained', async () => {
    await b.at.open('/c/demo-cube/bench');
    const before = figure(await b.at.until(tally('soil-granules'), (w) => figure(w) > 1));
    await b.at.drag('[data-grip="back"]', 0, -50);
    const raised = figure(await b.at.until(tally('soil-granules'), (w) => figure(w) > before + 0.2));
    await b.page.click('[data-tray="bed"]');
    await b.at.type('[data-test="ramp-back"]', '72');
    await b.at.until(tally('soil-granules'), (w) => figure(w) < raised);
    await b.at.type('[data-test="ramp-back"]', '-4');
    expect(await b.at.until('[data-test="ramp-back"]', (w) => w.includes('is -4'))).toMatch(
      /must be at least 0/,
    );
    expect(await b.page.$eval('[data-test="ramp-back"] input', (el) => (el as HTMLInputElement).value)).toBe(
      '-4',
    );
    await saved();
  });

  it('draws the section where its line is dragged', async () => {
    await b.at.open('/c/demo-valley/bench');
    await b.page.waitForSelector('[data-test="cutline"]');
    const says = () =>
      b.page.$eval('.sheet', (el) => /(\d+) mm from the left/.exec(el.textContent ?? '')?.[1]);
    const before = Number(await says());
    await b.at.drag('[data-test="cutgrip"]', 120, 0);
    expect(Number(await says())).toBeGreaterThan(before + 100);
    await b.at.focus('[data-test="cutline"]');
    await b.page.keyboard.press('ArrowLeft');
    expect(await b.page.$eval('[data-test="cutline"]', (el) => el.getAttribute('aria-valuenow'))).toBe(
      await says(),
    );
  });

  it('takes a piece from the yard, and paints a plant on the plan', async () => {
    await b.at.open('/c/demo-cube/bench');
    await b.page.waitForSelector('[data-yard="S-47"]');
    await b.at.dragTo('[data-yard="S-47"]', '[data-test="plan"]');
    await b.page.waitForSelector('[data-piece="S-47"]');
    await b.page.click('[aria-label="Undo"]');
    await b.page.waitForFunction(() => !document.querySelector('[data-piece="S-47"]'));
    await b.at.open('/c/demo-cube/planting');
    await b.page.waitForSelector('[data-plant="cryptocoryne-parva"]');
    await b.page.click('[data-plant="cryptocoryne-parva"]');
    const box = (await (await b.page.waitForSelector('[data-region="P-1"]'))!.boundingBox())!;
    for (const [fx, fy] of [
      [0.6, 0.6],
      [0.9, 0.6],
      [0.9, 0.9],
    ])
      await b.page.mouse.click(box.x + fx * box.width, box.y + fy * box.height);
    await b.page.keyboard.press('Enter');
    expect(
      figure(await b.at.until('[data-test="planting-count"]', (w) => w.includes('plug'))),
    ).toBeGreaterThan(0);
    // Moss is counted, not painted.
    await b.at.press('[data-test="all-plants"]');
    await b.page.waitForSelector('[data-plant="taxiphyllum-barbieri"]');
    await b.page.click('[data-plant="taxiphyllum-barbieri"]');
    await b.at.until('[data-test="planting-card"]', (w) => w.includes('6 plugs'));
    await saved();
    await b.at.open('/c/demo-cube/take-off');
    await b.at.until('[data-line="taxiphyllum-barbieri"]', (w) => w.includes('1 box'));
    await b.at.until('[data-line="cryptocoryne-parva"]', (w) => w.includes('pot'));
    await saved();
  });

  it('opens a working in place, and shows US units everywhere', async () => {
    await b.at.open('/c/demo-valley/take-off');
    await b.page.waitForSelector('[data-line="soil-granules"]');
    await b.page.click('[data-line="soil-granules"] button');
    const words = await b.at.words('[data-test="workings"]');
    expect(words).toMatch(/under the drawn surface/);
    expect(words).toMatch(/settles 7 % on flooding/);
    expect(words).toMatch(/4 × 9 L bag/);
    await b.page.click('[data-test="units"]');
    await b.at.until('[data-line="soil-granules"]', (w) => w.includes('US gal'));
    expect(await b.at.words('[data-test="tally"]')).toMatch(/lb/);
    await b.page.click('[data-test="units"]');
  });

  it('shows an order before it is sent, and what was confirmed of it at once, wherever it is asked', async () => {
    await b.at.open('/c/demo-valley/order');
    const card = '[data-supplier="glasshouse-nine"]';
    await b.page.waitForSelector(`${card} [data-test="order"]`);
    await b.page.click(`${card} [data-test="order"]`);
    expect(await b.at.words('[data-test="order-preview"]')).toMatch(/wanted by \w{3} \d+ \w{3}\s*£\d/);
    await b.at.press('[data-test="not-yet"]');
    await b.page.waitForSelector('[data-test="order-preview"]', { hidden: true });
    await b.at.press(`${card} [data-test="order"]`);
    await b.at.press('[data-test="send-order"]');
    const coming = await b.at.until(`${card} [data-test="coming"]`, (w) => /^GL-\d+/.test(w), 30_000);
    expect(coming).toMatch(/^GL-\d+\s+comes \w{3} \d+ \w{3}\s*All of it came\s*£\d+/);
    const number = /GL-\d+/.exec(coming)![0];
    await b.at.open('/c/demo-valley/take-off');
    await b.at.until('main table', (w) => /comes \d+ \w{3}/.test(w));
    await b.at.open('/');
    await b.at.open('/c/demo-valley/order');
    expect(await b.at.until(`${card} [data-test="coming"]`, (w) => w.includes(number))).toBe(coming);
  });

  it('says why a task is not earlier, and prints the run sheet as a list', async () => {
    await b.at.open('/c/demo-valley/build');
    await b.page.waitForSelector('[data-task="fill"]');
    await b.at.press('[data-task="gaps"]');
    expect(await b.at.words('[data-test="why"]')).toMatch(
      /It waits for: Floss in gaps\. Through open gaps the bed runs out/,
    );
    expect(await b.page.$$eval('.task.waited', (l) => l.map((e) => e.getAttribute('data-task')))).toEqual(['close']); // prettier-ignore
    // One that is too small for a finger is come to from one beside it.
    await b.at.press('[data-test="task-before"]');
    const before = await b.page.$eval('.task.asked', (e) => e.getAttribute('data-task'));
    expect(before).not.toBe('gaps');
    await b.at.press('[data-test="task-after"]');
    expect(await b.page.$eval('.task.asked', (e) => e.getAttribute('data-task'))).toBe('gaps');
    await b.at.press('[data-task="gaps"]');
    await b.page.waitForFunction(() => !document.querySelector('[data-test="why"]'));
    await b.at.press('[data-test="run-sheet"]');
    await b.page.waitForFunction(() => location.pathname.endsWith('/run-sheet'));
    const words = await b.at.words('[data-test="sheet-list"]');
    expect(words).toMatch(/08:30–08:50/);
    expect(words).toMatch(/residual-current device/);
    // It has an address of its own, to be handed on, and a box before each line.
    expect(new URL(b.page.url()).pathname).toBe('/c/demo-valley/run-sheet');
    expect(await b.page.$$eval('[data-test="sheet-list"] .row', (rows) => rows.every((r) => r.querySelector('i')))).toBe(true); // prettier-ignore
    const run = await printed(b.page);
    expect(run.text).toMatch(/Fill, slowly/);
    expect(run.sizeMm).toEqual([210, 297]);
    await b.page.click('[data-test="run-sheet"]');
    await b.page.waitForSelector('[data-task="fill"]');
  });

  it('prints the care guide with its dates', async () => {
    await b.at.open('/c/demo-valley/handover');
    await b.page.waitForSelector('[data-test="care-guide"] .calendar');
    const { document } = await (await fetch(`${b.server.url}/api/commissions/demo-valley`)).json();
    const { text } = await printed(b.page);
    expect(text).toContain('Your tank, the first eight weeks');
    expect(text).toMatch(/Water conditioner: \d+ mL/);
    const day = new Date(`${document.brief.buildDay}T12:00:00`);
    const long = new Intl.DateTimeFormat('en-GB', { weekday: 'long', day: 'numeric', month: 'long' });
    expect(text).toContain(`Planted for you on ${long.format(day)}`);
    day.setDate(day.getDate() + 14);
    const short = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short' });
    expect(text).toContain(`shrimps and snails from ${short.format(day)}`);
    expect(text).not.toContain('Find or do');
  });

  it('takes a note, and everything is as it was left after a reload and a restart', async () => {
    await b.at.open('/c/demo-cliff/log');
    await b.at.type('[data-test="note"]', 'Client asks for shrimps in spring.');
    await b.page.click('[data-test="add-note"]');
    await b.at.until('ol', (w) => w.includes('shrimps in spring'));
    await saved();
    await b.server.restart();
    await b.page.reload();
    await b.at.until('ol', (w) => w.includes('shrimps in spring'));
    // Undo goes on over a reload within the day.
    await b.page.click('[aria-label="Undo"]');
    await b.at.until('ol', (w) => !w.includes('shrimps in spring'));
    await saved();
  });

  it('takes an entry of the log only when all of it is a value, asks about a day ahead, and lets it be changed', async () => {
    await b.at.open('/c/demo-cliff/log');
    const into = async (label: string, text: string) => {
      const field = await b.page.waitForSelector(`form ::-p-aria([name="${label}"][role="textbox"])`);
      await field!.click({ count: 3 });
      await b.page.keyboard.type(text);
    };
    await into('Day', '19 Jan 2030');
    await into('pH', 'neutral');
    await into('water', '75');
    await b.page.click('[data-test="add-note"]');
    await b.at.until('form', (w) => w.includes('settle what is marked first'));
    expect(await b.page.$('[data-test="reading"]')).toBeNull();
    await into('pH', '6.8');
    await into('water', '24');
    await b.page.click('[data-test="add-note"]');
    await b.at.until('form', (w) => w.includes('is of a day ahead'));
    await b.page.click('[data-test="add-note"]');
    expect(await b.at.until('ol', (w) => w.includes('pH 6.8'))).toMatch(/19 January 2030.*water 24 °C/s);
    await into('Note', 'half a thought');
    await b.page.click('[data-test="change-note"]');
    await into('water', '25.5');
    await b.page.click('[data-test="add-note"]');
    expect(await b.at.until('ol', (w) => w.includes('25.5'))).toMatch(
      /19 January 2030.*pH 6.8, water 25.5 °C/s,
    );
    expect((await b.page.$$('[data-test="reading"]')).length).toBe(1);
    // What was begun before an entry came into the form is there again.
    expect(await b.page.$eval('[data-test="note"] textarea', (t) => (t as HTMLTextAreaElement).value)).toBe('half a thought'); // prettier-ignore
    await b.page.click('[aria-label="Undo"]');
    await b.at.until('ol', (w) => w.includes('24 °C'));
    await b.page.click('[aria-label="Undo"]');
    await b.page.waitForSelector('[data-test="reading"]', { hidden: true });
    await saved();
  });

  it('keeps what is typed while the server is away, and saves it when it is back', async () => {
    await b.at.open('/c/demo-cliff/brief');
    await b.page.waitForSelector('[data-test="title"] input');
    await b.page.setRequestInterception(true);
    let away = true;
    b.page.on('request', (r) => void (away && r.method() !== 'GET' ? r.abort() : r.continue()));
    await b.at.type('[data-test="title"]', 'Quillet gallery, kept');
    await b.at.until('[data-test="save-state"]', (w) => w.includes('server away'));
    await b.page.reload();
    await b.page.waitForFunction(() =>
      document.querySelector('h2')?.textContent?.includes('Quillet gallery, kept'),
    );
    away = false;
    await saved();
    const { document } = await (await fetch(`${b.server.url}/api/commissions/demo-cliff`)).json();
    expect(document.title).toBe('Quillet gallery, kept');
  });

  it('lets two tabs race and loses neither version', async () => {
    const other = b.watched(await b.page.browserContext().newPage());
    const there = onPage(other, b.server.url);
    await b.at.open('/c/demo-cube/brief');
    await there.open('/c/demo-cube/brief');
    await other.waitForSelector('[data-test="title"] input');
    await there.type('[data-test="title"]', 'From the second tab');
    await there.until('[data-test="save-state"]', (w) => w.startsWith('saved'));
    await b.page.bringToFront();
    await b.at.type('[data-test="title"]', 'From the first tab');
    await b.page.waitForSelector('[data-test="keep-theirs"]');
    await b.at.press('[data-test="keep-theirs"]');
    await b.at.until('.head h2', (w) => w === 'From the second tab');
    await b.page.waitForSelector('[data-test="keep-theirs"]', { hidden: true });
    await b.page.click('[aria-label="Undo"]');
    await b.at.until('.head h2', (w) => w === 'From the first tab');
    await saved();
  });

  it('is found in the list by what it asks for, and looked at without opening it', async () => {
    await b.at.open('/');
    const titles = () => b.page.$$eval('li .words > b', (all) => all.map((el) => el.textContent));
    await b.page.waitForSelector('li:nth-child(3) [data-drawn="yes"]');
    const byDay = await titles();
    // Sorted by what the server works out by itself; nobody has to look at each before.
    await b.page.select('[data-test="sort"]', 'cost');
    await b.page.waitForFunction((first) => document.querySelector('li .words > b')?.textContent !== first, {}, byDay[0]!); // prettier-ignore
    await b.page.waitForFunction(() => !document.querySelector('[data-test="unknown"]'));
    await b.page.waitForFunction(() => [...document.querySelectorAll('[data-test="stands"]')].slice(0, 2).every((el) => el.textContent?.includes('£'))); // prettier-ignore
    const costs = await b.page.$$eval('[data-test="stands"]', (all) => all.slice(0, 2).map((el) => Number(/£([\d,.]+)/.exec(el.textContent ?? '')?.[1].replace(',', '')))); // prettier-ignore
    expect(costs[0]).toBeGreaterThan(costs[1]);
    await b.page.click('[data-show="archive"]');
    await b.at.until('.empty', (w) => w === 'No commission is like that today.');
    await b.page.click('[data-show="settle"]');
    await b.page.waitForSelector('li:nth-child(2)');
    expect(await titles()).not.toContain('Level cube');
    await b.page.focus('li:first-child .main');
    await b.page.keyboard.press('Space');
    expect(await b.at.words('[data-test="look"]')).toMatch(/Water\s+[\d.]+ L.*To settle.*Next/s);
    expect(new URL(b.page.url()).pathname).toBe('/');
  });

  it('imports a file, refuses a bad one with the field, and removes and brings back', async () => {
    const folder = await mkdtemp(join(tmpdir(), 'utsuwa-import-'));
    const good = await readFile(new URL('../demo/level-cube.json', import.meta.url), 'utf8');
    await writeFile(join(folder, 'bad.json'), good.replace('"height": 300', '"height": -300'));
    await b.at.open('/');
    const input = (await b.page.waitForSelector('input[type="file"]')) as unknown as {
      uploadFile(path: string): Promise<void>;
    };
    await input.uploadFile(join(folder, 'bad.json'));
    expect(await b.at.words('.fault')).toMatch(/vessel\.innerMm\.height: is -300 mm, must be at least 20 mm/);
    await input.uploadFile(new URL('../demo/level-cube.json', import.meta.url).pathname);
    await b.at.until(tally('soil-granules'), (w) => w.includes('3.6 L'));
    await b.at.open('/');
    await b.page.waitForSelector('[aria-label="Remove Level cube"]');
    await b.page.click('[aria-label="Remove Level cube"]');
    await b.at.clickText('[role="status"]', 'Bring it back');
    await b.page.waitForSelector('[aria-label="Remove Level cube"]');
    // One whose order is with a supplier is not removed unasked, and a bin with nothing in it begins nothing.
    // By the keyboard: what was brought back, and what is known of each later, moves rows away under a pointer.
    await b.at.focus('[aria-label="Remove Orchard Lane practice"]');
    await b.page.keyboard.press('Enter');
    expect(await b.at.words('[data-test="remove-ordered"]')).toMatch(
      /An order of Orchard Lane practice is with its supplier/,
    );
    await b.at.clickText('[data-test="remove-ordered"]', 'Leave it');
    await b.page.waitForSelector('[aria-label="Remove Orchard Lane practice"]');
    await b.page.click('[data-show="removed"]');
    await b.at.until('.empty', (w) => w === 'Nothing was removed in the last 30 days.');
    await rm(folder, { recursive: true });
  });
});
