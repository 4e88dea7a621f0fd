import { materialOf } from '../commission/lookup';
import type { Material } from '../commission/schema';
import { pouredL } from '../substrate/pour';
import { OFF_GLASS_MM } from '../substrate/filler';
import { inLitres, inMm } from '../words/measure';
import { say, type Said, type Text } from '../words/text';
import type { PieceSurvey } from '../survey/pieces';
import { holdsBedBack } from '../survey/retains';
import { CAUTIONS } from './cautions';
import { each, litresOf, perLitre, step, type Job } from './job';
import { beforeAndAfter, type Pour } from '../takeoff/pours';
import { FIRST_SOIL_SHARE, RATES } from './rates';
import { bedPlantingIds, sandFirst } from './plantTasks';
import type { Task } from './task';

/** Kinds that come with dust and are rinsed. */
const RINSED: Material['kind'][] = ['sand', 'gravel'];

const SET = ['stones', 'wood', 'wiggle', 'floor-stones'];

/** Filler under the hills, before any soil. */
export function fillerTasks({ hills, pours }: Job): Task[] {
  if (hills.length === 0) return [];
  const litres = hills.reduce((sum, h) => sum + h.litres, 0);
  const bags = hills.reduce((sum, h) => sum + h.bags, 0);
  const loose = hills.filter((h) => h.bags === 0).length;
  const words = { litres: inLitres(litres), off: inMm(OFF_GLASS_MM) };
  return [
    {
      id: 'filler',
      phase: 'substrate',
      title: bags > 0 ? say('filler.title', { count: bags }) : say('filler.title.loose', words),
      short: say('filler.short'),
      detail: say(
        loose === 0 ? 'filler.detail' : bags > 0 ? 'filler.detail.both' : 'filler.detail.loose',
        words,
      ),
      minutes: litres * RATES.fillerPerL + bags * RATES.perBag,
      people: 1,
      needs: ['protect', 'move', ...underFiller(pours)],
      workings: [
        step(say('filler'), litres, 'L', perLitre(RATES.fillerPerL)),
        ...(bags > 0 ? [step(say('step.bags'), bags, 'bag', each(RATES.perBag))] : []),
      ],
    },
  ];
}

/** Tasks of the layers that bags of filler lie on. */
function underFiller(pours: readonly Pour[]): string[] {
  const lowest = pours.findIndex((p) => p.role === 'filler');
  return pours.slice(0, lowest).map((p) => p.task);
}

/** Filler, where it lies under a layer. */
function fillerUnder(pours: readonly Pour[], pour: Pour): string[] {
  const lowest = pours.findIndex((p) => p.role === 'filler');
  return lowest >= 0 && lowest < pours.indexOf(pour) ? ['filler'] : [];
}

/** Layers that lie under what is set, from the bottom up: base, a bed of sand, a cap that stones stand on. */
export function bedTasks(job: Job): Task[] {
  const [before, after] = beforeAndAfter(job.pours, hasPieces(job));
  const first = before.map(
    (pour, i) =>
    layerTask(job, pour, ['protect', 'move', ...fillerUnder(job.pours, pour), 'rinse', 'floor-stones', 'dam', ...under(job, pour), ...before.slice(0, i).map((p) => p.task)]), // prettier-ignore
  );
  const last = after.map((pour, i) =>
    layerTask(job, pour, ['gaps', 'soil', 'rinse', ...SET, ...after.slice(0, i).map((p) => p.task)]),
  );
  return [...first, ...last];
}

/** Ids of everything that is poured under something that is set, or that it is planted in, heaps on top too. */
export function bedTaskIds(job: Job): string[] {
  return [...job.pours.filter((p) => p.role !== 'cosmetic').map((p) => p.task), 'pockets'];
}

function hasPieces({ stones, wood, floorStones }: Job): boolean {
  return stones.length + wood.length + floorStones.length > 0;
}

/** The soil waits for the base below it; a layer above the soil waits for the soil. */
function under({ pours }: Job, pour: Pour): string[] {
  const soil = pours.findIndex((p) => p.role === 'soil');
  return soil >= 0 && pours.indexOf(pour) > soil ? ['soil', 'gaps'] : [];
}

