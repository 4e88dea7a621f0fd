import { describe, expect, it } from 'vitest';
import { meshFault, meshVolume, shellCount } from '../geometry/mesh';
import { solids } from '../geometry/solids';
import { branchFault, branchSolid, limbsOf, type Branch } from './branches';
import { inEnglish } from '../words/english';

const trunk: Branch = { longMm: 400, thickMm: [60, 30], bearingDeg: 0, riseDeg: 30 };

describe('wood of branches', () => {
  it('a branch leaves where the tape says', () => {
    const [a, b] = limbsOf([trunk, { from: 0, alongMm: 200, longMm: 100, thickMm: [20, 10], bearingDeg: 90, riseDeg: 0 }]); // prettier-ignore
    expect(a.to[0]).toBeCloseTo(400 * Math.cos(Math.PI / 6), 9);
    expect(a.to[2]).toBeCloseTo(200, 9);
    expect(b.from).toEqual([a.to[0] / 2, 0, a.to[2] / 2]);
    expect(b.to[1]).toBeCloseTo(100, 9);
  });

  it('has the litres of a tapered round', async () => {
    const mesh = branchSolid([trunk], await solids());
    expect(meshFault(mesh.vertices.length / 3, mesh.faces)).toBeUndefined();
    // A frustum of 30 and 15 mm over 400 mm, and half a ball at each end; the tangents of the hull make a hair more.
    const frustum = ((Math.PI * 400) / 3) * (30 ** 2 + 30 * 15 + 15 ** 2);
    const ends = ((2 * Math.PI) / 3) * (30 ** 3 + 15 ** 3);
    expect(meshVolume(mesh) / (frustum + ends)).toBeCloseTo(1, 1.5);
  });

  it('is one solid where branches meet: what they share is counted once', async () => {
    const twig: Branch = {
      from: 0,
      alongMm: 250,
      longMm: 300,
      thickMm: [24, 8],
      bearingDeg: 120,
      riseDeg: 50,
    };
    const work = await solids();
    const [one, other, both] = [[trunk], [{ ...twig, from: undefined }], [trunk, twig]].map((b) => branchSolid(b, work)); // prettier-ignore
    expect(shellCount(both)).toBe(1);
    expect(meshVolume(both)).toBeLessThan(meshVolume(one) + meshVolume(other));
    expect(meshVolume(both)).toBeGreaterThan(meshVolume(one) + 0.8 * meshVolume(other));
  });

  it('says which branch leaves what is not there', () => {
    expect(inEnglish(branchFault([])!)).toMatch(/trunk is missing/);
    expect(inEnglish(branchFault([trunk, { ...trunk, from: 1 }])!)).toMatch(/must leave one before it/);
    expect(inEnglish(branchFault([trunk, { ...trunk, from: 0, alongMm: 500 }])!)).toMatch(
      /must be within the 400 mm/,
    );
    expect(branchFault([trunk, { ...trunk, from: 0, alongMm: 400 }])).toBeUndefined();
  });
});
