import { describe, expect, it } from 'vitest';
import { vesselOf } from '../testing/vessel';
import type { Vessel } from './schema';
import { vesselFaults } from './vesselFaults';
import { inEnglish } from '../words/english';

const said = (part: Partial<Vessel>) =>
  vesselFaults(vesselOf(part)).map((f) => `${f.path}: ${inEnglish(f.says)}`);

describe('a vessel that cannot be', () => {
  it('has a bow deeper than itself', () => {
    expect(said({ kind: 'bow', bowMm: 360 })).toEqual([
      'vessel.bowMm: is 360 mm, must be less than half the length, 300 mm: a bow cannot be deeper',
    ]);
    expect(said({ kind: 'bow' })[0]).toMatch(/is missing/);
    expect(said({ kind: 'bow', bowMm: 60 })).toEqual([]);
  });

  it('is a cylinder that is not round', () => {
    expect(said({ kind: 'cylinder' })[0]).toMatch(/must be the diameter of the cylinder, 600/);
    expect(said({ kind: 'half-cylinder' })[0]).toMatch(/must be half the diameter, 300/);
  });

  it('has braces or a rim that leave no opening', () => {
    expect(said({ braces: [{ fromMm: 20, toMm: 580 }] })[0]).toMatch(/leave no opening of 80 mm/);
    expect(said({ rimMm: 150 })[0]).toMatch(/at most 140/);
    expect(said({ braces: [{ fromMm: 300, toMm: 250 }] })[0]).toMatch(/to the right of where it starts/);
    expect(said({ braces: [{ fromMm: 250, toMm: 350 }], rimMm: 20 })).toEqual([]);
  });

  it('has a floor that crosses itself, or leaves its own size', () => {
    const bowTie: Vessel['corners'] = [
      [0, 0],
      [600, 360],
      [600, 0],
      [0, 360],
    ];
    expect(said({ kind: 'polygon', corners: bowTie })[0]).toMatch(/cross: side 1 meets side 3/);
    expect(said({ kind: 'polygon', corners: [[0, 0], [700, 0], [0, 300]] })[0]).toMatch(/within 600 × 360/); // prettier-ignore
  });

  it('has chambers that leave no display, and fixed things that go through the glass', () => {
    expect(said({ chambers: [{ id: 'f', side: 'back', mm: 350 }] })[0]).toMatch(/leave room for the display/);
    const weir = { id: 'w', title: 'weir', at: [500, 260] as [number, number] };
    expect(said({ fixed: [{ ...weir, sizeMm: [120, 100, 300] }] })[0]).toMatch(/inner length, 600/);
    expect(said({ fixed: [{ ...weir, sizeMm: [100, 100, 300] }] })).toEqual([]);
  });
});
