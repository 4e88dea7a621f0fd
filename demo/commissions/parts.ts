import { dayPlus, weekdayOf, type Day } from '../../core/calendar/day';
import { SMALL_KINDS } from '../../core/commission/catalogueSchema';
import type { Catalogue, Commission, Option, Piece } from '../../core/commission/schema';
import { MATERIALS } from '../catalogue/materials';
import { PLANTS } from '../catalogue/plants';
import { suppliersOn } from '../catalogue/suppliers';
import { fromYard } from '../catalogue/yard';

export const STUDIO = { name: 'Fenwick Row Planted Interiors', phone: '01 632 960 114' };

/** The first of a weekday at least so many days from today: demo dates stay in the future. */
export function dayFrom(today: Day, days: number, weekday = 'thu'): Day {
  let day = dayPlus(today, days);
  while (weekdayOf(day) !== weekday) day = dayPlus(day, 1);
  return day;
}

/** A region from its corners as text, mm: `ring('0,0 300,0 300,100 0,100')`. */
export function ring(corners: string): [number, number][] {
  return corners.split(' ').map((corner) => corner.split(',').map(Number) as [number, number]);
}

/** A piece of the yard set in a scape. */
export function set(tag: string, at: [number, number], buryMm: number, rest: Partial<Piece> = {}): Piece {
  const { id, material, shape, massKg } = fromYard(tag);
  return {
    id,
    material,
    shape,
    ...(massKg ? { massKg } : {}),
    at,
    turnDeg: 0,
    stand: { kind: 'bed', buryMm },
    owned: true,
    ...rest,
  };
}

/** The entries that an option uses, and the consumables that may follow. */
export function catalogueFor(options: readonly Option[], today: Day): Catalogue {
  const usedMaterials = new Set(
    options.flatMap((o) => [
      ...o.bed.flatMap((l) => [l.material, ...(l.mix ?? []).map((m) => m.material)]),
      ...o.pieces.map((p) => p.material),
      ...(o.pockets ?? []).map((h) => h.material),
    ]),
  );
  const usedPlants = new Set(options.flatMap((o) => o.plants.map((p) => p.plant)));
  const always: readonly string[] = SMALL_KINDS;
  return {
    materials: MATERIALS.filter((m) => usedMaterials.has(m.id) || always.includes(m.kind)),
    plants: PLANTS.filter((p) => usedPlants.has(p.id)),
    suppliers: suppliersOn(today),
  };
}

/** What every commission of the studio begins with; suppliers ask of it what they ask of the studio, whenever it is built. */
export function commissionOf(
  today: Day,
  rest: Pick<Commission, 'title' | 'brief' | 'vessel' | 'site' | 'options' | 'log' | 'quote'>,
): Commission {
  return {
    format: 'utsuwa.commission',
    version: 1,
    currency: 'GBP',
    studio: STUDIO,
    chosen: rest.options[0].id,
    catalogue: catalogueFor(rest.options, today),
    ...rest,
  };
}
