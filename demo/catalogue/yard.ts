import type { YardPiece } from '../../core/catalogue/studio';
import { root, stone } from './solids';

const slate = (id: string, seed: number, sizeMm: [number, number, number], taper = 0.45): YardPiece => ({
  id,
  material: 'slate',
  shape: stone({ seed, sizeMm, taper }),
});

export const YARD: readonly YardPiece[] = [
  slate('S-14', 5, [210, 150, 300], 0.86),
  slate('S-03', 11, [185, 130, 225], 0.82),
  slate('S-09', 23, [125, 100, 170], 0.75),
  slate('S-22', 31, [140, 110, 175], 0.78),
  slate('S-31', 44, [110, 84, 118], 0.6),
  slate('S-33', 52, [95, 80, 85]),
  slate('S-40', 63, [170, 90, 150]),
  slate('S-41', 71, [120, 80, 110]),
  slate('S-44', 88, [70, 52, 46], 0.3),
  slate('S-45', 93, [62, 50, 42], 0.3),
  slate('S-46', 104, [110, 75, 92]),
  slate('S-47', 117, [58, 44, 40], 0.25),
  slate('S-61', 131, [200, 140, 285], 0.84),
  slate('S-62', 143, [150, 115, 205], 0.8),
  slate('S-63', 157, [135, 100, 160], 0.72),
  slate('S-64', 163, [125, 90, 120], 0.62),
  slate('S-65', 179, [98, 78, 84], 0.5),
  slate('S-66', 191, [84, 62, 66], 0.4),
  slate('S-67', 199, [66, 54, 48], 0.3),
  {
    id: 'R-02',
    material: 'branch',
    shape: root(7, [
      {
        path: [
          [-30, 0, -40, 52],
          [30, 8, -8, 44],
          [90, 16, 40, 34],
          [150, 10, 92, 22],
          [195, -4, 150, 11],
          [214, -10, 190, 5],
        ],
      },
      {
        path: [
          [0, 4, -24, 40],
          [-40, -12, 34, 32],
          [-78, -20, 96, 22],
          [-84, -8, 150, 13],
          [-110, 2, 196, 6],
        ],
      },
      {
        path: [
          [-70, -20, 84, 18],
          [-36, -26, 140, 12],
          [-10, -20, 186, 6],
        ],
      },
      {
        path: [
          [100, 16, 48, 22],
          [150, 34, 56, 14],
          [204, 46, 84, 6],
        ],
      },
      {
        path: [
          [20, 6, -10, 34],
          [40, -30, -26, 24],
          [60, -66, -44, 10],
        ],
      },
    ]),
  },
  {
    id: 'R-05',
    material: 'ironwood',
    shape: root(19, [
      {
        path: [
          [-90, 0, -10, 30],
          [-30, 12, 6, 34],
          [40, 4, 30, 26],
          [100, -10, 66, 16],
          [140, -14, 100, 6],
        ],
      },
      {
        path: [
          [10, 6, 16, 22],
          [30, 40, 44, 14],
          [44, 70, 80, 6],
        ],
      },
    ]),
  },
  {
    id: 'R-07',
    material: 'mangrove',
    shape: root(29, [
      {
        path: [
          [-120, 0, 0, 26],
          [-40, 10, 20, 40],
          [50, 0, 30, 34],
          [130, -20, 20, 16],
        ],
      },
      {
        path: [
          [-20, 6, 24, 28],
          [0, -20, 80, 18],
          [30, -30, 130, 8],
        ],
      },
    ]),
  },
];

/** A piece of the yard by its tag. */
export function fromYard(id: string): YardPiece {
  const piece = YARD.find((p) => p.id === id);
  if (!piece) throw new Error(`no piece ${id} in the yard`);
  return piece;
}
