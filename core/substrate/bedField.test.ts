import { describe, expect, it } from 'vitest';
import { survey } from '../survey/survey';
import { scape } from '../testing/scape';
import { bedField, surfaceAt } from './bedField';
import { layerTop, moundSteepestDeg } from './layerTop';
import { pouredL } from './pour';
import type { Layer, Vessel } from '../commission/schema';

const layer = (rest: Partial<Layer>): Layer =>
  ({ id: 'l', material: 'soil', top: { kind: 'level', mm: 40 }, ...rest }) as Layer;
const layersOf = (inner: [number, number, number], bed: Layer[], cellMm?: number) =>
  survey(scape({ inner, option: { bed } }), { cellMm }).layers;

describe('the bed as a height field', () => {
  it('holds 3.6 L level, 6.3 L rising 20 to 120 mm, on 300 × 300 mm', () => {
    expect(layersOf([300, 300, 300], [layer({})])[0].volumeL).toBeCloseTo(3.6, 9);
    const ramp = layer({ top: { kind: 'ramp', frontMm: 20, backMm: 120 } });
    expect(layersOf([300, 300, 300], [ramp])[0]).toMatchObject({ minMm: 20, maxMm: 120 });
    expect(layersOf([300, 300, 300], [ramp])[0].volumeL).toBeCloseTo(6.3, 9);
  });

  it('holds 36.45 L rising 30 to 105 mm on 900 × 600 mm, whatever the cells', () => {
    const ramp = layer({ top: { kind: 'ramp', frontMm: 30, backMm: 105 } });
    for (const cellMm of [2, 5, 7, 20]) {
      const [bed] = layersOf([900, 600, 450], [ramp], cellMm);
      expect(bed.volumeL).toBeCloseTo(36.45, 9);
      expect(bed.steepestDeg).toBeCloseTo((Math.atan(75 / 600) * 180) / Math.PI, 9);
    }
  });

  it('holds a mound of π r² h / 3 with the slope its profile has', () => {
    // ∫ h(1 − (d/r)²)² over the disc is π r² h / 3.
    const hill = layer({
      top: { kind: 'level', mm: 0 },
      mounds: [{ at: [300, 180], radiusMm: 150, heightMm: 90 }],
    });
    const [bed] = layersOf([600, 360, 400], [hill]);
    const litres = (Math.PI * 150 ** 2 * 90) / 3 / 1e6;
    expect(Math.abs(bed.volumeL / litres - 1)).toBeLessThan(0.001);
    expect(Math.abs(bed.steepestDeg / moundSteepestDeg(150, 90) - 1)).toBeLessThan(0.005);
  });

  it('holds a cone at its angle of repose, sculpted as a grid: 1 L at 34° is 112.3 mm wide, 75.7 high', () => {
    const r = Math.cbrt((3 * 1e6) / (Math.PI * Math.tan((34 * Math.PI) / 180)));
    const h = r * Math.tan((34 * Math.PI) / 180);
    expect(r).toBeCloseTo(112.3, 1);
    expect(h).toBeCloseTo(75.7, 1);
    const step = 2;
    const n = 151;
    const mm = Array.from({ length: n * n }, (_, i) => {
      const d = Math.hypot((i % n) * step - 150, Math.floor(i / n) * step - 150);
      return Math.max(0, h * (1 - d / r));
    });
    const grid = layer({ top: { kind: 'grid', stepMm: step, columns: n, rows: n, mm } });
    const [bed] = layersOf([300, 300, 300], [grid]);
    expect(Math.abs(bed.volumeL - 1)).toBeLessThan(0.005);
    expect(bed.steepestDeg).toBeGreaterThan(33);
    expect(bed.steepestDeg).toBeLessThan(35);
  });

  it('reads a grid on its corners or in its cells, by what spans the floor', () => {
    const vessel = scape({ inner: [300, 300, 300] }).vessel as Vessel;
    const corners = layer({ top: { kind: 'grid', stepMm: 300, columns: 2, rows: 2, mm: [0, 100, 0, 100] } });
    const cells = layer({ top: { kind: 'grid', stepMm: 150, columns: 2, rows: 2, mm: [0, 100, 0, 100] } });
    expect(layerTop(corners, vessel)(150, 10)).toBeCloseTo(50, 9);
    expect(layerTop(corners, vessel)(300, 10)).toBeCloseTo(100, 9);
    expect(layerTop(cells, vessel)(75, 10)).toBeCloseTo(0, 9);
    expect(layerTop(cells, vessel)(150, 10)).toBeCloseTo(50, 9);
    expect(layerTop(cells, vessel)(300, 10)).toBeCloseTo(100, 9);
  });

  it('fills from what lies below, and is absent where its top is lower', () => {
    const filler = layer({ id: 'f', material: 'scoria', top: { kind: 'ramp', frontMm: 0, backMm: 100 } });
    const soil = layer({ id: 's', top: { kind: 'level', mm: 50 } });
    const [below, above] = layersOf([300, 300, 300], [filler, soil]);
    expect(below.volumeL).toBeCloseTo(4.5, 9);
    // A wedge 50 mm high over the front half.
    expect(Math.abs(above.volumeL / (0.5 * 50 * 150 * 300 * 1e-6) - 1)).toBeLessThan(0.001);
    expect(above.maxMm).toBe(50);
  });

  it('cuts a path through soil down to its floor, exactly even off the cells', () => {
    const path = layer({
      id: 'p',
      material: 'sand',
      top: { kind: 'level', mm: 30 },
      cuts: true,
      floorMm: 10,
      region: [
        [101.3, -10],
        [142.9, -10],
        [142.9, 400],
        [101.3, 400],
      ],
    });
    const [soil, sand] = layersOf([300, 300, 300], [layer({ top: { kind: 'level', mm: 60 } }), path]);
    const floor = 41.6 * 300;
    expect(sand.volumeL).toBeCloseTo((floor * 20) / 1e6, 6);
    expect(soil.volumeL).toBeCloseTo((300 * 300 * 60 - floor * 50) / 1e6, 6);
    const field = bedField(scape({ inner: [300, 300, 300] }).vessel, [
      layer({ top: { kind: 'level', mm: 60 } }),
      path,
    ]);
    expect(surfaceAt(field, 120, 150)).toBe(30);
    expect(surfaceAt(field, 100, 150)).toBe(60);
  });

  it('does not change by more than 0.5 % with the size of its cells', () => {
    const bed = [
      layer({
        top: { kind: 'ramp', frontMm: 25, backMm: 90 },
        mounds: [{ at: [150, 200], radiusMm: 140, heightMm: 60 }],
      }),
      layer({
        id: 'p',
        material: 'sand',
        cuts: true,
        floorMm: 0,
        top: { kind: 'level', mm: 20 },
        region: [
          [300, 0],
          [380, 0],
          [330, 200],
          [400, 360],
          [370, 360],
          [290, 200],
        ],
      }),
    ];
    const fine = layersOf([600, 360, 400], bed, 1.5);
    for (const cellMm of [3, 5, 10])
      layersOf([600, 360, 400], bed, cellMm).forEach((l, i) => {
        expect(Math.abs(l.volumeL / fine[i].volumeL - 1)).toBeLessThan(0.005);
      });
  });

  it('pours more than it measures, by what settles', () => {
    expect(pouredL(3.58, 0.07)).toBeCloseTo(3.849, 3);
    expect(pouredL(5)).toBe(5);
  });
});
