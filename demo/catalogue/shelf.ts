import type { ShelfEntry } from '../../core/stock/shelf';
import { dayPlus, type Day } from '../../core/calendar/day';

/** What the made-up studio has itself: opened bags, and plants in the tanks of its rack. */
export function shelf(today: Day): ShelfEntry[] {
  return [
    { id: 'crypts', name: 'Cryptocoryne wendtii', of: 'cryptocoryne-wendtii', amount: 40, unit: 'plug', where: 'Rack, tank 3', since: dayPlus(today, -60) }, // prettier-ignore
    { id: 'marsilea', name: 'Marsilea hirsuta', of: 'marsilea-hirsuta', amount: 60, unit: 'plug', where: 'Rack, tank 2', since: dayPlus(today, -90), livesOn: ['snails'] }, // prettier-ignore
    { id: 'soil', name: 'Active soil, granules', of: 'soil-granules', amount: 5.2, unit: 'L', where: 'Bin under the bench', since: dayPlus(today, -20) }, // prettier-ignore
    { id: 'white', name: 'White sand, 0.2–0.5 mm', of: 'white-sand', amount: 3, unit: 'kg', where: 'Bin under the bench', since: dayPlus(today, -20) }, // prettier-ignore
  ];
}
