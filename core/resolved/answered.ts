import type { Commission } from '../commission/schema';
import { devicesInTank } from '../gear/gear';
import { animalsOf, waitingOf, type WaitWhere } from '../commission/usual';

/*
 * What of a tank that stands there is not drawn but answered: its gear, its animals, its filter. With what becomes of
 * each it stands beside the difference of what is drawn.
 */

/** A device, or all animals of a kind, and what becomes of it. */
export interface Answered {
  of: 'gear' | 'animals';
  id: string;
  name: string;
  /** How many: 1 of a device. */
  count: number;
  fate: 'stays' | 'left';
  /** Where a device goes, where animals wait that stay. */
  says?: 'client' | 'waste' | 'stock' | WaitWhere;
}

/**
 * Of each device that is in the tank now and of each kind of animal that lives in it, whether it stays: what is bought, in
 * stock or comes out of another scape was never in it. Empty for a tank that does not run.
 */
export function answered(commission: Commission, nameOf: (species: string) => string): Answered[] {
  const { brief } = commission;
  if (!brief.rescape) return [];
  const waits = waitingOf(brief);
  const { here, leaving } = animalsOf(brief);
  const gear = devicesInTank(commission);
  return [
    ...gear.map(({ id, name, leaves }): Answered => ({ of: 'gear', id, name, count: 1, fate: leaves ? 'left' : 'stays', ...(leaves ? { says: leaves } : {}) })),
    ...here.map((s): Answered => ({ of: 'animals', id: s.species, name: nameOf(s.species), count: s.count, fate: 'stays', ...(waits ? { says: waits } : {}) })),
    ...leaving.map((s): Answered => ({ of: 'animals', id: s.species, name: nameOf(s.species), count: s.count, fate: 'left' })),
  ];
} // prettier-ignore
