import { BufferAttribute, BufferGeometry, type Color } from 'three';
import { SimplexNoise } from 'three/addons/math/SimplexNoise.js';
import { seeded } from '../../../core/geometry/seeded';

/** Texture is the same at every look: its noise begins from this number. */
const SEED = 20_261;
export const noise = new SimplexNoise({ random: seeded(SEED) });

/** A surface whose corners have a colour each. */
export function coloured(
  position: Float32Array,
  colour: Float32Array,
  index: number[] | Uint32Array,
): BufferGeometry {
  const geometry = new BufferGeometry();
  geometry.setAttribute('position', new BufferAttribute(position, 3));
  geometry.setAttribute('color', new BufferAttribute(colour, 3));
  geometry.setIndex(index instanceof Uint32Array ? new BufferAttribute(index, 1) : index);
  geometry.computeVertexNormals();
  return geometry;
}

/** A colour with a little more or less light in it, written into a list. */
export function tinted(list: Float32Array, at: number, c: Color, by: number): void {
  list[at] = c.r * by;
  list[at + 1] = c.g * by;
  list[at + 2] = c.b * by;
}
