import { NOMINAL_SHARE } from '../commission/limits';
import type { Finding } from '../words/finding';
import { inDegreesOfHardness, inLitres, inMm } from '../words/measure';
import { PRACTICE, say, type Value } from '../words/text';
import { rounded } from '../units/quantity';
import type { Species } from './species';

/** Animals and how many of them. */
export interface Kept {
  species: Species;
  count: number;
  /** They live in it already: nothing is said of choosing them. */
  isHere?: boolean;
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
  animals: readonly Species[],
  rest: Omit<Finding, 'id' | 'severity' | 'at' | 'source'>,
): Finding {
  return {
    id,
    severity,
    at: { field: 'brief.livestock', animals: animals.map((s) => s.id) },
    source: PRACTICE,
    ...rest,
  };
}

const MEASURES = [
  { key: 'celsius', range: 'tempC', name: say('measure.temperature'), unit: '°C' },
  { key: 'gh', range: 'gh', name: say('measure.gh'), unit: '°d' },
  { key: 'kh', range: 'kh', name: say('measure.kh'), unit: '°d' },
  { key: 'ph', range: 'ph', name: say('measure.ph'), unit: 'pH' },
] as const;
type Unit = (typeof MEASURES)[number]['unit'];

/** A range as it stands in the catalogue, and a figure, in words: `18 to 26 °C`, `pH 6.5`. */
function span([from, to]: Range, unit: Unit): Value {
  if (unit === 'pH') return say('ph.span', { from, to });
  return { value: [from, to], unit, places: 1, between: 'to' };
}
function figure(value: number, unit: Unit): Value {
  if (unit === 'pH') return say('ph.one', { value: rounded(value, 1) });
  return { value, unit, places: 1 };
}

function waterFindings({ species }: Kept, water: Water): Finding[] {
  return MEASURES.flatMap(({ key, range, name, unit }) => {
    const has = water[key];
    const wants = species[range];
    if (has === undefined || (has >= wants[0] - 1e-9 && has <= wants[1] + 1e-9)) return [];
    return [
      finding(`livestock.${key === 'celsius' ? 'temperature' : key}`, 'warn', [species], {
        measured: rounded(has, 1),
        limit: has < wants[0] ? wants[0] : wants[1],
        unit,
        says: say('livestock.water.says', {
          has: figure(has, unit),
          wants: span(wants, unit),
          species: species.name,
        }),
        because: say('livestock.water.because', { measure: name }),
      }),
    ];
  });
}

/** Hardness at which a stone that gives off carbonate ends up, °d, at least (common practice). */
const HARDENED_KH = 6;

function hardenedFindings({ species }: Kept, water: Water): Finding[] {
  if (!water.carbonateStone || species.kh[1] >= HARDENED_KH) return [];
  // A tap that is harder already is not softened by it.
  const reached = Math.max(HARDENED_KH, water.kh ?? 0);
  return [
    finding('livestock.stone', 'warn', [species], {
      measured: rounded(reached, 1),
      limit: species.kh[1],
      unit: '°d',
      says: say('livestock.stone.says', {
        stone: water.carbonateStone,
        reached: inDegreesOfHardness(reached),
        species: species.name,
        most: inDegreesOfHardness(species.kh[1]),
      }),
      because: say('livestock.stone.because'),
    }),
  ];
}

function homeFindings({ species, count, isHere }: Kept, home: Home): Finding[] {
  const found: Finding[] = [];
  if (home.lengthMm < species.leastMm * (1 - NOMINAL_SHARE))
    found.push(
      finding('livestock.room', 'warn', [species], {
        measured: rounded(home.lengthMm, 0),
        limit: species.leastMm,
        unit: 'mm',
        says: say('livestock.room.says', {
          length: inMm(home.lengthMm),
          least: inMm(species.leastMm),
          species: species.name,
        }),
        because: say('livestock.room.because', { grown: inMm(species.adultMm) }),
      }),
    );
  if (count < species.group)
    found.push(
      finding('livestock.group', 'warn', [species], {
        measured: count,
        limit: species.group,
        unit: 'animals',
        says: say('livestock.group.says', { count, species: species.name, group: species.group }),
        because: say(isHere ? 'livestock.group.because.here' : 'livestock.group.because'),
      }),
    );
  if (species.jumps && !home.lid)
    found.push(
      finding('livestock.jumps', 'warn', [species], {
        measured: 0,
        limit: 1,
        unit: 'lids',
        says: say('livestock.jumps.says', { species: species.name }),
        because: say(isHere ? 'livestock.jumps.because.here' : 'livestock.jumps.because'),
      }),
    );
  if (species.digs && home.rooted)
    found.push(
      finding('livestock.digs', 'note', [species], {
        measured: 1,
        limit: 0,
        unit: 'diggers',
        says: say('livestock.digs.says', { species: species.name }),
        because: say(isHere ? 'livestock.digs.because.here' : 'livestock.digs.because'),
      }),
    );
  if (species.eatsPlants && home.softPlants)
    found.push(
      finding('livestock.plants', 'warn', [species], {
        measured: 1,
        limit: 0,
        unit: 'eaters',
        says: say('livestock.plants.says', { species: species.name }),
        because: say(isHere ? 'livestock.plants.because.here' : 'livestock.plants.because'),
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
        finding('livestock.apart', 'warn', [a, b], {
          measured: high[range][0],
          limit: low[range][1],
          unit,
          says: say('livestock.apart.says', {
            high: figure(high[range][0], unit),
            one: high.name,
            low: figure(low[range][1], unit),
            other: low.name,
          }),
          because: say('livestock.apart.because', { measure: name }),
        }),
      ];
    if (range !== 'tempC' || both[1] - both[0] > 1) return [];
    const narrow = { a: span(a.tempC, unit), one: a.name, b: span(b.tempC, unit), other: b.name };
    return [
      finding('livestock.narrow', 'note', [a, b], {
        measured: both[0],
        limit: both[1],
        unit,
        says:
          both[0] === both[1]
            ? say('livestock.narrow.says.one', { ...narrow, both: figure(both[0], unit) })
            : say('livestock.narrow.says', { ...narrow, both: span(both, unit) }),
        because: say('livestock.narrow.because'),
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
      finding('livestock.eaten', 'warn', [eater, prey], {
        measured: eater.adultMm,
        limit: prey.adultMm,
        unit: 'mm',
        says: say('livestock.eaten.says', {
          eater: eater.name,
          eaterMm: inMm(eater.adultMm),
          prey: prey.name,
          preyMm: inMm(prey.adultMm),
        }),
        because: say(shrimps ? 'livestock.eaten.because.shrimps' : 'livestock.eaten.because'),
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
    finding(
      'livestock.crowd',
      'warn',
      kept.map((k) => k.species),
      {
        measured: rounded(mm / 10, 0),
        limit: rounded((MM_PER_L * freeWaterL) / 10, 0),
        unit: 'cm',
        says: say('livestock.crowd.says', { fish: rounded(mm / 10, 0), water: inLitres(freeWaterL, 0) }),
        because: say('livestock.crowd.because'),
      },
    ),
  ];
}

/** Range of a measure that suits all of them, or undefined when there is none. */
export function sharedRange(kept: readonly Kept[], range: 'tempC' | 'gh' | 'kh' | 'ph'): Range | undefined {
  return kept.reduce<Range | undefined>(
    (both, k) => both && overlap(both, k.species[range]),
    [-Infinity, Infinity],
  );
}
