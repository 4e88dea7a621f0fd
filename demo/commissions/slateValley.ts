import { dayPlus, type Day } from '../../core/calendar/day';
import type { Commission, Option } from '../../core/commission/schema';
import { commissionOf, dayFrom, ring, set } from './parts';

/** The sound one, from which the pictures are made: two slate hills with a valley between them. */
export function slateValley(today: Day): Commission {
  const buildDay = dayFrom(today, 48);
  return commissionOf(today, {
    title: 'Orchard Lane practice',
    brief: {
      buildDay,
      co2: true,
      crew: 2,
      crewNames: ['Ines', 'Tom'],
      startTime: '08:30',
      client: { name: 'Orchard Lane practice', place: 'waiting room', contact: 'front desk' },
      handover: dayPlus(buildDay, 1),
      story:
        'A slate valley after rain: a pale path between two grassed shoulders, a branch leaning over it from the right.',
      budgetMinor: 95_000,
      daylight: 'indirect',
      keeper: 'front desk, two people',
      minutesAWeek: 320,
      schools: { water: 'taper', dosing: 'lean', moisture: 'misted' },
    },
    quote: {
      hourMinor: 3_800,
      travelMinor: 4_500,
      designHours: 5,
      margin: 0.3,
      visits: 3,
      visitMinor: 6_500,
      tax: { name: 'VAT', share: 0.2 },
      validUntil: dayPlus(buildDay, -14),
      notIncluded: 'Stand, electrical work, animals.',
      dependsOn: 'A free way in through the side door; a tap within 8 m.',
      terms: 'Half with the order, half on the day of the water.',
    },
    vessel: {
      kind: 'box',
      innerMm: { length: 900, width: 450, height: 450 },
      glassMm: 10,
      waterLineMm: 420,
      labelL: 180,
      standKg: 52,
      footprintMm: { length: 920, width: 470 },
    },
    site: {
      devices: [
        {
          id: 'light',
          name: 'light',
          kind: 'lamp',
          watts: 72,
          light: { umolPerS: 85, aboveRimMm: 120, lengthMm: 840, widthMm: 120, beamDeg: 110 },
        },
        { id: 'timer', kind: 'timer', name: 'timer', watts: 0 },
        { id: 'filter', name: 'canister filter', kind: 'filter', watts: 16, litresPerHour: 900 },
        { id: 'co2', name: 'CO2 set', kind: 'co2', part: 'set', watts: 5 },
      ],
    },
    options: [valley(), island()],
    log: [
      {
        id: 'l-1',
        date: dayPlus(today, -9),
        text: 'First visit. Front desk looks at it from the left; sockets behind the plinth, four free.',
      },
      {
        id: 'l-2',
        date: dayPlus(today, -2),
        text: 'Mock-up on the table with the yard slates. Client prefers the valley to the island.',
      },
    ],
  });
}

