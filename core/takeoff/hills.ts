import { layerOf, type Resolved } from '../resolved/resolved';
import { floorShare } from '../substrate/bedField';
import { onField } from '../substrate/onField';
import { bagsFor } from '../substrate/filler';
import type { Survey } from '../survey/survey';

/** One heap of filler by itself: litres as laid, and the bags it takes; none where it is poured loose. */
export interface Hill {
  litres: number;
  bags: number;
}

/** Thinner than this there is no filler, mm. */
const NOTHING_MM = 0.5;

/**
 * Filler that is still to be laid, hill by hill: what lies together is one, and a bag does not lie in two. Two
 * hills of 3 L take four bags of 2.5 L, not the three that 6 L would.
 */
export function fillerToLay(commission: Resolved, survey: Survey): Hill[] {
  return survey.layers.flatMap(({ id }, i) => {
    const { role, broughtL: litres, isBagged } = layerOf(commission, id);
    if (role !== 'filler' || litres <= 1e-9) return [];
    const heaps = onField(survey.field, `heaps ${i}`, () => together(survey, i));
    const whole = heaps.reduce((sum, v) => sum + v, 0);
    return heaps.map((v): Hill => {
      const own = (litres * v) / whole;
      return { litres: own, bags: isBagged ? bagsFor(own) : 0 };
    });
  });
}

/** Volumes of the parts of a layer that do not touch each other, in cells times millimetres. */
function together({ field }: Survey, layer: number): number[] {
  const { columns, rows } = field;
  const mm = field.thicknessMm[layer];
  const seen = new Uint8Array(columns * rows);
  const heaps: number[] = [];
  const waiting = new Int32Array(columns * rows);
  for (let start = 0; start < seen.length; start++) {
    if (seen[start] || mm[start] <= NOTHING_MM) continue;
    let volume = 0;
    let count = 0;
    waiting[count++] = start;
    seen[start] = 1;
    while (count > 0) {
      const cell = waiting[--count];
      volume += mm[cell] * floorShare(field, cell);
      const column = cell % columns;
      const beside = [column > 0 ? cell - 1 : -1, column < columns - 1 ? cell + 1 : -1, cell - columns, cell + columns]; // prettier-ignore
      for (const next of beside) {
        if (next < 0 || next >= seen.length || seen[next] || mm[next] <= NOTHING_MM) continue;
        seen[next] = 1;
        waiting[count++] = next;
      }
    }
    if (volume > 0) heaps.push(volume);
  }
  return heaps;
}
