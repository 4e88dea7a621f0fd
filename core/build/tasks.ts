import { materialOf, optionOf, plantOf } from '../commission/lookup';
import type { Commission, Material } from '../commission/schema';
import { polygonBounds } from '../geometry/polygon';
import { pouredL } from '../substrate/pour';
import type { PieceSurvey } from '../survey/pieces';
import type { PlantingSurvey } from '../survey/plantings';
import type { Survey } from '../survey/survey';
import type { TakeOff } from '../takeoff/takeOff';
import { rounded } from '../units/quantity';
import { CAUTIONS } from './cautions';
import { CURE_MIN, FIRST_SOIL_SHARE, ONE_PERSON_KG, RATES } from './rates';
import type { Task } from './task';

/** The tasks that this scape needs, in the trade's order. Without sand there is no sand task. */
export function buildTasks(commission: Commission, survey: Survey, takeOff: TakeOff): Task[] {
  const job = jobOf(commission, survey);
  const tasks = [
    protect(),
    ...filler(job),
    ...rinse(job),
    ...floorStones(job),
    ...firstSoil(job),
    ...stones(job),
    ...wood(job),
    ...joints(job),
    ...gaps(job),
    ...sand(job),
    ...preparePlants(job, takeOff),
    ...bedPlants(job),
    ...epiphytes(job),
    equipment(commission),
    fill(survey),
    refloat(),
    start(commission),
    photograph(),
    clearUp(),
  ];
  return onlyPresentNeeds(tasks);
}

interface Job {
  commission: Commission;
  survey: Survey;
  crew: number;
  fillerL: number;
  soilL: number;
  sandL: number;
  stones: PieceSurvey[];
  floorStones: PieceSurvey[];
  wood: PieceSurvey[];
}

function jobOf(commission: Commission, survey: Survey): Job {
  const option = optionOf(commission, survey.optionId);
  const litres = (kinds: Material['kind'][]) =>
    survey.layers
      .map((l) => ({ l, material: materialOf(commission, l.material) }))
      .filter(({ material }) => kinds.includes(material.kind))
      .reduce((sum, { l, material }) => sum + pouredL(l.volumeL, material.settles), 0);
  const onFloor = new Set(option.pieces.filter((p) => p.stand.kind === 'floor').map((p) => p.id));
  const isWood = (p: PieceSurvey) => materialOf(commission, p.material).kind === 'wood';
  const heaviestFirst = [...survey.pieces].sort((a, b) => b.massKg - a.massKg);
  return {
    commission,
    survey,
    crew: commission.brief.crew,
    fillerL: litres(['filler']),
    soilL: litres(['soil', 'base', 'gravel']),
    sandL: litres(['sand']),
    stones: heaviestFirst.filter((p) => !isWood(p) && !onFloor.has(p.id)),
    floorStones: heaviestFirst.filter((p) => !isWood(p) && onFloor.has(p.id)),
    wood: heaviestFirst.filter(isWood),
  };
}

/** A need for a task that this scape does not have is dropped: what it stood for has nothing to wait for. */
function onlyPresentNeeds(tasks: Task[]): Task[] {
  const ids = new Set(tasks.map((t) => t.id));
  return tasks.map((t) => ({ ...t, minutes: Math.max(1, Math.round(t.minutes)), needs: t.needs.filter((n) => ids.has(n)) }));
}

const step = (name: string, value: number, unit: string, note?: string) => ({ step: name, value, unit, ...(note && { note }) });
const litres = (value: number) => `${rounded(value, 1)} L`;

function protect(): Task {
  return {
    id: 'protect',
    phase: 'prepare',
    title: 'Floor sheet, stand level, mat',
    detail: '2 mm a metre at most; wipe the glass inside',
    minutes: RATES.protect,
    people: 1,
    needs: [],
    caution: CAUTIONS.floor,
    workings: [step('as a whole', RATES.protect, 'min')],
  };
}