/** True where part of the soil is kept back: pieces follow that stand in it and nothing lies over it before them. */
function isSplit(job: Job): boolean {
  const [before] = beforeAndAfter(job.pours, hasPieces(job));
  const soil = job.pours.findIndex((p) => p.role === 'soil');
  return job.stones.length + job.wood.length > 0 && !before.some((p) => job.pours.indexOf(p) > soil);
}

/** The soil before the hardscape: a share of it where pieces follow, otherwise all. */
export function firstSoilTasks(job: Job): Task[] {
  const soil = job.pours.find((p) => p.role === 'soil');
  if (!soil) return [];
  const split = isSplit(job);
  const first = split ? soil.litres * FIRST_SOIL_SHARE : soil.litres;
  const below = job.pours.slice(0, job.pours.indexOf(soil)).filter((p) => p.role === 'bed');
  return [
    {
      id: 'soil',
      phase: 'substrate',
      title: bankTitle(soil, split ? 'first' : 'whole', first),
      short: soil.material.kind === 'soil' ? say('soil.short') : layerName(soil),
      detail: say(job.wet ? 'soil.detail.wet' : 'soil.detail'),
      minutes: first * pouring(job),
      people: 1,
      needs: ['protect', 'move', ...fillerUnder(job.pours, soil), 'rinse', 'floor-stones', 'dam', ...below.map((p) => p.task)], // prettier-ignore
      ...dust(job, soil),
      workings: [step(say('step.poured'), first, 'L', perLitre(pouring(job)))],
    },
  ];
}

/** Stones on the glass that stand side by side hold back what is poured behind them: closed before it is. */
export function damTasks(job: Job): Task[] {
  const holding = job.floorStones.filter((s) => holds(job, s));
  if (holding.length < 2 || job.pours.every((p) => p.role === 'cosmetic')) return [];
  return [flossTask('dam', holding, ['floor-stones'])];
}

/** The gaps between stones that stand in the bed: closed before the soil that lies behind them. */
export function closingGapTasks(job: Job): Task[] {
  const holding = job.stones.filter((s) => holds(job, s));
  if (!soilBehind(job) || holding.length === 0) return [];
  return [flossTask('close', holding, ['stones', 'wood', 'wiggle', 'move', 'dam'])];
}

/** True for a stone that bed stands higher behind than before: nothing runs through beside the others. */
function holds({ survey }: Job, { id }: PieceSurvey): boolean {
  return holdsBedBack(
    survey.field,
    survey.standing.find((s) => s.piece.id === id)!,
  );
}

function flossTask(id: 'dam' | 'close', stones: readonly PieceSurvey[], needs: string[]): Task {
  return {
    id,
    phase: 'hardscape',
    title: say(`${id}.title`, { count: stones.length }),
    short: say(`${id}.short`),
    detail: say(`${id}.detail`),
    minutes: stones.length * RATES.gapPerPiece,
    people: 1,
    needs,
    workings: [step(say('step.gaps'), stones.length, 'stone', each(RATES.gapPerPiece))],
  };
}

/** The soil that is kept back for behind and between what stands; undefined where none is. */
function soilBehind(job: Job): Pour | undefined {
  return isSplit(job) ? job.pours.find((p) => p.role === 'soil') : undefined;
}

/** The rest of the soil, behind and between what stands, once nothing runs through between it. */
export function gapTasks(job: Job): Task[] {
  const soil = soilBehind(job);
  if (!soil) return [];
  const last = soil.litres * (1 - FIRST_SOIL_SHARE);
  return [
    {
      id: 'gaps',
      phase: 'substrate',
      title: bankTitle(soil, 'last', last),
      short: soil.material.kind === 'soil' ? say('gaps.short') : layerName(soil),
      detail: say(job.stones.length > 0 ? 'gaps.detail' : 'gaps.detail.bare'),
      minutes: last * pouring(job),
      people: 1,
      needs: ['soil', 'stones', 'wood', 'wiggle', 'move', 'close'],
      ...dust(job, soil),
      workings: [step(say('step.poured'), last, 'L', perLitre(pouring(job)))],
    },
  ];
}

