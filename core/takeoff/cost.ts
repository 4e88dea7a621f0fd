import { say, type Text } from '../words/text';
import type { TakeOff } from './takeOff';

/** Lines of which something is needed that the catalogue has no price for. */
export function withoutPrice({ lines }: Pick<TakeOff, 'lines'>): TakeOff['lines'] {
  return lines.filter((l) => !l.priced && l.needed.value > 0);
}

/**
 * What the material costs, and how many lines are not in that sum: a total never stands for what nobody has priced. By the
 * catalogue, or by what was confirmed of it (`order.totalMinor`).
 */
export function materialCost(takeOff: TakeOff, currency: string, totalMinor = takeOff.totalMinor): Text {
  const cost = { minor: totalMinor, currency };
  const open = unpricedWords(takeOff);
  return open ? say('cost.material.more', { cost, open }) : say('cost.material', { cost });
}

/** How many lines nobody has priced, in words; undefined where there are none. */
export function unpricedWords(takeOff: Pick<TakeOff, 'lines'>): Text | undefined {
  const count = withoutPrice(takeOff).length;
  return count > 0 ? say('cost.unpriced', { count }) : undefined;
}