function filler({ fillerL, survey, commission }: Job): Task[] {
  if (fillerL <= 0) return [];
  const bags = Math.ceil(fillerL / 2.5);
  const lowest = survey.layers.some((l) => materialOf(commission, l.material).kind === 'filler');
  return [
    {
      id: 'filler',
      phase: 'substrate',
      title: `Filler: ${bags} mesh ${bags === 1 ? 'bag' : 'bags'}, 10 mm off the glass`,
      detail: `${litres(fillerL)}${lowest ? ', rinsed, under the hills' : ''}`,
      minutes: fillerL * RATES.fillerPerL + bags * RATES.perBag,
      people: 1,
      needs: ['protect'],
      workings: [step('filler', fillerL, 'L', `${RATES.fillerPerL} min a litre`), step('bags', bags, 'bag', `${RATES.perBag} min each`)],
    },
  ];
}

function rinse({ sandL }: Job): Task[] {
  if (sandL <= 0) return [];
  return [
    {
      id: 'rinse',
      phase: 'prepare',
      title: 'Rinse and drain the sand',
      detail: `${litres(sandL)}, until the water runs clear`,
      minutes: sandL * RATES.rinsePerL + 5,
      people: 1,
      needs: [],
      workings: [step('sand', sandL, 'L', `${RATES.rinsePerL} min a litre`), step('bucket and sieve', 5, 'min')],
    },
  ];
}

function setting(pieces: readonly PieceSurvey[], perPiece: number): { minutes: number; kg: number } {
  const kg = pieces.reduce((sum, p) => sum + p.massKg, 0);
  return { minutes: pieces.length * perPiece + kg * RATES.setPerKg, kg };
}

function settingWorkings(pieces: readonly PieceSurvey[], perPiece: number, kg: number) {
  return [step('pieces', pieces.length, 'piece', `${perPiece} min each`), step('mass', kg, 'kg', `${RATES.setPerKg} min a kilogram`)];
}

function liftCaution(pieces: readonly PieceSurvey[], usual: string): { people: 1 | 2; caution: string } {
  const heavy = pieces.filter((p) => p.massKg > ONE_PERSON_KG);
  if (heavy.length === 0) return { people: 1, caution: usual };
  const which = heavy.map((p) => `${p.id} ${rounded(p.massKg, 1)} kg`).join(', ');
  return { people: 2, caution: `${which}. ${CAUTIONS.lift} ${usual}` };
}

function floorStones({ floorStones: pieces }: Job): Task[] {
  if (pieces.length === 0) return [];
  const { minutes, kg } = setting(pieces, RATES.setPerPiece);
  return [
    {
      id: 'floor-stones',
      phase: 'hardscape',
      title: `${names(pieces)} on pads on the glass`,
      detail: `${rounded(kg, 1)} kg, never on bare glass`,
      minutes,
      ...liftCaution(pieces, CAUTIONS.stone),
      needs: ['protect'],
      workings: settingWorkings(pieces, RATES.setPerPiece, kg),
    },
  ];
}

function firstSoil({ soilL, stones: pieces, wood: roots }: Job): Task[] {
  if (soilL <= 0) return [];
  const split = pieces.length + roots.length > 0;
  const first = split ? soilL * FIRST_SOIL_SHARE : soilL;
  return [
    {
      id: 'soil',
      phase: 'substrate',
      title: split ? `Soil, first ${litres(first)}` : `Soil, ${litres(first)}`,
      detail: 'thin in front, rising to the back; brushed, not pressed',
      minutes: first * RATES.pourPerL,
      people: 1,
      needs: ['protect', 'filler', 'floor-stones'],
      caution: CAUTIONS.dust,
      workings: [step('poured', first, 'L', `${RATES.pourPerL} min a litre`)],
    },
  ];
}

function names(pieces: readonly PieceSurvey[]): string {
  if (pieces.length <= 2) return pieces.map((p) => p.id).join(' and ');
  return `${pieces[0].id} and ${pieces.length - 1} more`;
}

