import type { Vessel } from '../../../core/commission/schema';

/** A shape that can be picked, and what a vessel becomes when it is. */
export interface ShapeChoice {
  key: string;
  name: string;
  /** Its plan in a box of 44 × 24, front below. */
  d: string;
  becomes: (v: Vessel) => Partial<Vessel>;
}

const even = (mm: number) => Math.round(mm / 2) * 2;

export const SHAPES: readonly ShapeChoice[] = [
  { key: 'box', name: 'box', d: 'M1 2H43V22H1Z', becomes: () => ({ kind: 'box' }) },
  {
    key: 'bow',
    name: 'bow',
    d: 'M1 2H43V17Q22 28 1 17Z',
    becomes: (v) => ({
      kind: 'bow',
      bowMm: v.bowMm ?? Math.round(Math.min(v.innerMm.width, v.innerMm.length) / 6),
    }),
  },
  {
    key: 'cube',
    name: 'cube',
    d: 'M11 1H33V23H11Z',
    becomes: (v) => {
      const side = v.innerMm.width;
      return {
        kind: 'box',
        innerMm: { length: side, width: side, height: side },
        waterLineMm: Math.min(v.waterLineMm, side - 20),
      };
    },
  },
  {
    key: 'cylinder',
    name: 'cylinder',
    d: 'M22 1a11 11 0 1 0 .01 0Z',
    becomes: (v) => ({ kind: 'cylinder', innerMm: { ...v.innerMm, length: v.innerMm.width } }),
  },
  {
    key: 'half-cylinder',
    name: 'half',
    d: 'M2 2H42A20 20 0 0 1 2 2Z',
    becomes: (v) => {
      const length = even(v.innerMm.length);
      return { kind: 'half-cylinder', innerMm: { ...v.innerMm, length, width: length / 2 } };
    },
  },
  {
    key: 'hexagon',
    name: 'hexagon',
    d: 'M11 2H33L43 12L33 22H11L1 12Z',
    becomes: () => ({ kind: 'hexagon' }),
  },
  {
    key: 'polygon',
    name: 'corners',
    d: 'M1 2H43V12L30 22H1Z',
    // Corners that were drawn before come back, as long as the floor still has room for them.
    becomes: ({ innerMm: { length: l, width: w }, corners }) => ({
      kind: 'polygon',
      corners: corners?.every(([x, y]) => x <= l && y <= w)
        ? corners
        : [
            [0, 0],
            [Math.round(l * 0.7), 0],
            [l, Math.round(w * 0.4)],
            [l, w],
            [0, w],
          ],
    }),
  },
];

/** The choice that a vessel is now. */
export function shapeOf({ kind, innerMm: { length, width, height } }: Vessel): string {
  return kind === 'box' && length === width && width === height ? 'cube' : kind;
}

/**
 * A vessel with another inner size, its shape kept: a cylinder stays round, a half cylinder half, corners
 * move with the sides, and the water stays below the rim.
 */
export function resized(v: Vessel, key: 'length' | 'width' | 'height', mm: number): Partial<Vessel> {
  const innerMm = { ...v.innerMm, [key]: mm };
  if (v.kind === 'cylinder' && key !== 'height') innerMm.length = innerMm.width = mm;
  if (v.kind === 'half-cylinder' && key === 'length') innerMm.width = mm / 2;
  if (v.kind === 'half-cylinder' && key === 'width') innerMm.length = mm * 2;
  const corners = v.corners?.map(([x, y]): [number, number] => [
    Math.round((x * innerMm.length) / v.innerMm.length),
    Math.round((y * innerMm.width) / v.innerMm.width),
  ]);
  // The water stays as far below the rim as it was.
  const waterLineMm = Math.max(10, Math.min(mm - 10, v.waterLineMm + mm - v.innerMm.height));
  return {
    innerMm,
    ...(corners ? { corners } : {}),
    ...(key === 'height' ? { waterLineMm } : {}),
  };
}
