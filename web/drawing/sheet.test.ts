import { ref } from 'vue';
import { describe, expect, it } from 'vitest';
import { example } from '../../core/testing/scape';
import { NO_ZOOM, oneByOne, useSheet, VIEWS, type Sheet, type View, type Zoom } from './sheet';

const vessel = (length: number, width: number, height: number) =>
  ref({ ...example('level-cube').vessel, innerMm: { length, width, height } });
const sheetOn = (
  across: number,
  down: number,
  size: [number, number, number] = [900, 450, 450],
  shown: readonly View[] = VIEWS,
  zoom: Zoom = NO_ZOOM,
) => useSheet(vessel(...size), { width: ref(across), height: ref(down) }, ref(shown), ref(zoom)).value;
const views = (s: Sheet) => VIEWS.flatMap((v) => s[v] ?? []);

describe('the bench’s sheet', () => {
  it('stands the plan below the front at one scale, the section beside it', () => {
    const s = sheetOn(1000, 600);
    expect([s.plan!.x, s.plan!.w]).toEqual([s.front!.x, s.front!.w]);
    expect(s.front!.w / s.k).toBeCloseTo(900, 6);
    expect([s.section!.y, s.section!.h]).toEqual([s.front!.y, s.front!.h]);
    expect(s.section!.x).toBeGreaterThan(s.front!.x + s.front!.w);
  });

  it('gives the room of what is not shown to the others, and all of it to one alone', () => {
    const all = sheetOn(880, 590, [2000, 600, 600]);
    const two = sheetOn(880, 590, [2000, 600, 600], ['front', 'plan']);
    expect(two.k).toBeGreaterThan(all.k * 1.25);
    expect([two.section, two.seat]).toEqual([undefined, undefined]);
    const front = sheetOn(880, 590, [900, 450, 450], ['front']);
    expect(front.front!.h).toBeGreaterThan(390);
    expect(front.front!.x + front.front!.w / 2).toBeGreaterThan(430);
    // What a cube leaves free beside it is the seat’s.
    expect(sheetOn(880, 590, [300, 300, 300]).seat!.w).toBeGreaterThan(450);
    expect(sheetOn(880, 590, [900, 450, 450], ['seat']).seat!.h).toBeGreaterThan(500);
  });

  it('keeps a usable view from the seat of a tank of two metres on a tablet: below the plan, not beside it', () => {
    const { seat, plan, front } = sheetOn(670, 525, [2000, 600, 600]);
    expect(seat!.x).toBe(plan!.x);
    expect(Math.min(seat!.w, (seat!.h * 2000) / 600)).toBeGreaterThanOrEqual(260);
    // The measured views give way a little for it, and a cube is as it was.
    expect(front!.w).toBeGreaterThan(330);
    const cube = sheetOn(670, 525, [300, 300, 300]);
    expect(cube.seat!.x).toBeGreaterThan(cube.plan!.x + cube.plan!.w);
  });

  it('has front and plan of a cube looked at one by one on a telephone, and those of a long tank together', () => {
    const on = (across: number, ...size: [number, number, number]) => oneByOne(vessel(...size).value, across, 410); // prettier-ignore
    expect([on(390, 300, 300, 300), on(390, 350, 350, 400)]).toEqual([true, true]);
    expect([on(390, 900, 450, 450), on(390, 600, 360, 360), on(1000, 300, 300, 300), on(0, 300, 300, 300)]).toEqual([false, false, false, false]); // prettier-ignore
    // By itself a cube is as wide as the telephone, or nearly.
    expect(sheetOn(390, 410, [300, 300, 300], ['front']).front!.w).toBeGreaterThan(320);
  });

  it('draws one view up close about the middle, and only one', () => {
    const whole = sheetOn(880, 590, [900, 450, 450], ['plan']);
    const near = sheetOn(880, 590, [900, 450, 450], ['plan'], { times: 3, dx: 20, dy: -10 });
    expect(near.k).toBeCloseTo(whole.k * 3, 9);
    expect(near.plan!.w / near.k).toBeCloseTo(900, 6);
    const middle = (s: Sheet) => (440 - s.plan!.x) / s.k;
    expect(middle(near)).toBeCloseTo(middle(whole) - 20 / near.k, 6);
    const all = sheetOn(880, 590);
    expect(sheetOn(880, 590, undefined, VIEWS, { times: 3, dx: 0, dy: 0 })).toEqual(all);
  });

  it.each([
    [1000, 600, [900, 450, 450]],
    [390, 560, [900, 450, 450]],
    [390, 560, [300, 300, 300]],
    [390, 700, [2000, 600, 600]],
    [1400, 900, [300, 300, 300]],
    [670, 525, [2000, 600, 600]],
    [880, 590, [2000, 600, 600]],
  ] as const)('keeps every view inside %i × %i px', (across, down, size) => {
    const s = sheetOn(across, down, [...size]);
    for (const v of views(s)) {
      expect(v.x).toBeGreaterThanOrEqual(0);
      expect(v.x + v.w).toBeLessThanOrEqual(across);
      expect(v.y + v.h).toBeLessThanOrEqual(down);
    }
    // None lies over another.
    for (const [i, a] of views(s).entries())
      for (const b of views(s).slice(i + 1))
        expect(a.x + a.w <= b.x || b.x + b.w <= a.x || a.y + a.h <= b.y || b.y + b.h <= a.y).toBe(true);
  });
});
