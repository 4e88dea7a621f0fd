import { parseCommission } from '../core/commission/parse';
import type { Commission, Piece } from '../core/commission/schema';
import { ring } from '../demo/commissions/parts';
import { stone } from '../demo/catalogue/solids';
import { inEnglish } from '../core/words/english';

/** A made-up 1200 × 500 × 450 vessel with 25 stones, hills and a path: what the benchmark moves about in. */
export function largeScape(): Commission {
  const pieces = Array.from({ length: 25 }, (_, i): Piece => {
    const size = 60 + ((i * 37) % 120);
    return {
      id: `S-${i + 1}`,
      material: 'slate',
      shape: stone({ seed: 100 + i, sizeMm: [size * 1.2, size, size * 1.4] }),
      at: [90 + (i % 8) * 145, 90 + Math.floor(i / 8) * 105],
      turnDeg: i * 25,
      tiltDeg: [(i % 5) * 4, (i % 3) * 5],
      stand: { kind: 'bed', buryMm: 15 + (i % 4) * 6 },
    };
  });
  const parsed = parseCommission({
    format: 'utsuwa.commission',
    version: 1,
    title: 'Benchmark',
    currency: 'GBP',
    brief: { buildDay: '2027-01-14', co2: true, crew: 2 },
    vessel: {
      kind: 'box',
      innerMm: { length: 1200, width: 500, height: 450 },
      glassMm: 12,
      waterLineMm: 425,
    },
    chosen: 'a',
    options: [
      {
        id: 'a',
        title: 'Benchmark',
        bed: [
          {
            id: 'filler',
            material: 'filler',
            top: { kind: 'level', mm: 0 },
            mounds: [{ at: [250, 380], radiusMm: 200, heightMm: 70 }],
          },
          {
            id: 'soil',
            material: 'soil',
            top: { kind: 'ramp', frontMm: 50, backMm: 90 },
            mounds: [
              { at: [250, 380], radiusMm: 320, heightMm: 90 },
              { at: [950, 400], radiusMm: 280, heightMm: 70 },
            ],
          },
          {
            id: 'path',
            material: 'sand',
            top: { kind: 'level', mm: 40 },
            cuts: true,
            floorMm: 10,
            region: ring('520,0 700,0 660,200 640,500 590,500 560,200'),
          },
        ],
        pieces,
        joints: [],
        plants: [
          {
            id: 'P-1',
            plant: 'grass',
            region: ring('20,20 500,20 540,220 20,240'),
            spacingMm: 25,
          },
          {
            id: 'P-2',
            plant: 'grass',
            region: ring('720,20 1180,20 1180,220 680,220'),
            spacingMm: 25,
          },
        ],
      },
    ],
    catalogue: {
      materials: [
        { id: 'filler', kind: 'filler', name: 'Filler', bulkKgPerL: 0.8 },
        {
          id: 'soil',
          kind: 'soil',
          name: 'Soil',
          bulkKgPerL: 0.95,
          settles: 0.07,
          packs: [{ id: 'soil-9', size: 9, unit: 'L', priceMinor: 3200, supplier: 'yard', leadDays: 4 }],
        },
        { id: 'sand', kind: 'sand', name: 'Sand', bulkKgPerL: 1.55 },
        { id: 'slate', kind: 'stone', name: 'Slate', densityKgPerL: 2.75 },
      ],
      plants: [
        {
          id: 'grass',
          name: 'Eleocharis pusilla',
          roots: 'bed',
          packs: [{ id: 'cup', size: 8, unit: 'plug', priceMinor: 650, supplier: 'yard', leadDays: 5 }],
        },
      ],
      suppliers: [{ id: 'yard', name: 'Marl & Timber Yard' }],
    },
  });
  if (!parsed.ok) throw new Error(inEnglish(parsed.faults[0].says));
  return parsed.commission;
}

/** The same with one stone at another spot; everything else is the same objects. */
export function moved(commission: Commission, piece: number, at: [number, number]): Commission {
  const [option] = commission.options;
  const pieces = option.pieces.map((p, i) => (i === piece ? { ...p, at } : p));
  return { ...commission, options: [{ ...option, pieces }] };
}

/** A vessel of 1500 × 600 × 600 mm, as a box or bow-fronted by 100 mm, with 30 stones in it. */
export function vesselScape(kind: 'box' | 'bow'): Commission {
  const scape = largeScape();
  const [option] = scape.options;
  const pieces = Array.from({ length: 30 }, (_, i): Piece => {
    const { id, ...rest } = option.pieces[i % option.pieces.length];
    const at: [number, number] = [120 + (i % 10) * 135, 190 + Math.floor(i / 10) * 130];
    return { ...rest, id: i < option.pieces.length ? id : `${id}.2`, at };
  });
  return {
    ...scape,
    vessel: {
      kind,
      ...(kind === 'bow' ? { bowMm: 100 } : {}),
      innerMm: { length: 1_500, width: 600, height: 600 },
      glassMm: 12,
      waterLineMm: 550,
    },
    options: [{ ...option, pieces }],
  };
}
