import type { Day } from '../../core/calendar/day';
import type { Commission } from '../../core/commission/schema';
import { commissionOf, dayFrom, ring, set } from './parts';

/** A first visit: the rescape of a running tank of 200 L with its fish. */
export function waitingRoom(today: Day): Commission {
  return commissionOf({
    title: 'Two Rivers practice, waiting room',
    brief: {
      buildDay: dayFrom(today, 18, 'sat'),
      startTime: '07:30',
      co2: true,
      co2CostMinor: 26_000,
      crew: 2,
      crewNames: ['Ines', 'Tom'],
      client: { name: 'Two Rivers practice', place: 'waiting room, opposite the counter' },
      story: 'The old gravel tank made new, with the fish that the children know by name.',
      budgetMinor: 90_000,
      keeper: 'reception',
      minutesAWeek: 60,
      daylight: 'indirect',
      rescape: { stays: ['plants', 'water'], filterKept: false, holdingL: 30 },
      seats: [{ id: 'bench', name: 'waiting bench', at: [500, -2_200], eyeMm: 1_150 }],
      livestock: [
        { species: 'mikrogeophagus-ramirezi', count: 2, present: true },
        { species: 'nematobrycon-palmeri', count: 8, present: true },
        { species: 'pethia-conchonius', count: 8, present: true },
        { species: 'tanichthys-albonubes', count: 8 },
        { species: 'carnegiella-strigata', count: 8 },
      ],
      owned: [
        { id: 'C-1', name: 'grey slate from the old tank', material: 'slate', sizeMm: [240, 160, 200] },
      ],
      schools: { water: 'fish-in', dosing: 'none' },
    },
    vessel: {
      kind: 'box',
      innerMm: { length: 980, width: 430, height: 480 },
      glassMm: 10,
      waterLineMm: 455,
      labelL: 200,
      lid: false,
      mat: true,
      fixed: [{ id: 'weir', title: 'glued-in corner filter', at: [830, 280], sizeMm: [150, 150, 470] }],
    },
    site: {
      baseHeightMm: 720,
      storey: 0,
      use: 'shop',
      roomC: [15, 24],
      devices: [
        { id: 'heater', name: 'heater', watts: 100 },
        { id: 'filter', name: 'corner filter', watts: 9 },
        { id: 'light', name: 'light', watts: 42 },
      ],
      sockets: 4,
      circuitA: 16,
      residualCurrent: false,
      dripLoops: true,
      tap: { gh: 13, kh: 10, ph: 7.7, disinfectant: 'chlorine', winterC: 8, summerC: 16, hotC: 50 },
      target: { gh: 8, kh: 5, tempC: 26 },
      tapM: 6,
      drainM: 6,
      carry: 'hose',
    },
    options: [
      {
        id: 'a',
        title: 'Two banks',
        bed: [{ id: 'soil', material: 'soil-granules', top: { kind: 'ramp', frontMm: 52, backMm: 95 } }],
        pieces: [set('S-14', [260, 240], 28, { turnDeg: 15 }), set('S-03', [600, 210], 28, { turnDeg: 200 })],
        joints: [],
        plants: [
          {
            id: 'P-1',
            plant: 'sagittaria-subulata',
            region: ring('30,290 800,290 800,415 30,415'),
            spacingMm: 45,
          },
          {
            id: 'P-2',
            plant: 'eleocharis-pusilla',
            region: ring('30,25 950,25 950,140 30,140'),
            spacingMm: 35,
          },
        ],
      },
    ],
    log: [],
  });
}
