import { ref } from 'vue';
import { acrossMiddle } from '../../../core/planting/cutRegion';

type Spot = [number, number];

/** A line drawn across a region: there it is cut in two. Enter cuts it across its middle, Esc leaves it whole. */
export function useCutting(cut: (a: Spot, b: Spot) => string | undefined) {
  const cutting = ref(false);
  const fault = ref('');
  function along(a: Spot, b: Spot): void {
    fault.value = cut(a, b) ?? '';
    if (!fault.value) cutting.value = false;
  }
  return {
    cutting,
    fault,
    begin: () => {
      fault.value = '';
      cutting.value = true;
    },
    stroke: (points: readonly Spot[]) => along(points[0], points[points.length - 1]),
    key: (event: KeyboardEvent, region: readonly Spot[]): void => {
      if (event.key === 'Escape') cutting.value = false;
      else if (event.key === 'Enter') along(...(acrossMiddle(region) as [Spot, Spot]));
      else return;
      event.preventDefault();
    },
  };
}
