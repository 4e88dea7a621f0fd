import { BoxGeometry, Matrix4, Vector3 } from 'three';
import { describe, expect, it } from 'vitest';
import { LEAVES } from '../../../core/commission/catalogueSchema';
import { largeLeaf, smallLeaf } from './leafShapes';
import { GRAINS, reliefMap } from './reliefMaps';
import { together } from './together';

describe('leaves up close', () => {
  it('are put together as each would be by itself, with its tint', () => {
    const shape = new BoxGeometry(1, 2, 3);
    const places = [new Matrix4().makeTranslation(5, 6, 7), new Matrix4().makeScale(2, 2, 2)];
    const whole = together(shape, places, new Float32Array([1, 0, 0, 0, 0.5, 1]));
    const count = shape.getAttribute('position').count;
    expect(whole.getAttribute('position').count).toBe(2 * count);
    for (const [i, place] of places.entries())
      for (let k = 0; k < count; k++) {
        const want = new Vector3().fromBufferAttribute(shape.getAttribute('position'), k).applyMatrix4(place);
        const is = new Vector3().fromBufferAttribute(whole.getAttribute('position'), i * count + k);
        expect(is.distanceTo(want)).toBeLessThan(1e-5);
      }
    expect([...whole.getIndex()!.array.slice(-3)].every((k) => k >= count)).toBe(true);
    const last = whole.getAttribute('color');
    expect([last.getX(count), last.getY(count), last.getZ(count)]).toEqual([0, 0.5, 1]);
  });

  it('begin at their foot, are one long and no wider than they are said to be', () => {
    for (const kind of LEAVES)
      for (const shape of [smallLeaf(kind), largeLeaf(kind)]) {
        shape.computeBoundingBox();
        const { min, max } = shape.boundingBox!;
        expect([min.y, max.x - min.x <= 1.001]).toEqual([0, true]);
        expect(max.y).toBeGreaterThan(0.8);
        expect(max.y).toBeLessThanOrEqual(1);
        expect(max.x - min.x).toBeGreaterThan(0.4);
      }
  });
});

describe('the relief of a surface', () => {
  it.each(['grains', 'broken', 'streaks'] as const)('of %s has sides that meet', (of) => {
    const { data, width } = reliefMap(of).image as { data: Uint8Array; width: number };
    const height = (x: number, y: number) => data[(y * width + x) * 2];
    const step = (a: [number, number], b: [number, number]) => Math.abs(height(...a) - height(...b));
    const rows = Array.from({ length: width }, (_, i) => i);
    const over = rows.reduce((sum, y) => sum + step([width - 1, y], [0, y]), 0);
    const within = rows.reduce((sum, y) => sum + step([width / 2, y], [width / 2 + 1, y]), 0);
    expect(within).toBeGreaterThan(0);
    expect(over).toBeLessThan(3 * within + width);
    // It is no even surface: there are depths and heights.
    const all = rows.flatMap((y) => rows.map((x) => height(x, y)));
    expect(Math.max(...all) - Math.min(...all)).toBeGreaterThan(60);
    expect(GRAINS).toBeLessThan(width / 4);
  });
});
