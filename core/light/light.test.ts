import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { columnsOf } from '../hardscape/columns';
import { settle, type Standing } from '../hardscape/settle';
import { bedField } from '../substrate/bedField';
import { piece, soil } from '../testing/scape';
import { box } from '../testing/vessel';
import { blocksOf, isShaded } from './blocks';
import { powerOf, UMOL_PER_LUMEN, UMOL_PER_W, type Lamp } from './lamps';
import { lightMap, type Lit } from './lightMap';
import { imagesOf, mirrored } from './panes';
import { dliOfPpfd, ppfdFrom, sourcesOf, type Source } from './ppfd';

const lamp = (part: Partial<Lamp> = {}): Lamp => ({ id: 'l', name: 'lamp', at: [0, 0, 1000], lengthMm: 0, widthMm: 0, umolPerS: 100, power: 1, output: 1, guessed: false, ...part }); // prettier-ignore
const point = (part: Partial<Lamp> = {}): Source => sourcesOf(lamp(part), 1)[0];
const up = [0, 0, 1] as const;

describe('photons of a lamp of which only lumens or watts are known', () => {
  // Thimijan and Heins, HortScience 18, 1983, table 3, from memory: lux for each µmol/m²s.
  const LUX_PER_UMOL = { sun: 54, metalHalide: 71, coolWhite: 74 };

  it('are between those of sunlight and of a cool white tube', () => {
    expect(1 / UMOL_PER_LUMEN).toBeGreaterThan(LUX_PER_UMOL.sun);
    expect(1 / UMOL_PER_LUMEN).toBeLessThan(LUX_PER_UMOL.coolWhite);
  });

  it('by its watts make it as bright as LED lamps are: 85 to 135 lm/W (classes F to D of EU 2019/2015, from memory)', () => {
    const lumensPerWatt = UMOL_PER_W / UMOL_PER_LUMEN;
    expect(lumensPerWatt).toBeGreaterThan(85);
    expect(lumensPerWatt).toBeLessThan(135);
  });
});

describe('light of a lamp', () => {
  it('falls with the square of the distance and the cosine', () => {
    // Straight below a Lambertian source: E = Φ / (π·d²).
    expect(ppfdFrom(point(), [0, 0, 0], up)).toBeCloseTo(100 / Math.PI, 9);
    expect(ppfdFrom(point(), [0, 0, 500], up)).toBeCloseTo(400 / Math.PI, 9);
    fc.assert(
      fc.property(
        fc.double({ min: -900, max: 900, noNaN: true }),
        fc.double({ min: 1, max: 6, noNaN: true }),
        (x, power) => {
          const d2 = (x * x + 1e6) / 1e6;
          const cos = 1 / Math.sqrt(d2);
          // Cosine to the power from the lamp, cosine on the floor, square of the distance.
          const expected = (100 * (power + 1) * cos ** power * cos) / (2 * Math.PI * d2);
          expect(ppfdFrom(point({ power }), [x, 0, 0], up)).toBeCloseTo(expected, 9);
        },
      ),
    );
  });

  it('a beam gives half at half of its angle', () => {
    expect(powerOf(120)).toBeCloseTo(1, 9);
    for (const beam of [30, 60, 90]) {
      const x = 1000 * Math.tan((beam * Math.PI) / 360);
      const away = (1e6 + x * x) / 1e6;
      const [middle, edge] = [0, x].map((at) => ppfdFrom(point({ power: powerOf(beam) }), [at, 0, 0], up));
      // Less the longer way and the slant on the floor it is half.
      expect((edge / middle) * away * Math.sqrt(away)).toBeCloseTo(0.5, 9);
    }
  });

  it('all that it gives arrives on a floor large enough', () => {
    let sum = 0;
    for (let x = -20_000; x < 20_000; x += 200) for (let y = -20_000; y < 20_000; y += 200) sum += ppfdFrom(point({ power: 2 }), [x + 100, y + 100, 0], up) * 0.04; // prettier-ignore
    expect(sum).toBeCloseTo(100, 0);
  });

  it('of a long lamp is that of a line', () => {
    // Lambertian line of 2a at a height h, under its middle: E = Φ/(2a·π·h)·[atan(a/h) + (a/h)/(1 + (a/h)²)].
    const [a, h] = [0.6, 0.5];
    const q = a / h;
    const line = (100 / (2 * a * Math.PI * h)) * (Math.atan(q) + q / (1 + q * q));
    const spots = sourcesOf(lamp({ at: [0, 0, 500], lengthMm: 1200 }), 27);
    const found = spots.reduce((sum, s) => sum + ppfdFrom(s, [0, 0, 0], up), 0);
    expect(spots).toHaveLength(9);
    expect(found / line).toBeCloseTo(1, 2);
  });

  it('fades in water by Beer and Lambert', () => {
    const [air, water] = [ppfdFrom(point(), [0, 0, 0], up), ppfdFrom(point(), [0, 0, 0], up, 400, 1.7)];
    expect(water / air).toBeCloseTo(0.96 * Math.exp(-1.7 * 0.4), 9);
    // Above the water nothing fades.
    expect(ppfdFrom(point(), [0, 0, 450], up, 400, 1.7)).toBe(ppfdFrom(point(), [0, 0, 450], up));
  });

  it('measured in a grid is given back there, and fades from there with the square', () => {
    const grid = {
      columns: 3,
      rows: 3,
      stepMm: 200,
      belowMm: 400,
      ppfd: [50, 80, 50, 80, 120, 80, 50, 80, 50],
    };
    const measured = point({ grid, at: [0, 0, 800] });
    expect(ppfdFrom(measured, [0, 0, 400], up)).toBeCloseTo(120, 9);
    expect(ppfdFrom(measured, [200, 0, 400], up)).toBeCloseTo(80, 9);
    expect(ppfdFrom(measured, [0, 0, 0], up)).toBeCloseTo(30, 9);
    expect(ppfdFrom(measured, [900, 0, 400], up)).toBe(0);
  });

  it('of a day is photons a second times its seconds', () => {
    expect(dliOfPpfd(100, 10)).toBeCloseTo(3.6, 9);
  });
});