function stones({ stones: pieces }: Job): Task[] {
  if (pieces.length === 0) return [];
  const { minutes, kg } = setting(pieces, RATES.setPerPiece);
  return [
    {
      id: 'stones',
      phase: 'hardscape',
      title: pieces.length === 1 ? `Stone ${pieces[0].id}` : `Stones, ${pieces.length} pieces`,
      detail: `${rounded(kg, 1)} kg; ${pieces[0].id} first, the best face to the viewer`,
      minutes,
      ...liftCaution(pieces, CAUTIONS.stone),
      needs: ['soil', 'protect', 'filler'],
      workings: settingWorkings(pieces, RATES.setPerPiece, kg),
    },
  ];
}

function wood({ wood: pieces }: Job): Task[] {
  if (pieces.length === 0) return [];
  const { minutes, kg } = setting(pieces, RATES.setPerWood);
  return [
    {
      id: 'wood',
      phase: 'hardscape',
      title: `Wood: ${names(pieces)}`,
      detail: `${rounded(kg, 1)} kg, wedged or joined to stone`,
      minutes,
      ...liftCaution(pieces, CAUTIONS.stone),
      needs: ['stones', 'floor-stones', 'soil'],
      workings: settingWorkings(pieces, RATES.setPerWood, kg),
    },
  ];
}

const JOINT_MIN = { 'fibre-glue': RATES.jointFibre, 'gel-glue': RATES.jointGel, tie: RATES.jointTie } as const;

function joints({ commission, survey }: Job): Task[] {
  // Silicone needs a day: those joints are made beforehand.
  const today = optionOf(commission, survey.optionId).joints.filter((j) => j.method !== 'silicone');
  if (today.length === 0) return [];
  const contacts = (j: (typeof today)[number]) => j.pieces.length - 1;
  const minutes = today.reduce((sum, j) => sum + contacts(j) * JOINT_MIN[j.method as keyof typeof JOINT_MIN], 0);
  const count = today.reduce((sum, j) => sum + contacts(j), 0);
  const cure = Math.max(...today.map((j) => CURE_MIN[j.method]));
  return [
    {
      id: 'joints',
      phase: 'hardscape',
      title: `Joints: ${count} ${count === 1 ? 'contact' : 'contacts'}`,
      detail: [...new Set(today.map((j) => j.method.replace('-', ' and ')))].join(', '),
      minutes,
      people: 1,
      needs: ['stones', 'wood', 'floor-stones'],
      ...(cure > 0 ? { cure: { what: 'joints', minutes: cure } } : {}),
      caution: CAUTIONS.glue,
      workings: [step('contacts', count, 'contact', 'fibre 4, gel 5, tie 6 min each')],
    },
    {
      id: 'wiggle',
      phase: 'hardscape',
      title: 'Wiggle test',
      detail: 'scrub as when cleaning: nothing may move; hide white glue',
      minutes: 5 + today.length * RATES.wigglePerJoint,
      people: 1,
      needs: ['joints'],
      workings: [step('joints', today.length, 'joint', `${RATES.wigglePerJoint} min each, 5 for the whole`)],
    },
  ];
}

function gaps({ soilL, stones: pieces, wood: roots, floorStones: padded }: Job): Task[] {
  if (soilL <= 0 || pieces.length + roots.length === 0) return [];
  const last = soilL * (1 - FIRST_SOIL_SHARE);
  const count = pieces.length + padded.length;
  return [
    {
      id: 'gaps',
      phase: 'substrate',
      title: `Close gaps, last ${litres(last)} of soil`,
      detail: `floss behind ${count} ${count === 1 ? 'stone' : 'stones'}, then the slope`,
      minutes: last * RATES.pourPerL + count * RATES.gapPerPiece,
      people: 1,
      needs: ['stones', 'wood', 'wiggle'],
      caution: CAUTIONS.dust,
      workings: [step('poured', last, 'L', `${RATES.pourPerL} min a litre`), step('gaps', count, 'stone', `${RATES.gapPerPiece} min each`)],
    },
  ];
}

