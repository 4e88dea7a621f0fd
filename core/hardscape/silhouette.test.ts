import { describe, expect, it } from 'vitest';
import { polygonArea, polygonBounds } from '../geometry/polygon';
import { rotation } from '../geometry/rotation';
import { silhouette } from './silhouette';
import { solidMesh } from './solid';

const block = solidMesh({ kind: 'box', sizeMm: [100, 60, 40] });

describe('an outline from far off', () => {
  it('of a turned block is its box seen from there', () => {
    const [above] = silhouette(block, rotation(90), 'above');
    expect(polygonBounds(above).map((v) => Math.round(v * 10) / 10)).toEqual([-30, -50, 30, 50]);
    const [front] = silhouette(block, rotation(30), 'front');
    const [l, b, r, t] = polygonBounds(front);
    expect(r - l).toBeCloseTo(100 * Math.cos(Math.PI / 6) + 60 * Math.sin(Math.PI / 6), 1);
    expect(t - b).toBeCloseTo(40, 1);
  });

  it('of an ellipsoid is an ellipse', () => {
    const [ring] = silhouette(solidMesh({ kind: 'ellipsoid', sizeMm: [200, 120, 80] }), rotation(0), 'above');
    // Its drawn surface has 20 meridians: 1.6 % less than the ellipse.
    expect(polygonArea(ring) / (Math.PI * 100 * 60)).toBeCloseTo(0.984, 2);
  });
});
