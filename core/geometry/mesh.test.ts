import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { meshFault, meshVolume, shellCount, type Mesh } from './mesh';
import { rotation, turned } from './rotation';
import { inEnglish } from '../words/english';

/** A box 2 × 3 × 4 with a corner at the origin. */
const BOX: Mesh = {
  vertices: new Float64Array([0, 0, 0, 2, 0, 0, 2, 3, 0, 0, 3, 0, 0, 0, 4, 2, 0, 4, 2, 3, 4, 0, 3, 4]),
  faces: new Uint32Array([
    0, 2, 1, 0, 3, 2, 4, 5, 6, 4, 6, 7, 0, 1, 5, 0, 5, 4, 1, 2, 6, 1, 6, 5, 2, 3, 7, 2, 7, 6, 3, 0, 4, 3, 4,
    7,
  ]),
};

describe('closed surfaces', () => {
  it('measures a box', () => {
    expect(meshFault(8, BOX.faces)).toBeUndefined();
    expect(meshVolume(BOX)).toBeCloseTo(24, 12);
    expect(shellCount(BOX)).toBe(1);
  });

  it('says where a surface is open, inconsistent or refers to nothing', () => {
    expect(inEnglish(meshFault(8, BOX.faces.slice(0, 33))!)).toMatch(/open along the edge/);
    expect(inEnglish(meshFault(7, BOX.faces)!)).toMatch(/names corner 7, must be below 7/);
    const flipped = Array.from(BOX.faces);
    [flipped[1], flipped[2]] = [flipped[2], flipped[1]];
    expect(inEnglish(meshFault(8, flipped)!)).toMatch(/wound alike/);
    expect(inEnglish(meshFault(8, [0, 1, 2])!)).toMatch(/four triangles/);
    expect(inEnglish(meshFault(8, [0, 0, 1, ...BOX.faces.slice(3)])!)).toMatch(/twice/);
  });

  it('keeps its volume however it is turned', () => {
    const angle = fc.double({ min: -360, max: 360, noNaN: true });
    fc.assert(
      fc.property(angle, angle, angle, (turn, tiltX, tiltY) => {
        const vertices = turned(BOX.vertices, rotation(turn, [tiltX, tiltY]));
        expect(meshVolume({ vertices, faces: BOX.faces })).toBeCloseTo(24, 9);
      }),
    );
  });

  it('turns the right to the back, and tilts the back up', () => {
    const right = turned(new Float64Array([1, 0, 0]), rotation(90));
    expect(Array.from(right, (v) => Math.round(v))).toEqual([0, 1, 0]);
    const back = turned(new Float64Array([0, 1, 0]), rotation(0, [90, 0]));
    expect(Array.from(back, (v) => Math.round(v))).toEqual([0, 0, 1]);
  });
});
