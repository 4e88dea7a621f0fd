import { computed, ref, shallowRef } from 'vue';
import { BRUSHES, type Brush } from '../../../core/substrate/sculpt';
import type { SettledBed } from '../../workers/planWorker';

/** What the hand on the bed holds: nothing, a brush, or the line of a path. */
export type BedTool = 'hand' | Brush | 'path';

export const bedTool = ref<BedTool>('hand');
/** Reach of a brush, and by how much one touch moves the bed in its middle, mm. */
export const brushMm = ref(60);
export const strengthMm = ref(4);
/** The bed as it would lie after some weeks, while it is looked at. */
export const settledBed = shallowRef<SettledBed>();

export const brush = computed(() => BRUSHES.find((b) => b === bedTool.value));

export const TOOLS: readonly { tool: BedTool; title: string; says: string }[] = [
  { tool: 'hand', title: 'Hand', says: 'take hold of handles and pieces' },
  { tool: 'raise', title: 'Raise', says: 'pour on' },
  { tool: 'lower', title: 'Lower', says: 'take away' },
  { tool: 'smooth', title: 'Smooth', says: 'brush even' },
  { tool: 'level', title: 'Level', says: 'bring to the height where it is put down' },
  { tool: 'path', title: 'Path', says: 'press point after point, from the front on; Enter lays it' },
];
