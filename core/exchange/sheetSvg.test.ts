import sharp from 'sharp';
import { describe, expect, it } from 'vitest';
import { plan } from '../pipeline/plan';
import { piece, scape, soil } from '../testing/scape';
import { sheetSvg } from './sheetSvg';

const commission = scape({
  option: {
    bed: [soil({ kind: 'level', mm: 40 })],
    pieces: [piece({ id: 'S<1', shape: { kind: 'box', sizeMm: [100, 60, 80] }, at: [200, 100], turnDeg: 90, stand: { kind: 'floor' } })], // prettier-ignore
  },
});
commission.title = 'A & "B"';
commission.catalogue.materials.find((m) => m.kind === 'stone')!.colour = '#ff0000';

describe('the sheet as SVG', () => {
  it('is drawn by another program in its own size: a piece covers what it covers on the floor and in front', async () => {
    const { survey } = plan(commission, { today: '2026-11-25' });
    const svg = await sheetSvg(commission, survey);
    // librsvg draws it at one pixel a millimetre.
    const { data, info } = await sharp(Buffer.from(svg.replace(/(width|height)="([\d.]+)mm"/g, '$1="$2"')))
      .flatten({ background: '#fff' })
      .raw()
      .toBuffer({ resolveWithObject: true });
    expect([info.width, info.height]).toEqual([600 + 90, 400 + 50 + 360 + 90]);
    const red = (from: number, to: number) => {
      const rows: number[] = [];
      for (let y = from; y < to; y++)
        for (let x = 0; x < info.width; x++) {
          const i = (y * info.width + x) * info.channels;
          if (data[i] > 200 && data[i + 1] < 60 && data[i + 2] < 60) rows.push(x, y);
        }
      return rows;
    };
    const [elevation, floor] = [red(0, 45 + 400 + 25), red(45 + 400 + 25, info.height)];
    // Turned by a right angle it is 60 wide, 80 high, 100 deep; the line takes its outermost pixels, its number some.
    expect(Math.abs(elevation.length / 2 - 60 * 80)).toBeLessThan(300);
    expect(Math.abs(floor.length / 2 - 60 * 100)).toBeLessThan(420);
    const xs = floor.filter((_, i) => i % 2 === 0);
    expect(Math.min(...xs)).toBeGreaterThanOrEqual(45 + 170);
    expect(Math.max(...xs)).toBeLessThan(45 + 230 + 1);
  });

  it('holds no markup from names', async () => {
    const svg = await sheetSvg(commission, plan(commission, { today: '2026-11-25' }).survey);
    expect(svg).toContain('S&#60;1');
    expect(svg).toContain('A &#38; &#34;B&#34;');
    expect(svg).not.toContain('S<1');
  });
});
