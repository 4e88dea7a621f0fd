import type { Day } from '../calendar/day';
import type { Order } from './order';

/**
 * From when on goods of a commission stand at the studio, and until when: from the first parcel that comes there, confirmed or as
 * late as it may, until the day of the build. Undefined where all of it goes to the site or comes later.
 * Valid for goods that go out together on the build day. Leaves out: what an earlier sitting takes away with it.
 * Test: goodsHere.test.ts, "stands here from the first parcel that comes to the studio until it is built".
 */
export function goodsHere({ suppliers, buildDay }: Order): { from: Day; until: Day } | undefined {
  const came = suppliers.flatMap((s) =>
    s.coming
      .filter((c) => c.given > 0 && c.received?.at !== 'site')
      .flatMap((c) => c.received?.day ?? c.day ?? []),
  );
  const comes = suppliers.flatMap((s) => s.lines.flatMap((l) => l.arriveBy ?? []));
  const [from] = [...came, ...comes].filter((day) => day <= buildDay).sort();
  return from === undefined ? undefined : { from, until: buildDay };
}
