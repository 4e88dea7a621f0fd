import { measure } from '../words/measure';
import { fault, type Fault } from './fault';
import type { Commission } from './schema';

const inC = measure('°C', 1);

/** Answers that cannot be: a seat inside the tank, a room that is warmer at its coldest. */
export function briefFaults({ brief, site, vessel }: Commission): Fault[] {
  const { length, width } = vessel.innerMm;
  const inside = (brief.seats ?? []).flatMap(({ at: [x, y], name }, i) =>
    x > 0 && x < length && y > 0 && y < width
      ? [fault(`brief.seats[${i}].at`, 'fault.seat.inside', { name })]
      : [],
  );
  const [low, high] = site?.roomC ?? [0, 0];
  return low <= high
    ? inside
    : [...inside, fault('site.roomC', 'fault.colder.first', { low: inC(low), high: inC(high) })];
}
