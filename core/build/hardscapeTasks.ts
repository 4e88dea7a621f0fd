import type { Joint } from '../commission/schema';
import type { PieceSurvey } from '../survey/pieces';
import { rounded, type Working } from '../units/quantity';
import { CAUTIONS } from './cautions';
import { counted, step, type Job } from './job';
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
      title: `Wash and lay out ${counted(pieces.length, 'piece')}`,
      detail: 'scrubbed, sorted by size, large to small',
      minutes: pieces.length * RATES.washPerPiece,
      people: 1,
      needs: [],
      workings: [step('pieces', pieces.length, 'piece', `${RATES.washPerPiece} min each`)],
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
      title: `${names(floorStones)} on pads on the glass`,
      detail: `${rounded(kg, 1)} kg, never on bare glass`,
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
      title: stones.length === 1 ? `Stone ${stones[0].id}` : `Stones, ${stones.length} pieces`,
      detail: `${rounded(kg, 1)} kg; ${stones[0].id} first, the best face to the viewer`,
      minutes: helped ? minutes * RATES.setWithHelper : minutes,
      ...lifting(stones),
      ...(helped ? { people: 2 as const } : {}),
      needs: ['soil', 'protect', 'filler', 'wash'],
      workings: helped ? [...workings, step('with a helper', RATES.setWithHelper, '×')] : workings,
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
      title: `Wood: ${names(wood)}`,
      detail: `${rounded(kg, 1)} kg, wedged or joined to stone`,
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
      title: `Joints: ${counted(contacts, 'contact')}`,
      detail: [...new Set(today.map((j) => j.method.replace('-', ' and ')))].join(', '),
      minutes: today.reduce((sum, j) => sum + (j.pieces.length - 1) * JOINT_MIN[j.method], 0),
      people: 1,
      needs: ['stones', 'wood', 'floor-stones'],
      ...(cure > 0 ? { cure: { what: 'joints', minutes: cure } } : {}),
      caution: CAUTIONS.glue,
      workings: [step('contacts', contacts, 'contact', 'fibre 4, gel 5, tie 6 min each')],
    },
    {
      id: 'wiggle',
      phase: 'hardscape',
      title: 'Wiggle test',
      detail: 'scrub as when cleaning: nothing may move; hide white glue',
      minutes: RATES.wiggle + today.length * RATES.wigglePerJoint,
      people: 1,
      needs: ['joints'],
      workings: [
        step('as a whole', RATES.wiggle, 'min'),
        step('joints', today.length, 'joint', `${RATES.wigglePerJoint} min each`),
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
      step('pieces', pieces.length, 'piece', `${perPiece} min each`),
      step('mass', kg, 'kg', `${RATES.setPerKg} min a kilogram`),
    ],
  };
}

/** Two people where a piece is heavier than one should lift over a rim, more than people where two should not. */
function lifting(
  pieces: readonly PieceSurvey[],
  caution: string = CAUTIONS.stone,
): Pick<Task, 'people' | 'caution'> {
  const beyond = pieces.filter((p) => p.massKg > 2 * ONE_PERSON_KG);
  const heavy = pieces.filter((p) => p.massKg > ONE_PERSON_KG && !beyond.includes(p));
  const lines = [
    ...(beyond.length > 0 ? [`${masses(beyond)}. ${CAUTIONS.heavy}`] : []),
    ...(heavy.length > 0 ? [`${masses(heavy)}. ${CAUTIONS.lift}`] : []),
    caution,
  ];
  return { people: lines.length > 1 ? 2 : 1, caution: lines.join(' ') };
}

function masses(pieces: readonly PieceSurvey[]): string {
  return pieces.map((p) => `${p.id} ${rounded(p.massKg, 1)} kg`).join(', ');
}

function names(pieces: readonly PieceSurvey[]): string {
  if (pieces.length <= 2) return pieces.map((p) => p.id).join(' and ');
  return `${pieces[0].id} and ${pieces.length - 1} more`;
}
