import type { Device } from '../../../core/gear/gear';
import type { useFigures } from '../../units/figures';

/** What a device draws and moves, in a line. */
export function deviceFigures(
  f: ReturnType<typeof useFigures>,
  { watts, litresPerHour }: Pick<Device, 'watts' | 'litresPerHour'>,
): string[] {
  return [...(watts > 0 ? [`${watts} W`] : []), ...(litresPerHour ? [f.said(litresPerHour, 'L/h', 0)] : [])];
}
