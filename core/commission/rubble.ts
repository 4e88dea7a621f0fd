import type { Material } from './schema';

/** True for loose stone: it is weighed, sorted by size and strewn before plants; what else is strewn is grain, by the litre and at last. */
export function isRubble({ kind }: Pick<Material, 'kind'>): boolean {
  return kind === 'stone';
}
