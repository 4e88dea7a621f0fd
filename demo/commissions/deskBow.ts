import { dayPlus, type Day } from '../../core/calendar/day';
import type { Commission } from '../../core/commission/schema';
import { commissionOf, dayFrom, ring, set } from './parts';

/** A first visit: a bow-fronted desk tank beside a window, without CO2. */
export function deskBow(today: Day): Commission {
  const buildDay = dayFrom(today, 34, 'wed');
  return commissionOf(today, {
    title: 'Plumb Court, reading desk',
    brief: {
      buildDay,
      co2: false,
      crew: 1,
      crewNames: ['Ines'],
      client: { name: 'Ms Hollin', place: 'reading room, second desk', contact: '01 632 960 188' },
      story: 'A low meadow with one grey rock, quiet enough to read beside.',
      occasion: { kind: 'photograph', day: dayPlus(buildDay, 30), note: 'the house magazine' },
      budgetMinor: 24_000,
      keeper: 'the librarian',
      minutesAWeek: 40,
      window: { side: 'left', distanceMm: 900, sunHours: 2.5 },
      seats: [
        { id: 'chair', name: 'desk chair', at: [330, -650], eyeMm: 1180 },
        { id: 'door', name: 'door', at: [1900, -2600], eyeMm: 1620 },
      ],
      livestock: [
        { species: 'betta-splendens', count: 1 },
        { species: 'neocaridina-davidi', count: 10 },
        { species: 'paracheirodon-axelrodi', count: 4 },
        { species: 'petitella-georgiae', count: 12 },
      ],
      schools: { water: 'light', dosing: 'lean' },
    },
    vessel: {
      kind: 'bow',
      innerMm: { length: 600, width: 380, height: 360 },
      bowMm: 60,
      glassMm: 6,
      waterLineMm: 330,
      labelL: 96,
      mat: false,
      lid: false,
      background: { colour: 'frosted', sides: ['back'], dryHours: 12 },
    },
    site: {
      baseHeightMm: 740,
      storey: 0,
      use: 'office',
      roomC: [18, 29],
      devices: [
        { id: 'light', name: 'light', watts: 36 },
        { id: 'filter', name: 'filter', watts: 6 },
        { id: 'heater', name: 'heater', watts: 25 },
      ],
      sockets: 2,
      circuitA: 16,
      residualCurrent: true,
      dripLoops: false,
      tap: {
        gh: 9,
        kh: 6,
        ph: 7.6,
        nitrateMgL: 31,
        disinfectant: 'chlorine',
        winterC: 9,
        summerC: 17,
        hotC: 55,
      },
      target: { tempC: 24 },
      tapM: 14,
      drainM: 14,
      carry: 'cans',
    },
    options: [
      {
        id: 'a',
        title: 'One grey rock',
        bed: [{ id: 'soil', material: 'soil-granules', top: { kind: 'ramp', frontMm: 52, backMm: 80 } }],
        pieces: [
          {
            ...set('S-22', [240, 225], 24, { turnDeg: 25, owned: undefined, origin: 'client' }),
            material: 'limestone',
          },
        ],
        joints: [],
        plants: [
          {
            id: 'P-1',
            plant: 'marsilea-hirsuta',
            region: ring('0,0 600,0 600,380 0,380'),
            spacingMm: 35,
          },
        ],
      },
    ],
    log: [{ id: 'l-1', date: today, text: 'First visit. Sun comes round at eleven.' }],
  });
}
