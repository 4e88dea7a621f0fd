import { BufferAttribute, BufferGeometry } from 'three';
import type { Plant } from '../../../core/commission/schema';

/** How a leaf is cut: along its length from foot to tip, the share of its width that it has there. */
type Outline = (along: number) => number;

const lance: Outline = (t) => Math.sin(Math.PI * t ** 0.75) ** 0.9;
const round: Outline = (t) => Math.sqrt(Math.max(0, 1 - (2 * t - 1) ** 2));
const strap: Outline = (t) => Math.min(1, 0.6 + t * 2) * Math.sqrt(Math.max(0, 1 - t ** 5));
const frond: Outline = (t) => Math.sin(Math.PI * t ** 0.6) * (0.75 + 0.25 * Math.cos(t * 40));

const OUTLINES: Record<NonNullable<Plant['leaf']>, Outline> = {
  lance,
  round,
  needle: strap,
  feather: frond,
  strap,
  frond,
  tuft: lance,
};
/** How far the tip hangs over, against the length, and how deep the leaf is folded along its middle, against its width. */
const HANGS: Record<NonNullable<Plant['leaf']>, number> = {
  lance: 0.24,
  round: 0.16,
  needle: 0.12,
  feather: 0.2,
  strap: 0.17,
  frond: 0.34,
  tuft: 0.1,
};
const FOLD = 0.16;
/** How light a leaf is at its foot and at its tip: what is near the ground is old and in the shade. */
const [FOOT, TIP] = [0.62, 1.12];

/** A few pixels wide wherever one stands: a fold in it would never be seen, and there are thousands of them. */
const isNarrow = (leaf: Plant['leaf']) => leaf === 'strap' || leaf === 'needle';

/** Pieces along a leaf that is bent. */
const PARTS = 4;

/** A leaf too small to be seen bent: foot, tip and both sides, folded along its middle. */
export function smallLeaf(leaf: Plant['leaf']): BufferGeometry {
  const at = isNarrow(leaf) ? 0.3 : 0.45;
  const side = (FOOT + TIP) / 2;
  return shaped([0, 0, 0, -0.5, at, FOLD, 0.5, at, FOLD, 0, 1, HANGS[leaf ?? 'lance'] * 0.5], [FOOT, side, side, TIP], [0, 3, 1, 0, 2, 3]); // prettier-ignore
}

/** A leaf one long along y and one wide along x, which hangs over towards z. */
export function largeLeaf(leaf: Plant['leaf']): BufferGeometry {
  const [outline, hangs] = [OUTLINES[leaf ?? 'lance'], HANGS[leaf ?? 'lance']];
  const across = isNarrow(leaf) ? [-1, 1] : [-1, 0, 1];
  const [position, light, index]: number[][] = [[], [], []];
  for (let i = 0; i <= PARTS; i++) {
    const t = i / PARTS;
    const half = outline(Math.min(1, Math.max(0.04, t))) / 2;
    const over = hangs * t * t;
    for (const side of across) {
      position.push(side * half, t * (1 - hangs * 0.4 * t), over + (side === 0 ? 0 : FOLD * half));
      light.push(FOOT + (TIP - FOOT) * t - (side === 0 ? 0.06 : 0));
    }
    if (i === PARTS) break;
    const n = across.length;
    for (let k = i * n; k < i * n + n - 1; k++) index.push(k, k + 1, k + n, k + 1, k + n + 1, k + n);
  }
  return shaped(position, light, index);
}

function shaped(position: number[], light: number[], index: number[]): BufferGeometry {
  const geometry = new BufferGeometry();
  geometry.setAttribute('position', new BufferAttribute(new Float32Array(position), 3));
  const grey = light.flatMap((l) => [l, l, l]);
  geometry.setAttribute('color', new BufferAttribute(new Float32Array(grey), 3));
  geometry.setIndex(index);
  geometry.computeVertexNormals();
  return geometry;
}
