import { materialOf } from '../commission/lookup';
import type { Material } from '../commission/schema';
import { pouredL } from '../substrate/pour';
import { OFF_GLASS_MM } from '../substrate/filler';
import { inLitres, inMm } from '../words/measure';
import { say, type Text } from '../words/text';
import type { PieceSurvey } from '../survey/pieces';
import { holdsBedBack } from '../survey/retains';
import { CAUTIONS } from './cautions';
import { bedHalves, each, litresOf, perLitre, setOf, step, type Job } from './job';
import type { Pour } from '../takeoff/pours';
import { FIRST_SOIL_SHARE, RATES } from './rates';
import type { Step } from './task';

/** Kinds that come with dust and are rinsed. */
const RINSED: Material['kind'][] = ['sand', 'gravel'];

/** Filler under the hills, before any soil. */
export function fillerTasks({ hills }: Job): Step[] {
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
      workings: [
        step(say('filler'), litres, 'L', perLitre(RATES.fillerPerL)),
        ...(bags > 0 ? [step(say('step.bags'), bags, 'bag', each(RATES.perBag))] : []),
      ],
    },
  ];
}

/** Layers that are poured whole, each in its turn: base, a bed of sand, a cap that stones stand on. */
export function bedTasks(job: Job): Step[] {
  return job.pours.filter((p) => p.role === 'bed').map((pour) => layerTask(job, pour));
}

/** True where part of the soil is kept back: pieces follow that stand in it and nothing lies over it before them. */
function isSplit(job: Job): boolean {
  const [before] = bedHalves(job);
  const soil = job.pours.findIndex((p) => p.role === 'soil');
  return (
    job.stones.length + job.ware.length + job.wood.length > 0 &&
    !before.some((p) => job.pours.indexOf(p) > soil)
  );
}

/** True where all of the soil comes in around what stands, since that was said and something stands. */
function isAllAround(job: Job, soil: Pour): boolean {
  return soil.poured !== undefined && setOf(job).length > 0;
}

/** The soil before the hardscape: a share of it where pieces follow, otherwise all. */
export function firstSoilTasks(job: Job): Step[] {
  const soil = job.pours.find((p) => p.role === 'soil');
  if (!soil || isAllAround(job, soil)) return [];
  const split = isSplit(job);
  const first = split ? soil.litres * FIRST_SOIL_SHARE : soil.litres;
  return [
    {
      id: 'soil',
      phase: 'substrate',
      title: bankTitle(soil, split ? 'first' : 'whole', first),
      short: soil.material.kind === 'soil' ? say('soil.short') : soil.name,
      detail: say(job.wet ? 'soil.detail.wet' : 'soil.detail'),
      minutes: first * pouring(job),
      people: 1,
      ...dust(job, soil),
      workings: [step(say('step.poured'), first, 'L', perLitre(pouring(job)))],
    },
  ];
}

/** Stones on the glass that stand side by side hold back what is poured behind them: closed before it is. */
export function damTasks(job: Job): Step[] {
  const holding = job.floorStones.filter((s) => holds(job, s));
  if (holding.length < 2 || job.pours.every((p) => p.role === 'cosmetic')) return [];
  return [flossTask('dam', holding)];
}

/** The gaps between stones that stand in the bed: closed before the soil that lies behind them. */
export function closingGapTasks(job: Job): Step[] {
  const holding = job.stones.filter((s) => holds(job, s));
  if (!soilBehind(job) || holding.length === 0) return [];
  return [flossTask('close', holding)];
}

/** True for a stone that bed stands higher behind than before: nothing runs through beside the others. */
function holds({ survey }: Job, { id }: PieceSurvey): boolean {
  return holdsBedBack(
    survey.field,
    survey.standing.find((s) => s.piece.id === id)!,
  );
}

function flossTask(id: 'dam' | 'close', stones: readonly PieceSurvey[]): Step {
  return {
    id,
    phase: 'hardscape',
    title: say(`${id}.title`, { count: stones.length }),
    short: say(`${id}.short`),
    detail: say(`${id}.detail`),
    minutes: stones.length * RATES.gapPerPiece,
    people: 1,
    workings: [step(say('step.gaps'), stones.length, 'stone', each(RATES.gapPerPiece))],
  };
}

/** The soil that is kept back for behind and between what stands; undefined where none is. */
function soilBehind(job: Job): Pour | undefined {
  const soil = job.pours.find((p) => p.role === 'soil');
  return soil && (isSplit(job) || isAllAround(job, soil)) ? soil : undefined;
}

