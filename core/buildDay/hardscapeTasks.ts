import type { Joint } from '../commission/schema';
import { cureMin, HOLD_MIN, meansOf } from '../hardscape/joining';
import { peopleFor } from '../site/lifting';
import { buildingOf } from '../sittings/sittings';
import type { PieceSurvey } from '../survey/pieces';
import { inKg, type Measure } from '../words/measure';
import { say, type Said, type Text } from '../words/text';
import type { Working } from '../words/working';
import { CAUTIONS, together } from './cautions';
import { contactsOf } from '../takeoff/gluing';
import { each, LONG_CURE_MIN, setOf, step, type Job } from './job';
import { ONE_PERSON_KG, RATES } from './rates';
import type { Step } from './task';

/** Washed before it is set: by whoever has no hands in the tank yet. */
export function washTasks({ washed: pieces }: Job): Step[] {
  if (pieces.length === 0) return [];
  return [
    {
      id: 'wash',
      phase: 'prepare',
      title: say('wash.title', { count: pieces.length }),
      detail: say('wash.detail'),
      minutes: pieces.length * RATES.washPerPiece,
      people: 1,
      workings: [step(say('step.pieces'), pieces.length, 'piece', each(RATES.washPerPiece))],
    },
  ];
}

/** Large stones that stand on the glass go in before the soil, on pads. */
export function floorStoneTasks({ floorStones }: Job): Step[] {
  if (floorStones.length === 0) return [];
  const { minutes, kg, workings } = setting(floorStones, RATES.setPerPiece);
  return [
    {
      id: 'floor-stones',
      phase: 'hardscape',
      title: say('floor-stones.title', { pieces: names(floorStones) }),
      detail: say('floor-stones.detail', { mass: inKg(kg) }),
      minutes,
      ...liftingOf(floorStones),
      workings,
    },
  ];
}

/** From this many stones on a second person, if there is one, hands and looks from the seat. */
const HELPED_FROM = 4;

export function stoneTasks(job: Job): Step[] {
  const { stones, crew } = job;
  if (stones.length === 0) return [];
  const { minutes, kg, workings } = setting(stones, RATES.setPerPiece);
  const helped = crew > 1 && stones.length >= HELPED_FROM;
  return [
    {
      id: 'stones',
      phase: 'hardscape',
      title:
        stones.length === 1
          ? say('stones.title.one', { piece: stones[0].id })
          : say('stones.title', { count: stones.length }),
      ...(stones.length > 1 ? { short: say('stones.short') } : {}),
      detail: wetWords(job, stones, firstOf(stones, inKg(kg))),
      minutes: helped ? minutes * RATES.setWithHelper : minutes,
      ...liftingOf(stones),
      ...(helped ? { people: Math.max(2, liftingOf(stones).people) } : {}),
      workings: helped ? [...workings, step(say('step.helper'), RATES.setWithHelper, '×')] : workings,
    },
  ];
}

/** Pots and trays in the bed: neither chosen for a face nor joined. */
export function wareTasks({ ware }: Job): Step[] {
  if (ware.length === 0) return [];
  const { minutes, kg, workings } = setting(ware, RATES.setPerPiece);
  return [
    {
      id: 'ware',
      phase: 'hardscape',
      title: say('ware.title', { pieces: names(ware) }),
      short: say('ware.short'),
      detail: say('ware.detail', { mass: inKg(kg) }),
      minutes,
      ...liftingOf(ware, say('caution.ware')),
      workings,
    },
  ];
}

/** What stays and is to stand elsewhere, under water where there is some. */
export function moveTasks({ moved }: Job): Step[] {
  if (moved.length === 0) return [];
  const { minutes, kg, workings } = setting(moved, RATES.setPerPiece);
  return [
    {
      id: 'move',
      phase: 'hardscape',
      title: say('move.title', { pieces: names(moved) }),
      short: say('move.short'),
      detail: say('move.detail', { mass: inKg(kg) }),
      minutes,
      ...liftingOf(moved),
      workings,
    },
  ];
}

/** A first set-up that is photographed and taken out again, before anything is poured under it. */
export function trialTasks(job: Job): Step[] {
  return isTried(job.commission, 'trial') ? trying(job, 'trial') : [];
}

