import fc from 'fast-check';
import { DOSING_SCHOOLS, MOISTURE_SCHOOLS, PLANTING_SCHOOLS, GEAR_SCHOOLS,
  SAND_SCHOOLS, SPACING_SCHOOLS, WATER_SCHOOLS } from '../commission/briefSchema'; // prettier-ignore
import { CO2_PARTS } from '../commission/co2Parts';
import { dayPlus } from '../calendar/day';
import { parseCommission } from '../commission/parse';
import type { Commission } from '../commission/schema';
import { scape } from './scape';
import { faultLine } from '../commission/faultLine';

/*
 * Any job of the trade: schools, origins, states, stages, gear, animals, from nothing or in a tank that runs. In a tank of
 * 600 × 360 × 400 mm, so that many can be planned in one run.
 */

const maybe = <T>(a: fc.Arbitrary<T>) => fc.option(a, { nil: undefined, freq: 2 });
const origin = maybe(fc.constantFrom('bought', 'stock', 'client', 'here'));
/** Most of it on the day. */
const later = maybe(maybe(fc.constantFrom(7, 21, 28, 40)));
const PLANTS = ['grass', 'fern', 'crypt', 'stems', 'moss', 'float', 'cypress'] as const;

/** What every supplier asks to bring it: nothing from a sum on. */
const CARRIAGE = [{ fromMinor: 0, minor: 750 }, { fromMinor: 10_000, minor: 0 }]; // prettier-ignore

const PLANT_ENTRIES = [
  { id: 'crypt', name: 'Cryptocoryne wendtii', roots: 'bed', minBedMm: 50, habit: 'rosette', emersedLeaves: 'melt', packs: [pack('pot', 3)] }, // prettier-ignore
  { id: 'stems', name: 'Rotala rotundifolia', roots: 'bed', minBedMm: 50, habit: 'stem', firstTrimDays: 21, trimEveryDays: 14, packs: [pack('bunch', 6)] }, // prettier-ignore
  { id: 'moss', name: 'Taxiphyllum barbieri', roots: 'epiphyte', habit: 'moss', packs: [pack('box', 6)] },
  { id: 'float', name: 'Salvinia natans', roots: 'float', habit: 'float', packs: [pack('portion', 10)] },
  { id: 'cypress', name: 'Helanthium tenellum', roots: 'bed', habit: 'grass', packs: [pack('pot', 8)] },
];
function pack(name: string, size: number) {
  return { id: `${name}-${size}`, name, size, unit: 'plug', priceMinor: 550, supplier: 'grower', leadDays: 5, keepsDays: 14 }; // prettier-ignore
}
const SMALL_THINGS = [
  { id: 'food', kind: 'plant-food', name: 'Plant food', dosePer100L: 10, packs: [{ id: 'food-250', size: 250, unit: 'mL', priceMinor: 900, supplier: 'yard', leadDays: 4 }] }, // prettier-ignore
  { id: 'cond', kind: 'conditioner', name: 'Conditioner', dosePer100L: 25 },
  { id: 'bac', kind: 'bacteria', name: 'Bacteria', bacteriaPer100L: 10 },
  { id: 'liquid', kind: 'glue', name: 'Liquid glue' },
  { id: 'pot', kind: 'ware', name: 'Clay pot', densityKgPerL: 1.6, packs: [{ id: 'pot-1', size: 1, unit: 'piece', priceMinor: 400, supplier: 'yard', leadDays: 4 }] }, // prettier-ignore
  { id: 'rings', kind: 'equipment', gear: 'media', name: 'Ceramic rings', packs: [{ id: 'rings-1', size: 1, unit: 'piece', priceMinor: 1_200, supplier: 'yard', leadDays: 4 }] }, // prettier-ignore
  { id: 'gravel', kind: 'gravel', name: 'Gravel', bulkKgPerL: 1.5, packs: [{ id: 'gravel-5', size: 5, unit: 'kg', priceMinor: 600, supplier: 'yard', leadDays: 4 }] }, // prettier-ignore
];

