import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { rotation, turned, turnedAbout, type Axis } from './rotation';

const point = (x: number, y: number, z: number) => new Float64Array([x, y, z]);
const near = (a: Float64Array, b: readonly number[], digits = 6) => b.forEach((v, i) => expect(a[i]).toBeCloseTo(v, digits)); // prettier-ignore

describe('turning about an axis of the room', () => {
  it('leans a standing stone to the right about y, and back about x', () => {
    // Anticlockwise seen from the back end of y: what stands up goes to the right.
    const right = turnedAbout({ turnDeg: 0 }, 'y', 30);
    expect(right).toEqual({ turnDeg: 0, tiltDeg: [0, 30] });
    near(turned(point(0, 0, 1), rotation(right.turnDeg, right.tiltDeg)), [0.5, 0, Math.sqrt(0.75)]);
    const back = turnedAbout({ turnDeg: 0 }, 'x', -30);
    near(turned(point(0, 0, 1), rotation(back.turnDeg, back.tiltDeg)), [0, 0.5, Math.sqrt(0.75)]);
    // Turned about the upright first, it still leans to the right of the room.
    const turnedFirst = turnedAbout({ turnDeg: 70 }, 'y', 30);
    near(turned(point(0, 0, 1), rotation(turnedFirst.turnDeg, turnedFirst.tiltDeg)), [0.5, 0, Math.sqrt(0.75)], 2); // prettier-ignore
  });

  it('there and back again is as it was, and it stays rigid', () => {
    const angle = fc.integer({ min: -170, max: 170 });
    fc.assert(
      fc.property(angle, fc.integer({ min: -80, max: 80 }), fc.integer({ min: -80, max: 80 }), angle, fc.constantFrom<Axis>('x', 'y', 'z'), (turnDeg, tx, ty, by, axis) => {
        const from = { turnDeg, tiltDeg: [tx, ty] as [number, number] };
        const there = turnedAbout(from, axis, by);
        const back = turnedAbout(there, axis, -by);
        const p = point(3, -2, 5);
        const was = turned(p, rotation(turnDeg, from.tiltDeg));
        near(turned(p, rotation(back.turnDeg, back.tiltDeg)), [...was], 0);
        const now = turned(p, rotation(there.turnDeg, there.tiltDeg));
        expect(Math.hypot(...now)).toBeCloseTo(Math.hypot(3, 2, 5), 6);
        // Along the axis nothing moves.
        const k = { x: 0, y: 1, z: 2 }[axis];
        expect(Math.abs(now[k] - was[k])).toBeLessThan(0.05);
      }), // prettier-ignore
    );
  });

  it('says a stone that lies on its side as turned alone', () => {
    const side = turnedAbout({ turnDeg: 0, tiltDeg: [20, 0] }, 'y', 90);
    expect(side.tiltDeg[1]).toBe(90);
    const up = turned(point(0, 0, 1), rotation(side.turnDeg, side.tiltDeg));
    near(up, [...turned(turned(point(0, 0, 1), rotation(0, [20, 0])), rotation(0, [0, 90]))], 2);
  });
});
