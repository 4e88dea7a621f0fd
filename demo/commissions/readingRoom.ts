import type { Day } from '../../core/calendar/day';
import type { Commission, Now, Option, Piece } from '../../core/commission/schema';
import { catalogueFor, commissionOf, dayFrom, ring, set } from './parts';

/** A piece of the client's, of the shape of one in the yard. */
const like = (tag: string, id: string, at: [number, number], buryMm: number, rest: Partial<Piece> = {}): Piece => ({
  ...set(tag, at, buryMm),
  id,
  owned: undefined,
  massKg: undefined,
  ...rest,
}); // prettier-ignore

const BACK = ring('40,330 1060,330 1060,430 40,430');
const SHADE = ring('700,210 900,210 900,300 700,300');

/** What stands there: a bed of sand, five stones in a row, seven roots that everybody has grown tired of, grass along the back. */
const now: Now = {
  bed: [{ id: 'sand', material: 'quartz-sand', top: { kind: 'ramp', frontMm: 40, backMm: 55 } }],
  pieces: [
    like('S-61', 'K-1', [180, 200], 25),
    like('S-62', 'K-2', [370, 230], 20, { turnDeg: 40 }),
    like('S-63', 'K-3', [560, 200], 20, { turnDeg: 100 }),
    like('S-22', 'K-4', [760, 150], 15, { turnDeg: 15 }),
    like('S-64', 'K-5', [930, 170], 15, { turnDeg: 70 }),
    ...[110, 290, 450, 630, 820, 960, 1010].map((x, i) =>
      like(['R-05', 'R-07'][i % 2], `L-${i + 1}`, [x, i === 6 ? 140 : 300], 8, {
        turnDeg: 50 * i,
        state: 'living',
      }),
    ),
  ],
  joints: [],
  plants: [
    { id: 'P-1', plant: 'vallisneria-nana', region: BACK, spacingMm: 45, form: 'running' },
    { id: 'P-2', plant: 'cryptocoryne-wendtii', region: SHADE, spacingMm: 60, form: 'running' },
  ],
  heaps: [{ id: 'lava', material: 'scoria-filler', massKg: 4, count: 12 }],
};

/** Where the seven roots go: the two best into a tub for another job, the rest dried. */
const roots: NonNullable<Option['leaving']> = now.pieces
  .filter((p) => p.id.startsWith('L-'))
  .map(({ id }, i) => ({ of: 'pieces', id, to: i < 2 ? 'stock' : 'dry' }));

const [k1, k2, k3, k4, k5] = now.pieces;
const again = (piece: Piece, at: [number, number], buryMm: number, turnDeg: number): Piece => ({
  ...piece,
  at,
  turnDeg,
  stand: { kind: 'bed', buryMm },
  now: piece.id,
});

const option: Option = {
  id: 'a',
  title: 'Two readers',
  bed: [
    {
      id: 'soil',
      material: 'soil-granules',
      top: { kind: 'ramp', frontMm: 52, backMm: 95 },
      mounds: [
        { at: [330, 300], radiusMm: 300, heightMm: 60 },
        { at: [860, 280], radiusMm: 220, heightMm: 40 },
      ],
      origin: 'bought',
    },
  ],
  pieces: [
    again(k1, [330, 230], 45, 20),
    again(k2, [460, 190], 35, 60),
    again(k4, [220, 170], 25, 130),
    again(k3, [850, 240], 30, 75),
    again(k5, [770, 170], 25, 10),
  ],
  joints: [],
  plants: [
    { id: 'P-1', plant: 'vallisneria-nana', region: ring('560,320 1040,320 1040,420 560,420'), spacingMm: 45, form: 'running', now: 'P-1' },
    { id: 'P-2', plant: 'cryptocoryne-wendtii', region: ring('380,300 560,300 560,390 380,390'), spacingMm: 60, form: 'running', now: 'P-2' },
    { id: 'P-3', plant: 'helanthium-tenellum', region: ring('40,30 1060,30 1060,110 40,110'), spacingMm: 40, origin: 'bought' },
  ],
  leaving: [...roots, { of: 'heaps', id: 'lava', to: 'dry' }, { of: 'bed', id: 'sand', to: 'waste' }, { of: 'plants', id: 'P-1', to: 'stock' }],
}; // prettier-ignore

/** A rescape in one day: five stones are set again, seven roots leave, soil comes in the place of sand, thirteen fish stay in the water. */
export function readingRoom(today: Day): Commission {
  const base = commissionOf(today, {
    title: 'Aldermoor library, reading room',
    brief: {
      buildDay: dayFrom(today, 22, 'fri'),
      startTime: '07:00',
      co2: false,
      crew: 2,
      crewNames: ['Ines', 'Tom'],
      client: { name: 'Aldermoor library', place: 'reading room, between the windows' },
      story: 'Sand and roots for six years. Keep the stones and the fish; make it a place to look into.',
      budgetMinor: 75_000,
      keeper: 'the caretaker',
      minutesAWeek: 60,
      daylight: 'indirect',
      rescape: { stays: ['water'], filterKept: true, animals: 'stay', waterKept: 0.6, drainToMm: 180 },
      livestock: [
        { species: 'trigonostigma-espei', count: 13, present: true },
      ],
      schools: { water: 'fish-in', dosing: 'lean', moisture: 'flooded' },
    },
    vessel: {
      kind: 'box',
      innerMm: { length: 1_100, width: 450, height: 480 },
      glassMm: 10,
      waterLineMm: 450,
      labelL: 240,
      lid: true,
      mat: true,
    },
    site: {
      baseHeightMm: 750,
      storey: 0,
      use: 'office',
      roomC: [18, 24],
      devices: [
        { id: 'heater', name: 'heater', watts: 150 },
        { id: 'filter', name: 'filter', watts: 12, litresPerHour: 1_000 },
        { id: 'light', name: 'light', watts: 48 },
        { id: 'timer', kind: 'timer', name: 'timer', watts: 0 },
      ],
      sockets: 4,
      circuitA: 16,
      residualCurrent: true,
      dripLoops: true,
      tap: { gh: 7, kh: 4, ph: 7.3, disinfectant: 'chlorine', winterC: 8, summerC: 17, hotC: 55 },
      target: { tempC: 25 },
      tapM: 12,
      drainM: 12,
      carry: 'hose',
      hours: ['07:00', '19:00'],
    },
    options: [option],
    log: [],
  });
  const { bed, pieces, joints, plants } = now;
  const lava: Option['bed'] = [{ id: 'lava', material: 'scoria-filler', top: { kind: 'level', mm: 0 } }];
  const there: Option = { id: 'now', title: '', bed: [...bed, ...lava], pieces, joints, plants };
  const catalogue = catalogueFor([option, there], today);
  return { ...base, now, catalogue: { ...base.catalogue, materials: catalogue.materials, plants: catalogue.plants } };
} // prettier-ignore
