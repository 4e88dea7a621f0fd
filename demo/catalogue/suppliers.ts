import type { Day } from '../../core/calendar/day';
import type { Supplier } from '../../core/commission/schema';

/** Made-up suppliers, as the studio and every commission of it have them on a day: what is built is built this year or the next. */
export function suppliersOn(today: Day): Supplier[] {
  const year = Number(today.slice(0, 4)) + 1;
  const winter = (y: number) => ({ from: `${y}-12-24`, to: `${y + 1}-01-01` });
  return [
    {
      id: 'marl-timber',
      name: 'Marl & Timber Yard',
      days: ['tue', 'fri'],
      contact: 'the yard office',
      cutOff: '12:00',
      carriage: [
        { fromMinor: 0, minor: 1_200 },
        { fromMinor: 15_000, minor: 0 },
      ],
      closed: [winter(year - 1), winter(year)],
    },
    {
      id: 'glasshouse-nine',
      name: 'Glasshouse Nine',
      days: ['mon', 'thu'],
      livingDays: ['mon', 'thu'],
      cutOff: '10:00',
      minimumMinor: 2_000,
      carriage: [{ fromMinor: 0, minor: 750 }],
      closed: [winter(year - 1), winter(year)],
    },
    {
      id: 'brindle',
      name: 'Brindle Dry Goods',
      days: ['mon', 'tue', 'wed', 'thu', 'fri'],
      cutOff: '14:00',
      carriage: [
        { fromMinor: 0, minor: 590 },
        { fromMinor: 6_000, minor: 0 },
      ],
      closed: [winter(year - 1), winter(year)],
    },
    {
      id: 'quay-row',
      name: 'Quay Row Supplies',
      days: ['wed', 'fri'],
      cutOff: '15:00',
      minimumMinor: 3_000,
      carriage: [{ fromMinor: 0, minor: 690 }],
    },
  ];
}
