import fc from 'fast-check';
import { Vector3 } from 'three';
import { describe, expect, it } from 'vitest';
import { example } from '../../../core/testing/scape';
import { eyeAbove, eyeFrom } from '../../../core/view/eye';
import { cameraFrom } from './camera';
import type { Spot } from './place';

const { vessel: known } = example('held-root');
const figure = (min: number, max: number) => fc.integer({ min, max });

/** Where the corners of a tank come to lie in its picture, −1 to 1. */
function cornersIn(vessel: typeof known, eye: Spot, aspect: number, fromAbove = false): Vector3[] {
  const camera = cameraFrom(vessel, eye, aspect, fromAbove);
  camera.updateMatrixWorld();
  const { length, width, height } = vessel.innerMm;
  return [0, length].flatMap((x) => [0, height].flatMap((y) => [0, -width].map((z) => new Vector3(x, y, z).project(camera)))); // prettier-ignore
}

describe('a photograph of the tank', () => {
  it('has the whole of it, as large as it can be and in the middle, from wherever it is taken', () => {
    fc.assert(
      fc.property(figure(300, 2_000), figure(200, 700), figure(200, 700), figure(-40, 140), figure(80, 300), figure(0, 120), figure(60, 240), (length, width, height, aside, away, up, flat) => {
        const vessel = { ...known, innerMm: { length, width, height } };
        const eye: Spot = [(length * aside) / 100, (-length * away) / 100, (length * up) / 100];
        const seen = cornersIn(vessel, eye, flat / 100);
        const most = (by: 'x' | 'y') => Math.max(...seen.map((c) => Math.abs(c[by])));
        const middle = (by: 'x' | 'y') => Math.max(...seen.map((c) => c[by])) + Math.min(...seen.map((c) => c[by]));
        // Nearer than the tank is long the angle is as wide as one can be, and not all comes into it.
        if (cameraFrom(vessel, eye, flat / 100).fov > 74.9) return;
        expect(Math.max(most('x'), most('y'))).toBeLessThan(1);
        expect(Math.max(most('x'), most('y'))).toBeGreaterThan(0.8);
        expect(Math.abs(middle('x'))).toBeLessThan(0.15);
        expect(Math.abs(middle('y'))).toBeLessThan(0.15);
      }),
    );
  }); // prettier-ignore

  it('has it from a seat, from where nobody sits, and from above', () => {
    for (const [eye, above] of [
      [eyeFrom(known, undefined), false],
      [eyeAbove(known), true],
    ] as const)
      // prettier-ignore
      for (const corner of cornersIn(known, eye, 1.6, above)) {
        expect(Math.abs(corner.x)).toBeLessThan(1);
        expect(Math.abs(corner.y)).toBeLessThan(1);
      }
  });
});
