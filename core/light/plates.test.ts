import { describe, expect, it } from 'vitest';
import { box } from '../testing/vessel';
import { platesOf, throughPlates, THROUGH_GLASS } from './plates';

describe('a brace', () => {
  it('takes its share of what comes through it, by similar triangles', () => {
    const vessel = { ...box(600, 360, 400), rimMm: 0, braces: [{ fromMm: 260, toMm: 340 }] };
    const plates = platesOf(vessel);
    // A brace of 80 mm at 400 mm under a point at 600 mm: over 80 · 600 / 200 = 240 mm of the floor.
    const through = Array.from({ length: 600 }, (_, x) => throughPlates(plates, [x + 0.5, 180, 0], [300, 180, 600])); // prettier-ignore
    expect(through.filter((t) => t === THROUGH_GLASS).length).toBe(240);
    expect([through[300], through[150]]).toEqual([THROUGH_GLASS, 1]);
    expect(platesOf({ ...vessel, rimMm: 20 })).toHaveLength(5);
    expect(platesOf(box(600, 360, 400))).toEqual([]);
    // Of plastic it takes all of it; the rim is another matter.
    const dark = platesOf({ ...vessel, rimMm: 20, braces: [{ fromMm: 260, toMm: 340, opaque: true }] });
    expect([throughPlates(dark, [300, 180, 0], [300, 180, 600]), dark[0].through]).toEqual([
      0,
      THROUGH_GLASS,
    ]);
    const framed = platesOf({ ...vessel, rimMm: 20, rimOpaque: true });
    expect(framed.map((p) => p.through)).toEqual([0, 0, 0, 0, THROUGH_GLASS]);
  });
});
