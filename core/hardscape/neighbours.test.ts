import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { earlierNeighbours, mayOverlap } from './neighbours';
import type { Standing } from './settle';

type Vector = [number, number, number];
const standing = ([x, y, z]: Vector, size: Vector): Standing =>
  ({
    xMm: x,
    yMm: y,
    zMm: z,
    columns: { extent: { lo: [-size[0], -size[1], 0], hi: size } },
  }) as unknown as Standing;

describe('neighbours of standing pieces', () => {
  it('share space, not a face', () => {
    const stone = standing([0, 0, 0], [10, 10, 10]);
    expect(mayOverlap(stone, standing([19, 0, 0], [10, 10, 10]))).toBe(true);
    expect(mayOverlap(stone, standing([20, 0, 0], [10, 10, 10]))).toBe(false);
    expect(mayOverlap(stone, standing([0, 0, 10], [10, 10, 10]))).toBe(false);
  });

  it('are those that asking every pair finds, in the order of the list, few or many', () => {
    const at = fc.tuple(
      ...([400, 200, 100].map((most) => fc.integer({ min: 0, max: most })) as [
        fc.Arbitrary<number>,
        fc.Arbitrary<number>,
        fc.Arbitrary<number>,
      ]),
    );
    const size = fc.tuple(
      ...([0, 0, 0].map(() => fc.integer({ min: 1, max: 60 })) as [
        fc.Arbitrary<number>,
        fc.Arbitrary<number>,
        fc.Arbitrary<number>,
      ]),
    );
    fc.assert(
      fc.property(fc.array(fc.tuple(at, size), { maxLength: 60 }), (list) => {
        const all = list.map(([p, s]) => standing(p, s));
        const pairs = all.map((s, i) => all.slice(0, i).filter((e) => mayOverlap(e, s)));
        expect(earlierNeighbours(all)).toEqual(pairs);
      }),
    );
  });
});