/** Out of a scape that is broken down elsewhere, where there is one. */
const out = fc.integer({ min: 0, max: 2 }).map((n) => n === 0);

const pieceOf = fc.record({
  material: fc.constantFrom('granite', 'granite', 'slate', 'slate', 'branch', 'branch', 'pot'),
  x: fc.integer({ min: 100, max: 500 }),
  y: fc.integer({ min: 90, max: 270 }),
  size: fc.integer({ min: 50, max: 130 }),
  stand: fc.constantFrom('bed', 'floor'),
  origin,
  state: maybe(fc.constantFrom('dry', 'soaking', 'sunk', 'living')),
  moved: fc.boolean(),
  out,
});
const plantingOf = fc.record({
  plant: fc.constantFrom(...PLANTS),
  x: fc.integer({ min: 0, max: 400 }),
  y: fc.integer({ min: 0, max: 200 }),
  w: fc.integer({ min: 60, max: 200 }),
  d: fc.integer({ min: 60, max: 150 }),
  spacingMm: maybe(fc.constantFrom(25, 40, 60)),
  count: fc.integer({ min: 1, max: 12 }),
  origin,
  laterDays: later,
  form: maybe(fc.constantFrom('tissue', 'emersed', 'running')),
  packs: maybe(fc.integer({ min: 0, max: 4 })),
  halved: fc.boolean(),
  inWaterMm: maybe(maybe(fc.constantFrom(120, 900))),
  declined: maybe(maybe(fc.constantFrom('algae', 'snails', 'weak'))),
  out,
});
const device = fc.record({
  kind: fc.constantFrom('filter', 'heater', 'lamp', 'timer', 'skimmer', 'media', 'pipes', 'co2', 'test-kit'),
  watts: fc.constantFrom(0, 6, 25, 100),
  litresPerHour: maybe(fc.constantFrom(200, 500)),
  origin,
  late: fc.boolean(),
  part: maybe(fc.constantFrom(...CO2_PARTS, 'set')),
  leaves: maybe(maybe(fc.constantFrom('client', 'waste', 'stock'))),
  out,
});
const schools = fc.record({
  water: maybe(fc.constantFrom(...WATER_SCHOOLS)),
  dosing: maybe(fc.constantFrom(...DOSING_SCHOOLS)),
  moisture: maybe(fc.constantFrom(...MOISTURE_SCHOOLS)),
  planting: maybe(fc.constantFrom(...PLANTING_SCHOOLS)),
  spacing: maybe(fc.constantFrom(...SPACING_SCHOOLS)),
  // More often before the plants: seldom all of it comes together that this is seen by.
  sand: maybe(fc.constantFrom('before', 'before', 'before', ...SAND_SCHOOLS)),
  gear: maybe(fc.constantFrom(...GEAR_SCHOOLS)),
  trial: maybe(fc.boolean()),
});
const rescape = fc.record({
  stays: fc.subarray(['stone', 'wood', 'substrate', 'plants', 'water']),
  filterKept: fc.boolean(),
  animals: maybe(fc.constantFrom('stay', 'tubs', 'elsewhere')),
  drainToMm: maybe(fc.constantFrom(0, 150, 300)),
});
const animal = fc.record({
  species: fc.constantFrom('nematobrycon-palmeri', 'neocaridina-davidi', 'paracheirodon-axelrodi'),
  count: fc.integer({ min: 6, max: 20 }),
  present: fc.boolean(),
  leaves: fc.boolean(),
  laterDays: later,
  out,
});

/** Names by which nothing may be judged: a device called by its work or not is the same device. */
export type Naming = (what: string, i: number) => string;
const PLAIN: Naming = (what, i) => `${what} ${i}`;

const strewnOf = fc.record({
  material: fc.constantFrom('granite', 'gravel', 'sand', 'soil'),
  tenths: fc.integer({ min: 1, max: 30 }),
  byMass: fc.boolean(),
  sizeMm: maybe(fc.constantFrom([10, 30], [20, 60])),
  around: fc.boolean(),
  origin,
});
const pouredWhen = maybe(maybe(fc.constantFrom('around', 'glued')));

