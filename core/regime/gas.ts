import { dayPlus, daysFrom, type Day } from '../calendar/day';
import { lateDevices } from '../gear/gear';
import type { Resolved } from '../resolved/resolved';
import type { Text } from '../words/text';
import { dated } from './afterwards';

/** When gas is on from: days after the build, and why not earlier. */
export interface GasFrom {
  day: number;
  because?: Text;
}

/** As the brief has it, and not before the set has come; undefined where there is none. */
export function gasFrom(commission: Pick<Resolved, 'brief' | 'gear'>): GasFrom | undefined {
  const { brief } = commission;
  if (!brief.co2) return undefined;
  const come = lateDevices(commission)
    .filter((g) => g.kind === 'co2')
    .map((g) => ({ kind: 'arrives' as const, things: ['gas'], ownDay: daysFrom(brief.buildDay, g.device.arrives!) })); // prettier-ignore
  const works = dated([
    ...come,
    { kind: 'gas' as const, things: ['gas'], ownDay: brief.care?.co2FromDay ?? 0 },
  ]);
  const { day, because } = works.find((w) => w.kind === 'gas')!;
  return { day, ...(because ? { because } : {}) };
}

/** The day on which gas begins, where it is not the first. */
export function gasBegins(commission: Resolved): Day | undefined {
  const from = gasFrom(commission);
  return from && from.day > 0 ? dayPlus(commission.brief.buildDay, from.day) : undefined;
}
