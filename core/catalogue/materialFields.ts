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

/** Days that a supplier needs where nobody said (common practice). */
const USUAL_LEAD_DAYS = 4;

/** A pack with what is known of it; what is not said is as usual for the kind. */
export function packOfMaterial(
  { id, kind, packs = [] }: Pick<Material, 'id' | 'kind' | 'packs'>,
  said: { size: number; priceMinor: number; supplier: string } & Partial<Pack>,
): Pack {
  const taken = new Set(packs.map((p) => p.id));
  let n = packs.length + 1;
  while (taken.has(`${id}-${n}`.slice(-80))) n++;
  return { id: `${id}-${n}`.slice(-80), unit: soldBy(kind), leadDays: USUAL_LEAD_DAYS, ...said };
}

/** The id under which a new entry is kept: its name in small letters, another where that is taken. */
export function entryId(name: string, taken: ReadonlySet<string>): string {
  const stem =
    name
      .normalize('NFD')
      .replace(/\p{M}/gu, '')
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-|-$/g, '')
      .slice(0, 60) || 'entry';
  let [id, n] = [stem, 2];
  while (taken.has(id)) id = `${stem}-${n++}`;
  return id;
}