/** The same on a table of the tank's measure, where nothing is poured and nothing gets wet. */
export function tableTasks(job: Job): Step[] {
  return isTried(job.commission, 'table') ? trying(job, 'table') : [];
}

/** True where what is set is tried before: a sitting is for it, or the school has it so. */
function isTried(commission: Job['commission'], where: 'trial' | 'table'): boolean {
  const sitting = buildingOf(commission).some((s) => s.kind === where);
  return sitting || (where === 'trial' && commission.brief.schools?.trial === true);
}

function trying(job: Job, id: 'trial' | 'table'): Step[] {
  const pieces = setOf(job);
  if (pieces.length === 0) return [];
  const { minutes, workings } = setting(pieces, RATES.setPerPiece);
  return [
    {
      id,
      phase: 'hardscape',
      title: say(`${id}.title`),
      detail: say(`${id}.detail`),
      minutes: minutes * RATES.trial,
      ...liftingOf(pieces),
      workings: [...workings, step(say('step.trial'), RATES.trial, '×')],
    },
  ];
}

/** What was set is gone over once more: as long as was said, otherwise as a trial takes. */
export function composeTasks(job: Job, limitMin: number | undefined): Step[] {
  const [tried] = trying(job, 'trial');
  if (!tried) return [];
  return [
    {
      id: 'compose',
      phase: 'hardscape',
      title: say('compose.title'),
      detail: limitMin === undefined ? say('compose.detail') : say('compose.detail.limit', { minutes: limitMin }),
      minutes: limitMin ?? tried.minutes,
      people: tried.people,
      ...(tried.caution ? { caution: tried.caution } : {}),
      workings: limitMin === undefined ? tried.workings : [step(say('step.limit'), limitMin, 'min')],
    },
  ];
} // prettier-ignore

export function woodTasks(job: Job): Step[] {
  const { wood } = job;
  if (wood.length === 0) return [];
  const { minutes, kg, workings } = setting(wood, RATES.setPerWood);
  return [
    {
      id: 'wood',
      phase: 'hardscape',
      title: say('wood.title', { pieces: names(wood) }),
      short: say('wood.short'),
      detail: wetWords(job, wood, say('wood.detail', { mass: inKg(kg) })),
      minutes,
      ...liftingOf(wood, CAUTIONS.wood),
      workings,
    },
  ];
}

const JOINT_MIN: Record<Joint['method'], number> = {
  'fibre-glue': RATES.jointFibre,
  'gel-glue': RATES.jointGel,
  tie: RATES.jointTie,
  wedge: RATES.jointWedge,
  silicone: RATES.jointSilicone,
  impact: RATES.jointImpact,
};

/** Joints made in the tank, held until they grab. What cures for longer than anybody waits for is left to the next sitting. */
export function jointTasks(job: Job): Step[] {
  return [...joiningTasks(job), ...wiggleTasks(job)];
}

function joiningTasks({ joints, crew }: Job): Step[] {
  if (joints.length === 0) return [];
  const contacts = contactsOf(joints);
  const cure = Math.max(...joints.map(cureMin).filter((min) => min <= LONG_CURE_MIN), 0);
  const held = joints.reduce((sum, j) => sum + (j.pieces.length - 1) * minutesOf(j, HOLD_MIN), 0);
  const means = new Set(joints.flatMap(meansOf));
  const rubber = means.has('silicone') || means.has('impact');
  const instant = means.has('fibre-glue') || means.has('gel-glue');
  const cautions = [...(instant ? [CAUTIONS.glue] : []), ...(rubber ? [CAUTIONS.silicone] : [])];
  return [
    {
      id: 'joints',
      phase: 'hardscape',
      title: say('joints.title', { count: contacts }),
      short: say('joints.short'),
      detail: held > 0 ? say('joints.detail.held', { methods: methods(joints) }) : methods(joints),
      minutes: joints.reduce((sum, j) => sum + (j.pieces.length - 1) * minutesOf(j, JOINT_MIN), 0) + held,
      // One glues, another holds: alone it takes a prop.
      people: held > 0 && crew > 1 ? 2 : 1,
      ...(cure > 0 ? { cure: { what: say('joints.cure'), minutes: cure } } : {}),
      ...(cautions.length > 0 ? { caution: together(cautions) } : {}),
      workings: [
        step(say('contacts'), contacts, 'contact', say('rate.joints')),
        ...(held > 0 ? [step(say('step.held'), held, 'min')] : []),
      ],
    },
  ];
}

