import type { Shape } from '../commission/schema';
import type { Columns } from '../hardscape/columns';
import type { Displaced, Lasting } from '../hardscape/displace';
import type { Standing } from '../hardscape/settle';
import type { BedField } from '../substrate/bedField';
import type { LayerSurvey } from './layers';

/** One remembered result and what it was made from. */
export interface Slot<T> {
  key?: readonly unknown[];
  value?: T;
}

/**
 * What a survey may take over from the one before: everything whose inputs are the same. Objects are
 * compared by identity, so a document must be changed by replacing what changes. It never alters a result,
 * but for a rough memo, which serves a drag and is followed by a survey without one.
 */
export interface SurveyMemo {
  field: Slot<BedField>;
  layers: Slot<LayerSurvey[]>;
  fixed: Slot<Standing[]>;
  open: Slot<{ water: number; air: number }>;
  /** Part of each layer that lies below the water line. */
  wet: Slot<number[]>;
  columns: WeakMap<Shape, Map<string, Columns>>;
  displaced: Map<string, Slot<Displaced>>;
  /** What stays of that while others move past. */
  lasting: Map<string, Slot<Lasting>>;
  areas: Map<string, Slot<unknown>>;
  /** While an edge of the vessel is dragged: what pieces displace is taken over though the floor changes. */
  rough: boolean;
  slot<T>(slots: Map<string, Slot<T>>, id: string): Slot<T>;
}

export function newMemo(rough = false): SurveyMemo {
  return {
    rough,
    field: {},
    layers: {},
    fixed: {},
    open: {},
    wet: {},
    columns: new WeakMap(),
    displaced: new Map(),
    lasting: new Map(),
    areas: new Map(),
    slot(slots, id) {
      const slot = slots.get(id) ?? {};
      slots.set(id, slot);
      return slot;
    },
  };
}

/** Where a piece and others stand, and what they are, as part of a key: compared figure by figure, nothing written out. */
export function placesOf(own: Standing, others: readonly Standing[]): unknown[] {
  const key: unknown[] = [own.columns, own.xMm, own.yMm, own.zMm];
  for (const s of others) key.push(s.columns, s.xMm, s.yMm, s.zMm);
  return key;
}

/** The slot's value when it was made from the same key, otherwise a new one, which it then keeps. */
export function remembered<T>(slot: Slot<T>, key: readonly unknown[], make: () => T): T {
  const same = slot.key?.length === key.length && slot.key.every((k, i) => Object.is(k, key[i]));
  if (!same) {
    slot.value = make();
    slot.key = key;
  }
  return slot.value as T;
}
