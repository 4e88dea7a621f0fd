import type { Day } from '../../core/calendar/day';
import { dayPlus } from '../../core/calendar/day';
import type { Commission } from '../../core/commission/schema';
import { commissionOf, ring, set } from './parts';

/** The one with every finding in it: what an evening of drawing looks like before anybody has checked it. */
export function openWindow(today: Day): Commission {
  return commissionOf(today, {
    title: 'Quillet gallery, foyer',
    brief: {
      buildDay: dayPlus(today, 4),
      co2: false,
      crew: 1,
      crewNames: ['Tom'],
      client: { name: 'Quillet gallery', place: 'foyer, beside the window' },
      story: 'Cliff and leaning root for the opening. Drawn in one evening, not yet checked.',
      budgetMinor: 30_000,
      daylight: 'window',
      minutesAWeek: 60,
      schools: { water: 'taper', dosing: 'none' },
    },
    vessel: {
      kind: 'box',
      innerMm: { length: 600, width: 360, height: 360 },
      glassMm: 8,
      waterLineMm: 335,
      labelL: 90,
      standKg: 30,
    },
    options: [
      {
        id: 'a',
        title: 'Cliff',
        bed: [
          {
            id: 'soil',
            material: 'soil-granules',
            top: { kind: 'ramp', frontMm: 28, backMm: 70 },
            mounds: [{ at: [120, 300], radiusMm: 150, heightMm: 95 }],
          },
        ],
        pieces: [
          set('S-14', [170, 215], 26, { turnDeg: 20, owned: undefined, origin: 'client' }),
          set('S-22', [455, 51], 30, { turnDeg: 10, owned: undefined, origin: 'client' }),
          set('R-02', [400, 215], 18, { turnDeg: 170, owned: false }),
          set('S-31', [300, 120], 20, { owned: undefined, origin: 'client' }),
        ],
        joints: [],
        plants: [
          {
            id: 'P-1',
            plant: 'hemianthus-callitrichoides',
            region: ring('20,20 420,20 420,130 20,130'),
            spacingMm: 25,
          },
          {
            id: 'P-2',
            plant: 'cryptocoryne-parva',
            region: ring('430,150 580,150 580,330 430,330'),
            spacingMm: 45,
          },
        ],
      },
    ],
    log: [
      {
        id: 'l-1',
        date: today,
        text: 'Opening moved forward a week. Check everything again before ordering.',
      },
    ],
  });
}
