import type { Bench } from './harness';

const VALLEY = '/c/demo-valley/planting';

/** What tests ask of the planting of the valley; all of a file on one page. */
export function onPlanting(b: Bench) {
  /** What the last test changed has been worked out: all counts stand for as long as a plan waits for a hand to rest. */
  async function atRest(): Promise<void> {
    const counts = () =>
      b.page.$$eval('[data-plugs]', (l) => l.map((e) => e.getAttribute('data-count')).join());
    for (let before = ''; ;) {
      const now = await counts();
      if (now === before && now !== '') return;
      before = now;
      await new Promise((resolve) => setTimeout(resolve, 500));
    }
  }
  return {
    /** Nothing chosen, plants from above and from the front. Opened anew where another page is there. */
    planting: async ({ anew = false } = {}) => {
      if (anew) await b.at.load(VALLEY);
      else if (!b.page.url().endsWith(VALLEY)) await b.at.open(VALLEY);
      await b.at.press('[data-overlay="plants"]');
      await b.page.click('[data-test="front"]');
      await b.page.waitForSelector('[data-plugs]');
      if (await b.page.$('[data-test="all-plants"]')) await b.at.press('[data-test="all-plants"]');
      await atRest();
    },
    /** Plugs of a planting as they are drawn. */
    count: (id: string) => b.page.$eval(`[data-plugs="${id}"]`, (e) => Number(e.getAttribute('data-count'))),
    /** The slider of weeks by its keys: from the planting day on. */
    week: async (n: number) => {
      await b.at.focus('[data-test="week"]');
      await b.page.keyboard.press('Home');
      for (let i = 0; i < n; i++) await b.page.keyboard.press('ArrowRight');
    },
  };
}
