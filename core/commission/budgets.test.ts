import { describe, expect, it } from 'vitest';
import { plan } from '../pipeline/plan';
import { example } from '../testing/scape';
import { BUDGETS, budgetFaults } from './budgets';
import { parseCommission } from './parse';
import { inEnglish } from '../words/english';
import { faultLine } from './faultLine';

const base = () => structuredClone(example('held-root')) as any;
const spoken = (document: unknown) => {
  const parsed = parseCommission(document);
  return parsed.ok ? 'accepted' : parsed.faults.map((f) => `${f.path} ${inEnglish(f.says)}`).join('\n');
};
const ring = (corners: number) =>
  Array.from({ length: corners }, (_, k) => {
    const [r, a] = [100 + (k % 2) * 50, (k / corners) * 2 * Math.PI];
    return [200 + r * Math.cos(a), 200 + r * Math.sin(a)];
  });
const tetrahedra = (count: number) => {
  const vertices: number[][] = [];
  const faces: number[][] = [];
  for (let i = 0; i < count; i++) {
    const [k, z] = [vertices.length, i * 0.05];
    vertices.push([0, 0, z], [200, 0, z], [0, 200, z], [10, 10, z + 0.04]);
    faces.push([k, k + 2, k + 1], [k, k + 1, k + 3], [k + 1, k + 2, k + 3], [k + 2, k, k + 3]);
  }
  return { kind: 'mesh', vertices, faces };
};

describe('what one document may have in all', () => {
  it.each<[string, (d: any) => void, RegExp]>([
    [
      'nesting',
      (d) => (d.later = Array.from({ length: 200 }).reduce((inner) => [inner], 1)),
      /^later is nested deeper than 40/,
    ],
    [
      'plants over plants',
      (d) =>
        (d.options[0].plants = Array.from({ length: 40 }, (_, i) => ({
          id: `p${i}`,
          plant: d.catalogue.plants[0].id,
          spacingMm: 30,
          region: [
            [0, 0],
            [9_000, 0],
            [9_000, 9_000],
            [0, 9_000],
          ],
        }))),
      /^options\[0\]\.plants cover the floor 40 times over together, must be at most 25 times/,
    ],
    [
      'corners',
      (d) =>
        (d.options[0].plants = Array.from({ length: 11 }, (_, i) => ({
          id: `p${i}`,
          plant: 'x',
          region: ring(2_000),
          spacingMm: 20,
        }))),
      /has 22000 corners in its regions, must have at most 20000/,
    ],
    [
      'corners of layers',
      (d) =>
        (d.options[0].bed = Array.from({ length: 5 }, (_, i) => ({
          ...d.options[0].bed[0],
          id: `l${i}`,
          region: ring(1_000),
        }))),
      /^options\[0\] has 5000 corners in the regions of its layers, must have at most 4000/,
    ],
    [
      'layers times plantings',
      (d) => {
        d.options[0].bed = Array.from({ length: 20 }, (_, i) => ({ ...d.options[0].bed[0], id: `l${i}` }));
        d.options[0].plants = Array.from({ length: 150 }, (_, i) => ({
          id: `p${i}`,
          plant: 'x',
          region: ring(4),
          spacingMm: 20,
        }));
      },
      /has 3000 layers times planted regions, must have at most 2000/,
    ],
    [
      'heights',
      (d) =>
        (d.shelved = [
          {
            bed: Array.from({ length: 4 }, () => ({ top: { mm: Array.from({ length: 300_000 }, () => 1) } })),
          },
        ]),
      /has 1200000 heights in its sculpted layers, must have at most 1000000/,
    ],
    [
      'triangles',
      (d) => (d.options[0].pieces[0].shape = { faces: Array.from({ length: 400_001 }, () => 0) }),
      /has 400001 triangles/,
    ],
  ])('is limited by name: %s', (_, change, says) => {
    const d = base();
    change(d);
    expect(spoken(d)).toMatch(says);
  });

  it('is counted on anything, nested a hundred thousand deep too, and lets what is usual pass', () => {
    let deep: unknown = 1;
    for (let i = 0; i < 100_000; i++) deep = [deep];
    expect(faultLine(budgetFaults({ deep })[0])).toContain(`deeper than ${BUDGETS.depth}`);
    for (const odd of [null, 4, 'x', [], { options: 3, vessel: [] }, { options: [null, 7, { bed: {} }] }])
      expect(budgetFaults(odd)).toEqual([]);
    expect(budgetFaults(example('held-root'))).toEqual([]);
  });
});

describe('documents that are within them', () => {
  it('are measured though all is in one place: three hundred blocks, thousands of shells, large floors', () => {
    const d = base();
    const stone = d.catalogue.materials.find((m: any) => m.kind === 'stone').id;
    const piece = (i: number, shape: unknown) => ({
      id: `S-${i}`,
      material: stone,
      shape,
      at: [200 + i / 10, 200],
      turnDeg: i,
      stand: { kind: 'at', zMm: i / 10 },
    });
    d.options[0] = {
      id: 'a',
      title: 'Heap',
      bed: [],
      pieces: [
        ...Array.from({ length: 200 }, (_, i) => piece(i, { kind: 'box', sizeMm: [300, 3 + i / 10, 200] })),
        piece(900, tetrahedra(1_000)),
      ],
    };
    const heap = parseCommission(d);
    expect(heap.ok).toBe(true);
    if (!heap.ok) return;
    const { survey } = plan(heap.commission);
    // Measured more coarsely than a scape that is built; layers, pieces, water and air still add up.
    const { innerMm } = heap.commission.vessel;
    expect(survey.brimL).toBeCloseTo((innerMm.length * innerMm.width * innerMm.height) / 1e6, 6);
    expect(survey.piecesL + survey.freeWaterL + survey.airL).toBeCloseTo(survey.brimL, 6);
    expect(survey.pieces[0].volumeL).toBeCloseTo(0.18, 9);
    // As much as may be is measured: on a machine that is busy it takes what it takes.
  }, 300_000);
});
