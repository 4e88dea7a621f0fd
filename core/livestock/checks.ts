import type { Finding } from '../units/finding';
import { rounded } from '../units/quantity';
import type { Species } from './species';

/** Animals and how many of them. */
export interface Kept {
  species: Species;
  count: number;
}

/** What they are held against; a figure that is not known is not judged. */
export interface Water {
  celsius?: number;
  /** What it was set from: the water recipe's target, or the plants. */
  gh?: number;
  kh?: number;
  ph?: number;
  /** Stone that hardens the water, by name. */
  carbonateStone?: string;
  /** Active soil, which softens it. */
  activeSoil?: string;
}

export interface Home {
  lengthMm: number;
  freeWaterL: number;
  lid: boolean;
  /** A carpet or other plants rooted in the bed. */
  rooted: boolean;
  softPlants: boolean;
}

type Range = readonly [number, number];
const SOURCE = 'common practice';

/** Range that both have, or undefined. */
export function overlap(a: Range, b: Range): Range | undefined {
  const both: Range = [Math.max(a[0], b[0]), Math.min(a[1], b[1])];
  return both[0] <= both[1] ? both : undefined;
}

/** Every conflict of animals with water, vessel, plants and each other, with both values. */
export function livestockFindings(kept: readonly Kept[], water: Water, home: Home): Finding[] {
  return [
    ...kept.flatMap((k) => [
      ...waterFindings(k, water),
      ...hardenedFindings(k, water),
      ...homeFindings(k, home),
    ]),
    ...pairFindings(kept),
    ...crowdFindings(kept, home),
  ];
}

function finding(
  id: Finding['id'],
  severity: Finding['severity'],
  rest: Omit<Finding, 'id' | 'severity' | 'at' | 'source'>,
): Finding {
  return { id, severity, at: { field: 'brief.livestock' }, source: SOURCE, ...rest };
}

const MEASURES = [
  { key: 'celsius', range: 'tempC', name: 'temperature', unit: '°C' },
  { key: 'gh', range: 'gh', name: 'GH', unit: '°d' },
  { key: 'kh', range: 'kh', name: 'KH', unit: '°d' },
  { key: 'ph', range: 'ph', name: 'pH', unit: 'pH' },
] as const;

const span = ([a, b]: Range, unit: string) => (unit === 'pH' ? `pH ${a} to ${b}` : `${a} to ${b} ${unit}`);
const figure = (v: number, unit: string) =>
  unit === 'pH' ? `pH ${rounded(v, 1)}` : `${rounded(v, 1)} ${unit}`;

function waterFindings({ species }: Kept, water: Water): Finding[] {
  return MEASURES.flatMap(({ key, range, name, unit }) => {
    const has = water[key];
    const wants = species[range];
    if (has === undefined || (has >= wants[0] - 1e-9 && has <= wants[1] + 1e-9)) return [];
    return [
      finding(`livestock.${key === 'celsius' ? 'temperature' : key}`, 'warn', {
        measured: rounded(has, 1),
        limit: has < wants[0] ? wants[0] : wants[1],
        unit,
        says: `${figure(has, unit)} for the tank, ${span(wants, unit)} for ${species.name}.`,
        because: `Its ${name} lies outside. Choose another animal, or plan the water for this one.`,
      }),
    ];
  });
}

/** Hardness at which a stone that gives off carbonate ends up, °d, at least (common practice). */
const HARDENED_KH = 6;

function hardenedFindings({ species }: Kept, water: Water): Finding[] {
  if (!water.carbonateStone || species.kh[1] >= HARDENED_KH) return [];
  return [
    finding('livestock.stone', 'warn', {
      measured: HARDENED_KH,
      limit: species.kh[1],
      unit: '°d',
      says: `${water.carbonateStone} hardens the water to KH ${HARDENED_KH} °d and more; ${species.name} wants ${species.kh[1]} °d at most.`,
      because: 'Use an inert stone, or animals that like it hard. Changes with soft water only put it off.',
    }),
  ];
}

function homeFindings({ species, count }: Kept, home: Home): Finding[] {
  const found: Finding[] = [];
  if (home.lengthMm < species.leastMm)
    found.push(
      finding('livestock.room', 'warn', {
        measured: rounded(home.lengthMm, 0),
        limit: species.leastMm,
        unit: 'mm',
        says: `${rounded(home.lengthMm, 0)} mm of tank, ${species.leastMm} mm for ${species.name}.`,
        because: `It grows to ${species.adultMm} mm and needs the length to swim.`,
      }),
    );
  if (count < species.group)
    found.push(
      finding('livestock.group', 'warn', {
        measured: count,
        limit: species.group,
        unit: 'animals',
        says: `${count} ${species.name}, ${species.group} are the fewest kept together.`,
        because: 'Alone they hide, pale and pine. Take more of them, or fewer kinds.',
      }),
    );
  if (species.jumps && !home.lid)
    found.push(
      finding('livestock.jumps', 'warn', {
        measured: 0,
        limit: 1,
        unit: 'lids',
        says: `${species.name} jumps, and the tank is open.`,
        because: 'Plan a lid or a net, a lower water line, or another animal.',
      }),
    );
  if (species.digs && home.rooted)
    found.push(
      finding('livestock.digs', 'note', {
        measured: 1,
        limit: 0,
        unit: 'diggers',
        says: `${species.name} digs, and plants root in the bed.`,
        because: 'Fresh plugs are pulled up for a week or more: stock it once they hold.',
      }),
    );
  if (species.eatsPlants && home.softPlants)
    found.push(
      finding('livestock.plants', 'warn', {
        measured: 1,
        limit: 0,
        unit: 'eaters',
        says: `${species.name} eats or rasps soft plants.`,
        because: 'Moss, carpets and fine stems suffer. Use tough leaves, or another animal.',
      }),
    );
  return found;
}

