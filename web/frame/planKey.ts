import { inject, type InjectionKey, type ShallowRef } from 'vue';
import type { WaterHeight } from '../../core/survey/waterByHeight';
import type { Filling } from '../../core/substrate/fillUnder';
import type { Swap } from '../../core/pipeline/swaps';
import type { Candidate, Material, Piece, Supplier } from '../../core/commission/schema';
import type { Trial } from '../../core/pipeline/trial';
import type { Hide, Touched } from '../../core/planting/picked';
import type { Spot3 } from '../../core/view/sightLine';
import type { Buying } from '../workers/buyingWork';
import type {
  Around,
  FieldView,
  Finger,
  GearSeen,
  SettledBed,
  ShownPlan,
  ShownPlanted,
} from '../workers/planWorker';
import type { SentOrder } from '../document/api';

/** What is asked now and then of the scape that was last measured: grains that creep, filler, what is around a piece. */
export interface ScapeWork {
  settle: (onRound: (round: number) => void) => Promise<SettledBed | undefined>;
  stop: () => void;
  fill: () => Promise<Filling | undefined>;
  around: (id: string) => Promise<Around | undefined>;
  /** How much an eye sees of each device that has a place inside. */
  gearSeen: (eye: Spot3) => Promise<GearSeen[] | undefined>;
  /** How a piece stands once it is let down; where it runs into nothing any more. */
  letDown: (id: string) => Promise<Piece['stand'] | undefined>;
  apart: (id: string) => Promise<[number, number] | undefined>;
  /** Which piece a finger meets, and where; joints that a plant can hide. */
  touch: (finger: Finger) => Promise<Touched | undefined>;
  hides: () => Promise<Hide[]>;
  /** Ways to buy what is still to be ordered, of the plan that was last made. */
  buying: () => Promise<Buying | undefined>;
  /** What each of some materials would change in the place of one. */
  swaps: (from: string, others: Material[], sellers: Supplier[]) => Promise<Swap[]>;
  /** What an actual piece changes in the place of the one that is drawn. */
  trial: (candidate: Candidate) => Promise<Trial | undefined>;
  /** Light on the piece that a finger meets, as planted, µmol/m²/s; undefined where it meets none. */
  lightUnder: (finger: Finger) => Promise<{ piece: string; ppfd: number } | undefined>;
  /** Light in the cells of the bed under what has grown by a week, µmol/m²/s. */
  lightInWeek: (week: number) => Promise<Float32Array | undefined>;
}

/** What the frame gives to every stage. */
export interface Frame {
  plan: ShallowRef<ShownPlan | undefined>;
  field: ShallowRef<FieldView | undefined>;
  /** What is planted as it will live; only while somebody looks at it. */
  planted: ShallowRef<ShownPlanted | undefined>;
  orders: ShallowRef<SentOrder[]>;
  reloadOrders: () => Promise<void>;
  /** Free water by height of the scape as it was last measured. */
  waterScale: () => Promise<WaterHeight[]>;
  scapeWork: ScapeWork;
}

export const FRAME: InjectionKey<Frame> = Symbol('frame');

export function useFrame(): Frame {
  const frame = inject(FRAME);
  if (!frame) throw new Error('a stage is shown inside the commission frame');
  return frame;
}