const vessel = box(600, 360, 400);
const field = bedField(vessel, [soil({ kind: 'level', mm: 40 })]);
const stand = (part: Parameters<typeof piece>[0]): Standing => {
  const p = piece(part);
  return settle(p, columnsOf(p.shape, p.turnDeg), field, new Map());
};
const slab = (x: number, z = 200) => stand({ id: 'S-1', shape: { kind: 'box', sizeMm: [120, 360, 20] }, at: [x, 180], stand: { kind: 'at', zMm: z } }); // prettier-ignore
const lit = (standing: Standing[], lamps = [lamp({ at: [300, 180, 640] })]): Lit => ({ field, lamps, standing, sizeMm: [600, 360, 400], waterMm: 0, fadesPerM: 0 }); // prettier-ignore

describe('shadows', () => {
  it('an umbra is as wide as similar triangles have it', () => {
    const blocks = blocksOf([600, 360, 400], [slab(300)]);
    // A slab of 120 mm at 200 mm under a point at 640 mm: on the bed at 40 mm it shades 120 · 600 / 440 = 164 mm.
    const shaded = Array.from({ length: 600 }, (_, x) =>
      isShaded(blocks, [x + 0.5, 180, 40], [300, 180, 640]),
    );
    const wide = shaded.filter(Boolean).length;
    expect(Math.abs(wide - (120 * 600) / 440)).toBeLessThan(2 * 8 + 4);
    expect(shaded[300]).toBe(true);
    expect(shaded[150]).toBe(false);
  });

  it('a piece that moved changes the map as if it were made anew', () => {
    const memo = {};
    const rows = [lamp({ at: [200, 180, 640], lengthMm: 300 }), lamp({ id: 'm', at: [450, 180, 640] })];
    lightMap(
      lit([slab(200), stand({ id: 'S-2', at: [450, 120], stand: { kind: 'bed', buryMm: 20 } })], rows),
      memo,
    );
    const moved = [slab(320, 150), stand({ id: 'S-2', at: [450, 120], stand: { kind: 'bed', buryMm: 20 } })];
    const again = lightMap(lit(moved, rows), memo);
    expect(again.ppfd).toEqual(lightMap(lit(moved, rows)).ppfd);
    // And it is darker under the slab than beside it.
    const at = (x: number) => again.ppfd[36 * field.columns + Math.floor(x / field.dxMm)];
    expect(at(320)).toBeLessThan(0.6 * at(60));
  });

  it('are asked at any spot: under the slab dark, on it bright', () => {
    const map = lightMap(lit([slab(300)]));
    expect(map.at([300, 180, 40])).toBe(0);
    expect(map.at([300, 180, 221])).toBeCloseTo(100 / Math.PI / 0.419 ** 2, 6);
    expect(map.at([300, 180, 221], [0, 0, -1])).toBe(0);
  });
});

describe('panes', () => {
  it('a pane gives as much again to what touches it', () => {
    const pane = [{ axis: 0 as const, atMm: 0 }];
    const source = point({ at: [150, 0, 600] });
    const at = (x: number) => [x, 0, 0] as const;
    const direct = (x: number) => ppfdFrom(source, at(x), up, 400, 0.4);
    expect(mirrored(imagesOf([source], pane), at(0), up, 400, 0.4)).toBeCloseTo(direct(0), 9);
    // Farther in it is that of the image, which is farther off.
    expect(mirrored(imagesOf([source], pane), at(200), up, 400, 0.4)).toBeCloseTo(ppfdFrom(point({ at: [-150, 0, 600] }), at(200), up, 400, 0.4), 9); // prettier-ignore
    // Nothing is sent back above the water, or where a ray comes square to the pane.
    expect(mirrored(imagesOf([source], pane), [10, 0, 450], up, 400, 0.4)).toBe(0);
    expect(mirrored(imagesOf([point({ at: [900, 0, 150] })], pane), at(500), up, 400, 0.4)).toBe(0);
  });

  it('make a narrow tank brighter, most beside them', () => {
    const panes = [
      { axis: 1 as const, atMm: 0 },
      { axis: 1 as const, atMm: 360 },
    ];
    const dim = lightMap({ ...lit([]), waterMm: 380, fadesPerM: 0.4 });
    const bright = lightMap({ ...lit([]), waterMm: 380, fadesPerM: 0.4, panes });
    const gain = (row: number) => bright.ppfd[row * field.columns + 60] / dim.ppfd[row * field.columns + 60];
    expect(gain(36)).toBeGreaterThan(1.1);
    expect(gain(1)).toBeGreaterThan(gain(36));
    expect(bright.at([300, 20, 40])).toBeCloseTo(
      bright.ppfd[Math.floor(20 / field.dyMm) * field.columns + Math.floor(300 / field.dxMm)],
      0,
    );
  });
});