/** Heaps on top of pieces: once what they lie on is set, joined, and nothing more is poured behind it. */
export function pocketTasks({ survey, commission }: Job): Task[] {
  const { pockets } = survey;
  if (pockets.length === 0) return [];
  const poured = pockets.map((p) => pouredL(p.litres, materialOf(commission, p.material).settles));
  const litres = poured.reduce((a, b) => a + b, 0);
  return [
    {
      id: 'pockets',
      phase: 'substrate',
      title: say('pockets.title', { count: pockets.length }),
      short: say('pockets.short'),
      detail: say('pockets.detail', {
        heaps: pockets.map((p, i) => say('pockets.heap', { litres: inLitres(poured[i], 2), piece: p.on })),
      }),
      minutes: pockets.length * RATES.pocket,
      people: 1,
      needs: [...SET, 'joints', 'gaps', 'soil'],
      workings: [
        step(say('step.pockets'), pockets.length, 'piece', each(RATES.pocket)),
        step(say('step.poured'), litres, 'L'),
      ],
    },
  ];
}

/** Sand and gravel are rinsed early; what is only looked at is laid when the school says. */
export function sandTasks(job: Job): Task[] {
  const litres = litresOf(job.pours, ...RINSED);
  if (litres <= 0) return [];
  const before = sandFirst(job);
  const looked = job.pours.filter((p) => p.role === 'cosmetic');
  return [
    {
      id: 'rinse',
      phase: 'prepare',
      title: say('rinse.title', { materials: rinsedNames(job) }),
      detail: say('rinse.detail', { litres: inLitres(litres) }),
      minutes: litres * RATES.rinsePerL + RATES.bucket,
      people: 1,
      needs: [],
      workings: [
        step(say('step.sand'), litres, 'L', perLitre(RATES.rinsePerL)),
        step(say('step.bucket'), RATES.bucket, 'min'),
      ],
    },
    ...looked.map((pour, i) =>
      layerTask(job, pour, [
        'rinse',
        ...bedTaskIds(job),
        'gaps',
        ...SET,
        ...(before ? [] : bedPlantingIds(job)),
        ...looked.slice(0, i).map((p) => p.task),
      ]),
    ),
  ];
}

/** What is rinsed: sand and gravel, in mixtures too, each once. */
function rinsedNames({ pours }: Job): string[] {
  const rinsed = pours.flatMap((p) => p.parts).filter((p) => RINSED.includes(p.material.kind));
  return [...new Set(rinsed.map((p) => p.material.name))];
}

/** What a layer is called in a word: a mixture by all of its parts. */
function layerName({ names }: Pour): Said {
  return names.length > 1 ? say('layer.mixed', { names }) : names[0];
}

/** One layer poured whole under its own name. */
function layerTask(job: Job, pour: Pour, needs: string[]): Task {
  const { task, material, names, litres, role, spanMm } = pour;
  const fine = material.kind === 'sand';
  const perL = role === 'cosmetic' ? RATES.sandPerL : pouring(job);
  return {
    id: task,
    phase: 'substrate',
    title: say('layer.title', { material: names, litres: inLitres(litres) }),
    short: layerName(pour),
    detail: layerWords(job, role, fine, spanMm),
    minutes: litres * perL,
    people: 1,
    needs: needs.filter((id) => id !== task),
    ...dust(job, pour),
    workings: [step(say('step.laid'), litres, 'L', perLitre(perL))],
  };
}

function layerWords(job: Job, role: Pour['role'], fine: boolean, [least, most]: [number, number]): Text {
  if (job.wet) return say('soil.detail.wet');
  if (role === 'cosmetic') return say('sand.detail');
  const thick = inMm(most - least < 1 ? most : [least, most], 0, 'to');
  return say(fine ? 'layer.detail.sand' : 'layer.detail', { thick });
}

/** Minutes a litre: dry from the bag, or through water by the half litre. */
function pouring({ wet }: Job): number {
  return wet ? RATES.pourWetPerL : RATES.pourPerL;
}

/** Soil and powder raise dust as they are poured dry; sand and gravel are rinsed before. */
function dust({ wet }: Job, { material: { kind } }: Pour): Pick<Task, 'caution'> {
  return wet || kind === 'sand' || kind === 'gravel' ? {} : { caution: CAUTIONS.dust };
}

/** The soil by that word, a bank of gravel by its own name. */
function bankTitle({ material, names }: Pour, part: 'first' | 'whole' | 'last', litres: number): Text {
  const values = { material: names, litres: inLitres(litres) };
  return material.kind === 'soil' ? say(`soil.title.${part}`, values) : say(`bank.title.${part}`, values);
}
