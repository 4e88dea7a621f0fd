import { dayPlus } from '../calendar/day';
import { WHERETO } from '../commission/schema';
import { newDevices, unpackedDevices, type Gear } from '../gear/gear';
import { animalsOf, everythingStays, STAYING_PARTS } from '../commission/usual';
import { takenOut } from '../difference/projected';
import type { DifferenceLine } from '../difference/difference';
import { backDay } from '../regime/back';
import { inKg, inLitres, inMm } from '../words/measure';
import { PRACTICE, say, type Text } from '../words/text';
import { CAUTIONS } from './cautions';
import { liftingOf } from './hardscapeTasks';
import { each, perLitre, step, type Job } from './job';
import { RATES } from './rates';
import type { Step } from './task';
import type { Waiting } from '../visit/waiting';

/** What kinds of work a job has at all: what stays as it is takes none. */
export interface Work {
  /** Gear that is unpacked and put in: all of it, what is new to a tank that runs, its CO2 set alone, or none. */
  gear: 'all' | 'new' | 'gas' | 'none';
  /** Water goes in: the tank was dry, or it was drained. */
  drained: boolean;
  /** Something of the old scape is taken out. */
  stripped: boolean;
  /** Animals wait in tubs, and come back on the day. */
  held: boolean;
}

export function workOf({ commission, fill, waiting }: Job): Work {
  const { rescape } = commission.brief;
  if (!rescape) return { gear: 'all', drained: true, stripped: false, held: false };
  return {
    gear: rescape.filterKept ? newGear(commission) : 'all',
    drained: fill.drainedL > 0.5,
    stripped: !everythingStays({ rescape }),
    held: waiting?.where === 'tubs',
  };
}

/** Devices that are unpacked and put in: where the filter runs on, those that are said to be new to the tank. */
export function freshDevices({ commission }: Job): readonly Gear[] {
  return commission.brief.rescape?.filterKept ? newDevices(commission) : unpackedDevices(commission);
}

/** What comes to a tank whose filter runs on. */
function newGear(commission: Job['commission']): Work['gear'] {
  const devices = newDevices(commission);
  if (!buysGas(commission.brief)) return devices.length > 0 ? 'new' : 'none';
  if (devices.length === 0) return 'gas';
  return devices.some((d) => d.kind === 'co2') ? 'new' : 'all';
}

/** A CO2 set that is bought for a running tank has to be put together like any other. */
function buysGas({ co2, co2CostMinor }: Job['commission']['brief']): boolean {
  return co2 && co2CostMinor !== undefined;
}

/** What a running tank adds: what becomes of its animals, water down, what goes taken out. */
export function strippingTasks(job: Job): Step[] {
  if (!job.commission.brief.rescape) return [];
  const work = workOf(job);
  return [
    ...leavingTasks(job),
    ...(job.waiting ? [holding(job, job.waiting)] : []),
    ...oldGearTasks(job),
    ...(work.drained ? [drain(job)] : []),
    ...liftTasks(job),
    ...(work.stripped ? [strip(job)] : []),
  ];
}

/** Animals that go elsewhere for good, caught while the water is high and clear. */
function leavingTasks({ commission, size }: Job): Step[] {
  const { leaving } = animalsOf(commission.brief);
  const count = leaving.reduce((sum, s) => sum + s.count, 0);
  if (count === 0) return [];
  const named = leaving.map((s) => say('leaving.some', { count: s.count, animal: commission.animals.get(s.species)?.name ?? s.species })); // prettier-ignore
  return [
    {
      id: 'leaving',
      phase: 'prepare',
      title: say('leaving.title', { count }),
      short: say('leaving.short'),
      detail: say('leaving.detail', { animals: named }),
      minutes: RATES.leaving * size + count * RATES.perAnimal,
      people: 1,
      caution: CAUTIONS.welfare,
      workings: [
        step(say('step.animals'), count, 'animal'),
        step(say('step.each'), RATES.perAnimal, 'min', PRACTICE),
      ],
    },
  ];
}

/** Animals caught into tubs or carried away before anything is stirred, or watched over where they stay in what is left. */
function holding({ commission, size }: Job, waiting: Waiting): Step {
  const { animals, where } = waiting;
  const stays = where === 'stay';
  const minutes = RATES.holding * size + (stays ? 0 : animals * RATES.perAnimal);
  return {
    id: 'holding',
    phase: 'prepare',
    title: awayWords(commission, waiting),
    short: say(`holding.${where}.short`),
    detail: holdingWords(commission, waiting),
    minutes,
    people: 1,
    caution: CAUTIONS.welfare,
    workings: stays
      ? [step(say('step.whole'), minutes, 'min', PRACTICE)]
      : [
          step(say('step.animals'), animals, 'animal'),
          step(say('step.each'), RATES.perAnimal, 'min', PRACTICE),
        ],
  };
}

