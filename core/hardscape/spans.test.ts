import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { addLayers, Spans } from './spans';

describe('spans of height', () => {
  it('are what is left of one when others are taken off, however many they are', () => {
    const cut = fc.tuple(fc.integer({ min: -10, max: 310 }), fc.integer({ min: 1, max: 12 }));
    fc.assert(
      fc.property(fc.array(cut, { maxLength: 120 }), (cuts) => {
        const spans = new Spans();
        spans.start(0, 300);
        for (const [from, long] of cuts) spans.without(from, from + long);
        const isCut = (mm: number) => cuts.some(([from, long]) => mm >= from && mm < from + long);
        const left = Array.from({ length: 300 }, (_, mm) => mm).filter((mm) => !isCut(mm));
        const found = Array.from({ length: spans.count / 2 }, (_, i) => [
          spans.ends[2 * i],
          spans.ends[2 * i + 1],
        ]);
        expect(
          found.flatMap(([a, b]) => Array.from({ length: b - a }, (_, k) => a + k)).sort((a, b) => a - b),
        ).toEqual(left);
        expect(spans.is(0, 300)).toBe(left.length === 300);
      }),
    );
  });

  it('are never full: a comb of a hundred teeth leaves a hundred and one', () => {
    const spans = new Spans();
    spans.start(0, 1_000);
    for (let i = 0; i < 100; i++) spans.without(5 + i * 10, 6 + i * 10);
    expect(spans.count / 2).toBe(101);
  });

  it('are shared out among layers by the tops of these, wherever those stand', () => {
    const inLayer = new Float64Array(3);
    // Tops at 10, 10 (a layer that has run out) and 40 mm, behind two figures of another column.
    addLayers(inLayer, Float64Array.of(7, 7, 10, 10, 40), 2, 5, 25);
    expect([...inLayer]).toEqual([5, 0, 15]);
    addLayers(inLayer, Float64Array.of(10, 10, 40), 0, 5, 25, -1);
    expect([...inLayer]).toEqual([0, 0, 0]);
  });
});