/** What a job is drawn from; `jobDocument` makes a document of it. */
export const anyJob = fc.record({
  crew: fc.integer({ min: 1, max: 3 }),
  pace: fc.constantFrom(undefined, undefined, 0.8, 1.5),
  co2: fc.boolean(),
  co2FromDay: maybe(fc.constantFrom(0, 14)),
  schools,
  rescape: maybe(rescape),
  filter: maybe(fc.record({ state: maybe(fc.constantFrom('new', 'seeded', 'mature')), origin })),
  livestock: fc.uniqueArray(animal, { maxLength: 2, selector: (a) => a.species }),
  soilMm: fc.constantFrom(0, 40, 80),
  sandMm: fc.constantFrom(0, 30),
  sandLater: later,
  fillerMm: fc.constantFrom(0, 30),
  loose: fc.boolean(),
  mixed: fc.boolean(),
  clearSand: fc.boolean(),
  soilOrigin: origin,
  poured: fc.record({ filler: pouredWhen, soil: pouredWhen, sand: pouredWhen }),
  also: maybe(maybe(fc.constantFrom('tie', 'fibre-glue'))),
  standsIn: fc.boolean(),
  pieces: fc.array(pieceOf, { maxLength: 4 }),
  strewn: fc.array(strewnOf, { maxLength: 3 }),
  /** Days before the build on which another scape is broken down. */
  brokenDown: maybe(fc.integer({ min: -2, max: 9 })),
  soilOut: out,
  joined: fc.boolean(),
  glue: fc.constantFrom('gel-glue', 'silicone'),
  plantings: fc.array(plantingOf, { maxLength: 5 }),
  devices: fc.array(device, { maxLength: 6 }),
  lamp: fc.integer({ min: 0, max: 9 }).map((n) => n === 0),
});
export type DrawnJob = typeof anyJob extends fc.Arbitrary<infer T> ? T : never;

