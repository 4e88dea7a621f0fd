import { describe, expect, it } from 'vitest';
import type { Layer } from '../commission/schema';
import { CANYON_MM, OVER_BAGS_MM } from '../commission/limits';
import { piece, scape, soil } from '../testing/scape';
import { spoken } from '../words/english';
import { surveyFindings } from './findings';
import { holdsBedBack } from '../survey/retains';
import { survey } from '../survey/survey';
import { resolved } from '../testing/resolved';

/* Limits that are common practice, each held from both of its sides. */

const found = (commission: ReturnType<typeof scape>) =>
  spoken(surveyFindings(resolved(commission), survey(commission)));
const ids = (commission: ReturnType<typeof scape>) => found(commission).map((f) => f.id);
const filler = (mm: number, rest: Partial<Layer> = {}): Layer => ({
  id: 'f',
  material: 'scoria',
  top: { kind: 'level', mm },
  region: [[150, 100], [450, 100], [450, 300], [150, 300]],
  ...rest,
}); // prettier-ignore

describe('filler', () => {
  it('in bags is covered, and loose filler need not be', () => {
    const over = (mm: number, rest: Partial<Layer> = {}) =>
      scape({ option: { bed: [filler(60, rest), soil({ kind: 'level', mm: 60 + mm })] } });
    expect(ids(over(OVER_BAGS_MM))).toEqual([]);
    const [thin] = found(over(12));
    expect(thin).toMatchObject({ id: 'bed.bags', at: { layer: 'f' }, measured: 12, limit: OVER_BAGS_MM });
    expect(thin.says).toMatch(/^Only 12 mm lies over bags of Scoria/);
    expect(ids(over(12, { bagged: false }))).toEqual([]);
  });

  it('slides where it is loose, and not in bags', () => {
    const heap = (rest: Partial<Layer>) =>
      filler(10, { mounds: [{ at: [300, 200], radiusMm: 90, heightMm: 90 }], ...rest });
    const steep = (rest: Partial<Layer>) => {
      const commission = scape({ option: { bed: [heap(rest)] } });
      commission.catalogue.materials.find((m) => m.id === 'scoria')!.reposeDeg = 35;
      return ids(commission).includes('bed.steep');
    };
    expect([steep({ bagged: false }), steep({})]).toEqual([true, false]);
    // Of a grain nobody has said at which slope it holds: the usual one, as when it is let settle.
    const unsaid = scape({ option: { bed: [heap({ bagged: false })] } });
    expect(unsaid.catalogue.materials.find((m) => m.id === 'scoria')!.reposeDeg).toBeUndefined();
    expect(ids(unsaid)).toContain('bed.steep');
  });
});

describe('a gap between two large stones', () => {
  const two = (gap: number, size = 80) =>
    scape({
      option: {
        bed: [soil({ kind: 'level', mm: 60 })],
        pieces: [
          piece({ shape: { kind: 'box', sizeMm: [100, 80, 120] }, at: [200, 180] }),
          piece({
            id: 'S-2',
            shape: { kind: 'box', sizeMm: [size, 80, 120] },
            at: [250 + gap + size / 2, 180],
          }),
        ],
      },
    });

  it('is said where it is narrower than a canyon, and neither touching nor beside a detail', () => {
    const [narrow] = found(two(12));
    expect(narrow).toMatchObject({ id: 'piece.canyon', severity: 'note', measured: 12, limit: CANYON_MM });
    expect(narrow.says).toBe('S-1 and S-2 stand 12 mm apart.');
    expect(ids(two(CANYON_MM))).toEqual([]);
    expect(ids(two(2))).toEqual([]);
    expect(ids(two(12, 20))).toEqual([]);
  });
});

describe('what holds a bed back', () => {
  const at = (bed: Layer) => {
    const s = survey(scape({ option: { bed: [bed], pieces: [piece({})] } }));
    return holdsBedBack(s.field, s.standing[0]);
  };

  it('has it higher behind than before', () => {
    expect(at(soil({ kind: 'level', mm: 60 }))).toBe(false);
    expect(at(soil({ kind: 'ramp', frontMm: 30, backMm: 110 }))).toBe(true);
  });

  it('has no hole under it: a branch above the step is no dam', () => {
    const path: Layer = { id: 'p', material: 'sand', cuts: true, top: { kind: 'level', mm: 15 }, region: [[0, 0], [600, 0], [600, 150], [0, 150]] }; // prettier-ignore
    const wall = (zMm: number) =>
      scape({
        option: {
          bed: [soil({ kind: 'level', mm: 80 }), path],
          pieces: [
            piece({
              shape: { kind: 'box', sizeMm: [560, 30, 90] },
              at: [300, 140],
              stand: { kind: 'at', zMm },
            }),
          ],
        },
      });
    expect(ids(wall(10))).not.toContain('bed.face');
    expect(ids(wall(55))).toContain('bed.face');
  });
});

describe('a root that has sunk', () => {
  it('weighs what it weighs soaked', () => {
    const kg = (state: 'dry' | 'sunk') =>
      survey(scape({ option: { pieces: [piece({ material: 'branch', state, shape: { kind: 'box', sizeMm: [100, 100, 100] }, stand: { kind: 'floor' } })] } })).pieces[0].massKg; // prettier-ignore
    expect(kg('dry')).toBeCloseTo(0.7, 3);
    expect(kg('sunk')).toBeCloseTo(1.05, 3);
  });
});
