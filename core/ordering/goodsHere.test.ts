import { describe, expect, it } from 'vitest';
import { glanceOf } from '../pipeline/glance';
import { plan } from '../pipeline/plan';
import { example } from '../testing/scape';
import { goodsHere } from './goodsHere';
import type { Order } from './order';

const order = (coming: object[], lines: object[] = []) =>
  ({ buildDay: '2027-01-14', suppliers: [{ lines, coming }] }) as unknown as Order;

describe('goods of a commission', () => {
  it('stands here from the first parcel that comes to the studio until it is built', () => {
    const until = '2027-01-14';
    const first = { day: '2027-01-08', given: 2 };
    const later = { day: '2027-01-12', given: 1 };
    expect(goodsHere(order([later, first]))).toEqual({ from: '2027-01-08', until });
    // What was counted on another day, at the site, or never came.
    expect(goodsHere(order([{ ...first, received: { day: '2027-01-09' } }]))).toEqual({ from: '2027-01-09', until }); // prettier-ignore
    expect(goodsHere(order([{ ...first, received: { day: '2027-01-08', at: 'site' } }, later]))).toEqual({ from: '2027-01-12', until }); // prettier-ignore
    expect(goodsHere(order([{ ...first, given: 0 }]))).toBeUndefined();
    // Ordered as late as it may, and what only comes after the build.
    expect(goodsHere(order([later], [{ arriveBy: '2027-01-11' }]))).toEqual({ from: '2027-01-11', until });
    expect(goodsHere(order([], [{ arriveBy: '2027-02-01' }, {}]))).toBeUndefined();
  });

  it('holds a place in the week, of a real job from its first delivery on', () => {
    const doc = example('held-root');
    const planned = plan(doc, { today: '2026-12-20' });
    const { dues } = glanceOf(doc, planned, '2026-12-20');
    const first = planned.order.suppliers.flatMap((s) => s.lines.flatMap((l) => l.arriveBy ?? [])).sort()[0]; // prettier-ignore
    expect(dues.find((d) => d.sort === 'build')!.holds).toEqual({ what: 'bay', from: first, until: '2027-01-14', amount: 1 }); // prettier-ignore
  });
});