function sand({ sandL, commission, survey }: Job): Task[] {
  if (sandL <= 0) return [];
  const planted = survey.plantings.some((p) => p.plugs > 0);
  return [
    {
      id: 'sand',
      phase: 'substrate',
      title: `Sand, ${litres(sandL)}`,
      detail: 'at the front glass first, then pushed back; a soft brush',
      minutes: sandL * RATES.sandPerL,
      people: 1,
      // Last thing on the dry bed: soil that falls while planting would have to be picked out of it.
      needs: ['rinse', 'soil', 'gaps', 'stones', ...(planted ? bedPlantingIds(commission, survey) : [])],
      workings: [step('laid', sandL, 'L', `${RATES.sandPerL} min a litre`)],
    },
  ];
}

function preparePlants({ survey }: Job, takeOff: TakeOff): Task[] {
  const lines = takeOff.lines.filter((l) => l.kind === 'plants' && l.needed.value > 0);
  if (lines.length === 0 || survey.plantings.length === 0) return [];
  const packs = lines.reduce((sum, l) => sum + l.packs.reduce((n, p) => n + p.count, 0), 0);
  const plugs = lines.reduce((sum, l) => sum + l.needed.value, 0);
  return [
    {
      id: 'prepare-plants',
      phase: 'planting',
      title: 'Prepare plants: rinse, split, trim',
      detail: `${packs} packs, ${plugs} plugs; wool off, gel off, keep misted`,
      minutes: packs * RATES.preparePerPack,
      people: 1,
      // Not before the hardscape stands: out of the pot they dry.
      needs: ['stones', 'wood', 'soil'],
      caution: CAUTIONS.mist,
      workings: [step('packs', packs, 'pack', `${RATES.preparePerPack} min each`)],
    },
  ];
}

interface Patch {
  planting: PlantingSurvey;
  name: string;
  frontMm: number;
}

function patches(commission: Commission, survey: Survey, inBed: boolean): Patch[] {
  const option = optionOf(commission, survey.optionId);
  return survey.plantings
    .filter((p) => p.plugs > 0 && (plantOf(commission, p.plant).roots === 'bed') === inBed)
    .map((planting) => {
      const region = option.plants.find((p) => p.id === planting.id)?.region;
      const frontMm = region ? polygonBounds(region)[1] : Infinity;
      return { planting, name: plantOf(commission, planting.plant).name, frontMm };
    })
    .sort((a, b) => a.frontMm - b.frontMm);
}

/** A patch that takes one person longer than this is shared between two. */
const SHARED_FROM_MIN = 40;

function shares(job: Job, plugs: number): string[] {
  return job.crew > 1 && plugs * RATES.plug > SHARED_FROM_MIN ? [', left half', ', right half'] : [''];
}

function bedPlantingIds(commission: Commission, survey: Survey): string[] {
  const job = { crew: commission.brief.crew } as Job;
  return patches(commission, survey, true).flatMap(({ planting }) =>
    shares(job, planting.plugs).map((_, i) => `plant-${planting.id}-${i}`),
  );
}

function bedPlants(job: Job): Task[] {
  return patches(job.commission, job.survey, true).flatMap(({ planting, name }) => {
    const halves = shares(job, planting.plugs);
    return halves.map((half, i): Task => {
      const plugs = i === 0 ? Math.ceil(planting.plugs / halves.length) : Math.floor(planting.plugs / 2);
      return {
        id: `plant-${planting.id}-${i}`,
        phase: 'planting',
        title: `${name}${half}`,
        detail: `${plugs} plugs, front to back, ${RATES.plug * 60} s each`,
        minutes: plugs * RATES.plug,
        people: 1,
        needs: ['prepare-plants', 'gaps', 'soil', 'wiggle'],
        caution: CAUTIONS.mist,
        workings: [step('plugs', plugs, 'plug', `${RATES.plug} min each`)],
      };
    });
  });
}

