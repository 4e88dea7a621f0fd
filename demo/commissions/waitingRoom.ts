import type { Day } from '../../core/calendar/day';
import type { Commission } from '../../core/commission/schema';
import { commissionOf, dayFrom, ring, set } from './parts';

/** The rescape of a running tank of 200 L in which most stays: gravel, stone, plants, three quarters of the water, the fish. */
export function waitingRoom(today: Day): Commission {
  return commissionOf(today, {
    title: 'Two Rivers practice, waiting room',
    brief: {
      buildDay: dayFrom(today, 18, 'sat'),
      startTime: '07:30',
      co2: true,
      co2CostMinor: 26_000,
      crew: 2,
      crewNames: ['Ines', 'Tom'],
      client: { name: 'Two Rivers practice', place: 'waiting room, opposite the counter' },
      story: 'The old gravel tank made new, with the fish that the children know by name. They stay in.',
      budgetMinor: 90_000,
      keeper: 'reception',
      minutesAWeek: 60,
      daylight: 'indirect',
      rescape: {
        stays: ['stone', 'substrate', 'plants', 'water'],
        filterKept: true,
        animals: 'stay',
        waterKept: 0.75,
        drainToMm: 230,
      },
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
        {
          id: 'heater',
          name: 'heater',
          watts: 100,
          body: { sizeMm: [28, 28, 230], at: [270, 395], zMm: 150, servedFrom: 'above' },
        },
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
        bed: [
          {
            id: 'gravel',
            material: 'river-gravel',
            top: { kind: 'ramp', frontMm: 52, backMm: 78 },
            origin: 'here',
          },
          {
            id: 'soil',
            material: 'soil-granules',
            top: { kind: 'level', mm: 0 },
            mounds: [{ at: [290, 350], radiusMm: 360, heightMm: 138 }],
            origin: 'bought',
          },
        ],
        pieces: [
          set('S-14', [260, 190], 34, { turnDeg: 15, owned: undefined, origin: 'here' }),
          set('S-03', [600, 230], 28, { turnDeg: 200, owned: undefined, origin: 'here' }),
          set('R-02', [560, 320], 10, { turnDeg: 170, owned: undefined, origin: 'client', state: 'living' }),
        ],
        joints: [],
        plants: [
          {
            id: 'P-1',
            plant: 'sagittaria-subulata',
            region: ring('600,300 800,300 800,415 600,415'),
            spacingMm: 45,
            origin: 'here',
          },
          {
            id: 'P-2',
            plant: 'cryptocoryne-wendtii',
            region: ring('120,260 470,260 470,415 120,415'),
            spacingMm: 60,
            origin: 'bought',
          },
        ],
      },
    ],
    log: [],
  });
}
