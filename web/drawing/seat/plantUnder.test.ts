import { PerspectiveCamera } from 'three';
import { describe, expect, it } from 'vitest';
import type { Grown } from '../../../core/planted/grown';
import { plantUnder } from './plantUnder';

const grown = (id: string, x: number, y: number, heightMm: number): Grown => ({ id, plant: { id, name: id, roots: 'bed' }, spots: Float64Array.from([x, y, 40]), heightMm, radiusMm: 20, cover: 1, melted: 0 }); // prettier-ignore

/** An eye a metre in front of the middle of a tank, level with its bed. */
const camera = new PerspectiveCamera(40, 1.5, 10, 10_000);
camera.position.set(300, 60, 1_000);
camera.lookAt(300, 60, 0);
camera.updateMatrixWorld();

describe('a press on the picture from the seat', () => {
  it('meets the nearest plant between its foot and its top', () => {
    const both = [grown('hedge', 300, 300, 200), grown('carpet', 300, 60, 30)];
    expect(plantUnder(both, camera, [0, 0])?.id).toBe('carpet');
    expect(plantUnder(both, camera, [0, 0.2])?.id).toBe('hedge');
    expect(plantUnder(both, camera, [0, 0.9])).toBeUndefined();
    expect(plantUnder(both, camera, [0.4, 0])).toBeUndefined();
  });

  it('is as far from the eye as the plug is, so that a stone before it is known to hide it', () => {
    expect(plantUnder([grown('carpet', 300, 60, 30)], camera, [0, 0])!.farMm).toBeCloseTo(Math.hypot(1_060, 20), 6); // prettier-ignore
  });
});
