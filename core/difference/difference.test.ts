import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Commission, Option } from '../commission/schema';
import { optionOf } from '../commission/lookup';
import { anyJob, jobDocument } from '../testing/anyJob';
import { resolved } from '../testing/resolved';
import { scape } from '../testing/scape';
import { STANDING, standingIn } from '../testing/standing';
import { biofilterOf } from '../visit/biofilter';
import { survey } from '../survey/survey';
import { beforeOf } from './projected';

const linesOf = (commission: Commission) => {
  const measured = survey(commission);
  return beforeOf(commission, optionOf(commission), measured)!.difference.lines;
};
const line = (commission: Commission, id: string) => linesOf(commission).find((l) => l.id === id)!;

describe('the difference between the tank as it is now and a scape', () => {
  it('is nothing where the scape is a copy of it', () => {
    const lines = linesOf(standingIn(scape()));
    expect(lines.map((l) => l.id)).toEqual(['old', 'A', 'B', 'R', 'G']);
    for (const l of lines) expect([l.id, l.stays, l.moved, l.left]).toEqual([l.id, l.there, 0, 0]);
  });

  it('has a stone that is moved, turned or set deeper as set again, one that is not drawn as left', () => {
    const other = standingIn(scape(), ({ pieces: [a, b] }) => ({
      pieces: [{ ...a, at: [200, 180] }, { ...b, turnDeg: 40 }],
      leaving: [{ of: 'pieces', id: 'R', to: 'tub' }],
    }));
    const [a, b, r] = ['A', 'B', 'R'].map((id) => line(other, id));
    // An ellipsoid of 120 × 80 × 140 mm: π/6 × 1.344 L × 2.75 kg/L = 1.94 kg, as columns to half a per cent.
    expect(a.there / ((Math.PI / 6) * 1.344 * 2.75)).toBeCloseTo(1, 2);
    expect([a.moved, b.moved]).toEqual([a.there, b.there]);
    expect([r.left, r.to]).toEqual([r.there, 'tub']);
    const deeper = standingIn(scape(), ({ pieces: [a] }) => ({ pieces: [{ ...a, stand: { kind: 'bed', buryMm: 40 } }] }));
    expect(line(deeper, 'A').moved).toBeGreaterThan(0);
  });

  it('keeps of a bed what the new one needs, litres as poured', () => {
    // 600 × 360 × 60 mm are 12.96 L; less what stands in it, by 0.93.
    const all = linesOf(standingIn(scape()))[0];
    const standing = survey(standingIn(scape())).layers[0].takenByPiecesL;
    expect(all.there).toBeCloseTo((12.96 - standing) / 0.93, 6);
    const lower = line(standingIn(scape(), ({ bed: [soil] }) => ({ bed: [{ ...soil, top: { kind: 'level', mm: 30 } }], pieces: [] })), 'old');
    expect(lower.stays).toBeCloseTo(6.48 / 0.93, 6);
    expect(lower.left).toBeCloseTo(all.there - 6.48 / 0.93, 6);
  });

  it('has plants that are moved as planted again, with no more of them than there were', () => {
    const half: [number, number][] = [[50, 20], [300, 20], [300, 100], [50, 100]];
    const [whole, part] = [line(standingIn(scape()), 'G'), line(standingIn(scape(), ({ plants: [g] }) => ({ plants: [{ ...g, region: half }] })), 'G')];
    expect(whole.there).toBeGreaterThan(40);
    expect(part.stays).toBe(0);
    expect(part.moved + part.left).toBe(whole.there);
    expect(part.moved / whole.there).toBeCloseTo(0.5, 1);
  });

  it('has plants set again that are to grow on another stone of the same name', () => {
    const fern = { id: 'F', plant: 'fern', count: 3, on: 'A' };
    const now = { ...STANDING, plants: [fern] };
    expect(line(standingIn(scape(), undefined, now), 'F')).toMatchObject({ stays: 3, moved: 0 });
    const other = standingIn(scape(), ({ pieces: [{ now: _a, ...a }, ...rest] }) => ({ pieces: [a, ...rest] }), now);
    expect(line(other, 'F')).toMatchObject({ stays: 0, moved: 3 });
  });

  it('has what nobody drew by its weight: it stays where that is said, otherwise it leaves', () => {
    const heaps = [{ id: 'lava', material: 'scoria', massKg: 20, count: 30 }];
    const of = (own?: string[]) => line(standingIn(scape(), () => ({ heaps: own }), { ...STANDING, heaps }), 'lava');
    expect(of(['lava'])).toMatchObject({ there: 20, stays: 20, left: 0, unit: 'kg' });
    expect(of()).toMatchObject({ there: 20, stays: 0, left: 20 });
    const job = (own?: string[]) => resolved(standingIn(scape(), () => ({ heaps: own }), { ...STANDING, heaps }));
    const lost = (own?: string[]) => biofilterOf(job(own), survey(job(own))).reduce((sum, p) => sum + (p.lost ? p.share : 0), 0);
    expect(lost(['lava'])).toBeCloseTo(0, 9);
    expect(lost()).toBeGreaterThan(0.02);
  });

  it('there is what stays, what is moved and what is left, whatever becomes of it', () => {
    const chosen = fc.array(fc.boolean(), { minLength: 16, maxLength: 16 });
    fc.assert(
      fc.property(anyJob, anyJob, chosen, (was, is, links) => {
        const commission = between(jobDocument(was), jobDocument(is), links);
        const job = resolved(commission);
        const { difference, survey: there } = job.before!;
        for (const l of difference.lines) {
          expect(Math.min(l.stays, l.moved, l.left)).toBeGreaterThanOrEqual(0);
          expect(l.stays + l.moved + l.left).toBeCloseTo(l.there, 6);
        }
        const sum = (of: string) => difference.lines.filter((l) => l.of === of).reduce((n, l) => n + l.there, 0);
        expect(sum('pieces')).toBeCloseTo(there.pieces.reduce((kg, p) => kg + p.massKg, 0), 6);
        expect(sum('plants')).toBe(there.plantings.reduce((n, p) => n + p.plugs, 0));
        // Nothing of what was there is bought: what is brought is what is wanted less that.
        for (const [id, l] of job.layers) {
          const has = difference.kept.get(`bed ${id}`);
          if (!has) continue;
          expect(has.wants).toBeCloseTo(l.pouredL, 6);
          // A handful is not bought.
          expect(l.broughtL).toBeCloseTo(has.wants - has.has > Math.max(0.1, 0.03 * has.wants) ? has.wants - has.has : 0, 6);
        }
        for (const [id, p] of job.plantings) {
          const has = difference.kept.get(`plants ${id}`);
          if (has) expect(p.atHand).toBe(p.origin === 'here' ? has.wants : has.has);
        }
      }),
      { numRuns: 30 },
    );
  });
}); // prettier-ignore

/** The scape of one job as the tank of another, with what is of one kind in both said to be the same thing, where chance has it so. */
function between(was: Commission, is: Commission, links: readonly boolean[]): Commission {
  const { bed, pieces, joints, plants } = was.options[0];
  const now = { bed, pieces, joints, plants };
  const d = structuredClone(is);
  let n = 0;
  const linked = <T extends { id: string }>(list: readonly T[], there: readonly T[], is: (t: T) => string, once: boolean): T[] => {
    const taken = new Set<string>();
    return list.map((t) => {
      const of = there.find((q) => is(q) === is(t) && !(once && taken.has(q.id)));
      if (!of || !links[n++ % links.length]) return t;
      taken.add(of.id);
      return { ...t, now: of.id };
    });
  };
  const [o]: Option[] = d.options;
  d.options[0] = { ...o, bed: linked(o.bed, bed, (l) => l.material, false), pieces: linked(o.pieces, pieces, (p) => p.material, true), plants: linked(o.plants, plants, (p) => p.plant, false) };
  return { ...d, now };
} // prettier-ignore
