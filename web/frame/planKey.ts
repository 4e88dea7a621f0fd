import { inject, type InjectionKey, type ShallowRef } from 'vue';
import type { WaterHeight } from '../../core/survey/waterByHeight';
import type { Filling } from '../../core/substrate/fillUnder';
import type { FieldView, SettledBed, ShownPlan } from '../workers/planWorker';
import type { SentOrder } from '../document/api';

/** What takes longer than a plan: grains that creep, filler under a bed. */
export interface BedWork {
  settle: (onRound: (round: number) => void) => Promise<SettledBed | undefined>;
  stop: () => void;
  fill: () => Promise<Filling | undefined>;
}

/** What the frame gives to every stage. */
export interface Frame {
  plan: ShallowRef<ShownPlan | undefined>;
  field: ShallowRef<FieldView | undefined>;
  orders: ShallowRef<SentOrder[]>;
  reloadOrders: () => Promise<void>;
  /** Free water by height of the scape as it was last measured. */
  waterScale: () => Promise<WaterHeight[]>;
  bedWork: BedWork;
}

export const FRAME: InjectionKey<Frame> = Symbol('frame');

export function useFrame(): Frame {
  const frame = inject(FRAME);
  if (!frame) throw new Error('a stage is shown inside the commission frame');
  return frame;
}
