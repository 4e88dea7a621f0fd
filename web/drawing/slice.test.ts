import { describe, expect, it } from 'vitest';
import type { Shape } from '../../core/commission/schema';
import { polygonArea } from '../../core/geometry/polygon';
import { facetsOf, TONES } from './facets';
import { sliceAt } from './slice';

const box: Shape = { kind: 'box', sizeMm: [100, 60, 40] };
const ball: Shape = { kind: 'ellipsoid', sizeMm: [100, 100, 100] };

describe('drawing solids', () => {
  it('cuts a box into a rectangle and a ball into a smaller circle', () => {
    expect(polygonArea(sliceAt(box, 0, undefined, 10)[0])).toBeCloseTo(2400, 6);
    expect(polygonArea(sliceAt(box, 90, undefined, 10)[0])).toBeCloseTo(4000, 6);
    const [ring] = sliceAt(ball, 0, undefined, 30);
    expect(Math.abs(polygonArea(ring) / (Math.PI * 40 ** 2) - 1)).toBeLessThan(0.06);
    expect(sliceAt(ball, 0, undefined, 60)).toEqual([]);
  });

  it('draws what faces the eye: one side of a box, with its rim as the outline', () => {
    const front = facetsOf(box, 0, undefined, 'front');
    expect(front.box).toEqual([-50, -20, 50, 20]);
    expect(front.tones.join('').match(/Z/g)).toHaveLength(2);
    expect(front.outline.match(/M/g)).toHaveLength(4);
    expect(front.tones).toHaveLength(TONES);
    expect(facetsOf(box, 0, undefined, 'above').box).toEqual([-50, -30, 50, 30]);
    expect(facetsOf(box, 0, undefined, 'front')).toBe(front);
  });
});