/** Where they wait; what goes elsewhere comes back when the readings of the new water have been good. */
function awayWords(commission: Job['commission'], { where, animals: count }: Waiting): Text {
  if (where !== 'elsewhere') return say(`holding.${where}.title`, { count });
  const day = dayPlus(commission.brief.buildDay, backDay());
  return say('holding.elsewhere.title', { count, day: { day } });
}

function holdingWords({ brief }: Job['commission'], { where, litres, tubs, tubL, hasHeater }: Waiting): Text {
  const filter = say(filterWords(brief));
  if (where === 'elsewhere') return say('holding.elsewhere.detail');
  if (where === 'stay') return stayWords(litres, hasHeater);
  const values = { litres: inLitres(litres, 0), count: tubs, tub: inLitres(tubL, 0), filter };
  return say(hasHeater ? 'holding.tubs.detail.heated' : 'holding.tubs.detail', values);
}

/** What the animals' water is moved by, and what was said of the media that day. */
function filterWords({
  rescape,
}: Job['commission']['brief']):
  | 'holding.air'
  | 'holding.filter'
  | 'holding.filter.rinsed'
  | 'holding.filter.tap' {
  if (!rescape?.filterKept) return 'holding.air';
  if (!rescape.filterCleaned) return 'holding.filter';
  return rescape.filterRinsed === 'tank-water' ? 'holding.filter.rinsed' : 'holding.filter.tap';
}

/** What is done for animals in what is left of the water; a tank that is drained dry leaves them none. */
function stayWords(litres: number, hasHeater: boolean): Text {
  if (litres < 0.5) return say('holding.stay.dry');
  return say(hasHeater ? 'holding.stay.detail.heater' : 'holding.stay.detail', {
    litres: inLitres(litres, 0),
  });
}

/** Gear that ran the tank and does not run the new one: off and out while the water still stands over it. */
function oldGearTasks({ commission }: Job): Step[] {
  const devices = commission.leavingGear;
  if (devices.length === 0) return [];
  return [
    {
      id: 'old-gear',
      phase: 'prepare',
      title: say('oldGear.title', { count: devices.length }),
      short: say('oldGear.short'),
      detail: say(devices.some((d) => d.kind === 'heater') ? 'oldGear.detail.heater' : 'oldGear.detail', {
        devices: devices.map(({ name, device: { leaves } }) => say('oldGear.one', { device: name, to: say(`oldGear.to.${leaves!}`) })),
      }),
      minutes: devices.length * RATES.oldDevice,
      people: 1,
      caution: CAUTIONS.strip,
      workings: [step(say('step.devices'), devices.length, 'piece', each(RATES.oldDevice))],
    },
  ];
} // prettier-ignore

/** Water down to a height; what is kept of it into tubs. */
function drain({ fill, kept, size }: Job): Step {
  const { drainedL, drainToMm, tubL } = fill;
  const { litres: keptL, tubs } = kept;
  const values = { height: inMm(drainToMm), litres: inLitres(keptL, 0), count: tubs, tub: inLitres(tubL, 0) };
  return {
    id: 'drain',
    phase: 'prepare',
    title: say('drain.title', { litres: inLitres(drainedL, 0) }),
    short: say('drain.short'),
    detail: drainWords(keptL > 0.05, drainToMm > 0, values),
    minutes: RATES.drain * size + drainedL * RATES.stripPerL,
    people: 1,
    caution: CAUTIONS.strip,
    workings: [
      step(say('step.old'), drainedL, 'L'),
      ...(keptL > 0.05 ? [step(say('step.kept'), keptL, 'L')] : []),
      step(say('step.each.litre'), RATES.stripPerL, 'min', PRACTICE),
    ],
  };
}

type DrainValues = Record<'height' | 'litres' | 'tub', ReturnType<typeof inMm>> & { count: number };

function drainWords(kept: boolean, partly: boolean, values: DrainValues): Text {
  if (partly) return kept ? say('drain.detail.partly.kept', values) : say('drain.detail.partly', values);
  return kept ? say('drain.detail.kept', values) : say('drain.detail');
}