/** The rest of the soil, behind and between what stands, once nothing runs through between it. */
export function gapTasks(job: Job): Step[] {
  const soil = soilBehind(job);
  if (!soil) return [];
  const all = isAllAround(job, soil);
  const last = soil.litres * (all ? 1 : 1 - FIRST_SOIL_SHARE);
  return [
    {
      id: 'gaps',
      phase: 'substrate',
      title: bankTitle(soil, all ? 'whole' : 'last', last),
      short: soil.material.kind === 'soil' ? say('gaps.short') : soil.name,
      detail: say(job.stones.length > 0 ? 'gaps.detail' : 'gaps.detail.bare'),
      minutes: last * pouring(job),
      people: 1,
      ...dust(job, soil),
      workings: [step(say('step.poured'), last, 'L', perLitre(pouring(job)))],
    },
  ];
}

/** Heaps on top of pieces: once what they lie on is set, joined, and nothing more is poured behind it. */
export function pocketTasks({ pockets, commission }: Job): Step[] {
  if (pockets.length === 0) return [];
  const poured = pockets.map((p) => pouredL(p.litres, materialOf(commission, p.material).settles));
  const litres = poured.reduce((a, b) => a + b, 0);
  const materials = [...new Set(pockets.map((p) => p.material))].map((id) => materialOf(commission, id));
  const grain = materials.every((m) => m.kind === 'soil')
    ? say('pockets.soil')
    : materials.map((m) => m.name);
  return [
    {
      id: 'pockets',
      phase: 'substrate',
      title: say('pockets.title', { grain, count: pockets.length }),
      short: say('pockets.short', { grain }),
      detail: say('pockets.detail', {
        heaps: pockets.map((p, i) => say('pockets.heap', { litres: inLitres(poured[i], 2), piece: p.on })),
      }),
      minutes: pockets.length * RATES.pocket,
      people: 1,
      workings: [
        step(say('step.pockets'), pockets.length, 'piece', each(RATES.pocket)),
        step(say('step.poured'), litres, 'L'),
      ],
    },
  ];
}

/** Sand and gravel are rinsed early; what is only looked at is laid when the school says. */
export function sandTasks(job: Job): Step[] {
  const litres = litresOf(job.pours, ...RINSED);
  if (litres <= 0) return [];
  const looked = job.pours.filter((p) => p.role === 'cosmetic');
  return [
    {
      id: 'rinse',
      phase: 'prepare',
      title: say('rinse.title', { materials: rinsedNames(job) }),
      detail: say('rinse.detail', { litres: inLitres(litres) }),
      minutes: litres * RATES.rinsePerL + RATES.bucket,
      people: 1,
      workings: [
        step(say('step.sand'), litres, 'L', perLitre(RATES.rinsePerL)),
        step(say('step.bucket'), RATES.bucket, 'min'),
      ],
    },
    ...looked.map((pour) => layerTask(job, pour)),
  ];
}

/** What is rinsed: sand and gravel, in mixtures too, each once. */
function rinsedNames({ pours }: Job): string[] {
  const rinsed = pours.flatMap((p) => p.parts).filter((p) => RINSED.includes(p.material.kind));
  return [...new Set(rinsed.map((p) => p.material.name))];
}

/** One layer poured whole under its own name. */
function layerTask(job: Job, pour: Pour): Step {
  const { task, material, name, litres, role, spanMm } = pour;
  const fine = material.kind === 'sand';
  const perL = role === 'cosmetic' ? RATES.sandPerL : pouring(job);
  return {
    id: task,
    phase: 'substrate',
    title: say('layer.title', { material: name, litres: inLitres(litres) }),
    short: name,
    detail: layerWords(job, role, fine, spanMm),
    minutes: litres * perL,
    people: 1,
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
function dust({ wet }: Job, { material: { kind } }: Pour): Pick<Step, 'caution'> {
  return wet || kind === 'sand' || kind === 'gravel' ? {} : { caution: CAUTIONS.dust };
}

/** The soil by that word, a bank of gravel by its own name. */
function bankTitle({ material, name }: Pour, part: 'first' | 'whole' | 'last', litres: number): Text {
  const values = { material: name, litres: inLitres(litres) };
  return material.kind === 'soil' ? say(`soil.title.${part}`, values) : say(`bank.title.${part}`, values);
}
