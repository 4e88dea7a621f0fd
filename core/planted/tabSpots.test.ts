import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { plan } from '../pipeline/plan';
import { polygonContains } from '../geometry/polygon';
import { sand, stone } from '../testing/job';
import { parsed, scape } from '../testing/scape';

/* Tabs in a bed of sand that gives nothing itself. */

const STONE_MM = 120;

function tabsOf(rect: [number, number, number, number], part: object = {}, brief: object = {}) {
  const [x, y, w, d] = rect;
  const region = [[x, y], [x + w, y], [x + w, y + d], [x, y + d]] as [number, number][];
  const s = structuredClone(scape()) as any;
  Object.assign(s.options[0], { bed: [sand(60)], pieces: [stone({ shape: { kind: 'ellipsoid', sizeMm: [STONE_MM, STONE_MM, STONE_MM] }, at: [300, 180], stand: { kind: 'bed', buryMm: 20 } })], plants: [{ id: 'P-1', plant: 'grass', spacingMm: 40, region, ...part }] });
  Object.assign(s.brief, brief);
  const p = plan(parsed(s));
  const [{ tabs, netM2 }] = p.planted!.parts;
  const spots = Array.from({ length: tabs.length / 3 }, (_, i) => [...tabs.subarray(i * 3, i * 3 + 3)]);
  return { p, region, spots, netM2, bought: p.takeOff.lines.find((l) => l.id === 'root-tab')?.needed.value ?? 0 };
} // prettier-ignore

describe('places of root tabs', () => {
  it('are as many as are bought, in their planting, none where a stone stands', () => {
    const rect = fc.tuple(fc.integer({ min: 0, max: 300 }), fc.integer({ min: 0, max: 150 }), fc.integer({ min: 60, max: 300 }), fc.integer({ min: 60, max: 200 })); // prettier-ignore
    fc.assert(
      fc.property(rect, (r) => {
        const { region, spots, bought } = tabsOf(r);
        expect(spots).toHaveLength(bought);
        for (const [x, y] of spots) {
          expect(polygonContains(region, x, y)).toBe(true);
          expect(Math.hypot(x - 300, y - 180), 'under the stone').toBeGreaterThan(STONE_MM / 4);
        }
      }),
      { numRuns: 12 },
    );
  });

  it('are none, like plugs, where what is left of a region lies under the belly of a stone', () => {
    // The region is the stone's own square but for a corner that its widest girth hangs over.
    const { p, spots, bought } = tabsOf([255, 140, 60, 60]);
    expect([spots.length, bought, p.survey.plantings[0].plugs]).toEqual([0, 0, 0]);
  });

  it('lie about as far apart as one feeds, each with its own', () => {
    // By hand: 0.3 × 0.15 m are 0.045 m², one for each square of 65 mm: 0.045 / 0.004225 = 10.7, so 11.
    const { spots, bought } = tabsOf([0, 0, 300, 150]);
    expect(bought).toBe(11);
    const nearest = spots.map(([x, y], i) =>
      Math.min(...spots.flatMap(([a, b], k) => (k === i ? [] : [Math.hypot(a - x, b - y)]))),
    );
    expect(Math.min(...nearest)).toBeGreaterThan(0.5 * 65);
    expect(tabsOf([0, 0, 300, 150]).spots).toEqual(spots);
  });

  it('are none where tabs are declined or the planting is there already', () => {
    expect(tabsOf([0, 0, 300, 150], {}, { care: { rootTabs: 'none' } }).spots).toEqual([]);
    expect(tabsOf([0, 0, 300, 150], { origin: 'here' }, { rescape: { stays: ['plants'], filterKept: true } }).spots).toEqual([]); // prettier-ignore
  });
});
