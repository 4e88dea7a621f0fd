import { describe, expect, it } from 'vitest';
import { divided } from './divide';
import { meshFault, meshVolume, type Mesh } from './mesh';

describe('a surface that is divided', () => {
  it('is the same surface: closed, of the same litres, with four times the triangles', () => {
    const octahedron: Mesh = {
      vertices: new Float64Array([1, 0, 0, -1, 0, 0, 0, 1, 0, 0, -1, 0, 0, 0, 1, 0, 0, -1]),
      faces: new Uint32Array([0, 2, 4, 2, 1, 4, 1, 3, 4, 3, 0, 4, 2, 0, 5, 1, 2, 5, 3, 1, 5, 0, 3, 5]),
    };
    const twice = divided(divided(octahedron));
    expect(twice.faces).toHaveLength(octahedron.faces.length * 16);
    // By Euler: corners − edges + faces are 2, edges are one and a half times the faces.
    expect(twice.vertices.length / 3).toBe(2 + twice.faces.length / 6);
    expect(meshFault(twice.vertices.length / 3, twice.faces)).toBeUndefined();
    expect(meshVolume(twice)).toBeCloseTo(4 / 3, 12);
  });
});
