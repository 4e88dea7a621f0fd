import { mkdtemp } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import sharp from 'sharp';
import type { Page } from 'puppeteer-core';
import { beforeAll, describe, expect, it, vi } from 'vitest';
import { withDemo } from '../harness';
import { desk } from './desk';
import type { Hand } from './hand';
import { rescape } from './rescape';
import type { Visit } from './visit';
import { wall } from './wall';

const MOST_S = 15 * 60;

type Job = 'desk' | 'wall' | 'rescape';

/**
 * First visits by one kind of hand, on a tablet of 1024 × 768: each kind has a file of its own, so that they go
 * side by side. The running tank is done by keyboard, the wall by touch: some ninety answers each, all kinds of them. The
 * desk, the shortest, is left to `ALL_HANDS=1`, which has each hand do all three: for before a change of the form
 * itself is landed.
 */
export function firstVisits(by: string, Kind: new (page: Page) => Hand, jobs: readonly Job[]): void {
  // Some ninety answers each: longer than other tests on a busy machine.
  vi.setConfig({ testTimeout: 300_000 });
  const b = withDemo({ width: 1024, height: 768, hasTouch: true });
  let picture = '';

  beforeAll(async () => {
    picture = join(await mkdtemp(join(tmpdir(), 'utsuwa-visit-')), 'place.png');
    await sharp({ create: { width: 900, height: 600, channels: 3, background: '#7a6a50' } })
      .png()
      .toFile(picture);
  });

  const found = () =>
    b.page.$$eval('[data-finding]', (all) => all.map((e) => e.getAttribute('data-finding')!));

  async function untilFound(wanted: readonly string[]): Promise<void> {
    for (let tries = 0; tries < 200; tries++) {
      const ids = new Set(await found());
      if (wanted.every((id) => ids.has(id))) return;
      await new Promise((resolve) => setTimeout(resolve, 50));
    }
    const ids = new Set(await found());
    expect(wanted.filter((id) => !ids.has(id))).toEqual([]);
  }

  /** The whole visit, from an empty commission to its last photograph, and what the document then says. */
  async function visited(hand: Hand, visit: Visit): Promise<void> {
    await b.at.open('/');
    await hand.touch('[data-test="new"]');
    await hand.fill('Commission', visit.title);
    await visit.brief(hand, picture);
    await hand.go('Vessel');
    await b.page.waitForSelector('[data-test="length"]');
    await visit.vessel(hand, picture);
    await hand.leave();
    await b.saved();
    const faults = await b.page.$$eval('.v-messages__message', (all) => all.map((e) => e.textContent));
    expect(faults).toEqual([]);
    expect(hand.seconds).toBeLessThan(MOST_S);
    console.info(
      `${visit.title}: ${hand.answers} answers, ${Math.round(hand.seconds / 6) / 10} min by the model`,
    );
    await visit.afterwards?.(hand);
    await untilFound(visit.findings);
    await b.saved();
    await b.page.reload();
    await untilFound(visit.findings);
  }

  const all = process.env.ALL_HANDS === '1';

  describe(`a first visit by ${by}`, () => {
    it.runIf(all || jobs.includes('desk'))('to a desk beside a window', async () => {
      const hand = new Kind(b.page);
      await visited(hand, desk);
      await hand.go('Bench');
      await b.page.waitForFunction(
        () =>
          document.querySelector<HTMLSelectElement>('[data-test="seat"]')?.selectedOptions[0].text ===
          'desk chair',
      );
      await hand.go('Build day');
      await b.at.until('.workbench', (w) => /film/i.test(w));
    });

    it.runIf(all || jobs.includes('wall'))('to a wall on a third floor', async () => {
      const hand = new Kind(b.page);
      await visited(hand, wall);
      await hand.go('Build day');
      await b.at.until('.workbench', (w) => /RO/.test(w) && w.includes('Ines'));
    });

    it.runIf(all || jobs.includes('rescape'))('to a running tank with its fish', async () => {
      const hand = new Kind(b.page);
      await visited(hand, rescape);
      await hand.go('Build day');
      const tasks = await b.at.until('.workbench', (w) => w.includes('30 animals into their own water'));
      expect(tasks).toMatch(/10:00/);
      expect(await b.page.$eval('.workbench', (e) => e.innerHTML)).toMatch(/Animals back, dimmed light/);
    });
  });
}