/** The document of a drawn job, every name in it as `named` has it; throws the faults of one that the format refuses. */
export function jobDocument(job: DrawnJob, named: Naming = PLAIN): Commission {
  const s = structuredClone(scape()) as any;
  const running = job.rescape !== undefined;
  const from = <T extends { out?: boolean }>({ out: isOut, ...thing }: T) => (isOut && job.brokenDown !== undefined ? { ...thing, from: 'scape' } : thing); // prettier-ignore
  const here = <T extends { origin?: string }>(thing: T): T => (running || thing.origin !== 'here' ? thing : { ...thing, origin: 'client' }); // prettier-ignore
  s.catalogue.plants.push(...PLANT_ENTRIES);
  s.catalogue.materials.push(...SMALL_THINGS);
  for (const supplier of s.catalogue.suppliers) supplier.carriage = CARRIAGE;
  for (const [i, p] of s.catalogue.plants.entries()) p.name = named(`plant ${p.id}`, i);
  for (const [i, m] of s.catalogue.materials.entries()) m.name = named(`material ${m.id}`, i);
  const pieces = job.pieces.map(({ x, y, size, stand, moved, ...p }, i) => ({
    ...here(from(p)),
    id: `S-${i}`,
    shape: { kind: 'ellipsoid', sizeMm: [size, size * 0.8, size] },
    at: [x, y],
    turnDeg: 0,
    stand:
      stand === 'bed'
        ? { kind: 'bed', buryMm: 15, ...(job.standsIn && job.soilMm ? { layer: 'soil' } : {}) }
        : { kind: 'floor' },
    ...(moved && running && p.origin === 'here' ? { wasAt: [x > 300 ? 120 : 480, y] } : {}),
  }));
  const [first, second] = pieces;
  // What is joined touches: stone that holds wood down, too.
  if (job.joined && second)
    second.at = [Math.min(520, first.at[0] + first.shape.sizeMm[0] * 0.55), first.at[1]];
  Object.assign(s.options[0], {
    bed: [
      ...(job.fillerMm ? [{ id: 'filler', material: 'scoria', top: { kind: 'level', mm: job.fillerMm }, region: [[80, 150], [520, 150], [520, 320], [80, 320]], poured: job.poured.filler, ...(job.loose ? { bagged: false } : {}) }] : []), // prettier-ignore
      ...(job.soilMm ? [here({ ...from({ out: job.soilOut }), id: 'soil', material: 'soil', top: { kind: 'level', mm: job.fillerMm + job.soilMm }, origin: job.soilOrigin, poured: job.poured.soil })] : []), // prettier-ignore
      ...(job.sandMm ? [{ id: 'sand', material: 'sand', top: { kind: 'level', mm: job.sandMm }, cuts: true, region: [[0, 0], [600, 0], [600, 80], [0, 80]], laterDays: job.sandLater, poured: job.poured.sand, ...(job.mixed ? { mix: [{ material: 'sand', share: 0.6 }, { material: 'gravel', share: 0.4 }] } : {}) }] : []), // prettier-ignore
    ],
    pieces,
    joints: job.joined && first && second ? [{ id: 'J-1', pieces: [first.id, second.id], method: job.glue, ...(job.also ? { also: [job.also] } : {}) }] : [], // prettier-ignore
    strewn: job.strewn.map(({ tenths, byMass, around, ...st }, i) => ({ ...here(st), id: `L-${i}`, ...(byMass ? { massKg: tenths / 10 } : { litres: tenths / 10 }), ...(around && first ? { around: [first.id] } : {}) })), // prettier-ignore
    plants: job.plantings.map(({ x, y: at, w, d, count, spacingMm, halved, ...p }, i) => {
      // Sand that nobody plants in is only looked at.
      const y = job.sandMm && job.clearSand ? Math.max(at, 90) : at;
      const entry = s.catalogue.plants.find((e: any) => e.id === p.plant);
      const counted = entry.roots !== 'bed';
      const on = entry.roots === 'epiphyte' && pieces[0] ? { on: pieces[0].id } : {};
      const region = {
        region: [
          [x, y],
          [x + w, y],
          [x + w, y + d],
          [x, y + d],
        ],
        spacingMm,
      };
      return {
        ...here(from(p)),
        id: `P-${i}`,
        ...(counted ? { count, ...on } : region),
        ...(halved ? { halved } : {}),
      };
    }),
  });
  const devices = job.devices.map(({ late, part, kind, leaves, ...d }, i) => ({
    ...here(from(d)),
    ...(leaves && running && d.origin === 'here' && !d.out ? { leaves } : {}),
    kind,
    id: `D-${i}`,
    name: named(`device ${kind}`, i),
    ...(kind === 'media' ? { material: 'rings' } : {}),
    ...(kind === 'co2' && part ? { part } : {}),
    ...(late ? { arrives: '2027-01-20' } : {}),
  }));
  if (job.lamp) devices.push({ id: 'D-lamp', kind: 'lamp', name: named('device lamp', 9), watts: 40 } as any);
  const result = parseCommission(JSON.parse(JSON.stringify({
    ...s,
    title: named('title', 0),
    brief: {
      ...s.brief,
      crew: job.crew,
      ...(job.pace ? { pace: job.pace } : {}),
      co2: job.co2,
      schools: job.schools,
      rescape: job.rescape,
      filter: job.filter && here(job.filter as object),
      ...(job.brokenDown === undefined ? {} : { brokenDown: [{ id: 'scape', name: named('scape', 0), day: dayPlus(s.brief.buildDay, -job.brokenDown) }] }),
      livestock: job.livestock.map(({ out: isOut, ...a }) => ({ ...from({ ...a, out: isOut && !a.present }), present: running && a.present, leaves: running && a.present && a.leaves })),
      care: job.co2FromDay === undefined ? undefined : { co2FromDay: job.co2FromDay },
    },
    site: { devices, roomC: [18, 25] },
  }))); // prettier-ignore
  if (!result.ok) throw new Error(result.faults.map(faultLine).join('\n'));
  return result.commission;
}
