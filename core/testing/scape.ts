import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { parseCommission } from '../commission/parse';
import type { Commission, Layer, Option, Piece } from '../commission/schema';
import { faultLine } from '../commission/faultLine';

/** One of the two example documents, parsed. */
export function example(name: 'level-cube' | 'held-root'): Commission {
  return parsed(JSON.parse(readFileSync(join(import.meta.dirname, '../../demo', `${name}.json`), 'utf8')));
}

/** The document, or an error that lists its faults. */
export function parsed(input: unknown): Commission {
  const result = parseCommission(input);
  if (!result.ok) throw new Error(result.faults.map(faultLine).join('\n'));
  return result.commission;
}

export interface Sketch {
  inner?: [number, number, number];
  waterLineMm?: number;
  option?: Partial<Option>;
}

/** A commission with one option in a box, with materials and plants to draw from. */
export function scape({ inner = [600, 360, 400], waterLineMm, option = {} }: Sketch = {}): Commission {
  const [length, width, height] = inner;
  const soilPacks = [
    { id: 'soil-3', size: 3, unit: 'L', priceMinor: 1400, supplier: 'yard', leadDays: 4 },
    { id: 'soil-9', size: 9, unit: 'L', priceMinor: 3200, supplier: 'yard', leadDays: 4 },
  ];
  return parsed({
    format: 'utsuwa.commission',
    version: 1,
    title: 'Sketch',
    currency: 'GBP',
    brief: { buildDay: '2027-01-14', co2: true, crew: 2 },
    vessel: {
      kind: 'box',
      innerMm: { length, width, height },
      glassMm: 8,
      waterLineMm: waterLineMm ?? height - 30,
    },
    chosen: 'a',
    options: [{ id: 'a', title: 'A', bed: [], pieces: [], joints: [], plants: [], ...option }],
    catalogue: {
      materials: [
        {
          id: 'soil',
          kind: 'soil',
          name: 'Soil',
          bulkKgPerL: 0.95,
          settles: 0.07,
          reposeDeg: 32,
          packs: soilPacks,
        },
        {
          id: 'sand',
          kind: 'sand',
          name: 'Sand',
          bulkKgPerL: 1.55,
          reposeDeg: 33,
          packs: [{ id: 'sand-5', size: 5, unit: 'kg', priceMinor: 650, supplier: 'yard', leadDays: 4 }],
        },
        { id: 'scoria', kind: 'filler', name: 'Scoria', bulkKgPerL: 0.8 },
        { id: 'granite', kind: 'stone', name: 'Granite', densityKgPerL: 2.65 },
        {
          id: 'slate',
          kind: 'stone',
          name: 'Slate',
          densityKgPerL: 2.75,
          packs: [{ id: 'slate-kg', size: 1, unit: 'kg', priceMinor: 400, supplier: 'yard', leadDays: 4 }],
        },
        {
          id: 'branch',
          kind: 'wood',
          name: 'Branch',
          densityKgPerL: 0.7,
          soakedKgPerL: 1.05,
          soakDays: 14,
          packs: [
            { id: 'branch-1', size: 1, unit: 'piece', priceMinor: 4200, supplier: 'yard', leadDays: 4 },
          ],
        },
      ],
      plants: [
        {
          id: 'grass',
          name: 'Eleocharis pusilla',
          roots: 'bed',
          minBedMm: 50,
          habit: 'carpet',
          packs: [
            {
              id: 'cup',
              size: 8,
              unit: 'plug',
              priceMinor: 650,
              supplier: 'grower',
              leadDays: 5,
              keepsDays: 14,
            },
          ],
        },
        { id: 'fern', name: 'Microsorum pteropus', roots: 'epiphyte' },
      ],
      suppliers: [
        { id: 'yard', name: 'Marl & Timber Yard', days: ['tue', 'fri'] },
        { id: 'grower', name: 'Glasshouse Nine', days: ['mon', 'thu'] },
      ],
    },
  });
}

/** A layer of soil with a top. */
export const soil = (top: Layer['top'], rest: Partial<Layer> = {}): Layer => ({
  id: 'soil',
  material: 'soil',
  top,
  ...rest,
});
/** A granite ellipsoid in the middle of the floor, changed as asked. */
export const piece = (rest: Partial<Piece>): Piece => ({
  id: 'S-1',
  material: 'granite',
  shape: { kind: 'ellipsoid', sizeMm: [120, 80, 140] },
  at: [300, 180],
  turnDeg: 0,
  stand: { kind: 'bed', buryMm: 20 },
  ...rest,
});