function pairFindings(kept: readonly Kept[]): Finding[] {
  return kept.flatMap((a, i) =>
    kept.slice(i + 1).flatMap((b) => [...apart(a.species, b.species), ...eaten(a.species, b.species)]),
  );
}

/** Nearest figures of two ranges that do not meet, or the one narrow band in which they do. */
function apart(a: Species, b: Species): Finding[] {
  return MEASURES.flatMap(({ range, name, unit }) => {
    const both = overlap(a[range], b[range]);
    const [low, high] = a[range][1] <= b[range][1] ? [a, b] : [b, a];
    if (both === undefined)
      return [
        finding('livestock.apart', 'warn', {
          measured: high[range][0],
          limit: low[range][1],
          unit,
          says: `${figure(high[range][0], unit)} for ${high.name}, ${figure(low[range][1], unit)} for ${low.name}: they do not meet.`,
          because: `No ${name} suits both. Choose one of them.`,
        }),
      ];
    if (range !== 'tempC' || both[1] - both[0] > 1) return [];
    const only = both[0] === both[1] ? `${both[0]} °C is` : `${both[0]} to ${both[1]} °C are`;
    return [
      finding('livestock.narrow', 'note', {
        measured: both[0],
        limit: both[1],
        unit,
        says: `${span(a.tempC, unit)} for ${a.name}, ${span(b.tempC, unit)} for ${b.name}: ${only} the only overlap.`,
        because: 'A heater and a warm summer leave that band easily. Choose kinds that share more.',
      }),
    ];
  });
}

/** A fish takes what is a third of its length or less, whatever its habits (common practice). */
const MOUTHFUL = 0.33;

function eaten(a: Species, b: Species): Finding[] {
  const pairs: [Species, Species][] = [
    [a, b],
    [b, a],
  ];
  return pairs.flatMap(([eater, prey]) => {
    const shrimps = eater.eatsShrimps && prey.kind === 'shrimp';
    const small = eater.kind === 'fish' && prey.kind === 'fish' && eater.eatsShrimps && prey.adultMm <= MOUTHFUL * eater.adultMm; // prettier-ignore
    if (!shrimps && !small) return [];
    return [
      finding('livestock.eaten', 'warn', {
        measured: eater.adultMm,
        limit: prey.adultMm,
        unit: 'mm',
        says: `${eater.name} (${eater.adultMm} mm) eats ${prey.name} (${prey.adultMm} mm).`,
        because: shrimps
          ? 'Young shrimps first, then the rest. Choose one of them.'
          : 'It fits its mouth when grown. Choose one of them.',
      }),
    ];
  });
}

/** Adult length of fish for each litre of free water, mm (common practice: one centimetre a litre). */
const MM_PER_L = 10;

/** Length of all fish when grown, end to end, mm: eight of 60 mm are 480. Shrimps and snails have none. */
export function grownFishMm(kept: readonly Kept[]): number {
  return kept
    .filter((k) => k.species.kind === 'fish')
    .reduce((sum, k) => sum + k.count * k.species.adultMm, 0);
}

function crowdFindings(kept: readonly Kept[], { freeWaterL }: Home): Finding[] {
  const mm = grownFishMm(kept);
  if (mm <= MM_PER_L * freeWaterL) return [];
  return [
    finding('livestock.crowd', 'warn', {
      measured: rounded(mm / 10, 0),
      limit: rounded((MM_PER_L * freeWaterL) / 10, 0),
      unit: 'cm',
      says: `${rounded(mm / 10, 0)} cm of grown fish in ${rounded(freeWaterL, 0)} L of free water.`,
      because: 'One centimetre a litre is the usual most: fewer fish, or more water and more changes.',
    }),
  ];
}

/** Range of a measure that suits all of them, or undefined when there is none. */
export function sharedRange(kept: readonly Kept[], range: 'tempC' | 'gh' | 'kh' | 'ph'): Range | undefined {
  return kept.reduce<Range | undefined>(
    (both, k) => both && overlap(both, k.species[range]),
    [-Infinity, Infinity],
  );
}