/** What is set again out of a bed that goes: stones, wood and plants into tubs before anything is siphoned. */
function liftTasks({ commission, lifted, size }: Job): Step[] {
  const plants = commission.before?.difference.lines.filter((l) => l.of === 'plants' && l.moved > 0) ?? [];
  if (lifted.length + plants.length === 0) return [];
  const plugs = plants.reduce((sum, l) => sum + l.moved, 0);
  const mass = inKg(lifted.reduce((sum, p) => sum + p.massKg, 0));
  const things = [
    ...(lifted.length > 0 ? [say('lift.pieces', { pieces: lifted.map((p) => p.id), mass })] : []),
    ...plants.map((l) => say('lift.plants', { count: l.moved, plant: l.name })),
  ];
  return [
    {
      id: 'lift',
      phase: 'prepare',
      title: say('lift.title'),
      short: say('lift.short'),
      detail: say('lift.detail', { things }),
      minutes: RATES.lift * size + lifted.length * RATES.liftPiece + plugs * RATES.liftPlug,
      ...(lifted.length > 0 ? liftingOf(lifted) : { people: 1 }),
      workings: [
        step(say('step.whole'), RATES.lift * size, 'min', PRACTICE),
        ...(lifted.length > 0 ? [step(say('step.pieces'), lifted.length, 'piece', each(RATES.liftPiece))] : []),
        ...(plugs > 0 ? [step(say('step.plugs'), plugs, 'plug', each(RATES.liftPlug))] : []),
      ],
    },
  ];
} // prettier-ignore

/** The old scape, or what of it goes. */
function strip({ commission, survey, size }: Job): Step {
  const { before, brief } = commission;
  const { stays } = brief.rescape!;
  const parts = STAYING_PARTS.filter((p) => stays.includes(p));
  const goes = STAYING_PARTS.filter((p) => !stays.includes(p));
  const usual = RATES.strip * size * (goes.length / STAYING_PARTS.length);
  const drawn = before && takenOut(before);
  // Of what nobody drew it is only known that it goes.
  const out = drawn && drawn.length > 0 ? drawn : undefined;
  // The old bed is taken to have been as much as the new one where nobody drew it.
  const oldL = drawn?.some((l) => l.of === 'bed') ? drawn.reduce((sum, l) => sum + (l.of === 'bed' ? l.left : 0), 0) : survey.bedL; // prettier-ignore
  const bedL = goes.includes('substrate') ? oldL : 0;
  const minutes = usual + bedL * RATES.siphonBedPerL;
  const kept = parts.map((p) => say(`stays.${p}`));
  return {
    id: 'strip',
    phase: 'prepare',
    title: parts.length > 0 ? say('strip.title.parts', { goes: goes.map((p) => say(`stays.${p}`)) }) : say('strip.title'), // prettier-ignore
    detail: out ? say('strip.detail.things', { things: outWords(out) }) : kept.length > 0 ? say('strip.detail.kept', { stays: kept }) : say('strip.detail'), // prettier-ignore
    minutes,
    people: 1,
    caution: CAUTIONS.strip,
    workings: [
      step(say('step.whole'), usual, 'min', PRACTICE),
      ...(bedL > 0 ? [step(say('step.old.bed'), bedL, 'L', perLitre(RATES.siphonBedPerL))] : []),
    ],
  };
} // prettier-ignore

/** What is taken out, by where it goes: “to the studio’s stock: L-1, L-2 (0.4 kg); thrown away: 23.5 L of sand”. */
function outWords(out: readonly DifferenceLine[]): Text {
  const ways = [...WHERETO, 'open' as const].map((to) => ({ to, lines: out.filter((l) => (l.to ?? 'open') === to) }));
  const said = ways.flatMap(({ to, lines }) =>
    lines.length > 0 ? [say('strip.out.to', { to: say(`whereto.${to}`), things: thingsOf(lines) })] : [],
  );
  return said.reduce((one, other) => say('strip.out.and', { one, other }));
} // prettier-ignore

function thingsOf(lines: readonly DifferenceLine[]): Text[] {
  const pieces = lines.filter((l) => l.of === 'pieces');
  const mass = inKg(pieces.reduce((sum, l) => sum + l.left, 0));
  return [
    ...(pieces.length > 0 ? [say('lift.pieces', { pieces: pieces.map((l) => l.id), mass })] : []),
    ...lines.flatMap(({ of, name, left }) => {
      if (of === 'heaps') return [say('strip.out.heap', { mass: inKg(left), name })];
      if (of === 'bed') return [say('strip.out.bed', { litres: inLitres(left), name })];
      return of === 'plants' ? [say('lift.plants', { count: left, plant: name })] : [];
    }),
  ];
}

/** Animals back once the filter runs and the temperature matches. */
export function returningTasks(job: Job): Step[] {
  if (!workOf(job).held) return [];
  const minutes = RATES.holding * job.size;
  return [
    {
      id: 'return',
      phase: 'finish',
      title: say('return.title'),
      short: say('return.short'),
      detail: say(job.commission.brief.rescape?.inKept ? 'return.detail.kept' : 'return.detail'),
      minutes,
      people: 1,
      caution: CAUTIONS.ammonia,
      workings: [step(say('step.whole'), minutes, 'min', PRACTICE)],
    },
  ];
}
