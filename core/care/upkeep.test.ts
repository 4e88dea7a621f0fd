import { describe, expect, it } from 'vitest';
import { inEnglish } from '../words/english';
import { plan } from '../pipeline/plan';
import { parsed, scape, soil } from '../testing/scape';
import { upkeepOf, UPKEEP } from './upkeep';
import type { CareDay } from './careDay';
import { resolved } from '../testing/resolved';

const doc = (site = {}) =>
  parsed({
    ...scape({
      option: {
        bed: [soil({ kind: 'level', mm: 60 })],
        plants: [{ id: 'P', plant: 'grass', region: [[0, 0], [600, 0], [600, 200], [0, 200]], spacingMm: 25 }], // prettier-ignore
      },
    }),
    site,
  });
const week = (litres: number[]): CareDay[] =>
  litres.map((l, i) => ({
    day: '2027-01-15',
    afterDays: i + 1,
    ...(l ? { change: { litres: l, share: 0.5 } } : {}),
    doses: 0,
    test: i === 3,
    events: [],
  }));

describe('upkeep', () => {
  const { parts } = plan(doc()).planted!;
  const of = (litres: number[], n: number, site = {}) =>
    Object.fromEntries(
      upkeepOf(
        resolved(doc(site)),
        parts,
        week(litres).map((d, i) => ({ ...d, afterDays: (n - 1) * 7 + i + 1 })),
      ).map((p) => [inEnglish(p.what), p.minutes]),
    );

  it('is litres over the pump’s rate and back, for every change', () => {
    // 40 L: set up 8, out at 8 L/min, in at 3 L/min.
    const parts = of([40, 0, 0, 0], 1);
    expect(parts['a water change']).toBeCloseTo(8 + 40 / 8 + 40 / 3, 9);
    expect(of([40, 0, 40, 0], 1)['2 water changes']).toBeCloseTo(2 * parts['a water change'], 9);
  });

  it('takes cans to the tap and to the drain', () => {
    const site = { carry: 'cans', tapM: 10, drainM: 25 };
    const each = 4 * (1.5 + 20 / 50) + 4 * (1.5 + 50 / 50);
    expect(of([40], 1, site)['a water change']).toBeCloseTo(8 + 40 / 8 + each, 9);
  });

  it('wipes panes by their area, and cuts in the week of each trim that planting has', () => {
    const panes = of([0], 1);
    // Two of 600 and two of 360 mm, up to the line at 370.
    expect(panes.panes).toBeCloseTo(1.92 * 0.37 * UPKEEP.panesPerM2, 9);
    const [{ trims, netM2 }] = parts;
    expect(trims.length).toBeGreaterThan(1);
    for (let n = 1; n <= 16; n++) {
      const own = trims.filter((day) => Math.ceil(day / 7) === n).length;
      expect(of([0, 0, 0, 0, 0, 0, 0], n).trimming ?? 0, `week ${n}`).toBeCloseTo(
        own * netM2 * UPKEEP.trimPerM2,
        9,
      );
    }
  });

  it('adds up to the minutes of each week of the care plan', () => {
    for (const w of plan(doc()).care.weeks)
      expect(w.minutes).toBe(Math.round(w.upkeep.reduce((sum, p) => sum + p.minutes, 0)));
  });
});

describe('reverse osmosis beside the school', () => {
  const hard = { tap: { gh: 20, kh: 14 }, target: { gh: 4, kh: 3 } };

  it('falls behind on daily changes from a small unit, with a finding that says the store', () => {
    const { care } = plan(doc({ ...hard, ro: { litresPerHour: 0.5, storageL: 5 } }));
    expect(care.ro!.days.some((d) => d.shortL > 0)).toBe(true);
    const f = care.findings.find((x) => x.id === 'water.ro')!;
    expect(inEnglish(f.says)).toMatch(/^RO falls behind on \d+ days from day 1/);
    expect(f.limit).toBeGreaterThan(f.measured);
    expect(inEnglish(f.because)).toContain(`${Math.round(care.ro!.storeNeededL)} L stored`);
  });

  it('keeps up from a large one, and is not planned without one', () => {
    const { care } = plan(doc({ ...hard, ro: { litresPerHour: 20, storageL: 100 } }));
    expect(care.findings.filter((x) => x.id === 'water.ro')).toEqual([]);
    expect(plan(doc(hard)).care.ro).toBeUndefined();
  });
});
