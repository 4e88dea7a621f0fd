import type { Fault } from './fault';
import type { Commission } from './schema';

/** Answers that cannot be: a seat inside the tank, a room that is warmer at its coldest. */
export function briefFaults({ brief, site, vessel }: Commission): Fault[] {
  const { length, width } = vessel.innerMm;
  const inside = (brief.seats ?? []).flatMap(({ at: [x, y], name }, i) =>
    x > 0 && x < length && y > 0 && y < width
      ? [{ path: `brief.seats[${i}].at`, says: `sets ${name} inside the tank, must be somewhere around it` }]
      : [],
  );
  const [low, high] = site?.roomC ?? [0, 0];
  return low <= high
    ? inside
    : [...inside, { path: 'site.roomC', says: `is ${low} to ${high}, must have the colder figure first` }];
}
