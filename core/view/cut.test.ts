import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Polygon } from '../geometry/polygon';
import { besideCut, cutRun, movedCut, turnedCut, turnTowards } from './cut';

const FLOOR: Polygon = [
  [0, 0],
  [600, 0],
  [600, 360],
  [0, 360],
];

describe('a cut', () => {
  it('runs from pane to pane', () => {
    expect(cutRun(FLOOR, { at: [200, 180], turnDeg: 0 })).toMatchObject({ from: [200, 0], to: [200, 360], lengthMm: 360 }); // prettier-ignore
    const across = cutRun(FLOOR, { at: [200, 90], turnDeg: -90 })!;
    expect(across.lengthMm).toBeCloseTo(600, 9);
    expect(across.from[0]).toBeCloseTo(0, 9);
    expect(across.to[1]).toBeCloseTo(90, 9);
    // From one corner to the one across: the floor's diagonal, by Pythagoras.
    const corner = cutRun(FLOOR, { at: [300, 180], turnDeg: turnTowards([600, 360]) })!;
    expect(corner.lengthMm).toBeCloseTo(Math.hypot(600, 360), 6);
    expect(cutRun(FLOOR, { at: [700, 180], turnDeg: 0 })).toBeUndefined();
  });

  it('tells how far a spot lies along it and to its right', () => {
    const run = cutRun(FLOOR, { at: [200, 180], turnDeg: 0 })!;
    expect(besideCut(run, [230, 100])).toEqual({ alongMm: 100, rightMm: 30 });
    const across = besideCut(cutRun(FLOOR, { at: [200, 90], turnDeg: -90 })!, [450, 100]);
    expect(across.alongMm).toBeCloseTo(450, 9);
    expect(across.rightMm).toBeCloseTo(-10, 9);
  });

  it('is moved across itself, and stays over the floor', () => {
    expect(movedCut(FLOOR, { at: [200, 180], turnDeg: 0 }, 20).at).toEqual([220, 180]);
    expect(movedCut(FLOOR, { at: [200, 180], turnDeg: -90 }, 20).at).toEqual([200, 160]);
    expect(cutRun(FLOOR, movedCut(FLOOR, { at: [200, 180], turnDeg: 0 }, -900))!.lengthMm).toBeCloseTo(
      360,
      6,
    );
  });

  it('is turned to whole degrees, to an upright one that is near, and is the same half a turn further', () => {
    const turned = (deg: number) => turnedCut(FLOOR, { at: [200, 180], turnDeg: 0 }, deg).turnDeg;
    expect([turned(31.4), turned(43.5), turned(-1.2), turned(91), turned(88.5), turned(200)]).toEqual([31, 45, 0, -90, -90, 20]); // prettier-ignore
  });

  it('goes through its spot at its turn, whatever they are, and ends on the panes', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 599, noNaN: true }),
        fc.double({ min: 1, max: 359, noNaN: true }),
        fc.double({ min: -90, max: 89.9, noNaN: true }),
        (x, y, turnDeg) => {
          const run = cutRun(FLOOR, { at: [x, y], turnDeg })!;
          expect(besideCut(run, [x, y]).rightMm).toBeCloseTo(0, 6);
          expect(turnTowards(run.way)).toBeCloseTo(turnDeg, 6);
          for (const [px, py] of [run.from, run.to])
            expect(Math.min(Math.abs(px), Math.abs(px - 600), Math.abs(py), Math.abs(py - 360))).toBeLessThan(
              1e-6,
            );
        },
      ),
    );
  });
});
