import { dayPlus, type Day } from '../../core/calendar/day';
import type { Commission, Option, Piece } from '../../core/commission/schema';
import { stone } from '../catalogue/solids';
import { commissionOf, dayFrom, ring, set } from './parts';

/** The lintel of the arch, split for it. */
const lintel: Piece = {
  id: 'A-1',
  material: 'slate',
  shape: stone({ seed: 211, sizeMm: [330, 105, 78], taper: 0.2 }),
  at: [452, 205],
  turnDeg: -4,
  stand: { kind: 'at', zMm: 262 },
  origin: 'client',
  sitting: 'lintel',
};

const option: Option = {
  id: 'a',
  title: 'Gate to the garden',
  bed: [
    {
      id: 'soil',
      material: 'soil-granules',
      top: { kind: 'ramp', frontMm: 54, backMm: 92 },
      mounds: [{ at: [760, 290], radiusMm: 200, heightMm: 45 }],
    },
    {
      id: 'path',
      material: 'quartz-sand',
      top: { kind: 'level', mm: 14 },
      over: true,
      region: ring('400,0 520,0 500,400 420,400'),
      sitting: 'path',
    },
  ],
  pieces: [
    set('S-61', [320, 200], 0, { stand: { kind: 'floor', pad: 5 }, turnDeg: 10 }),
    set('S-14', [576, 208], 0, {
      stand: { kind: 'floor', pad: 5 },
      turnDeg: 95,
      id: 'A-2',
      owned: undefined,
      origin: 'client',
    }),
    lintel,
    set('S-63', [180, 150], 30, { turnDeg: 35 }),
    set('S-64', [760, 140], 25, { turnDeg: 60 }),
  ],
  joints: [
    { id: 'J-1', pieces: ['S-61', 'A-1'], method: 'silicone', sitting: 'lintel' },
    { id: 'J-2', pieces: ['A-2', 'A-1'], method: 'silicone', sitting: 'lintel' },
  ],
  strewn: [
    { id: 'rubble-1', material: 'slate', massKg: 1.5, sizeMm: [20, 60], around: ['S-61', 'A-2'] },
    { id: 'rubble-2', material: 'slate', massKg: 0.6, sizeMm: [6, 20], around: ['S-61', 'A-2', 'S-64'] },
  ],
  plants: [
    { id: 'P-1', plant: 'helanthium-tenellum', region: ring('20,20 380,20 380,140 20,140'), spacingMm: 35 },
    { id: 'P-2', plant: 'helanthium-tenellum', region: ring('540,20 880,20 880,120 540,120'), spacingMm: 35 },
    {
      id: 'P-3',
      plant: 'cryptocoryne-wendtii',
      region: ring('40,260 250,260 250,380 40,380'),
      spacingMm: 60,
      ownPlugs: 9,
    },
    {
      id: 'P-4',
      plant: 'rotala-rotundifolia',
      region: ring('640,280 880,280 880,380 640,380'),
      spacingMm: 30,
    },
    { id: 'P-5', plant: 'taxiphyllum-barbieri', count: 6, on: 'A-1' },
  ],
};

/** An arch that is glued in place over two evenings, planted and filled on a Friday, its path poured five weeks later. */
export function archWindow(today: Day): Commission {
  const buildDay = dayFrom(today, 54, 'fri');
  const before = (days: number) => dayPlus(buildDay, -days);
  return commissionOf(today, {
    title: 'Corvane prints, side window',
    brief: {
      buildDay,
      startTime: '08:00',
      co2: false,
      crew: 2,
      crewNames: ['Ines', 'Tom'],
      client: { name: 'Corvane prints', place: 'side window, after closing', contact: '01 632 960 188' },
      story: 'A gate into a garden, looked through from the street. It has to stand before anything grows.',
      budgetMinor: 140_000,
      keeper: 'the framer',
      minutesAWeek: 150,
      daylight: 'indirect',
      sittings: [
        { id: 'table', kind: 'table', day: before(10), start: '14:00', crew: 1, note: 'In the yard, with the pillar and the lintel that the client brings.' },
        { id: 'pillars', kind: 'hardscape', title: 'Pillars and bed', day: before(3), start: '18:30', hours: ['18:00', '22:30'] },
        { id: 'lintel', kind: 'hardscape', title: 'Lintel', day: before(2), start: '18:30', crew: 2, hours: ['18:00', '22:30'], limitMin: 90 },
        { id: 'after', kind: 'detail', day: dayPlus(buildDay, 1), start: '09:00', crew: 1, tasks: ['photograph'] },
        { id: 'path', kind: 'detail', title: 'Pour the path', day: dayPlus(buildDay, 35), start: '09:00', crew: 1 },
      ],
      schools: { water: 'light', dosing: 'lean', moisture: 'misted' },
    },
    vessel: {
      kind: 'box',
      innerMm: { length: 900, width: 400, height: 450 },
      glassMm: 10,
      waterLineMm: 420,
      mat: true,
    },
    site: {
      baseHeightMm: 800,
      storey: 0,
      use: 'shop',
      roomC: [17, 25],
      devices: [
        { id: 'heater', name: 'heater', watts: 150 },
        { id: 'filter', name: 'filter', watts: 14, litresPerHour: 1_000 },
        { id: 'light', name: 'light', watts: 60 },
        { id: 'timer', kind: 'timer', name: 'timer', watts: 0 },
      ],
      sockets: 5,
      circuitA: 16,
      residualCurrent: true,
      dripLoops: true,
      tap: { gh: 7, kh: 4, ph: 7.3, disinfectant: 'chlorine', winterC: 8, summerC: 17, hotC: 55 },
      target: { tempC: 24 },
      tapM: 10,
      drainM: 10,
      carry: 'hose',
      hours: ['07:30', '18:00'],
    },
    options: [option],
    log: [],
  });
} // prettier-ignore
