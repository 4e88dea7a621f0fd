import type { Joint } from '../commission/schema';
import type { PieceSurvey } from '../survey/pieces';
import { inKg } from '../words/measure';
import { say, type Said, type Text } from '../words/text';
import type { Working } from '../words/working';
import { CAUTIONS, together } from './cautions';
import { each, step, type Job } from './job';
import { CURE_MIN, ONE_PERSON_KG, RATES } from './rates';
import type { Task } from './task';

/** Washed before it is set: by whoever has no hands in the tank yet. */
export function washTasks({ stones, floorStones, wood }: Job): Task[] {
  const pieces = [...stones, ...floorStones, ...wood];
  if (pieces.length === 0) return [];
  return [
    {
      id: 'wash',
      phase: 'prepare',
      title: say('wash.title', { count: pieces.length }),
      detail: say('wash.detail'),
      minutes: pieces.length * RATES.washPerPiece,
      people: 1,
      needs: [],
      workings: [step(say('step.pieces'), pieces.length, 'piece', each(RATES.washPerPiece))],
    },
  ];
}

/** Large stones that stand on the glass go in before the soil, on pads. */
export function floorStoneTasks({ floorStones }: Job): Task[] {
  if (floorStones.length === 0) return [];
  const { minutes, kg, workings } = setting(floorStones, RATES.setPerPiece);
  return [
    {
      id: 'floor-stones',
      phase: 'hardscape',
      title: say('floor-stones.title', { pieces: names(floorStones) }),
      detail: say('floor-stones.detail', { mass: inKg(kg) }),
      minutes,
      ...lifting(floorStones),
      needs: ['protect', 'wash'],
      workings,
    },
  ];
}

/** From this many stones on a second person, if there is one, hands and looks from the seat. */
const HELPED_FROM = 4;

export function stoneTasks({ stones, crew }: Job): Task[] {
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
      detail: say('stones.detail', { mass: inKg(kg), piece: stones[0].id }),
      minutes: helped ? minutes * RATES.setWithHelper : minutes,
      ...lifting(stones),
      ...(helped ? { people: 2 as const } : {}),
      needs: ['soil', 'protect', 'filler', 'wash'],
      workings: helped ? [...workings, step(say('step.helper'), RATES.setWithHelper, '×')] : workings,
    },
  ];
}

export function woodTasks({ wood }: Job): Task[] {
  if (wood.length === 0) return [];
  const { minutes, kg, workings } = setting(wood, RATES.setPerWood);
  return [
    {
      id: 'wood',
      phase: 'hardscape',
      title: say('wood.title', { pieces: names(wood) }),
      short: say('wood.short'),
      detail: say('wood.detail', { mass: inKg(kg) }),
      minutes,
      ...lifting(wood, CAUTIONS.wood),
      needs: ['stones', 'floor-stones', 'soil', 'wash'],
      workings,
    },
  ];
}

const JOINT_MIN: Record<Joint['method'], number> = {
  'fibre-glue': RATES.jointFibre,
  'gel-glue': RATES.jointGel,
  tie: RATES.jointTie,
  silicone: 0,
};

/** Joints made on the day, and the wiggle test once they have cured. Silicone was made two days before. */
export function jointTasks({ option }: Job): Task[] {
  const today = option.joints.filter((j) => j.method !== 'silicone');
  if (today.length === 0) return [];
  const contacts = today.reduce((sum, j) => sum + j.pieces.length - 1, 0);
  const cure = Math.max(...today.map((j) => CURE_MIN[j.method]));
  return [
    {
      id: 'joints',
      phase: 'hardscape',
      title: say('joints.title', { count: contacts }),
      short: say('joints.short'),
      detail: methods(today),
      minutes: today.reduce((sum, j) => sum + (j.pieces.length - 1) * JOINT_MIN[j.method], 0),
      people: 1,
      needs: ['stones', 'wood', 'floor-stones'],
      ...(cure > 0 ? { cure: { what: say('joints.cure'), minutes: cure } } : {}),
      caution: CAUTIONS.glue,
      workings: [step(say('contacts'), contacts, 'contact', say('rate.joints'))],
    },
    {
      id: 'wiggle',
      phase: 'hardscape',
      title: say('wiggle.title'),
      detail: say('wiggle.detail'),
      minutes: RATES.wiggle + today.length * RATES.wigglePerJoint,
      people: 1,
      needs: ['joints'],
      workings: [
        step(say('step.whole'), RATES.wiggle, 'min'),
        step(say('step.joints'), today.length, 'joint', each(RATES.wigglePerJoint)),
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

/** Two people where a piece is heavier than one should lift over a rim, more than people where two should not. */
function lifting(
  pieces: readonly PieceSurvey[],
  caution: Text = CAUTIONS.stone,
): Pick<Task, 'people' | 'caution'> {
  const beyond = pieces.filter((p) => p.massKg > 2 * ONE_PERSON_KG);
  const heavy = pieces.filter((p) => p.massKg > ONE_PERSON_KG && !beyond.includes(p));
  const lines = [
    ...(beyond.length > 0 ? [ofPieces(beyond, CAUTIONS.heavy)] : []),
    ...(heavy.length > 0 ? [ofPieces(heavy, CAUTIONS.lift)] : []),
    caution,
  ];
  return { people: lines.length > 1 ? 2 : 1, caution: together(lines) };
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
  return [...new Set(joints.map((j) => j.method))]
    .map((method) => say(`method.${method}`))
    .reduce((one, other) => say('one.other', { one, other }));
}