/** What one contact takes, by everything that holds it. */
function minutesOf(joint: Joint, each: Record<Joint['method'], number>): number {
  return meansOf(joint).reduce((sum, means) => sum + each[means], 0);
}

/** Nothing may move when it is scrubbed: once it has cured. */
function wiggleTasks({ tested }: Job): Step[] {
  if (tested.length === 0) return [];
  return [
    {
      id: 'wiggle',
      phase: 'hardscape',
      title: say('wiggle.title'),
      detail: say('wiggle.detail'),
      minutes: RATES.wiggle + tested.length * RATES.wigglePerJoint,
      people: 1,
      workings: [
        step(say('step.whole'), RATES.wiggle, 'min'),
        step(say('step.joints'), tested.length, 'joint', each(RATES.wigglePerJoint)),
      ],
    },
  ];
}

function setting(
  pieces: readonly PieceSurvey[],
  perPiece: number,
): { minutes: number; kg: number; workings: Working[] } {
  const kg = pieces.reduce((sum, p) => sum + p.massKg, 0);
  return {
    minutes: pieces.length * perPiece + kg * RATES.setPerKg,
    kg,
    workings: [
      step(say('step.pieces'), pieces.length, 'piece', each(perPiece)),
      step(say('step.mass'), kg, 'kg', say('rate.kg', { minutes: RATES.setPerKg })),
    ],
  };
}

/** Beyond this many hands there is no room around a rim: a hoist is asked for. */
const MOST_HANDS = 4;

/** As many people as share the heaviest piece by the lifting advice, and a hoist where that is more than fit. */
export function liftingOf(
  pieces: readonly PieceSurvey[],
  caution: Text = CAUTIONS.stone,
): Required<Pick<Step, 'people' | 'caution'>> {
  const hands = (p: PieceSurvey) => peopleFor(p.massKg, ONE_PERSON_KG);
  const beyond = pieces.filter((p) => hands(p) > MOST_HANDS);
  const heavy = pieces.filter((p) => hands(p) > 1 && !beyond.includes(p));
  const most = Math.max(1, ...heavy.map(hands));
  const lines = [
    ...(beyond.length > 0 ? [ofPieces(beyond, CAUTIONS.heavy)] : []),
    ...(heavy.length > 0 ? [ofPieces(heavy, say('caution.lift', { people: most }))] : []),
    caution,
  ];
  return { people: beyond.length > 0 ? Math.max(2, most) : most, caution: together(lines) };
}

/** Which stone is set first, where there are several. */
function firstOf(stones: readonly PieceSurvey[], mass: Measure): Text {
  return stones.length === 1
    ? say('stones.detail.one', { mass })
    : say('stones.detail', { mass, piece: stones[0].id });
}

/** What lives on a piece dies on the floor: it waits in tank water until its place is ready. */
function wetWords({ living }: Job, pieces: readonly PieceSurvey[], words: Text): Text {
  const alive = pieces.filter((p) => living.some((l) => l.id === p.id));
  return alive.length > 0 ? say('pieces.wet', { words, pieces: alive.map((p) => p.id) }) : words;
}

function ofPieces(pieces: readonly PieceSurvey[], caution: Text): Text {
  const named = pieces.map((p) => say('caution.piece', { piece: p.id, mass: inKg(p.massKg) }));
  return say('caution.pieces', { pieces: named, caution });
}

function names(pieces: readonly PieceSurvey[]): Said {
  const [first, second] = pieces;
  if (pieces.length > 2) return say('first.and.more', { first: first.id, count: pieces.length - 1 });
  return second ? say('two.and', { a: first.id, b: second.id }) : first.id;
}

/** Each way of joining once; one alone is its own message. */
function methods(joints: readonly Joint[]): Text {
  return [...new Set(joints.flatMap(meansOf))]
    .map((method) => say(`method.${method}`))
    .reduce((one, other) => say('one.other', { one, other }));
}
