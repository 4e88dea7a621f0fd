import type { Day } from '../../core/calendar/day';
import type { Commission } from '../../core/commission/schema';
import { commissionOf, dayFrom, ring, set } from './parts';

/** The small one: a desk cube with three cobbles and one carpet. */
export function deskCube(today: Day): Commission {
  return commissionOf(today, {
    title: 'Mrs Alder, desk cube',
    brief: {
      buildDay: dayFrom(today, 34, 'tue'),
      co2: false,
      crew: 1,
      crewNames: ['Ines'],
      client: { name: 'Mrs Alder', place: 'study, on the desk' },
      story: 'Three stones, one meadow. Little work.',
      budgetMinor: 16_000,
      daylight: 'indirect',
      minutesAWeek: 140,
      schools: { water: 'light', dosing: 'lean' },
    },
    vessel: {
      kind: 'box',
      innerMm: { length: 300, width: 300, height: 300 },
      glassMm: 5,
      waterLineMm: 275,
      labelL: 27,
    },
    options: [
      {
        id: 'a',
        title: 'Three stones',
        bed: [{ id: 'soil', material: 'soil-granules', top: { kind: 'ramp', frontMm: 50, backMm: 72 } }],
        pieces: [
          set('S-31', [112, 172], 24, { turnDeg: 25, owned: undefined, origin: 'client' }),
          set('S-33', [213, 140], 22, { turnDeg: 60, owned: undefined, origin: 'client' }),
          set('S-44', [150, 92], 10, { turnDeg: 15, owned: undefined, origin: 'client' }),
        ],
        joints: [],
        plants: [
          {
            id: 'P-1',
            plant: 'marsilea-hirsuta',
            region: ring('12,12 288,12 288,288 12,288'),
            spacingMm: 35,
          },
        ],
        allowances: { stoneFactor: 1.5 },
      },
    ],
    log: [],
  });
}
