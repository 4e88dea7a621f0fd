import fc from 'fast-check';
import { Vector3 } from 'three';
import { describe, expect, it } from 'vitest';
import { example } from '../../../core/testing/scape';
import { withinGlass, type Leaf } from './leafLayout';
import { awayFrom } from './seatScene';

const ROOM = { length: 600, width: 360 };
const share = fc.double({ min: 0, max: 1, noNaN: true });
const part = fc.double({ min: -1, max: 1, noNaN: true });

describe('a leaf', () => {
  it('keeps within the glass wherever it stands and leans, as long as it was, and is left alone where it does', () => {
    fc.assert(
      fc.property(share, share, part, part, fc.integer({ min: 4, max: 400 }), (u, v, a, c, long) => {
        const way = new Vector3(a, 0.6, c).normalize();
        const leaf: Leaf = { foot: [u * ROOM.length, v * ROOM.width, 80], way, long, wide: 5 };
        const kept = withinGlass(leaf, ROOM);
        const tip = [leaf.foot[0] + kept.way.x * long, leaf.foot[1] - kept.way.z * long];
        expect(tip[0]).toBeGreaterThan(-0.01);
        expect(tip[0]).toBeLessThan(ROOM.length + 0.01);
        expect(tip[1]).toBeGreaterThan(-0.01);
        expect(tip[1]).toBeLessThan(ROOM.width + 0.01);
        expect(kept.way.length()).toBeCloseTo(1);
        const was = [leaf.foot[0] + way.x * long, leaf.foot[1] - way.z * long];
        const isIn = was[0] >= 0 && was[0] <= ROOM.length && was[1] >= 0 && was[1] <= ROOM.width;
        if (isIn) expect(kept.way.distanceTo(way)).toBeLessThan(1e-9);
      }),
    );
  });
});

describe('how far an eye is', () => {
  it('is from the nearest spot of the tank: in front of it, above it, beside its corner', () => {
    const { vessel } = example('held-root');
    const { length, width, height } = vessel.innerMm;
    expect(awayFrom(vessel, [length / 2, -900, 100])).toBe(900);
    expect(awayFrom(vessel, [length / 2, width / 2, height + 2_000])).toBe(2_000);
    expect(awayFrom(vessel, [-300, -400, 100])).toBe(500);
  });
});
