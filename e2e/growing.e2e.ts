import { describe, expect, it } from 'vitest';
import { withDemo } from './harness';

/* The scape growing: as stills for paper, and as a film that the browser makes. */

const b = withDemo({ width: 1280, height: 800 }, { seat: true });

describe('a scape', () => {
  it('grows: stills of weeks for paper, each with more green than the one before, and a film that can be called off', async () => {
    await b.at.open('/c/demo-cube/planting');
    await b.at.press('[data-test="growing"]');
    await b.page.waitForSelector('[data-still="16"]', { timeout: 60_000 });
    /** Pixels of a still that are rather green than anything else. */
    const green = (week: number) =>
      b.page.$eval(`[data-still="${week}"]`, (e) => {
        const img = e as HTMLImageElement;
        const canvas = new OffscreenCanvas(img.naturalWidth, img.naturalHeight);
        const paint = canvas.getContext('2d')!;
        paint.drawImage(img, 0, 0);
        const { data } = paint.getImageData(0, 0, canvas.width, canvas.height);
        let count = 0;
        for (let i = 0; i < data.length; i += 4) if (data[i + 1] > data[i] * 1.12 && data[i + 1] > data[i + 2] * 1.12) count++; // prettier-ignore
        return count;
      });
    const [planted, fourth, last] = [await green(0), await green(4), await green(16)];
    expect(fourth).toBeGreaterThan(planted * 1.1);
    expect(last).toBeGreaterThan(fourth);
    await b.at.press('[data-test="make-film"]');
    await b.at.until('[data-test="film"]', (w) => /Filming: [1-9]\d* %/.test(w));
    await b.at.press('[data-test="film-off"]');
    await b.page.waitForSelector('[data-test="make-film"]', { timeout: 30_000 });
    expect(await b.page.$('[data-test="film-made"]')).toBeNull();
  });
});
