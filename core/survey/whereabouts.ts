import type { Commission } from '../commission/schema';
import { say, type Text } from '../words/text';

const ACROSS = ['left', 'middle', 'right'] as const;
const DEEP = ['front', 'half-way', 'back'] as const;

/** "front left" to "back right", in thirds. */
export function whereabouts({ vessel }: Commission, [x, y]: readonly [number, number]): Text {
  const third = (v: number, whole: number) => Math.min(2, Math.max(0, Math.floor((3 * v) / whole)));
  const across = ACROSS[third(x, vessel.innerMm.length)];
  const deep = DEEP[third(y, vessel.innerMm.width)];
  return say(`where.${deep}.${across}`);
}
