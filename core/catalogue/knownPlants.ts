import type { Plant } from '../commission/schema';
import { PLANT_ROWS, UNNAMED_ROWS } from './plantRows';

type Habit = NonNullable<Plant['habit']>;

/** What plants of a habit have in common (common practice): colour, soil, plugs of a pack, days to the first trim and between trims. */
interface Common {
  colour: string;
  roots: Plant['roots'];
  minBedMm?: number;
  plugsAPack: [number, number, number];
  firstTrimDays: number;
  trimEveryDays: number;
  emersedLeaves: NonNullable<Plant['emersedLeaves']>;
}
const COMMON: Record<Habit, Common> = {
  carpet: { colour: '#7fa36f', roots: 'bed', minBedMm: 50, plugsAPack: [6, 8, 12], firstTrimDays: 35, trimEveryDays: 28, emersedLeaves: 'change' },
  grass: { colour: '#8fb07a', roots: 'bed', minBedMm: 50, plugsAPack: [5, 8, 12], firstTrimDays: 42, trimEveryDays: 35, emersedLeaves: 'change' },
  creeper: { colour: '#88a868', roots: 'bed', minBedMm: 50, plugsAPack: [5, 8, 12], firstTrimDays: 35, trimEveryDays: 28, emersedLeaves: 'change' },
  rosette: { colour: '#4f7f6b', roots: 'bed', minBedMm: 50, plugsAPack: [2, 3, 5], firstTrimDays: 56, trimEveryDays: 56, emersedLeaves: 'change' },
  stem: { colour: '#6f9a6a', roots: 'bed', minBedMm: 50, plugsAPack: [5, 6, 9], firstTrimDays: 21, trimEveryDays: 14, emersedLeaves: 'change' },
  bulb: { colour: '#6a8f5b', roots: 'bed', minBedMm: 50, plugsAPack: [1, 1, 2], firstTrimDays: 35, trimEveryDays: 28, emersedLeaves: 'stay' },
  epiphyte: { colour: '#3f6b58', roots: 'epiphyte', plugsAPack: [1, 2, 4], firstTrimDays: 84, trimEveryDays: 84, emersedLeaves: 'stay' },
  moss: { colour: '#5d8760', roots: 'epiphyte', plugsAPack: [4, 6, 10], firstTrimDays: 49, trimEveryDays: 42, emersedLeaves: 'stay' },
  float: { colour: '#94b58c', roots: 'float', plugsAPack: [6, 10, 15], firstTrimDays: 14, trimEveryDays: 7, emersedLeaves: 'stay' },
  emersed: { colour: '#5f8f5a', roots: 'epiphyte', plugsAPack: [1, 2, 3], firstTrimDays: 42, trimEveryDays: 42, emersedLeaves: 'stay' },
}; // prettier-ignore

/** Where one is not as its habit: by the beginning of its name (common practice). */
const OWN: readonly [string, Partial<Plant>][] = [
  // Carpets of tiny leaves are split into many small plugs a cup.
  ['Hemianthus', { plugsAPack: [25, 35, 50] }],
  ['Utricularia', { plugsAPack: [25, 35, 50] }],
  ['Glossostigma', { plugsAPack: [15, 25, 40] }],
  ['Elatine', { plugsAPack: [20, 30, 45] }],
  ['Micranthemum tweediei', { plugsAPack: [15, 25, 40] }],
  ['Cryptocoryne', { emersedLeaves: 'melt' }],
  ['Echinodorus', { emersedLeaves: 'melt' }],
  ['Blyxa', { emersedLeaves: 'stay' }],
  ['Rotala rotundifolia', { red: true, colour: '#a9746a' }],
  ['Rotala macrandra', { red: true, colour: '#b2605c' }],
  ['Rotala wallichii', { red: true, colour: '#b07078' }],
  ['Ludwigia', { red: true, colour: '#a3705a' }],
  ['Alternanthera', { red: true, colour: '#94464c' }],
  ['Myriophyllum tuberculatum', { red: true, colour: '#9a5f4c' }],
  ['Ammannia', { red: true, colour: '#b0805c' }],
  ["Echinodorus 'Red'", { red: true, colour: '#84584a' }],
  ['Nymphaea', { red: true, colour: '#8f4f45' }],
  ['Proserpinaca', { red: true, colour: '#a8754f' }],
  ['Bucephalandra', { colour: '#48635a' }],
  ['Cryptocoryne wendtii', { colour: '#5f7a52' }],
  ['Cryptocoryne beckettii', { colour: '#6d7450' }],
  ['Ceratophyllum', { roots: 'float', minBedMm: undefined }],
];

