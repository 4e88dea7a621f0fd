import { say } from '../words/text';
import type { Working } from '../words/working';

/** What of a line is strewn by hand, and what of that is there already or comes from elsewhere. */
export function strewnSteps(strewn: number, bought: number, unit: 'kg' | 'L'): Working[] {
  if (strewn <= 0) return [];
  const own = strewn - bought;
  return [
    { step: say('strewn.step'), value: strewn, unit, note: say('strewn.step.note') },
    ...(own > 1e-9 ? [{ step: say('less.there'), value: -own, unit, note: say('less.there.note') }] : []),
  ];
}
