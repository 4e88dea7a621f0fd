import { computed, shallowRef, type Ref } from 'vue';
import type { Plant, Planting, Vessel } from '../../../core/commission/schema';
import type { ScapeWork } from '../../frame/planKey';
import type { Finger } from '../../workers/planWorker';
import { useCutting } from './useCutting';
import { usePainting } from './usePainting';
import { usePicking } from './usePicking';
import type { usePlantings } from './usePlantings';
import { wording } from '../../words/wording';

/** What the pointer does on the plan: paints a plant, cuts a region, sets portions on stone and wood; one at a time. */
export function usePlantingTools(
  { chosen, addRegion, split }: ReturnType<typeof usePlantings>,
  current: Ref<Planting | undefined>,
  vessel: Ref<Vessel>,
  area: Ref<HTMLElement | undefined>,
  touch: ScapeWork['touch'],
) {
  const brush = shallowRef<Plant>();
  const painting = usePainting({
    size: () => ({ length: vessel.value.innerMm.length, width: vessel.value.innerMm.width }),
    done: (region) => {
      const fault = addRegion(brush.value!, region);
      if (!fault) brush.value = undefined;
      return fault;
    },
  });
  const { cutting, ...cut } = useCutting((a, b) => split(chosen.value!, a, b));
  const { picking, ...pick } = usePicking();
  function take(tool: 'paint' | 'cut' | 'pick' | undefined, plant?: Plant): void {
    brush.value = tool === 'paint' ? plant : undefined;
    cutting.value = tool === 'cut';
    picking.value = tool === 'pick';
    painting.begin();
    cut.fault.value = pick.fault.value = '';
    if (tool === 'cut') cut.begin();
    if (tool) area.value?.focus({ preventScroll: true });
  }
  function begin(plant: Plant): void {
    chosen.value = undefined;
    take('paint', plant);
  }
  /** Another planting is looked at, unless a tool is at work. */
  function choose(id: string | undefined): void {
    if (brush.value || cutting.value || picking.value) return;
    chosen.value = id;
  }
  /** A belt in the place of corners: one region, or one on each side of a path. */
  function layBelt(regions: [number, number][][]): void {
    const plant = brush.value!;
    const faults = regions.flatMap((r) => addRegion(plant, r) ?? []);
    if (faults.length > 0) painting.fault.value = wording('usePlantingTools.belt', { fault: faults[0] });
    else brush.value = undefined;
  }
  /** A portion goes where a finger meets stone or wood. */
  async function finger(at: Finger): Promise<void> {
    if (picking.value && current.value) pick.place(current.value, await touch(at));
  }
  function keyed(event: KeyboardEvent): void {
    if (brush.value) painting.key(event, () => take(undefined));
    else if (cutting.value) cut.key(event, current.value?.region ?? []);
    else if (picking.value && event.key === 'Escape') take(undefined);
  }
  const stroke = (points: [number, number][]) =>
    cutting.value ? cut.stroke(points) : painting.stroke(points);
  const drawing = computed(() => brush.value !== undefined || cutting.value);
  const fault = computed(() => painting.fault.value || cut.fault.value || pick.fault.value);
  return { brush, painting, cutting, picking, pick, take, begin, choose, layBelt, finger, keyed, stroke, drawing, fault }; // prettier-ignore
}
