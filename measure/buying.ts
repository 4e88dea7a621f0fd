import { dayPlus } from '../core/calendar/day';
import { termsOf } from '../core/ordering/carriage';
import { leastTotal, type Bought } from '../core/ordering/leastTotal';
import { weekOf, type Dated } from '../core/staging/week';
import type { WeekDue } from '../core/staging/sorts';
import { timed, type Row } from './timed';

/* A studio's largest order chosen for the least total, and a week over three hundred commissions. */

const LINES = 60;
const SUPPLIERS = ['a', 'b', 'c', 'd', 'e', 'f'];
const COMMISSIONS = 300;
const TODAY = '2027-01-04';

/** The same number from 0 to 1 for the same place. */
const seeded = (n: number) => ((n * 2_654_435_761) >>> 0) / 2 ** 32;

/** Lines that most suppliers have, at prices a tenth apart; another order each run. */
function linesOf(run: number): Bought[] {
  const price = (i: number, k: number) => Math.round(300 + 4_000 * seeded(i + 1) * (0.9 + 0.2 * seeded(i * 13 + k + run)));
  return Array.from({ length: LINES }, (_, i) => ({
    line: `l${i}`,
    offers: SUPPLIERS.flatMap((supplier, k) => (seeded(i * 7 + k + 1) < 0.6 || k === i % 6 ? [{ supplier, priceMinor: price(i, k) }] : [])),
  }));
} // prettier-ignore

function termsFor(supplier: string) {
  const k = SUPPLIERS.indexOf(supplier);
  const carriage = [
    { fromMinor: 0, minor: 1_200 },
    { fromMinor: 8_000, minor: 600 },
    { fromMinor: 15_000 + 1_000 * k, minor: 0 },
  ];
  return termsOf({ minimumMinor: 2_000 + 500 * k, carriage });
}

/** Three hundred commissions with a dozen things due in four weeks each. */
function dated(): Dated[] {
  const due = (i: number, n: number): WeekDue => ({
    sort: n === 0 ? 'build' : 'order',
    day: dayPlus(TODAY, Math.floor(28 * seeded(i * 31 + n))),
    what: `${n}`,
    ...(n === 0 ? { hands: { fromMin: 510, toMin: 900, count: 2, names: [`Person ${i % 9}`] } } : {}),
  });
  return Array.from({ length: COMMISSIONS }, (_, i) => ({ id: `c${i}`, title: `Job ${i}`, dues: Array.from({ length: 12 }, (_d, n) => due(i, n)) }));
} // prettier-ignore

export async function buyingRows(): Promise<Row[]> {
  if (!leastTotal(linesOf(0), termsFor)?.proven) throw new Error('the least total was not proven');
  const all = dated();
  return [
    await timed('buying.least-total', 12, (run) => leastTotal(linesOf(run), termsFor), 2),
    await timed('buying.fewest-parcels', 12, (run) => leastTotal(linesOf(run), termsFor, 'parcels'), 2),
    await timed(
      'week.300-commissions',
      20,
      (run) => weekOf(all, dayPlus(TODAY, 7 * (run % 4)), TODAY, { people: 5 }),
      2,
    ),
  ];
}
