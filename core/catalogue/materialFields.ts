import type { Material, Pack } from '../commission/schema';

type Kind = Material['kind'];

/** A figure that a material has, in the document's unit; shares are typed in per cent. */
export interface MaterialFigure {
  key:
    | 'bulkKgPerL'
    | 'densityKgPerL'
    | 'soakedKgPerL'
    | 'soakDays'
    | 'settles'
    | 'reposeDeg'
    | 'pores'
    | 'dosePer100L'
    | 'bacteriaPer100L'
    | 'watts'
    | 'litresPerHour';
  unit: 'kg/L' | '%' | '°' | 'days' | 'mL' | 'W' | 'L an hour';
}

const GRAIN: readonly MaterialFigure[] = [
  { key: 'bulkKgPerL', unit: 'kg/L' },
  { key: 'settles', unit: '%' },
  { key: 'reposeDeg', unit: '°' },
  { key: 'pores', unit: '%' },
];
const DENSITY: MaterialFigure = { key: 'densityKgPerL', unit: 'kg/L' };

const FIGURES: Partial<Record<Kind, readonly MaterialFigure[]>> = {
  soil: GRAIN,
  base: GRAIN,
  sand: GRAIN,
  gravel: GRAIN,
  filler: GRAIN,
  stone: [DENSITY],
  ware: [DENSITY],
  wood: [DENSITY, { key: 'soakedKgPerL', unit: 'kg/L' }, { key: 'soakDays', unit: 'days' }],
  equipment: [
    { key: 'watts', unit: 'W' },
    { key: 'litresPerHour', unit: 'L an hour' },
  ],
  conditioner: [{ key: 'dosePer100L', unit: 'mL' }],
  'plant-food': [{ key: 'dosePer100L', unit: 'mL' }],
  bacteria: [{ key: 'bacteriaPer100L', unit: 'mL' }],
};

/** The figures that a material of a kind has; none where it is bought by what it weighs, holds or counts alone. */
export function figuresOf(kind: Kind): readonly MaterialFigure[] {
  return FIGURES[kind] ?? [];
}

const SOLD_BY: Partial<Record<Kind, Pack['unit']>> = {
  soil: 'L',
  base: 'L',
  filler: 'L',
  sand: 'kg',
  gravel: 'kg',
  stone: 'kg',
  glue: 'g',
  fibre: 'g',
  gypsum: 'g',
  bicarbonate: 'g',
  conditioner: 'mL',
  'plant-food': 'mL',
  bacteria: 'mL',
  tie: 'm',
};

/** What a material of a kind is usually sold by. */
export function soldBy(kind: Kind): Pack['unit'] {
  return SOLD_BY[kind] ?? 'piece';
}
