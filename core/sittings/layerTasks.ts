import type { Material } from '../commission/schema';

/** A layer as far as its task depends on it. */
interface Laid {
  id: string;
  /** What it is to the order of work (`survey/layerRoles.ts`). */
  role: 'filler' | 'soil' | 'bed' | 'cosmetic';
  kind: Material['kind'];
  /** Litres that are poured; what is there already has no task. */
  broughtL: number;
}

/** Litres below which nothing is poured. */
const NOTHING_L = 1e-6;

/** The task that pours each layer, from the bottom up: filler, soil and the first sand by their names, others by their own. */
export function layerTasks(layers: readonly Laid[]): Map<string, string> {
  const tasks = new Map<string, string>();
  for (const { id, role, kind, broughtL } of layers) {
    if (broughtL <= NOTHING_L) continue;
    const isFirstSand = kind === 'sand' && ![...tasks.values()].includes('sand');
    tasks.set(id, role === 'filler' || role === 'soil' ? role : isFirstSand ? 'sand' : `layer-${id}`);
  }
  return tasks;
}
