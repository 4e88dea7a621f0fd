import type { Supplier } from '../commission/schema';
import type { Resolved } from '../resolved/resolved';
import type { TakeOffLine } from '../takeoff/line';
import { dayPlus, weekdayOf, type Day } from '../calendar/day';

/** Days from the order to the delivery: none where one goes there oneself. */
export function leadOf({ shop }: Pick<Supplier, 'shop'>, { leadDays }: { leadDays: number }): number {
  return shop ? 0 : leadDays;
}

/** How far back a delivery day is looked for before it is said that there is none. */
const LOOK_BACK_DAYS = 400;

/** True on a day on which the supplier neither works nor delivers. */
export function isClosed(supplier: Supplier, day: Day): boolean {
  return (supplier.closed ?? []).some((span) =>
    typeof span === 'string' ? span === day : span.from <= day && day <= span.to,
  );
}

/** True on a day on which it brings something: one of its days, of those for living goods where they are, and not closed. */
export function delivers(supplier: Supplier, day: Day, isLiving = false): boolean {
  const days: readonly string[] | undefined = isLiving
    ? (supplier.livingDays ?? supplier.days)
    : supplier.days;
  return (!days || days.includes(weekdayOf(day))) && !isClosed(supplier, day);
}

/** The last day before `before` on which the supplier delivers, or undefined when there is none. */
export function lastDelivery(supplier: Supplier, before: Day, isLiving = false): Day | undefined {
  for (let back = 1; back <= LOOK_BACK_DAYS; back++) {
    const day = dayPlus(before, -back);
    if (delivers(supplier, day, isLiving)) return day;
  }
  return undefined;
}

/** The first day on which what is ordered on a day can be there: after its lead days, on a day on which it delivers. */
export function firstDelivery(supplier: Supplier, ordered: Day, leadDays: number, isLiving = false): Day | undefined {
  for (let ahead = leadDays; ahead <= LOOK_BACK_DAYS; ahead++) {
    const day = dayPlus(ordered, ahead);
    if (delivers(supplier, day, isLiving) && orderDay(supplier, day, leadDays) >= ordered) return day;
  }
  return undefined;
} // prettier-ignore

/**
 * The last day on which an order must reach the supplier for it to deliver on a day: lead days are counted
 * back over every day on which it is not closed, and an order is not taken on a closed day. Four days before
 * Tuesday 12 January is Friday the 8th.
 * Valid for lead times in working days of the supplier. Leaves out: what happens on the road.
 * Test: order.test.ts, "steps over closed days, single or in a span, for delivery and for lead time".
 */
export function orderDay(supplier: Supplier, delivery: Day, leadDays: number): Day {
  let day = delivery;
  for (let left = leadDays; left > 0; left--) {
    do day = dayPlus(day, -1);
    while (isClosed(supplier, day));
  }
  return day;
}

/** The day before which a line of the take-off must have come: the build day, a later visit, or when it begins to soak. */
export function neededOnDay({ brief }: Resolved, line: TakeOffLine): Day {
  return dayPlus(brief.buildDay, (line.laterDays ?? 0) - (line.aheadDays ?? 0));
}