const UNNAMED = plantsIn(UNNAMED_ROWS);
/** Plants that everybody has: about ninety, and those that nobody can name, to be changed and added to by each studio. */
export const KNOWN_PLANTS: readonly Plant[] = [...plantsIn(PLANT_ROWS), ...UNNAMED];
const unnamed = new Set(UNNAMED.map((p) => p.id));
const byId = new Map(KNOWN_PLANTS.map((p) => [p.id, p]));

/** True for what stands for plants that nobody can name: it is drawn and planted, and nobody buys it. */
export function isUnnamed({ id }: Pick<Plant, 'id'>): boolean {
  return unnamed.has(id);
}

/** A plant with what is known of it, or of its habit, filled in where its own entry says nothing. */
export function withKnown(plant: Plant): Plant {
  const known = byId.get(plant.id);
  if (known) return { ...known, ...plant };
  if (!plant.habit) return plant;
  const { firstTrimDays, trimEveryDays, emersedLeaves } = COMMON[plant.habit];
  return { firstTrimDays, trimEveryDays, emersedLeaves, ...plant };
}

function plantsIn(rows: string): Plant[] {
  return rows.trim().split('\n').map(plantOfRow);
}

function plantOfRow(row: string): Plant {
  const [name, habit, height, spread, growth, dli, co2, temp, gh, leaf] = row.split('|');
  const span = (words: string) => words.split('-').map(Number) as [number, number];
  const own = OWN.filter(([begins]) => name.startsWith(begins)).map(([, part]) => part);
  return Object.assign(
    {
      id: plantId(name),
      name,
      habit: habit as Habit,
      heightMm: span(height),
      spreadMm: Number(spread),
      growth: growth as Plant['growth'],
      dli: span(dli),
      light: levelOf(span(dli)[1]),
      ...(co2 === 'needed' ? { needsCo2: true } : co2 === 'helped' ? { helpedByCo2: true } : {}),
      tempC: span(temp),
      gh: span(gh),
      leaf: leaf as Plant['leaf'],
      ...COMMON[habit as Habit],
    },
    ...own,
  ) as Plant;
}

/** `Anubias barteri var. nana` is `anubias-barteri-nana`. */
export function plantId(name: string): string {
  return name
    .toLowerCase()
    .replace(/ var\. | sp\.|'/g, ' ')
    .trim()
    .replace(/[^a-z0-9]+/g, '-');
}

/** Low, medium and high light, by the light of a day with which a plant grows well, mol/m² (common practice). */
function levelOf(goodDli: number): NonNullable<Plant['light']> {
  return goodDli < 2 ? 'low' : goodDli < 3 ? 'medium' : 'high';
}

/** Light of a day for plants of which only a level is known, mol/m²: lives, grows well (common practice). */
const DLI_OF: Record<NonNullable<Plant['light']>, [number, number]> = {
  low: [0.5, 1.4],
  medium: [1.1, 2.4],
  high: [2, 3.6],
};

/** Light of a day with which a plant lives and with which it grows well, mol/m². */
export function dliOf({ dli, light }: Pick<Plant, 'dli' | 'light'>): [number, number] {
  return dli ?? DLI_OF[light ?? 'medium'];
}