function epiphytes(job: Job): Task[] {
  const on = patches(job.commission, job.survey, false).filter(
    ({ planting }) => plantOf(job.commission, planting.plant).roots === 'epiphyte',
  );
  const count = on.reduce((sum, p) => sum + p.planting.plugs, 0);
  if (count === 0) return [];
  return [
    {
      id: 'epiphytes',
      phase: 'planting',
      title: 'Epiphytes and moss',
      detail: `${count} portions: ${on.map((p) => p.name).join(', ')}; rhizomes stay free`,
      minutes: count * RATES.epiphyte,
      people: 1,
      needs: ['prepare-plants', 'wiggle', 'stones', 'wood'],
      caution: CAUTIONS.glue,
      workings: [step('portions', count, 'portion', `${RATES.epiphyte} min each`)],
    },
  ];
}

function equipment({ brief }: Commission): Task {
  return {
    id: 'equipment',
    phase: 'finish',
    title: `Intake, outflow, heater${brief.co2 ? ', diffuser' : ''}`,
    detail: 'nothing powered yet; hidden, but within reach',
    minutes: RATES.equipment,
    people: 1,
    needs: ['gaps', 'stones', 'wood', 'soil'],
    workings: [step('as a whole', RATES.equipment, 'min')],
  };
}

function fill(survey: Survey): Task {
  const volume = survey.freeWaterL + survey.poreWaterL;
  return {
    id: 'fill',
    phase: 'water',
    title: `Fill, slowly, ${rounded(volume, 0)} L`,
    detail: 'over a stone or through a bag; conditioner in it',
    minutes: volume / RATES.fillLPerMin,
    people: 1,
    // Everything dry comes first; `plan` adds whatever plants and sand there are.
    needs: ['protect', 'soil', 'gaps', 'sand', 'epiphytes', 'equipment', 'filler', 'wiggle', ...survey.plantings.flatMap((p) => [`plant-${p.id}-0`, `plant-${p.id}-1`])],
    caution: CAUTIONS.siphon,
    workings: [step('water above the bed', survey.freeWaterL, 'L'), step('in the bed', survey.poreWaterL, 'L'), step('fill rate', RATES.fillLPerMin, 'L/min')],
  };
}

function refloat(): Task {
  return {
    id: 'refloat',
    phase: 'water',
    title: 'Re-plant floaters, net debris',
    detail: 'cloudy: change 30 % now',
    minutes: RATES.refloat,
    people: 1,
    needs: ['fill'],
    workings: [step('as a whole', RATES.refloat, 'min')],
  };
}

function start({ brief }: Commission): Task {
  return {
    id: 'start',
    phase: 'finish',
    title: 'Media in, filter, heater, light at 50 %',
    detail: brief.co2 ? 'CO2 slowly; bacteria' : 'bacteria; timer set',
    minutes: RATES.start,
    people: 1,
    needs: ['fill', 'equipment'],
    caution: brief.co2 ? `${CAUTIONS.power} ${CAUTIONS.gas}` : CAUTIONS.power,
    workings: [step('as a whole', RATES.start, 'min')],
  };
}

function photograph(): Task {
  return {
    id: 'photograph',
    phase: 'finish',
    title: 'Photograph, hand over the care guide',
    detail: 'from where it will be looked at',
    minutes: RATES.photograph,
    people: 1,
    needs: ['refloat', 'start'],
    caution: CAUTIONS.animals,
    workings: [step('as a whole', RATES.photograph, 'min')],
  };
}

function clearUp(): Task {
  return {
    id: 'clear-up',
    phase: 'finish',
    title: 'Clear up',
    detail: 'spare stone and soil to the yard, floor dry',
    minutes: RATES.clearUp,
    people: 1,
    needs: ['fill'],
    workings: [step('as a whole', RATES.clearUp, 'min')],
  };
}
