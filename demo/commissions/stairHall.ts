import { dayPlus, type Day } from '../../core/calendar/day';
import type { Commission } from '../../core/commission/schema';
import { commissionOf, dayFrom, ring, set } from './parts';

/** A first visit: a braced wall tank of two metres on a third floor, all on reverse-osmosis water. */
export function stairHall(today: Day): Commission {
  const buildDay = dayFrom(today, 62, 'mon');
  return commissionOf(today, {
    title: 'Tallow Street offices, stair hall',
    brief: {
      buildDay,
      co2: true,
      co2CostMinor: 34_000,
      crew: 3,
      crewNames: ['Ines', 'Tom', 'Wren'],
      client: { name: 'Tallow Street offices', place: 'third floor, wall of the stair hall' },
      story: 'A river bank to walk along, seen from the stairs and from the meeting room.',
      occasion: { kind: 'opening', day: dayPlus(buildDay, -3) },
      budgetMinor: 95_000,
      keeper: 'caretaker',
      minutesAWeek: 120,
      window: { side: 'back', distanceMm: 6_000, sunHours: 0 },
      seats: [
        { id: 'stairs', name: 'top of the stairs', at: [-1_400, -1_800], eyeMm: 1640 },
        { id: 'meeting', name: 'meeting room', at: [1_000, -3_600], eyeMm: 1220 },
      ],
      livestock: [
        { species: 'petitella-georgiae', count: 60 },
        { species: 'pterophyllum-scalare', count: 8 },
        { species: 'nematobrycon-palmeri', count: 20 },
        { species: 'ancistrus-dolichopterus', count: 1 },
        { species: 'corydoras-sterbai', count: 20 },
      ],
      schools: { water: 'large-ro', dosing: 'excess' },
    },
    vessel: {
      kind: 'box',
      innerMm: { length: 2_000, width: 600, height: 600 },
      glassMm: 15,
      waterLineMm: 560,
      rimMm: 40,
      braces: [
        { fromMm: 480, toMm: 580 },
        { fromMm: 1_420, toMm: 1_520 },
      ],
      chambers: [{ id: 'weir', title: 'weir', side: 'right', mm: 150, wallMm: 10 }],
      standKg: 96,
      feet: 8,
      lid: true,
      mat: true,
      backlightW: 60,
      background: { colour: 'white', sides: ['back'] },
    },
    site: {
      baseHeightMm: 850,
      storey: 3,
      use: 'office',
      route: [
        { id: 'front', kind: 'door', name: 'front door', widthMm: 890, heightMm: 2_050 },
        {
          id: 'lift',
          kind: 'lift',
          name: 'lift',
          widthMm: 1_100,
          depthMm: 1_400,
          heightMm: 2_150,
          loadKg: 320,
        },
        { id: 'stairs', kind: 'stairs', name: 'stairs', widthMm: 1_080, heightMm: 2_300, steps: 54 },
        { id: 'landing', kind: 'turn', name: 'landing', widthMm: 1_080, depthMm: 1_080 },
      ],
      cylinderKg: 9,
      roomC: [17, 27],
      devices: [
        { id: 'heater', name: 'heaters', watts: 600 },
        { id: 'light', name: 'lights', watts: 320 },
        { id: 'timer', kind: 'timer', name: 'timer', watts: 0 },
        { id: 'filter', name: 'return pump', watts: 75 },
        { id: 'gas', name: 'CO2 valve', watts: 5 },
        { id: 'kettle', name: 'cleaner’s kettle, same circuit', watts: 2_000 },
      ],
      sockets: 4,
      circuitA: 16,
      residualCurrent: true,
      dripLoops: true,
      tap: {
        gh: 16,
        kh: 12,
        ph: 7.8,
        nitrateMgL: 18,
        disinfectant: 'chloramine',
        winterC: 8,
        summerC: 18,
        hotC: 52,
      },
      target: { gh: 5, kh: 3, tempC: 25 },
      ro: { litresPerHour: 4, storageL: 60 },
      tapM: 9,
      drainM: 11,
      carry: 'hose',
    },
    options: [
      {
        id: 'a',
        title: 'River bank',
        bed: [
          {
            id: 'soil',
            material: 'soil-granules',
            top: { kind: 'ramp', frontMm: 55, backMm: 130 },
            mounds: [{ at: [420, 470], radiusMm: 380, heightMm: 90 }],
          },
        ],
        pieces: [
          set('S-14', [420, 330], 30, { turnDeg: 20, owned: undefined, origin: 'client' }),
          {
            id: 'B-01',
            material: 'basalt',
            shape: { kind: 'ellipsoid', sizeMm: [620, 540, 560] },
            at: [1_180, 310],
            turnDeg: 0,
            stand: { kind: 'bed', buryMm: 60 },
          },
        ],
        joints: [],
        plants: [
          {
            id: 'P-1',
            plant: 'vallisneria-nana',
            region: ring('60,420 1700,420 1700,590 60,590'),
            spacingMm: 45,
          },
          {
            id: 'P-2',
            plant: 'eleocharis-pusilla',
            region: ring('40,30 1780,30 1780,190 40,190'),
            spacingMm: 35,
          },
        ],
      },
    ],
    log: [],
  });
}