function valley(): Option {
  return {
    id: 'a',
    title: 'Slate valley',
    bed: [
      {
        id: 'filler',
        material: 'scoria-filler',
        top: { kind: 'level', mm: 0 },
        mounds: [
          { at: [165, 335], radiusMm: 150, heightMm: 72 },
          { at: [755, 345], radiusMm: 135, heightMm: 58 },
        ],
        region: ring('15,15 885,15 885,435 15,435'),
      },
      {
        id: 'soil',
        material: 'soil-granules',
        top: { kind: 'ramp', frontMm: 54, backMm: 82 },
        mounds: [
          { at: [150, 380], radiusMm: 320, heightMm: 96 },
          { at: [775, 390], radiusMm: 285, heightMm: 78 },
        ],
      },
      {
        id: 'path',
        material: 'quartz-sand',
        top: { kind: 'ramp', frontMm: 34, backMm: 84 },
        cuts: true,
        floorMm: 8,
        region: ring(
          '292,0 456,0 470,60 494,130 520,210 536,290 532,370 520,450 478,450 484,370 478,300 452,220 410,140 350,70',
        ),
      },
    ],
    pieces: [
      set('S-14', [195, 262], 52, { turnDeg: 12 }),
      set('S-03', [648, 248], 44, { turnDeg: -24 }),
      set('S-09', [74, 346], 34, { turnDeg: 40 }),
      set('S-22', [802, 258], 40, { turnDeg: 80 }),
      set('S-31', [322, 190], 30, { turnDeg: -15 }),
      set('S-33', [566, 176], 24, { turnDeg: 60 }),
      set('S-41', [404, 318], 26, { turnDeg: 20 }),
      set('S-46', [588, 396], 26, { turnDeg: -50 }),
      set('S-44', [268, 118], 12, { turnDeg: 10 }),
      set('S-45', [506, 92], 12, { turnDeg: 70 }),
      set('S-47', [742, 150], 12, { turnDeg: 140 }),
      set('R-02', [720, 320], 6, { turnDeg: 160, owned: false }),
    ],
    joints: [
      { id: 'J-1', pieces: ['R-02', 'S-03'], method: 'fibre-glue' },
      { id: 'J-2', pieces: ['R-02', 'S-22'], method: 'fibre-glue' },
    ],
    plants: [
      {
        id: 'P-1',
        plant: 'eleocharis-pusilla',
        region: ring('16,16 262,16 330,84 252,168 120,186 16,176'),
        spacingMm: 30,
      },
      {
        id: 'P-2',
        plant: 'eleocharis-pusilla',
        region: ring('494,16 884,16 884,168 720,190 600,140 524,128'),
        spacingMm: 30,
      },
      {
        id: 'P-3',
        plant: 'cryptocoryne-wendtii',
        region: ring('262,200 300,236 388,246 380,290 288,292 252,252'),
        spacingMm: 55,
      },
      {
        id: 'P-4',
        plant: 'cryptocoryne-wendtii',
        region: ring('606,186 700,206 812,196 812,226 700,236 606,218'),
        spacingMm: 55,
      },
      {
        id: 'P-5',
        plant: 'rotala-rotundifolia',
        region: ring('16,380 250,372 380,384 380,436 16,436'),
        spacingMm: 28,
      },
      {
        id: 'P-6',
        plant: 'vallisneria-nana',
        region: ring('640,384 884,360 884,436 640,436'),
        spacingMm: 40,
      },
      { id: 'P-7', plant: 'bucephalandra', count: 8, on: 'S-03' },
      { id: 'P-8', plant: 'taxiphyllum-barbieri', count: 12, on: 'R-02' },
      {
        id: 'P-9',
        plant: 'staurogyne-repens',
        region: ring('566,206 604,236 606,300 560,330 544,268'),
        spacingMm: 35,
      },
    ],
    allowances: { plantSpare: 0.08, stoneFactor: 1.6 },
  };
}

function island(): Option {
  return {
    id: 'b',
    title: 'Island root',
    bed: [
      {
        id: 'soil',
        material: 'soil-granules',
        top: { kind: 'level', mm: 52 },
        mounds: [{ at: [360, 235], radiusMm: 260, heightMm: 70 }],
      },
    ],
    pieces: [
      set('S-03', [380, 250], 40, { turnDeg: 30 }),
      set('S-09', [270, 210], 34),
      set('S-31', [480, 200], 28),
      set('R-02', [300, 320], 6, { turnDeg: 175, owned: false }),
    ],
    joints: [{ id: 'J-1', pieces: ['R-02', 'S-03'], method: 'fibre-glue' }],
    plants: [
      {
        id: 'P-1',
        plant: 'eleocharis-pusilla',
        region: ring('16,16 884,16 884,434 16,434'),
        spacingMm: 40,
      },
      { id: 'P-2', plant: 'bucephalandra', count: 12, on: 'S-03' },
    ],
  };
}
