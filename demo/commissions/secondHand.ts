import type { Day } from '../../core/calendar/day';
import type { Commission } from '../../core/commission/schema';
import { commissionOf, dayFrom, ring, set } from './parts';

/** A second-hand tank with a root that a former owner fixed in it, some soil left, and a filter that has run for a year. */
export function secondHand(today: Day): Commission {
  return commissionOf(today, {
    title: 'Mr Tarn, second-hand tank',
    brief: {
      buildDay: dayFrom(today, 26, 'fri'),
      startTime: '09:00',
      co2: false,
      crew: 1,
      crewNames: ['Tom'],
      client: { name: 'Mr Tarn', place: 'study, on the oak chest', contact: '01 632 960 171' },
      story: 'The root was glued in long ago and is the best thing about it. Build the rest around it.',
      budgetMinor: 24_000,
      brokenDown: [
        { id: 'lot', name: 'Tank with root and stones', day: today, priceMinor: 4_500, withTank: true },
      ],
      keeper: 'Mr Tarn',
      minutesAWeek: 90,
      daylight: 'indirect',
      filter: { origin: 'client', state: 'mature' },
      livestock: [
        { species: 'trigonostigma-espei', count: 10 },
        { species: 'neocaridina-davidi', count: 12, laterDays: 14 },
      ],
      schools: { water: 'light', dosing: 'lean', moisture: 'wet', planting: 'transition' },
    },
    vessel: {
      kind: 'box',
      innerMm: { length: 780, width: 340, height: 390 },
      glassMm: 8,
      waterLineMm: 365,
      labelL: 105,
      lid: true,
      mat: true,
      secondHand: { ageYears: 6, seams: 'sound', scratches: 'right pane, low down, behind the stones' },
    },
    site: {
      storey: 1,
      use: 'home',
      roomC: [19, 24],
      devices: [
        { id: 'heater', name: 'heater', watts: 100 },
        { id: 'filter', name: 'filter', watts: 9 },
        { id: 'light', name: 'light', watts: 30 },
        { id: 'timer', kind: 'timer', name: 'timer', watts: 0 },
      ],
      sockets: 4,
      circuitA: 16,
      residualCurrent: true,
      dripLoops: true,
      tap: { gh: 8, kh: 5, ph: 7.4, disinfectant: 'chlorine', winterC: 8, summerC: 17, hotC: 55 },
      target: { tempC: 24 },
      tapM: 8,
      drainM: 8,
      carry: 'hose',
      hours: ['08:00', '18:00'],
    },
    options: [
      {
        id: 'a',
        title: 'Around the root',
        bed: [
          {
            id: 'soil',
            material: 'soil-granules',
            top: { kind: 'ramp', frontMm: 52, backMm: 88 },
            presentL: 6,
            used: true,
          },
        ],
        pieces: [
          set('R-07', [400, 190], 30, { owned: undefined, origin: 'here', fixed: true }),
          set('S-31', [200, 150], 20, { turnDeg: 30, owned: undefined, from: 'lot', state: 'dry' }),
          set('S-33', [300, 110], 18, { turnDeg: 80, owned: undefined, from: 'lot', state: 'dry' }),
        ],
        joints: [],
        plants: [
          {
            id: 'P-1',
            plant: 'marsilea-hirsuta',
            region: ring('20,20 760,20 760,120 20,120'),
            spacingMm: 40,
            declined: 'snails',
          },
          {
            id: 'P-2',
            plant: 'cryptocoryne-wendtii',
            region: ring('40,180 320,180 320,320 40,320'),
            spacingMm: 60,
            origin: 'stock',
            form: 'running',
          },
          { id: 'P-3', plant: 'microsorum-pteropus', count: 4, on: 'R-07' },
        ],
      },
    ],
    log: [{ id: 'l-1', date: today, text: 'Fetched and rinsed. Root sits fast, silicone all round.' }],
  });
}
