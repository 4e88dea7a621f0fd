import { describe, expect, it } from 'vitest';
import { rotation } from '../geometry/rotation';
import { grainApart, grainAsItLies, grainUnturned, turnToSeat } from './facing';

describe('the best face of a stone', () => {
  it('looks to the seat: straight in front, to the right, or from behind', () => {
    expect(turnToSeat(30, [300, 200], [300, -2_000])).toBe(30);
    expect(turnToSeat(30, [300, 200], undefined)).toBe(30);
    expect(turnToSeat(0, [300, 200], [300, 3_000])).toBe(180);
    // The face of a stone that looks to the front, turned so, looks along the way to the seat.
    const seat = [2_500, -1_400] as const;
    const m = rotation(turnToSeat(0, [300, 200], seat));
    const face = [-m[1], -m[4]];
    const way = [seat[0] - 300, seat[1] - 200];
    const long = Math.hypot(...way);
    expect((face[0] * way[0] + face[1] * way[1]) / long).toBeCloseTo(1, 3);
  });

  it('has a grain that is read off as it lies, and stays with the stone', () => {
    const grainDeg = grainUnturned(30, 60);
    expect(grainDeg).toBe(150);
    expect(grainAsItLies({ turnDeg: 60, grainDeg })).toBe(30);
    expect(grainAsItLies({ turnDeg: 90, grainDeg })).toBe(60);
  });

  it('has a grain without ends', () => {
    expect([grainApart(10, 20), grainApart(5, 175), grainApart(0, 90), grainApart(190, 10)]).toEqual([
      10, 10, 90, 0,
    ]);
  });
});
