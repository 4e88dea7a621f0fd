import { mkdtemp } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import sharp from 'sharp';
import { beforeAll, describe, expect, it, vi } from 'vitest';
import { desk } from './briefs/desk';
import { Finger, Keyboard, type Hand } from './briefs/hand';
import { rescape } from './briefs/rescape';
import type { Visit } from './briefs/visit';
import { wall } from './briefs/wall';
import { withDemo } from './harness';

/** A tablet of 1024 × 768, touched by one finger, or with a keyboard and no pointer. */
const b = withDemo({ width: 1024, height: 768, hasTouch: true });
const MOST_S = 15 * 60;
// Some ninety answers each: longer than other tests on a busy machine.
vi.setConfig({ testTimeout: 300_000 });
let picture = '';

beforeAll(async () => {
  picture = join(await mkdtemp(join(tmpdir(), 'utsuwa-visit-')), 'place.png');
  await sharp({ create: { width: 900, height: 600, channels: 3, background: '#7a6a50' } })
    .png()
    .toFile(picture);
});

const found = () => b.page.$$eval('[data-finding]', (all) => all.map((e) => e.getAttribute('data-finding')!));

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

describe.each([
  ['touch', Finger],
  ['keyboard alone', Keyboard],
] as const)('a first visit by %s', (_, Kind) => {
  it('to a desk beside a window', async () => {
    const hand = new Kind(b.page);
    await visited(hand, desk);
    await hand.go('Bench');
    await b.page.waitForSelector('canvas[aria-label*="from desk chair"]');
    await hand.go('Build day');
    await b.at.until('.workbench', (w) => /film/i.test(w));
  });

  it('to a wall on a third floor', async () => {
    const hand = new Kind(b.page);
    await visited(hand, wall);
    await hand.go('Build day');
    await b.at.until('.workbench', (w) => /RO/.test(w) && w.includes('Ines'));
  });

  it('to a running tank with its fish', async () => {
    const hand = new Kind(b.page);
    await visited(hand, rescape);
    await hand.go('Build day');
    const tasks = await b.at.until('.workbench', (w) => w.includes('30 animals into their own water'));
    expect(tasks).toMatch(/10:00/);
    expect(await b.page.$eval('.workbench', (e) => e.innerHTML)).toMatch(/Animals back, dimmed light/);
  });
});
