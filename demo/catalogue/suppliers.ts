import type { Supplier } from '../../core/commission/schema';

/** Made-up suppliers. `year` is that of the build, for their closed days. */
export function suppliers(year: number): Supplier[] {
  const winter = (y: number) => ({ from: `${y}-12-24`, to: `${y + 1}-01-01` });
  return [
    {
      id: 'marl-timber',
      name: 'Marl & Timber Yard',
      days: ['tue', 'fri'],
      closed: [winter(year - 1), winter(year)],
    },
    {
      id: 'glasshouse-nine',
      name: 'Glasshouse Nine',
      days: ['mon', 'thu'],
      closed: [winter(year - 1), winter(year)],
    },
    {
      id: 'brindle',
      name: 'Brindle Dry Goods',
      days: ['mon', 'tue', 'wed', 'thu', 'fri'],
      closed: [winter(year - 1), winter(year)],
    },
  ];
}
