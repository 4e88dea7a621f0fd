import type { Plant } from '../../core/commission/schema';

/*
 * Plants by botanical name with their usual habits (common practice); packs and prices are invented.
 */

type Habit = NonNullable<Plant['habit']>;
type Level = NonNullable<Plant['light']>;
type Growth = NonNullable<Plant['growth']>;

const GREENS: Record<Habit, string> = {
  carpet: '#7fa36f',
  grass: '#8fb07a',
  rosette: '#4f7f6b',
  stem: '#6f9a6a',
  epiphyte: '#3f6b58',
  moss: '#5d8760',
  bulb: '#6a8f5b',
  float: '#94b58c',
  creeper: '#88a868',
  emersed: '#5f8f5a',
};
const PACK: Record<Habit, [string, number, number]> = {
  carpet: ['cup', 8, 6.5],
  grass: ['cup', 8, 6.5],
  rosette: ['pot', 3, 5.5],
  stem: ['bunch', 6, 4.5],
  epiphyte: ['pot', 2, 8.5],
  moss: ['box', 6, 9],
  bulb: ['pot', 2, 7],
  float: ['cup', 10, 4],
  creeper: ['cup', 8, 6.5],
  emersed: ['pot', 2, 7.5],
};

function plant(
  id: string,
  name: string,
  habit: Habit,
  heightMm: [number, number],
  light: Level,
  growth: Growth,
  rest: Partial<Plant> = {},
): Plant {
  const [pack, plugs, price] = PACK[habit];
  const roots = habit === 'epiphyte' || habit === 'moss' ? 'epiphyte' : habit === 'float' ? 'float' : 'bed';
  return {
    id,
    name,
    roots,
    habit,
    heightMm,
    light,
    growth,
    ...(roots === 'bed' ? { minBedMm: 50 } : {}),
    colour: GREENS[habit],
    packs: [
      {
        id: `${id}-${pack}`,
        name: pack,
        size: plugs,
        unit: 'plug',
        priceMinor: price * 100,
        supplier: 'glasshouse-nine',
        leadDays: 5,
        keepsDays: habit === 'carpet' || habit === 'creeper' ? 14 : 5,
      },
    ],
    ...rest,
  };
}

/** Carpets of tiny leaves are split into many small plugs a cup: few, usual, many (common practice). */
const TINY: [number, number, number] = [25, 35, 50];

export const PLANTS: readonly Plant[] = [
  plant('eleocharis-pusilla', 'Eleocharis pusilla', 'carpet', [30, 70], 'medium', 'medium'),
  plant('eleocharis-acicularis', 'Eleocharis acicularis', 'grass', [60, 150], 'medium', 'medium'),
  plant('hemianthus-callitrichoides', 'Hemianthus callitrichoides', 'carpet', [10, 30], 'high', 'medium', {
    needsCo2: true,
    plugsAPack: TINY,
  }),
  plant('glossostigma-elatinoides', 'Glossostigma elatinoides', 'carpet', [15, 30], 'high', 'fast', {
    needsCo2: true,
  }),
  plant('micranthemum-tweediei', 'Micranthemum tweediei', 'carpet', [20, 50], 'medium', 'medium'),
  plant('marsilea-hirsuta', 'Marsilea hirsuta', 'carpet', [20, 60], 'low', 'slow'),
  plant('utricularia-graminifolia', 'Utricularia graminifolia', 'carpet', [20, 60], 'medium', 'slow', {
    needsCo2: true,
    plugsAPack: TINY,
  }),
  plant('lilaeopsis-brasiliensis', 'Lilaeopsis brasiliensis', 'grass', [40, 80], 'medium', 'slow'),
  plant('staurogyne-repens', 'Staurogyne repens', 'creeper', [40, 100], 'medium', 'medium'),
  plant('hydrocotyle-tripartita', 'Hydrocotyle tripartita', 'creeper', [40, 120], 'medium', 'fast'),
  plant('cryptocoryne-wendtii', 'Cryptocoryne wendtii', 'rosette', [100, 250], 'low', 'slow', {
    colour: '#5f7a52',
  }),
  plant('cryptocoryne-parva', 'Cryptocoryne parva', 'rosette', [40, 80], 'medium', 'slow'),
  plant('cryptocoryne-beckettii', 'Cryptocoryne beckettii', 'rosette', [100, 200], 'low', 'medium', {
    colour: '#6d7450',
  }),
  plant('helanthium-tenellum', 'Helanthium tenellum', 'grass', [50, 120], 'medium', 'medium'),
  plant('echinodorus-grisebachii', 'Echinodorus grisebachii', 'rosette', [200, 400], 'low', 'medium'),
  plant('sagittaria-subulata', 'Sagittaria subulata', 'grass', [100, 300], 'low', 'medium'),
  plant('vallisneria-nana', 'Vallisneria nana', 'grass', [150, 500], 'medium', 'fast'),
  plant('rotala-rotundifolia', 'Rotala rotundifolia', 'stem', [150, 400], 'medium', 'fast', {
    colour: '#a9746a',
  }),
  plant('rotala-macrandra', 'Rotala macrandra', 'stem', [150, 400], 'high', 'medium', {
    needsCo2: true,
    colour: '#b2605c',
  }),
  plant('ludwigia-palustris', 'Ludwigia palustris', 'stem', [150, 400], 'medium', 'fast', {
    colour: '#a3705a',
  }),
  plant('hygrophila-polysperma', 'Hygrophila polysperma', 'stem', [150, 400], 'low', 'fast'),
  plant('limnophila-sessiliflora', 'Limnophila sessiliflora', 'stem', [200, 500], 'low', 'fast'),
  plant('pogostemon-erectus', 'Pogostemon erectus', 'stem', [150, 350], 'high', 'medium', { needsCo2: true }),
  plant('myriophyllum-mattogrossense', 'Myriophyllum mattogrossense', 'stem', [200, 500], 'medium', 'fast'),
  plant('anubias-barteri-nana', 'Anubias barteri var. nana', 'epiphyte', [50, 150], 'low', 'slow'),
  plant('microsorum-pteropus', 'Microsorum pteropus', 'epiphyte', [150, 300], 'low', 'slow'),
  plant('bolbitis-heudelotii', 'Bolbitis heudelotii', 'epiphyte', [150, 400], 'low', 'slow'),
  plant('bucephalandra', 'Bucephalandra sp.', 'epiphyte', [40, 120], 'low', 'slow', { colour: '#48635a' }),
  plant('taxiphyllum-barbieri', 'Taxiphyllum barbieri', 'moss', [20, 60], 'low', 'medium'),
  plant('vesicularia-montagnei', 'Vesicularia montagnei', 'moss', [20, 50], 'low', 'slow'),
  plant('phyllanthus-fluitans', 'Phyllanthus fluitans', 'float', [10, 20], 'medium', 'fast'),
];
