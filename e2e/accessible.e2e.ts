import axe from 'axe-core';
import { describe, expect, it } from 'vitest';
import { withDemo } from './harness';

/*
 * Every page, on paper and dim, against the Web Content Accessibility Guidelines 2.1 at levels A and AA, and what is
 * good practice beside them.
 */

const b = withDemo(undefined, { shared: true });
const RULES = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'best-practice'];

/** What of the page breaks a rule, an element a line. */
async function violations(rules: axe.RunOptions['runOnly']): Promise<string[]> {
  if (!(await b.page.evaluate(() => 'axe' in window))) await b.page.evaluate(axe.source);
  return b.page.evaluate(async (runOnly) => {
    const { violations } = await (window as unknown as { axe: typeof axe }).axe.run({ runOnly });
    return violations.flatMap((v) =>
      v.nodes.map((n) => `${v.id}: ${n.target.join(' ')}: ${n.failureSummary?.replace(/\s+/g, ' ')}`),
    );
  }, rules);
}

/** Words of hidden fields that are not in sight when these have the keyboard. */
function outOfSight(): Promise<string[]> {
  return b.page.$$eval('label input.sr', (all) =>
    all.flatMap((field) => {
      field.focus();
      const { top, bottom } = field.closest('label')!.getBoundingClientRect();
      field.blur();
      return top >= 0 && bottom <= window.innerHeight ? [] : [field.closest('label')!.textContent!];
    }),
  );
}

/** Changes between paper and dim as a person does. */
async function otherTheme(): Promise<void> {
  const other = await b.page.evaluate(() =>
    document.documentElement.dataset.theme === 'dim' ? 'paper' : 'dim',
  );
  await b.page.keyboard.down('Control');
  await b.page.keyboard.press('k');
  await b.page.keyboard.up('Control');
  await b.page.waitForSelector('input[aria-label="Find or do"]', { visible: true });
  await b.page.keyboard.type('paper or dim');
  await b.page.keyboard.press('Enter');
  await b.page.waitForSelector(`[data-theme="${other}"]`);
  await b.page.waitForSelector('.v-overlay--active', { hidden: true });
}

const PAGES: [page: string, path: string, there: string][] = [
  ['the list', '/', 'li'],
  ['the studio’s house', '/studio/house', '[data-test="house-name"]'],
  ['the studio’s materials', '/studio/materials', '[data-entry]'],
  ['the studio’s suppliers', '/studio/suppliers', '[data-supplier]'],
  ['the studio’s plants', '/studio/plants', '[data-test="studio-plant"]'],
  ['the studio’s looks', '/studio/looks', '[data-test="looks-theme"]'],
  ['the brief', '/c/demo-valley/brief', '[data-test="title"]'],
  ['the brief of a rescape', '/c/demo-rescape/brief', '[data-test="title"]'],
  ['the vessel', '/c/demo-valley/vessel', '[data-row="floor"]'],
  ['the site', '/c/demo-wall/vessel', '[data-row="floor"]'],
  ['the bench', '/c/demo-valley/bench', '[data-yard]'],
  ['the work in sittings', '/c/demo-arch/build', '[data-sitting="lintel"]'],
  ['the tank as it is now', '/c/demo-reading/bench?tray=now', '[data-line="L-1"]'],
  ['setting out', '/c/demo-valley/setting-out', '[data-test="set-pieces"]'],
  ['the planting plan', '/c/demo-valley/planting-plan', '[data-test="plan-plugs"]'],
  ['planting', '/c/demo-valley/planting', '[data-region]'],
  ['the take-off', '/c/demo-valley/take-off', '[data-line]'],
  ['the order', '/c/demo-valley/order', '[data-supplier]'],
  ['the build day', '/c/demo-valley/build', '.title'],
  ['the handover', '/c/demo-valley/handover', '.key'],
  ['the log', '/c/demo-valley/log', '[data-test="note"]'],
  ['the options', '/c/demo-valley/options', '[data-option="b"] svg'],
  ['the visit sheet', '/c/demo-valley/visit-sheet', '.visit'],
];

describe('for everyone, on paper and dim', () => {
  it.each(PAGES)('%s', async (_page, path, there) => {
    await b.at.open(path);
    await b.page.waitForSelector(there);
    expect(await violations({ type: 'tag', values: RULES })).toEqual([]);
    expect(await outOfSight()).toEqual([]);
    await otherTheme();
    // Names and order are the same in both; colours are not.
    expect(await violations({ type: 'rule', values: ['color-contrast'] })).toEqual([]);
  });
});
