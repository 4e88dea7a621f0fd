import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Candidate, Material } from '../commission/schema';
import { sizeMmOf } from '../hardscape/extent';
import { exactVolumeMm3 } from '../hardscape/solid';
import { asActual, differences, isRunningOut, meshShape, standingOf } from './candidate';
import { standIn } from './pieceFrom';

const slate: Material = { id: 'slate', name: 'Slate', kind: 'stone', densityKgPerL: 2.7 };
const wood: Material = { id: 'root', name: 'Root', kind: 'wood', densityKgPerL: 0.9 };
const asked: Candidate = { id: 'C-1', option: 'a', piece: 'N-1', material: 'slate' };
const block = { material: 'slate', shape: { kind: 'box' as const, sizeMm: [100, 80, 60] as [number, number, number] } }; // prettier-ignore
const litres = (a: ReturnType<typeof asActual>) => exactVolumeMm3(a!.shape)! / 1e6;

describe('an actual piece', () => {
  it('is asked for, offered, said yes to, there, or said no to: by what is known of it', () => {
    expect(standingOf(asked)).toBe('asked');
    const offered: Candidate = { ...asked, sizeMm: [300, 200, 150] };
    expect(standingOf(offered)).toBe('offered');
    expect(standingOf({ ...offered, approvedOn: '2027-01-04' })).toBe('approved');
    expect(standingOf({ ...offered, approvedOn: '2027-01-04', measured: { sizeMm: [300, 200, 150] } })).toBe('arrived'); // prettier-ignore
    expect(standingOf({ ...offered, declined: true })).toBe('declined');
  });

  it('is as long as it was measured and has the litres of its mass', () => {
    const side = fc.integer({ min: 60, max: 500 });
    // A rough block fills a fifth to four fifths of its box (`roughStone.ts`).
    fc.assert(
      fc.property(
        fc.tuple(side, side, side),
        fc.double({ min: 0.25, max: 0.75, noNaN: true }),
        (sizeMm, share) => {
          const massKg = ((sizeMm[0] * sizeMm[1] * sizeMm[2]) / 1e6) * share * 2.7;
          const as = asActual(block, { ...asked, sizeMm, massKg }, slate)!;
          sizeMmOf(as.shape).forEach((mm, i) => expect(mm).toBeCloseTo(sizeMm[i], 0));
          expect(litres(as) / (massKg / 2.7)).toBeCloseTo(1, 1);
          expect(as.massKg).toBe(massKg);
        },
      ),
      { numRuns: 20 },
    );
    // What was measured goes before what was promised.
    const came = asActual(block, { ...asked, sizeMm: [300, 200, 150], measured: { sizeMm: [240, 200, 150] } }, slate)!; // prettier-ignore
    expect(Math.round(sizeMmOf(came.shape)[0])).toBe(240);
    expect(came.massKg).toBeUndefined();
    // Shorter by the tape and not weighed again: as heavy as was promised.
    expect(asActual(block, { ...asked, sizeMm: [300, 200, 150], massKg: 9, measured: { sizeMm: [240, 200, 150] } }, slate)!.massKg).toBe(9); // prettier-ignore
    expect(asActual(block, asked, slate)).toBeUndefined();
  });

  it('of wood keeps the drawn branches, stretched', () => {
    const drawn = { material: 'root', shape: meshShape(standIn('l', 'tall', 3).mesh) };
    const was = sizeMmOf(drawn.shape);
    const as = asActual(drawn, { ...asked, sizeMm: [was[0] * 2, was[1], was[2] / 2], massKg: 1 }, wood)!;
    const [one, other] = [drawn.shape.vertices[7], (as.shape as typeof drawn.shape).vertices[7]];
    expect(other).toEqual([expect.closeTo(one[0] * 2, 0), expect.closeTo(one[1], 0), expect.closeTo(one[2] / 2, 0)]); // prettier-ignore
    // Twice as long, half as high: as many litres.
    expect(litres(as)).toBeCloseTo(exactVolumeMm3(drawn.shape)! / 1e6, 3);
  });

  it('came other than promised by what a tape and scales tell', () => {
    const promised: Candidate = { ...asked, sizeMm: [420, 200, 150], massKg: 2.1 };
    expect(differences({ ...promised, measured: { sizeMm: [360, 203, 150], massKg: 1.7 } })).toEqual([{ what: 'length', by: -60 }, { what: 'mass', by: -0.4 }]); // prettier-ignore
    expect(differences({ ...promised, measured: { sizeMm: [420, 200, 150] } })).toEqual([]);
    expect(differences(promised)).toEqual([]);
  });

  it('is held until a day, for who has not answered', () => {
    const held: Candidate = { ...asked, heldUntil: '2027-01-04' };
    expect(['2027-01-03', '2027-01-04', '2027-02-01'].map((d) => isRunningOut(held, d))).toEqual([false, true, true]); // prettier-ignore
    expect(isRunningOut({ ...held, approvedOn: '2027-01-02' }, '2027-02-01')).toBe(false);
    expect(isRunningOut({ ...held, declined: true }, '2027-02-01')).toBe(false);
  });
});
