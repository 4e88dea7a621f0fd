import { plantOf } from '../catalogue/entries';
import { materialOf } from '../commission/lookup';
import { layerName } from '../commission/origin';
import type { Commission, Material, Now, Option, Piece, Whereto } from '../commission/schema';
import type { Survey } from '../survey/survey';
import { layerParts, litresOf } from '../survey/poured';
import type { Said } from '../words/text';
import { isInPlace } from './inPlace';

/*
 * What the work is on a tank that stands there: the difference between it and the scape that is to be. Of each of its things
 * so much stays where it is, so much is set again elsewhere, so much leaves; the three together are what is there.
 */

/** A thing of the tank as it is now, and what becomes of it. */
export interface DifferenceLine {
  /** Its id in the tank as it is now, and in which of its lists it stands. */
  id: string;
  of: 'bed' | 'pieces' | 'plants' | 'heaps';
  name: Said;
  kind: Material['kind'] | 'plant';
  unit: 'L' | 'kg' | 'plug';
  /** In that unit; litres of a bed as poured. `stays + moved + left` is `there`. */
  there: number;
  stays: number;
  moved: number;
  left: number;
  /** Where what leaves goes, where that is said. */
  to?: Whereto;
}

export interface Difference {
  lines: DifferenceLine[];
  /** What the scape has of each thing that was there, by list and id in the scape. */
  kept: ReadonlyMap<string, Kept>;
}

/** Litres as poured, kilograms or plugs: what of it was there, and what it takes in all. */
export interface Kept {
  has: number;
  wants: number;
}

/** Less than this has not been taken out or moved. */
const NOTHING = 1e-9;

/**
 * What becomes of everything in the tank as it is now in one option. A layer stays as far as the new one needs it; a piece
 * that stands where and as it stood stays, otherwise it is set again; plants stay where region
 * and piece are the same. What the option has not is left.
 * Valid for surveys of the same document. Leaves out: what breaks or dies on the way.
 * Test: difference.test.ts, "there is what stays, what is moved and what is left, whatever becomes of it".
 */
export function difference(commission: Commission, now: Now, there: Survey, option: Option, then: Survey): Difference {
  const kept = new Map<string, Kept>();
  const to = new Map((option.leaving ?? []).map((l) => [`${l.of} ${l.id}`, l.to]));
  const line = (l: Omit<DifferenceLine, 'left' | 'to'>): DifferenceLine => {
    const left = l.there - l.stays - l.moved;
    const goes = to.get(`${l.of} ${l.id}`);
    return { ...l, left: left > NOTHING ? left : 0, ...(left > NOTHING && goes ? { to: goes } : {}) };
  };
  return {
    lines: [
      ...bedLines(commission, now, there, option, then, kept).map(line),
      ...pieceLines(commission, now, there, option, then, kept).map(line),
      ...plantLines(commission, now, there, option, then, kept).map(line),
      ...heapLines(commission, now, option).map(line),
    ],
    kept,
  };
} // prettier-ignore

type Whole = Omit<DifferenceLine, 'left' | 'to'>;
type Lines = (
  c: Commission,
  now: Now,
  there: Survey,
  option: Option,
  then: Survey,
  kept: Map<string, Kept>,
) => Whole[];

/** Litres as poured. Several layers of the new bed may be of one that is there: the lowest has of it first. */
const bedLines: Lines = (commission, now, there, option, then, kept) =>
  now.bed.map((layer, i) => {
    const of = (l: typeof layer, volumeL: number) => litresOf(layerParts(commission, { ...l, now: undefined, origin: 'bought', presentL: undefined }, volumeL), 'pouredL');
    const whole = of(layer, there.layers[i].volumeL);
    let rest = whole;
    option.bed.forEach((l, k) => {
      if (l.now !== layer.id) return;
      const wants = of(l, then.layers[k].volumeL);
      const has = Math.min(rest, wants);
      kept.set(`bed ${l.id}`, { has, wants });
      rest -= has;
    });
    const { kind } = materialOf(commission, layer.material);
    return { id: layer.id, of: 'bed', name: layerName(commission, layer), kind, unit: 'L', there: whole, stays: whole - rest, moved: 0 };
  }); // prettier-ignore

/** Kilograms of whole pieces: one stays, is set again, or leaves. */
const pieceLines: Lines = (commission, now, there, option, _then, kept) =>
  now.pieces.map((piece, i) => {
    const material = materialOf(commission, piece.material);
    const at = option.pieces.findIndex((p) => p.now === piece.id);
    const kg = there.pieces[i].massKg;
    const isSame = at >= 0 && isInPlace(piece, option.pieces[at]);
    if (at >= 0) kept.set(`pieces ${option.pieces[at].id}`, { has: kg, wants: kg });
    return { id: piece.id, of: 'pieces', name: material.name, kind: material.kind, unit: 'kg', there: kg, stays: isSame ? kg : 0, moved: at >= 0 && !isSame ? kg : 0 };
  }); // prettier-ignore

/** Plugs. Several plantings may be divided from one: the first listed has of it first. */
const plantLines: Lines = (commission, now, there, option, then, kept) =>
  now.plants.map((planting, i) => {
    const whole = there.plantings[i].plugs;
    let [stays, moved] = [0, 0];
    option.plants.forEach((p, k) => {
      if (p.now !== planting.id) return;
      const wants = then.plantings[k].plugs;
      const has = Math.min(whole - stays - moved, wants);
      kept.set(`plants ${p.id}`, { has, wants });
      if (isSamePiece(option.pieces, p.on, planting.on) && JSON.stringify(p.region) === JSON.stringify(planting.region)) stays += has;
      else moved += has;
    });
    return { id: planting.id, of: 'plants', name: plantOf(commission, planting.plant).name, kind: 'plant', unit: 'plug', there: whole, stays, moved };
  }); // prettier-ignore

/** Kilograms that nobody drew: they stay where that is said, and are moved by nobody. */
function heapLines(commission: Commission, now: Now, option: Option): Whole[] {
  const stays = new Set(option.heaps);
  return (now.heaps ?? []).map(({ id, material, massKg }) => {
    const { name, kind } = materialOf(commission, material);
    return { id, of: 'heaps', name, kind, unit: 'kg', there: massKg, stays: stays.has(id) ? massKg : 0, moved: 0 };
  });
} // prettier-ignore

/** Plants on a piece go where it goes, under whatever id it has in the scape; another of its name is another piece. */
function isSamePiece(pieces: readonly Piece[], on: string | undefined, was: string | undefined): boolean {
  return on === undefined
    ? was === undefined
    : pieces.some((p) => p.id === on && p.now !== undefined && p.now === was);
}
