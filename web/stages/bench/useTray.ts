import { ref, watch } from 'vue';
import { useRoute } from 'vue-router';
import { useCommands } from '../../design/commands';
import { selectedLayer } from '../../frame/selection';
import { bedTool } from './bedTool';

/** What lies in the tray below the sheet. */
export const TRAYS = [
  ['yard', 'Yard'],
  ['starts', 'Starts'],
  ['bed', 'Bed'],
  ['pieces', 'Pieces'],
  ['loose', 'Loose'],
  ['story', 'Story'],
  ['now', 'Now'],
] as const;
export type Tray = (typeof TRAYS)[number][0];

/** Which tray is open: the yard at first, the bed as soon as a layer is chosen, any of them by its command. */
export function useTray() {
  const tray = ref<Tray>(useRoute().query.tray === 'now' ? 'now' : 'yard');
  watch(selectedLayer, (id) => id && (tray.value = 'bed'), { immediate: true });
  // Brushes and paths are for the bed that is looked at: elsewhere the hand takes hold of pieces.
  watch(tray, (now) => now !== 'bed' && (bedTool.value = 'hand'));
  useCommands([
    { id: 'bench yard', title: 'Bench: the yard', run: () => (tray.value = 'yard') },
    { id: 'bench bed', title: 'Bench: the bed, its layers and tools', run: () => (tray.value = 'bed') },
    { id: 'bench pieces', title: 'Bench: list of pieces', run: () => (tray.value = 'pieces') },
    { id: 'bench loose', title: 'Bench: loose stone and grain', run: () => (tray.value = 'loose') },
  ]);
  return tray;
}
